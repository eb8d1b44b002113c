<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** What follows when a list of sizes is at its end. */
enum AfterSizes: string
{
    /** the list again, the last of it cut short */
    case Again = 'again';
    /** one more, as large as what is left */
    case Rest = 'rest';
    /** nothing: the sizes have to add up */
    case Nothing = 'nothing';
}
