<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Links by which somebody sets a new password: one a person, known only by a hash. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('password_resets', static function (Blueprint $table): void {
            $table->foreignId('user_id')->primary()->constrained()->cascadeOnDelete();
            $table->string('token_hash', 64)->unique();
            $table->timestamp('created_at');
        });
    }

    public function down(): void
    {
        Schema::drop('password_resets');
    }
};
