<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Lettered states of a project: what it was after so many changes of its log. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('revisions', function (Blueprint $table): void {
            $table->string('project_id', 20);
            $table->string('letter', 4)->collation('utf8mb4_bin');
            $table->unsignedInteger('number');
            $table->string('note', 300);
            $table->foreignId('user_id')->constrained();
            $table->timestamp('created_at')->useCurrent();
            $table->primary(['project_id', 'letter']);
            $table->foreign('project_id')->references('id')->on('projects')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('revisions');
    }
};
