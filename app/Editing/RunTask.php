<?php

declare(strict_types=1);

namespace App\Editing;

use App\Http\Problems;
use App\Models\Project;
use App\Models\Task;
use App\Models\User;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Runs a long edit in its one transaction, telling how far it is; asked to stop, it leaves nothing behind. */
final class RunTask implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 1500;

    public function __construct(private readonly string $task)
    {
    }

    public function handle(Editor $editor): void
    {
        $task = Task::query()->find($this->task);
        if ($task === null || ! $this->begin()) {
            return;
        }
        try {
            $outcome = $editor->run(Project::query()->findOrFail($task->project_id), User::query()->findOrFail($task->user_id), $task->edit, $task->args, $task->base, $this->tell(...));
            $this->end('done', $outcome->toArray());
        } catch (Cancelled) {
            $this->end('cancelled', null);
        } catch (\Throwable $e) {
            report($e);
            $this->end('refused', (array) Problems::respond($e)->getData(true));
        }
    }

    /** @throws Cancelled */
    private function tell(int $done, int $total): void
    {
        Task::query()->whereKey($this->task)->update(['done' => $done, 'total' => $total]);
        if (Task::query()->whereKey($this->task)->value('state') === 'stopping') {
            throw new Cancelled;
        }
    }

    private function begin(): bool
    {
        return Task::query()->whereKey($this->task)->where('state', 'waiting')->update(['state' => 'running']) === 1;
    }

    /** @param  array<array-key, mixed>|null  $outcome */
    private function end(string $state, ?array $outcome): void
    {
        Task::query()->whereKey($this->task)->update(['state' => $state, 'outcome' => $outcome === null ? null : json_encode($outcome, JSON_THROW_ON_ERROR)]);
    }
}
