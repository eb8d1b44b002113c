<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Design\UnitType;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Vec3;
use Isleward\Core\Unit\SolvedUnit;

/** One rooflight where it stands: its lower left corner in (u, v) of its face, and its unit. */
final readonly class PlacedRooflight
{
    /**
     * @param  int  $index  in its row
     * @param  float  $off  how far it lies past the edge of the upper or the underside of its face, mm; 0 where it lies within both
     */
    public function __construct(
        public Rooflight $light,
        public int $index,
        public RoofFace $face,
        public float $u,
        public float $v,
        public UnitType $type,
        public SolvedUnit $unit,
        public float $off,
    ) {
    }

    /** What it takes of its face, in (u, v). */
    public function contour(): Contour
    {
        return $this->unit->outline->shifted($this->u, $this->v);
    }

    /** @return non-empty-list<Vec3> the corners of its outer side's box: x east, y north, level; counter-clockwise from the lower left */
    public function corners(): array
    {
        [$w, $h, $n] = [$this->light->width, $this->light->height, $this->light->proud];

        return array_map(
            fn (array $c): Vec3 => $this->face->axes->point($this->u + $c[0], $this->v + $c[1], $n),
            [[0.0, 0.0], [$w, 0.0], [$w, $h], [0.0, $h]],
        );
    }

    public function overlaps(self $other): bool
    {
        return abs($this->u - $other->u) < ($this->u < $other->u ? $this->light->width : $other->light->width) - 1e-6
            && abs($this->v - $other->v) < ($this->v < $other->v ? $this->light->height : $other->light->height) - 1e-6;
    }
}
