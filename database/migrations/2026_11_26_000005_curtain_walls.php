<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Grid types, where they stand, and what a project's curtain walls are checked against. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('grid_types', function (Blueprint $table): void {
            $table->string('id', 20)->primary();
            $table->string('project_id', 20)->index();
            $table->string('mark', 80);
            $table->string('name', 80);
            $table->integer('position');
            $table->json('corner');
            $table->json('rules');
            $table->foreign('project_id')->references('id')->on('projects')->cascadeOnDelete();
        });
        Schema::table('walls', fn (Blueprint $table) => $table->json('curtain')->nullable());
        Schema::table('openings', fn (Blueprint $table) => $table->json('curtain')->nullable());
        Schema::table('projects', fn (Blueprint $table) => $table->json('curtain_rules')->nullable());
    }

    public function down(): void
    {
        Schema::table('projects', fn (Blueprint $table) => $table->dropColumn('curtain_rules'));
        Schema::table('openings', fn (Blueprint $table) => $table->dropColumn('curtain'));
        Schema::table('walls', fn (Blueprint $table) => $table->dropColumn('curtain'));
        Schema::dropIfExists('grid_types');
    }
};
