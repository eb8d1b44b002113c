<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Assembly\Assembly;
use App\Derived\Structure;
use App\Http\Api\ProblemResponse;
use App\Models\Project;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Isleward\Core\Bench\GridDraft;
use Isleward\Core\Bench\GridView;
use Isleward\Core\CurtainWall\Typical;
use Isleward\Core\Measure\Fields;
use OpenApi\Attributes as OA;

/** The grid bench: steps are worked out here, and nothing is stored until the type is saved by an edit. */
#[OA\Schema(schema: 'GridDraft', required: ['rules', 'corner'], properties: [
    new OA\Property(property: 'rules', type: 'object', additionalProperties: true),
    new OA\Property(property: 'corner', type: 'object', additionalProperties: true),
])]
#[OA\Schema(schema: 'GridDimension', required: ['from', 'to', 'size', 'path'], properties: [
    new OA\Property(property: 'from', type: 'number'),
    new OA\Property(property: 'to', type: 'number'),
    new OA\Property(property: 'size', type: 'number'),
    new OA\Property(property: 'path', type: 'string', nullable: true,
        description: 'The value that typing it changes; null for what is left'),
])]
#[OA\Schema(schema: 'GridBenchCell', required: [
    'name', 'bay', 'row', 'storeyRow', 'left', 'foot', 'box', 'clear', 'ring', 'says', 'infill',
], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'bay', type: 'integer'),
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'storeyRow', type: 'integer', description: 'Its row’s place in its storey'),
    new OA\Property(property: 'left', type: 'string'),
    new OA\Property(property: 'foot', type: 'string'),
    new OA\Property(property: 'box', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'clear', type: 'array', items: new OA\Items(type: 'number'),
        description: 'Width, height and area between members'),
    new OA\Property(property: 'ring', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'says', type: 'string'),
    new OA\Property(property: 'infill', type: 'object', additionalProperties: true),
])]
#[OA\Schema(schema: 'GridTakeOff', required: ['members', 'infills', 'glass', 'frameShare', 'weight', 'count', 'length', 'longest'],
    properties: [
        new OA\Property(property: 'members', type: 'array', items: new OA\Items(
            required: ['mark', 'what', 'profile', 'length', 'count'], properties: [
                new OA\Property(property: 'mark', type: 'string'), new OA\Property(property: 'what', type: 'string'),
                new OA\Property(property: 'profile', type: 'string'), new OA\Property(property: 'length', type: 'number'),
                new OA\Property(property: 'count', type: 'integer'),
            ])),
        new OA\Property(property: 'infills', type: 'array', items: new OA\Items(
            required: ['mark', 'what', 'shape', 'width', 'height', 'weight', 'count'], properties: [
                new OA\Property(property: 'mark', type: 'string'), new OA\Property(property: 'what', type: 'string'),
                new OA\Property(property: 'shape', type: 'string'), new OA\Property(property: 'width', type: 'number'),
                new OA\Property(property: 'height', type: 'number'), new OA\Property(property: 'weight', type: 'number'),
                new OA\Property(property: 'count', type: 'integer'),
            ])),
        new OA\Property(property: 'glass', type: 'number'),
        new OA\Property(property: 'frameShare', type: 'number'),
        new OA\Property(property: 'weight', type: 'number'),
        new OA\Property(property: 'count', type: 'integer'),
        new OA\Property(property: 'length', type: 'number'),
        new OA\Property(property: 'longest', type: 'number'),
    ])]
#[OA\Schema(schema: 'GridBenchView', required: [
    'draft', 'width', 'height', 'storey', 'storeys', 'floors', 'shapes', 'bays', 'rows', 'cells', 'chains', 'details', 'takeOff', 'doubts',
    'notes',
], properties: [
    new OA\Property(property: 'draft', ref: '#/components/schemas/GridDraft'),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'storey', type: 'number'),
    new OA\Property(property: 'storeys', type: 'integer'),
    new OA\Property(property: 'floors', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'shapes', type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
    new OA\Property(property: 'bays', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'cells', type: 'array', items: new OA\Items(ref: '#/components/schemas/GridBenchCell')),
    new OA\Property(property: 'chains', required: ['bays', 'rows'], properties: [
        new OA\Property(property: 'bays', type: 'array', items: new OA\Items(ref: '#/components/schemas/GridDimension')),
        new OA\Property(property: 'rows', type: 'array', items: new OA\Items(ref: '#/components/schemas/GridDimension')),
    ], type: 'object'),
    new OA\Property(property: 'details', type: 'array', items: new OA\Items(required: ['name', 'bounds', 'shapes'], properties: [
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'bounds', type: 'array', items: new OA\Items(type: 'number')),
        new OA\Property(property: 'shapes', type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
    ])),
    new OA\Property(property: 'takeOff', ref: '#/components/schemas/GridTakeOff'),
    new OA\Property(property: 'doubts', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'notes', type: 'array', items: new OA\Items(type: 'string')),
])]
final readonly class GridBenchController
{
    public function __construct(private Assembly $assembly)
    {
    }

    #[OA\Post(
        path: '/projects/{project}/grid-bench', operationId: 'gridBench',
        summary: 'Change values of a grid type that is being made, or none, and see a typical stretch of it',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(properties: [
            new OA\Property(property: 'draft', description: 'None for one to begin with', anyOf: [
                new OA\Schema(ref: '#/components/schemas/GridDraft'), new OA\Schema(type: 'null'),
            ]),
            new OA\Property(property: 'set', type: 'array', items: new OA\Items(required: ['path', 'value'], properties: [
                new OA\Property(property: 'path', type: 'string'),
                new OA\Property(property: 'value', description: 'A figure in mm or a text in the project’s units, or whatever stands there'),
            ])),
            new OA\Property(property: 'width', description: 'Of the typical stretch; none for a usual one', nullable: true, oneOf: [
                new OA\Schema(type: 'number'), new OA\Schema(type: 'string'),
            ]),
            new OA\Property(property: 'storeys', description: 'That it runs through; none for two', nullable: true, oneOf: [
                new OA\Schema(type: 'integer'), new OA\Schema(type: 'string'),
            ]),
            new OA\Property(property: 'storey', description: 'How high each is', nullable: true, oneOf: [
                new OA\Schema(type: 'number'), new OA\Schema(type: 'string'),
            ]),
        ])),
        responses: [
            new OA\Response(
                response: 200,
                description: 'What it is now',
                content: new OA\JsonContent(ref: '#/components/schemas/GridBenchView'),
            ),
            new ProblemResponse(422, 'It cannot be built so'),
        ])]
    public function view(Request $request, Project $project): JsonResponse
    {
        $design = (new Structure($this->assembly, $project))->design();
        $body = new Fields($request->json()->all(), $design->settings->units);
        $draft = $body->has('draft') ? GridDraft::from($body->fields('draft')) : GridDraft::fresh($design->settings->units);
        foreach ($body->has('set') ? $body->list('set') : [] as $set) {
            $draft = $draft->set($set->string('path'), $set->all()['value'] ?? null);
        }
        $width = $body->has('width') ? $body->size('width', 'The width of the stretch', 100.0) : Typical::usualWidth($draft->rules);
        $storey = $body->has('storey') ? $body->size('storey', 'The height of a storey', 300.0) : Typical::usualHeight($draft->rules);
        $storeys = $body->has('storeys') ? $body->count('storeys', 'The number of storeys', 1, 60) : 2;

        return new JsonResponse([
            'draft' => $draft->toArray(), 'storey' => $storey, 'storeys' => $storeys,
            ...GridView::of($draft, $design, $width, $storeys, $storey),
        ]);
    }
}
