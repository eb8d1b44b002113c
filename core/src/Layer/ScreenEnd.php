<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;

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

    /** What the mitre leaves past its square end, in plan; null where there is none. */
    public function wedge(bool $right, Upright $surface, float $gap, float $front): ?Contour
    {
        if (! $this->joined || ! $surface->isFlat() || abs($this->back - $this->front) < 0.01) {
            return null;
        }
        $square = $this->square($right);
        $tip = abs($this->back - $square) > abs($this->front - $square) ? [$this->back, -$gap] : [$this->front, -$front];
        $points = array_map(
            static fn (array $p): Vec2 => $surface->inPlan($p[0], $p[1]),
            [[$square, -$gap], [$square, -$front], $tip],
        );
        [$a, $b, $c] = $points;
        if ($b->minus($a)->cross($c->minus($a)) < 0) {
            [$b, $c] = [$c, $b];
        }

        return Contour::polygon([$a->x, $a->y, $b->x, $b->y, $c->x, $c->y]);
    }
}
