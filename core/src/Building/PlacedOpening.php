<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Jambs;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Spot;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;

/** An opening where its rules put it: jambs in u from the wall's left end, sill and head as levels above the datum, mm. */
final readonly class PlacedOpening
{
    private const SAGITTA = 0.05;

    public float $right;

    public float $head;

    /**
     * @param  Contour|null  $outline  as seen from outside the wall, from its left jamb and sill; null for a rectangle
     * @param  CurvedCut|null  $cut  how it goes through a curved wall; null in a flat one, where all its depths are alike
     */
    public function __construct(
        public Opening $opening,
        public float $left,
        public float $sill,
        public ?Contour $outline = null,
        public ?CurvedCut $cut = null,
    ) {
        $this->right = $left + ($cut->span ?? $opening->width);
        $this->head = $sill + $opening->height;
    }

    /** The same in another place of its wall. */
    public function at(float $left, float $sill): self
    {
        return new self($this->opening, $left, $sill, $this->outline, $this->cut);
    }

    public function middle(): float
    {
        return ($this->left + $this->right) / 2;
    }

    /** The plan point at x over its width, z behind the chord of its jambs at the outer face (in a flat wall: behind that face). */
    public function inPlan(Upright $surface, float $x, float $z = 0.0): Vec2
    {
        return $this->cut?->inPlan($x, $z, $this->left) ?? $surface->inPlan($this->left + $x, $z);
    }

    /** Angle in plan of its width, radians. */
    public function angle(Upright $surface): float
    {
        return $this->cut?->angle($this->left) ?? $surface->angle();
    }

    /** Where along its width a plan point in the way through the wall lies. */
    public function across(Upright $surface, Vec2 $point): float
    {
        return $this->cut?->across($point, $this->left) ?? $surface->u($point) - $this->left;
    }

    /** The line in plan through the wall at x over its width, from outside to inside. */
    public function through(Upright $surface, float $x, float $thickness): Curve
    {
        return $this->cut?->through($x, $this->left, $thickness)
            ?? Curve::line($surface->inPlan($this->left + $x, -1.0), $surface->inPlan($this->left + $x, $thickness + 1.0));
    }

    /** How far the outer face stands off the chord between its jambs, mm, positive outward; 0 in a flat wall and of what is bent to it. */
    public function bow(Upright $surface): float
    {
        return $this->cut === null || $this->isBent() ? 0.0 : $this->cut->bow() * ($surface->radius() > 0 ? 1.0 : -1.0);
    }

    /** Whether its unit is bent to the wall. */
    public function isBent(): bool
    {
        return $this->cut !== null && $this->cut->jambs === Jambs::Bent;
    }

    /**
     * The outline in (u, v) on the outer face, or at a depth, counter-clockwise; curves as chords that leave them by 0.05 mm at the most.
     *
     * @return list<float>
     */
    public function ring(float $depth = 0.0): array
    {
        if ($this->cut !== null && $this->outline === null) {
            $left = $this->left + $this->cut->along(0.0, $depth);
            $right = $this->left + $this->cut->along($this->opening->width, $depth);

            return [$left, $this->sill, $right, $this->sill, $right, $this->head, $left, $this->head];
        }
        if ($this->cut !== null) {
            $ring = [];
            foreach ($this->cut->ring($this->outline->ring(self::SAGITTA), $depth) as $i => $figure) {
                $ring[] = $figure + ($i % 2 === 0 ? $this->left : $this->sill);
            }

            return $ring;
        }

        return $this->outline === null
            ? [$this->left, $this->sill, $this->right, $this->sill, $this->right, $this->head, $this->left, $this->head]
            : $this->outline->shifted($this->left, $this->sill)->ring(self::SAGITTA);
    }

    /** What it takes out of the wall's outer face, mm². */
    public function area(): float
    {
        return match (true) {
            $this->outline === null => ($this->right - $this->left) * $this->opening->height,
            $this->cut === null => $this->outline->area(),
            default => Region::polygon($this->ring())->area(),
        };
    }

    public function spot(): Spot
    {
        return new Spot(
            $this->opening->host,
            $this->opening->storey,
            $this->left,
            $this->sill,
            $this->opening->width,
            $this->opening->height,
            $this->right - $this->left,
        );
    }

    /** By how much its outline reaches over the wall's head on the outer face, under the slope that is there; negative under it. */
    public function pastHead(Body $body): float
    {
        return $body->heads === null ? $this->head - $body->head : $this->past($body->headLine($this->left, $this->right), 1.0);
    }

    /** By how much its outline reaches under the wall's foot on the outer face. */
    public function pastFoot(Body $body): float
    {
        return $body->feet === null ? $body->foot - $this->sill : $this->past($body->footLine($this->left, $this->right), -1.0);
    }

    /**
     * @param  list<array{float, float}>  $line  u and level
     * @param  float  $way  1 for over it, −1 for under it
     */
    private function past(array $line, float $way): float
    {
        $ring = $this->ring();
        $most = -INF;
        // both are made of straight stretches: the most lies over a corner of either
        for ($n = count($ring), $i = 0, $j = $n - 2; $i < $n; $j = $i, $i += 2) {
            foreach ($line as $k => [$u, $v]) {
                $most = self::crosses($ring[$j], $ring[$j + 1], $ring[$i], $ring[$i + 1], $u, $v, $way, $most);
                [$a, $b] = [$line[max(0, $k - 1)], $line[$k]];
                if ($k > 0 && $ring[$i] >= $a[0] && $ring[$i] <= $b[0] && $b[0] > $a[0]) {
                    $at = $a[1] + ($b[1] - $a[1]) * ($ring[$i] - $a[0]) / ($b[0] - $a[0]);
                    $most = max($most, $way * ($ring[$i + 1] - $at));
                }
            }
        }

        return $most;
    }

    /** How far a side of a ring reaches past a point, or what was reached before. */
    private static function crosses(float $xa, float $ya, float $xb, float $yb, float $u, float $v, float $way, float $most): float
    {
        if (($xa - $u) * ($xb - $u) > 0.0 || $xa === $xb) {
            return $most;
        }

        return max($most, $way * ($ya + ($yb - $ya) * ($u - $xa) / ($xb - $xa) - $v));
    }

    /** Whether it lies wholly beside, over or under the wall's face. */
    public function isOff(Body $body): bool
    {
        $slack = Tolerance::LENGTH;
        [$foot, $head] = $body->reach($this->left, $this->right);

        return $this->right <= $body->start() + $slack
                    || $this->left >= $body->end() - $slack
                    || $this->head <= $foot + $slack
                    || $this->sill >= $head - $slack;
    }

    /** Whether the two share some of the wall. */
    public function overlaps(self $other): bool
    {
        $slack = Tolerance::LENGTH;
        if ($other->left >= $this->right - $slack
                    || $other->right <= $this->left + $slack
                    || $other->sill >= $this->head - $slack
                    || $other->head <= $this->sill + $slack) {
            return false;
        }
        if ($this->outline === null && $other->outline === null) {
            return true;
        }

        return Region::polygon($this->ring())->intersection(Region::polygon($other->ring()))->area() > Tolerance::LENGTH;
    }
}
