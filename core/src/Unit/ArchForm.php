<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

enum ArchForm: string
{
    case Segmental = 'segmental';
    case Semicircular = 'semicircular';
    case Pointed = 'pointed';
    case Elliptical = 'elliptical';

    /** Rise as a share of the width when none is given; a pointed arch is then equilateral. */
    public function usualRise(): float
    {
        return match ($this) {
            self::Segmental => 0.2,
            self::Semicircular => 0.5,
            self::Pointed => sqrt(3) / 2,
            self::Elliptical => 0.3,
        };
    }
}
