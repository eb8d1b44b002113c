<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Contour;

/** A sash or leaf, or a part of a sliding light that stands still, as one body. */
final readonly class Leaf
{
    /**
     * @param  float  $back  behind the unit's outer side, mm
     * @param  HingeSide|null  $hinge  of one that turns about its side
     * @param  Slides|null  $slides  of one of a sliding light
     */
    public function __construct(
        public int $index,
        public string $path,
        public Contour $contour,
        public float $back,
        public float $depth,
        public Motion $motion,
        public ?HingeSide $hinge = null,
        public ?Slides $slides = null,
    ) {
    }

    public function mirrored(float $width): self
    {
        return new self(
            $this->index, $this->path, $this->contour->mirrored($width), $this->back, $this->depth, $this->motion->mirrored($width),
            $this->hinge?->other(), $this->slides?->mirrored());
    }
}
