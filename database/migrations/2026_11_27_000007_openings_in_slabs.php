<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Slabs within the inner faces of their walls, and openings in them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('floor_bands', static function (Blueprint $table): void {
            $table->boolean('inner_faces')->default(false);
            $table->json('holes')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('floor_bands', static fn (Blueprint $table) => $table->dropColumn(['inner_faces', 'holes']));
    }
};
