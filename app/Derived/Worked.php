<?php

declare(strict_types=1);

namespace App\Derived;

use App\Models\Project;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;

/** What was worked out once and is kept under the hash of what it was worked out from. Where nothing can be kept, that costs only time. */
final class Worked
{
    private const SECONDS = 86400;

    /** @param  \Closure(): string  $make */
    public static function out(string $hash, \Closure $make): string
    {
        $kept = self::find($hash);
        if ($kept !== null) {
            return $kept;
        }
        $made = $make();
        self::keep($hash, $made);

        return $made;
    }

    public static function find(string $hash): ?string
    {
        $kept = rescue(static fn (): mixed => self::store()->get($hash), report: false);

        return is_string($kept) ? $kept : null;
    }

    /** Keeps what was worked out in another way. */
    public static function keep(string $hash, string $made): void
    {
        rescue(static fn (): bool => self::store()->put($hash, $made, self::SECONDS), report: false);
    }

    /**
     * A name for what was answered since the latest change: nothing of a project changes but by a change, which has the next number. It
     * does not hold where a database is put in another's place.
     */
    public static function since(Project $project, string $what): string
    {
        return hash('xxh128', implode(' ', ['since', $what, $project->id, $project->change_number, config()->string('isleward.build')]));
    }

    private static function store(): Repository
    {
        return Cache::store(config()->string('isleward.derived_store'));
    }
}
