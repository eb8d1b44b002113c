<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Geometry\Solid;

/** Solids of a run where they stand: x east, y north, z up. */
final class InSpace
{
    public static function of(Solid $solid, Axes $axes): Solid
    {
        return new Moved($solid, static function (float $x, float $y, float $z) use ($axes): array {
            $at = $axes->point($x, $y, $z);

            return [$at->x, $at->y, $at->z];
        });
    }
}
