<?php

declare(strict_types=1);

namespace App\Editing;

use App\Http\Problems;
use App\Models\Project;
use App\Models\Task;

/** One run of a task: taken once, telling how far it is, stopped when asked to, with what it came to or why not. */
final readonly class TaskRun
{
    public function __construct(private string $task)
    {
    }

    /** @param  \Closure(Task): array<array-key, mixed>  $work */
    public function run(\Closure $work): void
    {
        $task = Task::query()->find($this->task);
        if ($task === null || Task::query()->whereKey($this->task)->where('state', 'waiting')->update(['state' => 'running']) !== 1) {
            return;
        }
        try {
            $this->end('done', $work($task));
        } catch (Cancelled) {
            $this->end('cancelled', null);
        } catch (\Throwable $e) {
            report($e);
            $this->end('refused', (array) Problems::respond($e, Project::query()->find($task->project_id)?->settings()->units)->getData(true));
        }
    }

    /** @throws Cancelled */
    public function tell(int $done, int $total): void
    {
        Task::query()->whereKey($this->task)->update(['done' => $done, 'total' => $total]);
        if (Task::query()->whereKey($this->task)->value('state') === 'stopping') {
            throw new Cancelled;
        }
    }

    /** @param  array<array-key, mixed>|null  $outcome */
    private function end(string $state, ?array $outcome): void
    {
        Task::query()->whereKey($this->task)->update(['state' => $state, 'outcome' => $outcome === null ? null : json_encode($outcome, JSON_THROW_ON_ERROR)]);
    }
}
