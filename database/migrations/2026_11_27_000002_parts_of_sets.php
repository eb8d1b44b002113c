<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Sets keep cells and members of curtain walls too. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('named_sets', static function (Blueprint $table): void {
            $table->json('parts')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('named_sets', static function (Blueprint $table): void {
            $table->dropColumn('parts');
        });
    }
};
