<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

/** What parts are made of, as far as they are shown, where no finish of the project says otherwise. */
enum Material: string
{
    case Wall = 'wall';
    case Frame = 'frame';
    case Sash = 'sash';
    case Infill = 'infill';
    case Louvre = 'louvre';
    case Glass = 'glass';

    /** @return array{float, float, float, float} linear RGB and opacity */
    public function colour(): array
    {
        return match ($this) {
            self::Wall => [0.84, 0.79, 0.68, 1.0],
            self::Frame => [0.055, 0.085, 0.092, 1.0],
            self::Sash => [0.13, 0.2, 0.21, 1.0],
            self::Infill => [0.36, 0.33, 0.28, 1.0],
            self::Louvre => [0.3, 0.34, 0.34, 1.0],
            self::Glass => [0.5, 0.68, 0.68, 0.45],
        };
    }

    public function roughness(): float
    {
        return $this === self::Glass ? 0.2 : 0.9;
    }
}
