<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

enum Sheen: string
{
    case Matt = 'matt';
    case Satin = 'satin';
    case Gloss = 'gloss';

    /** How rough it is drawn, 0 mirror-like to 1. */
    public function roughness(): float
    {
        return match ($this) {
            self::Matt => 0.95,
            self::Satin => 0.55,
            self::Gloss => 0.2,
        };
    }
}
