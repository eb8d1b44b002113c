<?php

declare(strict_types=1);

namespace App\Editing;

use App\Files\Store;
use App\Models\Project;
use App\Models\Role;
use App\Models\Task;
use App\Models\User;

/** Projects that are put aside, thrown away and taken back. None of it is a change of theirs. */
final readonly class Keeping
{
    /** How long a project stays in the bin. */
    public const DAYS = 30;

    public function __construct(private Store $files)
    {
    }

    public function archive(Project $project, bool $is): void
    {
        $this->set($project, 'archived_at', $is);
    }

    public function bin(Project $project): void
    {
        $this->set($project, 'binned_at', true);
    }

    public function takeOut(Project $project): void
    {
        $this->set($project, 'binned_at', false);
    }

    /** For good, with its changes and files. */
    public function destroy(Project $project): void
    {
        Task::query()->where('project_id', $project->id)->delete();
        $project->delete();
        $this->files->forget($project);
    }

    /** Removes what somebody threw away long enough ago. */
    public function empty(User $user): void
    {
        $old = $user->projects()->wherePivot('role', Role::Owner->value)
            ->where('projects.binned_at', '<', now()->subDays(self::DAYS))->get();
        foreach ($old as $project) {
            $this->destroy($project);
        }
    }

    private function set(Project $project, string $when, bool $is): void
    {
        // its latest change stays as long ago as it is
        Project::query()->toBase()->where('id', $project->id)->update([$when => $is ? now() : null]);
    }
}
