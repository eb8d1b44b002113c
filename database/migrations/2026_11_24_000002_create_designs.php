<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        $this->element('storeys', function (Blueprint $table): void {
            $table->string('name', 80);
            $table->integer('position');
            $table->double('height');
        });
        $this->element('outlines', function (Blueprint $table): void {
            $table->string('name', 80);
            $table->integer('position');
            $table->boolean('closed');
        });
        $this->element('walls', function (Blueprint $table): void {
            $table->string('outline_id', 20);
            $table->integer('position');
            foreach (['from_x', 'from_y', 'to_x', 'to_y', 'rise', 'thickness'] as $column) {
                $table->double($column);
            }
            $table->string('base_storey_id', 20);
            $table->string('top_storey_id', 20);
        });
        $this->element('unit_types', function (Blueprint $table): void {
            $table->string('mark', 80);
            $table->string('name', 80);
            $table->integer('position');
            $table->double('width');
            $table->double('height');
            $table->double('sill');
            $table->json('tree');
        });
        $this->element('openings', function (Blueprint $table): void {
            $table->string('wall_id', 20)->index();
            $table->string('storey_id', 20)->index();
            $table->string('unit_type_id', 20)->nullable();
            $table->double('width');
            $table->double('height');
            $table->json('shape')->nullable();
            $table->json('position');
            $table->json('sill');
            $table->boolean('faces_out');
            $table->boolean('mirrored');
            $table->double('setback');
        });
        Schema::create('changes', function (Blueprint $table): void {
            $table->string('project_id', 20);
            $table->unsignedInteger('number');
            $table->foreignId('user_id')->constrained();
            $table->string('edit', 40);
            $table->string('kind', 4);
            $table->string('summary', 300);
            $table->unsignedInteger('reverses')->nullable();
            $table->unsignedInteger('reversed_by')->nullable();
            $table->longText('operations');
            $table->longText('touched');
            $table->timestamp('created_at')->useCurrent();
            $table->primary(['project_id', 'number']);
            $table->index(['project_id', 'user_id', 'number']);
            $table->foreign('project_id')->references('id')->on('projects')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        foreach (['changes', 'openings', 'unit_types', 'walls', 'outlines', 'storeys'] as $table) {
            Schema::dropIfExists($table);
        }
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
