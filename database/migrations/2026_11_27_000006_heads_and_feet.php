<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What heads and feet of walls follow in place of a level. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('walls', static function (Blueprint $table): void {
            $table->json('head')->nullable();
            $table->json('foot')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('walls', static fn (Blueprint $table) => $table->dropColumn(['head', 'foot']));
    }
};
