<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** The side a sash or leaf is hung on, seen from outside. */
enum HingeSide: string
{
    case Left = 'left';
    case Right = 'right';

    public function other(): self
    {
        return $this === self::Left ? self::Right : self::Left;
    }
}
