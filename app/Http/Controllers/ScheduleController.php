<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Derived\Schedules;
use App\Models\Project;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Schedule\Field;
use Isleward\Core\Schedule\Layout;
use Isleward\Core\Schedule\Source;
use OpenApi\Attributes as OA;

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
            new OA\Response(response: 404, description: 'None', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
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
            new OA\Response(
                response: 422,
                description: 'It cannot be laid out so',
                content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
            ),
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
