<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** Where stretches meet: exactly, as long as no two different ellipses are asked for that are not both circles. */
final class Crossing
{
    /**
     * Where the endless lines or whole ellipses of two stretches meet.
     *
     * @return list<array{float, float}>
     */
    public static function endless(Curve $a, Curve $b): array
    {
        return match (true) {
            ! $a->isCurved() && ! $b->isCurved() => array_filter([self::lines($a, $b)]),
            ! $a->isCurved() => self::lineAndEllipse($a, $b),
            ! $b->isCurved() => self::lineAndEllipse($b, $a),
            default => self::circles($a, $b),
        };
    }

    /**
     * Where two stretches meet, ends included, within a tolerance in mm; of two that lie on one line or circle the ends of what they share.
     *
     * @return list<array{float, float}>
     *
     * @throws InvalidPath for an ellipse and another curve, whose crossings have no closed form
     */
    public static function within(Curve $a, Curve $b, float $tolerance): array
    {
        if ($a->isCurved() && $b->isCurved() && ! ($a->isCircular() && $b->isCircular())) {
            throw InvalidPath::ellipses();
        }
        $points = self::endless($a, $b);
        // where one ends on the other, also where they only touch or lie on one line
        array_push($points, [$a->x0, $a->y0], [$a->x1, $a->y1], [$b->x0, $b->y0], [$b->x1, $b->y1]);
        $found = [];
        foreach ($points as [$x, $y]) {
            if (! self::passes($a, $x, $y, $tolerance) || ! self::passes($b, $x, $y, $tolerance)) {
                continue;
            }
            foreach ($found as [$fx, $fy]) {
                if (hypot($fx - $x, $fy - $y) <= $tolerance) {
                    continue 2;
                }
            }
            $found[] = [$x, $y];
        }

        return $found;
    }

    /** Whether a stretch passes a point, within a tolerance in mm. */
    public static function passes(Curve $curve, float $x, float $y, float $tolerance): bool
    {
        [$px, $py] = $curve->at(min(1.0, max(0.0, $curve->shareOf($x, $y))));

        return hypot($px - $x, $py - $y) <= $tolerance;
    }

    /** @return array{float, float}|null where the endless lines of two straight ones meet; null when they run alike */
    public static function lines(Curve $a, Curve $b): ?array
    {
        [$ax, $ay] = $a->direction(0.0);
        [$bx, $by] = $b->direction(0.0);
        $cross = $ax * $by - $ay * $bx;
        if (abs($cross) < 1e-9) {
            return null;
        }
        $t = (($b->x0 - $a->x0) * $by - ($b->y0 - $a->y0) * $bx) / $cross;

        return [$a->x0 + $ax * $t, $a->y0 + $ay * $t];
    }

    /** @return list<array{float, float}> */
    private static function lineAndEllipse(Curve $line, Curve $curve): array
    {
        [$dx, $dy] = $line->direction(0.0);
        // in the plane where the ellipse is the unit circle
        [$px, $py] = $curve->fromCentre($line->x0 - $curve->cx, $line->y0 - $curve->cy);
        [$qx, $qy] = $curve->fromCentre($dx, $dy);
        $a = $qx * $qx + $qy * $qy;
        $b = $px * $qx + $py * $qy;
        $d = $b * $b - $a * ($px * $px + $py * $py - 1);
        if ($d < 0) {
            return [];
        }
        $points = [];
        foreach ([(-$b - sqrt($d)) / $a, (-$b + sqrt($d)) / $a] as $t) {
            $points[] = [$line->x0 + $dx * $t, $line->y0 + $dy * $t];
        }

        return $points;
    }

    /** @return list<array{float, float}> */
    private static function circles(Curve $a, Curve $b): array
    {
        $d = hypot($b->cx - $a->cx, $b->cy - $a->cy);
        if ($a->rx !== $a->ry || $b->rx !== $b->ry || $d < 1e-9 || $d > $a->rx + $b->rx || $d < abs($a->rx - $b->rx)) {
            return [];
        }
        $along = ($d * $d + $a->rx ** 2 - $b->rx ** 2) / (2 * $d);
        $off = sqrt(max(0.0, $a->rx ** 2 - $along ** 2));
        [$ux, $uy] = [($b->cx - $a->cx) / $d, ($b->cy - $a->cy) / $d];

        return [
            [$a->cx + $ux * $along - $uy * $off, $a->cy + $uy * $along + $ux * $off],
            [$a->cx + $ux * $along + $uy * $off, $a->cy + $uy * $along - $ux * $off],
        ];
    }
}
