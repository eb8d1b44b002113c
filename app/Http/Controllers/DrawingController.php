<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Assembly\Assembly;
use App\Derived\ElevationView;
use App\Derived\Structure;
use App\Derived\Worked;
use App\Http\Api\ProblemResponse;
use App\Http\Asked;
use App\Models\Project;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\Acceptance;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\SectionLine;
use Isleward\Core\Drawing\Drawing;
use Isleward\Core\Drawing\Plan;
use Isleward\Core\Drawing\PlanSpots;
use Isleward\Core\Drawing\Section;
use Isleward\Core\Exchange\Glb;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Scene\Scene;
use OpenApi\Attributes as OA;

/** What is worked out from a design, by frontage and by storey, answered 304 when the content is the same. */
#[OA\Schema(
    schema: 'Shape', description: 'A line, an area, an arc or a text of a drawing, on its layer', required: [
        'layer',
        'kind',
        'rings',
    ], properties: [
        new OA\Property(property: 'layer', type: 'string'),
        new OA\Property(property: 'kind', type: 'string', enum: ['area', 'line', 'arc', 'text']),
        new OA\Property(property: 'rings', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
        new OA\Property(property: 'dashed', type: 'boolean'),
        new OA\Property(property: 'text', type: 'string'),
        new OA\Property(property: 'part', type: 'string', description: 'In a plan, of a curtain wall: the cell or member it is of'),
        new OA\Property(
            property: 'curves',
            type: 'array',
            description: 'By ring: sides that are curves, [number of the point it begins at, centre x, centre y, half axis x, half axis y, start, sweep, and for an ellipse that is turned by how much]',
            items: new OA\Items(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
        ),
    ])]
#[OA\Schema(schema: 'Drawing', required: ['title', 'bounds', 'shapes', 'symbols', 'placements'], properties: [
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'bounds', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'shapes', type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
    new OA\Property(
        property: 'symbols',
        type: 'object',
        additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
    ),
    new OA\Property(property: 'placements', type: 'array', items: new OA\Items(ref: '#/components/schemas/Placement')),
])]
#[OA\Schema(schema: 'PlanSpot', required: ['host', 'opening', 'name', 'depth', 'run', 'x', 'y'], properties: [
    new OA\Property(property: 'host', type: 'string'),
    new OA\Property(property: 'opening', type: 'string', nullable: true, description: 'Whose jamb it is; null for a corner'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'depth', type: 'number', description: 'Of its face behind the outer one'),
    new OA\Property(property: 'run', type: 'number', description: 'From the left end along that face, along the arc of a curved one'),
    new OA\Property(property: 'x', type: 'number'),
    new OA\Property(property: 'y', type: 'number'),
])]
#[OA\Schema(schema: 'Plan', required: ['storey', 'drawing', 'walls', 'openings', 'spots'], properties: [
    new OA\Property(
        property: 'spots',
        type: 'array',
        description: 'Corners and jambs, named, on both faces',
        items: new OA\Items(ref: '#/components/schemas/PlanSpot'),
    ),
    new OA\Property(
        property: 'walls',
        type: 'array',
        description: 'Which wall each shape of the drawing is',
        items: new OA\Items(type: 'string'),
    ),
    new OA\Property(property: 'storey', type: 'string'),
    new OA\Property(property: 'drawing', ref: '#/components/schemas/Drawing'),
    new OA\Property(
        property: 'openings',
        type: 'object',
        additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
    ),
])]
#[OA\Schema(schema: 'SectionLine', required: ['id', 'name', 'fromX', 'fromY', 'toX', 'toY'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'fromX', type: 'number'),
    new OA\Property(property: 'fromY', type: 'number'),
    new OA\Property(property: 'toX', type: 'number'),
    new OA\Property(property: 'toY', type: 'number'),
])]
#[OA\Schema(schema: 'CutOpening', required: ['id', 'x0', 'x1', 'sill', 'head'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'x0', type: 'number'),
    new OA\Property(property: 'x1', type: 'number'),
    new OA\Property(property: 'sill', type: 'number'),
    new OA\Property(property: 'head', type: 'number'),
])]
#[OA\Schema(schema: 'Section', required: ['drawing', 'line', 'openings'], properties: [
    new OA\Property(property: 'drawing', ref: '#/components/schemas/Drawing'),
    new OA\Property(property: 'line', ref: '#/components/schemas/SectionLine'),
    new OA\Property(property: 'openings', type: 'array', items: new OA\Items(ref: '#/components/schemas/CutOpening')),
])]
final readonly class DrawingController
{
    public function __construct(private Assembly $assembly)
    {
    }

    #[OA\Get(
        path: '/projects/{project}/elevations/{frontage}', operationId: 'elevation',
        summary: 'A frontage with its openings, lines to catch on and findings',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(
                name: 'frontage',
                in: 'path',
                required: true,
                description: 'Its id, or “first” for the one a desk shows first, whichever that is',
                schema: new OA\Schema(type: 'string'),
            ),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'The elevation',
                content: new OA\JsonContent(ref: '#/components/schemas/Elevation'),
            ),
            new OA\Response(response: 204, description: 'There is no frontage that could be the first'),
            new OA\Response(response: 304, description: 'As you have it'),
        ])]
    public function elevation(Request $request, Project $project, string $frontage): Response
    {
        $known = $this->known($request, $project, "elevation $frontage", 'application/json');
        if ($known !== null) {
            return $known;
        }
        $structure = new Structure($this->assembly, $project);
        $found = $frontage === 'first' ? $structure->firstFrontage() : $this->found($structure, $frontage);
        if ($found === null) {
            return new Response(status: 204);
        }
        $openings = $structure->openingsOf($found);
        $walls = array_keys($found->walls);
        $acceptances = $structure->acceptances($walls);
        $hash = $structure->hash(
            'elevation '.$found->id.' '.json_encode(
                array_map(static fn (Acceptance $a): array => $a->toArray(), $acceptances),
                JSON_THROW_ON_ERROR,
            ),
            $openings,
            $walls,
        );

        $this->isKnown($project, "elevation $frontage", $hash);

        return $this->answer($request, $hash, 'application/json', static fn (): string => json_encode(
            ElevationView::of($structure->with($openings, $walls), $structure->bodies(), $found, $acceptances),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION));
    }

    #[OA\Get(path: '/projects/{project}/plans/{storey}', operationId: 'plan', summary: 'A storey’s plan',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'storey', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [
            new OA\Response(response: 200, description: 'The plan', content: new OA\JsonContent(ref: '#/components/schemas/Plan')),
            new OA\Response(response: 304, description: 'As you have it'),
        ])]
    public function plan(Request $request, Project $project, string $storey): Response
    {
        $known = $this->known($request, $project, "plan $storey", 'application/json');
        if ($known !== null) {
            return $known;
        }
        $structure = new Structure($this->assembly, $project);
        abort_unless($structure->design()->storeys->has($storey), 404);
        $openings = $structure->openings(static fn (Builder $q) => $q->where('storey_id', $storey));
        $hash = $structure->hash('plan '.$storey, $openings);
        $this->isKnown($project, "plan $storey", $hash);

        return $this->answer(
            $request, $hash, 'application/json', static function () use ($structure, $openings, $storey): string {
                $design = $structure->with($openings);
                [$drawing, $units, $walls] = Plan::of($design, $structure->bodies(), $storey);

                return json_encode([
                    'storey' => $storey,
                    'drawing' => $drawing->toArray(),
                    'walls' => $walls,
                    'spots' => array_map(
                        static fn (PlanSpots $s): array => $s->toArray(),
                        PlanSpots::of($design, $structure->bodies(), $storey),
                    ),
                    'openings' => $units === [] ? (object) [] : array_map(Drawing::plain(...), $units),
                ], JSON_THROW_ON_ERROR);
            });
    }

    #[OA\Get(path: '/projects/{project}/scenes/{frontage}', operationId: 'scene', summary: 'A frontage’s solid parts as GLB',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'frontage', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'Binary glTF',
                content: new OA\MediaType(mediaType: 'model/gltf-binary', schema: new OA\Schema(type: 'string', format: 'binary')),
            ),
            new OA\Response(response: 304, description: 'As you have it'),
        ])]
    public function scene(Request $request, Project $project, string $frontage): Response
    {
        $known = $this->known($request, $project, "scene $frontage", 'model/gltf-binary');
        if ($known !== null) {
            return $known;
        }
        $structure = new Structure($this->assembly, $project);
        $found = $this->found($structure, $frontage);
        $openings = $structure->openingsOf($found);
        $hash = $structure->hash('scene '.$found->id, $openings);
        $this->isKnown($project, "scene $frontage", $hash);

        return $this->answer(
            $request, $hash, 'model/gltf-binary', static fn (): string => Glb::write(Scene::of(
                $found->name, $structure->with($openings), array_intersect_key($structure->bodies(), $found->walls))));
    }

    #[OA\Get(
        path: '/projects/{project}/sections', operationId: 'section',
        summary: 'The building cut upright: along a kept section line, a line given, or square through an opening',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'line', in: 'query', description: 'id of a kept one', schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'opening', in: 'query', schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'points', in: 'query', description: 'x,y,x,y in mm', schema: new OA\Schema(type: 'string')),
            new OA\Parameter(
                name: 'letters',
                in: 'query',
                description: 'Height of its texts, mm on the drawing; 180 when left out, 0 for no levels',
                schema: new OA\Schema(type: 'number'),
            ),
        ],
        responses: [
            new OA\Response(response: 200, description: 'The section', content: new OA\JsonContent(ref: '#/components/schemas/Section')),
            new OA\Response(response: 304, description: 'As you have it'),
            new ProblemResponse(404, 'None'),
        ])]
    public function section(Request $request, Project $project): Response
    {
        $structure = new Structure($this->assembly, $project);
        $openings = $structure->openings();
        $design = $structure->with($openings);
        $line = $this->line($request, $structure, $design);

        $letters = Asked::number($request, 'letters', 180.0, 0.0, 2000.0);

        return $this->answer(
            $request, $structure->hash(
                "section $letters ".serialize($line->toArray()),
                $openings,
            ), 'application/json', static function () use ($structure, $design, $line, $letters): string {
                [$drawing, $cut] = Section::of($design, $structure->bodies(), $line, $letters);

                return json_encode(
                    ['drawing' => $drawing->toArray(), 'line' => $line->toArray(), 'openings' => $cut],
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
                );
            });
    }

    private function line(Request $request, Structure $structure, Design $design): SectionLine
    {
        if (Asked::has($request, 'opening')) {
            $id = Asked::text($request, 'opening');

            return isset($design->openings[$id]) ? Section::through($design, $structure->bodies(), $id) : abort(404);
        }
        if (Asked::has($request, 'line')) {
            foreach ($structure->keptOf(Kind::Section) as $kept) {
                if ($kept instanceof SectionLine && $kept->id === Asked::text($request, 'line')) {
                    return $kept;
                }
            }
            abort(404);
        }
        $p = array_map(
            static fn (string $n): float|string => is_numeric($n) ? (float) $n : $n,
            explode(',', Asked::text($request, 'points', '')),
        );

        return SectionLine::from(
            new Fields([
                'id' => '',
                'name' => 'as drawn',
                'fromX' => $p[0],
                'fromY' => $p[1] ?? null,
                'toX' => $p[2] ?? null,
                'toY' => $p[3] ?? null,
            ]),
        );
    }

    private function found(Structure $structure, string $frontage): Frontage
    {
        return $structure->frontage($frontage) ?? abort(404);
    }

    /**
     * What was answered since the latest change, without reading a row for it. Null where it was not asked for since, or is not kept any
     * more.
     */
    private function known(Request $request, Project $project, string $what, string $type): ?Response
    {
        $hash = Worked::find(Worked::since($project, $what));
        if ($hash === null) {
            return null;
        }
        $response = self::empty($hash, $type);
        if ($response->isNotModified($request)) {
            return $response;
        }
        $kept = Worked::find($hash);

        return $kept === null ? null : $response->setContent($kept);
    }

    private function isKnown(Project $project, string $what, string $hash): void
    {
        Worked::keep(Worked::since($project, $what), $hash);
    }

    private static function empty(string $hash, string $type): Response
    {
        $response = new Response('', 200, ['Content-Type' => $type, 'Cache-Control' => 'private, no-cache']);
        $response->setEtag($hash);

        return $response;
    }

    /** @param  \Closure(): string  $make */
    private function answer(Request $request, string $hash, string $type, \Closure $make): Response
    {
        $response = self::empty($hash, $type);
        if (! $response->isNotModified($request)) {
            $response->setContent(Worked::out($hash, $make));
        }

        return $response;
    }
}
