<?php

declare(strict_types=1);

namespace App\Derived;

use Illuminate\Support\Facades\Cache;

/** What was worked out once and is kept under the hash of what it was worked out from. Where nothing can be kept, that costs only time. */
final class Worked
{
    private const SECONDS = 86400;

    /** @param  \Closure(): string  $make */
    public static function out(string $hash, \Closure $make): string
    {
        $store = Cache::store(config()->string('isleward.derived_store'));
        $kept = rescue(static fn (): mixed => $store->get($hash), report: false);
        if (is_string($kept)) {
            return $kept;
        }
        $made = $make();
        rescue(static fn (): bool => $store->put($hash, $made, self::SECONDS), report: false);

        return $made;
    }
}
