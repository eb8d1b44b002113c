<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Models\Project;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Element;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Naming;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Tie;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Refusal;

/**
 * The one table of who names whom and how (project, from, to, how), written with every change. What an edit must load, what hangs on
 * something, what moves with it and what an undo would take from others are all answered from it, for every kind alike.
 */
final class Ties
{
    private const TABLE = 'ties';

    private const CHUNK = 1000;

    /** Writes what a change alters of it. Call inside the change's transaction. */
    public function write(Project $project, Change $change): void
    {
        $gone = $rows = [];
        foreach ($change->operations as $operation) {
            $before = $operation->before?->names() ?? [];
            $after = $operation->after?->names() ?? [];
            if ($before == $after) {
                continue;
            }
            if ($before !== []) {
                $gone[] = $operation->id;
            }
            if ($operation->after !== null) {
                array_push($rows, ...self::rows($project, $operation->after));
            }
        }
        foreach (array_chunk($gone, self::CHUNK) as $chunk) {
            $this->table($project)->whereIn('from_id', $chunk)->delete();
        }
        self::insert($rows);
    }

    /**
     * All of it from the elements themselves, for who has put down rows without a change.
     *
     * @param  iterable<Element>  $elements  of the project, all of them
     */
    public function rebuild(Project $project, iterable $elements): void
    {
        $this->table($project)->delete();
        $rows = [];
        foreach ($elements as $element) {
            array_push($rows, ...self::rows($project, $element));
        }
        self::insert($rows);
    }

    /**
     * Ids of what names any of these in this way, of one kind.
     *
     * @param  list<string>  $ids
     * @return list<string>
     */
    public function naming(Project $project, array $ids, Tie $how, Kind $kind): array
    {
        $found = [];
        foreach (array_chunk($ids, self::CHUNK) as $chunk) {
            array_push($found, ...$this->table($project)->whereIn('to_id', $chunk)->where('how', $how->value)
                ->where('from_kind', $kind->value)->distinct()->pluck('from_id')->all());
        }

        return array_values(array_unique(array_map(strval(...), $found)));
    }

    /**
     * Those of these that anything names in this way.
     *
     * @param  list<string>  $ids
     * @return list<string>
     */
    public function named(Project $project, array $ids, Tie $how): array
    {
        $found = [];
        foreach (array_chunk($ids, self::CHUNK) as $chunk) {
            array_push($found, ...$this->table($project)->whereIn('to_id', $chunk)->where('how', $how->value)
                ->distinct()->pluck('to_id')->all());
        }

        return array_map(strval(...), $found);
    }

    /**
     * Ids of what these are measured from.
     *
     * @param  list<string>  $ids
     * @return list<string>
     */
    public function measuredFrom(Project $project, array $ids): array
    {
        $found = [];
        foreach (array_chunk($ids, self::CHUNK) as $chunk) {
            array_push($found, ...$this->table($project)->whereIn('from_id', $chunk)->where('how', Tie::MeasuredFrom->value)
                ->distinct()->pluck('to_id')->all());
        }

        return array_values(array_unique(array_map(strval(...), $found)));
    }

    /**
     * Elements, and openings that they are placed from, on and on.
     *
     * @param  list<Element>  $elements
     * @param  array<string, mixed>  $known  ids of what is there in any case
     * @param  \Closure(list<string>): list<Element>  $fetch  the openings of these ids
     * @return list<Element>
     */
    public static function withNamed(array $elements, array $known, \Closure $fetch): array
    {
        $have = [];
        $new = $elements;
        while ($new !== []) {
            $missing = [];
            foreach ($new as $element) {
                $have[$element->id()] = $element;
            }
            foreach ($new as $element) {
                foreach ($element->names() as $naming) {
                    if ($naming->how === Tie::MeasuredFrom && ! isset($have[$naming->to]) && ! isset($known[$naming->to])) {
                        $missing[$naming->to] = true;
                    }
                }
            }
            $new = $missing === [] ? [] : $fetch(array_map(strval(...), array_keys($missing)));
        }

        return array_values($have);
    }

    /**
     * Walls that curtain walls of these are in line with.
     *
     * @param  array<Element>  $elements
     * @return list<string>
     */
    public static function aligned(array $elements): array
    {
        $walls = [];
        foreach ($elements as $element) {
            $curtain = $element instanceof Wall || $element instanceof Opening ? $element->curtain : null;
            foreach ([$curtain?->bays, $curtain?->rows] as $alignment) {
                $walls += array_fill_keys($alignment->walls ?? [], true);
            }
        }

        return array_map(strval(...), array_keys($walls));
    }

    /**
     * What is placed from any of these, from what is placed from them, and on and on; they themselves first.
     *
     * @param  list<string>  $ids
     * @return array<string, Kind|null> by id, its kind; of those that were given null
     */
    public function hanging(Project $project, array $ids): array
    {
        $seen = array_fill_keys($ids, null);
        $new = $ids;
        while ($new !== []) {
            $found = [];
            foreach (array_chunk($new, self::CHUNK) as $chunk) {
                $rows = $this->table($project)
                    ->whereIn('to_id', $chunk)
                    ->where('how', Tie::MeasuredFrom->value)
                    ->get(['from_id', 'from_kind']);
                foreach ($rows as $row) {
                    $found[(string) $row->from_id] = Kind::from((string) $row->from_kind);
                }
            }
            $found = array_diff_key($found, $seen);
            $seen += $found;
            $new = array_map(strval(...), array_keys($found));
        }

        return $seen;
    }

    /**
     * Holds when nothing that stays stands on what a change takes away.
     *
     * @param  list<Operation>  $operations
     *
     * @throws Refusal naming what was put there since
     */
    public function requireUnused(Project $project, array $operations): void
    {
        $gone = $touched = [];
        foreach ($operations as $operation) {
            $touched[$operation->id] = true; // what is put back with it stands as it did before, when this was not there
            if ($operation->after === null) {
                $gone[] = $operation->id;
            }
        }
        $holding = array_map(
            static fn (Tie $t): string => $t->value,
            array_filter(Tie::cases(), static fn (Tie $t): bool => $t->holds()),
        );
        foreach (array_chunk($gone, self::CHUNK) as $chunk) {
            foreach ($this->table($project)->whereIn('to_id', $chunk)->whereIn('how', $holding)->distinct()->pluck('from_id') as $id) {
                if (! isset($touched[(string) $id])) {
                    throw Refusal::because(
                        'undo.used_since',
                        'Something else has been placed on this since then, so it cannot be taken back on its own.',
                        [(string) $id],
                    );
                }
            }
        }
    }

    private function table(Project $project): Builder
    {
        return DB::table(self::TABLE)->where('project_id', $project->id);
    }

    /** @return list<array<string, string>> */
    private static function rows(Project $project, Element $element): array
    {
        return array_map(static fn (Naming $n): array => [
            'project_id' => $project->id, 'from_id' => $element->id(), 'from_kind' => $element->kind()->value, 'to_id' => $n->to,
            'how' => $n->how->value,
        ], $element->names());
    }

    /** @param  list<array<string, string>>  $rows */
    private static function insert(array $rows): void
    {
        foreach (array_chunk($rows, self::CHUNK) as $chunk) {
            DB::table(self::TABLE)->insert($chunk);
        }
    }
}
