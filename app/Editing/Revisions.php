<?php

declare(strict_types=1);

namespace App\Editing;

use App\Assembly\Assembly;
use App\Models\Change as Logged;
use App\Models\Project;
use App\Models\Revision;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Operation;
use Isleward\Core\Edit\Scope;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Revision\Difference;
use Isleward\Core\Revision\Folded;

/** A project's revisions. The log holds every change for good, so that a revision is a place in it. */
final readonly class Revisions
{
    public function __construct(private Assembly $assembly, private Holding $holding)
    {
    }

    /** Refuses when nothing has changed since the latest one. */
    public function keep(Project $project, User $user, string $note, ?Key $key = null): Revision
    {
        return DB::transaction(function () use ($project, $user, $note, $key): Revision {
            $held = $this->holding->take($project, $user, 'revision', 1);
            $kept = $key === null ? null : Revision::query()->where(
                'project_id',
                $held->id,
            )->where('user_id', $user->id)->where('key', $key->text)->first();
            if ($kept !== null) {
                return $kept;
            }
            $count = Revision::query()->where('project_id', $held->id)->count();
            $latest = Revision::query()->where('project_id', $held->id)->where('number', $held->change_number)->first();
            if ($latest !== null) {
                throw Refusal::because(
                    'revision.same',
                    sprintf('Nothing has changed since revision %s: it is this state already.', $latest->letter),
                );
            }

            return Revision::query()->create([
                'project_id' => $held->id, 'letter' => Folded::letter($count), 'number' => $held->change_number,
                'note' => $note, 'user_id' => $user->id, 'created_at' => now(), 'key' => $key?->text,
            ]);
        }, 3);
    }

    /** All that was changed after one number up to another, as one change. */
    public function since(Project $project, int $number, ?int $until = null): Change
    {
        $changes = (static function () use ($project, $number, $until): \Generator {
            $query = Logged::query()->where('project_id', $project->id)
                ->where('number', '>', $number)
                ->orderBy('number')
                ->select(['number', 'operations']);
            foreach ($query->when($until !== null, static fn ($q) => $q->where('number', '<=', $until))->lazy(200) as $logged) {
                yield array_map(static fn (array $o): Operation => Operation::from(new Fields($o)), $logged->operations);
            }
        })();

        return Folded::change('', $changes);
    }

    /**
     * What differs between a revision and a later one, or today.
     *
     * @return list<array<string, mixed>>
     */
    public function difference(Project $project, Revision $from, ?Revision $to): array
    {
        $now = $this->assembly->design($project, Scope::everything());
        if ($to !== null) {
            $now = $now->after($this->since($project, $to->number)->inverse(''));
        }
        $change = $this->since($project, $from->number, $to?->number);

        return Difference::between($now->after($change->inverse('')), $now, $change);
    }
}
