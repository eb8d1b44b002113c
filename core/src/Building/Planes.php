<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;

/** Pieces of planes side by side in plan: the underside or the upper side of a roof. Plan x east, y north, levels up, mm. */
final readonly class Planes implements Cover
{
    /** Along an arc they go by chords of so much at the most, mm. */
    public const STRIDE = 250.0;

    /** Lines are taken to lie this far on their inside, so that one along a border lies under one piece, mm. */
    private const ASIDE = 1e-3;

    /** No more than this may be left uncovered at a border, mm. */
    private const GAP = 0.02;

    /**
     * @param  list<array{list<float>, array{float, float, float}}>  $pieces  ring in plan, counter-clockwise, and level: a + b·x + c·y
     */
    public function __construct(public array $pieces)
    {
    }

    public function at(Upright $surface, Vec2 $point): ?float
    {
        // one on a border of it all may lie just beyond it
        foreach ([[0.0, 0.0], [self::GAP, 0.0], [-self::GAP, 0.0], [0.0, self::GAP], [0.0, -self::GAP]] as [$dx, $dy]) {
            foreach ($this->pieces as [$ring, $plane]) {
                if (self::holds($ring, $point->x + $dx, $point->y + $dy)) {
                    return self::level($plane, $point);
                }
            }
        }

        return null;
    }

    public function line(Upright $surface, float $from, float $to, float $depth): ?array
    {
        $n = $surface->isFlat() ? 1 : max(1, (int) ceil(($to - $from) / self::STRIDE));
        $out = [];
        for ($k = 0; $k < $n; $k++) {
            [$a, $b] = [$from + ($to - $from) * $k / $n, $from + ($to - $from) * ($k + 1) / $n];
            [$p, $q] = [$surface->inPlan($a, $depth), $surface->inPlan($b, $depth)];
            // the wall lies on the left of its outer face, on the right of its inner one
            $over = $depth > 0.0 ? self::reversed($this->along($surface, $q, $p)) : $this->along($surface, $p, $q);
            if ($over === null) {
                return null;
            }
            foreach ($over as [$share, $v]) {
                $u = $a + ($b - $a) * $share;
                $last = $out[count($out) - 1] ?? null;
                if ($last === null || $last[0] !== $u || abs($last[1] - $v) > self::GAP) {
                    $out[] = [$u, $v];
                }
            }
        }

        return $out === [] ? null : $out;
    }

    public function pieces(Upright $surface): array
    {
        $out = [];
        foreach ($this->pieces as [$ring, $plane]) {
            $own = [];
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                $point = new Vec2($ring[$i], $ring[$i + 1]);
                array_push($own, $surface->u($point), $surface->depth($point));
            }
            $out[] = [$own, static fn (float $u, float $d): float => self::level($plane, $surface->inPlan($u, $d))];
        }

        return $out;
    }

    /**
     * @param  non-empty-list<array{float, float}>|null  $line
     * @return ($line is null ? null : non-empty-list<array{float, float}>)
     */
    public static function reversed(?array $line): ?array
    {
        return $line === null ? null : array_map(static fn (array $p): array => [1.0 - $p[0], $p[1]], array_reverse($line));
    }

    public function along(Upright $surface, Vec2 $from, Vec2 $to): ?array
    {
        $length = $from->distanceTo($to);
        $way = $to->minus($from)->times(1 / $length);
        [$x, $y] = [$from->x - $way->y * self::ASIDE, $from->y + $way->x * self::ASIDE];
        $spans = [];
        foreach ($this->pieces as [$ring, $plane]) {
            $at = [];
            $n = count($ring);
            $da = $way->x * ($ring[$n - 1] - $y) - $way->y * ($ring[$n - 2] - $x);
            for ($i = 0, $j = $n - 2; $i < $n; $j = $i, $i += 2) {
                $db = $way->x * ($ring[$i + 1] - $y) - $way->y * ($ring[$i] - $x);
                if ($da > 0.0 !== $db > 0.0) {
                    [$sa, $sb] = [
                        $way->x * ($ring[$j] - $x) + $way->y * ($ring[$j + 1] - $y),
                        $way->x * ($ring[$i] - $x) + $way->y * ($ring[$i + 1] - $y),
                    ];
                    $at[] = $sa + ($sb - $sa) * $da / ($da - $db);
                }
                $da = $db;
            }
            sort($at);
            for ($i = 1, $n = count($at); $i < $n; $i += 2) {
                [$s0, $s1] = [max(0.0, $at[$i - 1]), min($length, $at[$i])];
                if ($s1 - $s0 > self::GAP) {
                    $spans[] = [$s0, $s1, $plane];
                }
            }
        }
        /** @var list<array{float, float, array{float, float, float}}> $spans */
        usort($spans, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        /** @var list<array{float, float}> $out */
        $out = [];
        $reached = 0.0;
        foreach ($spans as $k => [$s0, $s1, $plane]) {
            if ($s0 > $reached + self::GAP) {
                return null;
            }
            $s0 = $reached;
            $s1 = isset($spans[$k + 1]) || $s1 < $length - self::GAP ? $s1 : $length;
            foreach ([$s0, $s1] as $s) {
                $level = self::level($plane, $from->plus($way->times($s)));
                $last = $out[count($out) - 1] ?? null;
                if ($last === null || abs($last[0] - $s / $length) > 1e-12 || abs($last[1] - $level) > self::GAP) {
                    $out[] = [$s / $length, $level];
                }
            }
            $reached = $s1;
        }

        return $reached < $length - self::GAP || $out === [] ? null : self::withoutStraights($out, $length);
    }

    /** @param  array{float, float, float}  $plane */
    private static function level(array $plane, Vec2 $point): float
    {
        return $plane[0] + $plane[1] * $point->x + $plane[2] * $point->y;
    }

    /**
     * Points of one straight run lie on its two ends only; borders between pieces in one plane go.
     *
     * @param  non-empty-list<array{float, float}>  $line
     * @return non-empty-list<array{float, float}>
     */
    private static function withoutStraights(array $line, float $length): array
    {
        $out = [];
        foreach ($line as $i => [$s, $v]) {
            [$before, $after] = [$out[count($out) - 1] ?? null, $line[$i + 1] ?? null];
            if ($before !== null && $after !== null && $after[0] > $s && $s > $before[0]) {
                $straight = $before[1] + ($after[1] - $before[1]) * ($s - $before[0]) / ($after[0] - $before[0]);
                if (abs($straight - $v) < 1e-6 * max(1.0, $length / 1000)) {
                    continue;
                }
            }
            $out[] = [$s, $v];
        }

        return $out === [] ? $line : $out;
    }

    /**
     * Whether a point lies in a ring; corners and edges, which walls have much to do with, are told either way.
     *
     * @param  list<float>  $ring
     */
    private static function holds(array $ring, float $x, float $y): bool
    {
        $in = false;
        for ($n = count($ring), $i = 0, $j = $n - 2; $i < $n; $j = $i, $i += 2) {
            if ($y < $ring[$j + 1] !== $ring[$i + 1] > $y
                && $x < ($ring[$j] - $ring[$i]) * ($y - $ring[$i + 1]) / ($ring[$j + 1] - $ring[$i + 1]) + $ring[$i]) {
                $in = ! $in;
            }
        }

        return $in;
    }
}
