<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Geometry\Crossing;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Tolerance;

/** What must hold of the sides of an outline: they do not cross, and meet at angles that walls can be joined at. */
final class OutlineShape
{
    private const SHARPEST = 15.0;

    /**
     * @param  list<Curve>  $sides  each from where the one before it ends
     *
     * @throws InvalidOutline
     */
    public static function require(array $sides, bool $closed): void
    {
        $count = count($sides);
        $curved = array_filter($sides, static fn (Curve $c): bool => $c->isCurved()) !== [];
        if ($count < ($closed ? ($curved ? 2 : 3) : 1)) {
            throw InvalidOutline::tooFew($closed);
        }
        foreach ($sides as $i => $side) {
            self::requireOpenAngle($sides, $i, $closed);
            for ($j = $i + 1; $j < $count; $j++) {
                $next = $j === $i + 1;
                $around = $closed && $i === 0 && $j === $count - 1;
                if (self::cross($side, $sides[$j], $next, $around)) {
                    throw InvalidOutline::selfCrossing($i + 1, $j + 1);
                }
            }
        }
    }

    /** @param  list<Curve>  $sides */
    private static function requireOpenAngle(array $sides, int $i, bool $closed): void
    {
        if ($i === 0 && ! $closed) {
            return;
        }
        $before = $sides[($i + count($sides) - 1) % count($sides)];
        $before = $before->directionAt($before->length());
        $here = $sides[$i]->directionAt(0);
        $angle = 180 - rad2deg(abs(atan2($before->cross($here), $before->dot($here))));
        if ($angle < self::SHARPEST - 1e-6) {
            throw InvalidOutline::tooSharp($i + 1, $angle);
        }
    }

    /** Whether two sides meet anywhere but where one goes on into the other. */
    private static function cross(Curve $a, Curve $b, bool $next, bool $around): bool
    {
        if (($next || $around) && ! $a->isCurved() && ! $b->isCurved()) {
            return false; // they meet in their corner alone, unless they lie on one another: then it is too sharp
        }
        foreach (Crossing::within($a, $b, Tolerance::LENGTH) as [$x, $y]) {
            $corner = ($next && hypot($x - $a->x1, $y - $a->y1) <= 2 * Tolerance::LENGTH)
                || ($around && hypot($x - $a->x0, $y - $a->y0) <= 2 * Tolerance::LENGTH);
            if (! $corner) {
                return true;
            }
        }

        return false;
    }
}
