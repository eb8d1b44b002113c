<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry\Internal;

use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Tolerance;

/**
 * Takes many holes out of a few rings.
 *
 * A hole whose bounding box touches no other hole's and no edge of the outline needs no clipping: it is in or out as a
 * whole. Boxes are compared along a sweep by their left sides, so the work grows with the number of neighbours.
 *
 * @internal
 */
final class HoleCutter
{
    /**
     * @param  list<list<float>>  $outline  with the inside on the left
     * @param  list<list<float>>  $holes  in either direction
     * @return list<list<float>>
     */
    public static function cut(array $outline, array $holes): array
    {
        $lefts = $rights = $bottoms = $tops = [];
        $holes = self::withoutRepeatedPoints($holes);
        foreach ($holes as $i => $hole) {
            $x0 = $x1 = $hole[0];
            $y0 = $y1 = $hole[1];
            for ($k = 2, $n = count($hole); $k < $n; $k += 2) {
                $x = $hole[$k];
                $y = $hole[$k + 1];
                if ($x < $x0) {
                    $x0 = $x;
                } elseif ($x > $x1) {
                    $x1 = $x;
                }
                if ($y < $y0) {
                    $y0 = $y;
                } elseif ($y > $y1) {
                    $y1 = $y;
                }
            }
            $lefts[$i] = $x0 - Tolerance::GRID;
            $rights[$i] = $x1 + Tolerance::GRID;
            $bottoms[$i] = $y0 - Tolerance::GRID;
            $tops[$i] = $y1 + Tolerance::GRID;
        }

        $touching = self::touchingEachOther($lefts, $rights, $bottoms, $tops);
        $alone = $crowded = [];
        foreach ($holes as $i => $hole) {
            $state = isset($touching[$i]) ? null : self::inside($outline, $lefts[$i], $bottoms[$i], $rights[$i], $tops[$i]);
            if ($state === null) {
                $crowded[] = Region::signedArea($hole) < 0 ? Region::reverse($hole) : $hole;
            } elseif ($state) {
                $alone[] = Region::signedArea($hole) > 0 ? Region::reverse($hole) : $hole;
            }
        }
        $rings = $crowded === [] ? $outline : Clipper::combine($outline, $crowded, Clipper::DIFFERENCE);

        return $alone === [] ? $rings : array_merge($rings, $alone);
    }

    /**
     * @param  list<list<float>>  $holes
     * @return list<list<float>>
     */
    private static function withoutRepeatedPoints(array $holes): array
    {
        $out = [];
        foreach ($holes as $hole) {
            $n = count($hole);
            $ring = [];
            for ($i = 0, $j = $n - 2; $i < $n; $j = $i, $i += 2) {
                if (abs($hole[$i] - $hole[$j]) > Tolerance::GRID || abs($hole[$i + 1] - $hole[$j + 1]) > Tolerance::GRID) {
                    $ring[] = $hole[$i];
                    $ring[] = $hole[$i + 1];
                }
            }
            if (count($ring) >= 6) {
                $out[] = $ring;
            }
        }

        return $out;
    }

    /**
     * @param  array<int, float>  $lefts
     * @param  array<int, float>  $rights
     * @param  array<int, float>  $bottoms
     * @param  array<int, float>  $tops
     * @return array<int, true>
     */
    private static function touchingEachOther(array $lefts, array $rights, array $bottoms, array $tops): array
    {
        asort($lefts);
        $touching = [];
        $active = [];
        foreach ($lefts as $i => $left) {
            $bottom = $bottoms[$i];
            $top = $tops[$i];
            foreach ($active as $j => $right) {
                if ($right < $left) {
                    unset($active[$j]);
                } elseif ($bottoms[$j] <= $top && $tops[$j] >= $bottom) {
                    $touching[$i] = $touching[$j] = true;
                }
            }
            $active[$i] = $rights[$i];
        }

        return $touching;
    }

    /**
     * Whether the box lies wholly inside (true) or outside (false) the outline; null when an edge may touch it.
     *
     * @param  list<list<float>>  $outline
     */
    private static function inside(array $outline, float $x0, float $y0, float $x1, float $y1): ?bool
    {
        $winding = 0;
        foreach ($outline as $ring) {
            $n = count($ring);
            for ($i = 0, $j = $n - 2; $i < $n; $j = $i, $i += 2) {
                $ax = $ring[$j];
                $ay = $ring[$j + 1];
                $bx = $ring[$i];
                $by = $ring[$i + 1];
                if (max($ax, $bx) >= $x0 && min($ax, $bx) <= $x1 && max($ay, $by) >= $y0 && min($ay, $by) <= $y1) {
                    return null;
                }
                if (($ay > $y0) !== ($by > $y0)) {
                    $x = $ax + ($y0 - $ay) * ($bx - $ax) / ($by - $ay);
                    if ($x > $x0) {
                        $winding += $by > $ay ? 1 : -1;
                    }
                }
            }
        }

        return $winding !== 0;
    }
}
