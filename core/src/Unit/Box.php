<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** An upright rectangle in a unit's face: mm from its left jamb and its sill, seen from outside. */
final readonly class Box
{
    public function __construct(public float $x0, public float $y0, public float $x1, public float $y1)
    {
    }

    public function width(): float
    {
        return $this->x1 - $this->x0;
    }

    public function height(): float
    {
        return $this->y1 - $this->y0;
    }

    public function area(): float
    {
        return $this->width() * $this->height();
    }

    public function inset(float $left, float $bottom, float $right, float $top): self
    {
        return new self($this->x0 + $left, $this->y0 + $bottom, $this->x1 - $right, $this->y1 - $top);
    }

    public function mirrored(float $width): self
    {
        return new self($width - $this->x1, $this->y0, $width - $this->x0, $this->y1);
    }
}
