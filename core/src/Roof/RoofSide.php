<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Geometry\Contour;
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

    /** In plan; only of a sloped one. */
    public function contour(): Contour
    {
        return Contour::polygon(array_merge(...array_map(static fn (array $c): array => [$c[0], $c[1]], $this->corners)));
    }

    /** In plan, mm². */
    public function planArea(): float
    {
        return $this->pitch === null ? 0.0 : $this->contour()->area();
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
