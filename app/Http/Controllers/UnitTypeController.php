<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Assembly\Assembly;
use App\Derived\Structure;
use App\Exports\TypeSheets;
use App\Http\Api\ProblemResponse;
use App\Http\Asked;
use App\Models\Opening;
use App\Models\Project;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Isleward\Core\Building\Solved;
use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Drawing\Drawing;
use Isleward\Core\Drawing\UnitElevation;
use OpenApi\Attributes as OA;

final readonly class UnitTypeController
{
    /** Drawings asked for at once. */
    private const MOST = 100;

    public function __construct(private Assembly $assembly)
    {
    }

    #[OA\Get(
        path: '/projects/{project}/types/{type}', operationId: 'unitType',
        summary: 'A unit type with its make, and how many openings it fills',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'type', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [
            new OA\Response(
                response: 200, description: 'The type', content: new OA\JsonContent(required: ['type', 'openings'], properties: [
                    new OA\Property(property: 'type', ref: '#/components/schemas/UnitTypeValues'),
                    new OA\Property(property: 'openings', type: 'integer'),
                ])),
            new ProblemResponse(404, 'None'),
        ])]
    public function show(Project $project, string $type): JsonResponse
    {
        $found = (new Structure($this->assembly, $project))->design()->types[$type] ?? abort(404);
        $openings = Opening::query()->toBase()->where('project_id', $project->id)->where('unit_type_id', $type)->count();

        return new JsonResponse(['type' => array_diff_key($found->toArray(), ['position' => 1]), 'openings' => $openings]);
    }

    #[OA\Get(
        path: '/projects/{project}/unused-types', operationId: 'unusedTypes',
        summary: 'Unit types and grid types that fill nothing, neither openings nor cells nor rooflights',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(
            response: 200, description: 'The types',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(required: ['id', 'mark', 'madeToFit'], properties: [
                new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'mark', type: 'string'),
                new OA\Property(property: 'madeToFit', type: 'boolean', description: 'Whether it was made to the size of an opening'),
            ], type: 'object')),
        )])]
    public function unused(Project $project): JsonResponse
    {
        $structure = new Structure($this->assembly, $project);

        return new JsonResponse(array_map(static fn (UnitType|GridType $t): array => $t instanceof UnitType
            ? ['id' => $t->id, 'mark' => $t->mark, 'madeToFit' => $t->isMadeToFit()]
            : ['id' => $t->id(), 'mark' => $t->mark(), 'madeToFit' => false], TypeSheets::unused($project, $structure)));
    }

    #[OA\Get(path: '/projects/{project}/type-drawings', operationId: 'typeDrawings', summary: 'Elevations of unit types at their own sizes',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(
                name: 'ids',
                in: 'query',
                required: true,
                description: 'Ids with commas between them, 100 at the most',
                schema: new OA\Schema(type: 'string'),
            ),
        ],
        responses: [new OA\Response(
            response: 200,
            description: 'Shapes by type',
            content: new OA\JsonContent(
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
            ),
        )])]
    public function drawings(Request $request, Project $project): JsonResponse
    {
        $types = (new Structure($this->assembly, $project))->design()->types;
        $drawings = [];
        foreach (array_slice(explode(',', Asked::text($request, 'ids', '')), 0, self::MOST) as $id) {
            if (isset($types[$id])) {
                $drawings[$id] = Drawing::plain(UnitElevation::shapes(Solved::of($types[$id], $types[$id]->width, $types[$id]->height)));
            }
        }

        return new JsonResponse($drawings === [] ? (object) [] : $drawings);
    }
}
