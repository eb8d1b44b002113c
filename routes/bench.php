<?php

declare(strict_types=1);

use App\Models\Project;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Route;

/* Only where ISLEWARD_BENCH is set: what an edit is measured against. */

Route::middleware(['auth', 'can:edit,project'])->post('api/projects/{project}/bare-write', static function (Request $request, Project $project): JsonResponse {
    $project->update(['base_level' => (float) $request->integer('level')]);

    return new JsonResponse(['done' => true]);
});
