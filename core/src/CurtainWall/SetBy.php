<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** How lines are set out along a length. */
enum SetBy: string
{
    /** at a fixed module, with what is left over where the {@see Remainder} says */
    case Module = 'module';
    /** into so many alike */
    case Count = 'count';
    /** into as few alike as are no larger than a size */
    case Greatest = 'greatest';
    /** by a list of sizes */
    case Sizes = 'sizes';
    /** where something else has its lines: of no type, but of a curtain wall that is in line with it */
    case Places = 'places';
}
