<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Units in the faces of roofs, and eaves that are cut square or level. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('roofs', static function (Blueprint $table): void {
            $table->json('lights')->nullable();
            $table->string('eaves_cut', 10)->default('upright');
        });
    }

    public function down(): void
    {
        Schema::table('roofs', static fn (Blueprint $table) => $table->dropColumn(['lights', 'eaves_cut']));
    }
};
