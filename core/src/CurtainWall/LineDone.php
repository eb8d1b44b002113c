<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** What was done to a line by hand. */
enum LineDone: string
{
    case Added = 'added';
    case Moved = 'moved';
    case Removed = 'removed';
}
