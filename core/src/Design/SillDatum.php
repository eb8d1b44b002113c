<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** What a level is measured from. */
enum SillDatum: string
{
    case Floor = 'floor';
    case Foot = 'foot';
    case Datum = 'datum';
    /** A level setting-out line. */
    case Line = 'line';
    /** The sill or the head of another opening. */
    case Opening = 'opening';

    /** Whether it names another element. */
    public function isOther(): bool
    {
        return $this === self::Line || $this === self::Opening;
    }
}
