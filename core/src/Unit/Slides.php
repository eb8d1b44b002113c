<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** What one leaf of a sliding light does, seen from outside. */
enum Slides: string
{
    case Fixed = 'fixed';
    case Left = 'left';
    case Right = 'right';

    public function mirrored(): self
    {
        return match ($this) {
            self::Left => self::Right,
            self::Right => self::Left,
            self::Fixed => self::Fixed,
        };
    }
}
