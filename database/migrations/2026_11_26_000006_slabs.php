<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Outlines may stand on slabs of their own. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('outlines', fn (Blueprint $table) => $table->double('slab')->nullable());
    }

    public function down(): void
    {
        Schema::table('outlines', fn (Blueprint $table) => $table->dropColumn('slab'));
    }
};
