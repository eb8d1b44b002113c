<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Screens before walls; fields that fill their cut-outs, or cells of curtain walls, with a frame and other sections. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('screens', static function (Blueprint $table): void {
            $table->string('id', 20)->primary();
            $table->string('project_id', 20)->index();
            $table->string('name', 80);
            $table->integer('position');
            $table->string('outline_id', 20);
            $table->json('walls');
            $table->string('storey_id', 20);
            $table->double('gap');
            $table->double('thick');
            $table->json('parts');
            $table->boolean('edges_closed');
            $table->boolean('reveals_closed');
            $table->string('finish', 40)->nullable();
            $table->foreign('project_id')->references('id')->on('projects')->cascadeOnDelete();
        });
        Schema::table('fields', static function (Blueprint $table): void {
            $table->string('screen_id', 20)->nullable();
            $table->integer('cut')->nullable();
            $table->string('cell', 90)->nullable();
            $table->string('shape', 20)->default('flat');
            $table->json('profile')->nullable();
            $table->double('web')->default(0);
            $table->double('frame_wide')->default(0);
            $table->double('frame_deep')->default(0);
            $table->json('turn_law')->nullable();
        });
        DB::table('fields')->where('is_round', true)->update(['shape' => 'round']);
        Schema::table('fields', static function (Blueprint $table): void {
            $table->dropColumn('is_round');
        });
    }

    public function down(): void
    {
        Schema::table('fields', static function (Blueprint $table): void {
            $table->boolean('is_round')->default(false);
        });
        DB::table('fields')->where('shape', 'round')->update(['is_round' => true]);
        Schema::table('fields', static function (Blueprint $table): void {
            $table->dropColumn(['screen_id', 'cut', 'cell', 'shape', 'profile', 'web', 'frame_wide', 'frame_deep', 'turn_law']);
        });
        Schema::dropIfExists('screens');
    }
};
