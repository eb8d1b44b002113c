<?php

declare(strict_types=1);

namespace App\Editing;

use App\Assembly\Assembly;
use App\Assembly\Ties;
use App\Derived\BandView;
use App\Derived\CurtainView;
use App\Derived\FieldView;
use App\Derived\FloorBandView;
use App\Derived\RoofView;
use App\Derived\ScreenView;
use App\Models\Change as Logged;
use App\Models\Opening;
use App\Models\Project;
use App\Models\Revision;
use App\Models\Storey;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Places;
use Isleward\Core\Check\Findings;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\LineAxis;
use Isleward\Core\Design\Opening as DesignOpening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Design\Tie;
use Isleward\Core\Design\Wall;
use Isleward\Core\Edit\Edits;
use Isleward\Core\Edit\Scope;
use Isleward\Core\Edit\Standing;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\Field;
use Isleward\Core\Layer\FloorBand;
use Isleward\Core\Layer\FloorBands;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Layer\Screens;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Roof\Roof;
use Isleward\Core\Roof\Roofs;

/** Runs edits, undoes and redoes: one transaction each, with the project held. */
final readonly class Editor
{
    /** Of a change to many openings, the place of so many is told. */
    private const MOST_PLACED = 50;

    /** Of one that is tried, so many: they are drawn before it is done. */
    private const MOST_TRIED = 2500;

    /** Findings are looked for in so many walls of a try; more would keep the ghost waiting. */
    private const MOST_WALLS = 12;

    public function __construct(
        private Assembly $assembly,
        private History $history,
        private Ties $ties,
        private Ids $ids,
        private Holding $holding,
        private FilesNamed $files,
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
                $placed = self::placed($design->after($change), $change, self::MOST_PLACED);
                $also = $this->dependants($held, $change);

                // what has just been done is what is taken back next, and nothing that was taken back before is done again
                return $change->isEmpty()
                    ? $this->outcome($held, $user, $change, $placed, $also)
                    : new Outcome(
                        $held->change_number, $held->standing, $change, mb_substr($change->summary, 0, 300), null, $placed, [], $also,
                    );
            });
    }

    /**
     * The same, written nowhere: what it would come to, what would not fit, and what would be found doubtful about it.
     *
     * @param  array<array-key, mixed>  $args
     *
     * @throws Refusal
     */
    public function try(Project $project, string $name, array $args): Outcome
    {
        $edit = Edits::make($name, new Fields($args, $project->settings()->units));
        $scope = $edit->scope();
        $design = $this->assembly->design($project, $scope, again: true);
        $change = $edit->apply($design, $this->ids);
        $after = $design->after($change);

        $findings = $this->findings($project, $after, $scope, $change);
        $said = $findings === null
                    ? [sprintf('Findings are looked for when it is done: it touches more than %d walls.', self::MOST_WALLS)]
                    : [];

        return new Outcome(
            $project->change_number,
            $project->standing,
            $change,
            null,
            null,
            self::placed($after, $change, self::MOST_TRIED),
            $findings ?? [],
            lines: self::lines($after, $change),
            standing: self::walls($change),
            said: $said,
            curtains: CurtainView::tried($after, $change),
            bands: [
                ...ScreenView::tried($after, $change), ...FieldView::tried($after, $change), ...FloorBandView::tried($after, $change),
                ...RoofView::tried($after, $change),
                ...BandView::tried($after, $change),
            ],
        );
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
                $this->dependants($held, $change),
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
        $placed = self::placed(
            $design,
            new Change(
                '',
                array_map(static fn (Operation $o): Operation => Operation::add($design->openings[$o->id]), array_values($standing)),
            ),
            self::MOST_PLACED,
        );

        return $this->outcome($held, $user, $change, $placed, $this->dependants($held, $change));
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

    /**
     * Walls and storeys of what is placed from what a change touched, since that has moved with it, and of what is filled with a unit type
     * that
     * it touched.
     *
     * @return array{list<string>, list<string>}
     */
    private function dependants(Project $project, Change $change): array
    {
        $ids = $types = $hosts = [];
        $onAll = false;
        foreach ($change->operations as $operation) {
            foreach ([$operation->before, $operation->after] as $element) {
                $hosts += $element instanceof DesignOpening ? [$element->host => true] : [];
            }
            if (Outcome::isByHand($operation)) {
                $hosts[$operation->id] = true;
                $onAll = true;
            }
            if ($operation->kind === Kind::Opening && $operation->before !== null) {
                $ids[] = $operation->id;
            } elseif ($operation->kind === Kind::Type) {
                $types[] = $operation->id;
            }
        }
        $hanging = $ids === [] ? [] : $this->ties->hanging($project, $ids);
        $moved = array_map(strval(...), array_keys($hanging, Kind::Opening, true));
        $screens = array_keys($hanging, Kind::Screen, true);
        $filled = $types === [] ? [] : $this->ties->naming($project, $types, Tie::MadeOf, Kind::Opening);
        $walls = $storeys = $seen = [];
        $openings = array_values(array_unique([...$moved, ...$filled]));
        // what is in line with a wall follows its openings, and what is placed from that follows it
        while ($openings !== [] || array_diff_key($hosts, $seen) !== []) {
            foreach (array_chunk($openings, 2000) as $of) {
                $places = Opening::query()->toBase()
                    ->where('project_id', $project->id)
                    ->whereIn('id', $of)
                    ->distinct()
                    ->get(['host_id', 'storey_id']);
                foreach ($places as $place) {
                    $walls[(string) $place->host_id] = $hosts[(string) $place->host_id] = true;
                    $storeys[(string) $place->storey_id] = true;
                }
            }
            $new = array_map(strval(...), array_keys(array_diff_key($hosts, $seen)));
            $seen += $hosts;
            $following = $this->ties->hanging($project, $new);
            $openings = array_map(strval(...), array_keys($following, Kind::Opening, true));
            array_push($screens, ...array_keys($following, Kind::Screen, true));
            $stretches = array_map(strval(...), array_keys($following, Kind::Wall, true));
            $hosts += array_fill_keys($stretches, true);
            $walls += array_fill_keys($stretches, true);
            $onAll = $onAll || $stretches !== [];
        }
        $bandWalls = $this->wallsOfBands($project, $change, array_map(strval(...), $screens));
        $walls += array_fill_keys($bandWalls, true);
        if ($onAll || $bandWalls !== []) {
            // a stretch may run through any of them, and fins be as high as several
            $storeys = array_fill_keys(Storey::query()->where('project_id', $project->id)->pluck('id')->all(), true);
        }

        return [array_map(strval(...), array_keys($walls)), array_map(strval(...), array_keys($storeys))];
    }

    /**
     * @param  list<string>  $screens  with something that is measured from what a change touched
     * @return list<string> walls before which those and the bands that it touched stand now, or stood
     */
    private function wallsOfBands(Project $project, Change $change, array $screens): array
    {
        $walls = [];
        $design = null;
        foreach ($change->operations as $operation) {
            if (! in_array($operation->kind, [Kind::Band, Kind::FloorBand, Kind::Field, Kind::Screen, Kind::Roof], true)) {
                continue;
            }
            $design ??= $this->assembly->design($project, Scope::none());
            foreach ([$operation->before, $operation->after] as $band) {
                // as it is in a design that holds it: a band that came or went is in one of the two alone
                $with = $band === null ? $design : $design->after(new Change('', [Operation::add($band)]));
                $walls += array_fill_keys(match (true) {
                    $band instanceof Band => Bands::in($with)->wallsOf($band),
                    $band instanceof FloorBand => FloorBands::in($with)->wallsOf($band),
                    $band instanceof Roof => Roofs::in($with)->concerned($band),
                    $band instanceof Field => [$band->wall],
                    $band instanceof Screen => Screens::in($with)->wallsOf($band),
                    default => [],
                }, true);
            }
        }

        // units that fill cut-outs of screens, or stand in roofs
        $types = array_column(array_filter($change->operations, static fn (Operation $o): bool => $o->kind === Kind::Type), 'id');
        $holding = $types === [] ? $screens : [
            ...$screens, ...$this->ties->naming($project, $types, Tie::MadeOf, Kind::Screen),
            ...$this->ties->naming($project, $types, Tie::MadeOf, Kind::Roof),
        ];
        foreach ($holding as $id) {
            $design ??= $this->assembly->design($project, Scope::none());
            $layer = $design->layers[$id] ?? null;
            $walls += array_fill_keys(match (true) {
                $layer instanceof Screen => Screens::in($design)->wallsOf($layer),
                $layer instanceof Roof => Roofs::in($design)->wallsOf($layer),
                default => [],
            }, true);
        }

        return array_map(strval(...), array_keys($walls));
    }

    /** @return list<array<string, mixed>> */
    private static function placed(Design $after, Change $change, int $most): array
    {
        $openings = [];
        foreach ($change->operations as $operation) {
            if ($operation->after instanceof DesignOpening) {
                $openings[] = $operation->after;
                if (count($openings) === $most) {
                    break;
                }
            }
        }

        return array_map(
            static fn (DesignOpening $o): array => ['id' => $o->id] + Places::in($after)->of($o)->spot()->toArray(),
            $openings,
        );
    }

    /** @return list<array<string, mixed>> */
    private static function walls(Change $change): array
    {
        $walls = [];
        foreach ($change->operations as $operation) {
            if ($operation->after instanceof Wall) {
                $walls[] = array_intersect_key(
                    $operation->after->toArray(),
                    array_flip(['id', 'fromX', 'fromY', 'toX', 'toY', 'rise', 'thickness', 'base', 'top']),
                );
            }
        }

        return $walls;
    }

    /** @return list<array<string, mixed>> */
    private static function lines(Design $after, Change $change): array
    {
        $lines = [];
        foreach ($change->operations as $operation) {
            $line = $operation->after;
            if ($line instanceof SettingOutLine) {
                $upright = $line->axis === LineAxis::Upright;
                $lines[] = [
                    'id' => $line->id,
                    'host' => $line->host,
                    'u' => $upright ? Places::in($after)->line($line) : null,
                    'levels' => $upright ? [] : array_column(Places::in($after)->lineLevels($line), 1),
                ];
            }
        }

        return $lines;
    }

    /** @return list<array<string, mixed>>|null about what was touched; null when it is too much to look through */
    private function findings(Project $project, Design $after, Scope $scope, Change $change): ?array
    {
        $walls = $storeys = [];
        foreach ($change->operations as $operation) {
            if ($operation->after instanceof DesignOpening) {
                $placed = Places::in($after)->of($operation->after);
                $walls[$operation->after->host] = true;
                $storeys += array_flip($after->storeys->around($operation->after->storey, $placed->sill, $placed->head));
            }
        }
        if ($walls === [] || count($walls) > self::MOST_WALLS) {
            return $walls === [] ? [] : null;
        }
        if (! $scope->everything && ! $scope->wallsToo && array_diff(array_keys($walls), $scope->walls) !== []) {
            $after = $this->assembly->design($project, Scope::onStoreys(array_keys($walls), array_keys($storeys)), again: true)
                ->after($change);
        }
        $touched = array_flip($change->touched());
        $findings = [];
        foreach (array_keys($walls) as $wall) {
            foreach (Findings::of($after, Bodies::one($after, $after->host($wall)), $touched) as $finding) {
                $findings[] = $finding->toArray();
            }
        }

        return $findings;
    }
}
