<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('projects', function (Blueprint $table): void {
            $table->json('finishes')->nullable();
            $table->json('unit_rules')->nullable();
        });
        Schema::table('openings', fn (Blueprint $table) => $table->double('ajar')->nullable());
    }

    public function down(): void
    {
        Schema::table('projects', fn (Blueprint $table) => $table->dropColumn(['finishes', 'unit_rules']));
        Schema::table('openings', fn (Blueprint $table) => $table->dropColumn('ajar'));
    }
};
