<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

/** What a line of a roof is. */
enum RoofLine: string
{
    case Eaves = 'eaves';
    case Ridge = 'ridge';
    case Hip = 'hip';
    case Valley = 'valley';
    case Verge = 'verge';
    /** Where a steep slope goes over into a flat one. */
    case Break = 'break';
    /** Where it ends at a wall that stands up through it. */
    case Abutment = 'abutment';
}
