<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** One piece of a plane, its sides straight or curved, with the holes in it. */
final readonly class Profile
{
    /**
     * @param  Contour  $outer  with its inside on its left
     * @param  list<Contour>  $holes  each with what is left of the piece on its left: they run clockwise
     */
    public function __construct(public Contour $outer, public array $holes = [])
    {
    }

    /** mm² */
    public function area(): float
    {
        return $this->outer->area() + array_sum(array_map(static fn (Contour $c): float => $c->area(), $this->holes));
    }

    /** @return non-empty-list<Contour> the outer one first */
    public function contours(): array
    {
        return [$this->outer, ...$this->holes];
    }

    /** Whether a point lies in it; what lies on its edge is told either way. */
    public function holds(float $x, float $y): bool
    {
        return Overlay::windings($this->contours(), $x, $y) > 0;
    }
}
