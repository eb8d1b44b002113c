<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A roof lies over several outlines in one, and is cut round others. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('roofs', static function (Blueprint $table): void {
            $table->json('also')->nullable();
            $table->json('through')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('roofs', static fn (Blueprint $table) => $table->dropColumn(['also', 'through']));
    }
};
