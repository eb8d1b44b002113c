<?php

declare(strict_types=1);

namespace App\Tasks;

use App\Editing\Editor;
use App\Editing\Holding;
use App\Editing\Key;
use App\Http\Problems;
use App\Models\Project;
use App\Models\Task;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** Tasks from being asked for to their end: so many at a time, each project in its turn, and what became of those whose worker is gone. */
final readonly class Tasks
{
    /** That one person, a guest, and one project may have waiting or running. */
    private const MOST_PERSON = 3;

    private const MOST_GUEST = 2;

    private const MOST_PROJECT = 8;

    /** After so long a task that waits is called for again, seconds: the worker that was called may be gone. */
    private const CALL_AGAIN = 10;

    private const OPEN = ['waiting', 'running', 'stopping'];

    public function __construct(private Editor $editor, private Holding $holding)
    {
    }

    /**
     * A new one, waiting; or the one that was begun under this key.
     *
     * @param  array<array-key, mixed>  $args
     *
     * @throws TooMany
     */
    public function begin(Project $project, User $user, Lane $lane, string $edit, array $args, int $base = 0, ?Key $key = null): Task
    {
        $begun = $key === null ? null : $this->of($project, $user)->where('key', $key->text)->first();
        if ($begun !== null) {
            return $begun;
        }
        $this->forgetOld();
        $open = Task::query()->where('project_id', $project->id)->whereIn('state', self::OPEN);
        $most = $user->guest ? self::MOST_GUEST : self::MOST_PERSON;
        if ($open->clone()->where('user_id', $user->id)->count() >= $most) {
            throw TooMany::ofPerson($most);
        }
        if ($open->count() >= self::MOST_PROJECT) {
            throw TooMany::ofProject(self::MOST_PROJECT);
        }
        $task = new Task([
            'project_id' => $project->id, 'user_id' => $user->id, 'lane' => $lane->value, 'edit' => $edit,
            'args' => $args, 'base' => $base, 'state' => 'waiting', 'done' => 0, 'total' => 0,
        ]);
        $task->id = $task->newUniqueId();
        $task->key = $key === null ? Key::ofTask($task->id)->text : $key->text;
        $task->save();
        dispatch(new Turn($lane));

        return $task;
    }

    /** The next in a lane, now running: of the project that has waited longest for a turn, the task that was asked for first. */
    public function claim(Lane $lane): ?Task
    {
        $waiting = Task::query()->where('lane', $lane->value)->where('state', 'waiting');
        $turns = Task::query()->selectRaw('project_id, max(started) as latest')->where('lane', $lane->value)->groupBy('project_id');
        for ($tries = 0; $tries < 20; $tries++) {
            $next = $waiting->clone()->leftJoinSub($turns, 'turns', 'turns.project_id', '=', 'tasks.project_id')
                ->orderByRaw('turns.latest is not null, turns.latest, tasks.id')->first('tasks.*');
            if ($next === null) {
                return null;
            }
            if (Task::query()->whereKey($next->id)->where(
                'state',
                'waiting',
            )->update(['state' => 'running', 'started' => (int) (microtime(true) * 1e6)]) === 1) {
                return $next;
            }
        }

        return null;
    }

    /** A task as it is, for whoever began it. One that nobody does any more is looked up in the log: it was done, or nothing of it was. */
    public function look(Project $project, User $user, string $id): Task
    {
        $task = $this->of($project, $user)->findOrFail($id);
        if ($task->state === 'waiting' && $task->updated_at?->lt(now()->subSeconds(self::CALL_AGAIN)) === true) {
            $task->touch();
            dispatch(new Turn($task->lane()));
        }
        if (in_array(
            $task->state,
            ['running', 'stopping'],
            true,
        ) && $task->updated_at?->lt(now()->subSeconds(2)) === true && ! Run::goesOn($task)) {
            $this->settle($project, $user, $task);
        }

        return $task->refresh();
    }

    public function stop(Project $project, User $user, string $id): Task
    {
        $found = $this->of($project, $user)->findOrFail($id);
        Task::query()->whereKey($found->id)->where('state', 'waiting')->update(['state' => 'cancelled']);
        Task::query()->whereKey($found->id)->where('state', 'running')->update(['state' => 'stopping']);

        return $this->look($project, $user, $id);
    }

    private function settle(Project $project, User $user, Task $task): void
    {
        $state = Task::query()->whereKey($task->id)->whereIn('state', ['running', 'stopping']);
        if ($task->makesFile()) {
            $lost = Problems::problem(422, 'task.lost', 'The server stopped while this was being made. Ask for it again.');
            $state->update(['state' => 'refused', 'outcome' => json_encode($lost->getData(true), JSON_THROW_ON_ERROR)]);

            return;
        }
        // with the project held nothing of it can still be on its way
        $outcome = DB::transaction(fn (): ?array => $this->editor->became(
            $this->holding->take($project, $user, $task->edit, 1),
            $user,
            Key::written($task->key),
        )?->toArray());
        $lost = Problems::problem(
            422,
            'task.lost',
            'The server stopped while this was going on. Nothing of it was done, which has been looked up; ask for it again.',
        );
        $state->update($outcome === null ? ['state' => 'refused', 'outcome' => json_encode($lost->getData(true), JSON_THROW_ON_ERROR)]
            : ['state' => 'done', 'outcome' => json_encode($outcome, JSON_THROW_ON_ERROR)]);
    }

    /** @return Builder<Task> */
    private function of(Project $project, User $user): Builder
    {
        return Task::query()->where('project_id', $project->id)->where('user_id', $user->id);
    }

    /** Those of past days go, and their files with them. */
    private function forgetOld(): void
    {
        foreach (Task::query()->where('created_at', '<', now()->subDay())->limit(200)->get() as $old) {
            if (is_file($old->file())) {
                @unlink($old->file());
            }
            $old->delete();
        }
    }
}
