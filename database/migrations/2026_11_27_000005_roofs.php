<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Roofs over outlines. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('roofs', static function (Blueprint $table): void {
            $table->string('id', 20)->primary();
            $table->string('project_id', 20)->index();
            $table->string('name', 80);
            $table->integer('position');
            $table->string('outline_id', 20);
            $table->string('storey_id', 20);
            $table->double('level');
            $table->double('pitch');
            $table->double('overhang');
            $table->double('thick');
            $table->json('edges');
            $table->string('finish', 40)->nullable();
            $table->foreign('project_id')->references('id')->on('projects')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('roofs');
    }
};
