<?php

declare(strict_types=1);

namespace App\Tasks;

use App\Editing\Cancelled;
use App\Editing\Unsure;
use App\Http\Problems;
use App\Models\Project;
use App\Models\Task;
use Illuminate\Support\Facades\DB;

/**
 * One run of a task, telling how far it is and stopped when asked to, with what it came to or why not. While it runs it holds a lock of the
 * database server under the task's name, which goes with the process: so it is known of every task whether anyone still does it.
 */
final readonly class Run
{
    public function __construct(private Task $task)
    {
    }

    /** @param  \Closure(self): array<array-key, mixed>  $work */
    public function work(\Closure $work): void
    {
        $this->task->getConnection()->selectOne('select get_lock(?, 0)', [self::lock($this->task)]);
        try {
            $this->end('done', $work($this));
        } catch (Cancelled) {
            $this->end('cancelled', null);
        } catch (Unsure $unsure) {
            report($unsure); // whoever asks after it looks into the log
        } catch (\Throwable $e) {
            report($e);
            $this->end(
                'refused',
                (array) Problems::respond($e, Project::query()->find($this->task->project_id)?->settings()->units)->getData(true),
            );
        } finally {
            rescue(fn () => $this->task->getConnection()->selectOne('select release_lock(?)', [self::lock($this->task)]), report: false);
        }
    }

    /** @throws Cancelled */
    public function tell(int $done, int $total): void
    {
        $row = Task::query()->whereKey($this->task->id);
        $row->clone()->update(['done' => $done, 'total' => $total]);
        if ($row->value('state') === 'stopping') {
            throw new Cancelled;
        }
    }

    /** Whether a process still does it. */
    public static function goesOn(Task $task): bool
    {
        $free = $task->getConnection()->selectOne('select is_free_lock(?) as free', [self::lock($task)]);

        return is_object($free) && (int) ($free->free ?? 1) === 0;
    }

    private static function lock(Task $task): string
    {
        return DB::getDatabaseName().'.'.$task->id;
    }

    /** @param  array<array-key, mixed>|null  $outcome */
    private function end(string $state, ?array $outcome): void
    {
        Task::query()->whereKey($this->task->id)->update([
            'state' => $state,
            'outcome' => $outcome === null ? null : json_encode($outcome, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
        ]);
    }
}
