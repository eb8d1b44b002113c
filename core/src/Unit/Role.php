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
    case Infill = 'infill';

    public function isSash(): bool
    {
        return $this === self::Stile || $this === self::Rail;
    }
}
