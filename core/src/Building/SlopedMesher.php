<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Geometry\Mesh;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Spots;

/**
 * The solid of a plane wall whose head or foot is not level, with its openings, in (u, v, n): its faces and ends as far as they reach up
 * and down, and over its plan the planes it ends at. What lies side by side shares its points, so the mesh is closed.
 */
final class SlopedMesher
{
    /** Openings that run past the head or the foot, which a finding tells, end this far before it, mm. */
    private const LEFT = 1.0;

    /** Points nearer than this are one, mm. */
    private const ONE = 0.05;

    /** @var array<string, list<array{float, float, float, int}>> points by cell */
    private array $cells = [];

    /** @var list<float> */
    private array $positions = [];

    /** @var list<int> */
    private array $triangles = [];

    private function __construct(private readonly Body $body, private readonly float $t)
    {
    }

    /** @param  list<list<float>>  $holes  rings in (u, v) */
    public static function mesh(Body $body, array $holes): Mesh
    {
        $self = new self($body, $body->host->depth());
        $self->faces($self->within($holes));

        return new Mesh($self->positions, $self->triangles);
    }

    /**
     * Of what the planes cut off and what stands on them, in mm³: pieces of plan with their levels.
     *
     * @return float without openings
     */
    public static function volume(Body $body): float
    {
        $self = new self($body, $body->host->depth());
        $sum = 0.0;
        foreach ([[true, 1.0], [false, -1.0]] as [$upper, $sign]) {
            foreach ($self->pieces($upper) as [$region, $level]) {
                [$points, $corners] = $region->triangles();
                for ($i = 0, $n = count($corners); $i < $n; $i += 3) {
                    [$a, $b, $c] = array_map(
                        static fn (int $k): array => [$points[2 * $k], $points[2 * $k + 1]], array_slice($corners, $i, 3),
                    );
                    $area = (($b[0] - $a[0]) * ($c[1] - $a[1]) - ($b[1] - $a[1]) * ($c[0] - $a[0])) / 2;
                    $sum += $sign * $area * ($level(...$a) + $level(...$b) + $level(...$c)) / 3;
                }
            }
        }

        return $sum;
    }

    /**
     * @param  list<list<float>>  $holes
     * @return list<list<float>> what of them lies between foot and head on both faces
     */
    private function within(array $holes): array
    {
        $body = $this->body;
        [$low, $high] = [min($body->left->at, $body->left->inner), max($body->right->at, $body->right->inner)];
        $kept = [];
        $room = null;
        foreach ($holes as $hole) {
            $room ??= $this->room(0.0, $low, $high)->intersection($this->room($this->t, $low, $high));
            array_push($kept, ...Region::polygon($hole)->intersection($room)->rings);
        }

        return $kept;
    }

    private function room(float $depth, float $low, float $high): Region
    {
        [$foot, $head] = [[], []];
        foreach ($this->body->footLine($low, $high, $depth) as [$u, $v]) {
            $foot[] = [$u, $v + self::LEFT];
        }
        foreach ($this->body->headLine($low, $high, $depth) as [$u, $v]) {
            $head[] = [$u, $v - self::LEFT];
        }

        return Region::polygon(Body::ring($foot, $head));
    }

    /** @param  list<list<float>>  $holes */
    private function faces(array $holes): void
    {
        [$left, $right, $t] = [$this->body->left, $this->body->right, $this->t];
        // region, what is cut out of it, where it lies, and whether it is seen from behind
        $sheets = [];
        foreach ([[$left->at, $right->at, 0.0, false], [$left->inner, $right->inner, $t, true]] as [$from, $to, $depth, $behind]) {
            $face = $this->body->faceBetween($from, $to, $depth);
            $sheets[] = [$face, $holes, static fn (float $u, float $v): array => [$u, $v, $depth], $behind];
        }
        foreach ([[$left, true], [$right, false]] as [$end, $behind]) {
            $way = $end->inner - $end->at;
            $region = Region::polygon(Body::ring($this->over($end, false), $this->over($end, true)));
            // an opening that reaches into a slanted end is cut there too
            $through = abs($way) < 1e-6 ? [] : array_map(static function (array $hole) use ($end, $way, $t): array {
                for ($i = 0, $n = count($hole); $i < $n; $i += 2) {
                    $hole[$i] = ($hole[$i] - $end->at) / $way * $t;
                }

                return array_values($hole);
            }, $holes);
            $sheets[] = [$region, $through, static fn (float $d, float $v): array => [$end->atDepth($d, $t), $v, $d], $behind];
        }
        foreach ([[true, false], [false, true]] as [$upper, $behind]) {
            $pieces = $this->pieces($upper);
            foreach ($pieces as [$region, $level]) {
                $sheets[] = [$region, [], static fn (float $u, float $d): array => [$u, $level($u, $d), $d], $behind];
            }
            $this->risers($pieces, $behind);
        }
        foreach ($sheets as [$region, , $place]) {
            foreach ($region->rings as $ring) {
                foreach (array_chunk($ring, 2) as [$x, $y]) {
                    $this->at($place($x, $y));
                }
            }
        }
        // where one ends on the edge of another, that has a corner there too
        $corners = array_chunk($this->positions, 3);
        foreach ($sheets as [$region, $through, $place, $behind]) {
            $whole = Region::fromRings(array_map(fn (array $ring): array => $this->withCorners($ring, $place, $corners), $region->rings));
            $this->put($through === [] ? $whole : $whole->cut($through), $place, $behind);
        }
        foreach ($holes as $hole) {
            $this->sides(Region::polygon($hole)->rings[0] ?? []);
        }
    }

    /**
     * A ring with the corners that lie on its edges.
     *
     * @param  list<float>  $ring
     * @param  \Closure(float, float): array{float, float, float}  $place
     * @param  list<list<float>>  $corners
     * @return list<float>
     */
    private function withCorners(array $ring, \Closure $place, array $corners): array
    {
        $out = [];
        for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
            $j = ($i + 2) % $n;
            [$a, $b] = [$place($ring[$i], $ring[$i + 1]), $place($ring[$j], $ring[$j + 1])];
            $way = Mesher::from($a, $b);
            $long = $way[0] ** 2 + $way[1] ** 2 + $way[2] ** 2;
            $on = [];
            foreach ($long < self::ONE ** 2 ? [] : $corners as [$u, $v, $n3]) {
                $to = Mesher::from($a, [$u, $v, -$n3]);
                $share = ($to[0] * $way[0] + $to[1] * $way[1] + $to[2] * $way[2]) / $long;
                if ($share > 0.0 && $share < 1.0
                    && max(abs($to[0] - $way[0] * $share), abs($to[1] - $way[1] * $share), abs($to[2] - $way[2] * $share)) < self::ONE
                    && min($share, 1.0 - $share) * sqrt($long) > self::ONE) {
                    $on[] = $share;
                }
            }
            sort($on);
            array_push($out, $ring[$i], $ring[$i + 1]);
            foreach ($on as $share) {
                array_push($out, $ring[$i] + ($ring[$j] - $ring[$i]) * $share, $ring[$i + 1] + ($ring[$j + 1] - $ring[$i + 1]) * $share);
            }
        }

        return $out;
    }

    /** @return list<array{float, float}> depth and level along an end, from the outer face to the inner one */
    private function over(End $end, bool $upper): array
    {
        [$body, $t] = [$this->body, $this->t];
        $cover = $upper ? $body->heads : $body->feet;
        [$a, $b] = [$body->surface->inPlan($end->at), $body->surface->inPlan($end->inner, $t)];
        // the wall lies on the left of the way in along its right end, on the right along its left end
        $line = $end === $body->right ? $cover?->along($body->surface, $a, $b)
            : Planes::reversed($cover?->along($body->surface, $b, $a));
        $level = $upper ? $body->head : $body->foot;

        return array_map(static fn (array $p): array => [$p[0] * $t, $p[1]], $line ?? [[0.0, $level], [1.0, $level]]);
    }

    /** @return list<array{Region, \Closure(float, float): float}> pieces of the plan in (u, depth), and level there */
    private function pieces(bool $upper): array
    {
        [$body, $t] = [$this->body, $this->t];
        $cover = $upper ? $body->heads : $body->feet;
        $plan = [$body->left->at, 0.0, $body->right->at, 0.0, $body->right->inner, $t, $body->left->inner, $t];
        if ($cover === null) {
            $level = $upper ? $body->head : $body->foot;

            return [[Region::polygon($plan), static fn (float $u, float $d): float => $level]];
        }
        $out = [];
        foreach ($cover->pieces($body->surface) as [$ring, $level]) {
            $part = Region::polygon($ring)->intersection(Region::polygon($plan));
            if ($part->area() > self::ONE) {
                $out[] = [$part, $level];
            }
        }
        $flat = static fn (float $u, float $d): array => [$u, 0.0, $d];
        $corners = [];
        foreach ($out as [$part]) {
            foreach (array_chunk(array_merge(...$part->rings), 2) as [$u, $d]) {
                $corners[] = [$u, 0.0, -$d];
            }
        }

        return array_map(fn (array $piece): array => [Region::fromRings(array_map(
            fn (array $ring): array => $this->withCorners($ring, $flat, $corners), $piece[0]->rings,
        )), $piece[1]], $out);
    }

    /**
     * Upright sides where the head or the foot steps from one piece to the next.
     *
     * @param  list<array{Region, \Closure(float, float): float}>  $pieces
     */
    private function risers(array $pieces, bool $behind): void
    {
        $spots = new Spots;
        $edges = [];
        foreach ($pieces as $k => [$region]) {
            foreach ($region->rings as $ring) {
                for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                    $j = ($i + 2) % $n;
                    $edges[$spots->at($ring[$i], $ring[$i + 1]).' '.$spots->at($ring[$j], $ring[$j + 1])] = [
                        $k, $ring[$i], $ring[$i + 1], $ring[$j], $ring[$j + 1],
                    ];
                }
            }
        }
        foreach ($edges as $key => [$k, $ua, $da, $ub, $db]) {
            $other = $edges[implode(' ', array_reverse(explode(' ', $key)))][0] ?? null;
            if ($other === null || $other < $k) {
                continue;
            }
            [$mine, $its] = [$pieces[$k][1], $pieces[$other][1]];
            $corners = array_map($this->at(...), [
                [$ub, $mine($ub, $db), $db], [$ua, $mine($ua, $da), $da], [$ua, $its($ua, $da), $da], [$ub, $its($ub, $db), $db],
            ]);
            foreach ([[0, 1, 2], [0, 2, 3]] as [$a, $b, $c]) {
                $this->triangle($corners[$a], $corners[$behind ? $c : $b], $corners[$behind ? $b : $c]);
            }
        }
    }

    /** @param  list<float>  $ring  of an opening, counter-clockwise */
    private function sides(array $ring): void
    {
        for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
            $j = ($i + 2) % $n;
            $this->side($ring[$j], $ring[$j + 1], $ring[$i], $ring[$i + 1]);
        }
    }

    private function side(float $ua, float $va, float $ub, float $vb): void
    {
        $polygon = Mesher::side($this->body, $ua, $va, $ub, $vb);
        for ($k = 2, $n = count($polygon); $k < $n; $k++) {
            $this->triangle($this->at($polygon[0]), $this->at($polygon[$k - 1]), $this->at($polygon[$k]));
        }
    }

    /** @param  \Closure(float, float): array{float, float, float}  $place  u, v and depth of a point of it */
    private function put(Region $region, \Closure $place, bool $behind): void
    {
        [$points, $corners] = $region->triangles();
        $known = [];
        for ($i = 0, $n = count($points); $i < $n; $i += 2) {
            $known[] = $this->at($place($points[$i], $points[$i + 1]));
        }
        for ($i = 0, $n = count($corners); $i < $n; $i += 3) {
            [$a, $b, $c] = [$known[$corners[$i]], $known[$corners[$i + 1]], $known[$corners[$i + 2]]];
            $behind ? $this->triangle($a, $c, $b) : $this->triangle($a, $b, $c);
        }
    }

    private function triangle(int $a, int $b, int $c): void
    {
        if ($a !== $b && $b !== $c && $c !== $a) {
            array_push($this->triangles, $a, $b, $c);
        }
    }

    /**
     * Number of a point: that of one it lies on, or a new one.
     *
     * @param  array{float, float, float}  $point  u, v, depth
     */
    private function at(array $point): int
    {
        [$u, $v, $d] = $point;
        $cell = array_map(static fn (float $c): int => (int) floor($c / 1.0), $point);
        for ($k = 0; $k < 27; $k++) {
            $near = ($cell[0] + intdiv($k, 9) - 1).','.($cell[1] + intdiv($k, 3) % 3 - 1).','.($cell[2] + $k % 3 - 1);
            foreach ($this->cells[$near] ?? [] as [$x, $y, $z, $number]) {
                if (abs($x - $u) < self::ONE && abs($y - $v) < self::ONE && abs($z - $d) < self::ONE) {
                    return $number;
                }
            }
        }
        $number = intdiv(count($this->positions), 3);
        $this->cells[implode(',', $cell)][] = [$u, $v, $d, $number];
        array_push($this->positions, $u, $v, -$d);

        return $number;
    }
}
