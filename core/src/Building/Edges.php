<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Contributors;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\WallEdge;

/** Heads and feet of walls as they come out: what each follows, laid over the wall. */
final class Edges
{
    /**
     * @param  Body  $level  with its head and foot at their storeys' levels
     * @return Body the same, its head and foot as they follow something; left level where that does not lie over all of it, or leaves
     *              less than a millimetre of height
     */
    public static function follow(Design $design, Body $level): Body
    {
        $wall = $level->host;
        $heads = $wall->head() === null ? null : self::cover($design, $level, $wall->head(), $level->head, false);
        // the foot of a curtain wall is its own
        $foot = $wall->curtain() === null ? $wall->foot() : null;
        $feet = $foot === null ? null : self::cover($design, $level, $foot, $level->foot, true);
        $body = $level->between($heads, $feet);

        return $body->stands() ? $body : $level;
    }

    private static function cover(Design $design, Body $level, WallEdge $edge, float $usual, bool $upper): ?Cover
    {
        if ($edge->roof === null) {
            return new Levels(array_map(static fn (array $p): array => [$p[0], $usual + $p[1]], $edge->points));
        }
        foreach (Contributors::to(Covers::class) as $covers) {
            $cover = $covers->cover($design, $edge->roof, $upper);
            if ($cover !== null) {
                return $level->isCoveredBy($cover) ? $cover : null;
            }
        }

        return null;
    }
}
