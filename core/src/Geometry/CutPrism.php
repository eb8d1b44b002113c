<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/**
 * A profile in (x, y) run along z between two planes, neither of which stands along z: a member with slanted ends. mm.
 *
 * A member may be cut by any number of planes ({@see between}); it is one such piece then, or several that fill it together.
 */
final readonly class CutPrism implements Solid
{
    /** Pieces of a profile, and of a member, smaller than this are none: mm², mm³. */
    private const NOTHING = 1e-4;

    /**
     * @param  array{float, float, float}  $lower  z of its lower end: [a, b, c] for a + b·x + c·y
     * @param  array{float, float, float}  $upper
     */
    private function __construct(public Contour $profile, public array $lower, public array $upper)
    {
    }

    /** One with square ends. */
    public static function square(Contour $profile, float $from, float $to): self
    {
        return new self($profile, [$from, 0.0, 0.0], [$to, 0.0, 0.0]);
    }

    /**
     * One between two planes, the upper of which lies over the lower all over its profile.
     *
     * @param  array{float, float, float}  $lower  z of its lower end: [a, b, c] for a + b·x + c·y
     * @param  array{float, float, float}  $upper
     */
    public static function slanted(Contour $profile, array $lower, array $upper): self
    {
        return new self($profile, $lower, $upper);
    }

    /**
     * What of an endless member lies within half-spaces.
     *
     * @param  list<Contour>  $profiles  in the (x, y) of the axes
     * @param  list<HalfSpace>  $within  some that end it above, some below; those along it cut its profile
     * @return list<self> that touch and do not overlap; none where nothing is left
     */
    public static function between(array $profiles, Axes $axes, array $within): array
    {
        $lower = $upper = [];
        foreach ($within as $half) {
            $z = $half->normal->dot($axes->z);
            $affine = [-$half->beyond($axes->origin), -$half->normal->dot($axes->x), -$half->normal->dot($axes->y)];
            if (abs($z) < Tolerance::ANGLE) {
                $profiles = self::cut($profiles, $affine);
            } elseif ($z > 0) {
                $upper[] = array_map(static fn (float $c): float => $c / $z, $affine);
            } else {
                $lower[] = array_map(static fn (float $c): float => $c / $z, $affine);
            }
        }
        $out = [];
        foreach ($upper as $i => $top) {
            $under = self::first($profiles, $upper, $i, 1.0);
            foreach ($lower as $j => $foot) {
                foreach (self::cut(self::first($under, $lower, $j, -1.0), self::minus($top, $foot)) as $piece) {
                    $out[] = new self($piece, $foot, $top);
                }
            }
        }

        return array_values(array_filter($out, static fn (self $p): bool => $p->volume() > self::NOTHING));
    }

    /** The same turned about z, counter-clockwise. */
    public function turned(float $angle): self
    {
        [$c, $s] = [cos($angle), sin($angle)];
        [[$a, $ax, $ay], [$b, $bx, $by]] = [$this->lower, $this->upper];

        return new self(
            $this->profile->turned($angle, new Vec2(0.0, 0.0)),
            [$a, $ax * $c - $ay * $s, $ax * $s + $ay * $c],
            [$b, $bx * $c - $by * $s, $bx * $s + $by * $c],
        );
    }

    public function volume(): float
    {
        [$mx, $my] = $this->profile->firstMoments();
        [$a, $b, $c] = self::minus($this->upper, $this->lower);

        return $a * $this->profile->area() + $b * $mx + $c * $my;
    }

    public function mesh(float $sagitta): Mesh
    {
        $rings = Region::polygon($this->profile->ring($sagitta))->rings;
        $flat = Mesh::between($rings, $rings, 1.0, 0.0);
        $positions = $flat->positions;
        for ($i = 0, $n = count($positions); $i < $n; $i += 3) {
            [$a, $b, $c] = $positions[$i + 2] > 0.5 ? $this->upper : $this->lower;
            $positions[$i + 2] = $a + $b * $positions[$i] + $c * $positions[$i + 1];
        }

        return new Mesh($positions, $flat->triangles);
    }

    /** How far its lower and its upper end lie apart along a line at (x, y). */
    public function lengthAt(float $x, float $y): float
    {
        [$a, $b, $c] = self::minus($this->upper, $this->lower);

        return $a + $b * $x + $c * $y;
    }

    /**
     * The parts of profiles over which the ith of several planes is the lowest (or with −1 the highest).
     *
     * @param  list<Contour>  $profiles
     * @param  list<array{float, float, float}>  $planes
     * @return list<Contour>
     */
    private static function first(array $profiles, array $planes, int $i, float $sign): array
    {
        foreach ($planes as $k => $other) {
            if ($k === $i) {
                continue;
            }
            $over = array_map(static fn (float $c): float => $sign * $c, self::minus($other, $planes[$i]));
            if (max(array_map(abs(...), $over)) < 1e-9) {
                // one and the same: the earlier has it
                $profiles = $k < $i ? [] : $profiles;

                continue;
            }
            $profiles = self::cut($profiles, $over);
        }

        return $profiles;
    }

    /**
     * The parts of profiles over which a + b·x + c·y is not negative.
     *
     * @param  list<Contour>  $profiles
     * @param  array<int, float>  $affine
     * @return list<Contour>
     */
    private static function cut(array $profiles, array $affine): array
    {
        [$a, $b, $c] = $affine;
        $size = hypot($b, $c);
        if ($size < 1e-12) {
            return $a >= 0.0 ? $profiles : [];
        }
        $on = new Vec2(-$a * $b / $size ** 2, -$a * $c / $size ** 2);
        $out = [];
        foreach ($profiles as $profile) {
            [$x0, $y0, $x1, $y1] = $profile->bounds();
            $least = $a + min($b * $x0, $b * $x1) + min($c * $y0, $c * $y1);
            $most = $a + max($b * $x0, $b * $x1) + max($c * $y0, $c * $y1);
            if ($least >= 0.0 || $most <= 0.0) {
                array_push($out, ...($least >= 0.0 ? [$profile] : []));

                continue;
            }
            foreach ($profile->leftOf($on, $on->plus(new Vec2($c / $size, -$b / $size))) as $piece) {
                if ($piece->area() > self::NOTHING) {
                    $out[] = $piece;
                }
            }
        }

        return $out;
    }

    /**
     * @param  array<int, float>  $a
     * @param  array<int, float>  $b
     * @return array{float, float, float}
     */
    private static function minus(array $a, array $b): array
    {
        return [$a[0] - $b[0], $a[1] - $b[1], $a[2] - $b[2]];
    }
}
