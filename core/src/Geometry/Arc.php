<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/**
 * A circular stretch of up to a full turn less the tolerance, held by its centre, radius, start angle and sweep in
 * radians (positive counter-clockwise).
 */
final readonly class Arc implements Segment
{
    public function __construct(
        public Vec2 $centre,
        public float $radius,
        public float $startAngle,
        public float $sweep,
    ) {
        if ($radius * abs($sweep) <= Tolerance::LENGTH) {
            throw InvalidPath::noLength();
        }
    }

    /**
     * The arc over a chord. $rise is the height of its middle over the chord, in mm, positive to the right of the
     * direction $from → $to (a wall with a positive rise bulges outward).
     *
     * Radius of a circular segment: r = c²/(8h) + h/2.
     *
     * @throws InvalidPath when the chord has no length or the arc is straight
     */
    public static function overChord(Vec2 $from, Vec2 $to, float $rise): self
    {
        $chord = $from->distanceTo($to);
        if ($chord <= Tolerance::LENGTH) {
            throw InvalidPath::noLength();
        }
        if (abs($rise) < 0.1) {
            throw InvalidPath::tooFlat($rise);
        }
        $h = abs($rise);
        $radius = $chord * $chord / (8 * $h) + $h / 2;
        $side = $rise > 0 ? 1.0 : -1.0;
        $right = $to->minus($from)->unit()->rightHand();
        $middle = $from->plus($to)->times(0.5);
        $centre = $middle->plus($right->times($side * ($h - $radius)));
        $sweep = 4 * atan2(2 * $h, $chord) * $side;

        return new self($centre, $radius, $from->minus($centre)->angle(), $sweep);
    }

    public function start(): Vec2
    {
        return $this->centre->plus(Vec2::atAngle($this->startAngle)->times($this->radius));
    }

    public function end(): Vec2
    {
        return $this->centre->plus(Vec2::atAngle($this->startAngle + $this->sweep)->times($this->radius));
    }

    public function length(): float
    {
        return $this->radius * abs($this->sweep);
    }

    public function pointAt(float $distance): Vec2
    {
        if ($distance < -Tolerance::LENGTH || $distance > $this->length() + Tolerance::LENGTH) {
            throw InvalidPath::beyond($distance, $this->length());
        }

        return $this->centre->plus(Vec2::atAngle($this->angleAt($distance))->times($this->radius));
    }

    public function directionAt(float $distance): Vec2
    {
        $angle = $this->angleAt($distance) + ($this->sweep > 0 ? M_PI_2 : -M_PI_2);

        return Vec2::atAngle($angle);
    }

    public function offset(float $distance): self
    {
        $radius = $this->sweep > 0 ? $this->radius - $distance : $this->radius + $distance;
        if ($radius <= Tolerance::LENGTH) {
            throw InvalidPath::offsetPastCentre($this->radius, $distance);
        }

        return new self($this->centre, $radius, $this->startAngle, $this->sweep);
    }

    public function reversed(): self
    {
        return new self($this->centre, $this->radius, $this->startAngle + $this->sweep, -$this->sweep);
    }

    public function chords(float $sagitta): array
    {
        $step = 2 * acos(max(-1.0, 1 - $sagitta / $this->radius));
        $count = max(1, (int) ceil(abs($this->sweep) / max($step, 1e-6)));
        $points = [];
        for ($i = 0; $i <= $count; $i++) {
            $points[] = $this->pointAt($this->length() * $i / $count);
        }

        return $points;
    }

    private function angleAt(float $distance): float
    {
        return $this->startAngle + ($this->sweep > 0 ? 1 : -1) * $distance / $this->radius;
    }
}
