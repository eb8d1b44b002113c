<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** Where in a grid a member stands. The order of the cases is the order in which they run through, unless a type says another. */
enum Role: string
{
    case Mullion = 'mullion';
    case Left = 'left';
    case Right = 'right';
    case Head = 'head';
    case Foot = 'foot';
    case Transom = 'transom';

    public function isUpright(): bool
    {
        return match ($this) {
            self::Mullion, self::Left, self::Right => true,
            default => false,
        };
    }

    /** Whether it stands along an edge of the face. */
    public function isPerimeter(): bool
    {
        return $this !== self::Mullion && $this !== self::Transom;
    }

    /** What people call it. */
    public function word(): string
    {
        return match ($this) {
            self::Left => 'left side',
            self::Right => 'right side',
            default => $this->value,
        };
    }
}
