<?php

declare(strict_types=1);

namespace App\Derived;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontage;
use Isleward\Core\CurtainWall\CurtainDrawn;
use Isleward\Core\CurtainWall\Drawn;
use Isleward\Core\CurtainWall\FreeMember;
use Isleward\Core\CurtainWall\GridCell;
use Isleward\Core\CurtainWall\HandWords;
use Isleward\Core\CurtainWall\LetIn;
use Isleward\Core\CurtainWall\Lines;
use Isleward\Core\CurtainWall\Lost;
use Isleward\Core\CurtainWall\PartName;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\CurtainWall\StandingRun;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Curtain;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Measure\Length;
use OpenApi\Attributes as OA;

/** The curtain walls of a frontage: their lines, cells and members where they lie on it, and what was changed by hand. */
#[OA\Schema(schema: 'GridLine', required: ['name', 'at'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'at', type: 'number', description: 'From the grid’s left end or foot, as drawn'),
    new OA\Property(property: 'only', type: 'string', description: 'Where it stands in one bay or row only: the line that begins at'),
])]
#[OA\Schema(schema: 'GridCell', required: ['left', 'foot', 'right', 'head', 'name', 'bay', 'row', 'box', 'infill', 'clear'], properties: [
    new OA\Property(property: 'left', type: 'string', description: 'The line at its left'),
    new OA\Property(property: 'foot', type: 'string', description: 'The line under it'),
    new OA\Property(property: 'right', type: 'string', description: 'The line at its right'),
    new OA\Property(property: 'head', type: 'string', description: 'The line over it'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'bay', type: 'integer'),
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(
        property: 'box',
        type: 'array',
        items: new OA\Items(type: 'number'),
        description: 'Left, foot, right, head on the frontage: u and level',
    ),
    new OA\Property(property: 'ring', type: 'array', items: new OA\Items(type: 'number'), description: 'Where it is no rectangle'),
    new OA\Property(property: 'infill', type: 'integer', description: 'Which of the infills'),
    new OA\Property(property: 'clear', type: 'array', items: new OA\Items(type: 'number'),
        description: 'Width, height and area in its own plane, between members'),
])]
#[OA\Schema(schema: 'GridPiece', required: ['line', 'from', 'axis', 'role', 'box'], properties: [
    new OA\Property(property: 'line', type: 'string'),
    new OA\Property(property: 'from', type: 'string'),
    new OA\Property(property: 'axis', type: 'string', enum: ['upright', 'level']),
    new OA\Property(property: 'role', type: 'string'),
    new OA\Property(property: 'box', type: 'array', items: new OA\Items(type: 'number')),
])]
#[OA\Schema(schema: 'NamedMember', required: ['element', 'part', 'says', 'ring'], properties: [
    new OA\Property(property: 'element', type: 'string', description: 'The stretch it is of: what stands at a corner is of the one before'),
    new OA\Property(property: 'part', type: 'string', description: 'Its name within that'),
    new OA\Property(property: 'says', type: 'string'),
    new OA\Property(property: 'place', type: 'integer', description: 'Of a free member: which of those by hand'),
    new OA\Property(property: 'ring', type: 'array', items: new OA\Items(type: 'number'), description: 'On the frontage: u and level'),
])]
#[OA\Schema(schema: 'ByHand', required: ['of', 'place', 'says'], properties: [
    new OA\Property(property: 'of', type: 'string', enum: ['lines', 'members', 'infills', 'free']),
    new OA\Property(property: 'place', type: 'integer'),
    new OA\Property(property: 'says', type: 'string'),
])]
#[OA\Schema(schema: 'GridInfill', required: ['kind', 'layers', 'type', 'says'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: ['vision', 'spandrel', 'solid', 'louvre', 'void', 'unit', 'door']),
    new OA\Property(property: 'layers', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'density', type: 'number'),
    new OA\Property(property: 'type', type: 'string', nullable: true),
    new OA\Property(property: 'mirrored', type: 'boolean'),
    new OA\Property(property: 'says', type: 'string'),
])]
#[OA\Schema(schema: 'CurtainGrid', required: [
    'element', 'host', 'grid', 'facet', 'u', 'foot', 'upright', 'width', 'height', 'bays', 'rows', 'cells', 'members', 'corners', 'free',
    'infills',
    'byHand', 'lost', 'area', 'glass', 'mirrored', 'faceArea', 'face',
], properties: [
    new OA\Property(property: 'element', type: 'string', description: 'The stretch or the opening it is of'),
    new OA\Property(property: 'host', type: 'string', description: 'The wall it is or lies in'),
    new OA\Property(property: 'grid', type: 'string'),
    new OA\Property(property: 'facet', type: 'string', nullable: true, description: 'Of an arc in facets: the line it begins at'),
    new OA\Property(property: 'u', type: 'number', description: 'Its left end on the frontage'),
    new OA\Property(property: 'foot', type: 'number', description: 'Level of its foot'),
    new OA\Property(property: 'upright', type: 'number', description: 'Upright height of a mm up its face'),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'mirrored', type: 'boolean', description: 'Whether its left lies right on the frontage'),
    new OA\Property(property: 'bays', type: 'array', items: new OA\Items(ref: '#/components/schemas/GridLine')),
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(ref: '#/components/schemas/GridLine')),
    new OA\Property(property: 'cells', type: 'array', items: new OA\Items(ref: '#/components/schemas/GridCell')),
    new OA\Property(property: 'members', type: 'array', items: new OA\Items(ref: '#/components/schemas/GridPiece')),
    new OA\Property(property: 'corners', type: 'array', items: new OA\Items(ref: '#/components/schemas/NamedMember')),
    new OA\Property(property: 'free', type: 'array', items: new OA\Items(ref: '#/components/schemas/NamedMember')),
    new OA\Property(property: 'infills', type: 'array', items: new OA\Items(ref: '#/components/schemas/GridInfill')),
    new OA\Property(property: 'byHand', type: 'array', items: new OA\Items(ref: '#/components/schemas/ByHand')),
    new OA\Property(property: 'lost', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'area', type: 'number', description: 'Of its infills, mm²'),
    new OA\Property(property: 'glass', type: 'number', description: 'Of its vision glass, mm²'),
    new OA\Property(property: 'face', type: 'array', items: new OA\Items(type: 'number'), description: 'Its corners on the frontage'),
    new OA\Property(property: 'faceArea', type: 'number', description: 'Of its face, mm²'),
])]
final readonly class CurtainView
{
    /** Of no more cells than this it is shown while it is typed what would become of them. */
    private const MOST_TRIED = 4000;

    private function __construct(private Design $design)
    {
    }

    /**
     * @param  array<string, Body>  $bodies
     * @return list<array<string, mixed>>
     */
    public static function of(Design $design, array $bodies, Frontage $frontage): array
    {
        $view = new self($design);
        $grids = [];
        foreach ($frontage->walls as $wall => $u) {
            array_push($grids, ...$view->standing($bodies[$wall], $u), ...$view->letInto($bodies[$wall], $u));
        }

        return $grids;
    }

    /**
     * The curtain walls that a change touches as they would stand, measured from the left ends of their walls; none where that is more than
     * is looked at while it is typed.
     *
     * @return list<array<string, mixed>>
     */
    public static function tried(Design $after, Change $change): array
    {
        $view = new self($after);
        $grids = [];
        $cells = 0;
        foreach ($change->operations as $operation) {
            $element = $operation->after;
            if (($element instanceof Wall || $element instanceof Opening) && $element->curtain !== null) {
                $body = Bodies::one($after, $after->host($element instanceof Wall ? $element->id : $element->host));
                $of = $element instanceof Wall ? $view->standing($body, 0.0) : $view->letInto($body, 0.0, $element->id);
                array_push($grids, ...$of);
                $cells += array_sum(array_map(static fn (array $g): int => is_array($g['cells']) ? count($g['cells']) : 0, $of));
                if ($cells > self::MOST_TRIED) {
                    return [];
                }
            }
        }

        return $grids;
    }

    /** @return list<array<string, mixed>> */
    private function standing(Body $body, float $u): array
    {
        $curtain = $body->host->curtain();
        $standing = $curtain === null ? null : Runs::in($this->design)->find($body->host->id());
        if ($curtain === null || $standing === null) {
            return [];
        }
        $index = $standing->indexOf($body->host->id());
        $out = [];
        foreach ($standing->partsOf($index) as $part) {
            $from = $u + $standing->starts[$index] + $part->u;
            $upright = $standing->upright($index);
            $out[] = $this->grid(
                [
                    'element' => $body->host->id(), 'host' => $body->host->id(), 'facet' => $part->line, 'u' => $from,
                    'foot' => $standing->foot, 'upright' => $upright,
                ],
                $curtain,
                $part->stretch->drawn(),
                [$part->stretch->grid()->bays, $part->stretch->grid()->rows, $part->line, $part->bay],
                $standing->run->lost($index),
                false,
                $standing,
            );
        }

        return $out;
    }

    /** @return list<array<string, mixed>> */
    private function letInto(Body $body, float $u, ?string $only = null): array
    {
        $out = [];
        foreach (CurtainDrawn::letInto($this->design, $body) as $placed) {
            $opening = $placed->opening;
            $run = $only === null || $only === $opening->id ? LetIn::find($this->design, $placed) : null;
            if ($run !== null && $opening->curtain !== null) {
                $grid = $run->stretches[0]->grid();
                $out[] = $this->grid(
                    [
                        'element' => $opening->id, 'host' => $opening->host, 'facet' => null,
                        'u' => $u + $placed->middle() - $opening->width / 2, 'foot' => $placed->sill, 'upright' => 1.0,
                    ],
                    $opening->curtain,
                    $run->stretches[0]->drawn(),
                    [$grid->bays, $grid->rows, null, 0],
                    $run->lost(),
                    ! $opening->facesOut,
                );
            }
        }

        return $out;
    }

    /**
     * @param  array{element: string, host: string, facet: string|null, u: float, foot: float, upright: float}  $at
     * @param  array{Lines, Lines, string|null, int}  $lines  upright and level ones; of a facet the line it begins at, and which it is
     * @param  list<Lost>  $lost
     * @param  bool  $behind  it is seen from its inside: its left lies right
     * @param  StandingRun|null  $standing  the run it is a stretch of
     * @return array<string, mixed>
     */
    private function grid(
        array $at,
        Curtain $curtain,
        Drawn $drawn,
        array $lines,
        array $lost,
        bool $behind,
        ?StandingRun $standing = null,
    ): array {
        [$bays, $rows, $facet, $bay] = $lines;
        $width = $drawn->face->width();
        $units = $this->design->settings->units;
        $box = static function (Contour $contour) use ($at, $behind, $width): array {
            [$x0, $y0, $x1, $y1] = $contour->bounds();
            [$x0, $x1] = $behind ? [$width - $x1, $width - $x0] : [$x0, $x1];

            return array_map(static fn (float $mm): float => round($mm, 2), [
                $at['u'] + $x0, $at['foot'] + $y0 * $at['upright'], $at['u'] + $x1, $at['foot'] + $y1 * $at['upright'],
            ]);
        };
        $ring = static function (Contour $contour) use ($at, $behind, $width): array {
            $out = [];
            foreach ($contour->ring() as $i => $c) {
                $out[] = round($i % 2 === 0 ? $at['u'] + ($behind ? $width - $c : $c) : $at['foot'] + $c * $at['upright'], 2);
            }

            return $out;
        };
        $cells = $infills = $which = [];
        $area = $glass = 0.0;
        foreach ($drawn->cells as [$cell, $seen]) {
            $key = spl_object_id($cell->infill);
            if (! isset($which[$key])) {
                $which[$key] = count($infills);
                $infills[] = [
                    ...$cell->infill->toArray(),
                    'says' => Length::said(HandWords::infill($this->design, $cell->infill), $units),
                ];
            }
            $area += $seen->area();
            $glass += $cell->infill->kind->value === 'vision' ? $seen->area() : 0.0;
            [$x0, $y0, $x1, $y1] = $seen->bounds();
            $cells[] = [
                'left' => $facet ?? $cell->left, 'foot' => $cell->foot, 'right' => $cell->right, 'head' => $cell->head,
                'name' => self::named($cell, $facet === null ? 0 : $bay),
                'bay' => $cell->bay + ($facet === null ? 0 : $bay), 'row' => $cell->row, 'box' => $box($seen), 'infill' => $which[$key],
                'clear' => [round($x1 - $x0, 2), round($y1 - $y0, 2), round($seen->area())],
            ] + ($seen->isRectangle() ? [] : ['ring' => $ring($seen)]);
        }
        $members = array_map(static fn (array $m): array => [
            'line' => $m[0]->line, 'from' => $m[0]->role->isUpright() ? $m[0]->from : $facet ?? $m[0]->from,
            'axis' => $m[0]->role->isUpright() ? 'upright' : 'level',
            'role' => $m[0]->role->value, 'box' => $box($m[1]),
        ], $drawn->members);
        $places = static fn (Lines $of): array => array_map(
            static fn (string $name, float $mm): array => ['name' => $name, 'at' => round($mm, 3)]
                + (isset($of->only[$name]) ? ['only' => $of->only[$name]] : []),
            $of->names,
            $of->at,
        );

        return [
            ...$at, 'grid' => $curtain->grid, 'width' => $width, 'height' => $drawn->face->height(), 'mirrored' => $behind,
            'bays' => $places($bays), 'rows' => $places($rows), 'cells' => $cells, 'members' => $members,
            'corners' => $standing === null ? [] : $this->corners($standing, $at['element'], $facet, $drawn, $ring),
            'free' => $this->free($curtain, $at['element'], $drawn, $ring), 'infills' => $infills,
            'byHand' => array_map(
                static fn (array $one): array => [...$one, 'says' => Length::said($one['says'], $units)],
                HandWords::of($this->design, Runs::byHand($curtain)),
            ),
            'lost' => array_map(static fn (string $says): string => Length::said($says, $units), Lost::says($lost)),
            'area' => $area, 'glass' => $glass, 'faceArea' => $drawn->face->area(), 'face' => $ring($drawn->face),
        ];
    }

    /**
     * What stands at the corners of a stretch, or of one of its facets.
     *
     * @param  \Closure(Contour): list<float>  $ring
     * @return list<array<string, mixed>>
     */
    private function corners(StandingRun $standing, string $element, ?string $facet, Drawn $drawn, \Closure $ring): array
    {
        $out = [];
        foreach ($drawn->corners as [$atLeft, $contour]) {
            $member = $standing->corner($element, $facet, $atLeft);
            if ($member !== null) {
                [$of, $part, $stands] = $member;
                $out[] = ['element' => $of, 'part' => $part, 'ring' => $ring($contour),
                    'says' => $part === PartName::corner(null)
                        ? ucfirst(Length::said($stands->what.' '.$stands->profile->name(), $this->design->settings->units))
                        : 'Mullion at a kink'];
            }
        }

        return $out;
    }

    /**
     * @param  \Closure(Contour): list<float>  $ring
     * @return list<array<string, mixed>>
     */
    private function free(Curtain $curtain, string $element, Drawn $drawn, \Closure $ring): array
    {
        $names = array_map(static fn (FreeMember $m): string => $m->name, Runs::byHand($curtain)->free);

        return array_map(fn (array $f): array => [
            'element' => $element, 'part' => $f[0]->name,
            'place' => (int) array_search($f[0]->name, $names, true), 'ring' => $ring($f[1]),
            'says' => Length::said('Free member '.$f[0]->profile->name(), $this->design->settings->units),
        ], $drawn->free);
    }

    private static function named(GridCell $cell, int $bay): string
    {
        return $bay === 0 ? $cell->name() : preg_replace('/^bay \d+/', 'bay '.($bay + 1), $cell->name()) ?? $cell->name();
    }
}
