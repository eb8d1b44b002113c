<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** How a light opens (EN 12519). */
enum Operation: string
{
    case Fixed = 'fixed';
    case SideHung = 'side-hung';
    case SideHungPair = 'side-hung-pair';
    case TopHung = 'top-hung';
    case BottomHung = 'bottom-hung';
    case TiltAndTurn = 'tilt-and-turn';
    case HorizontalPivot = 'horizontal-pivot';
    case VerticalPivot = 'vertical-pivot';
    case Sliding = 'sliding';
    case VerticalSliding = 'vertical-sliding';
    case Folding = 'folding';
    case HingedDoor = 'hinged-door';
    case DoorPair = 'door-pair';
    case SlidingDoor = 'sliding-door';
    case Louvre = 'louvre';
    case Open = 'open';

    public function isDoor(): bool
    {
        return match ($this) {
            self::HingedDoor, self::DoorPair, self::SlidingDoor, self::Folding => true,
            default => false,
        };
    }

    /** Whether it has a sash or leaf that moves. */
    public function moves(): bool
    {
        return $this !== self::Fixed && $this !== self::Louvre && $this !== self::Open;
    }

    public function isPair(): bool
    {
        return $this === self::SideHungPair || $this === self::DoorPair;
    }

    public function slides(): bool
    {
        return $this === self::Sliding || $this === self::SlidingDoor;
    }

    /**
     * Whether it turns about one of its sides, so that it is handed; of a pair the side of the active leaf, of a folding light where its
     * leaves go.
     */
    public function isHanded(): bool
    {
        return match ($this) {
            self::SideHung, self::TiltAndTurn, self::VerticalPivot, self::HingedDoor, self::SideHungPair, self::DoorPair,
            self::Folding => true,
            default => false,
        };
    }

    /** Whether it swings to one side of the wall only; a pivoted sash swings to both, a sliding one to none. */
    public function isOneWay(): bool
    {
        return match ($this) {
            self::SideHung, self::SideHungPair, self::TopHung, self::BottomHung, self::TiltAndTurn, self::HingedDoor, self::DoorPair,
            self::Folding => true,
            default => false,
        };
    }

    /** How far it turns when it is wholly open, degrees (common practice); 0 when it does not turn. */
    public function usualReach(): float
    {
        return match ($this) {
            self::SideHung, self::SideHungPair, self::TiltAndTurn, self::HingedDoor, self::DoorPair, self::VerticalPivot,
            self::HorizontalPivot => 90.0,
            self::Folding => 85.0,
            self::TopHung => 45.0,
            self::BottomHung => 30.0,
            default => 0.0,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::SideHungPair => 'side-hung pair',
            self::HorizontalPivot => 'horizontally pivoted',
            self::VerticalPivot => 'vertically pivoted',
            self::VerticalSliding => 'vertical sliding',
            self::HingedDoor => 'hinged door',
            self::DoorPair => 'pair of doors',
            self::SlidingDoor => 'sliding door',
            default => $this->value,
        };
    }

    /** @return list<string> what others in the trade call it (common practice): it is found by these too */
    public function alsoCalled(): array
    {
        return match ($this) {
            self::Fixed => ['picture', 'direct glazed', 'dead light'],
            self::SideHung => ['casement', 'side hinged'],
            self::SideHungPair => ['casement', 'french casement', 'double casement'],
            self::TopHung => ['awning', 'top hinged'],
            self::BottomHung => ['hopper', 'bottom hinged'],
            self::TiltAndTurn => ['tilt turn', 'tilt and turn'],
            self::HorizontalPivot, self::VerticalPivot => ['pivot'],
            self::Sliding => ['slider', 'gliding'],
            self::VerticalSliding => ['sash window', 'double hung', 'single hung', 'box sash'],
            self::Louvre => ['jalousie', 'louver'],
            self::HingedDoor => ['swing door', 'hinged'],
            self::DoorPair => ['double door', 'french door'],
            self::SlidingDoor => ['patio door', 'slider', 'gliding'],
            self::Folding => ['bifold', 'bi-fold', 'concertina'],
            default => [],
        };
    }
}
