<?php

declare(strict_types=1);

namespace App\Derived;

use Isleward\Core\Building\Abutment;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\FaceArea;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Building\Nib;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Findings;
use Isleward\Core\Check\WallInQuestion;
use Isleward\Core\Design\Acceptance;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\LineAxis;
use Isleward\Core\Design\Namings;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Design\Tie;
use Isleward\Core\Drawing\Catches;
use Isleward\Core\Drawing\CatchKind;
use Isleward\Core\Drawing\CatchLine;
use Isleward\Core\Drawing\Drawing;
use Isleward\Core\Drawing\Elevation;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\Symbols;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Unit\SolvedLight;
use OpenApi\Attributes as OA;

/**
 * What the desk shows of a frontage: its drawing, its openings with their rules and figures, its setting-out lines, lines to catch on,
 * findings.
 */
#[OA\Schema(
    schema: 'Position', description: 'Where along its wall something is, as it was said', required: [
        'from',
        'value',
        'ref',
        'point',
        'at',
        'face',
        'to',
    ], properties: [
        new OA\Property(property: 'from', type: 'string', enum: ['left', 'right', 'middle', 'fraction', 'point', 'line', 'opening']),
        new OA\Property(property: 'value', type: 'number'),
        new OA\Property(property: 'ref', type: 'string', nullable: true),
        new OA\Property(property: 'point', type: 'string', enum: ['left', 'centre', 'right']),
        new OA\Property(property: 'at', type: 'number'),
        new OA\Property(property: 'face', type: 'string', enum: ['outer', 'inner']),
        new OA\Property(property: 'to', type: 'string', enum: ['near', 'far', 'centre']),
    ])]
#[OA\Schema(schema: 'Sill', required: ['from', 'height', 'ref', 'point', 'edge'], properties: [
    new OA\Property(property: 'from', type: 'string', enum: ['floor', 'foot', 'datum', 'line', 'opening']),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'ref', type: 'string', nullable: true),
    new OA\Property(property: 'point', type: 'string', enum: ['sill', 'head']),
    new OA\Property(property: 'edge', type: 'string', enum: ['sill', 'head']),
])]
#[OA\Schema(schema: 'SettingOutLine', required: ['id', 'name', 'host', 'storey', 'axis', 'rule', 'u', 'levels', 'hangs'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'host', type: 'string'),
    new OA\Property(property: 'storey', type: 'string', nullable: true),
    new OA\Property(property: 'axis', type: 'string', enum: ['upright', 'level']),
    new OA\Property(
        property: 'rule',
        type: 'object',
        additionalProperties: true,
        description: 'As a position when upright, as a sill when level',
    ),
    new OA\Property(property: 'u', type: 'number', nullable: true, description: 'On the frontage, when upright'),
    new OA\Property(property: 'levels', type: 'array', items: new OA\Items(required: ['storey', 'level'], properties: [
        new OA\Property(property: 'storey', type: 'string', nullable: true),
        new OA\Property(property: 'level', type: 'number'),
    ], type: 'object')),
    new OA\Property(property: 'hangs', type: 'integer', description: 'How many things are placed from it'),
])]
#[OA\Schema(schema: 'Coordinated', required: ['width', 'height', 'fromLeft', 'fromRight'], properties: [
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'fromLeft', type: 'number'),
    new OA\Property(property: 'fromRight', type: 'number'),
])]
#[OA\Schema(schema: 'PlacedOpening', required: [
    'id',
    'host',
    'storey',
    'type',
    'width',
    'height',
    'shape',
    'position',
    'sill',
    'facesOut',
    'mirrored',
    'setback',
    'ajar',
    'mark',
    'jambs',
    'curtain',
    'label',
    'symbol',
    'u',
    'left',
    'span',
    'bow',
    'fromLeft',
    'fromRight',
    'nibs',
    'sillLevel',
    'headLevel',
    'area',
    'coordinated',
], properties: [
    new OA\Property(property: 'area', type: 'number', description: 'What it takes out of the wall, mm²'),
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'host', type: 'string'),
    new OA\Property(property: 'storey', type: 'string'),
    new OA\Property(property: 'type', type: 'string', nullable: true),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'shape', type: 'array', nullable: true, items: new OA\Items(type: 'number')),
    new OA\Property(property: 'position', ref: '#/components/schemas/Position'),
    new OA\Property(property: 'sill', ref: '#/components/schemas/Sill'),
    new OA\Property(property: 'facesOut', type: 'boolean'),
    new OA\Property(property: 'mirrored', type: 'boolean'),
    new OA\Property(property: 'setback', type: 'number'),
    new OA\Property(property: 'ajar', type: 'number', nullable: true, description: 'How far it is shown open, 0 to 1; null as its type is'),
    new OA\Property(property: 'mark', type: 'string', nullable: true, description: 'Of its own'),
    new OA\Property(
        property: 'jambs',
        description: 'How it is cut into a curved wall; null as the project says',
        anyOf: [
            new OA\Schema(type: 'string', enum: ['parallel', 'radial', 'bent']),
            new OA\Schema(type: 'null'),
        ],
    ),
    new OA\Property(
        property: 'curtain',
        description: 'Curtain wall that fills it',
        anyOf: [new OA\Schema(ref: '#/components/schemas/Curtain'), new OA\Schema(type: 'null')],
    ),
    new OA\Property(property: 'label', type: 'string'),
    new OA\Property(property: 'symbol', type: 'string'),
    new OA\Property(property: 'u', type: 'number', description: 'Left jamb on the frontage'),
    new OA\Property(property: 'left', type: 'number', description: 'Left jamb from the wall’s left end'),
    new OA\Property(property: 'span', type: 'number', description: 'From jamb to jamb along the outer face: its width, in a flat wall'),
    new OA\Property(property: 'bow', type: 'number', description: 'How far the face stands off the chord between its jambs; outward, mm'),
    new OA\Property(property: 'fromLeft', type: 'number', description: 'Left jamb from where the wall is measured from'),
    new OA\Property(property: 'fromRight', type: 'number', description: 'Right jamb from where it is measured to'),
    new OA\Property(
        property: 'nibs',
        description: 'What is left of the wall beside it: to a wall that meets it there, or of an inner wall to its clear end',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/Nib'),
    ),
    new OA\Property(
        property: 'coordinated',
        description: 'Nearest figures of the project’s masonry',
        anyOf: [new OA\Schema(ref: '#/components/schemas/Coordinated'), new OA\Schema(type: 'null')],
    ),
    new OA\Property(property: 'sillLevel', type: 'number'),
    new OA\Property(property: 'headLevel', type: 'number'),
])]
#[OA\Schema(schema: 'Nib', required: ['side', 'width', 'wall'], properties: [
    new OA\Property(property: 'side', type: 'string', enum: ['left', 'right']),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'wall', type: 'string', nullable: true, description: 'Name of the wall that meets it; null at its end'),
])]
#[OA\Schema(schema: 'Remedy', required: ['label', 'edit', 'args'], properties: [
    new OA\Property(property: 'label', type: 'string'),
    new OA\Property(property: 'edit', type: 'string'),
    new OA\Property(property: 'args', type: 'object', additionalProperties: true),
])]
#[OA\Schema(schema: 'Finding', required: ['key', 'rule', 'host', 'elements', 'figure', 'sentence', 'at', 'remedy'], properties: [
    new OA\Property(property: 'key', type: 'string', description: 'What it is about'),
    new OA\Property(property: 'rule', type: 'string'),
    new OA\Property(property: 'host', type: 'string'),
    new OA\Property(property: 'elements', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'figure', type: 'number'),
    new OA\Property(property: 'sentence', type: 'string'),
    new OA\Property(property: 'at', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'remedy', anyOf: [new OA\Schema(ref: '#/components/schemas/Remedy'), new OA\Schema(type: 'null')]),
    new OA\Property(
        property: 'accepted',
        description: 'Accepted, with a reason',
        anyOf: [
            new OA\Schema(
                required: ['id', 'note'],
                properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'note', type: 'string')],
                type: 'object',
            ),
            new OA\Schema(type: 'null'),
        ],
    ),
])]
#[OA\Schema(schema: 'Placement', required: ['symbol', 'x', 'y', 'element'], properties: [
    new OA\Property(property: 'symbol', type: 'string'),
    new OA\Property(property: 'x', type: 'number'),
    new OA\Property(property: 'y', type: 'number'),
    new OA\Property(property: 'element', type: 'string'),
])]
#[OA\Schema(schema: 'Catch', required: ['at', 'name', 'kind', 'element', 'side'], properties: [
    new OA\Property(property: 'at', type: 'number'),
    new OA\Property(property: 'name', description: 'For people; nothing is decided by it', type: 'string'),
    new OA\Property(
        property: 'kind',
        type: 'string',
        enum: ['end', 'middle', 'face', 'nib', 'margin', 'jamb', 'centre', 'sill', 'head', 'line'],
    ),
    new OA\Property(
        property: 'element',
        description: 'The opening, wall or setting-out line it belongs to',
        type: 'string',
        nullable: true,
    ),
    new OA\Property(
        property: 'side',
        type: 'string',
        description: 'Of what it belongs to, as seen from outside: left or right',
        nullable: true,
    ),
])]
#[OA\Schema(schema: 'Catches', required: ['upright', 'level'], properties: [
    new OA\Property(property: 'upright', type: 'array', items: new OA\Items(ref: '#/components/schemas/Catch')),
    new OA\Property(property: 'level', type: 'array', items: new OA\Items(ref: '#/components/schemas/Catch')),
])]
#[OA\Schema(schema: 'UnitFigures', required: ['glass', 'frameShare', 'door', 'operations'], properties: [
    new OA\Property(property: 'operations', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'glass', type: 'number', description: 'mm²'),
    new OA\Property(property: 'frameShare', type: 'number'),
    new OA\Property(property: 'door', type: 'boolean'),
])]
#[OA\Schema(schema: 'Meeting', required: ['from', 'to', 'foot', 'head', 'inside', 'name'], properties: [
    new OA\Property(property: 'from', type: 'number', description: 'Along the wall from its left end'),
    new OA\Property(property: 'to', type: 'number'),
    new OA\Property(property: 'foot', type: 'number'),
    new OA\Property(property: 'head', type: 'number'),
    new OA\Property(property: 'inside', type: 'boolean', description: 'Against its inner face'),
    new OA\Property(property: 'name', type: 'string'),
])]
#[OA\Schema(schema: 'Elevation', required: [
    'frontage',
    'drawing',
    'openings',
    'lines',
    'figures',
    'catches',
    'meets',
    'areas',
    'findings',
    'grids',
    'bands',
    'hosts',
], properties: [
    new OA\Property(
        property: 'hosts',
        type: 'array',
        description: 'Which wall each shape of the drawing is',
        items: new OA\Items(type: 'string'),
    ),
    new OA\Property(property: 'bands', type: 'array', items: new OA\Items(ref: '#/components/schemas/PlacedBand')),
    new OA\Property(
        property: 'grids',
        type: 'array',
        description: 'Its curtain walls',
        items: new OA\Items(ref: '#/components/schemas/CurtainGrid'),
    ),
    new OA\Property(property: 'lines', type: 'array', items: new OA\Items(ref: '#/components/schemas/SettingOutLine')),
    new OA\Property(property: 'frontage', type: 'string'),
    new OA\Property(property: 'drawing', ref: '#/components/schemas/Drawing'),
    new OA\Property(property: 'openings', type: 'array', items: new OA\Items(ref: '#/components/schemas/PlacedOpening')),
    new OA\Property(
        property: 'figures',
        type: 'object',
        additionalProperties: new OA\AdditionalProperties(
            anyOf: [new OA\Schema(ref: '#/components/schemas/UnitFigures'), new OA\Schema(type: 'null')],
        ),
    ),
    new OA\Property(
        property: 'catches',
        type: 'object',
        additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/Catches'),
    ),
    new OA\Property(
        property: 'areas', type: 'object', description: 'By wall, mm²', additionalProperties: new OA\AdditionalProperties(
            required: ['gross', 'cutOut', 'net', 'openings', 'shapes'], properties: [
                new OA\Property(property: 'gross', type: 'number'), new OA\Property(property: 'cutOut', type: 'number'),
                new OA\Property(property: 'net', type: 'number'), new OA\Property(property: 'openings', type: 'integer'),
                new OA\Property(
                    property: 'shapes',
                    description: 'Of all its openings, each whole: more than is cut out where they overlap or reach beyond the wall',
                    type: 'number',
                )], type: 'object')),
    new OA\Property(
        property: 'meets',
        type: 'object',
        description: 'Walls that end against each, by wall',
        additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(ref: '#/components/schemas/Meeting')),
    ),
    new OA\Property(property: 'findings', type: 'array', items: new OA\Items(ref: '#/components/schemas/Finding')),
])]
final readonly class ElevationView
{
    /** @param  array<string, Body>  $bodies */
    private function __construct(private Design $design, private array $bodies, private Frontage $frontage)
    {
    }

    /**
     * @param  array<string, Body>  $bodies
     * @param  list<Acceptance>  $acceptances  of findings, in any of the frontage's walls
     * @return array<string, mixed>
     */
    public static function of(Design $design, array $bodies, Frontage $frontage, array $acceptances): array
    {
        return (new self($design, $bodies, $frontage))->view($acceptances);
    }

    /**
     * @param  list<Acceptance>  $acceptances
     * @return array<string, mixed>
     */
    private function view(array $acceptances): array
    {
        $openings = $catches = $findings = $figures = $questions = $meets = [];
        foreach (array_keys($this->frontage->walls) as $wall) {
            $questions[$wall] = WallInQuestion::of($this->design, $this->bodies[$wall]);
        }
        $lines = $this->lines();
        foreach ($this->frontage->walls as $wall => $u) {
            $around = [];
            foreach ($questions as $other => $question) {
                foreach ($question->placed as $p) {
                    $around[] = [$p, $this->frontage->walls[$other] - $u];
                }
            }
            $meets[$wall] = array_map(
                fn (Abutment $a): array => [
                    'from' => $a->from, 'to' => $a->to, 'foot' => $a->foot, 'head' => $a->head, 'inside' => $a->inside,
                    'name' => $this->design->outlines[$a->wall->outline]->name ?? 'inner wall'], $questions[$wall]->abutments);
            $catches[$wall] = array_map(
                static fn (array $these): array => array_map(static fn (CatchLine $c): array => $c->toArray(), $these),
                Catches::of($this->design, $this->bodies[$wall], $around, self::catchable($lines, $u)),
            );
            foreach ($questions[$wall]->placed as $p) {
                $symbol = Symbols::key($p->opening);
                $unit = Symbols::solved($this->design, $p->opening);
                $figures[$symbol] ??= $unit === null ? null : [
                    'glass' => $unit->glassArea(),
                    'frameShare' => $unit->frameShare(),
                    'door' => $unit->hasDoor(),
                    'operations' => array_values(
                        array_unique(array_map(static fn (SolvedLight $l): string => $l->light->operation->value, $unit->lights)),
                    ),
                ];
                $openings[] = ['nibs' => $this->nibs($p, $questions[$wall])] + $this->opening($p, $symbol, $u);
            }
            foreach (Findings::of($this->design, $this->bodies[$wall]) as $finding) {
                $findings[] = self::finding($finding, $u, $acceptances);
            }
        }

        [$drawing, $hosts] = Elevation::withHosts($this->design, $this->bodies, $this->frontage);
        // fins and floor bands come by themselves, to be drawn over the openings
        $behind = array_filter($drawing->shapes, static fn (Shape $s): bool => $s->layer !== Layer::Fin && $s->layer !== Layer::Floor
            && $s->layer !== Layer::Screen && $s->layer !== Layer::Roof && ! $s->before);
        $hosts = array_values(array_intersect_key($hosts, $behind));
        $drawing = new Drawing($drawing->title, $drawing->bounds, array_values($behind), $drawing->symbols, $drawing->placements);

        return [
            'frontage' => $this->frontage->id,
            'drawing' => $drawing->toArray(),
            'hosts' => $hosts,
            'bands' => [
                ...ScreenView::of($this->design, $this->frontage),
                ...RoofView::of($this->design, $this->bodies, $this->frontage),
                ...FloorBandView::of($this->design, $this->bodies, $this->frontage),
                ...FieldView::of($this->design, $this->frontage),
                ...BandView::of($this->design, $this->bodies, $this->frontage),
            ],
            'openings' => $openings,
            'lines' => $lines,
            'figures' => $figures === [] ? (object) [] : $figures,
            'catches' => $catches,
            'meets' => $meets,
            'areas' => array_map(fn (WallInQuestion $q): array => FaceArea::of($this->design, $q->body)->toArray(), $questions),
            'findings' => $findings,
            'grids' => CurtainView::of($this->design, $this->bodies, $this->frontage),
        ];
    }

    /** @return array<string, mixed> */
    private function opening(PlacedOpening $p, string $symbol, float $u): array
    {
        $body = $this->bodies[$p->opening->host];
        $module = $this->design->settings->module;

        $values = $p->opening->toArray();
        if (is_array($values['curtain'])) {
            unset($values['curtain']['byHand']); // it comes with the grid
        }

        return [...$values, 'label' => $this->design->label($p->opening), 'symbol' => $symbol, 'u' => $u + $p->left,
            'left' => $p->left, 'span' => $p->right - $p->left, 'bow' => $p->bow($body->surface),
            'fromLeft' => $p->left - $body->start(), 'fromRight' => $body->end() - $p->right, 'sillLevel' => $p->sill,
            'headLevel' => $p->head, 'area' => $p->area(),
            'coordinated' => $module === null ? null : [
                'width' => $module->opening($p->opening->width), 'height' => $module->height($p->opening->height),
                'fromLeft' => $module->pier($p->left - $body->start()), 'fromRight' => $module->pier($body->end() - $p->right)]];
    }

    /** @return list<array{side: string, width: float, wall: string|null}> of an inner wall, or where one meets it */
    private function nibs(PlacedOpening $p, WallInQuestion $wall): array
    {
        $nibs = [];
        foreach ($wall->inner || $wall->abutments !== [] ? ['left', 'right'] : [] as $side) {
            $atRight = $side === 'right';
            $nib = Nib::beside($this->design, $wall->body, $wall->abutments, $p, $atRight);
            $meets = $nib->wall === null ? null : $this->design->outlines[$nib->wall->wall->outline]->name ?? 'inner wall';
            if ($wall->inner || $meets !== null) {
                $nibs[] = ['side' => $side, 'width' => $nib->width($p, $atRight), 'wall' => $meets];
            }
        }

        return $nibs;
    }

    /** @return list<array<string, mixed>> with where each stands: u, or levels, one a storey when it stands over every floor */
    private function lines(): array
    {
        $lines = [];
        foreach ($this->design->lines as $line) {
            if (! isset($this->frontage->walls[$line->host])) {
                continue;
            }
            $upright = $line->axis === LineAxis::Upright;
            $lines[] = [...$line->toArray(),
                'u' => $upright ? $this->frontage->walls[$line->host] + Places::in($this->design)->line($line) : null,
                'levels' => $upright ? [] : array_map(
                    static fn (array $l): array => ['storey' => $l[0], 'level' => $l[1]],
                    Places::in($this->design)->lineLevels($line),
                ),
                'hangs' => $this->hangs($line)];
        }

        return $lines;
    }

    /** How many openings and lines are placed straight from a line. */
    private function hangs(SettingOutLine $line): int
    {
        return count(Namings::in($this->design)->of([$line->id], Tie::MeasuredFrom));
    }

    /**
     * @param  list<array<string, mixed>>  $lines
     * @return array{upright: list<CatchLine>, level: list<CatchLine>} as seen from a wall whose left end is at $u
     */
    private static function catchable(array $lines, float $u): array
    {
        $upright = $level = [];
        foreach ($lines as $line) {
            if ($line['u'] !== null) {
                $upright[] = new CatchLine($line['u'] - $u, 'line '.$line['name'], CatchKind::Line, $line['id']);
            }
            foreach ($line['levels'] as $l) {
                $level[] = new CatchLine($l['level'], 'line '.$line['name'], CatchKind::Line, $line['id']);
            }
        }

        return ['upright' => $upright, 'level' => $level];
    }

    /**
     * A finding that was accepted stays accepted for as long as its figure does.
     *
     * @param  list<Acceptance>  $acceptances
     * @return array<string, mixed>
     */
    private static function finding(Finding $finding, float $u, array $acceptances): array
    {
        $accepted = null;
        foreach ($acceptances as $a) {
            if ($a->finding === $finding->key() && abs($a->figure - $finding->figure) <= Tolerance::LENGTH) {
                $accepted = ['id' => $a->id, 'note' => $a->note];
            }
        }

        return [...$finding->toArray(), 'at' => [$u + $finding->at[0], $finding->at[1]], 'accepted' => $accepted];
    }
}
