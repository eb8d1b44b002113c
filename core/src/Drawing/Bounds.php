<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Geometry\Curve;

/** How far shapes reach. */
final class Bounds
{
    /**
     * @param  list<Shape>  $shapes
     * @param  float  $letters  room for texts round their middles, in heights of their letters of this size; 0 to leave texts out
     * @return array{float, float, float, float} x0, y0, x1, y1; nothing reaches from 0 to 0
     */
    public static function of(array $shapes, float $letters = 0.0): array
    {
        [$x0, $y0, $x1, $y1] = [INF, INF, -INF, -INF];
        foreach ($shapes as $shape) {
            foreach ($shape->rings as $i => $ring) {
                $points = $ring;
                if ($shape->kind === 'text') {
                    if ($letters === 0.0) {
                        continue;
                    }
                    $half = mb_strlen($shape->text) * $ring[2] * 0.3;
                    $points = [$ring[0] - $half, $ring[1] - $ring[2], $ring[0] + $half, $ring[1] + $ring[2]];
                } elseif ($shape->kind === 'arc') {
                    [$x, $y, $r, $start, $sweep] = $ring;
                    $points = [];
                    foreach ([0.0, 0.25, 0.5, 0.75, 1.0] as $share) {
                        array_push($points, $x + $r * cos($start + $share * $sweep), $y + $r * sin($start + $share * $sweep));
                    }
                }
                foreach ($shape->curves[$i] ?? [] as $curve) {
                    [, $cx, $cy, $rx, $ry, $start, $sweep] = $curve;
                    array_push($points, ...Curve::curved($cx, $cy, $rx, $ry, $start, $sweep, $curve[7] ?? 0.0)->bounds());
                }
                for ($k = 0, $n = count($points); $k < $n; $k += 2) {
                    [$x0, $y0, $x1, $y1] = [
                        min($x0, $points[$k]),
                        min($y0, $points[$k + 1]),
                        max($x1, $points[$k]),
                        max($y1, $points[$k + 1]),
                    ];
                }
            }
        }

        return $x0 > $x1 ? [0.0, 0.0, 0.0, 0.0] : [$x0, $y0, $x1, $y1];
    }
}
