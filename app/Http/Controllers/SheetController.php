<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editing\Key;
use App\Exports\Pdf;
use App\Exports\SheetPlans;
use App\Exports\TypeSheets;
use App\Http\Api\ProblemResponse;
use App\Http\Asked;
use App\Models\Project;
use App\Models\User;
use App\Tasks\Lane;
use App\Tasks\Tasks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Sheet\SheetPlaces;
use Isleward\Core\Sheet\SheetPlan;
use OpenApi\Attributes as OA;

/** Sheets of unit types, and sheets of drawings. */
#[OA\Schema(
    schema: 'SheetItem', description: 'A drawing or schedule on a sheet', required: ['kind', 'ref', 'scale', 'x', 'y'], properties: [
        new OA\Property(property: 'kind', type: 'string', enum: ['elevation', 'plan', 'section', 'schedule']),
        new OA\Property(property: 'ref', type: 'string', description: 'Frontage, “outside”, “inside”, storey, section line or layout'),
        new OA\Property(property: 'scale', type: 'number'),
        new OA\Property(property: 'x', type: 'number'),
        new OA\Property(property: 'y', type: 'number'),
    ])]
#[OA\Schema(schema: 'WantedItem', required: ['kind', 'ref'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: ['elevation', 'plan', 'section', 'schedule']),
    new OA\Property(property: 'ref', type: 'string'),
    new OA\Property(property: 'scale', type: 'number', nullable: true),
    new OA\Property(property: 'x', type: 'number', nullable: true),
    new OA\Property(property: 'y', type: 'number', nullable: true),
])]
#[OA\Schema(schema: 'SheetPlan', required: ['id', 'name', 'number', 'paper', 'items'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'number', type: 'string'),
    new OA\Property(
        property: 'paper',
        type: 'string',
        enum: ['A4', 'A3', 'A2', 'A1', 'A0', 'ANSI-A', 'ANSI-B', 'ANSI-C', 'ANSI-D', 'ANSI-E'],
    ),
    new OA\Property(property: 'items', type: 'array', items: new OA\Items(ref: '#/components/schemas/SheetItem')),
])]
#[OA\Schema(schema: 'SheetBlock', required: ['title', 'x', 'y', 'width', 'height', 'problem'], properties: [
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'x', type: 'number'),
    new OA\Property(property: 'y', type: 'number'),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'problem', type: 'string', nullable: true),
])]
#[OA\Schema(schema: 'DrawnSheet', required: ['plan', 'size', 'pages', 'blocks'], properties: [
    new OA\Property(property: 'plan', ref: '#/components/schemas/SheetPlan'),
    new OA\Property(property: 'size', type: 'array', items: new OA\Items(type: 'number'), description: 'Width and height of the paper, mm'),
    new OA\Property(property: 'pages', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'blocks', type: 'array', items: new OA\Items(ref: '#/components/schemas/SheetBlock')),
])]
final readonly class SheetController
{
    private const PAPERS = ['A4', 'A3', 'A2', 'A1', 'A0', 'ANSI-A', 'ANSI-B', 'ANSI-C', 'ANSI-D', 'ANSI-E'];

    public function __construct(private TypeSheets $sheets, private SheetPlans $plans)
    {
    }

    #[OA\Get(path: '/projects/{project}/types/{type}/sheet', operationId: 'unitSheet', summary: 'The sheet of a unit type, as SVG by page',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'type', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(
                name: 'paper',
                in: 'query',
                description: 'A3 when left out',
                schema: new OA\Schema(type: 'string', enum: self::PAPERS),
            ),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'Pages',
                content: new OA\JsonContent(
                    required: ['pages'],
                    properties: [new OA\Property(property: 'pages', type: 'array', items: new OA\Items(type: 'string'))],
                ),
            ),
            new ProblemResponse(404, 'None'),
        ])]
    public function show(Request $request, Project $project, string $type): JsonResponse
    {
        return new JsonResponse(['pages' => $this->pages($request, $project, $type)]);
    }

    #[OA\Get(
        path: '/projects/{project}/exports/sheets/{type}.{format}', operationId: 'exportSheet',
        summary: 'The sheet of a unit type or a grid type as a file: SVG of its first page, or PDF of them all',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'type', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'format', in: 'path', required: true, schema: new OA\Schema(type: 'string', enum: ['svg', 'pdf'])),
            new OA\Parameter(name: 'paper', in: 'query', schema: new OA\Schema(type: 'string', enum: self::PAPERS)),
            new OA\Parameter(name: 'page', in: 'query', description: 'of an SVG; 1 when left out', schema: new OA\Schema(type: 'integer')),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'SVG or PDF',
                content: [
                    new OA\MediaType(mediaType: 'image/svg+xml', schema: new OA\Schema(type: 'string')),
                    new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')),
                ],
            ),
            new ProblemResponse(404, 'None'),
        ])]
    public function file(Request $request, Project $project, string $type, string $format): Response
    {
        return self::asFile($this->pages($request, $project, $type), 'type-sheet', $format, Asked::whole($request, 'page', 1, 1, 100_000));
    }

    #[OA\Post(
        path: '/projects/{project}/sheets', operationId: 'makeSheets',
        summary: 'Draw sheets into one file; it goes on as a task, whose file can be fetched when it is done',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['paper', 'format'], properties: [
            new OA\Property(
                property: 'ids',
                type: 'array',
                description: 'of sheets, unit types and grid types; all when left out',
                items: new OA\Items(type: 'string'),
            ),
            new OA\Property(property: 'paper', type: 'string', enum: self::PAPERS, description: 'for the types'),
            new OA\Property(property: 'format', type: 'string', enum: ['pdf', 'zip'], description: 'one PDF, or an archive of SVG files'),
            new OA\Property(property: 'key', type: 'string', description: 'Asked for again under the same key it is not begun twice'),
        ])),
        responses: [
            new OA\Response(response: 202, description: 'Begun', content: new OA\JsonContent(ref: '#/components/schemas/Task')),
            new ProblemResponse(422, 'Cannot be drawn'),
            new ProblemResponse(429, 'Too many are being made already'),
        ])]
    public function make(Request $request, Project $project, Tasks $tasks): JsonResponse
    {
        $body = new Fields($request->json()->all());
        $args = [
            'paper' => TypeSheets::paper($body->string('paper'))->value,
            'format' => $body->string('format'),
        ] + ($body->has('ids') ? ['ids' => $body->strings('ids')] : []);
        if (! in_array($args['format'], ['pdf', 'zip'], true)) {
            throw Refusal::because('sheets.format', 'Sheets are written as one PDF, or as an archive of SVG files.');
        }
        /** @var User $user */
        $user = $request->user();

        return new JsonResponse($tasks->begin($project, $user, Lane::Files, 'sheets', $args, key: Key::of($body))->toView(), 202);
    }

    #[OA\Post(
        path: '/projects/{project}/sheet-plans', operationId: 'drawSheet',
        summary: 'A sheet of drawings as it would be: items without a place or a scale get one',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(
            required: true, content: new OA\JsonContent(required: ['name', 'number', 'paper', 'items'], properties: [
                new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'number', type: 'string'),
                new OA\Property(property: 'paper', type: 'string', enum: self::PAPERS),
                new OA\Property(property: 'items', type: 'array', items: new OA\Items(ref: '#/components/schemas/WantedItem')),
            ])),
        responses: [
            new OA\Response(response: 200, description: 'Its pages', content: new OA\JsonContent(ref: '#/components/schemas/DrawnSheet')),
            new ProblemResponse(422, 'Not so'),
        ])]
    public function draw(Request $request, Project $project): JsonResponse
    {
        $body = new Fields($request->json()->all());
        $drawings = $this->plans->drawings($project);
        $number = static fn (Fields $f, string $name): ?float => $f->has($name) ? $f->number($name) : null;
        $items = SheetPlaces::of($drawings, TypeSheets::paper($body->string('paper')), array_map(static fn (Fields $f): array => [
            'kind' => $f->string('kind'), 'ref' => $f->string('ref'), 'scale' => $number($f, 'scale'), 'x' => $number($f, 'x'),
            'y' => $number($f, 'y')], $body->list('items')));
        $plan = SheetPlan::from(new Fields(['id' => '', 'items' => $items] + $body->all()));

        return new JsonResponse(
            ['plan' => $plan->toArray(), 'size' => $plan->paper->size()] + $this->plans->pages($project, $drawings, $plan),
        );
    }

    #[OA\Get(
        path: '/projects/{project}/exports/sheet-plans/{sheet}.{format}', operationId: 'exportSheetPlan',
        summary: 'A sheet of drawings as a file: SVG of one page, or PDF of them all',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'sheet', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'format', in: 'path', required: true, schema: new OA\Schema(type: 'string', enum: ['svg', 'pdf'])),
            new OA\Parameter(name: 'page', in: 'query', description: 'of an SVG; 1 when left out', schema: new OA\Schema(type: 'integer')),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'SVG or PDF',
                content: [
                    new OA\MediaType(mediaType: 'image/svg+xml', schema: new OA\Schema(type: 'string')),
                    new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')),
                ],
            ),
            new ProblemResponse(404, 'None'),
        ])]
    public function planFile(Request $request, Project $project, string $sheet, string $format): Response
    {
        $plan = $this->plans->find($project, $sheet) ?? abort(404);

        return self::asFile(
            $this->plans->pages($project, $this->plans->drawings($project), $plan)['pages'],
            'sheet-'.$plan->number,
            $format,
            Asked::whole($request, 'page', 1, 1, 100_000),
        );
    }

    /** @param  list<string>  $pages */
    private static function asFile(array $pages, string $name, string $format, int $page): Response
    {
        $content = $format === 'pdf' ? Pdf::of($pages === [] ? abort(404) : $pages) : $pages[$page - 1] ?? abort(404);

        return new Response($content, 200, [
            'Content-Type' => $format === 'pdf' ? 'application/pdf' : 'image/svg+xml',
            'Content-Disposition' => sprintf(
                'attachment; filename="%s%s.%s"',
                preg_replace('/[^\w.-]+/', '-', $name),
                $format === 'svg' && $page > 1 ? "-$page" : '',
                $format,
            ),
        ]);
    }

    /** @return non-empty-list<string> */
    private function pages(Request $request, Project $project, string $type): array
    {
        $pages = $this->sheets->of($project, $type, TypeSheets::paper(Asked::text($request, 'paper', 'A3')));

        return $pages === null || $pages === [] ? abort(404) : $pages;
    }
}
