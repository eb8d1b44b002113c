<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** Infills that are alike: of one kind and build-up, of one shape and size. */
final readonly class InfillRow
{
    /**
     * @param  string  $shape  "rectangle", or "n sides"
     * @param  float  $width  as cut: what is seen of it, and what runs into the members round it, mm
     * @param  float  $height  the same
     * @param  float  $area  of one, as seen, mm²
     * @param  float  $weight  of one as cut, kg
     * @param  float|null  $radius  of bent ones, mm
     */
    public function __construct(
        public string $mark,
        public Infill $infill,
        public string $shape,
        public float $width,
        public float $height,
        public float $area,
        public float $weight,
        public ?float $radius,
        public int $count,
    ) {
    }

    public function marked(string $mark): self
    {
        return new self(
            $mark, $this->infill, $this->shape, $this->width, $this->height, $this->area, $this->weight, $this->radius, $this->count,
        );
    }
}
