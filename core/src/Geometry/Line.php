<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** A straight stretch. */
final readonly class Line implements Segment
{
    private Vec2 $direction;

    private float $length;

    /** @throws InvalidPath when both ends are one point */
    public function __construct(private Vec2 $from, private Vec2 $to)
    {
        $this->length = $from->distanceTo($to);
        if ($this->length <= Tolerance::LENGTH) {
            throw InvalidPath::noLength();
        }
        $this->direction = $to->minus($from)->times(1 / $this->length);
    }

    public function start(): Vec2
    {
        return $this->from;
    }

    public function end(): Vec2
    {
        return $this->to;
    }

    public function length(): float
    {
        return $this->length;
    }

    public function pointAt(float $distance): Vec2
    {
        if ($distance < -Tolerance::LENGTH || $distance > $this->length + Tolerance::LENGTH) {
            throw InvalidPath::beyond($distance, $this->length);
        }

        return $this->from->plus($this->direction->times($distance));
    }

    public function directionAt(float $distance): Vec2
    {
        return $this->direction;
    }

    public function offset(float $distance): self
    {
        $by = $this->direction->rightHand()->times(-$distance);

        return new self($this->from->plus($by), $this->to->plus($by));
    }

    public function reversed(): self
    {
        return new self($this->to, $this->from);
    }

    public function chords(float $sagitta): array
    {
        return [$this->from, $this->to];
    }

    /**
     * Where the two endless lines meet, or null when they are parallel.
     */
    public function meets(self $other): ?Vec2
    {
        $cross = $this->direction->cross($other->direction);
        if (abs($cross) < Tolerance::ANGLE) {
            return null;
        }
        $t = $other->from->minus($this->from)->cross($other->direction) / $cross;

        return $this->from->plus($this->direction->times($t));
    }
}
