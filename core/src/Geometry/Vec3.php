<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** A point or a direction in space; mm, x east, y north, z up. */
final readonly class Vec3
{
    public function __construct(public float $x, public float $y, public float $z)
    {
    }

    public function plus(self $other): self
    {
        return new self($this->x + $other->x, $this->y + $other->y, $this->z + $other->z);
    }

    public function times(float $factor): self
    {
        return new self($this->x * $factor, $this->y * $factor, $this->z * $factor);
    }

    public function dot(self $other): float
    {
        return $this->x * $other->x + $this->y * $other->y + $this->z * $other->z;
    }

    public function cross(self $other): self
    {
        return new self(
            $this->y * $other->z - $this->z * $other->y,
            $this->z * $other->x - $this->x * $other->z,
            $this->x * $other->y - $this->y * $other->x,
        );
    }

    public function minus(self $other): self
    {
        return new self($this->x - $other->x, $this->y - $other->y, $this->z - $other->z);
    }

    /** Of the same direction and one long. */
    public function unit(): self
    {
        return $this->times(1 / $this->length());
    }

    public function length(): float
    {
        return sqrt($this->dot($this));
    }
}
