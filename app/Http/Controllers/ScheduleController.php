<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Derived\Schedules;
use App\Http\Api\ProblemResponse;
use App\Models\Project;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Schedule\Field;
use Isleward\Core\Schedule\Layout;
use Isleward\Core\Schedule\Source;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'LayoutColumn', required: ['key', 'name'], properties: [
    new OA\Property(property: 'key', type: 'string'),
    new OA\Property(property: 'name', type: 'string', nullable: true),
])]
#[OA\Schema(schema: 'LayoutSort', required: ['key', 'down'], properties: [
    new OA\Property(property: 'key', type: 'string'),
    new OA\Property(property: 'down', type: 'boolean'),
])]
#[OA\Schema(schema: 'LayoutFilter', required: ['key', 'test', 'value'], properties: [
    new OA\Property(property: 'key', type: 'string'),
    new OA\Property(property: 'test', type: 'string', enum: ['is', 'is-not', 'holds', 'above', 'below']),
    new OA\Property(property: 'value', type: 'string'),
])]
#[OA\Schema(schema: 'Layout', required: ['id', 'name', 'source', 'columns', 'merge', 'groups', 'sort', 'filters', 'totals'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'source', type: 'string', enum: [
        'openings', 'types', 'walls', 'runs', 'members', 'infills', 'joints', 'cutting', 'fins', 'fin-cutting',
        'floor-bands', 'battens', 'screens', 'cut-outs', 'roofs', 'roof-lines', 'rooflights',
    ]),
    new OA\Property(property: 'columns', type: 'array', items: new OA\Items(ref: '#/components/schemas/LayoutColumn')),
    new OA\Property(property: 'merge', type: 'boolean'),
    new OA\Property(property: 'groups', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'sort', type: 'array', items: new OA\Items(ref: '#/components/schemas/LayoutSort')),
    new OA\Property(property: 'filters', type: 'array', items: new OA\Items(ref: '#/components/schemas/LayoutFilter')),
    new OA\Property(property: 'totals', type: 'boolean'),
])]
#[OA\Schema(schema: 'ReportField', required: ['key', 'name', 'measured', 'summed'], properties: [
    new OA\Property(property: 'key', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'measured', type: 'string', enum: ['text', 'count', 'length', 'area', 'volume', 'weight', 'share']),
    new OA\Property(property: 'summed', type: 'boolean'),
])]
#[OA\Schema(schema: 'ReportColumn', required: ['key', 'heading', 'measured'], properties: [
    new OA\Property(property: 'key', type: 'string'),
    new OA\Property(property: 'heading', type: 'string'),
    new OA\Property(property: 'measured', type: 'string', enum: ['text', 'count', 'length', 'area', 'volume', 'weight', 'share']),
])]
#[OA\Schema(schema: 'ReportRow', required: ['kind', 'text', 'values', 'elements'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: ['row', 'group', 'sum']),
    new OA\Property(property: 'text', type: 'string'),
    new OA\Property(
        property: 'values',
        type: 'array',
        items: new OA\Items(oneOf: [new OA\Schema(type: 'string'), new OA\Schema(type: 'number'), new OA\Schema(type: 'null')]),
        description: 'Lengths in mm, areas in mm²',
    ),
    new OA\Property(property: 'elements', type: 'array', items: new OA\Items(type: 'string')),
])]
#[OA\Schema(schema: 'Report', required: ['name', 'layout', 'fields', 'columns', 'rows', 'totals'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'layout', ref: '#/components/schemas/Layout'),
    new OA\Property(property: 'fields', type: 'array', items: new OA\Items(ref: '#/components/schemas/ReportField')),
    new OA\Property(property: 'columns', type: 'array', items: new OA\Items(ref: '#/components/schemas/ReportColumn')),
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(ref: '#/components/schemas/ReportRow')),
    new OA\Property(
        property: 'totals',
        nullable: true,
        type: 'array',
        items: new OA\Items(oneOf: [new OA\Schema(type: 'string'), new OA\Schema(type: 'number'), new OA\Schema(type: 'null')]),
    ),
])]
final readonly class ScheduleController
{
    public function __construct(private Schedules $schedules)
    {
    }

    #[OA\Get(
        path: '/projects/{project}/schedules/{layout}', operationId: 'schedule',
        summary: 'A schedule in a layout: by-type, each, types or walls, or one that was kept',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'layout', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [
            new OA\Response(response: 200, description: 'Its rows', content: new OA\JsonContent(ref: '#/components/schemas/Report')),
            new ProblemResponse(404, 'None'),
        ])]
    public function show(Project $project, string $layout): JsonResponse
    {
        $source = null;
        $found = $this->schedules->layout($project, $layout) ?? abort(404);
        $report = $this->schedules->report($project, $found, $source);

        return $this->answer($found, $report->toArray(), $source);
    }

    #[OA\Post(path: '/projects/{project}/schedules', operationId: 'tryLayout', summary: 'A schedule in a layout that is not kept yet',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Layout')),
        responses: [
            new OA\Response(response: 200, description: 'Its rows', content: new OA\JsonContent(ref: '#/components/schemas/Report')),
            new ProblemResponse(422, 'It cannot be laid out so'),
        ])]
    public function try(Request $request, Project $project): JsonResponse
    {
        $source = null;
        $layout = Layout::from(new Fields(['id' => '', ...$request->json()->all()], $project->settings()->units));
        $report = $this->schedules->report($project, $layout, $source);

        return $this->answer($layout, $report->toArray(), $source);
    }

    /** @param  array<string, mixed>  $report */
    private function answer(Layout $layout, array $report, Source $source): JsonResponse
    {
        return new JsonResponse(
            [
                'layout' => $layout->toArray(),
                'fields' => array_values(
                    array_map(
                        static fn (Field $f): array => [
                            'key' => $f->key,
                            'name' => $f->name,
                            'measured' => $f->measured->value,
                            'summed' => $f->summed,
                        ],
                        $source->fields,
                    ),
                ),
            ] + $report,
        );
    }
}
