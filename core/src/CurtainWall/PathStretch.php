<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Curve;

/** One stretch of the path of a run: straight, or an arc; the outside lies to its right. */
final readonly class PathStretch
{
    /**
     * @param  float  $lean  from upright, radians, positive inward; an arc has none
     * @param  bool  $faceted  of an arc: flat panes between mullions at the kinks, in place of bent ones
     * @param  GridRules|null  $rules  of its own, where they are not its run's
     * @param  list<list<array{float, float}>>  $head  lines its head lies under, each [u, v] from its left to its right end, v over its
     *    foot; none where it is level
     * @param  bool  $square  where it leans, its foot and head are cut square to its face; else level
     */
    public function __construct(
        public Curve $curve,
        public float $lean = 0.0,
        public bool $faceted = false,
        public ?GridRules $rules = null,
        public bool $square = false,
        public array $head = [],
    ) {
    }
}
