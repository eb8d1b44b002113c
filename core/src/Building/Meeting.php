<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Upright;

/** What of other walls stands in a wall's way: those that end against its faces, and the returns at its corners. */
final class Meeting
{
    /**
     * Inner walls that end against a wall, from left to right.
     *
     * @return list<Abutment>
     */
    public static function abutments(Design $design, Body $body): array
    {
        $found = [];
        foreach ($design->walls as $other) {
            if ($other->id === $body->host->id() || ! $design->isInner($other) || ! self::touches($body, $other)) {
                continue;
            }
            $its = Bodies::one($design, $other);
            foreach ([$its->left, $its->right] as $end) {
                if ($end->joint !== Joint::Tee || $end->meets !== $body->host->id()) {
                    continue;
                }
                $corners = [
                    $its->surface->inPlan($end->at),
                    $its->surface->inPlan($end->inner, $other->thickness),
                ];
                $us = array_map($body->surface->u(...), $corners);
                $depth = $body->surface->depth($corners[0]);
                $found[] = new Abutment($other, min($us), max($us), $its->foot, $its->head, $depth > $body->host->depth() / 2);
            }
        }
        usort($found, static fn (Abutment $a, Abutment $b): int => $a->from <=> $b->from);

        return $found;
    }

    /**
     * Where along a wall its clear face begins or ends, whichever of its faces is the shorter: at its end, or at the inner face of the wall
     * that returns there, when it stands anywhere between two levels.
     *
     * @param  float  $sill  mm above the datum
     * @return float u, mm
     */
    public static function clearEnd(Design $design, Body $body, float $sill, float $head, bool $atRight): float
    {
        $end = $atRight ? $body->right : $body->left;
        $at = $atRight ? $body->end() : $body->start();
        if ($end->joint === Joint::Tee) {
            return $at;
        }
        $slack = Tolerance::LENGTH;
        foreach ($end->meets === null ? [] : [$end->meets, ...$end->others] as $id) {
            $other = $design->walls[$id] ?? null;
            $theirs = $other?->surface();
            if (
                $other === null || $theirs === null
                || $design->storeys->floor($other->base) >= $head - $slack || $design->storeys->ceiling($other->top) <= $sill + $slack
                || self::runsOn($body->surface, $theirs, $atRight)
            ) {
                continue;
            }
            $return = End::crossing(
                $body->surface->behind($body->host->depth()),
                $theirs->behind($other->thickness),
                $body->surface->inPlan($atRight ? $body->right->inner : $body->left->inner, $body->host->depth()),
            );
            $inner = $return === null ? $at : $body->surface->u($return);
            $at = $atRight ? min($at, $inner) : max($at, $inner);
        }

        return $at;
    }

    /** Whether the wall at an end goes on in the same direction there. */
    private static function runsOn(Upright $surface, Upright $other, bool $atRight): bool
    {
        $u = $atRight ? $surface->length : 0.0;

        return abs($surface->tangent($u)->cross($other->tangent($other->u($surface->inPlan($u))))) < 1e-4;
    }

    /** Whether one of a wall's ends lies in another's body: what can be told before it is known how they stand. */
    private static function touches(Body $body, Wall $other): bool
    {
        $surface = $other->surface();
        foreach ([0.0, $surface->length] as $u) {
            $tip = $surface->inPlan($u, $other->thickness / 2);
            $depth = $body->surface->depth($tip);
            $along = $body->surface->u($tip);
            if ($depth >= -1 && $depth <= $body->host->depth() + 1 && $along >= -1 && $along <= $body->length + 1) {
                return true;
            }
        }

        return false;
    }
}
