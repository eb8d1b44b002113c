<?php

declare(strict_types=1);

namespace App\Editing;

use App\Models\Change as Logged;
use App\Models\Project;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;

/** A project's log of changes, and what each person can undo and redo in it. */
final class History
{
    public function append(
        Project $project,
        User $user,
        string $edit,
        string $kind,
        Change $change,
        ?int $reverses = null,
        ?Key $key = null,
    ): int {
        $number = $project->change_number + 1;
        Logged::query()->toBase()->insert([
            'project_id' => $project->id,
            'number' => $number,
            'user_id' => $user->id,
            'edit' => $edit,
            'kind' => $kind,
            'summary' => mb_substr($change->summary, 0, 300),
            'reverses' => $reverses,
            'operations' => json_encode(array_map(static fn ($o): array => $o->toArray(), $change->operations), JSON_THROW_ON_ERROR),
            'touched' => json_encode($change->touched(), JSON_THROW_ON_ERROR),
            'key' => $key?->text,
            'told' => $key === null ? null : json_encode(
                ['chosen' => $change->chosen, 'wanted' => $change->wanted, 'notes' => $change->notes],
                JSON_THROW_ON_ERROR,
            ),
            'created_at' => now(),
        ]);
        if ($reverses !== null) {
            Logged::query()->toBase()->where('project_id', $project->id)->where('number', $reverses)->update(['reversed_by' => $number]);
        }
        $project->change_number = $number;
        $project->standing += $kind === 'undo' ? -1 : 1;
        $project->save();

        return $number;
    }

    /** What a user did under a key. */
    public function under(Project $project, User $user, Key $key): ?Logged
    {
        return Logged::query()->where('project_id', $project->id)->where('user_id', $user->id)->where('key', $key->text)->first();
    }

    /** A logged change as it was told when it was done. */
    public function told(Logged $logged): Change
    {
        $told = new Fields($logged->told ?? []);

        return new Change($logged->summary, array_map(
            static fn (array $o): Operation => Operation::from(new Fields($o)),
            $logged->operations,
        ),
            $told->has('chosen') ? $told->strings('chosen') : [], notes: $told->has('notes') ? $told->strings('notes') : [],
            wanted: $told->has('wanted') ? $told->int('wanted') : 0);
    }

    /** The user's latest change that stands. */
    public function undoable(Project $project, User $user): ?Logged
    {
        return $this->of($project, $user)->whereIn('kind', ['do', 'redo'])->whereNull('reversed_by')->first();
    }

    /** The user's latest undo that stands, unless they have done something new since. */
    public function redoable(Project $project, User $user): ?Logged
    {
        $undo = $this->of($project, $user)->where('kind', 'undo')->whereNull('reversed_by')->first();
        if ($undo === null) {
            return null;
        }
        $newer = $this->of($project, $user)->where('kind', 'do')->where('number', '>', $undo->number)->exists();

        return $newer ? null : $undo;
    }

    /**
     * The first change after $base that touched one of these elements. A window's own do not count: it knows of them.
     *
     * @param  list<string>  $ids
     */
    public function clash(Project $project, User $user, int $base, array $ids, ?Key $key = null): ?Logged
    {
        if ($base >= $project->change_number) {
            return null;
        }
        $wanted = array_flip($ids);
        $later = Logged::query()->with('user')->where('project_id', $project->id)->where('number', '>', $base)->orderBy('number')
            ->select(['project_id', 'number', 'user_id', 'summary', 'touched']);
        if ($key !== null && $key->window !== null) {
            $later->whereRaw('(`key` is null or user_id <> ? or `key` not like ?)', [$user->id, "$key->window.%"]);
        }
        foreach ($later->lazy() as $change) {
            foreach ($change->touched as $id) {
                if (isset($wanted[$id])) {
                    return $change;
                }
            }
        }

        return null;
    }

    /** @return Builder<Logged> */
    private function of(Project $project, User $user): Builder
    {
        return Logged::query()->where('project_id', $project->id)->where('user_id', $user->id)->orderByDesc('number')
            ->select(['project_id', 'number', 'user_id', 'edit', 'kind', 'summary', 'reverses', 'reversed_by']);
    }
}
