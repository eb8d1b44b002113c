<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** Which sash of a vertical sliding light moves. */
enum Moving: string
{
    case Lower = 'lower';
    case Upper = 'upper';
    case Both = 'both';
}
