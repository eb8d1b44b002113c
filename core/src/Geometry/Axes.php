<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** Where something of its own (x, y, z) stands in space: an origin and three unit directions, square to one another and right-handed. */
final readonly class Axes
{
    public function __construct(public Vec3 $origin, public Vec3 $x, public Vec3 $y, public Vec3 $z)
    {
    }

    public function point(float $x, float $y, float $z): Vec3
    {
        return $this->origin->plus($this->x->times($x))->plus($this->y->times($y))->plus($this->z->times($z));
    }

    /** A point in space as it lies here. */
    public function place(Vec3 $point): Vec3
    {
        $from = $point->minus($this->origin);

        return new Vec3($from->dot($this->x), $from->dot($this->y), $from->dot($this->z));
    }
}
