<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Host;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Length;
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
    /** Walls that turn by less than this where they meet run on into one another (sine of the angle). */
    private const TANGENT = 1e-4;

    /**
     * @return array<string, Body> by wall id
     *
     * @throws Refusal when a wall has no room between its corners
     */
    public static function of(Design $design): array
    {
        $ends = self::ends($design->hosts());
        $bodies = [];
        foreach ($design->hosts() as $wall) {
            $bodies[$wall->id()] = self::among($design, $wall, $ends);
        }

        return $bodies;
    }

    /** @throws Refusal when the wall has no room between its corners */
    public static function one(Design $design, Host $wall): Body
    {
        $near = [];
        foreach ($design->hosts() as $other) {
            foreach ([$wall->leftEnd(), $wall->rightEnd()] as $end) {
                if (abs($other->rightEnd()->x - $end->x) < 1 || abs($other->leftEnd()->x - $end->x) < 1) {
                    $near[] = $other;
                    break;
                }
            }
        }

        return self::among($design, $wall, self::ends($near));
    }

    /**
     * @param  iterable<Host>  $walls
     * @return array{array<string, list<Host>>, array<string, list<Host>>} walls by where their left and right ends are
     */
    private static function ends(iterable $walls): array
    {
        $atLeft = $atRight = [];
        foreach ($walls as $wall) {
            $atLeft[self::spot($wall->leftEnd())][] = $wall;
            $atRight[self::spot($wall->rightEnd())][] = $wall;
        }

        return [$atLeft, $atRight];
    }

    /**
     * @param  array{array<string, list<Host>>, array<string, list<Host>>}  $ends
     *
     * @throws Refusal
     */
    private static function among(Design $design, Host $wall, array $ends): Body
    {
        $surface = $wall->surface();
        $length = $surface->length;
        if ($surface->radius() > 0 && $wall->depth() > $surface->radius() - 1.0) {
            throw Refusal::because('wall.thicker_than_radius', sprintf(
                'A wall %s thick cannot be bent to a radius of %s: its inner face would pass the centre.',
                Length::mark($wall->depth()),
                Length::mark($surface->radius()),
            ), [$wall->id()], ['field' => 'thickness']);
        }
        $left = self::corner($design, $wall, $surface, false, $ends) ?? self::freeEnd($design, $wall, $surface, 0.0);
        $right = self::corner($design, $wall, $surface, true, $ends) ?? self::freeEnd($design, $wall, $surface, $length);
        if (min($right->at - $left->at, $right->inner - $left->inner) < 1.0) {
            throw Refusal::because('wall.too_short', sprintf(
                'A wall %.0f long leaves no room between its corners when it is %.0f thick.', $length, $wall->depth()), [$wall->id()]);
        }

        $body = new Body(
            $wall,
            $surface,
            $length,
            $foot = $wall->curtain()?->footLevel($design->storeys->floor($wall->base())) ?? $design->storeys->floor($wall->base()),
            $wall->curtain()?->height === null ? $design->storeys->ceiling($wall->top()) : $foot + $wall->curtain()->height,
            $left,
            $right,
        );

        return $wall->head() === null && $wall->foot() === null ? $body : Edges::follow($design, $body);
    }

    /**
     * The end a wall makes with the walls it meets there; null where it meets none.
     *
     * @param  array{array<string, list<Host>>, array<string, list<Host>>}  $ends
     */
    private static function corner(Design $design, Host $wall, Upright $surface, bool $atRight, array $ends): ?End
    {
        [$lefts, $rights] = $ends;
        $spot = self::spot($atRight ? $wall->rightEnd() : $wall->leftEnd());
        $mine = self::meeting($design, $wall, $atRight ? $lefts[$spot] ?? [] : $rights[$spot] ?? []);
        $other = self::partner($wall, $mine);
        if ($other === null) {
            return null;
        }
        $reachesOut = self::differs($design, $wall, $surface, $atRight, $mine);
        $theirs = self::meeting($design, $other, $atRight ? $rights[$spot] ?? [] : $lefts[$spot] ?? []);
        $givesWay = self::differs($design, $other, $other->surface(), ! $atRight, $theirs);

        $end = self::joint($design, $wall, $surface, $other, $atRight, $reachesOut === $givesWay ? null : $reachesOut);

        return $end->beside(array_values(array_diff(array_map(static fn (Host $h): string => $h->id(), $mine), [$other->id()])));
    }

    /**
     * Whether a wall would end otherwise at each of the walls it meets in one storey and another.
     *
     * @param  list<Host>  $others
     */
    private static function differs(Design $design, Host $wall, Upright $surface, bool $atRight, array $others): bool
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
            if (abs($a->at - $b->at) > 0.01 || abs($a->inner - $b->inner) > 0.01) {
                return true;
            }
        }

        return false;
    }

    /** @param  bool|null  $toOuter  whether it ends at the other's outer face or at its inner one; null as the two rank */
    private static function joint(Design $design, Host $wall, Upright $surface, Host $other, bool $atRight, ?bool $toOuter): End
    {
        $theirs = $other->surface();
        [$mine, $its] = [$surface->tangent($atRight ? $surface->length : 0.0), $theirs->tangent($atRight ? 0.0 : $theirs->length)];
        $turn = $atRight ? $mine->cross($its) : $its->cross($mine);
        if (abs($turn) < self::TANGENT) {
            return End::square($atRight ? $surface->length : 0.0, Joint::Flush, $other->id());
        }
        $corner = $atRight ? $wall->rightEnd() : $wall->leftEnd();
        $rank = self::rank($design, $wall) <=> self::rank($design, $other);
        if ($rank === 0 && $toOuter === null) {
            return self::mitre($wall, $surface, $other, $theirs, $atRight, $corner, $mine, $its);
        }
        // Convex: the one that runs through reaches the other's outer face. Re-entrant: its inner face.
        $toOuter ??= ($rank > 0) === ($turn > 0);
        $line = $toOuter ? $theirs->foot : $theirs->behind($other->depth());
        $end = End::along(
            $surface,
            $wall->depth(),
            $line,
            $toOuter ? $corner : $theirs->inPlan($theirs->u($corner), $other->depth()),
            $toOuter === ($turn > 0) ? Joint::Through : Joint::Butt,
            $other->id(),
        );

        return $end ?? throw self::apart($wall, $other);
    }

    /** From where the outer faces meet to where the inner faces do. */
    private static function mitre(
        Host $wall,
        Upright $surface,
        Host $other,
        Upright $theirs,
        bool $atRight,
        Vec2 $corner,
        Vec2 $mine,
        Vec2 $its,
    ): End {
        [$a, $b] = [$surface->behind($wall->depth()), $theirs->behind($other->depth())];
        if ($surface->isFlat() && $theirs->isFlat()) {
            $inner = $a->meetsLine($b) ?? throw self::apart($wall, $other);

            return End::along($surface, $wall->depth(), Curve::line($corner, $inner), $corner, Joint::Mitre, $other->id())
                ?? throw self::apart($wall, $other);
        }
        // of two points where the inner faces meet, the one where straight walls would meet at this angle
        $inward = $mine->rightHand()->times(-1.0)->plus($its->rightHand()->times(-1.0));
        $flat = $corner->plus($inward->times($wall->depth() / (1 + $mine->dot($its))));
        $inner = End::crossing($a, $b, $flat) ?? throw self::apart($wall, $other);
        $cut = $inner->minus($corner);
        foreach ([[$surface, $wall], [$theirs, $other]] as [$one, $each]) {
            // cut straight from face to face, it must go on inward all the way
            if ($cut->dot($one->outward($one->u($corner))) >= 0 || $cut->dot($one->outward($one->u($inner))) >= 0) {
                throw Refusal::because('wall.corner_too_sharp', sprintf(
                    'These walls meet at %.1f°: their corner would reach %s inward, farther than their arcs allow.',
                    180 - rad2deg(abs(atan2($mine->cross($its), $mine->dot($its)))),
                    Length::mark($cut->length()),
                ), [$wall->id(), $other->id()]);
            }
        }

        return new End($atRight ? $surface->length : 0.0, $surface->u($inner), Joint::Mitre, $other->id());
    }

    private static function apart(Host $wall, Host $other): Refusal
    {
        return Refusal::because(
            'wall.faces_apart',
            sprintf(
                'Two walls that meet here are too thick to be joined: %s and %s behind their outer faces they no longer meet.',
                Length::mark($wall->depth()),
                Length::mark($other->depth()),
            ),
            [$wall->id(), $other->id()],
        );
    }

    /** @return list<float> who runs through: the thicker, then the one through more storeys */
    private static function rank(Design $design, Host $wall): array
    {
        return [round($wall->depth(), 2), (float) ($design->storeys->indexOf($wall->top()) - $design->storeys->indexOf($wall->base()))];
    }

    /** An end that makes no corner: free, or of an inner wall that runs into the body of another wall. */
    private static function freeEnd(Design $design, Host $wall, Upright $surface, float $at): End
    {
        // outer walls run past one another; inner ones and curtain walls stop at what they run into
        if (! $design->isInner($wall) && $wall->curtain() === null) {
            return End::square($at);
        }
        $tip = $surface->inPlan($at, $wall->depth() / 2);
        foreach ($design->hosts() as $other) {
            if ($other->id() === $wall->id() || ! self::shareStorey($design, $wall, $other)) {
                continue;
            }
            $face = $other->surface();
            $depth = $face->depth($tip);
            $along = $face->u($tip);
            if ($depth < -1
                            || $depth > $other->depth() + 1
                            || $along < -1
                            || $along > $face->length + 1
                            || abs($surface->tangent($at)->cross($face->tangent($along))) < 0.05) {
                continue;
            }
            $behind = $face->depth($surface->inPlan($surface->length / 2, $wall->depth() / 2)) > $other->depth() / 2;
            $line = $behind ? $face->behind($other->depth()) : $face->foot;
            $near = $face->inPlan($along, $behind ? $other->depth() : 0.0);

            return End::along($surface, $wall->depth(), $line, $near, Joint::Tee, $other->id()) ?? throw self::apart($wall, $other);
        }

        return End::square($at);
    }

    /**
     * @param  list<Host>  $candidates
     * @return list<Host> those it makes a corner with
     */
    private static function meeting(Design $design, Host $wall, array $candidates): array
    {
        return array_values(array_filter($candidates, static fn (Host $other): bool => $other->id() !== $wall->id()
            && self::shareStorey($design, $wall, $other) && $design->isInner($wall) === $design->isInner($other)));
    }

    /** @param  list<Host>  $meeting */
    private static function partner(Host $wall, array $meeting): ?Host
    {
        $best = null;
        foreach ($meeting as $other) {
            if ($best === null || $other->outline() === $wall->outline()) {
                $best = $other;
            }
        }

        return $best;
    }

    private static function shareStorey(Design $design, Host $a, Host $b): bool
    {
        $at = $design->storeys->indexOf(...);

        return $at($b->base()) <= $at($a->top()) && $at($b->top()) >= $at($a->base());
    }

    private static function spot(Vec2 $point): string
    {
        return round($point->x / Tolerance::LENGTH / 10).','.round($point->y / Tolerance::LENGTH / 10);
    }
}
