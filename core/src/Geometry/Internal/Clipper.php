<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry\Internal;

use Isleward\Core\Geometry\Tolerance;

/**
 * Union, intersection and difference of two sets of rings.
 *
 * Corners are snapped to the grid of {@see Tolerance::GRID} and handled as whole numbers, so every decision is exact.
 * Edges are split until they meet at ends only (snap rounding, Hobby 1999); a left-to-right sweep then counts how often
 * each set winds round the space below and above every edge; edges with the result on one side only are linked into
 * rings, turning left as sharply as possible at a shared point, so each ring bounds one wedge of the inside.
 *
 * @internal
 */
final class Clipper
{
    public const UNION = 0;

    public const INTERSECTION = 1;

    public const DIFFERENCE = 2;

    private const MOST_ROUNDS = 40;

    /** @var array<string, array{int, int, int, int, int, int}> x, y of the lesser end, x, y of the greater, windings of a and b */
    private array $edges = [];

    /** @var array<string, array{float, float}> the coordinates a grid point was given as */
    private array $given = [];

    /**
     * @param  list<list<float>>  $a
     * @param  list<list<float>>  $b
     * @return list<list<float>>
     */
    public static function combine(array $a, array $b, int $operation): array
    {
        $clipper = new self;
        foreach ($a as $ring) {
            $clipper->add($ring, 1, 0);
        }
        foreach ($b as $ring) {
            $clipper->add($ring, 0, 1);
        }
        $clipper->splitAtCrossings();

        return $clipper->link($clipper->boundary($operation));
    }

    /** @param  list<float>  $ring */
    private function add(array $ring, int $a, int $b): void
    {
        $scale = 1 / Tolerance::GRID;
        $n = count($ring);
        $points = [];
        for ($i = 0; $i < $n; $i += 2) {
            $x = (int) round($ring[$i] * $scale);
            $y = (int) round($ring[$i + 1] * $scale);
            $this->given[$x.','.$y] ??= [$ring[$i], $ring[$i + 1]];
            $points[] = [$x, $y];
        }
        $count = count($points);
        for ($i = 0; $i < $count; $i++) {
            [$x0, $y0] = $points[$i];
            [$x1, $y1] = $points[($i + 1) % $count];
            $this->put($x0, $y0, $x1, $y1, $a, $b);
        }
    }

    private function put(int $x0, int $y0, int $x1, int $y1, int $a, int $b): void
    {
        if ($x0 === $x1 && $y0 === $y1) {
            return;
        }
        if ($x0 > $x1 || ($x0 === $x1 && $y0 > $y1)) {
            [$x0, $y0, $x1, $y1, $a, $b] = [$x1, $y1, $x0, $y0, -$a, -$b];
        }
        $key = $x0.','.$y0.','.$x1.','.$y1;
        if (isset($this->edges[$key])) {
            $this->edges[$key][4] += $a;
            $this->edges[$key][5] += $b;
        } else {
            $this->edges[$key] = [$x0, $y0, $x1, $y1, $a, $b];
        }
    }

    /** Splits edges where they cross or touch, until none does; rounding a crossing may make another, so it repeats. */
    private function splitAtCrossings(): void
    {
        for ($round = 0; $round < self::MOST_ROUNDS; $round++) {
            $splits = $this->crossings();
            if ($splits === []) {
                return;
            }
            foreach ($splits as $key => $points) {
                [$x0, $y0, $x1, $y1, $a, $b] = $this->edges[$key];
                unset($this->edges[$key]);
                uasort($points, static fn (array $p, array $q): int => [
                    abs($p[0] - $x0) + abs($p[1] - $y0),
                ] <=> [abs($q[0] - $x0) + abs($q[1] - $y0)]);
                [$px, $py] = [$x0, $y0];
                foreach ($points as [$qx, $qy]) {
                    $this->put($px, $py, $qx, $qy, $a, $b);
                    [$px, $py] = [$qx, $qy];
                }
                $this->put($px, $py, $x1, $y1, $a, $b);
            }
        }
        throw new \LogicException('Clipping did not settle: edges still cross after '.self::MOST_ROUNDS.' rounds.');
    }

    /** @return array<string, array<string, array{int, int}>> edge key → points it must be split at */
    private function crossings(): array
    {
        $edges = $this->edges;
        uasort($edges, static fn (array $e, array $f): int => $e[0] <=> $f[0]);
        $splits = [];
        $active = [];
        foreach ($edges as $key => $e) {
            [$ax, $ay, $bx, $by] = $e;
            $low = min($ay, $by);
            $high = max($ay, $by);
            foreach ($active as $other => $f) {
                if ($f[2] < $ax) {
                    unset($active[$other]);

                    continue;
                }
                if (($f[1] > $high && $f[3] > $high) || ($f[1] < $low && $f[3] < $low)) {
                    continue;
                }
                [$cx, $cy, $dx, $dy] = $f;
                $c = ($bx - $ax) * ($cy - $ay) - ($by - $ay) * ($cx - $ax);
                $d = ($bx - $ax) * ($dy - $ay) - ($by - $ay) * ($dx - $ax);
                $a = ($dx - $cx) * ($ay - $cy) - ($dy - $cy) * ($ax - $cx);
                $b = ($dx - $cx) * ($by - $cy) - ($dy - $cy) * ($bx - $cx);
                if ($c === 0 && self::between($cx, $cy, $e)) {
                    $splits[$key][$cx.','.$cy] = [$cx, $cy];
                }
                if ($d === 0 && self::between($dx, $dy, $e)) {
                    $splits[$key][$dx.','.$dy] = [$dx, $dy];
                }
                if ($a === 0 && self::between($ax, $ay, $f)) {
                    $splits[$other][$ax.','.$ay] = [$ax, $ay];
                }
                if ($b === 0 && self::between($bx, $by, $f)) {
                    $splits[$other][$bx.','.$by] = [$bx, $by];
                }
                if ((($c > 0 && $d < 0) || ($c < 0 && $d > 0)) && (($a > 0 && $b < 0) || ($a < 0 && $b > 0))) {
                    $t = $a / ($a - $b);
                    $x = (int) round($ax + ($bx - $ax) * $t);
                    $y = (int) round($ay + ($by - $ay) * $t);
                    if (($x !== $ax || $y !== $ay) && ($x !== $bx || $y !== $by)) {
                        $splits[$key][$x.','.$y] = [$x, $y];
                    }
                    if (($x !== $cx || $y !== $cy) && ($x !== $dx || $y !== $dy)) {
                        $splits[$other][$x.','.$y] = [$x, $y];
                    }
                }
            }
            $active[$key] = $e;
        }

        return $splits;
    }

    /**
     * Whether a point on the edge's line lies strictly between its ends.
     *
     * @param  array{int, int, int, int, int, int}  $e
     */
    private static function between(int $x, int $y, array $e): bool
    {
        return ($x > $e[0] || ($x === $e[0] && $y > $e[1])) && ($x < $e[2] || ($x === $e[2] && $y < $e[3]));
    }

    /**
     * The directed edges that have the result on their left.
     *
     * @return list<array{int, int, int, int}>
     */
    private function boundary(int $operation): array
    {
        $ending = $starting = $points = [];
        foreach ($this->edges as $key => $e) {
            if ($e[4] === 0 && $e[5] === 0) {
                continue;
            }
            $starting[$e[0].','.$e[1]][] = $key;
            $ending[$e[2].','.$e[3]][] = $key;
            $points[$e[0].','.$e[1]] = [$e[0], $e[1]];
            $points[$e[2].','.$e[3]] = [$e[2], $e[3]];
        }
        uasort($points, static fn (array $p, array $q): int => [$p[0], $p[1]] <=> [$q[0], $q[1]]);

        /** @var list<string> $status */
        $status = [];
        /** @var array<string, array{int, int}> $above */
        $above = [];
        $out = [];
        foreach ($points as $point => [$px, $py]) {
            foreach ($ending[$point] ?? [] as $key) {
                array_splice($status, (int) array_search($key, $status, true), 1);
            }
            $new = $starting[$point] ?? [];
            if ($new === []) {
                continue;
            }
            usort($new, function (string $k, string $l): int {
                $e = $this->edges[$k];
                $f = $this->edges[$l];

                return (($e[3] - $e[1]) * ($f[2] - $f[0])) <=> (($f[3] - $f[1]) * ($e[2] - $e[0]));
            });
            $low = 0;
            $high = count($status);
            while ($low < $high) {
                $mid = ($low + $high) >> 1;
                $e = $this->edges[$status[$mid]];
                if (($e[2] - $e[0]) * ($py - $e[1]) - ($e[3] - $e[1]) * ($px - $e[0]) > 0) {
                    $low = $mid + 1;
                } else {
                    $high = $mid;
                }
            }
            [$a, $b] = $low === 0 ? [0, 0] : $above[$status[$low - 1]];
            foreach ($new as $key) {
                $e = $this->edges[$key];
                $inBelow = self::inside($a, $b, $operation);
                $a += $e[4];
                $b += $e[5];
                $above[$key] = [$a, $b];
                $inAbove = self::inside($a, $b, $operation);
                if ($inAbove !== $inBelow) {
                    $out[] = $inAbove ? [$e[0], $e[1], $e[2], $e[3]] : [$e[2], $e[3], $e[0], $e[1]];
                }
            }
            array_splice($status, $low, 0, $new);
        }

        return $out;
    }

    private static function inside(int $a, int $b, int $operation): bool
    {
        return match ($operation) {
            self::UNION => $a !== 0 || $b !== 0,
            self::INTERSECTION => $a !== 0 && $b !== 0,
            default => $a !== 0 && $b === 0,
        };
    }

    /**
     * @param  list<array{int, int, int, int}>  $edges
     * @return list<list<float>>
     */
    private function link(array $edges): array
    {
        $from = [];
        foreach ($edges as $i => $e) {
            $from[$e[0].','.$e[1]][$i] = $i;
        }
        $used = [];
        $rings = [];
        foreach ($edges as $first => $_) {
            if (isset($used[$first])) {
                continue;
            }
            $ring = [];
            $i = $first;
            do {
                $used[$i] = true;
                $e = $edges[$i];
                unset($from[$e[0].','.$e[1]][$i]);
                $ring[] = [$e[0], $e[1]];
                $next = $from[$e[2].','.$e[3]] ?? [];
                $i = match (count($next)) {
                    0 => null,
                    1 => array_key_first($next),
                    default => self::sharpestLeft($e, $next, $edges),
                };
            } while ($i !== null);
            $ring = self::withoutStraightPoints($ring);
            if (count($ring) >= 3) {
                $flat = [];
                foreach ($ring as [$x, $y]) {
                    [$gx, $gy] = $this->given[$x.','.$y] ?? [$x * Tolerance::GRID, $y * Tolerance::GRID];
                    $flat[] = $gx;
                    $flat[] = $gy;
                }
                $rings[] = $flat;
            }
        }

        return $rings;
    }

    /**
     * @param  array{int, int, int, int}  $e
     * @param  array<int, int>  $candidates
     * @param  list<array{int, int, int, int}>  $edges
     */
    private static function sharpestLeft(array $e, array $candidates, array $edges): int
    {
        $back = atan2($e[1] - $e[3], $e[0] - $e[2]);
        $best = -1;
        $least = INF;
        foreach ($candidates as $i) {
            $f = $edges[$i];
            $turn = fmod($back - atan2($f[3] - $f[1], $f[2] - $f[0]) + 4 * M_PI, 2 * M_PI);
            if ($turn < $least) {
                $least = $turn;
                $best = $i;
            }
        }

        return $best;
    }

    /**
     * @param  list<array{int, int}>  $ring
     * @return list<array{int, int}>
     */
    private static function withoutStraightPoints(array $ring): array
    {
        do {
            $out = [];
            $n = count($ring);
            for ($i = 0; $i < $n; $i++) {
                $p = $out === [] ? $ring[$n - 1] : $out[count($out) - 1];
                $q = $ring[$i];
                $r = $ring[($i + 1) % $n];
                if (($q[0] - $p[0]) * ($r[1] - $q[1]) !== ($q[1] - $p[1]) * ($r[0] - $q[0])) {
                    $out[] = $q;
                }
            }
            $shorter = count($out) < $n;
            $ring = $out;
        } while ($shorter && count($ring) >= 3);

        return $ring;
    }
}
