<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** The parts of a unit that take a finish of their own. */
enum FinishPart: string
{
    case FrameOutside = 'frame-outside';
    case FrameInside = 'frame-inside';
    case Sash = 'sash';
    case Leaf = 'leaf';
    case Bars = 'bars';
    case Infill = 'infill';
    case Louvre = 'louvre';
    case Hardware = 'hardware';

    public function label(): string
    {
        return match ($this) {
            self::FrameOutside => 'frame outside',
            self::FrameInside => 'frame inside',
            default => $this->value,
        };
    }
}
