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
    /** the same, of one that is walked through: over the foot it takes out the foot member under it */
    case Door = 'door';

    public function isUnit(): bool
    {
        return $this === self::Unit || $this === self::Door;
    }

    public function isGlass(): bool
    {
        return $this === self::Vision || $this === self::Spandrel;
    }
}
