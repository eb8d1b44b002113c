<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/**
 * A way from (u, v, n) to (x, y, z) and back, mm: u along the foot from the left end as seen from outside, by arc length where that is
 * curved; v up the surface at true size; n outward, so that depth is −n. Who uses one asks what only a flat one can do as {@see isFlat},
 * never which kind it is.
 */
interface Surface
{
    public function isFlat(): bool;

    public function point(float $u, float $v, float $n = 0.0): Vec3;

    /** Unit direction of n at a place. */
    public function normal(float $u, float $v): Vec3;

    /** u, v and n of the point of it that is nearest to a point in space. */
    public function place(Vec3 $point): Vec3;

    /** The level of v over the datum. */
    public function level(float $v): float;

    /** How long what runs from one u to another is at a depth behind it, at one v. */
    public function lengthAt(float $from, float $to, float $depth): float;
}
