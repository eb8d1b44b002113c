<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** How many changes of a project stand: those that were undone are none. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('projects', static function (Blueprint $table): void {
            $table->unsignedInteger('standing')->default(0);
        });
        DB::statement(
            'update projects set standing = (select count(*) from changes where changes.project_id = projects.id'
            ." and changes.kind in ('do', 'redo') and changes.reversed_by is null), updated_at = updated_at",
        );
    }

    public function down(): void
    {
        Schema::table('projects', static fn (Blueprint $table) => $table->dropColumn('standing'));
    }
};
