<?php

declare(strict_types=1);

namespace App\Exports;

use App\Assembly\Assembly;
use App\Assembly\Ties;
use App\Derived\Structure;
use App\Models\Opening;
use App\Models\Project;
use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Pattern;
use Isleward\Core\Design\Tie;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Sheet\GridSheet;
use Isleward\Core\Sheet\Paper;
use Isleward\Core\Sheet\UnitSheet;

/** Sheets of unit types and grid types: one type's for looking at, all of them in one file. */
final readonly class TypeSheets
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
        foreach ($this->each($project, $structure, self::wanted($structure, [$type]), $paper) as [, $pages]) {
            return $pages;
        }

        return null;
    }

    /**
     * @param  list<string>|null  $ids
     * @return list<UnitType|GridType> those wanted, in the order of the rack
     */
    public static function wanted(Structure $structure, ?array $ids): array
    {
        $units = array_values($structure->design()->types);
        usort($units, static fn (UnitType $a, UnitType $b): int => $a->position <=> $b->position);
        $grids = array_map(
            static fn (Pattern $p): GridType => Runs::type($structure->design(), $p->id()),
            array_values($structure->design()->grids),
        );
        usort($grids, static fn (GridType $a, GridType $b): int => $a->position() <=> $b->position());

        return array_values(array_filter(
            [...$units, ...$grids],
            static fn (UnitType|GridType $t): bool => $ids === null || in_array($t->id(), $ids, true),
        ));
    }

    /** @return list<UnitType|GridType> those that fill nothing, in the order of the rack */
    public static function unused(Project $project, Structure $structure): array
    {
        $all = self::wanted($structure, null);
        $used = array_flip((new Ties)->named($project, array_map(self::id(...), $all), Tie::MadeOf));

        return array_values(array_filter($all, static fn (UnitType|GridType $t): bool => ! isset($used[self::id($t)])));
    }

    private static function id(UnitType|GridType $type): string
    {
        return $type instanceof GridType ? $type->id() : $type->id;
    }

    /**
     * @param  list<UnitType|GridType>  $types
     * @return \Generator<int, array{string, list<string>}> each one's mark with its sheets, as they are drawn
     */
    public function each(Project $project, Structure $structure, array $types, Paper $paper): \Generator
    {
        $counts = $this->counts($project, array_map(static fn (UnitType|GridType $t): string => $t->id(), $types));
        foreach ($types as $type) {
            yield $type instanceof GridType
                ? [$type->mark(), $this->gridPages($project, $structure, $type, $paper)]
                : [$type->mark, self::pages($structure, $type, $counts[$type->id] ?? [], $paper)];
        }
    }

    /** @return list<string> */
    private function gridPages(Project $project, Structure $structure, GridType $type, Paper $paper): array
    {
        $design = $structure->design();
        $places = [];
        foreach (Runs::in($design)->chainsBy($type->id()) as $walls) {
            $places[] = [
                $design->outlines[$walls[0]->outline]->name,
                sprintf('%d %s', count($walls), count($walls) === 1 ? 'stretch' : 'stretches'),
            ];
        }
        $letIn = count((new Ties)->naming($project, [$type->id()], Tie::MadeOf, Kind::Opening));
        if ($letIn > 0) {
            $places[] = ['Let into walls', (string) $letIn];
        }

        return GridSheet::pages($type, $design, $places, $paper, self::today());
    }

    private static function today(): string
    {
        return now()->format('j F Y');
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

        return UnitSheet::pages($type, $design->settings, $byName, $paper, self::today());
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
