<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80);
            $table->string('email')->unique();
            $table->string('password');
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('sessions', function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->foreignId('user_id')->nullable()->index();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload');
            $table->integer('last_activity')->index();
        });
        Schema::create('projects', function (Blueprint $table): void {
            $table->string('id', 20)->primary();
            $table->string('name', 80);
            $table->string('units', 8);
            $table->double('corner_margin');
            $table->double('base_level');
            $table->double('north');
            $table->unsignedInteger('change_number')->default(0);
            $table->timestamps();
        });
        Schema::create('memberships', function (Blueprint $table): void {
            $table->string('project_id', 20);
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('role', 10);
            $table->primary(['project_id', 'user_id']);
            $table->foreign('project_id')->references('id')->on('projects')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        foreach (['memberships', 'projects', 'sessions', 'users'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
