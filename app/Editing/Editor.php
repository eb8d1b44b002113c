<?php

declare(strict_types=1);

namespace App\Editing;

use App\Assembly\Assembly;
use App\Assembly\Ties;
use App\Models\Change as Logged;
use App\Models\Project;
use App\Models\Revision;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Opening as DesignOpening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Wall;
use Isleward\Core\Edit\Edits;
use Isleward\Core\Edit\Scope;
use Isleward\Core\Edit\Standing;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Runs edits, undoes and redoes: one transaction each, with the project held. */
final readonly class Editor
{
    /** Of a change to many openings, the place of so many is told. */
    private const MOST_PLACED = 50;

    public function __construct(
        private Assembly $assembly,
        private History $history,
        private Ties $ties,
        private Ids $ids,
        private Holding $holding,
        private FilesNamed $files,
        private Reach $reach,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $args
     * @param  int  $base  number of the latest change the client has seen
     * @param  Key|null  $key  under which it is not done twice
     * @param  int  $patience  how long it waits for someone else's change, seconds
     * @param  \Closure(int, int): void|null  $progress  told how many elements of how many are written
     *
     * @throws Refusal
     * @throws Busy
     * @throws Undone when something went wrong and nothing was done
     * @throws Unsure when something went wrong and it cannot be known yet whether it was done
     */
    public function run(
        Project $project,
        User $user,
        string $name,
        array $args,
        int $base,
        ?Key $key = null,
        int $patience = 1,
        ?\Closure $progress = null,
    ): Outcome {
        return $this->holding(
            $project, $user, $name, $key, $patience, function (Project $held) use ($user, $name, $args, $base, $key, $progress): Outcome {
                if ($base > $held->change_number) {
                    throw Conflict::fromTheFuture($base, $held->change_number);
                }
                [$change, $design] = $this->apply($held, $name, $args);
                $change->requireDoable();
                $this->files->require($held, $change);
                $clash = $this->history->clash($held, $user, $base, $change->touched(), $key);
                if ($clash !== null) {
                    throw Conflict::with($clash, $user, $change->touched());
                }
                if (! $change->isEmpty()) {
                    $this->assembly->write($held, $change, function (int $done, int $total) use ($held, $progress): void {
                        $this->holding->far($held, $done, $total);
                        $progress === null ? null : $progress($done, $total);
                    });
                    $this->history->append($held, $user, $name, 'do', $change, key: $key);
                }
                $placed = Outcome::places($design->after($change), $change, self::MOST_PLACED);
                $also = $this->reach->of($held, $change);

                // what has just been done is what is taken back next, and nothing that was taken back before is done again
                return $change->isEmpty()
                    ? $this->outcome($held, $user, $change, $placed, $also)
                    : new Outcome(
                        $held->change_number, $held->standing, $change, mb_substr($change->summary, 0, 300), null, $placed, [], $also,
                    );
            });
    }

    /** @throws Refusal when there is nothing to undo, or it was changed since */
    public function undo(Project $project, User $user, ?Key $key = null): Outcome
    {
        return $this->reverse(
            $project,
            $user,
            'undo',
            $key,
            fn (Project $held): ?Logged => $this->history->undoable($held, $user),
            'There is nothing of yours to undo.',
        );
    }

    /** @throws Refusal when there is nothing to redo, or it was changed since */
    public function redo(Project $project, User $user, ?Key $key = null): Outcome
    {
        return $this->reverse(
            $project,
            $user,
            'redo',
            $key,
            fn (Project $held): ?Logged => $this->history->redoable($held, $user),
            'There is nothing of yours to redo.',
        );
    }

    /**
     * Makes everything as it was in a revision, as a change of its own that can be undone.
     *
     * @param  int  $base  number of the latest change the client has seen
     *
     * @throws Refusal when it is as it was, or was changed meanwhile
     */
    public function restore(Project $project, User $user, Revision $revision, int $base, Revisions $revisions, ?Key $key = null): Outcome
    {
        return $this->holding(
            $project, $user, 'revision.restore', $key, 1,
            function (Project $held) use ($user, $revision, $base, $revisions, $key): Outcome {
                if ($base !== $held->change_number) {
                    throw Refusal::because(
                        'revision.changed_since',
                        'The project was changed meanwhile: look at what differs again before you go back.',
                    );
                }
                $change = $revisions->since($held, $revision->number)->inverse(sprintf('Went back to revision %s', $revision->letter));
                if ($change->isEmpty()) {
                    throw Refusal::because('revision.same', sprintf('It is as it was in revision %s.', $revision->letter));
                }
                $this->assembly->write($held, $change);
                $this->history->append($held, $user, 'revision.restore', 'do', $change, key: $key);

                return $this->outcome($held, $user, $change);
            });
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
    private function reverse(Project $project, User $user, string $kind, ?Key $key, \Closure $find, string $nothing): Outcome
    {
        return $this->holding($project, $user, $kind, $key, 1, function (Project $held) use ($user, $kind, $key, $find, $nothing): Outcome {
            $logged = $find($held) ?? throw Refusal::because($kind.'.nothing', $nothing);
            $whole = Logged::query()->where('project_id', $held->id)->where('number', $logged->number)->firstOrFail();
            $operations = array_map(static fn (array $o): Operation => Operation::from(new Fields($o)), $whole->operations);
            $this->assembly->requireAsLeft($held, $operations);
            $what = (string) preg_replace('/^(Undid: |Redid: )+/', '', $whole->summary);
            $change = (new Change($what, $operations))->inverse(($kind === 'undo' ? 'Undid: ' : 'Redid: ').$what);
            $this->ties->requireUnused($held, $change->operations);
            $this->requireStanding($held, $change);
            $this->assembly->write($held, $change);
            $this->history->append($held, $user, $whole->edit, $kind, $change, $whole->number, $key);

            return $this->outcome(
                $held,
                $user,
                $change,
                [],
                $this->reach->of($held, $change),
            );
        });
    }

    /**
     * What is put back stands among what has changed since: walls can be built, and openings go through those that are curved.
     *
     * @throws Refusal
     */
    private function requireStanding(Project $held, Change $change): void
    {
        $kinds = [Kind::Wall, Kind::Opening, Kind::Type, Kind::Settings];
        if (array_filter($change->operations, static fn (Operation $o): bool => in_array($o->kind, $kinds, true)) === []) {
            return;
        }
        $structure = $this->assembly->design($held, Scope::none())->after($change);
        $curved = array_filter($structure->walls, static fn (Wall $w): bool => $w->isCurved());
        if ($curved !== []) {
            Standing::require($this->assembly->design($held, Scope::ofWalls(...array_keys($curved)))->after($change));
        }
    }

    /**
     * One transaction that holds the project. What was done under the key already is not done again; when something goes wrong, the log is
     * asked whether it was done before anything is said.
     *
     * @param  \Closure(Project): Outcome  $work
     */
    private function holding(Project $project, User $user, string $what, ?Key $key, int $patience, \Closure $work): Outcome
    {
        $take = fn (): Project => $this->holding->take($project, $user, str_replace(['.', '-'], ' ', $what), $patience);
        $known = fn (Project $held): ?Outcome => $key === null ? null : $this->became($held, $user, $key);
        try {
            return DB::transaction(static function () use ($take, $known, $work): Outcome {
                $held = $take();

                return $known($held) ?? $work($held);
            }, 3);
        } catch (Refusal|Cancelled $refusal) {
            throw $refusal;
        } catch (\Throwable $e) {
            if ($key === null) {
                throw $e;
            }
            report($e);
            try {
                DB::purge();
                $done = DB::transaction(static fn (): ?Outcome => $known($take()));
            } catch (\Throwable) {
                throw Unsure::because($e);
            }

            return $done ?? throw Undone::because($e);
        } finally {
            $this->holding->leave($project);
        }
    }

    /** What became of what was asked for under a key; null when nothing did. Call inside a transaction that holds the project. */
    public function became(Project $held, User $user, Key $key): ?Outcome
    {
        $logged = $this->history->under($held, $user, $key);
        if ($logged === null) {
            return null;
        }
        $change = $this->history->told($logged);
        $walls = array_values(array_unique(array_filter(array_map(
            static fn (Operation $o): ?string => $o->after instanceof DesignOpening ? $o->after->host : null,
            $change->operations,
        ))));
        $design = $this->assembly->design($held, Scope::ofWalls(...$walls));
        $standing = array_filter($change->operations, static fn (Operation $o): bool => isset($design->openings[$o->id]));
        $placed = Outcome::places(
            $design,
            new Change(
                '',
                array_map(static fn (Operation $o): Operation => Operation::add($design->openings[$o->id]), array_values($standing)),
            ),
            self::MOST_PLACED,
        );

        return $this->outcome($held, $user, $change, $placed, $this->reach->of($held, $change));
    }

    /**
     * @param  list<array<string, mixed>>  $placed
     * @param  array{list<string>, list<string>}  $also
     */
    private function outcome(Project $project, User $user, Change $change, array $placed = [], array $also = [[], []]): Outcome
    {
        return new Outcome(
            $project->change_number,
            $project->standing,
            $change,
            $this->history->undoable($project, $user)?->summary,
            $this->history->redoable($project, $user)?->summary,
            $placed,
            [],
            $also,
        );
    }
}
