<?php

declare(strict_types=1);

namespace App\Http\Controllers;

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
use Isleward\Core\Scene\UnitParts;
use OpenApi\Attributes as OA;

/** The unit bench: takes a step on a draft and shows what it comes to. Nothing is kept here; a finished draft is saved by an edit. */
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
            new OA\Response(
                response: 422,
                description: 'It cannot be built so',
                content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
            ),
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
        $geometry = UnitParts::geometry($unit, $settings, 0.0, true, $unit->depth(), $body->shareOrNull('ajar'));

        return new Response(
            Glb::write(Scene::unit('unit', $geometry)),
            200,
            ['Content-Type' => 'model/gltf-binary', 'Cache-Control' => 'no-store'],
        );
    }
}
