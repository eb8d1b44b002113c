<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What heads and feet of walls follow in place of a level; roofs between their walls. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('walls', static function (Blueprint $table): void {
            $table->json('head')->nullable();
            $table->json('foot')->nullable();
        });
        Schema::table('roofs', static function (Blueprint $table): void {
            $table->boolean('along_slope')->default(false);
            $table->boolean('within')->default(false);
        });
    }

    public function down(): void
    {
        Schema::table('roofs', static fn (Blueprint $table) => $table->dropColumn(['along_slope', 'within']));
        Schema::table('walls', static fn (Blueprint $table) => $table->dropColumn(['head', 'foot']));
    }
};
