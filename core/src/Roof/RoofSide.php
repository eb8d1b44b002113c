<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Vec2;

/** What of a roof lies over one wall, or over one chord of a curved one: a sloped face, or a gable. */
final readonly class RoofSide
{
    /**
     * @param  float|null  $pitch  radians; null for a gable
     * @param  Vec2  $from  of its eaves or verge in plan, the outline's inside on the left
     * @param  list<array{float, float, float}>  $corners  of its underside, eaves cut upright: x, y, level; counter-clockwise from $from
     * @param  array{float, float, float}  $plane  level of its underside: a + b·x + c·y
     * @param  list<array{float, float, float}>|null  $under  {@see under}; null where that is as its corners are
     * @param  Region|null  $left  in plan, of one that something stands through; null for all of it
     */
    public function __construct(
        public string $wall,
        public ?float $pitch,
        public float $overhang,
        public Vec2 $from,
        public Vec2 $to,
        public array $corners,
        public array $plane,
        private ?array $under = null,
        private ?Region $left = null,
    ) {
    }

    /** @return list<array{float, float, float}> corners of its underside as its eaves are cut, one for each of its own */
    public function under(): array
    {
        return $this->under ?? $this->corners;
    }

    /**
     * The same with eaves that are cut otherwise than upright.
     *
     * @param  list<array{float, float, float}>  $under
     */
    public function undercut(array $under): self
    {
        return new self($this->wall, $this->pitch, $this->overhang, $this->from, $this->to, $this->corners, $this->plane, $under);
    }

    /**
     * The same with something taken off.
     *
     * @param  list<array{float, float, float}>  $corners
     */
    public function with(array $corners): self
    {
        return new self($this->wall, $this->pitch, $this->overhang, $this->from, $this->to, $corners, $this->plane);
    }

    /** What of it is left in plan where something stands through it. */
    public function leaving(Region $left): self
    {
        return new self(
            $this->wall,
            $this->pitch,
            $this->overhang,
            $this->from,
            $this->to,
            $this->corners,
            $this->plane,
            $this->under,
            $left,
        );
    }

    public function isCut(): bool
    {
        return $this->left !== null;
    }

    public function isGone(): bool
    {
        return $this->left !== null && $this->left->isEmpty();
    }

    /** Whether some of it is left over a place in plan within its corners. */
    public function isThere(float $x, float $y): bool
    {
        $there = $this->left === null;
        foreach ($this->left->rings ?? [] as $ring) {
            $there = $there !== Rooflights::isWithin($ring, $x, $y);
        }

        return $there;
    }

    /**
     * Corners of its underside as its eaves are cut, or as if they were cut upright, ring by ring of what is left: holes run clockwise.
     *
     * @return list<list<array{float, float, float}>>
     */
    public function rings(bool $under = false): array
    {
        if ($this->left === null) {
            return [$under ? $this->under() : $this->corners];
        }

        return array_map(function (array $ring) use ($under): array {
            $out = [];
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                $out[] = $this->corner($ring[$i], $ring[$i + 1], $under);
            }

            return $out;
        }, $this->left->rings);
    }

    /** @return array{float, float, float} */
    private function corner(float $x, float $y, bool $under): array
    {
        foreach ($under && $this->under !== null ? $this->corners : [] as $i => [$cx, $cy]) {
            if (abs($cx - $x) < 1e-3 && abs($cy - $y) < 1e-3) {
                return $this->under()[$i];
            }
        }

        return [$x, $y, $this->levelAt($x, $y)];
    }

    /** @return list<array{Vec2, Vec2}> what is left of its eaves */
    public function eaves(): array
    {
        if ($this->left === null) {
            return [[$this->from, $this->to]];
        }
        $way = $this->to->minus($this->from)->unit();
        $out = [];
        foreach ($this->left->rings as $ring) {
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                [$a, $b] = [new Vec2($ring[$i], $ring[$i + 1]), new Vec2($ring[($i + 2) % $n], $ring[($i + 3) % $n])];
                if (abs($a->minus($this->from)->cross($way)) < 0.01 && abs($b->minus($this->from)->cross($way)) < 0.01) {
                    $out[] = [$a, $b];
                }
            }
        }

        return $out;
    }

    /** In plan, whole; only of a sloped one. */
    public function contour(): Contour
    {
        return Contour::polygon(array_merge(...array_map(static fn (array $c): array => [$c[0], $c[1]], $this->corners)));
    }

    /** In plan, mm². */
    public function planArea(): float
    {
        return $this->pitch === null ? 0.0 : $this->left?->area() ?? $this->contour()->area();
    }

    /** As it lies, mm². */
    public function area(): float
    {
        return $this->pitch === null ? 0.0 : $this->planArea() / cos($this->pitch);
    }

    public function levelAt(float $x, float $y): float
    {
        return $this->plane[0] + $this->plane[1] * $x + $this->plane[2] * $y;
    }
}
