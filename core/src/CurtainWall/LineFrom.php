<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** Where the place of a line is measured from. */
enum LineFrom: string
{
    case Start = 'start';
    case End = 'end';
    /** the line before it, or the start */
    case Before = 'before';
    /** the line after it, or the end */
    case After = 'after';
}
