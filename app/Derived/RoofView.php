<?php

declare(strict_types=1);

namespace App\Derived;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Geometry\Vec3;
use Isleward\Core\Roof\Roof;
use Isleward\Core\Roof\RoofFace;
use Isleward\Core\Roof\Rooflight;
use Isleward\Core\Roof\Rooflights;
use Isleward\Core\Roof\RooflightsDrawn;
use Isleward\Core\Roof\Roofs;
use Isleward\Core\Roof\RoofsDrawn;
use Isleward\Core\Roof\RoofShape;
use Isleward\Core\Roof\RoofSide;
use OpenApi\Attributes as OA;

/** Roofs as the desk shows them: over each wall, and as a whole. */
#[OA\Schema(schema: 'Roof', required: [
    'id', 'name', 'position', 'outline', 'also', 'through', 'storey', 'level', 'pitch', 'overhang', 'along', 'within',
    'thick', 'cut', 'upright',
    'edges', 'finish', 'why',
    'before', 'round', 'faces', 'lengths', 'springs', 'top', 'lights',
], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'position', type: 'integer'),
    new OA\Property(property: 'outline', type: 'string'),
    new OA\Property(property: 'also', type: 'array', items: new OA\Items(type: 'string'), description: 'Outlines it lies over besides'),
    new OA\Property(property: 'through', type: 'array', items: new OA\Items(type: 'string'), description: 'Outlines it is cut round'),
    new OA\Property(property: 'storey', type: 'string', description: 'At whose head it springs'),
    new OA\Property(property: 'level', type: 'number', description: 'Over that'),
    new OA\Property(property: 'pitch', type: 'number', description: 'Degrees'),
    new OA\Property(property: 'overhang', type: 'number'),
    new OA\Property(property: 'along', type: 'boolean', description: 'Whether the overhang is measured along the slope'),
    new OA\Property(property: 'within', type: 'boolean', description: 'Whether it ends at its walls’ inner faces'),
    new OA\Property(property: 'thick', type: 'number', description: 'Square to its slope'),
    new OA\Property(property: 'cut', type: 'string', enum: ['upright', 'square', 'level'], description: 'How its eaves are cut'),
    new OA\Property(property: 'upright', type: 'number', description: 'Through it upright'),
    new OA\Property(property: 'edges', type: 'array', items: new OA\Items(type: 'object', required: [
        'wall', 'gable', 'pitch', 'overhang', 'hip', 'open',
    ], properties: [
        new OA\Property(property: 'wall', type: 'string'),
        new OA\Property(property: 'gable', type: 'boolean'),
        new OA\Property(property: 'pitch', type: 'number', nullable: true),
        new OA\Property(property: 'overhang', type: 'number', nullable: true),
        new OA\Property(property: 'open', type: 'boolean', description: 'Of a gable: no wall is to close it'),
        new OA\Property(property: 'hip', type: 'number', nullable: true, description: 'Of a gable: where a half hip begins over the eaves'),
    ])),
    new OA\Property(property: 'finish', type: 'string', nullable: true),
    new OA\Property(property: 'why', type: 'string', nullable: true, description: 'Why it cannot stand'),
    new OA\Property(property: 'before', type: 'array', items: new OA\Items(type: 'string'), description: 'Walls it lies over'),
    new OA\Property(property: 'round', type: 'array', items: new OA\Items(type: 'string'), description: 'Walls it has sides over'),
    new OA\Property(property: 'faces', type: 'array', items: new OA\Items(required: [
        'wall', 'pitch', 'area', 'plan', 'ring', 'room', 'flat',
    ], properties: [
        new OA\Property(property: 'ring', type: 'array', items: new OA\Items(type: 'number'),
            description: 'In plan, from the left end of its eaves along them, counter-clockwise'),
        new OA\Property(property: 'room', type: 'array', items: new OA\Items(type: 'number'),
            description: 'In plan: where a rooflight lies within its upper side and its underside'),
        new OA\Property(property: 'flat', type: 'boolean', description: 'Rooflights can stand in it: it is no facet over an arc'),
        new OA\Property(property: 'wall', type: 'string'),
        new OA\Property(property: 'pitch', type: 'number', description: 'Degrees'),
        new OA\Property(property: 'area', type: 'number', description: 'mm²'),
        new OA\Property(property: 'plan', type: 'number', description: 'mm²'),
    ], type: 'object')),
    new OA\Property(property: 'lengths', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number'),
        description: 'By what the lines are: eaves, ridge, hip, valley, verge, break'),
    new OA\Property(property: 'lights', type: 'array', items: new OA\Items(ref: '#/components/schemas/Rooflight')),
    new OA\Property(property: 'springs', type: 'number', nullable: true, description: 'Level of the underside of its eaves'),
    new OA\Property(property: 'top', type: 'number', nullable: true, description: 'Level of its highest line'),
])]
#[OA\Schema(schema: 'Rooflight', description: 'A unit in a face of a roof, or a level row of them', required: [
    'n', 'wall', 'type', 'width', 'height', 'from', 'along', 'up', 'rise', 'level', 'proud', 'count', 'gap', 'rings', 'foot', 'head',
], properties: [
    new OA\Property(property: 'n', type: 'integer'),
    new OA\Property(property: 'wall', type: 'string', description: 'That its face lies over'),
    new OA\Property(property: 'type', type: 'string'),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number', description: 'Up the slope'),
    new OA\Property(property: 'from', type: 'string', enum: ['left', 'middle', 'right'], description: 'Of its face, seen from outside'),
    new OA\Property(property: 'along', type: 'number'),
    new OA\Property(property: 'up', type: 'string', enum: ['eaves', 'middle', 'ridge']),
    new OA\Property(property: 'rise', type: 'number'),
    new OA\Property(property: 'level', type: 'boolean', description: 'Whether the rise is measured level'),
    new OA\Property(property: 'proud', type: 'number', description: 'How far its outer side stands out of the roof’s'),
    new OA\Property(property: 'count', type: 'integer'),
    new OA\Property(property: 'gap', type: 'number'),
    new OA\Property(property: 'rings', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')),
        description: 'In plan, one of each that stands; none where it cannot'),
    new OA\Property(property: 'foot', type: 'number', nullable: true, description: 'Level of its lower edge'),
    new OA\Property(property: 'head', type: 'number', nullable: true, description: 'Level of its upper edge'),
])]
final readonly class RoofView
{
    /** @return list<array<string, mixed>> */
    public static function all(Design $design): array
    {
        $roofs = Roofs::in($design);

        return array_map(static function (Roof $roof) use ($design, $roofs): array {
            $shape = $roofs->find($roof);
            $lengths = [];
            foreach ($shape->lines ?? [] as [$what, $p, $q]) {
                $length = sqrt(($q[0] - $p[0]) ** 2 + ($q[1] - $p[1]) ** 2 + ($q[2] - $p[2]) ** 2);
                $lengths[$what->value] = ($lengths[$what->value] ?? 0.0) + $length;
            }

            return [
                ...$roof->toArray(), 'upright' => $roof->upright(), 'why' => $roofs->why($roof), 'before' => $roofs->wallsOf($roof),
                'round' => $shape === null ? $roofs->wallsOf($roof) : array_values(array_unique(array_map(
                    static fn (RoofSide $s): string => $s->wall, $shape->sides,
                ))),
                'faces' => array_map(static fn (RoofSide $s): array => [
                    'wall' => $s->wall, 'pitch' => rad2deg((float) $s->pitch), 'area' => $s->area(), 'plan' => $s->planArea(),
                    'ring' => array_merge(...array_map(static fn (array $c): array => [$c[0], $c[1]], $s->corners)),
                    'room' => (new RoofFace($s, $roof->upright()))->room(),
                    'flat' => ($design->walls[$s->wall] ?? null)?->isCurved() === false,
                ], $shape?->slopes() ?? []),
                'lights' => self::lights($design, $roof, $shape), 'lengths' => (object) $lengths,
                'springs' => $shape?->foot(), 'top' => $shape?->top(),
            ];
        }, $roofs->all());
    }

    /** @return list<array<string, mixed>> */
    private static function lights(Design $design, Roof $roof, ?RoofShape $shape): array
    {
        $rings = $levels = [];
        foreach ($shape === null ? [] : Rooflights::of($design, $shape) as $placed) {
            $corners = $placed->corners();
            $rings[$placed->light->n][] = array_merge(...array_map(
                static fn (Vec3 $c): array => [round($c->x, 2), round($c->y, 2)], $corners,
            ));
            $levels[$placed->light->n] = [round($corners[0]->z, 2), round($corners[2]->z, 2)];
        }

        return array_map(static fn (Rooflight $l): array => [
            ...$l->toArray(), 'rings' => $rings[$l->n] ?? [], 'foot' => $levels[$l->n][0] ?? null, 'head' => $levels[$l->n][1] ?? null,
        ], $roof->lights);
    }

    /**
     * @param  array<string, Body>  $bodies
     * @return list<array<string, mixed>>
     */
    public static function of(Design $design, array $bodies, Frontage $frontage): array
    {
        $out = [];
        foreach (array_keys($frontage->walls) as $wall) {
            array_push($out, ...self::over($design, $bodies[$wall], null));
        }

        return $out;
    }

    /** @return list<array<string, mixed>> the roofs that a change touches as they would lie */
    public static function tried(Design $after, Change $change): array
    {
        $out = [];
        foreach ($change->operations as $operation) {
            $roof = $operation->after;
            foreach ($roof instanceof Roof ? Roofs::in($after)->wallsOf($roof) : [] as $wall) {
                array_push($out, ...self::over($after, Bodies::one($after, $after->host($wall)), $operation->id));
            }
        }

        return $out;
    }

    /** @return list<array<string, mixed>> as bands come: each face a piece */
    private static function over(Design $design, Body $body, ?string $only): array
    {
        $rings = $bounds = $lights = [];
        $across = static fn (float $x, float $y): float => $body->surface->u(new Vec2($x, $y));
        foreach (Roofs::in($design)->over($body->host->id()) as $i => [$shape, $side]) {
            $id = $shape->roof->id;
            foreach ($only !== null && $only !== $id ? [] : array_merge(...RoofsDrawn::seenOver($design, $body, $shape, $side)) as $ring) {
                $ring = array_map(static fn (float $c): float => round($c, 2), $ring);
                $rings[$id][] = [$i, ...$ring];
                [$a, $b, $c, $d] = $bounds[$id] ?? [INF, INF, -INF, -INF];
                foreach (array_chunk($ring, 2) as [$x, $y]) {
                    [$a, $b, $c, $d] = [min($a, $x), min($b, $y), max($c, $x), max($d, $y)];
                }
                $bounds[$id] = [$a, $b, $c, $d];
            }
            foreach ($only !== null && $only !== $id ? [] : Rooflights::of($design, $shape) as $placed) {
                if ($placed->face->side === $side) {
                    $lights[$id][] = [
                        'n' => $placed->light->n,
                        'ring' => array_merge(...array_map(
                            static fn (Vec3 $c): array => [round($across($c->x, $c->y), 2), round($c->z, 2)], $placed->corners(),
                        )),
                        'shapes' => array_map(static fn (Shape $s): array => $s->toArray(), RooflightsDrawn::seen($placed, $across)),
                    ];
                }
            }
        }

        return array_map(static fn (string $id): array => [
            'element' => $id, 'host' => $body->host->id(), 'what' => 'roof', 'boxes' => [], 'rings' => $rings[$id], 'along' => [],
            'curves' => [], 'graph' => [], 'bounds' => $bounds[$id], 'lights' => $lights[$id] ?? [],
        ], array_map(strval(...), array_keys($rings)));
    }
}
