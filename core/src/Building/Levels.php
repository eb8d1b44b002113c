<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;

/** Levels and slopes along a wall, the same through its thickness: a parapet that steps. */
final readonly class Levels implements Cover
{
    /** Its first and last levels reach so far past the wall, mm. */
    private const PAST = 100_000.0;

    /** @param  list<array{float, float}>  $points  one at least: u and level in order, two at one u are a step */
    public function __construct(private array $points)
    {
    }

    public function at(Upright $surface, Vec2 $point): float
    {
        return $this->level($surface->u($point));
    }

    public function line(Upright $surface, float $from, float $to, float $depth): array
    {
        $out = [[$from, $this->level($from, true)]];
        foreach ($this->points as [$u, $v]) {
            if ($u > $from && $u < $to) {
                $out[] = [$u, $v];
            }
        }
        $out[] = [$to, $this->level($to)];

        return $out;
    }

    public function along(Upright $surface, Vec2 $from, Vec2 $to): array
    {
        [$a, $b] = [$surface->u($from), $surface->u($to)];
        if (abs($b - $a) < 1e-6) {
            return [[0.0, $this->level($a)], [1.0, $this->level($a)]];
        }
        $line = array_map(
            static fn (array $p): array => [($p[0] - min($a, $b)) / abs($b - $a), $p[1]],
            $this->line($surface, min($a, $b), max($a, $b), 0.0),
        );

        return $b > $a ? $line : Planes::reversed($line);
    }

    public function pieces(Upright $surface): array
    {
        $out = [];
        [$first, $last] = [$this->points[0], $this->points[count($this->points) - 1]];
        $line = [[$first[0] - self::PAST, $first[1]], ...$this->points, [$last[0] + self::PAST, $last[1]]];
        for ($i = 1, $n = count($line); $i < $n; $i++) {
            [[$u0, $v0], [$u1, $v1]] = [$line[$i - 1], $line[$i]];
            if ($u1 > $u0) {
                $slope = ($v1 - $v0) / ($u1 - $u0);
                $out[] = [
                    [$u0, -self::PAST, $u1, -self::PAST, $u1, self::PAST, $u0, self::PAST],
                    static fn (float $u, float $d): float => $v0 + $slope * ($u - $u0),
                ];
            }
        }

        return $out;
    }

    /** @param  bool  $after  at a step the level to its right, else the one to its left */
    private function level(float $u, bool $after = false): float
    {
        $n = count($this->points);
        [$u0, $v0] = $this->points[0];
        if ($u < $u0 || ($u === $u0 && ! $after)) {
            return $v0;
        }
        for ($i = 1; $i < $n; $i++) {
            [$u1, $v1] = $this->points[$i];
            if ($u < $u1 || ($u === $u1 && ! $after)) {
                return $u1 > $u0 ? $v0 + ($v1 - $v0) * ($u - $u0) / ($u1 - $u0) : $v1;
            }
            [$u0, $v0] = [$u1, $v1];
        }

        return $v0;
    }
}
