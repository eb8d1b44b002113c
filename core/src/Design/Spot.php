<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** Where an opening is on a wall's outer face: u from its left end, levels over the datum, and its span from jamb to jamb there; mm. */
final readonly class Spot
{
    public function __construct(
        public string $host,
        public string $storey,
        public float $left,
        public float $sillLevel,
        public float $width,
        public float $height,
        public float $span,
    ) {
    }

    /** @return array{host: string, storey: string, left: float, sillLevel: float, width: float, height: float, span: float} */
    public function toArray(): array
    {
        return [
            'host' => $this->host,
            'storey' => $this->storey,
            'left' => $this->left,
            'sillLevel' => $this->sillLevel,
            'width' => $this->width,
            'height' => $this->height,
            'span' => $this->span,
        ];
    }
}
