<?php

declare(strict_types=1);

namespace Tests\Support;

/**
 * How slow this machine is at this moment, so that a limit in seconds says something of us and not of what else the machine does:
 * a fixed piece of work, begun as a process of its own, against the {@see self::USUAL} it takes on an idle machine of the kind CI has.
 */
final class Pace
{
    /** Seconds that the work took on such a machine, idle. */
    private const USUAL = 0.4;

    /** A limit of so many seconds on an idle machine, as it stands here and now; never less. */
    public static function seconds(float $seconds): float
    {
        return $seconds * max(1.0, self::measured());
    }

    /** Whether what began then has taken longer than so many seconds at this pace; measured only when the plain limit is past. */
    public static function over(float $began, float $seconds): bool
    {
        return microtime(true) - $began > $seconds && microtime(true) - $began > self::seconds($seconds);
    }

    /** The slowest of three, as a multiple of what is usual. */
    private static function measured(): float
    {
        $slowest = 0.0;
        for ($k = 0; $k < 3; $k++) {
            $began = microtime(true);
            exec(PHP_BINARY.' -n -d opcache.enable_cli=0 -r \'for ($i = 0, $s = 0.0; $i < 6000000; $i++) { $s += $i & 7; }\'');
            $slowest = max($slowest, microtime(true) - $began);
        }

        return $slowest / self::USUAL;
    }
}
