<?php

declare(strict_types=1);

namespace App\Editing;

use App\Models\Project;
use App\Models\User;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Cache;

/**
 * Takes a project for one change. Whoever comes meanwhile waits a second at the most and is told who holds it and how far that is; for what
 * will take longer they do not wait at all. What is told lies beside the transaction, in the cache, and is no part of what is decided.
 */
final class Holding
{
    /** What has gone on for so long is not waited for, seconds. */
    private const LONG = 1.0;

    /** Told how far it is at most so often, seconds. */
    private const OFTEN = 0.25;

    private float $told = 0.0;

    /**
     * Inside a transaction.
     *
     * @param  int  $patience  seconds
     *
     * @throws Busy
     */
    public function take(Project $project, User $user, string $what, int $patience): Project
    {
        $held = $this->row($project, 'nowait');
        if ($held === null) {
            $holder = $this->holder($project);
            if ($patience <= 1 && $holder !== null && microtime(true) - $holder['since'] > self::LONG) {
                throw Busy::with($holder);
            }
            $held = $this->row($project, "wait $patience") ?? throw Busy::with($this->holder($project));
        }
        $this->tell($held, ['who' => $user->name, 'what' => $what, 'done' => 0, 'total' => 0, 'since' => microtime(true)]);

        return $held;
    }

    public function far(Project $project, int $done, int $total): void
    {
        if (microtime(true) - $this->told > self::OFTEN && ($holder = $this->holder($project)) !== null) {
            $this->tell($project, ['done' => $done, 'total' => $total] + $holder);
        }
    }

    public function leave(Project $project): void
    {
        rescue(static fn (): bool => Cache::forget("holding.$project->id"), report: false);
    }

    private function row(Project $project, string $wait): ?Project
    {
        try {
            return Project::query()->lock("for update $wait")->findOrFail($project->id);
        } catch (QueryException $e) {
            return ($e->errorInfo[1] ?? 0) === 1205 ? null : throw $e;
        }
    }

    /** @return array{who: string, what: string, done: int, total: int, since: float}|null */
    private function holder(Project $project): ?array
    {
        /** @var array{who: string, what: string, done: int, total: int, since: float}|null */
        return rescue(static fn (): mixed => Cache::get("holding.$project->id"), null, false);
    }

    /** @param  array{who: string, what: string, done: int, total: int, since: float}  $holder */
    private function tell(Project $project, array $holder): void
    {
        $this->told = microtime(true);
        rescue(static fn (): bool => Cache::put("holding.$project->id", $holder, 1800), report: false);
    }
}
