<?php

declare(strict_types=1);

namespace App\Exports;

use App\Assembly\Assembly;
use App\Derived\Structure;
use App\Models\Opening;
use App\Models\Project;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Refusal;
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
        return Paper::tryFrom($name) ?? throw Refusal::because('sheets.paper', sprintf('“%s” is no size of paper here; there are %s.', $name, implode(', ', array_map(static fn (Paper $p): string => $p->value, Paper::cases()))));
    }

    /** @return list<string>|null SVG; null when there is no such type */
    public function of(Project $project, string $type, Paper $paper): ?array
    {
        $structure = new Structure($this->assembly, $project);
        $found = $structure->design()->types[$type] ?? null;

        return $found === null ? null : self::pages($structure, $found, $this->counts($project, [$type])[$type] ?? [], $paper);
    }

    /**
     * @param  list<string>|null  $ids  null for all types, in the order of the rack
     * @param  \Closure(int, int): void  $tell  sheets drawn, of how many
     * @return array{string, int} the file's content and its number of sheets
     */
    public function all(Project $project, ?array $ids, Paper $paper, string $format, \Closure $tell): array
    {
        $structure = new Structure($this->assembly, $project);
        $types = array_values(array_filter($structure->design()->types, static fn (UnitType $t): bool => $ids === null || in_array($t->id, $ids, true)));
        if ($types === []) {
            throw Refusal::because('sheets.nothing', 'There are no unit types to draw sheets of.');
        }
        usort($types, static fn (UnitType $a, UnitType $b): int => $a->position <=> $b->position);
        $counts = $this->counts($project, $ids);
        $sheets = [];
        $total = count($types) + 1;
        foreach ($types as $i => $type) {
            foreach (self::pages($structure, $type, $counts[$type->id] ?? [], $paper) as $n => $svg) {
                $sheets[sprintf('%s%s.svg', preg_replace('/[^\w.-]+/u', '-', $type->mark), $n > 0 ? '-'.($n + 1) : '')] = $svg;
            }
            $tell($i + 1, $total);
        }
        $content = $format === 'zip' ? self::zip($sheets) : Pdf::of(array_values($sheets));
        $tell($total, $total);

        return [$content, count($sheets)];
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
     * @param  list<string>|null  $ids
     * @return array<string, array<string, int>> openings by type and storey
     */
    private function counts(Project $project, ?array $ids): array
    {
        $counts = [];
        $rows = Opening::query()->toBase()->where('project_id', $project->id)->whereNotNull('unit_type_id')->when($ids !== null, static fn ($q) => $q->whereIn('unit_type_id', $ids ?? []))
            ->groupBy('unit_type_id', 'storey_id')->selectRaw('unit_type_id, storey_id, COUNT(*) AS n')->get();
        foreach ($rows as $row) {
            $counts[(string) $row->unit_type_id][(string) $row->storey_id] = (int) $row->n;
        }

        return $counts;
    }

    /** @param  non-empty-array<string, string>  $files */
    private static function zip(array $files): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'isleward-zip');
        try {
            $zip = new \ZipArchive;
            if ($zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE) !== true) {
                throw new \RuntimeException("No archive can be written at $path.");
            }
            foreach ($files as $name => $content) {
                $zip->addFromString($name, $content);
            }
            $zip->close();

            return (string) file_get_contents($path);
        } finally {
            unlink($path);
        }
    }
}
