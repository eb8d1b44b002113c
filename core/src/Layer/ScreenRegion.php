<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Overlay;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Tolerance;

/**
 * What is left of pieces added to one another and taken from one another, with straight sides and circular arcs kept. Cut-outs that touch
 * nothing become holes straight away, so that a thousand of them cost a thousand times what one does; only those that touch each other or
 * an edge are worked out side against side.
 */
final class ScreenRegion
{
    /** Sides nearer than this to each other may meet, mm. */
    private const NEAR = 4 * Tolerance::LENGTH;

    /**
     * @param  list<Profile>  $region
     * @return list<Profile>
     */
    public static function with(array $region, Contour $added): array
    {
        return $region === [] ? [new Profile($added)] : Overlay::union($region, [new Profile($added)]);
    }

    /**
     * @param  list<Profile>  $region
     * @param  list<Contour>  $cuts
     * @return array{list<Profile>, list<int>} what is left, and which of the cuts took nothing
     */
    public static function without(array $region, array $cuts): array
    {
        $boxes = array_map(static fn (Contour $c): array => $c->bounds(), $cuts);
        $alone = $together = $idle = [];
        foreach (self::groups($boxes) as $group) {
            if (count($group) === 1) {
                $alone[] = $group[0];
            } else {
                $together[] = $group;
            }
        }
        $sides = [];
        foreach ($region as $profile) {
            foreach ($profile->contours() as $contour) {
                foreach ($contour->edges() as $edge) {
                    $sides[] = $edge->bounds();
                }
            }
        }
        $left = $region;
        $clear = [];
        foreach ([...array_map(static fn (int $i): array => [$i], $alone), ...$together] as $group) {
            if (! self::meets(array_map(static fn (int $i): array => $boxes[$i], $group), $sides)) {
                $clear[] = $group;

                continue;
            }
            foreach ($group as $i) {
                if (self::area(Overlay::intersection($left, [new Profile($cuts[$i])])) < 1.0) {
                    $idle[] = $i;
                }
            }
            $left = Overlay::difference($left, self::together($cuts, $group));
        }
        // clear of every side the others lie wholly within a piece, or wholly outside all
        $holes = $islands = [];
        foreach ($clear as $group) {
            [$x0, $y0, $x1, $y1] = $boxes[$group[0]];
            $in = null;
            foreach ($left as $p => $profile) {
                if (self::holds($profile, ($x0 + $x1) / 2, ($y0 + $y1) / 2)) {
                    $in = $p;
                    break;
                }
            }
            if ($in === null) {
                array_push($idle, ...$group);

                continue;
            }
            foreach (self::together($cuts, $group) as $taken) {
                $holes[$in][] = $taken->outer->reversed();
                // what they leave between them stands by itself
                foreach ($taken->holes as $island) {
                    $islands[] = new Profile($island->reversed());
                }
            }
        }
        foreach ($holes as $p => $of) {
            $left[$p] = new Profile($left[$p]->outer, [...$left[$p]->holes, ...$of]);
        }
        array_push($left, ...$islands);
        $left = array_values($left);

        return [$left, $idle];
    }

    /**
     * @param  list<Contour>  $cuts
     * @param  non-empty-list<int>  $group
     * @return list<Profile>
     */
    private static function together(array $cuts, array $group): array
    {
        $taken = [];
        foreach ($group as $i) {
            $taken = self::with($taken, $cuts[$i]);
        }

        return $taken;
    }

    /**
     * @param  list<array{float, float, float, float}>  $boxes
     * @param  list<array{float, float, float, float}>  $sides
     */
    private static function meets(array $boxes, array $sides): bool
    {
        foreach ($boxes as [$x0, $y0, $x1, $y1]) {
            foreach ($sides as [$a0, $b0, $a1, $b1]) {
                if ($a0 <= $x1 + self::NEAR && $a1 >= $x0 - self::NEAR && $b0 <= $y1 + self::NEAR && $b1 >= $y0 - self::NEAR) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function holds(Profile $profile, float $x, float $y): bool
    {
        if ($profile->holes === [] && $profile->outer->isRectangle()) {
            [$x0, $y0, $x1, $y1] = $profile->outer->bounds();

            return $x > $x0 && $x < $x1 && $y > $y0 && $y < $y1;
        }

        return $profile->holds($x, $y);
    }

    /** @param  list<Profile>  $region */
    public static function area(array $region): float
    {
        return array_sum(array_map(static fn (Profile $p): float => $p->area(), $region));
    }

    /**
     * Which boxes lie over or at one another, swept from left to right.
     *
     * @param  list<array{float, float, float, float}>  $boxes
     * @return list<non-empty-list<int>>
     */
    private static function groups(array $boxes): array
    {
        $order = array_keys($boxes);
        usort($order, static fn (int $a, int $b): int => $boxes[$a][0] <=> $boxes[$b][0]);
        $parent = array_keys($boxes);
        $root = static function (int $i) use (&$parent): int {
            while ($parent[$i] !== $i) {
                $parent[$i] = $parent[$parent[$i]];
                $i = $parent[$i];
            }

            return $i;
        };
        $open = [];
        foreach ($order as $i) {
            $still = [];
            foreach ($open as $j) {
                if ($boxes[$j][2] < $boxes[$i][0] - self::NEAR) {
                    continue;
                }
                $still[] = $j;
                if ($boxes[$j][1] <= $boxes[$i][3] + self::NEAR && $boxes[$j][3] >= $boxes[$i][1] - self::NEAR) {
                    $parent[$root($i)] = $root($j);
                }
            }
            $still[] = $i;
            $open = $still;
        }
        $groups = [];
        foreach (array_keys($boxes) as $i) {
            $groups[$root($i)][] = $i;
        }

        return array_values($groups);
    }

    /**
     * Where a line x = $at ($upright) or y = $at runs within.
     *
     * @param  list<Profile>  $region
     * @return list<array{float, float}>
     */
    public static function spans(array $region, bool $upright, float $at): array
    {
        $out = [];
        foreach ($region as $profile) {
            $spans = $profile->outer->spans($upright, $at);
            foreach ($profile->holes as $hole) {
                foreach ($hole->spans($upright, $at) as [$from, $to]) {
                    $spans = self::less($spans, $from, $to);
                }
            }
            array_push($out, ...$spans);
        }
        sort($out);

        return $out;
    }

    /**
     * @param  list<array{float, float}>  $spans
     * @return list<array{float, float}>
     */
    private static function less(array $spans, float $from, float $to): array
    {
        $out = [];
        foreach ($spans as [$low, $high]) {
            if ($to <= $low || $from >= $high) {
                $out[] = [$low, $high];

                continue;
            }
            if ($from > $low) {
                $out[] = [$low, $from];
            }
            if ($to < $high) {
                $out[] = [$to, $high];
            }
        }

        return $out;
    }
}
