<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** A side of an upright face: every edge whose outside looks up is its head, down its sill, and an upright one a jamb. */
enum Side: string
{
    case Left = 'left';
    case Right = 'right';
    case Head = 'head';
    case Sill = 'sill';

    public function isJamb(): bool
    {
        return $this === self::Left || $this === self::Right;
    }
}
