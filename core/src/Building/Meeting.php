<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Tolerance;

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
            if ($other->id === $body->wall->id || ! $design->isInner($other) || ! self::touches($body, $other)) {
                continue;
            }
            $its = Bodies::one($design, $other);
            foreach ([$its->left, $its->right] as $end) {
                if ($end->joint !== Joint::Tee || $end->meets !== $body->wall->id) {
                    continue;
                }
                $corners = [
                    $its->surface->inPlan($end->atDepth(0.0), 0.0),
                    $its->surface->inPlan($end->atDepth($other->thickness), $other->thickness),
                ];
                $us = array_map($body->surface->along(...), $corners);
                $depth = -$corners[0]->minus($body->surface->origin)->dot($body->surface->outward());
                $found[] = new Abutment($other, min($us), max($us), $its->foot, $its->head, $depth > $body->wall->thickness / 2);
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
            if (
                $other === null || abs($body->surface->along->cross(Surface::of($other)->along)) < 1e-4
                || $design->storeys->floor($other->base) >= $head - $slack || $design->storeys->ceiling($other->top) <= $sill + $slack
            ) {
                continue;
            }
            $return = $body->surface->innerFace($body->wall->thickness)->meetsLine(Surface::of($other)->innerFace($other->thickness));
            $inner = $return === null ? $at : $body->surface->along($return);
            $at = $atRight ? min($at, $inner) : max($at, $inner);
        }

        return $at;
    }

    /** Whether one of a wall's ends lies in another's body: what can be told before it is known how they stand. */
    private static function touches(Body $body, Wall $other): bool
    {
        $surface = Surface::of($other);
        foreach ([0.0, $other->face()->length()] as $u) {
            $tip = $surface->inPlan($u, $other->thickness / 2);
            $depth = -$tip->minus($body->surface->origin)->dot($body->surface->outward());
            $along = $body->surface->along($tip);
            if ($depth >= -1 && $depth <= $body->wall->thickness + 1 && $along >= -1 && $along <= $body->length + 1) {
                return true;
            }
        }

        return false;
    }
}
