<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** Which way a line of a grid runs. */
enum Axis: string
{
    /** between bays */
    case Upright = 'upright';
    /** between rows */
    case Level = 'level';
}
