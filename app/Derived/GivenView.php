<?php

declare(strict_types=1);

namespace App\Derived;

use App\Files\Content;
use App\Files\Store;
use App\Models\Project;
use Isleward\Core\Design\Storeys;
use Isleward\Core\Exchange\Cells;
use Isleward\Core\Given\Column;
use Isleward\Core\Given\Discrepancy;
use Isleward\Core\Given\GivenSchedule;
use Isleward\Core\Given\Headings;
use Isleward\Core\Given\Held;
use Isleward\Core\Given\Kinds;
use Isleward\Core\Given\Line;
use Isleward\Core\Given\Marks;
use Isleward\Core\Given\Reading;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;

/** A given schedule as it is read, to be looked over, and as it is held against the model. */
final readonly class GivenView
{
    private const SHOWN = 30;

    private const TOLD = 60;

    public function __construct(private Store $files)
    {
    }

    /**
     * How a table would be read: with columns as they are recognised, or as someone says.
     *
     * @param  list<Column>|null  $columns  null to recognise them
     * @return array<string, mixed>
     */
    public function reading(Project $project, Storeys $storeys, string $file, ?int $sheet, ?int $header, ?array $columns): array
    {
        $sheets = $this->sheets($project, $file);
        $sheet ??= self::likeliest($sheets, $storeys);
        $rows = ($sheets[$sheet] ?? throw Refusal::because('given.sheet', 'The workbook has no such sheet.'))->rows;
        if ($columns === null) {
            $width = max([0, ...array_map(count(...), array_slice($rows, 0, 200))]);
            [$header, $columns] = $header === null
                            ? Headings::find($rows, $storeys)
                            : [$header, Headings::columns($rows, $header, $width, $storeys)];
        }
        $units = $project->settings()->units;
        $problem = null;
        $lines = [];
        try {
            $lines = Reading::of($rows, $header, $columns, $storeys)->lines;
        } catch (Refusal $refusal) {
            $problem = $refusal->said($units);
        }

        return [
            'file' => $file, 'sheet' => $sheet, 'header' => $header,
            'sheets' => array_map(static fn (Cells $c): array => ['name' => $c->name, 'rows' => count($c->rows)], $sheets),
            'notes' => $sheets[$sheet]->notes,
            'columns' => array_map(static fn (Column $c): array => $c->toArray(), $columns),
            'rows' => array_slice($rows, 0, self::SHOWN), 'rowCount' => count($rows),
            'lines' => array_map(static fn (Line $l): array => $l->toArray(), array_slice($lines, 0, self::SHOWN)),
            'lineCount' => count($lines),
            'unread' => self::unread($lines, $units), 'problem' => $problem,
        ];
    }

    /** @return array<string, mixed> */
    public function held(Project $project, Structure $structure, GivenSchedule $given): array
    {
        $design = $structure->with($structure->openings());
        $sheets = $this->sheets($project, $given->file);
        $lines = Reading::of(
            ($sheets[$given->sheet] ?? throw Refusal::because('given.sheet', 'The workbook has no such sheet.'))->rows,
            $given->header,
            $given->columns,
            $design->storeys,
        )->lines;
        $held = Held::against($lines, $design);
        $made = $fresh = $kinds = [];
        foreach ($design->types as $type) {
            $made[Marks::key($type->mark)] = true;
        }
        foreach ($lines as $line) {
            $key = Marks::key($line->mark);
            if ($line->mark !== '' && ! isset($made[$key]) && $line->width !== null && $line->height !== null) {
                $made[$key] = true;
                $fresh[] = [
                    'mark' => $line->mark,
                    'kind' => $line->kind,
                    'width' => $line->width,
                    'height' => $line->height,
                    'sill' => $line->sill,
                ];
                $kinds[$line->kind] = ($kinds[$line->kind] ?? 0) + 1;
            }
        }
        $units = $project->settings()->units;

        return [
            'found' => array_map(static fn (Discrepancy $d): array => $d->toArray(), $held['found']), 'right' => $held['right'],
            'lines' => $held['lines'],
            'unread' => self::unread($lines, $units), 'fresh' => $fresh, 'ready' => Kinds::all(),
            'kinds' => array_map(
                static fn (string $k, int $n): array => ['kind' => $k, 'count' => $n, 'like' => Kinds::like($k)],
                array_map(strval(...), array_keys($kinds)),
                array_values($kinds),
            ),
        ];
    }

    /**
     * @param  list<Line>  $lines
     * @return list<array{row: int, mark: string, sentence: string}>
     */
    private static function unread(array $lines, Units $units): array
    {
        $told = [];
        foreach ($lines as $line) {
            foreach ($line->problems as $problem) {
                $told[] = ['row' => $line->row, 'mark' => $line->mark, 'sentence' => Length::said($problem, $units)];
            }
        }

        return array_slice($told, 0, self::TOLD);
    }

    /** @return non-empty-list<Cells> */
    private function sheets(Project $project, string $file): array
    {
        $content = $this->files->get($project, $file);
        if ($content === null) {
            throw Refusal::because('file.unknown', 'That file is not here: read it in again.');
        }
        // also of projects from before what a file holds was looked at when it was named
        if ($this->files->content($project, $file) !== Content::Table) {
            throw Refusal::because('file.kind', 'That file holds no schedule: read the schedule in again.');
        }
        $sheets = json_decode($content, true, 16, JSON_THROW_ON_ERROR);
        if (! is_array($sheets) || $sheets === []) {
            throw Refusal::because('file.unknown', 'That file is not here: read it in again.');
        }

        return array_map(static function (mixed $s): Cells {
            /** @var array{name: string, rows: list<list<string|float|null>>, notes: list<string>} $s */
            return new Cells($s['name'], $s['rows'], $s['notes']);
        }, array_values($sheets));
    }

    /**
     * The sheet in which the most columns are recognised.
     *
     * @param  non-empty-list<Cells>  $sheets
     */
    private static function likeliest(array $sheets, Storeys $storeys): int
    {
        $best = [0, -1];
        foreach ($sheets as $i => $sheet) {
            $n = count(array_filter(Headings::find($sheet->rows, $storeys)[1], static fn (Column $c): bool => $c->role->value !== 'none'));
            if ($n > $best[1]) {
                $best = [$i, $n];
            }
        }

        return $best[0];
    }
}
