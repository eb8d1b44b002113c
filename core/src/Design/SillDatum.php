<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** What a sill is measured from. */
enum SillDatum: string
{
    case Floor = 'floor';
    case Foot = 'foot';
    case Datum = 'datum';
}
