<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\HalfSpace;
use Isleward\Core\Geometry\Vec3;

/**
 * A post square to one of the two stretches that meet: its section lies in the face of that one, from the edge on, and belongs to it
 * whole. The other stretch ends square to its own face where it is clear of the post and of whatever stands beside that: beyond the
 * edge, behind the post's back or before its front, whichever takes least of it.
 *
 * Seen along the edge: x from it into the face that the post is square to, y inward from that face.
 */
final class SquarePost
{
    /** Directions that run with less than this toward a side do not get clear of anything there. */
    private const TOWARD = 1e-3;

    /**
     * What each of the two stretches has of the corner.
     *
     * @param  array{Vec3, GridRules, ByHand}  $before  outward direction of its face, what stands in it
     * @param  array{Vec3, GridRules, ByHand}  $after
     * @return array{array{Meeting, Corner}, array{Meeting, Corner}} of the stretch before and of the one after
     */
    public static function of(Meeting $meeting, Corner $corner, array $before, array $after): array
    {
        $toBefore = $corner->kind === CornerKind::SquareLeft;
        [$own, $other] = $toBefore ? [$before, $after] : [$after, $before];
        // into the faces, away from the edge
        $x = $meeting->across($own[0])->times($toBefore ? -1.0 : 1.0);
        $along = $meeting->across($other[0])->times($toBefore ? 1.0 : -1.0);
        $takes = self::takes(
            [$along->dot($x), -$along->dot($own[0])],
            [-$other[0]->dot($x), $other[0]->dot($own[0])],
            self::reach($corner, $own),
            Clearing::depths($other[1], $other[2]),
        );
        $mine = $meeting->halvedBy(HalfSpace::behind($meeting->foot, $x->times(-1.0)), $toBefore);
        $theirs = $meeting->halvedBy(
            HalfSpace::behind($meeting->foot->plus($along->times($takes)), $along->times(-1.0)),
            ! $toBefore,
        );
        $of = [[$mine, $corner], [$theirs, $corner->taking($takes)]];

        return $toBefore ? $of : array_reverse($of);
    }

    /**
     * How far the post, and what stands beside it in its face, reach inward and outward.
     *
     * @param  array{Vec3, GridRules, ByHand}  $own
     * @return array{float, float}
     */
    private static function reach(Corner $corner, array $own): array
    {
        [$deepest, $foremost] = Clearing::depths($own[1], $own[2]);
        foreach ($corner->profile?->contours() ?? [] as $contour) {
            [, $front, , $back] = $contour->bounds();
            [$deepest, $foremost] = [max($deepest, $back), max($foremost, -$front)];
        }

        return [$deepest, $foremost];
    }

    /**
     * How much of its face the other stretch leaves free, so that all of its depth is clear.
     *
     * @param  array{float, float}  $b  along it
     * @param  array{float, float}  $n  inward from it
     * @param  array{float, float}  $post  how far the post reaches inward and outward
     * @param  array{float, float}  $other  how far the other stretch does
     */
    private static function takes(array $b, array $n, array $post, array $other): float
    {
        $least = INF;
        // beyond the edge; behind the back; before the front: the side it looks to, and how far that lies
        foreach ([[-1.0, 0.0, 0.0], [0.0, 1.0, $post[0]], [0.0, -1.0, $post[1]]] as [$gx, $gy, $far]) {
            $toward = $gx * $b[0] + $gy * $b[1];
            if ($toward < self::TOWARD) {
                continue;
            }
            $most = 0.0;
            foreach ([$other[0], -$other[1]] as $depth) {
                $most = max($most, ($far - $depth * ($gx * $n[0] + $gy * $n[1])) / $toward);
            }
            $least = min($least, $most);
        }

        return $least;
    }
}
