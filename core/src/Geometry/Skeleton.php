<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

use Isleward\Core\Geometry\Internal\Wavefront;

/**
 * The weighted straight skeleton of a polygon with straight sides and holes: its sides move inward, each at a speed of its own and parallel
 * to itself, until they have met everywhere (Aichholzer and Aurenhammer 1996, "Straight skeletons for general polygonal figures"; with
 * speeds: Eppstein and Erickson 1999). What a side has swept is its face; the corners' ways are the lines between faces. A side that does
 * not move has a face of no width. Plan in mm; "when" is how far a side of speed 1 has moved: as a roof, how high it is there, where speeds
 * are run over rise.
 */
final readonly class Skeleton
{
    /**
     * @param  list<array{float, float, float}>  $nodes  x, y, when: the corners first, ring by ring, then where sides meet
     * @param  list<array{int, int, int, int}>  $arcs  the ways of corners: from one node to another, the side before them and the one after
     * @param  list<list<int>>  $faces  by side: nodes of its face counter-clockwise, its own two first
     */
    private function __construct(public array $nodes, public array $arcs, public array $faces)
    {
    }

    /**
     * @param  list<list<array{float, float}>>  $rings  corners: the outer one counter-clockwise, holes clockwise; side i of a ring runs
     *    from its corner i to the next
     * @param  list<float>  $speeds  of the sides, ring by ring; 0 for one that stands
     *
     * @throws InvalidPath when nothing moves far enough to meet, or two sides come into one line at different speeds
     */
    public static function of(array $rings, array $speeds): self
    {
        [$nodes, $arcs, $sides] = (new Wavefront($rings, $speeds))->run();
        $faces = [];
        $touching = array_fill(0, count($sides), []);
        foreach ($arcs as [$from, $to, $before, $after]) {
            $touching[$before][] = [$from, $to];
            $touching[$after][] = [$from, $to];
        }
        foreach ($sides as $i => [$a, $b]) {
            $faces[] = self::face($nodes, $touching[$i], $a, $b);
        }

        return new self($nodes, $arcs, $faces);
    }

    /**
     * @param  list<array{float, float, float}>  $nodes
     * @param  list<array{int, int}>  $arcs  that bound it
     * @return list<int>
     */
    private static function face(array $nodes, array $arcs, int $a, int $b): array
    {
        $at = [];
        foreach ($arcs as $k => [$from, $to]) {
            $at[$from][] = [$k, $to];
            $at[$to][] = [$k, $from];
        }
        $face = [$a, $b];
        $used = [];
        for ($before = $a, $here = $b; $here !== $a; $before = $here, $here = $next) {
            $next = null;
            $least = INF;
            foreach ($at[$here] ?? [] as [$k, $to]) {
                if (isset($used[$k])) {
                    continue;
                }
                // where the face touches itself, round what lies next on its left
                $turn = count($at[$here]) < 3 ? 0.0 : self::turn($nodes, $before, $here, $to);
                if ($turn < $least) {
                    [$least, $next, $way] = [$turn, $to, $k];
                }
            }
            if ($next === null || count($face) > count($arcs) + 2) {
                throw new \LogicException('The ways round a face do not close.');
            }
            $used[$way ?? -1] = true;
            if ($next !== $a) {
                $face[] = $next;
            }
        }

        return $face;
    }

    /**
     * How far round one turns to the right for the next node, from straight back: the first on the left comes last.
     *
     * @param  list<array{float, float, float}>  $nodes
     */
    private static function turn(array $nodes, int $before, int $here, int $to): float
    {
        [[$ax, $ay], [$hx, $hy], [$tx, $ty]] = [$nodes[$before], $nodes[$here], $nodes[$to]];
        $turn = atan2($ay - $hy, $ax - $hx) - atan2($ty - $hy, $tx - $hx);

        return $turn <= 1e-12 ? $turn + 2 * M_PI : $turn;
    }
}
