<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Upright;

/** Where a screen ends before a wall: free, or mitred with the stretch before the next wall. */
final readonly class ScreenEnd
{
    /**
     * @param  float  $back  u at which its back ends
     * @param  float  $front  u at which its front ends
     * @param  bool  $right  whether it is its right end
     */
    public function __construct(public float $back, public float $front, public bool $joined, private bool $right)
    {
    }

    /** How far it reaches at the most. */
    public function outermost(): float
    {
        return $this->right ? max($this->back, $this->front) : min($this->back, $this->front);
    }

    /** How far it reaches through its whole thickness. */
    public function square(bool $right): float
    {
        return $right ? min($this->back, $this->front) : max($this->back, $this->front);
    }

    /**
     * What lies past that.
     *
     * @param  array{float, float, float, float}  $bounds
     */
    public function beyond(bool $right, array $bounds): Contour
    {
        $at = $this->square($right);

        return $right
            ? Contour::rectangle($at, $bounds[1] - 10.0, max($this->outermost(), $bounds[2]) + 10.0, $bounds[3] + 10.0)
            : Contour::rectangle(min($this->outermost(), $bounds[0]) - 10.0, $bounds[1] - 10.0, $at, $bounds[3] + 10.0);
    }

    /**
     * What the mitre leaves past its square end, in plan; null where there is none. Of what runs round an arc one side of it is an arc.
     *
     * @param  float  $gap  how far outward of the surface its back lies, mm
     * @param  float  $front  and its front
     */
    public function wedge(bool $right, Upright $surface, float $gap, float $front): ?Contour
    {
        if (! $this->joined || abs($this->back - $this->front) < 0.01) {
            return null;
        }
        $square = $this->square($right);
        $onBack = abs($this->back - $square) > abs($this->front - $square);
        [$near, $far] = $onBack ? [$front, $gap] : [$gap, $front];
        $apart = $surface->inPlan($square, -$near);
        $corner = $surface->inPlan($square, -$far);
        $tip = $surface->inPlan($onBack ? $this->back : $this->front, -$far);
        [$from, $to] = $right ? [$corner, $tip] : [$tip, $corner];
        $along = $surface->behind(-$far)->between($from->x, $from->y, $to->x, $to->y);
        $wedge = Contour::of([$along, Curve::line($to, $apart), Curve::line($apart, $from)]);

        return $wedge->area() < 0.0 ? $wedge->reversed() : $wedge;
    }
}
