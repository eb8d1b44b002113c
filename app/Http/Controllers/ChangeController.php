<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Asked;
use App\Models\Change;
use App\Models\Project;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ChangeLine', required: ['number', 'summary', 'kind', 'person', 'at'], properties: [
    new OA\Property(property: 'number', type: 'integer'),
    new OA\Property(property: 'summary', type: 'string'),
    new OA\Property(property: 'kind', type: 'string', enum: ['do', 'undo', 'redo']),
    new OA\Property(property: 'person', type: 'string'),
    new OA\Property(property: 'at', type: 'string', format: 'date-time'),
])]
final class ChangeController
{
    private const MOST = 200;

    #[OA\Get(path: '/projects/{project}/changes', operationId: 'changes', summary: 'The latest changes, by person and time',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(
                name: 'about',
                in: 'query',
                description: 'Only those that touched this element',
                schema: new OA\Schema(type: 'string'),
            ),
        ],
        responses: [
            new OA\Response(response: 200, description: 'Latest first', content: new OA\JsonContent(required: ['changes'], properties: [
                new OA\Property(property: 'changes', type: 'array', items: new OA\Items(ref: '#/components/schemas/ChangeLine')),
            ]))])]
    public function index(Request $request, Project $project): JsonResponse
    {
        $about = Asked::has($request, 'about') ? Asked::text($request, 'about') : null;
        $changes = $project->changes()->with('user')->orderByDesc('number')->limit(self::MOST)
            ->when($about !== null, static fn (Builder $q) => $q->whereRaw('json_contains(touched, json_quote(?))', [$about]))
            ->get(['project_id', 'number', 'user_id', 'kind', 'summary', 'created_at']);

        return new JsonResponse(['changes' => $changes->map(static fn (Change $c): array => [
            'number' => $c->number, 'summary' => $c->summary, 'kind' => $c->kind, 'person' => $c->user->name ?? '',
            'at' => now()->parse($c->getAttribute('created_at'))->toIso8601ZuluString(),
        ])->all()]);
    }
}
