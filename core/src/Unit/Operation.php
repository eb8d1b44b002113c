<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** How a light opens (EN 12519). */
enum Operation: string
{
    case Fixed = 'fixed';
    case SideHung = 'side-hung';
    case TopHung = 'top-hung';
    case BottomHung = 'bottom-hung';
    case TiltAndTurn = 'tilt-and-turn';
    case HorizontalPivot = 'horizontal-pivot';
    case VerticalPivot = 'vertical-pivot';
    case HingedDoor = 'hinged-door';

    public function isDoor(): bool
    {
        return $this === self::HingedDoor;
    }

    /** Whether it turns about one of its sides, so that it is handed. */
    public function isHanded(): bool
    {
        return match ($this) {
            self::SideHung, self::TiltAndTurn, self::VerticalPivot, self::HingedDoor => true,
            default => false,
        };
    }

    /** Whether it swings to one side of the wall only; a pivoted sash swings to both. */
    public function isOneWay(): bool
    {
        return $this !== self::Fixed && $this !== self::HorizontalPivot && $this !== self::VerticalPivot;
    }
}
