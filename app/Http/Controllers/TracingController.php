<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Assembly\Assembly;
use App\Derived\Structure;
use App\Files\Foreign;
use App\Files\Store;
use App\Http\Api\ProblemResponse;
use App\Http\Asked;
use App\Http\Problems;
use App\Models\Project;
use App\Models\User;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Tracing;
use Isleward\Core\Tracing\Offered;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Response;

/** Drawings of others under the plan, and pictures beside the desk. */
#[OA\Schema(schema: 'Tracing', description: 'A drawing laid under the plan', required: [
    'id',
    'name',
    'storeys',
    'file',
    'width',
    'height',
    'x',
    'y',
    'scale',
    'angle',
    'opacity',
    'locked',
], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'storeys', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'file', type: 'string'),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'x', type: 'number'),
    new OA\Property(property: 'y', type: 'number'),
    new OA\Property(property: 'scale', type: 'number'),
    new OA\Property(property: 'angle', type: 'number'),
    new OA\Property(property: 'opacity', type: 'number'),
    new OA\Property(property: 'locked', type: 'boolean'),
])]
#[OA\Schema(schema: 'Picture', required: ['id', 'name', 'file'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'file', type: 'string'),
])]
#[OA\Schema(schema: 'ReadTracing', required: ['file', 'kind', 'width', 'height', 'lines', 'pages', 'page', 'notes'], properties: [
    new OA\Property(property: 'file', type: 'string'),
    new OA\Property(property: 'kind', type: 'string', enum: ['vector', 'picture']),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'lines', type: 'integer'),
    new OA\Property(property: 'pages', type: 'integer'),
    new OA\Property(property: 'page', type: 'integer'),
    new OA\Property(property: 'notes', type: 'array', items: new OA\Items(type: 'string')),
])]
#[OA\Schema(schema: 'TracedText', required: ['x', 'y', 'size', 'angle', 'text'], properties: [
    new OA\Property(property: 'x', type: 'number'),
    new OA\Property(property: 'y', type: 'number'),
    new OA\Property(property: 'size', type: 'number'),
    new OA\Property(property: 'angle', type: 'number'),
    new OA\Property(property: 'text', type: 'string'),
])]
#[OA\Schema(schema: 'TracedLines', required: ['width', 'height', 'lines', 'curves', 'lettering', 'texts'], properties: [
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'lines', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'curves', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'lettering', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'texts', type: 'array', items: new OA\Items(ref: '#/components/schemas/TracedText')),
])]
#[OA\Schema(schema: 'Candidate', required: ['host', 'from', 'to', 'width', 'rounded'], properties: [
    new OA\Property(property: 'host', type: 'string'),
    new OA\Property(property: 'from', type: 'number'),
    new OA\Property(property: 'to', type: 'number'),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'rounded', type: 'number'),
])]
#[OA\Schema(schema: 'OffMark', required: ['opening', 'sentence', 'by', 'args'], properties: [
    new OA\Property(property: 'opening', type: 'string'),
    new OA\Property(property: 'sentence', type: 'string'),
    new OA\Property(property: 'by', type: 'number'),
    new OA\Property(
        property: 'args',
        type: 'object',
        nullable: true,
        additionalProperties: true,
        description: 'Of the edit opening.change that moves it to its marks',
    ),
])]
#[OA\Schema(schema: 'Offered', required: ['lines', 'marks', 'undrawn', 'candidates', 'off'], properties: [
    new OA\Property(property: 'lines', type: 'integer'),
    new OA\Property(property: 'marks', type: 'integer'),
    new OA\Property(property: 'undrawn', type: 'integer', description: 'Openings in walls of which nothing is drawn'),
    new OA\Property(property: 'candidates', type: 'array', items: new OA\Items(ref: '#/components/schemas/Candidate')),
    new OA\Property(property: 'off', type: 'array', items: new OA\Items(ref: '#/components/schemas/OffMark')),
])]
final readonly class TracingController
{
    public function __construct(private Assembly $assembly, private Store $files, private Foreign $foreign)
    {
    }

    #[OA\Post(
        path: '/projects/{project}/uploads/tracing', operationId: 'uploadTracing',
        summary: 'Read a PNG, JPEG, SVG or a page of a PDF in, to be laid under a plan or pinned beside the desk',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'page', in: 'query', description: 'of a PDF; 1 when left out', schema: new OA\Schema(type: 'integer')),
            new OA\Parameter(
                name: 'picture',
                in: 'query',
                description: '1: only as a picture',
                schema: new OA\Schema(type: 'integer', enum: [0, 1]),
            ),
        ],
        requestBody: new OA\RequestBody(
            required: true,
            content: new OA\MediaType(mediaType: 'application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary')),
        ),
        responses: [
            new OA\Response(
                response: 200,
                description: 'What was read',
                content: new OA\JsonContent(ref: '#/components/schemas/ReadTracing'),
            ),
            new ProblemResponse(422, 'It cannot be'),
        ])]
    public function upload(Request $request, Project $project): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();
        $read = $this->foreign->read(
            $user,
            $request->boolean('picture') ? 'picture' : 'drawing',
            $request->getContent(),
            (string) Asked::whole($request, 'page', 1, 1, 100_000),
        );

        return new JsonResponse(['file' => $this->files->put($project, $read->content, $read->kind)] + $read->told);
    }

    #[OA\Get(path: '/projects/{project}/files/{file}', operationId: 'file', summary: 'The lines or the picture that was read in',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'file', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [
            new OA\Response(response: 200, description: 'Lines as JSON, or a PNG or JPEG', content: [
                new OA\MediaType(mediaType: 'application/json', schema: new OA\Schema(ref: '#/components/schemas/TracedLines')),
                new OA\MediaType(mediaType: 'image/png', schema: new OA\Schema(type: 'string', format: 'binary')),
                new OA\MediaType(mediaType: 'image/jpeg', schema: new OA\Schema(type: 'string', format: 'binary')),
            ]),
            new ProblemResponse(404, 'None'),
        ])]
    public function file(Project $project, string $file): Response
    {
        $content = $this->files->get($project, $file);
        if ($content === null) {
            return Problems::problem(404, 'file.missing', 'This file is not on the server. Where it is used it can be uploaded again.');
        }

        // its name is a hash of its content, so it never changes; it is shown, never run
        return new \Illuminate\Http\Response($content, 200, [
            'Content-Type' => match (substr($file, -3)) {
                'png' => 'image/png', 'jpg' => 'image/jpeg', default => 'application/json'
            },
            'Cache-Control' => 'private, max-age=31536000, immutable', 'X-Content-Type-Options' => 'nosniff',
            'Content-Disposition' => 'inline; filename="'.$file.'"',
        ]);
    }

    #[OA\Get(
        path: '/projects/{project}/marks/{storey}', operationId: 'marks',
        summary: 'What the vector tracings under a storey offer: openings along its walls, and jambs that lie off their marks',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'storey', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [new OA\Response(
            response: 200,
            description: 'What they offer',
            content: new OA\JsonContent(ref: '#/components/schemas/Offered'),
        )])]
    public function marks(Project $project, string $storey): JsonResponse
    {
        $structure = new Structure($this->assembly, $project);
        abort_unless($structure->design()->storeys->has($storey), 404);
        $design = $structure->with($structure->openings(static fn (Builder $q) => $q->where('storey_id', $storey)));
        $lines = [];
        foreach ($structure->keptOf(Kind::Tracing) as $tracing) {
            $content = $tracing instanceof Tracing
                            && $tracing->isVector()
                            && in_array($storey, $tracing->storeys, true) ? $this->files->get($project, $tracing->file) : null;
            $vectors = $content === null ? null : json_decode($content, true, 16, JSON_THROW_ON_ERROR);
            if ($tracing instanceof Tracing && is_array($vectors) && is_array($vectors['lines'] ?? null)) {
                array_push(
                    $lines,
                    ...$tracing->linesInPlan(
                        array_values(array_map(static fn (mixed $n): float => is_numeric($n) ? (float) $n : 0.0, $vectors['lines'])),
                    ),
                );
            }
        }

        return new JsonResponse(['lines' => intdiv(count($lines), 4)] + Offered::on($design, $structure->bodies(), $storey, $lines));
    }
}
