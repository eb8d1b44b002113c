<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Geometry\Crossing;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;

/**
 * Where a wall ends: at one u on its outer face, at another on its inner face (both measured along the outer one), cut straight from the
 * one to the other or along the curved face it stops at.
 */
final readonly class End
{
    /**
     * @param  float  $inner  u at the inner face
     * @param  Curve|null  $arc  in plan, from the outer face to the inner one, where it is not cut straight
     * @param  string|null  $meets  the wall it makes its corner with
     * @param  list<string>  $others  further walls that end there, in this storey or another
     */
    public function __construct(
        public float $at,
        public float $inner,
        public Joint $joint,
        public ?string $meets = null,
        public ?Curve $arc = null,
        public array $others = [],
    ) {
    }

    /** @param  list<string>  $others */
    public function beside(array $others): self
    {
        return new self($this->at, $this->inner, $this->joint, $this->meets, $this->arc, $others);
    }

    public static function square(float $at, Joint $joint = Joint::Free, ?string $meets = null): self
    {
        return new self($at, $at, $joint, $meets);
    }

    /**
     * Cut along a line or circle in plan that passes near a point of the outer face; null when a face of the wall does not meet it.
     *
     * @param  float  $thickness  of the wall that is cut, mm
     */
    public static function along(Upright $wall, float $thickness, Curve $line, Vec2 $near, Joint $joint, string $meets): ?self
    {
        if ($wall->isFlat() && ! $line->isCurved()) {
            $along = $line->directionAt(0.0);
            $across = $wall->tangent()->cross($along);
            $at = -$wall->start()->minus($line->start())->cross($along) / $across;

            return new self($at, $at + $wall->outward()->cross($along) / $across * $thickness, $joint, $meets);
        }
        $outer = self::crossing($wall->foot, $line, $near);
        if ($outer === null) {
            return null;
        }
        $u = $wall->u($outer);
        $heading = new Vec2(...$line->direction($line->isCurved() ? $line->shareOf($outer->x, $outer->y) : 0.0));
        $inward = -$heading->dot($wall->outward($u));
        $expected = abs($inward) < 1e-6 ? $outer : $outer->plus($heading->times($thickness / $inward));
        $inner = self::crossing($wall->behind($thickness), $line, $expected);
        if ($inner === null) {
            return null;
        }

        return new self($u, $wall->u($inner), $joint, $meets, $line->isCurved() ? self::arc($line, $outer, $inner) : null);
    }

    /** Of the points where two endless lines or circles meet the one nearest to a point. */
    public static function crossing(Curve $a, Curve $b, Vec2 $near): ?Vec2
    {
        $best = null;
        foreach (Crossing::endless($a, $b) as [$x, $y]) {
            $point = new Vec2($x, $y);
            if ($best === null || $point->distanceTo($near) < $best->distanceTo($near)) {
                $best = $point;
            }
        }

        return $best;
    }

    /** u at a depth of a flat wall: there it is cut by a plane. */
    public function atDepth(float $depth, float $thickness): float
    {
        return $this->at + ($this->inner - $this->at) * $depth / $thickness;
    }

    /** The short way round a circle. */
    private static function arc(Curve $circle, Vec2 $from, Vec2 $to): Curve
    {
        [$a, $b] = [$from->minus($circle->centre()), $to->minus($circle->centre())];

        return Curve::curved($circle->cx, $circle->cy, $circle->rx, $circle->rx, $a->angle(), atan2($a->cross($b), $a->dot($b)));
    }
}
