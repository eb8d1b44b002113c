<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

use Isleward\Core\Geometry\Internal\Clipper;
use Isleward\Core\Geometry\Internal\HoleCutter;
use Isleward\Core\Geometry\Internal\SweepTriangulator;

/**
 * An area of a plane bounded by closed rings, in mm. Rings have the inside on their left: outer rings run counter-clockwise,
 * holes clockwise. A ring is a flat list of coordinates [x0, y0, x1, y1, …] without a repeated last point.
 *
 * Regions made by clipping never cross themselves; two of their rings may share a point.
 */
final readonly class Region
{
    /** @param  list<list<float>>  $rings */
    private function __construct(public array $rings)
    {
    }

    /** @param  list<list<float>>  $rings already with the inside on their left */
    public static function fromRings(array $rings): self
    {
        return new self($rings);
    }

    public static function empty(): self
    {
        return new self([]);
    }

    /** The rectangle from (x0, y0) to (x1, y1); empty when it has no width or no height. */
    public static function rectangle(float $x0, float $y0, float $x1, float $y1): self
    {
        return $x1 - $x0 <= 0.0 || $y1 - $y0 <= 0.0 ? self::empty() : new self([[$x0, $y0, $x1, $y0, $x1, $y1, $x0, $y1]]);
    }

    /**
     * One ring in either direction.
     *
     * @param  list<float>  $ring
     */
    public static function polygon(array $ring): self
    {
        return new self([self::signedArea($ring) < 0 ? self::reverse($ring) : $ring]);
    }

    /**
     * This region less all the holes. Fast for many holes: those that touch neither another hole nor an edge go straight
     * through, only the rest are clipped.
     *
     * @param  list<list<float>>  $holes  rings in either direction
     */
    public function cut(array $holes): self
    {
        return new self(HoleCutter::cut($this->rings, $holes));
    }

    public function union(self $other): self
    {
        return new self(Clipper::combine($this->rings, $other->rings, Clipper::UNION));
    }

    public function intersection(self $other): self
    {
        return new self(Clipper::combine($this->rings, $other->rings, Clipper::INTERSECTION));
    }

    public function difference(self $other): self
    {
        return new self(Clipper::combine($this->rings, $other->rings, Clipper::DIFFERENCE));
    }

    public function isEmpty(): bool
    {
        return $this->rings === [];
    }

    /** In mm². */
    public function area(): float
    {
        $area = 0.0;
        foreach ($this->rings as $ring) {
            $area += self::signedArea($ring);
        }

        return $area;
    }

    /** In mm, over all rings. */
    public function perimeter(): float
    {
        $sum = 0.0;
        foreach ($this->rings as $ring) {
            $n = count($ring);
            for ($i = 0, $j = $n - 2; $i < $n; $j = $i, $i += 2) {
                $sum += hypot($ring[$i] - $ring[$j], $ring[$i + 1] - $ring[$j + 1]);
            }
        }

        return $sum;
    }

    /** @return array{float, float, float, float}|null x0, y0, x1, y1 */
    public function bounds(): ?array
    {
        if ($this->rings === []) {
            return null;
        }
        $x0 = $y0 = INF;
        $x1 = $y1 = -INF;
        foreach ($this->rings as $ring) {
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                $x0 = min($x0, $ring[$i]);
                $x1 = max($x1, $ring[$i]);
                $y0 = min($y0, $ring[$i + 1]);
                $y1 = max($y1, $ring[$i + 1]);
            }
        }

        return [$x0, $y0, $x1, $y1];
    }

    /**
     * Triangles that fill the region, using its own corners only, so that neighbours share whole edges.
     *
     * @return array{list<float>, list<int>} coordinates [x, y, …] ring after ring, and corner numbers in threes, counter-clockwise
     */
    public function triangles(): array
    {
        return SweepTriangulator::triangulate($this->rings);
    }

    /** @param  list<float>  $ring */
    public static function signedArea(array $ring): float
    {
        $area = 0.0;
        $n = count($ring);
        for ($i = 0, $j = $n - 2; $i < $n; $j = $i, $i += 2) {
            $area += $ring[$j] * $ring[$i + 1] - $ring[$i] * $ring[$j + 1];
        }

        return $area / 2;
    }

    /**
     * @param  list<float>  $ring
     * @return list<float>
     */
    public static function reverse(array $ring): array
    {
        $out = [];
        for ($i = count($ring) - 2; $i >= 0; $i -= 2) {
            $out[] = $ring[$i];
            $out[] = $ring[$i + 1];
        }

        return $out;
    }
}
