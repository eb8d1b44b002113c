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

    /** Whether it is another line that one is measured from, and not an end. */
    public function isBesideAnother(): bool
    {
        return $this === self::Before || $this === self::After;
    }
}
