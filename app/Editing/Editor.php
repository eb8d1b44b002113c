<?php

declare(strict_types=1);

namespace App\Editing;

use App\Assembly\Assembly;
use App\Models\Change as Logged;
use App\Models\Project;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Isleward\Core\Check\Findings;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Opening;
use Isleward\Core\Edit\Change;
use Isleward\Core\Edit\Edits;
use Isleward\Core\Edit\Ids;
use Isleward\Core\Edit\Operation;
use Isleward\Core\Edit\Scope;
use Isleward\Core\Fields;
use Isleward\Core\Refusal;
use Isleward\Core\Wall\Bodies;

/** Runs edits, undoes and redoes: one transaction each, with the project held. */
final readonly class Editor
{
    /** Of a change to many openings, the place of so many is told. */
    private const MOST_PLACED = 50;

    public function __construct(private Assembly $assembly, private History $history, private Ids $ids)
    {
    }

    /**
     * @param  array<array-key, mixed>  $args
     * @param  int  $base  number of the latest change the client has seen
     *
     * @throws Refusal
     */
    public function run(Project $project, User $user, string $name, array $args, int $base): Outcome
    {
        return $this->holding($project, function (Project $held) use ($user, $name, $args, $base): Outcome {
            if ($base > $held->change_number) {
                throw Conflict::fromTheFuture($base, $held->change_number);
            }
            [$change, $design] = $this->apply($held, $name, $args);
            $clash = $this->history->clash($held, $base, $change->touched());
            if ($clash !== null) {
                throw Conflict::with($clash, $user, $change->touched());
            }
            if (! $change->isEmpty()) {
                $this->assembly->write($held, $change);
                $this->history->append($held, $user, $name, 'do', $change);
            }

            return $this->outcome($held, $user, $change, self::placed($design, $change));
        });
    }

    /**
     * The same, written nowhere: what it would come to, and what would be found doubtful about it.
     *
     * @param  array<array-key, mixed>  $args
     *
     * @throws Refusal
     */
    public function try(Project $project, string $name, array $args): Outcome
    {
        [$change, $design] = $this->apply($project, $name, $args);

        return new Outcome($project->change_number, $change, null, null, self::placed($design, $change), $this->findings($project, $change));
    }

    /** @throws Refusal when there is nothing to undo, or it was changed since */
    public function undo(Project $project, User $user): Outcome
    {
        return $this->reverse($project, $user, 'undo', fn (Project $held): ?Logged => $this->history->undoable($held, $user), 'There is nothing of yours to undo.');
    }

    /** @throws Refusal when there is nothing to redo, or it was changed since */
    public function redo(Project $project, User $user): Outcome
    {
        return $this->reverse($project, $user, 'redo', fn (Project $held): ?Logged => $this->history->redoable($held, $user), 'There is nothing of yours to redo.');
    }

    /**
     * @param  array<array-key, mixed>  $args
     * @return array{Change, Design}
     */
    private function apply(Project $project, string $name, array $args): array
    {
        $edit = Edits::make($name, new Fields($args, $project->settings()->units));
        $design = $this->assembly->design($project, $edit->scope());

        return [$edit->apply($design, $this->ids), $design];
    }

    /** @param  \Closure(Project): ?Logged  $find */
    private function reverse(Project $project, User $user, string $kind, \Closure $find, string $nothing): Outcome
    {
        return $this->holding($project, function (Project $held) use ($user, $kind, $find, $nothing): Outcome {
            $logged = $find($held) ?? throw Refusal::because($kind.'.nothing', $nothing);
            $whole = Logged::query()->where('project_id', $held->id)->where('number', $logged->number)->firstOrFail();
            $operations = array_map(static fn (array $o): Operation => Operation::from(new Fields($o)), $whole->operations);
            $this->assembly->requireAsLeft($held, $operations);
            $what = (string) preg_replace('/^(Undid: |Redid: )+/', '', $whole->summary);
            $change = (new Change($what, $operations))->inverse(($kind === 'undo' ? 'Undid: ' : 'Redid: ').$what);
            $this->assembly->write($held, $change);
            $this->history->append($held, $user, $whole->edit, $kind, $change, $whole->number);

            return $this->outcome($held, $user, $change);
        });
    }

    /** @param  \Closure(Project): Outcome  $work */
    private function holding(Project $project, \Closure $work): Outcome
    {
        return DB::transaction(fn (): Outcome => $work(Project::query()->lockForUpdate()->findOrFail($project->id)), 3);
    }

    /** @param  list<array<string, mixed>>  $placed */
    private function outcome(Project $project, User $user, Change $change, array $placed = []): Outcome
    {
        return new Outcome(
            $project->change_number,
            $change,
            $this->history->undoable($project, $user)?->summary,
            $this->history->redoable($project, $user)?->summary,
            $placed,
        );
    }

    /** @return list<array<string, mixed>> */
    private static function placed(Design $design, Change $change): array
    {
        $placed = [];
        foreach (array_slice($change->operations, 0, self::MOST_PLACED) as $operation) {
            if ($operation->after instanceof Opening) {
                $p = $design->places->of($operation->after));
                $placed[] = ['id' => $p->opening->id, 'wall' => $p->opening->wall, 'storey' => $p->opening->storey, 'left' => $p->left, 'sillLevel' => $p->sill,
                    'width' => $p->opening->width, 'height' => $p->opening->height];
            }
        }

        return $placed;
    }

    /** @return list<array<string, mixed>> */
    private function findings(Project $project, Change $change): array
    {
        $walls = [];
        foreach ($change->operations as $operation) {
            if ($operation->after instanceof Opening) {
                $walls[$operation->after->wall] = true;
            }
        }
        if ($walls === []) {
            return [];
        }
        $after = $this->assembly->design($project, Scope::ofWalls(...array_keys($walls)))->after($change);
        $bodies = Bodies::of($after);
        $touched = array_flip($change->touched());
        $findings = [];
        foreach (array_keys($walls) as $wall) {
            foreach (Findings::of($after, $bodies[$wall]) as $finding) {
                if (array_intersect_key(array_flip($finding->elements), $touched) !== []) {
                    $findings[] = $finding->toArray();
                }
            }
        }

        return $findings;
    }
}
