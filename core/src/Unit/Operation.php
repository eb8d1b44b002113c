<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** How a light opens (EN 12519). */
enum Operation: string
{
    case Fixed = 'fixed';
    case SideHung = 'side-hung';
    case HingedDoor = 'hinged-door';

    public function isDoor(): bool
    {
        return $this === self::HingedDoor;
    }
}
