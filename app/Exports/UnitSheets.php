<?php

declare(strict_types=1);

namespace App\Exports;

use App\Assembly\Assembly;
use App\Derived\Structure;
use App\Models\Opening;
use App\Models\Project;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Sheet\Paper;
use Isleward\Core\Sheet\UnitSheet;

/** Sheets of unit types: one type's for looking at, all of them in one file. */
final readonly class UnitSheets
{
    public function __construct(private Assembly $assembly)
    {
    }

    public static function paper(string $name): Paper
    {
        return Paper::tryFrom($name) ?? throw Refusal::because(
            'sheets.paper',
            sprintf(
                '“%s” is no size of paper here; there are %s.',
                $name,
                implode(', ', array_map(static fn (Paper $p): string => $p->value, Paper::cases())),
            ),
        );
    }

    /** @return list<string>|null SVG; null when there is no such type */
    public function of(Project $project, string $type, Paper $paper): ?array
    {
        $structure = new Structure($this->assembly, $project);
        $found = $structure->design()->types[$type] ?? null;

        return $found === null ? null : self::pages($structure, $found, $this->counts($project, [$type])[$type] ?? [], $paper);
    }

    /**
     * @param  list<string>|null  $ids
     * @return list<UnitType> those wanted, in the order of the rack
     */
    public static function wanted(Structure $structure, ?array $ids): array
    {
        $types = array_values(
            array_filter($structure->design()->types, static fn (UnitType $t): bool => $ids === null || in_array($t->id, $ids, true)),
        );
        usort($types, static fn (UnitType $a, UnitType $b): int => $a->position <=> $b->position);

        return $types;
    }

    /**
     * @param  list<UnitType>  $types
     * @return \Generator<int, array{UnitType, list<string>}> each with its sheets, as they are drawn
     */
    public function each(Project $project, Structure $structure, array $types, Paper $paper): \Generator
    {
        $counts = $this->counts($project, array_map(static fn (UnitType $t): string => $t->id, $types));
        foreach ($types as $type) {
            yield [$type, self::pages($structure, $type, $counts[$type->id] ?? [], $paper)];
        }
    }

    /**
     * @param  array<string, int>  $counts
     * @return list<string>
     */
    private static function pages(Structure $structure, UnitType $type, array $counts, Paper $paper): array
    {
        $design = $structure->design();
        $byName = [];
        foreach ($design->storeys->all as $storey) {
            if (isset($counts[$storey->id])) {
                $byName[$storey->name] = ($byName[$storey->name] ?? 0) + $counts[$storey->id];
            }
        }

        return UnitSheet::pages($type, $design->settings, $byName, $paper, now()->format('j F Y'));
    }

    /**
     * @param  list<string>  $ids
     * @return array<string, array<string, int>> openings by type and storey
     */
    private function counts(Project $project, array $ids): array
    {
        $counts = [];
        $rows = Opening::query()->toBase()->where('project_id', $project->id)->whereIn('unit_type_id', $ids)
            ->groupBy('unit_type_id', 'storey_id')->selectRaw('unit_type_id, storey_id, COUNT(*) AS n')->get();
        foreach ($rows as $row) {
            $counts[(string) $row->unit_type_id][(string) $row->storey_id] = (int) $row->n;
        }

        return $counts;
    }
}
