<?php

declare(strict_types=1);

use App\Models\Opening;
use App\Models\Project;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Route;

/* Only where ISLEWARD_BENCH is set: what edits and readings are measured against. */

Route::middleware(['auth', 'can:edit,project'])->post(
    'api/projects/{project}/bare-write', static function (Request $request, Project $project): JsonResponse {
        $project->update(['base_level' => (float) $request->integer('level')]);

        return new JsonResponse(['done' => true]);
    });

Route::middleware(['auth', 'can:view,project'])->prefix('api/projects/{project}')->group(static function (): void {
    Route::get('bare-bytes', static fn (Request $request, Project $project): Response => new Response(
        substr(base64_encode(random_bytes($request->integer('count'))), 0, $request->integer('count')),
        200,
        ['Content-Type' => 'application/json'],
    ));
    Route::get('bare-read', static fn (Project $project): JsonResponse => new JsonResponse(['name' => $project->name]));
    Route::get(
        'bare-query', static fn (Request $request, Project $project): JsonResponse => new JsonResponse(
            ['ids' => Opening::query()->toBase()->where('project_id', $project->id)
                ->where('unit_type_id', $request->query('type'))
                ->where('width', 1200)
                ->whereIn('host_id', explode(',', (string) $request->query('walls')))
                ->orderBy('id')
                ->get(['id', 'host_id', 'storey_id', 'height', 'sill'])->pluck('id')->all()]));
});
