<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** What a member of a unit is. */
enum Role: string
{
    case Jamb = 'jamb';
    case Head = 'head';
    case Sill = 'sill';
    case Mullion = 'mullion';
    case Transom = 'transom';
    case Stile = 'stile';
    case Rail = 'rail';
    case Muntin = 'muntin';
    case Bar = 'glazing bar';
    case Infill = 'infill';
    case Panel = 'panel';
    case LouvreFrame = 'louvre frame';
    case Blade = 'blade';
    case Cill = 'cill';
    case Trim = 'trim';

    public function isSash(): bool
    {
        return match ($this) {
            self::Stile, self::Rail, self::Muntin, self::Panel => true,
            default => false,
        };
    }

    /** Whether it fills a light as glass does, rather than holding what does. */
    public function isFilling(): bool
    {
        return $this === self::Infill || $this === self::Panel || $this === self::Blade;
    }
}
