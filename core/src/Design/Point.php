<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** A named point of an opening across its width, as seen from outside. */
enum Point: string
{
    case Left = 'left';
    case Centre = 'centre';
    case Right = 'right';

    /** How far right of the left jamb it lies, mm. */
    public function inWidth(float $width): float
    {
        return match ($this) {
            self::Left => 0.0,
            self::Centre => $width / 2,
            self::Right => $width,
        };
    }

    public function mirrored(): self
    {
        return match ($this) {
            self::Left => self::Right,
            self::Centre => self::Centre,
            self::Right => self::Left,
        };
    }
}
