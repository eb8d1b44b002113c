<?php

declare(strict_types=1);

namespace App\Exports;

use App\Editing\TaskRun;
use App\Models\Project;
use App\Models\Task;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Str;
use Isleward\Core\Fields;

/** Draws many sheets into one file, telling how far it is. */
final class MakeSheets implements ShouldQueue
{
    use Queueable;

    /** What a task of this kind is called. */
    public const EDIT = 'sheets';

    public int $tries = 1;

    public int $timeout = 1500;

    public function __construct(private readonly string $task)
    {
    }

    public function handle(SheetFiles $sheets): void
    {
        $run = new TaskRun($this->task);
        $run->run(static function (Task $task) use ($sheets, $run): array {
            $args = new Fields($task->args);
            $project = Project::query()->findOrFail($task->project_id);
            $format = $args->string('format');
            [$content, $count] = $sheets->all($project, $args->has('ids') ? $args->strings('ids') : null, $args->string('paper'), $format, $run->tell(...));
            $file = $task->file();
            if (! is_dir(dirname($file))) {
                mkdir(dirname($file), 0o770, true);
            }
            file_put_contents($file, $content);

            return ['name' => Str::slug($project->name).'-sheets.'.$format, 'sheets' => $count, 'bytes' => strlen($content)];
        });
    }
}
