<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Assembly\Assembly;
use App\Derived\Gather;
use App\Derived\Structure;
use App\Http\Api\ProblemResponse;
use App\Models\Project;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Isleward\Core\Measure\Fields;
use OpenApi\Attributes as OA;

final class GatherController
{
    #[OA\Get(path: '/projects/{project}/gather', operationId: 'gather', summary: 'Openings alike in all that is asked for',
        description: 'Several values of one thing have commas between them.',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'type', in: 'query', description: 'ids, or “bare”', schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'mark', in: 'query', schema: new OA\Schema(type: 'string')),
            new OA\Parameter(
                name: 'operation',
                in: 'query',
                schema: new OA\Schema(
                    type: 'string',
                    enum: [
                        'fixed',
                        'side-hung',
                        'top-hung',
                        'bottom-hung',
                        'tilt-and-turn',
                        'horizontal-pivot',
                        'vertical-pivot',
                        'hinged-door',
                    ],
                ),
            ),
            new OA\Parameter(name: 'width', in: 'query', description: 'A length', schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'height', in: 'query', description: 'A length', schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'storey', in: 'query', schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'host', in: 'query', schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'frontage', in: 'query', schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'facing', in: 'query', description: 'North, North-east …', schema: new OA\Schema(type: 'string')),
            new OA\Parameter(
                name: 'sill',
                in: 'query',
                description: 'A length over the storey’s floor',
                schema: new OA\Schema(type: 'string'),
            ),
            new OA\Parameter(
                name: 'head',
                in: 'query',
                description: 'A length over the storey’s floor',
                schema: new OA\Schema(type: 'string'),
            ),
        ],
        responses: [
            new OA\Response(
                response: 200, description: 'Their ids, and how many on each storey', content: new OA\JsonContent(
                    required: ['ids', 'byStorey'], properties: [
                        new OA\Property(property: 'ids', type: 'array', items: new OA\Items(type: 'string')),
                        new OA\Property(
                            property: 'byStorey',
                            type: 'object',
                            additionalProperties: new OA\AdditionalProperties(type: 'integer'),
                        ),
                    ])),
            new ProblemResponse(422, 'Something asked for cannot be'),
        ])]
    public function __invoke(Request $request, Project $project, Assembly $assembly): JsonResponse
    {
        $found = (new Gather(
            $project,
            new Structure($assembly, $project),
            new Fields($request->query(), $project->settings()->units),
        ))->found();

        return new JsonResponse(['ids' => $found['ids'], 'byStorey' => $found['byStorey'] === [] ? (object) [] : $found['byStorey']]);
    }
}
