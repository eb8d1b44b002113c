<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Projects that are put aside, in the bin, or the demo. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('projects', static function (Blueprint $table): void {
            $table->timestamp('archived_at')->nullable();
            $table->timestamp('binned_at')->nullable()->index();
            $table->boolean('demo')->default(false);
        });
    }

    public function down(): void
    {
        Schema::table('projects', static fn (Blueprint $table) => $table->dropColumn(['archived_at', 'binned_at', 'demo']));
    }
};
