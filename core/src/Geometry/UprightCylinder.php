<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** Upright over a circular arc, bulging outward or hollow; u is the arc length. */
final readonly class UprightCylinder extends Upright
{
    private Vec2 $centre;

    /** signed: positive where it bulges outward */
    private float $radius;

    public function __construct(Curve $foot)
    {
        if (! $foot->isCircular()) {
            throw InvalidPath::ellipses();
        }
        parent::__construct($foot, $foot->length());
        $this->centre = $foot->centre();
        $this->radius = $foot->sweep > 0 ? $foot->rx : -$foot->rx;
    }

    public function isFlat(): bool
    {
        return false;
    }

    public function inPlan(float $u, float $depth = 0.0): Vec2
    {
        $t = $this->foot->start + $u / $this->radius;
        $r = abs($this->radius) - ($this->radius > 0 ? $depth : -$depth);

        return new Vec2($this->centre->x + $r * cos($t), $this->centre->y + $r * sin($t));
    }

    /** Of the turns that a point may be at, the one nearest to the middle of it. */
    public function u(Vec2 $point): float
    {
        $middle = $this->foot->start + $this->foot->sweep / 2;
        $turn = $point->minus($this->centre)->angle() - $middle;
        $turn -= 2 * M_PI * round($turn / (2 * M_PI));

        return $this->length / 2 + $turn * $this->radius;
    }

    public function depth(Vec2 $point): float
    {
        $beyond = $point->distanceTo($this->centre) - abs($this->radius);

        return $this->radius > 0 ? -$beyond : $beyond;
    }

    public function tangent(float $u = 0.0): Vec2
    {
        $t = $this->foot->start + $u / $this->radius;

        return $this->radius > 0 ? new Vec2(-sin($t), cos($t)) : new Vec2(sin($t), -cos($t));
    }

    public function behind(float $depth): Curve
    {
        return $this->foot->offset($depth);
    }

    public function stretch(float $from, float $to): self
    {
        $f = $this->foot;

        return new self(Curve::curved(
            $f->cx,
            $f->cy,
            $f->rx,
            $f->rx,
            $f->start + $from / $this->radius,
            ($to - $from) / $this->radius,
        ));
    }

    public function isOneWith(Upright $other): bool
    {
        return $other instanceof self && abs($this->radius - $other->radius) <= 0.1 && $this->centre->distanceTo($other->centre) <= 0.1;
    }

    public function radius(): float
    {
        return $this->radius;
    }
}
