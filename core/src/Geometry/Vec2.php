<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** A point or a direction in a plane; mm, x east and y north in plan. */
final readonly class Vec2
{
    public function __construct(public float $x, public float $y)
    {
    }

    /** The unit vector at an angle in radians, counter-clockwise from +x. */
    public static function atAngle(float $radians): self
    {
        return new self(cos($radians), sin($radians));
    }

    public function plus(self $other): self
    {
        return new self($this->x + $other->x, $this->y + $other->y);
    }

    public function minus(self $other): self
    {
        return new self($this->x - $other->x, $this->y - $other->y);
    }

    public function times(float $factor): self
    {
        return new self($this->x * $factor, $this->y * $factor);
    }

    public function dot(self $other): float
    {
        return $this->x * $other->x + $this->y * $other->y;
    }

    /** Positive when $other is counter-clockwise of this. */
    public function cross(self $other): float
    {
        return $this->x * $other->y - $this->y * $other->x;
    }

    public function length(): float
    {
        return hypot($this->x, $this->y);
    }

    public function distanceTo(self $other): float
    {
        return hypot($other->x - $this->x, $other->y - $this->y);
    }

    /** In radians, counter-clockwise from +x, −π to π. */
    public function angle(): float
    {
        return atan2($this->y, $this->x);
    }

    /** @throws InvalidPath when the vector has no length */
    public function unit(): self
    {
        $length = $this->length();
        if ($length <= 0.0) {
            throw InvalidPath::noLength();
        }

        return new self($this->x / $length, $this->y / $length);
    }

    /** Turned a quarter clockwise: from a wall's direction this is its outward normal. */
    public function rightHand(): self
    {
        return new self($this->y, -$this->x);
    }

    public function isAt(self $other): bool
    {
        return $this->distanceTo($other) <= \Isleward\Core\Geometry\Tolerance::LENGTH;
    }
}
