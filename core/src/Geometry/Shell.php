<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** A sheet over a profile in (u, v) of a surface, from one depth behind it to another; its sides stand square to the surface; mm. */
final readonly class Shell implements Solid
{
    public function __construct(public Upright $surface, public Profile $profile, public float $near, public float $far)
    {
    }

    /** What lies over a mm of the surface grows evenly with the depth: Pappus and Guldin's rule. */
    public function volume(): float
    {
        $wide = fn (float $depth): float => $this->surface->lengthAt(0.0, 1.0, $depth);

        return $this->profile->area() * ($this->far - $this->near) * ($wide($this->near) + $wide($this->far)) / 2;
    }

    /** From where the surface begins, x east and z south, y up. */
    public function mesh(float $sagitta): Mesh
    {
        $rings = array_map(static function (Contour $contour) use ($sagitta): array {
            $ring = $contour->ring($sagitta);

            return [$ring, $ring];
        }, $this->profile->contours());

        return CurvedSheet::mesh($this->surface, $this->surface->start(), $rings, $this->near, $this->far, $sagitta);
    }
}
