<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Vec2;

/**
 * The outer face of a straight wall: u along it from its left end as seen from outside, v the level above the datum,
 * n outward; all mm. Depth is −n.
 */
final readonly class Surface
{
    private Vec2 $outward;

    /** @param  Vec2  $along unit direction of u in plan */
    public function __construct(public Vec2 $origin, public Vec2 $along)
    {
        $this->outward = $along->rightHand();
    }

    public static function of(Wall $wall): self
    {
        return new self($wall->from, $wall->to->minus($wall->from)->unit());
    }

    /** The point in plan at u, $depth behind the outer face. */
    public function inPlan(float $u, float $depth = 0.0): Vec2
    {
        return $this->origin->plus($this->along->times($u))->plus($this->outward->times(-$depth));
    }

    /** A stretch of the line in plan that the inner face of a wall so thick lies on. */
    public function innerFace(float $thickness): Curve
    {
        return Curve::line($this->inPlan(0.0, $thickness), $this->inPlan(1000.0, $thickness));
    }

    /** u of a plan point's foot on the face. */
    public function along(Vec2 $point): float
    {
        return $point->minus($this->origin)->dot($this->along);
    }

    /** Angle of u in plan, radians counter-clockwise from +x. */
    public function angle(): float
    {
        return $this->along->angle();
    }

    public function outward(): Vec2
    {
        return $this->outward;
    }
}
