<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

/** A symbol put at a point of a drawing, standing for one element. */
final readonly class Placement
{
    public function __construct(public string $symbol, public float $x, public float $y, public string $element)
    {
    }

    /** @return array{symbol: string, x: float, y: float, element: string} */
    public function toArray(): array
    {
        return ['symbol' => $this->symbol, 'x' => $this->x, 'y' => $this->y, 'element' => $this->element];
    }
}
