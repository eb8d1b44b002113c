<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** A surface that stands upright over a stretch in plan, with its outside to the right of it: v is the level. */
abstract readonly class Upright implements Surface
{
    /** @param  Curve  $foot  from the left end to the right end as seen from outside */
    protected function __construct(public Curve $foot, public float $length)
    {
    }

    /** Over a straight stretch or a circular arc. */
    public static function over(Curve $foot): self
    {
        return $foot->isCurved() ? new UprightCylinder($foot) : new UprightPlane($foot);
    }

    /** The point in plan at u, $depth behind it. */
    abstract public function inPlan(float $u, float $depth = 0.0): Vec2;

    /** u of a plan point's foot on it. */
    abstract public function u(Vec2 $point): float;

    /** How far a plan point lies behind it, mm; negative outside. */
    abstract public function depth(Vec2 $point): float;

    /** Unit direction of u in plan. */
    abstract public function tangent(float $u = 0.0): Vec2;

    /** What lies $depth behind it, as long as it is itself; its own u serves there too. */
    abstract public function behind(float $depth): Curve;

    /** The same plane or cylinder from one u to another; its own u begins there. */
    abstract public function stretch(float $from, float $to): self;

    /** Whether another is of the same plane or cylinder and faces the same way, within 0.1 mm. */
    abstract public function isOneWith(self $other): bool;

    /** Whether another is of the same plane or cylinder, whichever way it faces, within 0.1 mm. */
    public function liesIn(self $other): bool
    {
        return $this->isOneWith($other) || $this->isOneWith(self::over($other->foot->reversed()));
    }

    /** Radius of its foot, positive where it bulges outward and negative where it is hollow; INF where it is flat. */
    abstract public function radius(): float;

    /** Unit direction outward in plan. */
    public function outward(float $u = 0.0): Vec2
    {
        return $this->tangent($u)->rightHand();
    }

    /** Angle of u in plan, radians counter-clockwise from +x. */
    public function angle(float $u = 0.0): float
    {
        return $this->tangent($u)->angle();
    }

    public function start(): Vec2
    {
        return $this->foot->start();
    }

    public function point(float $u, float $v, float $n = 0.0): Vec3
    {
        $p = $this->inPlan($u, -$n);

        return new Vec3($p->x, $p->y, $v);
    }

    public function normal(float $u, float $v): Vec3
    {
        $out = $this->outward($u);

        return new Vec3($out->x, $out->y, 0.0);
    }

    public function place(Vec3 $point): Vec3
    {
        $plan = new Vec2($point->x, $point->y);

        return new Vec3($this->u($plan), $point->z, -$this->depth($plan));
    }

    public function level(float $v): float
    {
        return $v;
    }

    /** How far two places on it are apart in a straight line, mm. */
    public function chordAt(float $from, float $to): float
    {
        return $this->inPlan($from)->distanceTo($this->inPlan($to));
    }

    /**
     * Where a leaning plane cuts it, from one u to another: straight where it is flat; over an arc the sine it is there, as chords that
     * leave it upright by no more than $sagitta, mm.
     *
     * @return list<float>|null  u, v, u, v …; null when the plane is upright, or leans by less than 1e-9
     */
    public function cutBy(LeaningPlane $plane, float $from, float $to, float $sagitta = 1.0): ?array
    {
        $off = static fn (Vec3 $at): float => $plane->place($at)->z;
        // n of the plane is linear in x, y and z
        $start = $this->point($from, 0.0);
        $risesBy = $off($start->plus(new Vec3(0.0, 0.0, 1.0))) - $off($start);
        if (abs($risesBy) < 1e-9) {
            return null;
        }
        $slope = hypot(
            $off($start->plus(new Vec3(1.0, 0.0, 0.0))) - $off($start),
            $off($start->plus(new Vec3(0.0, 1.0, 0.0))) - $off($start),
        ) / abs($risesBy);
        // a sine of amplitude a over radius r bends by a/r² at the most, and a is slope times r
        $step = $this->isFlat() || $slope < 1e-12 ? INF : sqrt(8 * $sagitta * abs($this->radius()) / $slope);
        $chords = max(1, (int) ceil(abs($to - $from) / $step - 1e-9));
        $out = [];
        for ($i = 0; $i <= $chords; $i++) {
            $u = $from + ($to - $from) * $i / $chords;
            array_push($out, $u, -$off($this->point($u, 0.0)) / $risesBy);
        }

        return $out;
    }

    public function lengthAt(float $from, float $to, float $depth): float
    {
        return abs($to - $from) * abs(1 - $depth / $this->radius());
    }
}
