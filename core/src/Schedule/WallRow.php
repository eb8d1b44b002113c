<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

/** One wall's areas. */
final readonly class WallRow
{
    /**
     * @param  float  $gross  mm²
     * @param  float  $cutOut  what its openings take, overlaps counted once, mm²
     */
    public function __construct(
        public string $wall,
        public string $name,
        public string $outline,
        public float $length,
        public float $height,
        public float $thickness,
        public int $openings,
        public float $gross,
        public float $cutOut,
    ) {
    }

    public function net(): float
    {
        return $this->gross - $this->cutOut;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'wall' => $this->wall, 'name' => $this->name, 'outline' => $this->outline, 'length' => $this->length, 'height' => $this->height,
            'thickness' => $this->thickness, 'openings' => $this->openings, 'gross' => $this->gross, 'cutOut' => $this->cutOut, 'net' => $this->net(),
        ];
    }
}
