<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;

/** What a wall ends at above, or stands on, in place of a level: planes of a roof, or levels along the wall. Levels in mm. */
interface Cover
{
    /** Level over a place in plan; null where there is none. */
    public function at(Upright $surface, Vec2 $point): ?float;

    /**
     * Over the face at a depth, from one u to another.
     *
     * @return non-empty-list<array{float, float}>|null u and level in order, two at one u where it steps; null where not all is covered
     */
    public function line(Upright $surface, float $from, float $to, float $depth): ?array;

    /**
     * Over a straight line in plan, along its left side.
     *
     * @return non-empty-list<array{float, float}>|null share of the way and level, as {@see line}
     */
    public function along(Upright $surface, Vec2 $from, Vec2 $to): ?array;

    /**
     * Its planes over a flat wall.
     *
     * @return list<array{list<float>, \Closure(float, float): float}> ring in (u, depth), counter-clockwise, and level there
     */
    public function pieces(Upright $surface): array;
}
