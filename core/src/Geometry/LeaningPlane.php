<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/**
 * Flat, and hinged at its foot line: it leans inward over its foot as a roof does, or outward. u runs along the foot, v up the slope at
 * true size from the foot on, n square to it, outward and (leaning inward) upward.
 */
final readonly class LeaningPlane implements Surface
{
    private Vec3 $along;

    private Vec3 $up;

    private Vec3 $out;

    /**
     * @param  Curve  $foot  straight, in plan, from its left end as seen from outside
     * @param  float  $level  of the foot over the datum, mm
     * @param  float  $lean  from upright, radians: positive inward, under a right angle either way
     *
     * @throws InvalidPath when the foot is curved or it leans to the ground
     */
    public function __construct(public Curve $foot, public float $level, public float $lean)
    {
        if ($foot->isCurved() || abs($lean) >= M_PI / 2) {
            throw InvalidPath::noHinge();
        }
        $along = $foot->directionAt(0.0);
        $out = $along->rightHand();
        [$c, $s] = [cos($lean), sin($lean)];
        $this->along = new Vec3($along->x, $along->y, 0.0);
        $this->up = new Vec3(-$out->x * $s, -$out->y * $s, $c);
        $this->out = new Vec3($out->x * $c, $out->y * $c, $s);
    }

    public function isFlat(): bool
    {
        return true;
    }

    public function point(float $u, float $v, float $n = 0.0): Vec3
    {
        [$a, $b, $c] = [$this->along, $this->up, $this->out];

        return new Vec3(
            $this->foot->x0 + $a->x * $u + $b->x * $v + $c->x * $n,
            $this->foot->y0 + $a->y * $u + $b->y * $v + $c->y * $n,
            $this->level + $b->z * $v + $c->z * $n,
        );
    }

    public function normal(float $u, float $v): Vec3
    {
        return $this->out;
    }

    public function place(Vec3 $point): Vec3
    {
        $from = new Vec3($point->x - $this->foot->x0, $point->y - $this->foot->y0, $point->z - $this->level);

        return new Vec3($from->dot($this->along), $from->dot($this->up), $from->dot($this->out));
    }

    public function level(float $v): float
    {
        return $this->level + $v * cos($this->lean);
    }

    public function lengthAt(float $from, float $to, float $depth): float
    {
        return abs($to - $from);
    }

    /** The line in (u, v) along which another flat surface cuts it; null when the two run alike. */
    public function cutBy(self $other): ?Curve
    {
        // n of the other surface over (u, v) of this one is a + b·u + c·v
        $a = $other->place($this->point(0.0, 0.0))->z;
        $b = $other->place($this->point(1.0, 0.0))->z - $a;
        $c = $other->place($this->point(0.0, 1.0))->z - $a;
        $size = hypot($b, $c);
        if ($size < 1e-9) {
            return null;
        }
        $near = new Vec2(-$a * $b / $size ** 2, -$a * $c / $size ** 2);

        return Curve::line($near, $near->plus((new Vec2(-$c, $b))->times(1000.0 / $size)));
    }
}
