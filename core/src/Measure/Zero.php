<?php

declare(strict_types=1);

namespace Isleward\Core\Measure;

/**
 * There is no negative nothing: a log in JSON would not keep it, and on a sheet it reads as a fault. Asked for by comparing, since PHP's
 * tracing JIT (8.2.36) drops an addition of 0.0.
 */
final class Zero
{
    public static function plain(float $value): float
    {
        return $value === 0.0 ? 0.0 : $value;
    }
}
