<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Invitations, read-only links, who is in a project now, and the mail that the simulated outbox holds. */
return new class extends Migration
{
    public function up(): void
    {
        // of a read-only link: it is signed in by the link alone
        Schema::table('users', fn (Blueprint $table) => $table->boolean('guest')->default(false));
        Schema::create('invitations', function (Blueprint $table): void {
            $table->string('id', 26)->primary();
            $table->string('project_id', 20)->index();
            $table->string('email');
            $table->string('role', 10);
            $table->string('token_hash', 64)->unique();
            $table->foreignId('user_id')->constrained();
            $table->timestamp('created_at')->useCurrent();
            $table->timestamp('expires_at')->nullable();
            $table->timestamp('accepted_at')->nullable();
            $table->timestamp('withdrawn_at')->nullable();
            $table->foreign('project_id')->references('id')->on('projects')->cascadeOnDelete();
        });
        Schema::create('links', function (Blueprint $table): void {
            $table->string('id', 26)->primary();
            $table->string('project_id', 20)->index();
            $table->string('name', 80);
            $table->string('token_hash', 64)->unique();
            $table->foreignId('guest_id')->constrained('users');
            $table->foreignId('user_id')->constrained();
            $table->timestamp('created_at')->useCurrent();
            $table->timestamp('used_at')->nullable();
            $table->timestamp('ended_at')->nullable();
            $table->foreign('project_id')->references('id')->on('projects')->cascadeOnDelete();
        });
        Schema::create('presences', function (Blueprint $table): void {
            $table->string('project_id', 20);
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('place', 80);
            $table->timestamp('seen_at');
            $table->primary(['project_id', 'user_id']);
            $table->foreign('project_id')->references('id')->on('projects')->cascadeOnDelete();
        });
        Schema::create('letters', function (Blueprint $table): void {
            $table->string('id', 26)->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('recipient');
            $table->string('subject', 200);
            $table->text('body');
            $table->timestamp('created_at')->useCurrent();
        });
    }

    public function down(): void
    {
        foreach (['letters', 'presences', 'links', 'invitations'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn('guest'));
    }
};
