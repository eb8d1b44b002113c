<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Margin;

/** A glazing unit as seen: its clear shape between what holds it. */
final readonly class Pane
{
    public function __construct(
        public Contour $contour,
        public float $back,
        public Glazing $glazing,
        public string $path = '',
        public ?int $leaf = null,
    ) {
    }

    public function thickness(): float
    {
        return $this->glazing->thickness();
    }

    /** The glass as it is cut: with its edge cover all round. */
    public function cut(): Contour
    {
        return $this->glazing->edgeCover > 0
                    ? Margin::outside($this->contour, $this->glazing->edgeCover)->inner ?? $this->contour
                    : $this->contour;
    }

    /** Weight of the glass with its edge cover, kg: 2.5 kg/m² for each mm (EN 572-1: 2500 kg/m³). */
    public function weight(): float
    {
        return $this->cut()->area() / 1e6 * $this->glazing->glass() * 2.5;
    }

    public function mirrored(float $width): self
    {
        return new self($this->contour->mirrored($width), $this->back, $this->glazing, $this->path, $this->leaf);
    }
}
