<?php

declare(strict_types=1);

namespace App\Exports;

use App\Assembly\Assembly;
use App\Derived\Structure;
use App\Models\Project;
use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Sheet\SheetPlan;

/** Sheets of drawings, of unit types and of grid types, many in one file. */
final readonly class SheetFiles
{
    public function __construct(private Assembly $assembly, private SheetPlans $plans, private TypeSheets $units)
    {
    }

    /**
     * @param  list<string>|null  $ids  of sheets and of types; null for all that is used: the sheets by their numbers, then the types that
     *    fill something in the order of the rack
     * @param  \Closure(int, int): void  $tell  drawn, of how many
     * @return array{string, int} the file's content and its number of pages
     */
    public function all(Project $project, ?array $ids, string $paper, string $format, \Closure $tell): array
    {
        $structure = new Structure($this->assembly, $project);
        $plans = array_values(
            array_filter(
                $structure->keptOf(Kind::Sheet),
                static fn ($k): bool => $k instanceof SheetPlan && ($ids === null || in_array($k->id, $ids, true)),
            ),
        );
        $unused = $ids === null ? TypeSheets::unused($project, $structure) : [];
        $types = array_values(array_filter(
            TypeSheets::wanted($structure, $ids), static fn (UnitType|GridType $t): bool => ! in_array($t, $unused, true),
        ));
        $total = count($plans) + count($types) + 1;
        if ($total === 1) {
            throw Refusal::because('sheets.nothing', $unused === [] ? 'There are no sheets and no types to draw.'
                : 'There are no sheets, and no type fills anything yet. Tick the types whose sheets you want.');
        }
        $pages = [];
        $drawings = $plans === [] ? null : $this->plans->drawings($project, $structure);
        foreach ($plans as $i => $plan) {
            foreach ($drawings === null ? [] : $this->plans->pages($project, $drawings, $plan)['pages'] as $n => $svg) {
                $pages[self::file($plan->called(), $n)] = $svg;
            }
            $tell($i + 1, $total);
        }
        foreach ($this->units->each($project, $structure, $types, TypeSheets::paper($paper)) as $i => [$mark, $sheets]) {
            foreach ($sheets as $n => $svg) {
                $pages[self::file($mark, $n)] = $svg;
            }
            $tell(count($plans) + $i + 1, $total);
        }
        if ($pages === []) {
            throw Refusal::because('sheets.nothing', 'There is nothing on these sheets.');
        }
        $content = $format === 'zip' ? self::zip($pages) : Pdf::of(array_values($pages));
        $tell($total, $total);

        return [$content, count($pages)];
    }

    private static function file(string $name, int $page): string
    {
        return sprintf('%s%s.svg', preg_replace('/[^\w.-]+/u', '-', $name), $page > 0 ? '-'.($page + 1) : '');
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
