<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** The one tolerance of the core. */
final class Tolerance
{
    /** Two points nearer than this are one point, in mm. */
    public const LENGTH = 0.01;

    /** Directions that differ by less than this are parallel, in radians (0.01 mm over 100 m). */
    public const ANGLE = 1e-7;

    /** Edges are snapped to this grid before they are clipped, in mm, so that every decision about them is exact. */
    public const GRID = 0.001;

    public static function same(float $a, float $b): bool
    {
        return abs($a - $b) <= self::LENGTH;
    }
}
