<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Marks of single openings, schedules that others gave, and how our own are laid out. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('openings', fn (Blueprint $table) => $table->string('mark', 24)->nullable());
        $this->kept('given_schedules', function (Blueprint $table): void {
            $table->string('file', 40);
            $table->unsignedInteger('sheet');
            $table->unsignedInteger('header')->nullable();
            $table->json('columns');
        });
        $this->kept('layouts', function (Blueprint $table): void {
            $table->string('source', 20);
            $table->json('columns');
            $table->boolean('merge');
            $table->json('groups');
            $table->json('sort');
            $table->json('filters');
            $table->boolean('totals');
        });
        $this->kept('section_lines', function (Blueprint $table): void {
            foreach (['from_x', 'from_y', 'to_x', 'to_y'] as $column) {
                $table->double($column);
            }
        });
        $this->kept('tracings', function (Blueprint $table): void {
            $table->json('storeys');
            $table->string('file', 40);
            foreach (['width', 'height', 'x', 'y', 'scale', 'angle', 'opacity'] as $column) {
                $table->double($column);
            }
            $table->boolean('locked');
        });
        $this->kept('pictures', fn (Blueprint $table) => $table->string('file', 40));
        $this->kept('sheet_plans', function (Blueprint $table): void {
            $table->string('number', 16);
            $table->string('paper', 10);
            $table->json('items');
        });
        Schema::table('projects', function (Blueprint $table): void {
            $table->double('slab')->default(300);
            $table->double('setting')->default(10);
        });
    }

    public function down(): void
    {
        Schema::table('projects', fn (Blueprint $table) => $table->dropColumn(['slab', 'setting']));
        Schema::dropIfExists('pictures');
        Schema::dropIfExists('tracings');
        Schema::dropIfExists('sheet_plans');
        Schema::dropIfExists('section_lines');
        Schema::dropIfExists('layouts');
        Schema::dropIfExists('given_schedules');
        Schema::table('openings', fn (Blueprint $table) => $table->dropColumn('mark'));
    }

    private function kept(string $name, Closure $columns): void
    {
        Schema::create($name, function (Blueprint $table) use ($columns): void {
            $table->string('id', 20)->primary();
            $table->string('project_id', 20)->index();
            $table->string('name', 80);
            $columns($table);
            $table->foreign('project_id')->references('id')->on('projects')->cascadeOnDelete();
        });
    }
};
