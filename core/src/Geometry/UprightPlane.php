<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** Upright and flat. */
final readonly class UprightPlane extends Upright
{
    private Vec2 $origin;

    private Vec2 $along;

    private Vec2 $out;

    public function __construct(Curve $foot)
    {
        parent::__construct($foot, $foot->length());
        $this->origin = $foot->start();
        $this->along = $foot->end()->minus($this->origin)->unit();
        $this->out = $this->along->rightHand();
    }

    public function isFlat(): bool
    {
        return true;
    }

    public function inPlan(float $u, float $depth = 0.0): Vec2
    {
        return $this->origin->plus($this->along->times($u))->plus($this->out->times(-$depth));
    }

    public function u(Vec2 $point): float
    {
        return $point->minus($this->origin)->dot($this->along);
    }

    public function depth(Vec2 $point): float
    {
        return -$point->minus($this->origin)->dot($this->out);
    }

    public function tangent(float $u = 0.0): Vec2
    {
        return $this->along;
    }

    public function outward(float $u = 0.0): Vec2
    {
        return $this->out;
    }

    public function behind(float $depth): Curve
    {
        return Curve::line($this->inPlan(0.0, $depth), $this->inPlan($this->length, $depth));
    }

    public function stretch(float $from, float $to): self
    {
        return new self(Curve::line($this->inPlan($from), $this->inPlan($to)));
    }

    public function isOneWith(Upright $other): bool
    {
        return $other instanceof self && $this->along->dot($other->along) > 0 && abs($this->along->cross($other->along)) <= 1e-6
            && abs($this->depth($other->origin)) <= 0.1;
    }

    public function radius(): float
    {
        return INF;
    }
}
