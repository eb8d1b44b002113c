<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** Which way a setting-out line runs in elevation. */
enum LineAxis: string
{
    case Upright = 'upright';
    case Level = 'level';
}
