<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** What fills a cell. */
enum InfillKind: string
{
    /** glass to see through */
    case Vision = 'vision';
    /** glass with something opaque behind it */
    case Spandrel = 'spandrel';
    case Solid = 'solid';
    case Louvre = 'louvre';
    case Void = 'void';
    /** a unit type from the rack, solved into the cell */
    case Unit = 'unit';

    /** Whether light comes through. */
    public function isGlass(): bool
    {
        return $this === self::Vision;
    }
}
