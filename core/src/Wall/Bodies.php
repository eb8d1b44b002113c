<?php

declare(strict_types=1);

namespace Isleward\Core\Wall;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Line;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Refusal;
use Isleward\Core\Tolerance;

/**
 * Works out how walls stand and meet.
 *
 * Two walls meet where the right end of one is the left end of another and they share a storey. Of equal thickness and
 * storeys they are mitred, from where their outer faces meet to where their inner faces meet; otherwise the thicker (or
 * the one that runs through more storeys) runs through and the other butts against it. An inner wall that ends within
 * another wall stops at that wall's face; inner and outer walls make no corners with each other.
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
            if (abs($other->to->x - $wall->from->x) < 1 || abs($other->from->x - $wall->to->x) < 1) {
                $near[] = $other;
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

    /** @param  array{array<string, list<Wall>>, array<string, list<Wall>>}  $ends */
    private static function among(Design $design, Wall $wall, array $ends): Body
    {
        [$atLeft, $atRight] = $ends;

        return self::body($design, $wall, self::partner($design, $wall, $atRight[self::spot($wall->from)] ?? []), self::partner($design, $wall, $atLeft[self::spot($wall->to)] ?? []));
    }

    private static function body(Design $design, Wall $wall, ?Wall $before, ?Wall $after): Body
    {
        if ($wall->rise !== 0.0) {
            throw Refusal::because('wall.curved', 'This wall is curved; only straight walls can be built yet.', [$wall->id]);
        }
        $surface = Surface::of($wall);
        $length = $wall->face()->length();
        $left = $before === null ? self::freeEnd($design, $wall, $surface, 0.0) : self::joint($design, $wall, $surface, $before, false, 0.0);
        $right = $after === null ? self::freeEnd($design, $wall, $surface, $length) : self::joint($design, $wall, $surface, $after, true, $length);
        foreach ([0.0, $wall->thickness] as $depth) {
            if ($right->atDepth($depth) - $left->atDepth($depth) < 1.0) {
                throw Refusal::because('wall.too_short', sprintf(
                    'A wall %.0f long leaves no room between its corners when it is %.0f thick.', $length, $wall->thickness), [$wall->id]);
            }
        }

        return new Body($wall, $surface, $length, $design->storeys->floor($wall->base), $design->storeys->ceiling($wall->top), $left, $right);
    }

    private static function joint(Design $design, Wall $wall, Surface $surface, Wall $other, bool $atRight, float $at): End
    {
        $otherSurface = Surface::of($other);
        $turn = $atRight ? $surface->along->cross($otherSurface->along) : $otherSurface->along->cross($surface->along);
        if (abs($turn) < 1e-4) {
            return End::square($at, Joint::Flush, $other->id);
        }
        $corner = $atRight ? $wall->to : $wall->from;
        $rank = self::rank($design, $wall) <=> self::rank($design, $other);
        if ($rank === 0) {
            $inner = self::innerFace($wall, $surface)->meets(self::innerFace($other, $otherSurface));

            return End::along($surface, $corner, ($inner ?? $corner)->minus($corner), Joint::Mitre, $other->id);
        }
        // Convex: the one that runs through reaches the other's outer face. Re-entrant: its inner face.
        $toOuter = ($rank > 0) === ($turn > 0);
        $point = $toOuter ? $corner : $otherSurface->inPlan($otherSurface->along($corner), $other->thickness);

        return End::along($surface, $point, $otherSurface->along, $rank > 0 ? Joint::Through : Joint::Butt, $other->id);
    }

    /** @return list<float> who runs through: the thicker, then the one through more storeys */
    private static function rank(Design $design, Wall $wall): array
    {
        return [round($wall->thickness, 2), (float) ($design->storeys->indexOf($wall->top) - $design->storeys->indexOf($wall->base))];
    }

    private static function innerFace(Wall $wall, Surface $surface): Line
    {
        return new Line($surface->inPlan(0.0, $wall->thickness), $surface->inPlan(1000.0, $wall->thickness));
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
            if ($depth < -1 || $depth > $other->thickness + 1 || $along < -1 || $along > $other->face()->length() + 1 || abs($surface->along->cross($face->along)) < 0.05) {
                continue;
            }
            $middle = $surface->inPlan($wall->face()->length() / 2, $wall->thickness / 2);
            $behind = -$middle->minus($face->origin)->dot($face->outward()) > $other->thickness / 2;

            return End::along($surface, $face->inPlan($along, $behind ? $other->thickness : 0.0), $face->along, Joint::Tee, $other->id);
        }

        return End::square($at);
    }

    /** @param  list<Wall>  $candidates */
    private static function partner(Design $design, Wall $wall, array $candidates): ?Wall
    {
        $best = null;
        foreach ($candidates as $other) {
            if ($other->id !== $wall->id && self::shareStorey($design, $wall, $other) && $design->isInner($wall) === $design->isInner($other) && ($best === null || $other->outline === $wall->outline)) {
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
