<?php

declare(strict_types=1);

namespace App\Derived;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Layer\FloorBand;
use Isleward\Core\Layer\FloorBands;
use Isleward\Core\Layer\FloorsDrawn;
use Isleward\Core\Layer\OwnLine;
use OpenApi\Attributes as OA;

/** Floor bands as the desk shows them: before each wall, and as a whole. */
#[OA\Schema(schema: 'FloorBand', required: [
    'id', 'name', 'position', 'outline', 'line', 'storey', 'top', 'level', 'height', 'depth', 'out', 'edge', 'edgeSize', 'profile',
    'inner', 'holes', 'finish', 'why', 'before', 'rows', 'volume',
], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'position', type: 'integer'),
    new OA\Property(property: 'outline', type: 'string', nullable: true),
    new OA\Property(property: 'line', description: 'Of its own', anyOf: [
        new OA\Schema(type: 'object', additionalProperties: true), new OA\Schema(type: 'null'),
    ]),
    new OA\Property(property: 'storey', type: 'string'),
    new OA\Property(property: 'top', type: 'string', description: 'The last storey it stands on'),
    new OA\Property(property: 'level', type: 'number', description: 'Of its top over each floor'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'depth', type: 'number', nullable: true, description: 'Of none it is a whole slab'),
    new OA\Property(property: 'out', ref: '#/components/schemas/Law', description: 'Of its outer edge from its line, over the storeys'),
    new OA\Property(property: 'edge', type: 'string', enum: ['square', 'chamfered', 'rounded', 'drawn']),
    new OA\Property(property: 'edgeSize', type: 'number'),
    new OA\Property(property: 'profile', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'inner', type: 'boolean', description: 'Whether it follows the inner faces of the walls'),
    new OA\Property(property: 'holes', type: 'array', items: new OA\Items(required: ['area', 'width', 'depth'], properties: [
        new OA\Property(property: 'area', type: 'number', description: 'mm²'),
        new OA\Property(property: 'width', type: 'number', description: 'Along x'),
        new OA\Property(property: 'depth', type: 'number', description: 'Along y'),
    ], type: 'object')),
    new OA\Property(property: 'finish', type: 'string', nullable: true),
    new OA\Property(property: 'why', type: 'string', nullable: true, description: 'Why it cannot stand'),
    new OA\Property(property: 'before', type: 'array', items: new OA\Items(type: 'string'), description: 'Walls it runs before'),
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(required: ['storey', 'top', 'out', 'length'], properties: [
        new OA\Property(property: 'storey', type: 'string'),
        new OA\Property(property: 'top', type: 'number', description: 'Level'),
        new OA\Property(property: 'out', type: 'number'),
        new OA\Property(property: 'length', type: 'number', description: 'Of its outer edge'),
    ], type: 'object')),
    new OA\Property(property: 'volume', type: 'number', description: 'Of all rows, mm³'),
])]
final readonly class FloorBandView
{
    /** @return list<array<string, mixed>> */
    public static function all(Design $design): array
    {
        $bands = FloorBands::in($design);

        return array_map(static function (FloorBand $band) use ($bands): array {
            $rows = $bands->find($band);
            $volume = 0.0;
            foreach ($rows as $row) {
                $volume += $row->solid()->volume();
            }

            return [
                ...$band->toArray(), 'why' => $bands->why($band), 'before' => $bands->wallsOf($band), 'volume' => $volume,
                'holes' => array_map(self::hole(...), $band->holes),
                'rows' => array_map(static fn ($row): array => [
                    'storey' => $row->storey, 'top' => $row->top, 'out' => $row->out, 'length' => $row->length(),
                ], $rows),
            ];
        }, $bands->all());
    }

    /** @return array{area: float, width: float, depth: float} */
    private static function hole(OwnLine $hole): array
    {
        $curves = $hole->curves();
        $contour = Contour::of($curves === [] ? throw new \LogicException('An opening has sides.') : $curves);

        return ['area' => abs($contour->area()), 'width' => $contour->width(), 'depth' => $contour->height()];
    }

    /**
     * @param  array<string, Body>  $bodies
     * @return list<array<string, mixed>>
     */
    public static function of(Design $design, array $bodies, Frontage $frontage): array
    {
        $out = [];
        foreach (array_keys($frontage->walls) as $wall) {
            array_push($out, ...self::before($design, $bodies[$wall], null));
        }

        return $out;
    }

    /** @return list<array<string, mixed>> the floor bands that a change touches as they would stand */
    public static function tried(Design $after, Change $change): array
    {
        $out = [];
        foreach ($change->operations as $operation) {
            $band = $operation->after;
            foreach ($band instanceof FloorBand ? FloorBands::in($after)->wallsOf($band) : [] as $wall) {
                array_push($out, ...self::before($after, Bodies::one($after, $after->host($wall)), $operation->id));
            }
        }

        return $out;
    }

    /** @return list<array<string, mixed>> as bands come: each row a piece */
    private static function before(Design $design, Body $body, ?string $only): array
    {
        $boxes = $bounds = [];
        foreach (FloorBands::in($design)->before($body->host->id()) as [$row, $i]) {
            $id = $row->band->id;
            if ($row->band->inner || ($only !== null && $only !== $id)) {
                continue;
            }
            [$x0, $y0, $x1, $y1] = array_map(
                static fn (float $c): float => round($c, 2),
                FloorsDrawn::box($body->surface, $row, $i),
            );
            $boxes[$id] = [...$boxes[$id] ?? [], $row->n, $x0, $y0, $x1, $y1];
            [$a, $b, $c, $d] = $bounds[$id] ?? [INF, INF, -INF, -INF];
            $bounds[$id] = [min($a, $x0), min($b, $y0), max($c, $x1), max($d, $y1)];
        }

        return array_map(static fn (string $id): array => [
            'element' => $id, 'host' => $body->host->id(), 'what' => 'floor', 'boxes' => $boxes[$id], 'rings' => [], 'along' => [],
            'curves' => [], 'graph' => [], 'bounds' => $bounds[$id],
        ], array_map(strval(...), array_keys($boxes)));
    }
}
