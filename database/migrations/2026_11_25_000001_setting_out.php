<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('projects', function (Blueprint $table): void {
            $table->double('nib')->default(200);
            $table->json('module')->nullable();
            // another word for every state of all but openings, sets and acceptances: under it they are kept ready to read
            $table->string('structure_version', 26)->default('');
        });
        DB::table('projects')->update(['module' => '{"length":225.0,"height":75.0,"joint":10.0}']);
        Schema::table('outlines', fn (Blueprint $table) => $table->boolean('inner')->default(false));
        Schema::table('openings', function (Blueprint $table): void {
            // what an opening is placed from, to be found from there
            $table->string('position_ref', 20)->nullable()->storedAs("json_value(`position`, '$.ref')")->index();
            $table->string('sill_ref', 20)->nullable()->storedAs("json_value(`sill`, '$.ref')")->index();
            // whether it may stand higher than 2400 over its storey's floor, or under it: App\Assembly\Assembly::REACH
            $table->boolean('reaches')->storedAs(
                "json_value(`sill`, '$.from') <> 'floor' or coalesce(json_value(`sill`, '$.edge'), 'sill') <> 'sill' or json_value(`sill`, '$.height') < 0 or json_value(`sill`, '$.height') + `height` > 2400",
            );
            $table->index(['project_id', 'wall_id', 'reaches', 'storey_id'], 'openings_near');
            $table->dropIndex(['wall_id']);
        });
        $this->element('setting_out_lines', function (Blueprint $table): void {
            $table->string('name', 80);
            $table->string('wall_id', 20)->index();
            $table->string('storey_id', 20)->nullable();
            $table->string('axis', 10);
            $table->json('rule');
        });
        $this->element('named_sets', function (Blueprint $table): void {
            $table->string('name', 80);
            $table->longText('members');
        });
        $this->element('acceptances', function (Blueprint $table): void {
            $table->string('wall_id', 20)->index();
            $table->string('finding', 200);
            $table->double('figure');
            $table->string('note', 500);
        });
        Schema::create('tasks', function (Blueprint $table): void {
            $table->string('id', 26)->primary();
            $table->string('project_id', 20)->index();
            $table->unsignedBigInteger('user_id');
            $table->string('edit', 40);
            $table->longText('args');
            $table->unsignedInteger('base');
            $table->string('state', 10);
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('total')->default(0);
            $table->longText('outcome')->nullable();
            $table->timestamps();
        });
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
    }

    public function down(): void
    {
        foreach (['jobs', 'tasks', 'acceptances', 'named_sets', 'setting_out_lines'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('openings', function (Blueprint $table): void {
            $table->index('wall_id');
            $table->dropIndex('openings_near');
            $table->dropColumn(['position_ref', 'sill_ref', 'reaches']);
        });
        Schema::table('outlines', fn (Blueprint $table) => $table->dropColumn('inner'));
        Schema::table('projects', fn (Blueprint $table) => $table->dropColumn(['nib', 'module', 'structure_version']));
    }

    private function element(string $name, Closure $columns): void
    {
        Schema::create($name, function (Blueprint $table) use ($columns): void {
            $table->string('id', 20)->primary();
            $table->string('project_id', 20)->index();
            $columns($table);
            $table->foreign('project_id')->references('id')->on('projects')->cascadeOnDelete();
        });
    }
};
