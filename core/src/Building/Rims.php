<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Region;

/**
 * Head and foot of a curved wall that are not level, on both faces, point for point: where either face's line turns, both have a point.
 * Between two points the wall ends in a straight strip from face to face. A step is a ramp a twentieth of a millimetre wide.
 */
final readonly class Rims
{
    /** Points of a line are so far apart at least, mm. */
    private const APART = 0.05;

    /** Points of the two faces that are nearer than this stand behind one another, mm. */
    private const SAME = 0.02;

    /** A point this near to a rim lies on it, mm. */
    private const ON = 0.1;

    /** Openings keep so far from a rim, mm. */
    private const CLEAR = 0.5;

    /** @var non-empty-list<array{float, float}> u on the outer face and on the inner one: straight between them */
    private array $knots;

    /** @var non-empty-list<array{float, float, float, float}> u and v on the outer face and on the inner one */
    private array $feet;

    /** @var non-empty-list<array{float, float, float, float}> the same */
    private array $heads;

    public function __construct(Body $body)
    {
        $t = $body->host->depth();
        [[$la, $li], [$ra, $ri]] = [[$body->left->at, $body->left->inner], [$body->right->at, $body->right->inner]];
        // straight behind one another, but near the ends, where the faces begin and end apart
        $from = max($la, $li) + 2 * abs($la - $li);
        $to = min($ra, $ri) - 2 * abs($ra - $ri);
        $this->knots = $from < $to ? [[$la, $li], [$from, $from], [$to, $to], [$ra, $ri]] : [[$la, $li], [$ra, $ri]];
        $this->feet = $this->both($body->footLine($la, $ra), $body->footLine($li, $ri, $t));
        $this->heads = $this->both($body->headLine($la, $ra), $body->headLine($li, $ri, $t));
    }

    /** The outer face. */
    public function face(): Region
    {
        $feet = $heads = [];
        foreach ($this->feet as [$u, $v]) {
            $feet[] = [$u, $v];
        }
        foreach ($this->heads as [$u, $v]) {
            $heads[] = [$u, $v];
        }

        return Region::polygon(Body::ring($feet, $heads));
    }

    /** @return array{float, float}|null u and v on the inner face of a point on a rim of the outer one; null where it is on none */
    public function behind(float $u, float $v): ?array
    {
        foreach ([$this->feet, $this->heads] as $rim) {
            $k = self::place($rim, 0, $u);
            foreach ([$rim[$k], $rim[$k + 1]] as $point) {
                if (abs($point[0] - $u) < self::SAME / 2 && abs($point[1] - $v) < self::ON) {
                    return [$point[2], $point[3]];
                }
            }
            [$a, $b] = [$rim[$k], $rim[$k + 1]];
            $share = ($u - $a[0]) / ($b[0] - $a[0]);
            if ($share >= 0.0 && $share <= 1.0 && abs($a[1] + ($b[1] - $a[1]) * $share - $v) < self::ON) {
                return [$a[2] + ($b[2] - $a[2]) * $share, $a[3] + ($b[3] - $a[3]) * $share];
            }
        }

        return null;
    }

    /**
     * From where to where in height an opening keeps between foot and head on both faces all over its width.
     *
     * @param  list<float>  $near  its ring on the outer face
     * @param  list<float>  $far  on the inner face
     * @return array{float, float}|null  null where it does as it is
     */
    public function room(array $near, array $far): ?array
    {
        [$low, $high, $fits] = [-INF, INF, true];
        foreach ([[$near, 0], [$far, 2]] as [$ring, $axis]) {
            $shape = Contour::polygon($ring);
            [$from, , $to] = $shape->bounds();
            foreach ([[$this->feet, -1.0], [$this->heads, 1.0]] as [$rim, $side]) {
                $at = self::turns($rim, $axis, $from, $to);
                foreach ($at as $u) {
                    $level = self::level($rim, $axis, $u);
                    $side > 0.0 ? $high = min($high, $level) : $low = max($low, $level);
                }
                for ($i = 0, $n = count($ring); $i < $n && $fits; $i += 2) {
                    $fits = $side * (self::level($rim, $axis, $ring[$i]) - $ring[$i + 1]) > self::CLEAR;
                }
                foreach ($fits ? $at : [] as $u) {
                    foreach ($shape->spans(true, $u) as $span) {
                        $fits = $fits && $side * (self::level($rim, $axis, $u) - $span[$side > 0.0 ? 1 : 0]) > self::CLEAR;
                    }
                }
            }
        }

        return $fits ? null : [$low + 2 * self::CLEAR, $high - 2 * self::CLEAR];
    }

    /**
     * @param  non-empty-list<array{float, float}>  $near  the line over the outer face
     * @param  non-empty-list<array{float, float}>  $far  over the inner one
     * @return non-empty-list<array{float, float, float, float}>
     */
    private function both(array $near, array $far): array
    {
        [$near, $far] = [self::ramped($near), self::ramped($far)];
        [$lasts, $others] = [count($near) - 1, count($far) - 1];
        $out = [[...$near[0], ...$far[0]]];
        [$i, $j] = [1, 1];
        while ($i < $lasts || $j < $others) {
            $u = $i < $lasts ? $near[$i][0] : INF;
            $other = $j < $others ? $this->across($far[$j][0], 1) : INF;
            if (abs($u - $other) < self::SAME) {
                $out[] = [...$near[$i++], ...$far[$j++]];
            } elseif ($u < $other) {
                $there = $this->across($u, 0);
                $out[] = [...$near[$i++], $there, self::level($far, 0, $there)];
            } else {
                $out[] = [$other, self::level($near, 0, $other), ...$far[$j++]];
            }
        }
        $out[] = [...$near[$lasts], ...$far[$others]];

        return $out;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $line
     * @return non-empty-list<array{float, float}> with every point past the one before it
     */
    private static function ramped(array $line): array
    {
        $us = array_column($line, 0);
        $last = count($us) - 1;
        for ($k = 1; $k < $last; $k++) {
            $us[$k] = max($us[$k], $us[$k - 1] + self::APART);
        }
        for ($k = $last - 1; $k > 0; $k--) {
            $us[$k] = min($us[$k], $us[$k + 1] - self::APART);
        }

        return array_map(static fn (float $u, array $point): array => [$u, $point[1]], $us, $line);
    }

    /** u on the other face of one on the outer ($face 0) or the inner ($face 1) one. */
    private function across(float $u, int $face): float
    {
        $knots = $this->knots;
        $k = 0;
        while ($k < count($knots) - 2 && $u > $knots[$k + 1][$face]) {
            $k++;
        }
        [$a, $b] = [$knots[$k], $knots[$k + 1]];
        $width = $b[$face] - $a[$face];

        return $width > 0.0 ? $a[1 - $face] + ($b[1 - $face] - $a[1 - $face]) * ($u - $a[$face]) / $width : $a[1 - $face];
    }

    /**
     * @param  list<array<int, float>>  $line
     * @return int number of the point before a place, never the last
     */
    private static function place(array $line, int $axis, float $u): int
    {
        [$low, $high] = [0, count($line) - 1];
        while ($high - $low > 1) {
            $middle = ($low + $high) >> 1;
            $line[$middle][$axis] <= $u ? $low = $middle : $high = $middle;
        }

        return $low;
    }

    /** @param  list<array<int, float>>  $line */
    private static function level(array $line, int $axis, float $u): float
    {
        $k = self::place($line, $axis, $u);
        [$a, $b] = [$line[$k], $line[$k + 1]];
        $share = max(0.0, min(1.0, ($u - $a[$axis]) / ($b[$axis] - $a[$axis])));

        return $a[$axis + 1] + ($b[$axis + 1] - $a[$axis + 1]) * $share;
    }

    /**
     * @param  list<array{float, float, float, float}>  $rim
     * @return list<float> where it turns between two places, and these
     */
    private static function turns(array $rim, int $axis, float $from, float $to): array
    {
        $out = [$from, $to];
        for ($k = self::place($rim, $axis, $from), $n = count($rim); $k < $n && $rim[$k][$axis] < $to; $k++) {
            if ($rim[$k][$axis] > $from) {
                $out[] = $rim[$k][$axis];
            }
        }

        return $out;
    }
}
