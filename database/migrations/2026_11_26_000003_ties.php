<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** One table of who names whom and how, in place of generated columns. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('ties', function (Blueprint $table): void {
            $table->string('project_id', 20);
            $table->string('from_id', 20);
            $table->string('from_kind', 20);
            $table->string('to_id', 60);
            $table->string('how', 20);
            $table->primary(['project_id', 'from_id', 'how', 'to_id']);
            $table->index(['project_id', 'to_id', 'how', 'from_kind', 'from_id'], 'ties_to');
            $table->foreign('project_id')->references('id')->on('projects')->cascadeOnDelete();
        });
        $ref = static fn (string $column): string => "json_value(`$column`, '$.ref')";
        foreach ([
            ['openings', 'opening', 'wall_id', 'stands in'], ['openings', 'opening', 'storey_id', 'stands in'],
            ['openings', 'opening', 'unit_type_id', 'made of'],
            ['openings', 'opening', $ref('position'), 'measured from'], ['openings', 'opening', $ref('sill'), 'measured from'],
            ['walls', 'wall', 'outline_id', 'stands in'], ['walls', 'wall', 'base_storey_id', 'stands in'],
            ['walls', 'wall', 'top_storey_id', 'stands in'],
            ['setting_out_lines', 'line', 'wall_id', 'stands in'], ['setting_out_lines', 'line', 'storey_id', 'stands in'],
            ['setting_out_lines', 'line', $ref('rule'), 'measured from'],
            ['acceptances', 'acceptance', 'wall_id', 'lists'],
        ] as [$table, $kind, $to, $how]) {
            DB::statement(
                "INSERT IGNORE INTO ties (project_id, from_id, from_kind, to_id, how)
                    SELECT project_id, id, '$kind', $to, '$how' FROM `$table` WHERE $to IS NOT NULL",
            );
        }
        foreach ([['named_sets', 'set', 'members', '$[*]'], ['tracings', 'tracing', 'storeys', '$[*]'],
            ['sheet_plans', 'sheet', 'items', '$[*].ref']] as [$table, $kind, $column, $path]) {
            DB::statement(
                "INSERT IGNORE INTO ties (project_id, from_id, from_kind, to_id, how)
                    SELECT t.project_id, t.id, '$kind', j.ref, 'lists' FROM `$table` t,
                        JSON_TABLE(t.`$column`, '$path' COLUMNS (ref VARCHAR(60) PATH '$')) j WHERE j.ref IS NOT NULL AND j.ref <> ''",
            );
        }
        Schema::table('openings', fn (Blueprint $table) => $table->dropColumn(['position_ref', 'sill_ref']));
    }

    public function down(): void
    {
        Schema::table('openings', function (Blueprint $table): void {
            $table->string('position_ref', 20)->nullable()->storedAs("json_value(`position`, '$.ref')")->index();
            $table->string('sill_ref', 20)->nullable()->storedAs("json_value(`sill`, '$.ref')")->index();
        });
        Schema::dropIfExists('ties');
    }
};
