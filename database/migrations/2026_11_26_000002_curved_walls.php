<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What an arc keeps when its ends move, and how openings are cut into it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('walls', fn (Blueprint $table) => $table->string('keeps', 10)->default('rise'));
        Schema::table('openings', fn (Blueprint $table) => $table->string('jambs', 10)->nullable());
        Schema::table('projects', fn (Blueprint $table) => $table->string('jambs', 10)->default('parallel'));
    }

    public function down(): void
    {
        Schema::table('projects', fn (Blueprint $table) => $table->dropColumn('jambs'));
        Schema::table('openings', fn (Blueprint $table) => $table->dropColumn('jambs'));
        Schema::table('walls', fn (Blueprint $table) => $table->dropColumn('keeps'));
    }
};
