<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Each change knows the key it was asked for under; tasks take their turns; mail addresses are compared letter by letter; what is counted
 * has a table.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('changes', function (Blueprint $table): void {
            $table->string('key', 40)->charset('ascii')->collation('ascii_bin')->nullable();
            // what was told of it besides its operations: what to choose, what did not fit, what was to be said
            $table->longText('told')->nullable();
            $table->unique(['project_id', 'user_id', 'key']);
        });
        foreach (['projects', 'revisions'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->string('key', 40)->charset('ascii')->collation('ascii_bin')->nullable();
            });
        }
        Schema::table('tasks', function (Blueprint $table): void {
            $table->string('key', 40)->charset('ascii')->collation('ascii_bin')->default('');
            $table->string('lane', 10)->default('edits');
            // when its turn came, µs since 1970
            $table->unsignedBigInteger('started')->nullable();
            $table->index(['lane', 'state']);
            $table->index(['project_id', 'key']);
        });
        foreach (['users', 'invitations'] as $table) {
            DB::table($table)->update(['email' => DB::raw('lower(email)')]);
            DB::statement("ALTER TABLE `$table` MODIFY `email` VARCHAR(255) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL");
        }
        Schema::create('cache', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->mediumText('value');
            $table->integer('expiration');
        });
        Schema::create('cache_locks', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->string('owner');
            $table->integer('expiration');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('cache_locks');
        Schema::dropIfExists('cache');
        foreach (['users', 'invitations'] as $table) {
            DB::statement("ALTER TABLE `$table` MODIFY `email` VARCHAR(255) CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci NOT NULL");
        }
        Schema::table('tasks', function (Blueprint $table): void {
            $table->dropIndex(['project_id', 'key']);
            $table->dropIndex(['lane', 'state']);
            $table->dropColumn(['key', 'lane', 'started']);
        });
        foreach (['projects', 'revisions'] as $name) {
            Schema::table($name, fn (Blueprint $table) => $table->dropColumn('key'));
        }
        Schema::table('changes', function (Blueprint $table): void {
            $table->dropUnique(['project_id', 'user_id', 'key']);
            $table->dropColumn(['key', 'told']);
        });
    }
};
