<?php

declare(strict_types=1);

namespace App\Editing;

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
        $run = new TaskRun($this->task);
        $run->run(static fn (Task $task): array => $editor->run(Project::query()->findOrFail($task->project_id), User::query()->findOrFail($task->user_id), $task->edit, $task->args, $task->base, $run->tell(...))->toArray());
    }
}
