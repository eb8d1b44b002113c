<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Geometry\Mesh;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Tolerance;

/**
 * The solid of a wall with its openings cut through its whole thickness, in (u, v, n).
 *
 * Where no opening reaches into the wedge that a slanted end takes off, the outer and inner faces have the same rings, and
 * each ring edge carries one side quad: the mesh is closed by construction. Where one does, each plane of the solid is
 * cut on its own in its own coordinates.
 */
final class Mesher
{
    /**
     * A wall with its openings; a plane one ({@see Body::isPlane}) in (u, v, n), any other from its left end, x east and z south.
     *
     * @param  list<PlacedOpening>  $openings
     * @param  float  $sagitta  by how much chords may leave the arc of a curved one, mm
     */
    public static function wall(Body $body, array $openings, float $sagitta = CurvedMesher::SAGITTA): Mesh
    {
        $holes = static fn (): array => array_map(static fn (PlacedOpening $p): array => $p->ring(), $openings);

        return match (true) {
            ! $body->isPlane() => CurvedMesher::mesh($body, $openings, $sagitta),
            $body->isLevel() => self::mesh($body, $holes()),
            default => SlopedMesher::mesh($body, $holes()),
        };
    }

    /**
     * A flat wall.
     *
     * @param  list<list<float>>  $holes rings in (u, v)
     */
    public static function mesh(Body $body, array $holes): Mesh
    {
        $low = [min($body->left->at, $body->left->inner), max($body->left->at, $body->left->inner)];
        $high = [min($body->right->at, $body->right->inner), max($body->right->at, $body->right->inner)];
        $holes = array_map(static fn (array $hole): array => self::clear($hole, $low, $high), $holes);
        $whole = Region::rectangle($low[0], $body->foot, $high[1], $body->head)->cut($holes);

        foreach ($holes as $hole) {
            for ($i = 0, $n = count($hole); $i < $n; $i += 2) {
                if (($hole[$i] < $low[1] && $low[1] > $low[0]) || ($hole[$i] > $high[0] && $high[1] > $high[0])) {
                    return self::planeByPlane($body, $whole, $holes, $low, $high);
                }
            }
        }

        return self::prism($body, $whole, $low[0], $high[1]);
    }

    /**
     * A hole that begins just where a slanted end comes out of the other face would leave a side of no length there: it is kept clear of
     * that by twice the tolerance.
     *
     * @param  list<float>  $hole
     * @param  array{float, float}  $low
     * @param  array{float, float}  $high
     * @return list<float>
     */
    private static function clear(array $hole, array $low, array $high): array
    {
        $step = 2 * Tolerance::LENGTH;
        for ($i = 0, $n = count($hole); $i < $n; $i += 2) {
            if ($low[1] > $low[0] && abs($hole[$i] - $low[1]) < $step) {
                $hole[$i] = $low[1] + $step;
            } elseif ($high[1] > $high[0] && abs($hole[$i] - $high[0]) < $step) {
                $hole[$i] = $high[0] - $step;
            }
        }

        return array_values($hole);
    }

    private static function prism(Body $body, Region $whole, float $low, float $high): Mesh
    {
        $t = $body->host->depth();
        $outer = $inner = [];
        foreach ($whole->rings as $ring) {
            $outer[] = self::withEndsAt($ring, $low, $body->left->at, $high, $body->right->at);
            $inner[] = self::withEndsAt($ring, $low, $body->left->inner, $high, $body->right->inner);
        }

        return Mesh::between($outer, $inner, 0.0, -$t);
    }

    /**
     * @param  list<float>  $ring
     * @return list<float>
     */
    private static function withEndsAt(array $ring, float $low, float $newLow, float $high, float $newHigh): array
    {
        for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
            if ($ring[$i] === $low) {
                $ring[$i] = $newLow;
            } elseif ($ring[$i] === $high) {
                $ring[$i] = $newHigh;
            }
        }

        return $ring;
    }

    /**
     * @param  list<list<float>>  $holes
     * @param  array{float, float}  $low
     * @param  array{float, float}  $high
     */
    private static function planeByPlane(Body $body, Region $whole, array $holes, array $low, array $high): Mesh
    {
        $t = $body->host->depth();
        $positions = $triangles = [];
        // each plane: from u to u, depth = at + slope · u, seen from behind or not
        $planes = [
            [$body->left->at, $body->right->at, 0.0, 0.0, false],
            [$body->left->inner, $body->right->inner, $t, 0.0, true],
        ];
        foreach ([
            [$body->left, $low, $body->left->inner > $body->left->at],
            [$body->right, $high, $body->right->inner < $body->right->at],
        ] as [$end, $zone, $reversed]) {
            if ($zone[1] > $zone[0]) {
                $slope = $t / ($end->inner - $end->at);
                $planes[] = [$zone[0], $zone[1], -$end->at * $slope, $slope, $reversed];
            }
        }
        foreach ($planes as [$from, $to, $at, $slope, $reversed]) {
            [$points, $corners] = Region::rectangle($from, $body->foot, $to, $body->head)->cut($holes)->triangles();
            $first = intdiv(count($positions), 3);
            for ($i = 0, $n = count($points); $i < $n; $i += 2) {
                array_push($positions, $points[$i], $points[$i + 1], -($at + $slope * $points[$i]));
            }
            for ($i = 0, $n = count($corners); $i < $n; $i += 3) {
                array_push(
                    $triangles,
                    $first + $corners[$i],
                    $first + $corners[$i + ($reversed ? 2 : 1)],
                    $first + $corners[$i + ($reversed ? 1 : 2)],
                );
            }
        }
        foreach ($whole->rings as $ring) {
            $n = count($ring);
            for ($i = 0; $i < $n; $i += 2) {
                $j = ($i + 2) % $n;
                $side = self::side($body, $ring[$i], $ring[$i + 1], $ring[$j], $ring[$j + 1]);
                $first = intdiv(count($positions), 3);
                foreach ($side as $k => [$u, $v, $depth]) {
                    array_push($positions, $u, $v, -$depth);
                    if ($k >= 2) {
                        array_push($triangles, $first, $first + $k - 1, $first + $k);
                    }
                }
            }
        }

        return new Mesh($positions, $triangles);
    }

    /**
     * The side over one ring edge, between the outer and the inner face, clipped by both end planes (Sutherland and
     * Hodgman 1974).
     *
     * @return list<array{float, float, float}> u, v, depth; empty when nothing of it is left
     */
    public static function side(Body $body, float $ua, float $va, float $ub, float $vb): array
    {
        $t = $body->host->depth();
        $polygon = [[$ua, $va, 0.0], [$ua, $va, $t], [$ub, $vb, $t], [$ub, $vb, 0.0]];
        foreach ([[$body->left, 1.0], [$body->right, -1.0]] as [$end, $sign]) {
            $kept = [];
            $n = count($polygon);
            for ($i = 0; $i < $n; $i++) {
                $p = $polygon[$i];
                $q = $polygon[($i + 1) % $n];
                $a = $sign * ($p[0] - $end->atDepth($p[2], $t));
                $b = $sign * ($q[0] - $end->atDepth($q[2], $t));
                if ($a >= -1e-9) {
                    $kept[] = $p;
                }
                if (($a > 1e-9 && $b < -1e-9) || ($a < -1e-9 && $b > 1e-9)) {
                    $s = $a / ($a - $b);
                    $kept[] = [$p[0] + ($q[0] - $p[0]) * $s, $p[1] + ($q[1] - $p[1]) * $s, $p[2] + ($q[2] - $p[2]) * $s];
                }
            }
            $polygon = $kept;
        }
        $area = 0.0;
        for ($i = 2, $n = count($polygon); $i < $n; $i++) {
            [$ax, $ay, $az] = self::from($polygon[0], $polygon[$i - 1]);
            [$bx, $by, $bz] = self::from($polygon[0], $polygon[$i]);
            $area += hypot($ax * $bz - $az * $bx, $ay * $bz - $az * $by);
        }

        return $area > 1e-6 ? $polygon : [];
    }

    /**
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $b
     * @return array{float, float, float}
     */
    public static function from(array $a, array $b): array
    {
        return [$b[0] - $a[0], $b[1] - $a[1], $b[2] - $a[2]];
    }
}
