<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Contour;

/** A light at its place: the clear region between frame and dividers. */
final readonly class SolvedLight
{
    /**
     * @param  string  $path  of the region in the tree, "0.1"; empty for the whole
     * @param  list<Leaf>  $leaves
     * @param  array{count: int, pitch: float, gap: float, end: float, length: float, free: float, clash: bool}|null  $louvre  blades,
     *    pitch, clear gap, space over and under, mm; free area, mm²
     */
    public function __construct(
        public Light $light,
        public string $path,
        public Contour $contour,
        public HingeSide $hinge,
        public array $leaves,
        public ?array $louvre = null,
    ) {
    }

    public function mirrored(float $width): self
    {
        return new self(
            $this->light,
            $this->path,
            $this->contour->mirrored($width),
            $this->hinge->other(),
            array_map(static fn (Leaf $l): Leaf => $l->mirrored($width), $this->leaves),
            $this->louvre,
        );
    }
}
