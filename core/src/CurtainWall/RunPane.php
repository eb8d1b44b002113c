<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Solid;

/** What fills a cell of a run as it stands in space. */
final readonly class RunPane
{
    /**
     * @param  list<Contour>  $daylight  what is seen of it, in (u, v) of its stretch
     * @param  list<Solid>  $pieces  in its axes, x along, y up, z outward, or where it has none in space; none of a void or a unit
     * @param  float|null  $radius  of bent glass, negative where it is hollow
     * @param  float  $u  where on its stretch its axes begin
     * @param  float  $v  the same, up
     */
    public function __construct(
        public GridCell $cell,
        public array $daylight,
        public ?Axes $axes,
        public array $pieces,
        public ?float $radius = null,
        public float $u = 0.0,
        public float $v = 0.0,
    ) {
    }

    /** mm² */
    public function area(): float
    {
        return array_sum(array_map(static fn (Contour $c): float => $c->area(), $this->daylight));
    }

    /** mm³ */
    public function volume(): float
    {
        return array_sum(array_map(static fn (Solid $s): float => $s->volume(), $this->pieces));
    }

    /** @return list<Solid> where it stands: x east, y north, z up */
    public function solids(): array
    {
        $axes = $this->axes;

        return $axes === null ? $this->pieces : array_map(static fn (Solid $s): Solid => InSpace::of($s, $axes), $this->pieces);
    }
}
