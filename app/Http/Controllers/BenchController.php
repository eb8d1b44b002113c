<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api\ProblemResponse;
use App\Models\Project;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Isleward\Core\Bench\Draft;
use Isleward\Core\Bench\Steps;
use Isleward\Core\Bench\View;
use Isleward\Core\Exchange\Glb;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Scene\Scene;
use Isleward\Core\Scene\UnitPieces;
use OpenApi\Attributes as OA;

/** The unit bench: takes a step on a draft and shows what it comes to. Nothing is kept here; a finished draft is saved by an edit. */
#[OA\Schema(
    schema: 'UnitTypeValues', description: 'What a unit type is made of', required: [
        'mark',
        'name',
        'width',
        'height',
        'sill',
        'tree',
    ], properties: [
        new OA\Property(property: 'id', type: 'string'),
        new OA\Property(property: 'mark', type: 'string'),
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'width', type: 'number'),
        new OA\Property(property: 'height', type: 'number'),
        new OA\Property(property: 'sill', type: 'number'),
        new OA\Property(property: 'tree', type: 'object', additionalProperties: true),
    ])]
#[OA\Schema(schema: 'BenchDimension', required: [
    'side',
    'row',
    'axis',
    'from',
    'to',
    'value',
    'kind',
    'typed',
    'step',
    'args',
    'field',
    'label',
], properties: [
    new OA\Property(property: 'side', type: 'string', enum: ['below', 'above', 'left', 'right', 'slope']),
    new OA\Property(property: 'row', type: 'integer', description: 'Counted from the unit outward'),
    new OA\Property(property: 'axis', type: 'string', enum: ['x', 'y', 'angle']),
    new OA\Property(property: 'from', type: 'number'),
    new OA\Property(property: 'to', type: 'number'),
    new OA\Property(property: 'value', type: 'number', description: 'mm, or degrees of an angle'),
    new OA\Property(property: 'kind', type: 'string', enum: ['part', 'between', 'overall', 'rise', 'angle']),
    new OA\Property(property: 'typed', type: 'boolean', description: 'Typed rather than what is left'),
    new OA\Property(property: 'step', type: 'string'),
    new OA\Property(property: 'args', type: 'object', additionalProperties: true),
    new OA\Property(property: 'field', type: 'string', description: 'The argument that the figure is'),
    new OA\Property(property: 'label', type: 'string'),
    new OA\Property(property: 'path', type: 'string', description: 'Of the division it measures'),
    new OA\Property(property: 'at', type: 'number'),
])]
#[OA\Schema(schema: 'BenchLight', required: [
    'path',
    'operation',
    'label',
    'ring',
    'box',
    'area',
    'values',
    'leaves',
    'free',
    'louvre',
], properties: [
    new OA\Property(property: 'path', type: 'string'),
    new OA\Property(property: 'operation', type: 'string'),
    new OA\Property(property: 'label', type: 'string'),
    new OA\Property(property: 'ring', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'box', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'area', type: 'number'),
    new OA\Property(property: 'values', type: 'object', additionalProperties: true),
    new OA\Property(
        property: 'leaves',
        type: 'array',
        items: new OA\Items(
            required: ['width', 'height', 'weight'],
            properties: [
                new OA\Property(property: 'width', type: 'number'),
                new OA\Property(property: 'height', type: 'number'),
                new OA\Property(property: 'weight', type: 'number'),
            ],
        ),
    ),
    new OA\Property(
        property: 'free',
        required: ['width', 'height', 'area', 'air'],
        properties: [
            new OA\Property(property: 'width', type: 'number'),
            new OA\Property(property: 'height', type: 'number'),
            new OA\Property(property: 'area', type: 'number'),
            new OA\Property(property: 'air', type: 'number'),
        ],
        type: 'object',
    ),
    new OA\Property(
        property: 'louvre',
        required: ['count', 'pitch', 'gap', 'end', 'length', 'free'],
        properties: [
            new OA\Property(property: 'count', type: 'integer'),
            new OA\Property(property: 'pitch', type: 'number'),
            new OA\Property(property: 'gap', type: 'number'),
            new OA\Property(property: 'end', type: 'number'),
            new OA\Property(property: 'length', type: 'number'),
            new OA\Property(property: 'free', type: 'number'),
        ],
        type: 'object',
        nullable: true,
    ),
])]
#[OA\Schema(schema: 'BenchDivider', required: ['path', 'index', 'axis', 'at', 'face', 'from', 'to', 'least', 'most'], properties: [
    new OA\Property(property: 'path', type: 'string'),
    new OA\Property(property: 'index', type: 'integer'),
    new OA\Property(property: 'axis', type: 'string', enum: ['x', 'y']),
    new OA\Property(property: 'at', type: 'number'),
    new OA\Property(property: 'face', type: 'number'),
    new OA\Property(property: 'from', type: 'number'),
    new OA\Property(property: 'to', type: 'number'),
    new OA\Property(property: 'least', type: 'number'),
    new OA\Property(property: 'most', type: 'number'),
])]
#[OA\Schema(schema: 'BenchFigures', required: ['area', 'glass', 'frameShare', 'weight', 'free', 'clear', 'louvre'], properties: [
    new OA\Property(property: 'area', type: 'number', description: 'mm²'),
    new OA\Property(property: 'glass', type: 'number'),
    new OA\Property(property: 'frameShare', type: 'number'),
    new OA\Property(
        property: 'weight',
        required: ['glass', 'infill', 'frame', 'total'],
        properties: [
            new OA\Property(property: 'glass', type: 'number'),
            new OA\Property(property: 'infill', type: 'number'),
            new OA\Property(property: 'frame', type: 'number'),
            new OA\Property(property: 'total', type: 'number'),
        ],
        type: 'object',
    ),
    new OA\Property(property: 'free', type: 'number', description: 'Clear opening of all lights, wholly open, mm²'),
    new OA\Property(
        property: 'clear',
        required: ['width', 'height'],
        properties: [new OA\Property(property: 'width', type: 'number'), new OA\Property(property: 'height', type: 'number')],
        type: 'object',
    ),
    new OA\Property(property: 'louvre', type: 'number', description: 'Free area of louvres, mm²'),
])]
#[OA\Schema(schema: 'BenchView', required: [
    'width',
    'height',
    'tree',
    'elevation',
    'plan',
    'section',
    'cuts',
    'depth',
    'dimensions',
    'lights',
    'dividers',
    'figures',
    'doubts',
    'members',
    'panes',
    'hardware',
], properties: [
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'tree', type: 'object', additionalProperties: true),
    new OA\Property(property: 'elevation', type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
    new OA\Property(property: 'plan', type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
    new OA\Property(property: 'section', type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
    new OA\Property(
        property: 'cuts',
        required: ['x', 'y'],
        properties: [new OA\Property(property: 'x', type: 'number'), new OA\Property(property: 'y', type: 'number')],
        type: 'object',
    ),
    new OA\Property(property: 'depth', type: 'number'),
    new OA\Property(property: 'dimensions', type: 'array', items: new OA\Items(ref: '#/components/schemas/BenchDimension')),
    new OA\Property(property: 'lights', type: 'array', items: new OA\Items(ref: '#/components/schemas/BenchLight')),
    new OA\Property(property: 'dividers', type: 'array', items: new OA\Items(ref: '#/components/schemas/BenchDivider')),
    new OA\Property(property: 'figures', ref: '#/components/schemas/BenchFigures'),
    new OA\Property(
        property: 'doubts',
        type: 'array',
        items: new OA\Items(
            required: ['rule', 'path', 'figure', 'what'],
            properties: [
                new OA\Property(property: 'rule', type: 'string'),
                new OA\Property(property: 'path', type: 'string'),
                new OA\Property(property: 'figure', type: 'number'),
                new OA\Property(property: 'what', type: 'string'),
            ],
        ),
    ),
    new OA\Property(
        property: 'members',
        type: 'array',
        items: new OA\Items(
            required: ['what', 'part', 'face', 'depth', 'length', 'ends', 'radius', 'count'],
            properties: [
                new OA\Property(property: 'what', type: 'string'),
                new OA\Property(property: 'part', type: 'string'),
                new OA\Property(property: 'face', type: 'number'),
                new OA\Property(property: 'depth', type: 'number'),
                new OA\Property(property: 'length', type: 'number'),
                new OA\Property(property: 'ends', type: 'array', items: new OA\Items(type: 'number')),
                new OA\Property(property: 'radius', type: 'number', nullable: true),
                new OA\Property(property: 'count', type: 'integer'),
            ],
        ),
    ),
    new OA\Property(
        property: 'panes',
        type: 'array',
        items: new OA\Items(
            required: ['glass', 'width', 'height', 'rectangular', 'area', 'perimeter', 'weight', 'count'],
            properties: [
                new OA\Property(property: 'glass', type: 'string'),
                new OA\Property(property: 'width', type: 'number'),
                new OA\Property(property: 'height', type: 'number'),
                new OA\Property(property: 'rectangular', type: 'boolean'),
                new OA\Property(property: 'area', type: 'number'),
                new OA\Property(property: 'perimeter', type: 'number'),
                new OA\Property(property: 'weight', type: 'number'),
                new OA\Property(property: 'count', type: 'integer'),
            ],
        ),
    ),
    new OA\Property(property: 'hardware', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer')),
])]
final class BenchController
{
    #[OA\Post(
        path: '/projects/{project}/bench', operationId: 'bench', summary: 'Take a step on a unit that is being made, or none, and see it',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['draft'], properties: [
            new OA\Property(property: 'draft', required: ['width', 'height', 'tree'], properties: [
                new OA\Property(property: 'width', type: 'number'), new OA\Property(property: 'height', type: 'number'),
                new OA\Property(property: 'tree', type: 'object', additionalProperties: true),
            ], type: 'object'),
            new OA\Property(
                property: 'steps',
                type: 'array',
                items: new OA\Items(
                    required: ['step', 'args'],
                    properties: [
                        new OA\Property(property: 'step', type: 'string'),
                        new OA\Property(property: 'args', type: 'object', additionalProperties: true),
                    ],
                ),
            ),
            new OA\Property(property: 'ajar', type: 'number', nullable: true, description: '0 to 1; null as the type shows itself'),
            new OA\Property(
                property: 'light',
                type: 'string',
                nullable: true,
                description: 'The light that plan and section are cut through',
            ),
            new OA\Property(property: 'inside', type: 'boolean', description: 'The elevation seen from inside'),
        ])),
        responses: [
            new OA\Response(
                response: 200,
                description: 'What it is now',
                content: new OA\JsonContent(ref: '#/components/schemas/BenchView'),
            ),
            new ProblemResponse(422, 'It cannot be built so'),
        ])]
    public function view(Request $request, Project $project): JsonResponse
    {
        $settings = $project->settings();
        $body = new Fields($request->json()->all(), $settings->units);
        $draft = Draft::from($body->fields('draft'));
        foreach ($body->has('steps') ? $body->list('steps') : [] as $step) {
            $draft = Steps::take($draft, $step->string('step'), $step->fields('args'));
        }

        return new JsonResponse(View::of(
            $draft,
            $settings,
            $body->shareOrNull('ajar'),
            $body->stringOrNull('light'),
            $body->bool('inside'),
        ));
    }

    #[OA\Post(path: '/projects/{project}/bench/solid', operationId: 'benchSolid', summary: 'A unit that is being made as GLB',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['draft'], properties: [
            new OA\Property(property: 'draft', type: 'object', additionalProperties: true),
            new OA\Property(property: 'ajar', type: 'number', nullable: true),
        ])),
        responses: [new OA\Response(
            response: 200,
            description: 'Binary glTF',
            content: new OA\MediaType(mediaType: 'model/gltf-binary', schema: new OA\Schema(type: 'string', format: 'binary')),
        )])]
    public function solid(Request $request, Project $project): Response
    {
        $settings = $project->settings();
        $body = new Fields($request->json()->all(), $settings->units);
        $unit = Draft::from($body->fields('draft'))->solved();
        $pieces = UnitPieces::of($unit, $settings, 0.0, true, $unit->depth(), $body->shareOrNull('ajar'));

        return new Response(
            Glb::write(Scene::unit('unit', $pieces)),
            200,
            ['Content-Type' => 'model/gltf-binary', 'Cache-Control' => 'no-store'],
        );
    }
}
