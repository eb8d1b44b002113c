<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

use Isleward\Core\Geometry\Internal\Ellipse;

/**
 * A stretch with a direction: straight, or of an ellipse (a circle when both half axes are one), never chords. Points of the ellipse are
 * centre + (rx cos t, ry sin t), turned about the centre by $tilt; the stretch runs from t = $start over $sweep, in radians,
 * counter-clockwise
 * when positive. Sides of a {@see Contour} have the inside on their left; distances run along it from its start. mm.
 */
final class Curve
{
    private const CORNER = 1e-9;

    /** shares within which a distance along an ellipse is sought, halved each time */
    private const HALVINGS = 60;

    /** @phpstan-readonly-allow-private-mutation */
    public float $cx = 0.0;

    /** @phpstan-readonly-allow-private-mutation */
    public float $cy = 0.0;

    /** @phpstan-readonly-allow-private-mutation */
    public float $rx = 0.0;

    /** @phpstan-readonly-allow-private-mutation */
    public float $ry = 0.0;

    /** @phpstan-readonly-allow-private-mutation */
    public float $start = 0.0;

    /** @phpstan-readonly-allow-private-mutation */
    public float $sweep = 0.0;

    /** @phpstan-readonly-allow-private-mutation */
    public float $tilt = 0.0;

    // nearly every one is straight: what only a curved one has is not among what has to be set, which takes a third less time
    private function __construct(
        public readonly float $x0,
        public readonly float $y0,
        public readonly float $x1,
        public readonly float $y1,
    ) {
    }

    private static function bent(
        float $x0,
        float $y0,
        float $x1,
        float $y1,
        float $cx,
        float $cy,
        float $rx,
        float $ry,
        float $start,
        float $sweep,
        float $tilt = 0.0,
    ): self {
        $curve = new self($x0, $y0, $x1, $y1);
        $curve->cx = $cx;
        $curve->cy = $cy;
        $curve->rx = $rx;
        $curve->ry = $ry;
        $curve->start = $start;
        $curve->sweep = $sweep;
        $curve->tilt = $tilt;

        return $curve;
    }

    public static function straight(float $x0, float $y0, float $x1, float $y1): self
    {
        return new self($x0, $y0, $x1, $y1);
    }

    public static function curved(float $cx, float $cy, float $rx, float $ry, float $start, float $sweep, float $tilt = 0.0): self
    {
        if ($rx === $ry) {
            [$start, $tilt] = [$start + $tilt, 0.0];
        }
        [$x0, $y0] = Ellipse::point($cx, $cy, $rx, $ry, $tilt, $start);
        [$x1, $y1] = Ellipse::point($cx, $cy, $rx, $ry, $tilt, $start + $sweep);

        return self::bent($x0, $y0, $x1, $y1, $cx, $cy, $rx, $ry, $start, $sweep, $tilt);
    }

    /** @throws InvalidPath when both ends are one point */
    public static function line(Vec2 $from, Vec2 $to): self
    {
        return $from->distanceTo($to) <= Tolerance::LENGTH ? throw InvalidPath::noLength() : new self($from->x, $from->y, $to->x, $to->y);
    }

    /**
     * The circular arc over a chord. $rise is the height of its middle over the chord, in mm, positive to the right of the direction
     * $from → $to (a wall with a positive rise bulges outward).
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
        $centre = $from->plus($to)->times(0.5)->plus($right->times($side * ($h - $radius)));
        $sweep = 4 * atan2(2 * $h, $chord) * $side;

        return self::bent(
            $from->x,
            $from->y,
            $to->x,
            $to->y,
            $centre->x,
            $centre->y,
            $radius,
            $radius,
            $from->minus($centre)->angle(),
            $sweep,
        );
    }

    public function isCurved(): bool
    {
        return $this->rx > 0.0;
    }

    public function isCircular(): bool
    {
        return $this->rx > 0.0 && $this->rx === $this->ry;
    }

    public function start(): Vec2
    {
        return new Vec2($this->x0, $this->y0);
    }

    public function end(): Vec2
    {
        return new Vec2($this->x1, $this->y1);
    }

    public function centre(): Vec2
    {
        return new Vec2($this->cx, $this->cy);
    }

    /** The same edge with ends that are exactly those of its neighbours. */
    public function between(float $x0, float $y0, float $x1, float $y1): self
    {
        if (! $this->isCurved()) {
            return new self($x0, $y0, $x1, $y1);
        }
        $from = $this->angleOf($x0, $y0);
        $to = $this->angleOf($x1, $y1);
        $sweep = $to - $from;
        // both ends keep to the side of the turn they were on
        $sweep = $this->sweep > 0 ? Ellipse::turn($sweep) : -Ellipse::turn(-$sweep);

        return self::bent($x0, $y0, $x1, $y1, $this->cx, $this->cy, $this->rx, $this->ry, $from, $sweep, $this->tilt);
    }

    /** This and what follows as one, when both are of one line or circle and do not come round to where they began; null otherwise. */
    public function joined(self $next): ?self
    {
        [$ax, $ay] = $this->direction(1.0);
        [$bx, $by] = $next->direction(0.0);
        if ($this->isCurved() !== $next->isCurved() || abs($ax * $by - $ay * $bx) > 1e-6 || $ax * $bx + $ay * $by < 0) {
            return null;
        }
        if (! $this->isCurved()) {
            return new self($this->x0, $this->y0, $next->x1, $next->y1);
        }
        $alike = $this->isCircular() && $next->isCircular() && abs($this->rx - $next->rx) < 1e-6
            && hypot($this->cx - $next->cx, $this->cy - $next->cy) < 1e-6 && ($this->sweep > 0) === ($next->sweep > 0);
        $sweep = $this->sweep + $next->sweep;

        return ! $alike || abs($sweep) > 2 * M_PI - 1e-3 ? null
            : self::bent($this->x0, $this->y0, $next->x1, $next->y1, $this->cx, $this->cy, $this->rx, $this->ry, $this->start, $sweep);
    }

    /** The same with an end that is exactly that of what follows, which lies within the tolerance of its own. */
    public function endingAt(float $x, float $y): self
    {
        return $this->x1 === $x && $this->y1 === $y ? $this : $this->between($this->x0, $this->y0, $x, $y);
    }

    /** Twice the area between the edge and the origin, positive when it runs counter-clockwise about it: ∮ x dy − y dx. */
    public function moment(): float
    {
        if (! $this->isCurved()) {
            return $this->x0 * $this->y1 - $this->x1 * $this->y0;
        }

        return $this->rx * $this->ry * $this->sweep + $this->cx * ($this->y1 - $this->y0) - $this->cy * ($this->x1 - $this->x0);
    }

    /** @return array{float, float} what it gives to ∫∫ x and ∫∫ y over what it bounds: ½ ∫ x² dy and −½ ∫ y² dx along it */
    public function firstMoments(): array
    {
        if (! $this->isCurved()) {
            return [
                ($this->y1 - $this->y0) * ($this->x0 ** 2 + $this->x0 * $this->x1 + $this->x1 ** 2) / 6,
                ($this->x0 - $this->x1) * ($this->y0 ** 2 + $this->y0 * $this->y1 + $this->y1 ** 2) / 6,
            ];
        }

        return [
            $this->over(static fn (float $x, float $y, float $dx, float $dy): float => $x ** 2 * $dy / 2),
            $this->over(static fn (float $x, float $y, float $dx, float $dy): float => -$y ** 2 * $dx / 2),
        ];
    }

    /** @param  \Closure(float, float, float, float): float  $f  of x, y, and how fast they go with the angle */
    private function over(\Closure $f): float
    {
        return ($this->sweep <=> 0.0) * Quadrature::between(function (float $t) use ($f): float {
            [$x, $y] = Ellipse::point($this->cx, $this->cy, $this->rx, $this->ry, $this->tilt, $t);
            [$dx, $dy] = Ellipse::spun(-$this->rx * sin($t), $this->ry * cos($t), $this->tilt);

            return $f($x, $y, $dx, $dy);
        }, [$this->start, $this->start + $this->sweep]);
    }

    /** In mm. */
    public function length(): float
    {
        if (! $this->isCurved()) {
            return hypot($this->x1 - $this->x0, $this->y1 - $this->y0);
        }
        if ($this->rx === $this->ry) {
            return $this->rx * abs($this->sweep);
        }

        return Ellipse::length($this->rx, $this->ry, $this->start, $this->sweep);
    }

    /** @return array{float, float, float, float} x0, y0, x1, y1 */
    public function bounds(): array
    {
        $box = [min($this->x0, $this->x1), min($this->y0, $this->y1), max($this->x0, $this->x1), max($this->y0, $this->y1)];
        if ($this->isCurved()) {
            [$tx, $ax] = Ellipse::farthest($this->rx, $this->ry, $this->tilt, 1.0, 0.0);
            [$ty, $ay] = Ellipse::farthest($this->rx, $this->ry, $this->tilt, 0.0, 1.0);
            $farthest = [
                [$tx, 2, $this->cx + $ax],
                [$ty, 3, $this->cy + $ay],
                [$tx + M_PI, 0, $this->cx - $ax],
                [$ty + M_PI, 1, $this->cy - $ay],
            ];
            foreach ($farthest as [$t, $side, $value]) {
                if ($this->passes($t)) {
                    $box[$side] = $value;
                }
            }
        }

        return $box;
    }

    /** @return array{float, float} the point at a share of the edge, by its parameter */
    public function at(float $share): array
    {
        if (! $this->isCurved()) {
            return [$this->x0 + $share * ($this->x1 - $this->x0), $this->y0 + $share * ($this->y1 - $this->y0)];
        }

        return Ellipse::point($this->cx, $this->cy, $this->rx, $this->ry, $this->tilt, $this->start + $share * $this->sweep);
    }

    /** @throws InvalidPath when the distance lies outside it by more than the tolerance */
    public function pointAt(float $distance): Vec2
    {
        return new Vec2(...$this->at($this->shareAt($distance)));
    }

    /**
     * The unit tangent at a distance.
     *
     * @throws InvalidPath
     */
    public function directionAt(float $distance): Vec2
    {
        return new Vec2(...$this->direction($this->shareAt($distance)));
    }

    /**
     * The share of it (by its parameter) at a distance along it; of an ellipse by halving to 1e-15 of it.
     *
     * @throws InvalidPath
     */
    public function shareAt(float $distance): float
    {
        $length = $this->length();
        if ($distance < -Tolerance::LENGTH || $distance > $length + Tolerance::LENGTH) {
            throw InvalidPath::beyond($distance, $length);
        }
        if (! $this->isCurved() || $this->isCircular() || $distance <= 0.0 || $distance >= $length) {
            return $distance / $length;
        }
        [$low, $high] = [0.0, 1.0];
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($low + $high) / 2;
            $this->part(0.0, $middle)->length() < $distance ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }

    /** @return array{float, float} unit tangent at a share of the edge */
    public function direction(float $share): array
    {
        if ($this->rx > 0.0) {
            $t = $this->start + $share * $this->sweep;
            $way = $this->sweep > 0 ? 1 : -1;
            [$dx, $dy] = Ellipse::spun(-$this->rx * sin($t) * $way, $this->ry * cos($t) * $way, $this->tilt);
        } else {
            $dx = $this->x1 - $this->x0;
            $dy = $this->y1 - $this->y0;
        }
        $length = hypot($dx, $dy);

        return $length > 0.0 ? [$dx / $length, $dy / $length] : [0.0, 0.0];
    }

    /**
     * How far the middle of a circular arc stands off its chord, mm, positive to the right of its direction; 0 of a straight one. To a
     * billionth of a mm, so that a rise that was typed is read again as it was.
     */
    public function rise(): float
    {
        return $this->isCurved() ? round($this->rx * (1 - cos($this->sweep / 2)) * ($this->sweep > 0 ? 1.0 : -1.0), 9) : 0.0;
    }

    /** Which side of what it bounds it is, by where its outside lies at its middle (the inside is on its left). */
    public function side(): Side
    {
        [$dx, $dy] = $this->direction(0.5);

        return match (true) {
            $dx > 1e-6 => Side::Sill,
            $dx < -1e-6 => Side::Head,
            default => $dy > 0 ? Side::Right : Side::Left,
        };
    }

    /**
     * The edge moved to its left (into what it bounds) by $by mm; null when a curve would shrink past its centre. Of an
     * ellipse both half axes lose $by, so that it is exact at its crown and springing.
     */
    public function moved(float $by): ?self
    {
        if (! $this->isCurved()) {
            [$dx, $dy] = $this->direction(0.0);

            return new self($this->x0 - $dy * $by, $this->y0 + $dx * $by, $this->x1 - $dy * $by, $this->y1 + $dx * $by);
        }
        $less = $this->sweep > 0 ? $by : -$by;

        return $this->rx - $less <= 1e-6 || $this->ry - $less <= 1e-6 ? null
            : self::curved($this->cx, $this->cy, $this->rx - $less, $this->ry - $less, $this->start, $this->sweep, $this->tilt);
    }

    /**
     * The parallel stretch $distance to its left (negative: to its right).
     *
     * @throws InvalidPath when an arc would shrink past its centre
     */
    public function offset(float $distance): self
    {
        return $this->moved($distance) ?? throw InvalidPath::offsetPastCentre(min($this->rx, $this->ry), $distance);
    }

    public function reversed(): self
    {
        if ($this->rx === 0.0) {
            return new self($this->x1, $this->y1, $this->x0, $this->y0);
        }

        return self::bent(
            $this->x1,
            $this->y1,
            $this->x0,
            $this->y0,
            $this->cx,
            $this->cy,
            $this->rx,
            $this->ry,
            $this->start + $this->sweep,
            -$this->sweep,
            $this->tilt,
        );
    }

    /** Turned counter-clockwise by an angle in radians about a point. */
    public function turned(float $angle, Vec2 $about): self
    {
        $turn = static function (float $x, float $y) use ($angle, $about): array {
            [$dx, $dy] = Ellipse::spun($x - $about->x, $y - $about->y, $angle);

            return [$about->x + $dx, $about->y + $dy];
        };
        [[$x0, $y0], [$x1, $y1]] = [$turn($this->x0, $this->y0), $turn($this->x1, $this->y1)];
        if (! $this->isCurved()) {
            return new self($x0, $y0, $x1, $y1);
        }
        [$cx, $cy] = $turn($this->cx, $this->cy);
        [$start, $tilt] = $this->isCircular() ? [$this->start + $angle, 0.0] : [$this->start, $this->tilt + $angle];

        return self::bent($x0, $y0, $x1, $y1, $cx, $cy, $this->rx, $this->ry, $start, $this->sweep, $tilt);
    }

    /** Seen from behind: x becomes $width − x; the direction is kept round what it bounds, so the ends change places. */
    public function mirrored(float $width): self
    {
        return $this->isCurved()
            ? self::bent(
                $width - $this->x1,
                $this->y1,
                $width - $this->x0,
                $this->y0,
                $width - $this->cx,
                $this->cy,
                $this->rx,
                $this->ry,
                M_PI - $this->start - $this->sweep,
                $this->sweep,
                -$this->tilt,
            )
            : new self($width - $this->x1, $this->y1, $width - $this->x0, $this->y0);
    }

    public function shifted(float $x, float $y): self
    {
        if ($this->rx === 0.0) {
            return new self($this->x0 + $x, $this->y0 + $y, $this->x1 + $x, $this->y1 + $y);
        }

        return self::bent(
            $this->x0 + $x,
            $this->y0 + $y,
            $this->x1 + $x,
            $this->y1 + $y,
            $this->cx + $x,
            $this->cy + $y,
            $this->rx,
            $this->ry,
            $this->start,
            $this->sweep,
            $this->tilt,
        );
    }

    /**
     * Shares of the edge at which it crosses the line x = $at ($upright) or y = $at, strictly between its ends, rising.
     *
     * @return list<float>
     */
    public function crossings(bool $upright, float $at): array
    {
        if (! $this->isCurved()) {
            [$a, $b] = $upright ? [$this->x0, $this->x1] : [$this->y0, $this->y1];
            if ($a === $b) {
                return [];
            }
            $share = ($at - $a) / ($b - $a);

            return $share > self::CORNER && $share < 1 - self::CORNER ? [$share] : [];
        }
        [$phase, $reach] = $upright
                    ? Ellipse::farthest($this->rx, $this->ry, $this->tilt, 1.0, 0.0)
                    : Ellipse::farthest($this->rx, $this->ry, $this->tilt, 0.0, 1.0);
        $ratio = ($at - ($upright ? $this->cx : $this->cy)) / $reach;
        if (abs($ratio) >= 1) {
            return [];
        }
        $shares = [];
        foreach ([$phase + acos($ratio), $phase - acos($ratio)] as $t) {
            $turn = $this->sweep > 0 ? Ellipse::turn($t - $this->start) : Ellipse::turn($this->start - $t);
            $share = $turn / abs($this->sweep);
            if ($share > self::CORNER && $share < 1 - self::CORNER) {
                $shares[] = $share;
            }
        }
        sort($shares);

        return $shares;
    }

    /**
     * Where it goes from one side of the line x = $at ($upright) or y = $at to the other: how far along that, mm. A corner on the line
     * counts as if the line lay a little lower, so that edges which follow one another count it once where they go through.
     *
     * @return list<float>
     */
    public function goesThrough(bool $upright, float $at): array
    {
        [$a, $b] = $upright ? [$this->x0, $this->x1] : [$this->y0, $this->y1];
        $least = $at - 1e-9;
        if ($this->rx === 0.0) {
            if (($a < $least) === ($b < $least)) {
                return [];
            }
            $share = min(1.0, max(0.0, ($at - $a) / ($b - $a)));

            return [$upright ? $this->y0 + ($this->y1 - $this->y0) * $share : $this->x0 + ($this->x1 - $this->x0) * $share];
        }
        $cuts = [0.0, ...$this->crossings($upright, $at), 1.0];
        $below = $a < $least;
        $out = [];
        for ($i = 1, $n = count($cuts); $i < $n; $i++) {
            $between = $this->at(($cuts[$i - 1] + $cuts[$i]) / 2)[$upright ? 0 : 1] < $at;
            if ($between !== $below) {
                $out[] = $this->at($cuts[$i - 1])[$upright ? 1 : 0];
            }
            $below = $between;
        }
        if (($b < $least) !== $below) {
            $out[] = $this->at(1.0)[$upright ? 1 : 0];
        }

        return $out;
    }

    public function part(float $from, float $to): self
    {
        [$x0, $y0] = $from <= 0.0 ? [$this->x0, $this->y0] : $this->at($from);
        [$x1, $y1] = $to >= 1.0 ? [$this->x1, $this->y1] : $this->at($to);
        if ($this->rx === 0.0) {
            return new self($x0, $y0, $x1, $y1);
        }

        return self::bent(
            $x0,
            $y0,
            $x1,
            $y1,
            $this->cx,
            $this->cy,
            $this->rx,
            $this->ry,
            $this->start + $from * $this->sweep,
            ($to - $from) * $this->sweep,
            $this->tilt,
        );
    }

    /**
     * Where the endless line or whole ellipse of this meets that of another; of two points the one nearer to ($x, $y). Null when they do
     * not meet, and for two different ellipses that are not both circles.
     *
     * @return array{float, float}|null
     */
    public function meets(self $other, float $x, float $y): ?array
    {
        if ($this->rx === 0.0 && $other->rx === 0.0) {
            return Crossing::lines($this, $other);
        }
        $best = null;
        foreach (Crossing::endless($this, $other) as $p) {
            if ($best === null || hypot($p[0] - $x, $p[1] - $y) < hypot($best[0] - $x, $best[1] - $y)) {
                $best = $p;
            }
        }

        return $best;
    }

    /** Where its endless line meets that of another straight one; null when they run alike. */
    public function meetsLine(self $other): ?Vec2
    {
        $points = abs($this->directionAt(0.0)->cross($other->directionAt(0.0))) < Tolerance::ANGLE ? [] : Crossing::endless($this, $other);

        return $points === [] ? null : new Vec2(...$points[0]);
    }

    /** The share of it at a point that lies on it or on its whole ellipse or line; outside 0 to 1 where that is beyond its ends. */
    public function shareOf(float $x, float $y): float
    {
        if (! $this->isCurved()) {
            [$dx, $dy] = [$this->x1 - $this->x0, $this->y1 - $this->y0];

            return (($x - $this->x0) * $dx + ($y - $this->y0) * $dy) / ($dx * $dx + $dy * $dy);
        }
        $turn = $this->sweep > 0
                    ? Ellipse::turn($this->angleOf($x, $y) - $this->start)
                    : Ellipse::turn($this->start - $this->angleOf($x, $y));
        // just before its start rather than a turn beyond it
        $turn = $turn > abs($this->sweep) && 2 * M_PI - $turn < $turn - abs($this->sweep) ? $turn - 2 * M_PI : $turn;

        return $turn / abs($this->sweep);
    }

    /**
     * Points after the first one, whose chords leave the edge by no more than $sagitta mm; a straight edge has its end only.
     *
     * @return list<float> flat
     */
    public function chords(float $sagitta): array
    {
        if (! $this->isCurved()) {
            return [$this->x1, $this->y1];
        }
        $step = 2 * acos(max(-1.0, 1 - $sagitta / max($this->rx, $this->ry)));
        $count = max(1, (int) ceil(abs($this->sweep) / max($step, 1e-4)));
        $out = [];
        for ($i = 1; $i < $count; $i++) {
            array_push($out, ...$this->at($i / $count));
        }
        array_push($out, $this->x1, $this->y1);

        return $out;
    }

    private function angleOf(float $x, float $y): float
    {
        [$u, $v] = $this->fromCentre($x - $this->cx, $y - $this->cy);

        return atan2($v, $u);
    }

    /**
     * A vector in shares of the half axes, along them.
     *
     * @return array{float, float}
     */
    public function fromCentre(float $dx, float $dy): array
    {
        [$u, $v] = Ellipse::spun($dx, $dy, -$this->tilt);

        return [$u / $this->rx, $v / $this->ry];
    }

    private function passes(float $t): bool
    {
        return ($this->sweep > 0 ? Ellipse::turn($t - $this->start) : Ellipse::turn($this->start - $t)) <= abs($this->sweep);
    }
}
