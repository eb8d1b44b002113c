<?php

declare(strict_types=1);

namespace App\Tasks;

use App\Editing\Editor;
use App\Editing\Key;
use App\Exports\SheetFiles;
use App\Files\Whole;
use App\Models\Project;
use App\Models\Task;
use App\Models\User;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Str;
use Isleward\Core\Measure\Fields;

/** A worker's turn: it does the task whose project has waited longest since it had one, whichever that is. */
final class Turn implements ShouldQueue
{
    use Queueable;

    /** How long a task waits for someone else's change, seconds. */
    private const PATIENCE = 60;

    public int $tries = 1;

    public int $timeout = 1500;

    public function __construct(private readonly Lane $lane)
    {
        $this->onQueue($lane->value);
    }

    public function handle(Tasks $tasks, Editor $editor, SheetFiles $sheets): void
    {
        $task = $tasks->claim($this->lane);
        if ($task === null) {
            return;
        }
        (new Run($task))->work(static fn (Run $run): array => $task->makesFile() ? self::file($task, $run, $sheets) : $editor->run(
            Project::query()->findOrFail($task->project_id), User::query()->findOrFail($task->user_id), $task->edit, $task->args,
            $task->base,
            Key::written($task->key), self::PATIENCE, $run->tell(...))->toArray());
    }

    /** @return array{name: string, sheets: int, bytes: int} */
    private static function file(Task $task, Run $run, SheetFiles $sheets): array
    {
        $args = new Fields($task->args);
        $project = Project::query()->findOrFail($task->project_id);
        $format = $args->string('format');
        [$content, $count] = $sheets->all(
            $project,
            $args->has('ids') ? $args->strings('ids') : null,
            $args->string('paper'),
            $format,
            $run->tell(...),
        );
        Whole::write($task->file(), $content);

        return ['name' => Str::slug($project->name).'-sheets.'.$format, 'sheets' => $count, 'bytes' => strlen($content)];
    }
}
