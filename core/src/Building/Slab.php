<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;

/**
 * The slab that an outline stands on, where it has one of its own: over its outer faces, an open one closed straight; its
 * top is the floor.
 */
final readonly class Slab
{
    /**
     * @param  string  $host  the wall it is drawn with: the first of its outline
     * @param  Contour  $contour  in plan
     * @param  float  $top  level, mm
     */
    private function __construct(public string $host, public Contour $contour, public float $top, public float $thickness)
    {
    }

    /** The one under a wall's outline; null where there is none. */
    public static function under(Design $design, Wall $wall): ?self
    {
        $outline = $design->outlines[$wall->outline] ?? null;
        if ($outline?->slab === null) {
            return null;
        }
        $storeys = $design->storeys;
        $base = static fn (Wall $w): int => $storeys->indexOf($w->base);
        $walls = $design->wallsOf($outline->id);
        $lowest = min([PHP_INT_MAX, ...array_map($base, $walls)]);
        $walls = array_values(array_filter($walls, static fn (Wall $w): bool => $base($w) === $lowest));
        $sides = array_map(static fn (Wall $w): Curve => $w->face(), $walls);
        if ($sides === []) {
            return null;
        }
        [$start, $end] = [$sides[0]->start(), $sides[count($sides) - 1]->end()];
        if (! $start->isAt($end)) {
            $sides[] = Curve::line($end, $start);
        }
        $contour = Contour::of($sides);

        return abs($contour->area()) < 1.0 ? null : new self(
            $walls[0]->id,
            $contour->area() < 0 ? $contour->reversed() : $contour,
            $storeys->floor($walls[0]->base),
            $outline->slab,
        );
    }
}
