<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Jambs;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * How an opening goes through a curved wall. x runs over its width from its left jamb, z is the depth behind the chord between its jambs at
 * the outer face (of a bent one behind the face); mm. Parallel jambs stand square to that chord and are its width apart. Radial ones run
 * towards the centre of the arc, and are the width apart where the unit in them has the least room.
 */
final readonly class CurvedCut
{
    /** Nearer than this an opening's jambs may not come to where the arc turns away from it, mm. */
    private const EDGE = 1.0;

    /** How far what stands for the way through reaches out of the wall, mm. */
    private const BEYOND = 1.0;

    /** Straight sides of a shape are followed in steps of so much, mm. */
    private const STEP = 100.0;

    /** What it takes of the outer face from jamb to jamb, mm. */
    public float $span;

    /**
     * @param  float  $half  half the turn between its jambs at the outer face, radians
     * @param  float  $tight  distance from the centre of the arc to the plane its width is measured in, of radial jambs, mm
     */
    private function __construct(
        private Upright $surface,
        public Jambs $jambs,
        private float $width,
        private float $half,
        private float $tight,
    ) {
        $this->span = 2 * abs($surface->radius()) * $half;
    }

    /**
     * @param  float  $thickness  of the wall, mm
     * @param  float  $setback  of the unit behind the chord, mm; 0 for a bare one
     * @param  float  $deep  of the unit's frame, mm; 0 for a bare one
     *
     * @throws Refusal when it is wider than the arc allows
     */
    public static function of(Upright $surface, Jambs $jambs, float $width, float $thickness, float $setback, float $deep): self
    {
        $radius = abs($surface->radius());
        $bulges = $surface->radius() > 0;
        if ($jambs === Jambs::Bent) {
            return new self($surface, $jambs, $width, $width / (2 * $radius), $radius);
        }
        if ($jambs === Jambs::Parallel) {
            $most = 2 * (($bulges ? $radius - $thickness : $radius) - self::EDGE);
            if ($width > $most) {
                throw self::tooWide($jambs, $width, $most, $radius);
            }

            return new self($surface, $jambs, $width, asin($width / (2 * $radius)), $radius);
        }
        // r·sin α − k·tan α = w/2: half the width between lines through the centre, k nearer to it than the chord
        $k = $bulges ? max(0.0, $setback + $deep) : -$setback;
        $reach = static fn (float $a): float => $radius * sin($a) - $k * tan($a);
        $widest = $k > 0.0 ? acos(min(1.0, ($k / $radius) ** (1 / 3))) : M_PI / 2 - 1e-3;
        if ($width / 2 > $reach($widest) - self::EDGE) {
            throw self::tooWide($jambs, $width, 2 * ($reach($widest) - self::EDGE), $radius);
        }
        [$low, $high] = [0.0, $widest];
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            $reach($middle) < $width / 2 ? $low = $middle : $high = $middle;
        }

        return new self($surface, $jambs, $width, ($low + $high) / 2, $radius * cos(($low + $high) / 2) - $k);
    }

    /** How far the outer face stands off the chord between the jambs, mm; outward where the wall bulges, inward where it is hollow. */
    public function bow(): float
    {
        return abs($this->surface->radius()) * (1 - cos($this->half));
    }

    /** How far right of its left jamb on the outer face a place over its width lies at a depth of the wall; along the outer face, mm. */
    public function along(float $x, float $depth): float
    {
        $radius = abs($this->surface->radius());

        return match ($this->jambs) {
            Jambs::Parallel => $this->span / 2 + $radius * asin(
                max(-1.0, min(1.0, ($x - $this->width / 2) / ($radius - $this->side() * $depth))),
            ),
            Jambs::Radial => $this->span / 2 + $radius * atan2($x - $this->width / 2, $this->tight),
            Jambs::Bent => $x,
        };
    }

    /** The place over its width that is so far along at a depth: what {@see along} says, asked the other way. */
    public function placeOf(float $along, float $depth): float
    {
        $radius = abs($this->surface->radius());
        $turn = ($along - $this->span / 2) / $radius;

        return match ($this->jambs) {
            Jambs::Parallel => $this->width / 2 + ($radius - $this->side() * $depth) * sin(max(-M_PI / 2, min(M_PI / 2, $turn))),
            Jambs::Radial => $this->width / 2 + $this->tight * tan(max(-1.5, min(1.5, $turn))),
            Jambs::Bent => $along,
        };
    }

    /** Where along its width a plan point in the way through lies. */
    public function across(Vec2 $point, float $left): float
    {
        if ($this->jambs === Jambs::Bent) {
            return $this->surface->u($point) - $left;
        }
        [$centre, $out, $along] = $this->axes($left);
        $d = $point->minus($centre);

        return $this->width / 2 + ($this->jambs === Jambs::Parallel ? $d->dot($along) : $this->tight * $d->dot($along) / $d->dot($out));
    }

    /** The line in plan on which all lies that is at one place over its width: from outside the wall to inside. */
    public function through(float $x, float $left, float $thickness): Curve
    {
        [$radius, $bulges, $cos] = [abs($this->surface->radius()), $this->surface->radius() > 0, cos($this->half)];
        if ($this->jambs === Jambs::Parallel) {
            $inner = $bulges
                ? $radius * $cos - sqrt(max(0.0, ($radius - $thickness) ** 2 - $this->width ** 2 / 4))
                : $radius + $thickness - $radius * $cos;

            return Curve::line(
                $this->inPlan($x, -self::BEYOND - ($bulges ? $this->bow() : 0.0), $left),
                $this->inPlan($x, self::BEYOND + $inner, $left),
            );
        }
        // so far that the straight line from jamb to jamb there lies off the wall
        [$near, $far] = $bulges ? [$radius - $radius / $cos, $thickness] : [0.0, ($radius + $thickness) / $cos - $radius];
        $u = $left + $this->along($x, 0.0);

        return Curve::line($this->surface->inPlan($u, $near - self::BEYOND), $this->surface->inPlan($u, $far + self::BEYOND));
    }

    /**
     * From where to where on the wall it reaches at any depth, mm right of its left jamb.
     *
     * @return array{float, float}
     */
    public function reach(float $thickness): array
    {
        return [min(0.0, $this->along(0.0, $thickness)), max($this->span, $this->along($this->width, $thickness))];
    }

    public function inPlan(float $x, float $z, float $left): Vec2
    {
        if ($this->jambs === Jambs::Bent) {
            return $this->surface->inPlan($left + $x, $z);
        }
        [$centre, $out, $along] = $this->axes($left);
        $from = abs($this->surface->radius()) * cos($this->half) - $this->side() * $z;

        return $centre->plus($out->times($from))->plus($along->times($x - $this->width / 2));
    }

    /** What it takes of the wall in plan for a mm of its width there, mm. */
    public function taken(float $x, float $thickness): float
    {
        [$radius, $off] = [abs($this->surface->radius()), $x - $this->width / 2];
        $other = $radius - $this->side() * $thickness;

        return $this->jambs === Jambs::Parallel
            ? abs(sqrt(max(0.0, $radius ** 2 - $off ** 2)) - sqrt(max(0.0, $other ** 2 - $off ** 2)))
            : abs($radius - $other) * $this->spread($x, ($radius + $other) / 2);
    }

    /** How far the ways through at two places that are a mm apart over its width lie apart so far from the arc's centre, mm. */
    public function spread(float $x, float $fromCentre): float
    {
        return match ($this->jambs) {
            Jambs::Parallel => 1.0,
            Jambs::Radial => $fromCentre * $this->tight / ($this->tight ** 2 + ($x - $this->width / 2) ** 2),
            Jambs::Bent => $fromCentre / abs($this->surface->radius()),
        };
    }

    /** Angle in plan of its width, radians. */
    public function angle(float $left): float
    {
        return $this->surface->angle($left + $this->span / 2);
    }

    /**
     * A ring over its width as it lies on the wall at a depth; straight sides that are neither level nor upright in steps.
     *
     * @param  list<float>  $ring  [x, y, …]
     * @return list<float> how far right of the left jamb and how high over the sill
     */
    public function ring(array $ring, float $depth): array
    {
        $out = [];
        $n = count($ring);
        for ($i = 0; $i < $n; $i += 2) {
            $j = ($i + 2) % $n;
            [$dx, $dy] = [$ring[$j] - $ring[$i], $ring[$j + 1] - $ring[$i + 1]];
            $steps = abs($dx) < 1e-6 || abs($dy) < 1e-6 ? 1 : (int) ceil(hypot($dx, $dy) / self::STEP);
            for ($k = 0; $k < $steps; $k++) {
                array_push($out, $this->along($ring[$i] + $dx * $k / $steps, $depth), $ring[$i + 1] + $dy * $k / $steps);
            }
        }

        return $out;
    }

    /** 1 where the wall bulges outward, −1 where it is hollow. */
    private function side(): float
    {
        return $this->surface->radius() > 0 ? 1.0 : -1.0;
    }

    /** @return array{Vec2, Vec2, Vec2} the arc's centre, from there to the opening's middle, and the direction of its width */
    private function axes(float $left): array
    {
        $u = $left + $this->span / 2;

        return [
            $this->surface->foot->centre(),
            $this->surface->outward($u)->times($this->side()),
            $this->surface->tangent($u),
        ];
    }

    private static function tooWide(Jambs $jambs, float $width, float $most, float $radius): Refusal
    {
        return Refusal::because('opening.wider_than_arc', sprintf(
            'An opening %s wide with %s does not go through a wall of radius %s here: it can be %s wide at the most.',
            Length::mark($width),
            $jambs->label(),
            Length::mark($radius),
            Length::mark(max(0.0, floor($most))),
        ), details: ['field' => 'width', 'most' => $most]);
    }
}
