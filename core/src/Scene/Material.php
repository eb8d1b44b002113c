<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

/** What parts are made of, as far as they are shown. */
enum Material: string
{
    case Wall = 'wall';
    case Frame = 'frame';
    case Sash = 'sash';
    case Glass = 'glass';

    /** @return array{float, float, float, float} linear RGB and opacity */
    public function colour(): array
    {
        return match ($this) {
            self::Wall => [0.84, 0.79, 0.68, 1.0],
            self::Frame => [0.055, 0.085, 0.092, 1.0],
            self::Sash => [0.13, 0.2, 0.21, 1.0],
            self::Glass => [0.5, 0.68, 0.68, 0.45],
        };
    }
}
