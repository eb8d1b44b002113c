<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Bands of fins and tubes, floor bands, fields of battens. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('bands', function (Blueprint $table): void {
            $table->string('id', 20)->primary();
            $table->string('project_id', 20)->index();
            $table->string('name', 80);
            $table->integer('position');
            $table->string('outline_id', 20)->nullable();
            $table->json('walls');
            $table->json('line')->nullable();
            $table->double('gap');
            $table->string('storey_id', 20);
            $table->double('foot');
            $table->string('stand', 20);
            $table->string('shape', 20);
            $table->json('profile');
            $table->json('spaced');
            $table->json('laws');
            $table->string('finish', 40)->nullable();
            $table->json('pinned');
            $table->foreign('project_id')->references('id')->on('projects')->cascadeOnDelete();
        });
        Schema::create('fields', function (Blueprint $table): void {
            $table->string('id', 20)->primary();
            $table->string('project_id', 20)->index();
            $table->string('name', 80);
            $table->integer('position');
            $table->string('outline_id', 20);
            $table->string('wall_id', 20);
            $table->string('storey_id', 20);
            $table->string('opening_id', 20)->nullable();
            $table->json('region');
            $table->double('angle');
            $table->boolean('is_round');
            $table->double('wide');
            $table->double('deep');
            $table->double('turn');
            $table->double('outset');
            $table->json('battens');
            $table->string('finish', 40)->nullable();
            $table->foreign('project_id')->references('id')->on('projects')->cascadeOnDelete();
        });
        Schema::create('floor_bands', function (Blueprint $table): void {
            $table->string('id', 20)->primary();
            $table->string('project_id', 20)->index();
            $table->string('name', 80);
            $table->integer('position');
            $table->string('outline_id', 20)->nullable();
            $table->json('line')->nullable();
            $table->string('storey_id', 20);
            $table->string('top_storey_id', 20);
            $table->double('level');
            $table->double('height');
            $table->double('depth')->nullable();
            $table->json('outset');
            $table->string('edge', 20);
            $table->double('edge_size');
            $table->json('profile');
            $table->string('finish', 40)->nullable();
            $table->foreign('project_id')->references('id')->on('projects')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('fields');
        Schema::dropIfExists('floor_bands');
        Schema::dropIfExists('bands');
    }
};
