<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** Where what a module leaves over comes to lie. */
enum Remainder: string
{
    case Start = 'start';
    case End = 'end';
    /** half of it at either end */
    case Both = 'both';
    /** over all bays alike, which come out a little smaller than the module */
    case Shared = 'shared';
}
