<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** All that lies on one side of a plane: where normal · point is no more than $reach; mm. */
final readonly class HalfSpace
{
    private function __construct(public Vec3 $normal, public float $reach)
    {
    }

    /**
     * What lies behind a plane through a point.
     *
     * @param  Vec3  $normal  out of what is kept, of any length
     */
    public static function behind(Vec3 $point, Vec3 $normal): self
    {
        $unit = $normal->unit();

        return new self($unit, $unit->dot($point));
    }

    /** The other side of the same plane. */
    public function opposite(): self
    {
        return new self($this->normal->times(-1.0), -$this->reach);
    }

    /** How far a point lies outside it, mm; negative inside. */
    public function beyond(Vec3 $point): float
    {
        return $this->normal->dot($point) - $this->reach;
    }
}
