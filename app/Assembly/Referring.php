<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Models\Opening;
use App\Models\Project;
use App\Models\SettingOutLine;
use App\Models\Wall;
use Illuminate\Database\Query\Builder;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Refusal;

/** Which elements name which: what openings and lines are placed from, what is placed from them, and what still stands on something. */
final class Referring
{
    /**
     * Rows of openings, and of those that they and the lines are placed from, on and on.
     *
     * @param  list<array<string, mixed>>  $openings  rows
     * @param  list<string|null>  $wanted  what the lines that matter are placed from
     * @return list<array<string, mixed>> rows, by id
     */
    public function withReferred(Project $project, array $openings, array $wanted): array
    {
        $have = array_column($openings, null, 'id');
        foreach ($openings as $row) {
            array_push($wanted, $row['position_ref'], $row['sill_ref']);
        }
        while (true) {
            $missing = array_values(
                array_unique(array_filter(
                    $wanted,
                    static fn (mixed $id): bool => is_string($id) && Kind::Opening->isOf($id) && ! isset($have[$id]),
                )),
            );
            if ($missing === []) {
                break;
            }
            $wanted = [];
            foreach (Opening::query()->toBase()->where('project_id', $project->id)->whereIn('id', $missing)->get() as $row) {
                $row = (array) $row;
                $have[$row['id']] = $row;
                array_push($wanted, $row['position_ref'], $row['sill_ref']);
            }
        }
        ksort($have);

        return array_values($have);
    }

    /**
     * Ids of openings, and of those that are placed from them or from lines among them, on and on.
     *
     * @param  list<string>  $ids  of openings and lines
     * @param  array<string, string|null>  $lines  every line with what it is placed from
     * @return list<string> of openings
     */
    public function referrers(Project $project, array $ids, array $lines): array
    {
        $seen = array_flip($ids);
        $new = $ids;
        while ($new !== []) {
            $found = [];
            $wanted = array_flip($new);
            foreach ($lines as $line => $ref) {
                if ($ref !== null && isset($wanted[$ref])) {
                    $found[] = $line;
                }
            }
            foreach (array_chunk($new, 2000) as $chunk) {
                foreach (['position_ref', 'sill_ref'] as $column) {
                    array_push(
                        $found,
                        ...Opening::query()->toBase()->where('project_id', $project->id)->whereIn($column, $chunk)->pluck('id')->all(),
                    );
                }
            }
            $new = array_values(array_filter(array_unique($found), static fn (string $id): bool => ! isset($seen[$id])));
            $seen += array_flip($new);
        }

        return array_values(
            array_filter(array_map(strval(...), array_keys($seen)), static fn (string $id): bool => Kind::Opening->isOf($id)),
        );
    }

    /**
     * @param  list<array<string, mixed>>  $lines  rows
     * @return array<string, string|null> each with what it is placed from
     */
    public static function refs(array $lines): array
    {
        $refs = [];
        foreach ($lines as $line) {
            $refs[(string) $line['id']] = self::refOf($line);
        }

        return $refs;
    }

    /** @return array<string, string|null> every line of a design with what it is placed from */
    public static function refsOf(Design $design): array
    {
        return array_map(static fn (\Isleward\Core\Design\SettingOutLine $l): ?string => $l->ref(), $design->lines);
    }

    /**
     * Lines that lie on these walls, and those that they and these openings are placed from, on and on.
     *
     * @param  list<array<string, mixed>>  $lines  rows of all lines
     * @param  list<string>  $walls
     * @param  list<array<string, mixed>>  $openings  rows
     * @return list<array<string, mixed>>
     */
    public function linesOf(array $lines, array $walls, array $openings): array
    {
        $byId = array_column($lines, null, 'id');
        $on = array_flip($walls);
        $kept = [];
        $take = static function (mixed $id) use (&$take, &$kept, $byId): void {
            if (is_string($id) && isset($byId[$id]) && ! isset($kept[$id])) {
                $kept[$id] = $byId[$id];
                $take(self::refOf($byId[$id]));
            }
        };
        foreach ($lines as $line) {
            if (isset($on[$line['wall_id']])) {
                $take($line['id']);
            }
        }
        foreach ($openings as $row) {
            $take($row['position_ref']);
            $take($row['sill_ref']);
        }
        ksort($kept);

        return array_values($kept);
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
        $gone = $kinds = $touched = [];
        foreach ($operations as $operation) {
            $touched[] = $operation->id; // what is put back with it stands as it did before, when this was not there
            if ($operation->after === null) {
                $gone[] = $operation->id;
                $kinds[$operation->kind->value] = true;
            }
        }
        $columns = [
            'position_ref' => [Kind::Opening, Kind::Line], 'sill_ref' => [Kind::Opening, Kind::Line],
            'wall_id' => [Kind::Wall], 'storey_id' => [Kind::Storey], 'unit_type_id' => [Kind::Type],
        ];
        foreach (array_chunk($gone, 2000) as $chunk) {
            foreach ($columns as $column => $of) {
                if (array_filter($of, static fn (Kind $k): bool => isset($kinds[$k->value])) !== []) {
                    self::requireNone(Opening::query()->toBase(), $project, $column, $chunk, $touched);
                }
            }
            if (isset($kinds[Kind::Storey->value]) || isset($kinds[Kind::Outline->value])) {
                foreach (['base_storey_id', 'top_storey_id', 'outline_id'] as $column) {
                    self::requireNone(Wall::query()->toBase(), $project, $column, $chunk, $touched);
                }
            }
            if (isset($kinds[Kind::Wall->value])) {
                self::requireNone(SettingOutLine::query()->toBase(), $project, 'wall_id', $chunk, $touched);
            }
        }
        if (isset($kinds[Kind::Opening->value]) || isset($kinds[Kind::Line->value])) {
            foreach (SettingOutLine::query()->toBase()->where('project_id', $project->id)->get() as $row) {
                if (in_array(self::refOf((array) $row), $gone, true) && ! in_array($row->id, $touched, true)) {
                    throw self::used([$row->id]);
                }
            }
        }
    }

    /**
     * @param  list<string>  $ids
     * @param  list<string>  $touched  by the same change
     */
    private static function requireNone(Builder $query, Project $project, string $column, array $ids, array $touched): void
    {
        $standing = array_diff(
            $query->where('project_id', $project->id)->whereIn($column, $ids)->limit(count($touched) + 5)->pluck('id')->all(),
            $touched,
        );
        if ($standing !== []) {
            throw self::used(array_values($standing));
        }
    }

    /** @param  list<string>  $elements */
    private static function used(array $elements): Refusal
    {
        return Refusal::because(
            'undo.used_since',
            'Something else has been placed on this since then, so it cannot be taken back on its own.',
            $elements,
        );
    }

    /** @param  array<string, mixed>  $line row */
    private static function refOf(array $line): ?string
    {
        $rule = json_decode((string) $line['rule'], true);

        return is_array($rule) && is_string($rule['ref'] ?? null) ? $rule['ref'] : null;
    }
}
