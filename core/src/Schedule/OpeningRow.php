<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

/** Openings of one type and size. */
final readonly class OpeningRow
{
    /**
     * @param  float  $area  of one, mm²
     * @param  float  $glass  clear glass of one, mm²
     * @param  array<string, int>  $byStorey
     * @param  non-empty-list<string>  $openings
     */
    public function __construct(
        public string $mark,
        public string $name,
        public ?string $type,
        public float $width,
        public float $height,
        public float $area,
        public float $glass,
        public array $byStorey,
        public array $openings,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'mark' => $this->mark, 'name' => $this->name, 'type' => $this->type, 'width' => $this->width, 'height' => $this->height,
            'area' => $this->area, 'glass' => $this->glass, 'byStorey' => (object) $this->byStorey, 'count' => count($this->openings), 'openings' => $this->openings,
        ];
    }
}
