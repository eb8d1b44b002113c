<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/**
 * One edge of a {@see Contour}: straight, or a stretch of an upright ellipse (a circle when both half axes are one). Points of
 * the ellipse are centre + (rx cos t, ry sin t); the stretch runs from t = $start over $sweep, in radians, counter-clockwise
 * when positive. mm.
 */
final readonly class Edge
{
    private const CORNER = 1e-9;

    private function __construct(
        public float $x0,
        public float $y0,
        public float $x1,
        public float $y1,
        public float $cx = 0.0,
        public float $cy = 0.0,
        public float $rx = 0.0,
        public float $ry = 0.0,
        public float $start = 0.0,
        public float $sweep = 0.0,
    ) {
    }

    public static function straight(float $x0, float $y0, float $x1, float $y1): self
    {
        return new self($x0, $y0, $x1, $y1);
    }

    public static function curved(float $cx, float $cy, float $rx, float $ry, float $start, float $sweep): self
    {
        $end = $start + $sweep;

        return new self($cx + $rx * cos($start), $cy + $ry * sin($start), $cx + $rx * cos($end), $cy + $ry * sin($end), $cx, $cy, $rx, $ry, $start, $sweep);
    }

    public function isCurved(): bool
    {
        return $this->rx > 0.0;
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
        $sweep = $this->sweep > 0 ? self::turn($sweep) : -self::turn(-$sweep);

        return new self($x0, $y0, $x1, $y1, $this->cx, $this->cy, $this->rx, $this->ry, $from, $sweep);
    }

    /** Twice the area between the edge and the origin, positive when it runs counter-clockwise about it: ∮ x dy − y dx. */
    public function moment(): float
    {
        if (! $this->isCurved()) {
            return $this->x0 * $this->y1 - $this->x1 * $this->y0;
        }

        return $this->rx * $this->ry * $this->sweep + $this->cx * ($this->y1 - $this->y0) - $this->cy * ($this->x1 - $this->x0);
    }

    /** In mm; for a stretch of an ellipse by Gauss–Legendre quadrature in sixteen steps of five points (error below 1e-9 of it). */
    public function length(): float
    {
        if (! $this->isCurved()) {
            return hypot($this->x1 - $this->x0, $this->y1 - $this->y0);
        }
        if ($this->rx === $this->ry) {
            return $this->rx * abs($this->sweep);
        }
        $nodes = [[0.0, 128 / 225], [-0.5384693101056831, 0.47862867049936647], [0.5384693101056831, 0.47862867049936647], [-0.906179845938664, 0.23692688505618908], [0.906179845938664, 0.23692688505618908]];
        $step = $this->sweep / 16;
        $sum = 0.0;
        for ($i = 0; $i < 16; $i++) {
            foreach ($nodes as [$at, $weight]) {
                $t = $this->start + $step * ($i + 0.5 + $at / 2);
                $sum += $weight * hypot($this->rx * sin($t), $this->ry * cos($t));
            }
        }

        return $sum * abs($step) / 2;
    }

    /** @return array{float, float, float, float} x0, y0, x1, y1 */
    public function bounds(): array
    {
        $box = [min($this->x0, $this->x1), min($this->y0, $this->y1), max($this->x0, $this->x1), max($this->y0, $this->y1)];
        if ($this->isCurved()) {
            foreach ([[0.0, 2, $this->cx + $this->rx], [M_PI_2, 3, $this->cy + $this->ry], [M_PI, 0, $this->cx - $this->rx], [3 * M_PI_2, 1, $this->cy - $this->ry]] as [$t, $side, $value]) {
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
        $t = $this->start + $share * $this->sweep;

        return [$this->cx + $this->rx * cos($t), $this->cy + $this->ry * sin($t)];
    }

    /** @return array{float, float} unit tangent at a share of the edge */
    public function direction(float $share): array
    {
        $t = $this->start + $share * $this->sweep;
        [$dx, $dy] = $this->isCurved()
            ? [-$this->rx * sin($t) * ($this->sweep > 0 ? 1 : -1), $this->ry * cos($t) * ($this->sweep > 0 ? 1 : -1)]
            : [$this->x1 - $this->x0, $this->y1 - $this->y0];
        $length = hypot($dx, $dy);

        return $length > 0.0 ? [$dx / $length, $dy / $length] : [0.0, 0.0];
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
            : self::curved($this->cx, $this->cy, $this->rx - $less, $this->ry - $less, $this->start, $this->sweep);
    }

    public function reversed(): self
    {
        return new self($this->x1, $this->y1, $this->x0, $this->y0, $this->cx, $this->cy, $this->rx, $this->ry, $this->start + $this->sweep, -$this->sweep);
    }

    /** Seen from behind: x becomes $width − x; the direction is kept round what it bounds, so the ends change places. */
    public function mirrored(float $width): self
    {
        return $this->isCurved()
            ? new self($width - $this->x1, $this->y1, $width - $this->x0, $this->y0, $width - $this->cx, $this->cy, $this->rx, $this->ry, M_PI - $this->start - $this->sweep, $this->sweep)
            : new self($width - $this->x1, $this->y1, $width - $this->x0, $this->y0);
    }

    public function shifted(float $x, float $y): self
    {
        return new self($this->x0 + $x, $this->y0 + $y, $this->x1 + $x, $this->y1 + $y, $this->cx + $x, $this->cy + $y, $this->rx, $this->ry, $this->start, $this->sweep);
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
        $ratio = $upright ? ($at - $this->cx) / $this->rx : ($at - $this->cy) / $this->ry;
        if (abs($ratio) >= 1) {
            return [];
        }
        $shares = [];
        foreach ($upright ? [acos($ratio), -acos($ratio)] : [asin($ratio), M_PI - asin($ratio)] as $t) {
            $turn = $this->sweep > 0 ? self::turn($t - $this->start) : self::turn($this->start - $t);
            $share = $turn / abs($this->sweep);
            if ($share > self::CORNER && $share < 1 - self::CORNER) {
                $shares[] = $share;
            }
        }
        sort($shares);

        return $shares;
    }

    public function part(float $from, float $to): self
    {
        [$x0, $y0] = $from <= 0.0 ? [$this->x0, $this->y0] : $this->at($from);
        [$x1, $y1] = $to >= 1.0 ? [$this->x1, $this->y1] : $this->at($to);

        return new self($x0, $y0, $x1, $y1, $this->cx, $this->cy, $this->rx, $this->ry, $this->start + $from * $this->sweep, ($to - $from) * $this->sweep);
    }

    /**
     * Where the endless line or whole ellipse of this edge meets that of another; of two points the one nearer to ($x, $y).
     * Null when they do not meet, and for two different ellipses that are not both circles.
     *
     * @return array{float, float}|null
     */
    public function meets(self $other, float $x, float $y): ?array
    {
        $points = match (true) {
            ! $this->isCurved() && ! $other->isCurved() => self::lines($this, $other),
            ! $this->isCurved() => self::lineAndEllipse($this, $other),
            ! $other->isCurved() => self::lineAndEllipse($other, $this),
            default => self::circles($this, $other),
        };
        $best = null;
        foreach ($points as $p) {
            if ($best === null || hypot($p[0] - $x, $p[1] - $y) < hypot($best[0] - $x, $best[1] - $y)) {
                $best = $p;
            }
        }

        return $best;
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
        return atan2(($y - $this->cy) / $this->ry, ($x - $this->cx) / $this->rx);
    }

    private function passes(float $t): bool
    {
        return ($this->sweep > 0 ? self::turn($t - $this->start) : self::turn($this->start - $t)) <= abs($this->sweep);
    }

    private static function turn(float $angle): float
    {
        $turn = fmod($angle, 2 * M_PI);

        return $turn < 0 ? $turn + 2 * M_PI : $turn;
    }

    /** @return list<array{float, float}> */
    private static function lines(self $a, self $b): array
    {
        [$ax, $ay] = $a->direction(0.0);
        [$bx, $by] = $b->direction(0.0);
        $cross = $ax * $by - $ay * $bx;
        if (abs($cross) < 1e-9) {
            return [];
        }
        $t = (($b->x0 - $a->x0) * $by - ($b->y0 - $a->y0) * $bx) / $cross;

        return [[$a->x0 + $ax * $t, $a->y0 + $ay * $t]];
    }

    /** @return list<array{float, float}> */
    private static function lineAndEllipse(self $line, self $curve): array
    {
        [$dx, $dy] = $line->direction(0.0);
        // in the plane where the ellipse is the unit circle
        [$px, $py, $qx, $qy] = [($line->x0 - $curve->cx) / $curve->rx, ($line->y0 - $curve->cy) / $curve->ry, $dx / $curve->rx, $dy / $curve->ry];
        $a = $qx * $qx + $qy * $qy;
        $b = $px * $qx + $py * $qy;
        $d = $b * $b - $a * ($px * $px + $py * $py - 1);
        if ($d < 0) {
            return [];
        }
        $points = [];
        foreach ([(-$b - sqrt($d)) / $a, (-$b + sqrt($d)) / $a] as $t) {
            $points[] = [$line->x0 + $dx * $t, $line->y0 + $dy * $t];
        }

        return $points;
    }

    /** @return list<array{float, float}> */
    private static function circles(self $a, self $b): array
    {
        $d = hypot($b->cx - $a->cx, $b->cy - $a->cy);
        if ($a->rx !== $a->ry || $b->rx !== $b->ry || $d < 1e-9 || $d > $a->rx + $b->rx || $d < abs($a->rx - $b->rx)) {
            return [];
        }
        $along = ($d * $d + $a->rx ** 2 - $b->rx ** 2) / (2 * $d);
        $off = sqrt(max(0.0, $a->rx ** 2 - $along ** 2));
        [$ux, $uy] = [($b->cx - $a->cx) / $d, ($b->cy - $a->cy) / $d];

        return [
            [$a->cx + $ux * $along - $uy * $off, $a->cy + $uy * $along + $ux * $off],
            [$a->cx + $ux * $along + $uy * $off, $a->cy + $uy * $along - $ux * $off],
        ];
    }
}
