<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Refusal;

/**
 * Works out how walls stand and meet.
 *
 * Two walls meet where the right end of one is the left end of another and they share a storey. Of equal thickness and
 * storeys they are mitred, from where their outer faces meet to where their inner faces meet; otherwise the thicker (or
 * the one that runs through more storeys) runs through and the other butts against it. Where a wall meets one wall in one
 * storey and another in the next, and would end otherwise at each, it ends at their outer faces and they at its inner face,
 * so that every storey's corner is filled once. An inner wall that ends within another wall stops at that wall's face; inner
 * and outer walls make no corners with each other.
 */
final class Bodies
{
    /**
     * @return array<string, Body> by wall id
     *
     * @throws Refusal when a wall has no room between its corners
     */
    public static function of(Design $design): array
    {
        $ends = self::ends($design->walls);
        $bodies = [];
        foreach ($design->walls as $wall) {
            $bodies[$wall->id] = self::among($design, $wall, $ends);
        }

        return $bodies;
    }

    /** @throws Refusal when the wall has no room between its corners */
    public static function one(Design $design, Wall $wall): Body
    {
        $near = [];
        foreach ($design->walls as $other) {
            foreach ([$wall->from, $wall->to] as $end) {
                if (abs($other->to->x - $end->x) < 1 || abs($other->from->x - $end->x) < 1) {
                    $near[] = $other;
                    break;
                }
            }
        }

        return self::among($design, $wall, self::ends($near));
    }

    /**
     * @param  iterable<Wall>  $walls
     * @return array{array<string, list<Wall>>, array<string, list<Wall>>} walls by where their left and right ends are
     */
    private static function ends(iterable $walls): array
    {
        $atLeft = $atRight = [];
        foreach ($walls as $wall) {
            $atLeft[self::spot($wall->from)][] = $wall;
            $atRight[self::spot($wall->to)][] = $wall;
        }

        return [$atLeft, $atRight];
    }

    /**
     * @param  array{array<string, list<Wall>>, array<string, list<Wall>>}  $ends
     *
     * @throws Refusal
     */
    private static function among(Design $design, Wall $wall, array $ends): Body
    {
        if ($wall->rise !== 0.0) {
            throw Refusal::because('wall.curved', 'This wall is curved; only straight walls can be built yet.', [$wall->id]);
        }
        $surface = Surface::of($wall);
        $length = $wall->face()->length();
        $left = self::corner($design, $wall, $surface, false, $ends) ?? self::freeEnd($design, $wall, $surface, 0.0);
        $right = self::corner($design, $wall, $surface, true, $ends) ?? self::freeEnd($design, $wall, $surface, $length);
        foreach ([0.0, $wall->thickness] as $depth) {
            if ($right->atDepth($depth) - $left->atDepth($depth) < 1.0) {
                throw Refusal::because('wall.too_short', sprintf(
                    'A wall %.0f long leaves no room between its corners when it is %.0f thick.', $length, $wall->thickness), [$wall->id]);
            }
        }

        return new Body(
            $wall,
            $surface,
            $length,
            $design->storeys->floor($wall->base),
            $design->storeys->ceiling($wall->top),
            $left,
            $right,
        );
    }

    /**
     * The end a wall makes with the walls it meets there; null where it meets none.
     *
     * @param  array{array<string, list<Wall>>, array<string, list<Wall>>}  $ends
     */
    private static function corner(Design $design, Wall $wall, Surface $surface, bool $atRight, array $ends): ?End
    {
        [$lefts, $rights] = $ends;
        $spot = self::spot($atRight ? $wall->to : $wall->from);
        $mine = self::meeting($design, $wall, $atRight ? $lefts[$spot] ?? [] : $rights[$spot] ?? []);
        $other = self::partner($wall, $mine);
        if ($other === null) {
            return null;
        }
        $reachesOut = self::differs($design, $wall, $surface, $atRight, $mine);
        $theirs = self::meeting($design, $other, $atRight ? $rights[$spot] ?? [] : $lefts[$spot] ?? []);
        $givesWay = self::differs($design, $other, Surface::of($other), ! $atRight, $theirs);

        $end = self::joint($design, $wall, $surface, $other, $atRight, $reachesOut === $givesWay ? null : $reachesOut);

        return $end->beside(array_values(array_diff(array_column($mine, 'id'), [$other->id])));
    }

    /**
     * Whether a wall would end otherwise at each of the walls it meets in one storey and another.
     *
     * @param  list<Wall>  $others
     */
    private static function differs(Design $design, Wall $wall, Surface $surface, bool $atRight, array $others): bool
    {
        $first = array_shift($others);
        if ($first === null) {
            return false;
        }
        $a = null;
        foreach ($others as $other) {
            if (self::shareStorey($design, $first, $other)) {
                continue; // three in one storey: the one of the same outline counts
            }
            $a ??= self::joint($design, $wall, $surface, $first, $atRight, null);
            $b = self::joint($design, $wall, $surface, $other, $atRight, null);
            if (abs($a->atDepth(0.0) - $b->atDepth(0.0)) > 0.01 || abs(
                $a->atDepth($wall->thickness) - $b->atDepth($wall->thickness),
            ) > 0.01) {
                return true;
            }
        }

        return false;
    }

    /** @param  bool|null  $toOuter  whether it ends at the other's outer face or at its inner one; null as the two rank */
    private static function joint(Design $design, Wall $wall, Surface $surface, Wall $other, bool $atRight, ?bool $toOuter): End
    {
        $otherSurface = Surface::of($other);
        $turn = $atRight ? $surface->along->cross($otherSurface->along) : $otherSurface->along->cross($surface->along);
        if (abs($turn) < 1e-4) {
            return End::square($atRight ? $wall->face()->length() : 0.0, Joint::Flush, $other->id);
        }
        $corner = $atRight ? $wall->to : $wall->from;
        $rank = self::rank($design, $wall) <=> self::rank($design, $other);
        if ($rank === 0 && $toOuter === null) {
            $inner = $surface->innerFace($wall->thickness)->meetsLine($otherSurface->innerFace($other->thickness));

            return End::along($surface, $corner, ($inner ?? $corner)->minus($corner), Joint::Mitre, $other->id);
        }
        // Convex: the one that runs through reaches the other's outer face. Re-entrant: its inner face.
        $toOuter ??= ($rank > 0) === ($turn > 0);
        $point = $toOuter ? $corner : $otherSurface->inPlan($otherSurface->along($corner), $other->thickness);

        return End::along($surface, $point, $otherSurface->along, $toOuter === ($turn > 0) ? Joint::Through : Joint::Butt, $other->id);
    }

    /** @return list<float> who runs through: the thicker, then the one through more storeys */
    private static function rank(Design $design, Wall $wall): array
    {
        return [round($wall->thickness, 2), (float) ($design->storeys->indexOf($wall->top) - $design->storeys->indexOf($wall->base))];
    }

    /** An end that makes no corner: free, or of an inner wall that runs into the body of another wall. */
    private static function freeEnd(Design $design, Wall $wall, Surface $surface, float $at): End
    {
        if (! $design->isInner($wall)) {
            return End::square($at);
        }
        $tip = $surface->inPlan($at, $wall->thickness / 2);
        foreach ($design->walls as $other) {
            if ($other->id === $wall->id || ! self::shareStorey($design, $wall, $other)) {
                continue;
            }
            $face = Surface::of($other);
            $depth = -$tip->minus($face->origin)->dot($face->outward());
            $along = $face->along($tip);
            if ($depth < -1
                            || $depth > $other->thickness + 1
                            || $along < -1
                            || $along > $other->face()->length() + 1
                            || abs($surface->along->cross($face->along)) < 0.05) {
                continue;
            }
            $middle = $surface->inPlan($wall->face()->length() / 2, $wall->thickness / 2);
            $behind = -$middle->minus($face->origin)->dot($face->outward()) > $other->thickness / 2;

            return End::along($surface, $face->inPlan($along, $behind ? $other->thickness : 0.0), $face->along, Joint::Tee, $other->id);
        }

        return End::square($at);
    }

    /**
     * @param  list<Wall>  $candidates
     * @return list<Wall> those it makes a corner with
     */
    private static function meeting(Design $design, Wall $wall, array $candidates): array
    {
        return array_values(array_filter($candidates, static fn (Wall $other): bool => $other->id !== $wall->id
            && self::shareStorey($design, $wall, $other) && $design->isInner($wall) === $design->isInner($other)));
    }

    /** @param  list<Wall>  $meeting */
    private static function partner(Wall $wall, array $meeting): ?Wall
    {
        $best = null;
        foreach ($meeting as $other) {
            if ($best === null || $other->outline === $wall->outline) {
                $best = $other;
            }
        }

        return $best;
    }

    private static function shareStorey(Design $design, Wall $a, Wall $b): bool
    {
        $storeys = $design->storeys;

        return $storeys->indexOf($b->base) <= $storeys->indexOf($a->top) && $storeys->indexOf($b->top) >= $storeys->indexOf($a->base);
    }

    private static function spot(Vec2 $point): string
    {
        return round($point->x / Tolerance::LENGTH / 10).','.round($point->y / Tolerance::LENGTH / 10);
    }
}
