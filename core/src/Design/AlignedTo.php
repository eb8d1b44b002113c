<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** What of a frontage the lines of a curtain wall are in line with. */
enum AlignedTo: string
{
    /** its setting-out lines */
    case Lines = 'lines';
    /** the jambs of its openings; for rows their sills and heads */
    case Sides = 'sides';
    /** the middles of its openings */
    case Middles = 'middles';
    /** the bays, or rows, of its curtain walls */
    case Grid = 'grid';
}
