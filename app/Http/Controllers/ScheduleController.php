<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Assembly\Assembly;
use App\Derived\Structure;
use App\Models\Project;
use Illuminate\Http\JsonResponse;
use Isleward\Core\Schedule\OpeningRow;
use Isleward\Core\Schedule\OpeningSchedule;
use Isleward\Core\Schedule\WallRow;
use Isleward\Core\Schedule\WallSchedule;
use OpenApi\Attributes as OA;

final readonly class ScheduleController
{
    public function __construct(private Assembly $assembly)
    {
    }

    #[OA\Get(path: '/projects/{project}/schedules/openings', operationId: 'openingSchedule', summary: 'Openings by type and size',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'Rows and totals', content: new OA\JsonContent(required: ['rows', 'count', 'area'], properties: [
            new OA\Property(property: 'rows', type: 'array', items: new OA\Items(ref: '#/components/schemas/OpeningRow')),
            new OA\Property(property: 'count', type: 'integer'),
            new OA\Property(property: 'area', type: 'number'),
        ]))])]
    public function openings(Project $project): JsonResponse
    {
        $structure = new Structure($this->assembly, $project);
        $schedule = OpeningSchedule::of($structure->with($structure->openings()));

        return new JsonResponse(['rows' => array_map(static fn (OpeningRow $r): array => $r->toArray(), $schedule->rows), 'count' => $schedule->count(), 'area' => $schedule->area()]);
    }

    #[OA\Get(path: '/projects/{project}/schedules/walls', operationId: 'wallSchedule', summary: 'Walls with gross and net areas',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'Rows and totals', content: new OA\JsonContent(required: ['rows', 'totals'], properties: [
            new OA\Property(property: 'rows', type: 'array', items: new OA\Items(ref: '#/components/schemas/WallRow')),
            new OA\Property(property: 'totals', required: ['length', 'gross', 'openings', 'net', 'count'], properties: [
                new OA\Property(property: 'length', type: 'number'),
                new OA\Property(property: 'gross', type: 'number'),
                new OA\Property(property: 'openings', type: 'number'),
                new OA\Property(property: 'net', type: 'number'),
                new OA\Property(property: 'count', type: 'integer'),
            ], type: 'object'),
        ]))])]
    public function walls(Project $project): JsonResponse
    {
        $structure = new Structure($this->assembly, $project);
        $schedule = WallSchedule::of($structure->with($structure->openings()), $structure->bodies(), $structure->frontages());

        return new JsonResponse(['rows' => array_map(static fn (WallRow $r): array => $r->toArray(), $schedule->rows), 'totals' => $schedule->totals()]);
    }
}
