<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Derived\Worked;
use App\Models\Opening;
use App\Models\Project;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Str;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Element;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Kinds;
use Isleward\Core\Design\Opening as Stands;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Design\Storey;
use Isleward\Core\Design\Tie;
use Isleward\Core\Design\Wall;
use Isleward\Core\Edit\Scope;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Measure\Refusal;

/** Rows → design, and a change → rows. */
final class Assembly
{
    /** Openings that stand within so much over their storey's floor are told from those that may reach another storey, mm. */
    private const REACH = 2400.0;

    /** @var array<string, list<Element>> the structure read last, by its version */
    private array $ready = [];

    public function __construct(private readonly Ties $ties)
    {
    }

    /**
     * The project's structure and as many of its openings as an edit needs, with whatever they are placed from.
     *
     * @param  bool  $again  it will be asked for again before anything changes, as by what is dragged or typed: then it is kept until then
     */
    public function design(Project $project, Scope $scope, bool $again = false): Design
    {
        $structure = $this->readyStructure($project);
        if ($again && ! $scope->everything) {
            // nothing of a project changes but by a change, which has the next number
            $key = hash('xxh128', implode(' ', [
                'near', $project->id, $project->change_number, config()->string('isleward.build'), serialize($scope),
            ]));
            /** @var list<Element> $openings */
            $openings = unserialize(Worked::out($key, fn (): string => serialize($this->openingsIn($project, $scope, $structure))));
        } else {
            $openings = $this->openingsIn($project, $scope, $structure);
        }
        $rows = [];
        if ($scope->kept || $scope->everything) {
            foreach ([...Kinds::kept(), Kind::Acceptance] as $kind) {
                $rows[$kind->value] = $this->rows($kind, $project);
            }
        }

        return Design::of($project->settings(), [...$structure, ...$openings, ...$this->elements($rows)]);
    }

    /**
     * @param  list<Element>  $structure
     * @return list<Element>
     */
    private function openingsIn(Project $project, Scope $scope, array $structure): array
    {
        if ($scope->everything) {
            return $this->elements([Kind::Opening->value => $this->rows(Kind::Opening, $project)]);
        }
        $openings = $this->elements([Kind::Opening->value => $this->inScope($project, $scope, $structure)]);

        return $this->withNamed($project, $structure, $this->withAligned($project, $structure, $openings));
    }

    /**
     * Openings, with all those of walls that curtain walls are in line with, on and on.
     *
     * @param  list<Element>  $structure
     * @param  list<Element>  $openings
     * @return list<Element>
     */
    private function withAligned(Project $project, array $structure, array $openings): array
    {
        $walls = [];
        $have = array_fill_keys(array_map(static fn (Element $e): string => $e->id(), $openings), true);
        $curtained = array_filter($structure, static fn (Element $e): bool => $e instanceof Wall && $e->curtain?->isAligned() === true);
        for ($new = Ties::aligned([...$curtained, ...$openings]); $new !== []; $new = array_diff(Ties::aligned($found), $walls)) {
            array_push($walls, ...$new);
            $found = $this->elements([
                Kind::Opening->value => $this->rows(Kind::Opening, $project, static fn (Builder $q) => $q->whereIn('host_id', $new)),
            ]);
            foreach ($found as $opening) {
                if (! isset($have[$opening->id()])) {
                    $openings[] = $opening;
                }
            }
        }
        if ($walls !== []) {
            usort($openings, static fn (Element $a, Element $b): int => $a->id() <=> $b->id());
        }

        return $openings;
    }

    /**
     * Openings, with those that they, the lines and parts of screens are placed from, on and on, by id.
     *
     * @param  list<Element>  $structure
     * @param  list<Element>  $openings
     * @return list<Element>
     */
    private function withNamed(Project $project, array $structure, array $openings): array
    {
        $there = [];
        foreach ($structure as $element) {
            $there[$element->id()] = true;
        }
        $lines = array_values(array_filter(
            $structure,
            static fn (Element $e): bool => $e instanceof SettingOutLine || $e instanceof Screen && $e->isMeasured(),
        ));
        $all = Ties::withNamed([...$openings, ...$lines], $there, fn (array $ids): array => $this->elements([
            Kind::Opening->value => $this->rows(Kind::Opening, $project, static fn (Builder $q) => $q->whereIn('id', $ids)),
        ]));
        if (count($all) === count($openings) + count($lines)) {
            return $openings; // none that was not there
        }
        $all = array_values(array_filter($all, static fn (Element $e): bool => $e instanceof Stands));
        usort($all, static fn (Element $a, Element $b): int => $a->id() <=> $b->id());

        return $all;
    }

    /** @return list<Element> */
    private function structure(Project $project): array
    {
        $rows = [];
        foreach (Kinds::bearing() as $kind) {
            $rows[$kind->value] = $this->rows($kind, $project);
        }

        return $this->elements($rows);
    }

    /**
     * From where it is kept ready, under its version. Every structural change gives it another one in its own transaction, and none is used
     * twice: whoever holds the project's row, as an edit does, finds under the version it reads there what its tables hold.
     *
     * @return list<Element>
     */
    private function readyStructure(Project $project): array
    {
        $key = self::readyKey($project);
        if (! isset($this->ready[$key])) {
            $kept = Worked::out($key, fn (): string => serialize($this->structure($project)));
            /** @var list<Element> $elements */
            $elements = unserialize($kept);
            $this->ready = [$key => $elements];
        }

        return $this->ready[$key];
    }

    private static function readyKey(Project $project): string
    {
        return hash('xxh128', implode(' ', [
            'structure', $project->id, $project->structure_version, config()->string('isleward.build'),
        ]));
    }

    /**
     * Gives a structure another version, and where it was at hand keeps it ready under that as it is after a change: kind by kind, by
     * id, as its tables are read. Should the change not be written after all, nobody asks for that version.
     */
    private function renew(Project $project, Change $change): void
    {
        $before = $this->ready[self::readyKey($project)] ?? null;
        $project->structure_version = (string) Str::ulid();
        if ($before === null) {
            return;
        }
        $by = array_fill_keys(array_map(static fn (Kind $k): string => $k->value, Kinds::bearing()), []);
        foreach ($before as $element) {
            $by[$element->kind()->value][$element->id()] = $element;
        }
        $altered = [];
        foreach ($change->operations as $operation) {
            $kind = $operation->kind->value;
            if (isset($by[$kind]) && $operation->after !== null) {
                $by[$kind][$operation->id] = $operation->after;
                $altered[$kind] = true;
            } elseif (isset($by[$kind])) {
                unset($by[$kind][$operation->id]);
            }
        }
        foreach (array_keys($altered) as $kind) {
            ksort($by[$kind], SORT_STRING);
        }
        $after = array_merge(...array_values(array_map(array_values(...), $by)));
        $key = self::readyKey($project);
        Worked::keep($key, serialize($after));
        $this->ready = [$key => $after];
    }

    /**
     * @param  list<Element>  $structure
     * @return list<array<string, mixed>>
     */
    private function inScope(Project $project, Scope $scope, array $structure): array
    {
        $openings = $scope->types === []
            ? $scope->openings
            : $this->ties->naming($project, $scope->types, Tie::MadeOf, Kind::Opening);
        if ($scope->referrers) {
            $hanging = $this->ties->hanging($project, [...$openings, ...$scope->lines]);
            array_push($openings, ...array_map(strval(...), array_keys($hanging, Kind::Opening, true)));
        }
        $walls = $scope->walls;
        if ($scope->wallsToo && $openings !== []) {
            array_push(
                $walls,
                ...Opening::query()->toBase()
                    ->where('project_id', $project->id)
                    ->whereIn('id', $openings)
                    ->distinct()
                    ->pluck('host_id')
                    ->all(),
            );
        }
        if ($walls === []) {
            return $openings === []
                ? []
                : $this->rows(Kind::Opening, $project, static fn (Builder $q) => $q->whereIn('id', $openings));
        }
        $near = $scope->storeys === [] ? null : self::reaching($structure, $scope->storeys);
        $onWalls = static fn (Builder $w) => $w->whereIn('host_id', $walls)->when($near !== null, $near);

        return $this->rows(Kind::Opening, $project, $openings === [] ? $onWalls : static fn (Builder $q) => $q->where(
            static fn (Builder $either) => $either->where($onWalls)->orWhereIn('id', $openings),
        ));
    }

    /**
     * Openings that may stand on these storeys: of them, or such that may reach there from another; null for all when some
     * storey is too low for that to be known.
     *
     * @param  list<Element>  $structure
     * @param  list<string>  $storeys
     * @return \Closure(Builder): Builder|null
     */
    private static function reaching(array $structure, array $storeys): ?\Closure
    {
        foreach ($structure as $element) {
            if ($element instanceof Storey && $element->height < self::REACH) {
                return null;
            }
        }

        return static fn (Builder $q): Builder => $q->where(
            static fn (Builder $any) => $any->where('reaches', 1)
                ->orWhere(static fn (Builder $own) => $own->where('reaches', 0)->whereIn('storey_id', $storeys)),
        );
    }

    /**
     * @param  \Closure(Builder): mixed|null  $narrow
     * @return list<array<string, mixed>> as stored, by id
     */
    public function rows(Kind $kind, Project $project, ?\Closure $narrow = null): array
    {
        $query = Tables::model($kind)::query()->toBase()->where('project_id', $project->id)->orderBy('id');
        if ($narrow !== null) {
            $narrow($query);
        }

        return array_map(static fn (object $row): array => (array) $row, $query->get()->all());
    }

    /**
     * @param  array<string, list<array<string, mixed>>>  $rowsByKind
     * @return list<Element>
     */
    public function elements(array $rowsByKind): array
    {
        $elements = [];
        foreach ($rowsByKind as $kind => $rows) {
            $table = Tables::model(Kind::from($kind))::elements();
            foreach ($rows as $row) {
                $elements[] = $table->element($row);
            }
        }

        return $elements;
    }

    /**
     * Writes a change's outcome. Call inside a transaction that holds the project, and save the project afterwards.
     *
     * @param  \Closure(int, int): void|null  $progress  told how many elements of how many are written
     */
    public function write(Project $project, Change $change, ?\Closure $progress = null): void
    {
        $total = count($change->operations);
        $written = 0;
        $tell = static function (int $more) use (&$written, $total, $progress): void {
            $written += $more;
            if ($progress !== null) {
                $progress($written, $total);
            }
        };
        $this->ties->write($project, $change);
        $added = $removed = [];
        if (array_filter($change->operations, static fn (Operation $o): bool => in_array($o->kind, Kinds::bearing(), true)) !== []) {
            $this->renew($project, $change);
        }
        foreach ($change->operations as $operation) {
            $table = Tables::model($operation->kind)::elements();
            if ($operation->after === null) {
                $removed[$operation->kind->value][] = $operation->id;
            } elseif ($operation->before === null) {
                $added[$operation->kind->value][] = ['project_id' => $project->id] + $table->row($operation->after);
            } else {
                $query = Tables::model($operation->kind)::query()->toBase()->where('id', $operation->id);
                if ($operation->kind === Kind::Settings) {
                    $project->forceFill($table->row($operation->after));
                } else {
                    $query->where('project_id', $project->id)->update($table->row($operation->after));
                }
                if (($altered = ($altered ?? 0) + 1) % 100 === 0) {
                    $tell(100);
                }
            }
        }
        foreach ($removed as $kind => $ids) {
            foreach (array_chunk($ids, 1000) as $chunk) {
                Tables::model(Kind::from($kind))::query()->toBase()->where('project_id', $project->id)->whereIn('id', $chunk)->delete();
                $tell(count($chunk));
            }
        }
        foreach ($added as $kind => $rows) {
            foreach (array_chunk($rows, 200) as $chunk) {
                Tables::model(Kind::from($kind))::query()->toBase()->insert($chunk);
                $tell(count($chunk));
            }
        }
    }

    /**
     * Whether every element still is as a change left it, so that it can be taken back.
     *
     * @param  list<Operation>  $operations
     *
     * @throws Refusal naming what was changed since
     */
    public function requireAsLeft(Project $project, array $operations): void
    {
        $byKind = [];
        foreach ($operations as $operation) {
            $byKind[$operation->kind->value][] = $operation;
        }
        foreach ($byKind as $kind => $group) {
            $table = Tables::model(Kind::from($kind))::elements();
            $now = [];
            foreach (array_chunk(array_map(static fn (Operation $o): string => $o->id, $group), 1000) as $ids) {
                foreach ($this->existing(Kind::from($kind), $project, $ids) as $row) {
                    $now[$row['id']] = $table->element($row)->toArray();
                }
            }
            foreach ($group as $operation) {
                if (($now[$operation->id] ?? null) != $operation->after?->toArray()) {
                    throw Refusal::because(
                        'undo.changed_since',
                        'This was changed again since then, so it cannot be taken back on its own.',
                        [$operation->id],
                    );
                }
            }
        }
    }

    /**
     * @param  list<string>  $ids
     * @return list<array<string, mixed>>
     */
    private function existing(Kind $kind, Project $project, array $ids): array
    {
        return $kind === Kind::Settings
            ? [$project->getAttributes()]
            : $this->rows($kind, $project, static fn (Builder $q) => $q->whereIn('id', $ids));
    }
}
