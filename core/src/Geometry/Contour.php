<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/**
 * A closed outline of straight and elliptical edges with its inside on their left, mm. Unlike a {@see Region} its curves stay
 * curves: areas, lengths, cuts by upright and level lines, and margins are exact.
 */
final class Contour
{
    private ?bool $convex = null;

    private ?float $area = null;

    /**
     * @param  non-empty-list<Curve>|null  $edges  null for those of a rectangle, which are made when they are asked for
     * @param  array{float, float, float, float}|null  $box  known once it has been asked for
     */
    private function __construct(private ?array $edges, private ?array $box = null, private ?bool $rectangular = null)
    {
    }

    /** @return non-empty-list<Curve> */
    public function edges(): array
    {
        if ($this->edges === null) {
            [$x0, $y0, $x1, $y1] = $this->box ?? throw new \LogicException('A contour without edges is a rectangle.');
            $this->edges = [
                Curve::straight($x0, $y0, $x1, $y0),
                Curve::straight($x1, $y0, $x1, $y1),
                Curve::straight($x1, $y1, $x0, $y1),
                Curve::straight($x0, $y1, $x0, $y0),
            ];
        }

        return $this->edges;
    }

    /** @param  non-empty-list<Curve>  $edges each beginning where the one before ends */
    public static function of(array $edges): self
    {
        return new self($edges);
    }

    public static function rectangle(float $x0, float $y0, float $x1, float $y1): self
    {
        return new self(null, [$x0, $y0, $x1, $y1], true);
    }

    /** @param  list<float>  $ring corners [x, y, …], counter-clockwise */
    public static function polygon(array $ring): self
    {
        $edges = [];
        for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
            $j = ($i + 2) % $n;
            $edges[] = Curve::straight($ring[$i], $ring[$i + 1], $ring[$j], $ring[$j + 1]);
        }
        if ($edges === []) {
            throw InvalidPath::noLength();
        }

        return new self($edges);
    }

    /** In mm²; negative when it runs clockwise. */
    public function area(): float
    {
        if ($this->area !== null) {
            return $this->area;
        }
        if ($this->edges === null && $this->box !== null) {
            return $this->area = ($this->box[2] - $this->box[0]) * ($this->box[3] - $this->box[1]);
        }
        $sum = 0.0;
        foreach ($this->edges() as $e) {
            $sum += $e->rx > 0.0 ? $e->moment() : $e->x0 * $e->y1 - $e->x1 * $e->y0;
        }

        return $this->area = $sum / 2;
    }

    /** @return array{float, float} ∫∫ x and ∫∫ y over it, mm³: where its centre lies, times its area */
    public function firstMoments(): array
    {
        $x = $y = 0.0;
        foreach ($this->edges() as $edge) {
            [$a, $b] = $edge->firstMoments();
            $x += $a;
            $y += $b;
        }

        return [$x, $y];
    }

    public function perimeter(): float
    {
        return array_sum(array_map(static fn (Curve $e): float => $e->length(), $this->edges()));
    }

    /** @return array{float, float, float, float} x0, y0, x1, y1 */
    public function bounds(): array
    {
        if ($this->box !== null) {
            return $this->box;
        }
        $x0 = $y0 = INF;
        $x1 = $y1 = -INF;
        foreach ($this->edges() as $e) {
            // every side begins where another ends, so that of straight ones the beginnings are enough
            [$a, $b, $c, $d] = $e->rx > 0.0 ? $e->bounds() : [$e->x0, $e->y0, $e->x0, $e->y0];
            if ($a < $x0) {
                $x0 = $a;
            }
            if ($b < $y0) {
                $y0 = $b;
            }
            if ($c > $x1) {
                $x1 = $c;
            }
            if ($d > $y1) {
                $y1 = $d;
            }
        }

        return $this->box = [$x0, $y0, $x1, $y1];
    }

    public function width(): float
    {
        [$x0, , $x1] = $this->bounds();

        return $x1 - $x0;
    }

    public function height(): float
    {
        [, $y0, , $y1] = $this->bounds();

        return $y1 - $y0;
    }

    public function isRectangle(): bool
    {
        return $this->rectangular ??= $this->hasFourSquareSides();
    }

    /** @return list<float>|null of a rectangle its corners [x, y, …], from the lower left one round; null of what is none */
    public function corners(): ?array
    {
        if (! ($this->rectangular ?? $this->isRectangle())) {
            return null;
        }
        $box = $this->box ?? $this->bounds();

        return [$box[0], $box[1], $box[2], $box[1], $box[2], $box[3], $box[0], $box[3]];
    }

    private function hasFourSquareSides(): bool
    {
        $edges = $this->edges();
        if (count($edges) !== 4) {
            return false;
        }
        foreach ($edges as $e) {
            if ($e->rx > 0.0 || (abs($e->x1 - $e->x0) > 1e-6 && abs($e->y1 - $e->y0) > 1e-6)) {
                return false;
            }
        }

        return true;
    }

    public function hasCurves(): bool
    {
        if ($this->edges === null) {
            return false;
        }
        foreach ($this->edges as $e) {
            if ($e->rx > 0.0) {
                return true;
            }
        }

        return false;
    }

    /** Whether some of its sides are of an ellipse that is no circle. */
    public function hasEllipses(): bool
    {
        return array_filter($this->edges(), static fn (Curve $e): bool => $e->isCurved() && ! $e->isCircular()) !== [];
    }

    public function mirrored(float $width): self
    {
        if ($this->edges === null && $this->box !== null) {
            return self::rectangle($width - $this->box[2], $this->box[1], $width - $this->box[0], $this->box[3]);
        }

        return new self(array_map(static fn (Curve $e): Curve => $e->mirrored($width), array_reverse($this->edges())));
    }

    /** Turned counter-clockwise by an angle in radians about a point; its curves stay curves. */
    public function turned(float $angle, Vec2 $about): self
    {
        return new self(array_map(static fn (Curve $e): Curve => $e->turned($angle, $about), $this->edges()));
    }

    /** Mirrored about the line through two points, its inside on the left again. */
    public function mirroredAbout(Vec2 $a, Vec2 $b): self
    {
        $angle = $b->minus($a)->angle();

        // the line upright at x = 0, mirrored there, and back
        return $this->turned(M_PI_2 - $angle, $a)->shifted(-$a->x, 0.0)->mirrored(0.0)->shifted($a->x, 0.0)->turned($angle - M_PI_2, $a);
    }

    /** Run round the other way: its inside is on its right. */
    public function reversed(): self
    {
        return new self(array_map(static fn (Curve $e): Curve => $e->reversed(), array_reverse($this->edges())));
    }

    /**
     * What of it lies to the left of the line through two points, curves kept as curves. One piece or several, or none.
     *
     * @return list<self>
     */
    public function leftOf(Vec2 $a, Vec2 $b): array
    {
        $angle = $b->minus($a)->angle();
        $pieces = $this->turned(-$angle, $a)->clipped(false, $a->y, true);

        return array_map(static fn (self $piece): self => $piece->turned($angle, $a), $pieces);
    }

    public function shifted(float $x, float $y): self
    {
        return new self(array_map(static fn (Curve $e): Curve => $e->shifted($x, $y), $this->edges()));
    }

    /**
     * Corners and points on curves, whose chords leave them by no more than $sagitta mm.
     *
     * @return list<float> [x, y, …] counter-clockwise
     */
    public function ring(float $sagitta = 0.1): array
    {
        $out = [];
        foreach ($this->edges() as $e) {
            array_push($out, ...$e->chords($sagitta));
        }
        // begins where the first edge does
        array_unshift($out, ...array_splice($out, -2));

        return $out;
    }

    /**
     * What lies right of x = $at ($upright) or over y = $at; the other side when not $beyond. One piece or several, or none.
     *
     * @return list<self>
     */
    public function clipped(bool $upright, float $at, bool $beyond): array
    {
        [$x0, $y0, $x1, $y1] = $this->bounds();
        [$low, $high] = $upright ? [$x0, $x1] : [$y0, $y1];
        if ($beyond ? $at <= $low + 1e-7 : $at >= $high - 1e-7) {
            return [$this];
        }
        if ($beyond ? $at >= $high - 1e-7 : $at <= $low + 1e-7) {
            return [];
        }
        if ($this->isRectangle()) {
            return [match (true) {
                $upright && $beyond => self::rectangle($at, $y0, $x1, $y1),
                $upright => self::rectangle($x0, $y0, $at, $y1),
                $beyond => self::rectangle($x0, $at, $x1, $y1),
                default => self::rectangle($x0, $y0, $x1, $at),
            }];
        }

        return Cut::apart($this, $upright, $at, $beyond);
    }

    /**
     * Where the line x = $at ($upright) or y = $at runs inside: from and to along it, rising.
     *
     * @return list<array{float, float}>
     */
    public function spans(bool $upright, float $at): array
    {
        $box = $this->box ?? $this->bounds();
        $across = $upright ? 0 : 1;
        if ($at <= $box[$across] || $at >= $box[$across + 2]) {
            return [];
        }
        if ($this->rectangular ?? $this->isRectangle()) {
            return [[$box[1 - $across], $box[3 - $across]]];
        }
        $cuts = [];
        foreach ($this->edges() as $edge) {
            array_push($cuts, ...$edge->goesThrough($upright, $at));
        }
        sort($cuts);
        $spans = [];
        for ($i = 1, $n = count($cuts); $i < $n; $i += 2) {
            $spans[] = [$cuts[$i - 1], $cuts[$i]];
        }

        return $spans;
    }

    /** Whether two of its sides cross, curves taken as chords that leave them by 1 mm. */
    public function crossesItself(): bool
    {
        if ($this->edges === null || $this->isConvex()) {
            return false;
        }
        $ring = $this->ring(1.0);
        $n = intdiv(count($ring), 2);
        $side = static function (int $i, int $j) use ($ring, $n): float {
            [$dx, $dy] = [$ring[(2 * $i + 2) % (2 * $n)] - $ring[2 * $i], $ring[(2 * $i + 3) % (2 * $n)] - $ring[2 * $i + 1]];

            return $dx * ($ring[(2 * $j + 1) % (2 * $n)] - $ring[2 * $i + 1]) - $dy * ($ring[(2 * $j) % (2 * $n)] - $ring[2 * $i]);
        };
        for ($i = 0; $i < $n && $n > 3; $i++) {
            for ($j = $i + 2; $j < $n - ($i === 0 ? 1 : 0); $j++) {
                if ($side($i, $j) * $side($i, $j + 1) < -1e-3 && $side($j, $i) * $side($j, $i + 1) < -1e-3) {
                    return true;
                }
            }
        }

        return false;
    }

    /** Whether all its edges are straight and it turns left at every corner, so that no two of its sides can cross. */
    private function isConvex(): bool
    {
        if ($this->convex !== null) {
            return $this->convex;
        }
        $edges = $this->edges();
        $before = $edges[count($edges) - 1];
        foreach ($edges as $e) {
            if ($e->rx > 0.0 || ($before->x1 - $before->x0) * ($e->y1 - $e->y0) - ($before->y1 - $before->y0) * ($e->x1 - $e->x0) <= 0.0) {
                return $this->convex = false;
            }
            $before = $e;
        }

        return $this->convex = true;
    }
}
