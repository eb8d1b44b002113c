<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** Where a leaf stands: turned about an upright (x, z) or level (y, z) axis, then moved. z is the depth behind the unit's outer side. */
final readonly class Pose
{
    /** @param  float  $angle  radians; positive turns what lies beyond the axis (right of it, over it) inward */
    public function __construct(
        public bool $upright,
        public float $at,
        public float $z,
        public float $angle,
        public float $dx = 0.0,
        public float $dy = 0.0,
        public float $dz = 0.0,
    ) {
    }

    /** @return array{float, float, float} */
    public function of(float $x, float $y, float $z): array
    {
        if ($this->angle === 0.0) {
            return [$x + $this->dx, $y + $this->dy, $z + $this->dz];
        }
        $c = cos($this->angle);
        $s = sin($this->angle);
        $off = ($this->upright ? $x : $y) - $this->at;
        $deep = $z - $this->z;
        $along = $this->at + $off * $c - $deep * $s;
        $depth = $this->z + $off * $s + $deep * $c;

        return $this->upright
                    ? [$along + $this->dx, $y + $this->dy, $depth + $this->dz]
                    : [$x + $this->dx, $along + $this->dy, $depth + $this->dz];
    }
}
