<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units;
use Isleward\Core\Schedule\Field;
use Isleward\Core\Schedule\Measured;
use Isleward\Core\Schedule\Report;
use Isleward\Core\Schedule\Table;

/** A schedule as a table for a sheet, its columns as wide as what stands in them. */
final class ScheduleBlock
{
    public const ROW = 5.0;

    /** Mean width of a letter, as a share of its height. */
    private const LETTER = 0.56;

    /** Headings of more letters than this may stand in two lines. */
    private const LONG = 12;

    public static function of(Report $report): Block
    {
        $table = $report->table();
        $widths = self::widths($report, $table);
        $all = array_sum($widths);
        $columns = [];
        foreach ($widths as $i => $w) {
            $columns[] = [$w / $all, $table->decimals[$i] === null ? 'start' : 'end'];
        }

        return new Block($table->name, self::wrapped($report, $table), $columns, self::rows($report, $table));
    }

    /** @return array{float, float} width and height on paper, mm */
    public static function size(Report $report): array
    {
        $table = $report->table();

        return [array_sum(self::widths($report, $table)), (count($table->all()) + self::of($report)->head()) * self::ROW + self::ROW * 0.8];
    }

    /** @return list<float> mm */
    private static function widths(Report $report, Table $table): array
    {
        $letters = array_map(static fn (string $h): float => max(array_map(
            static fn (string $line): float => mb_strlen($line) * 0.92, explode("\n", $h),
        )), self::wrapped($report, $table));
        foreach (self::letters($report, $table) as $i => $n) {
            $letters[$i] = max($letters[$i] ?? 0.0, $n);
        }

        return array_values(array_map(static fn (float $n): float => ($n + 3) * self::ROW * 0.56 * self::LETTER, $letters));
    }

    /** @return array<int, float> letters of the longest figure of each column */
    private static function letters(Report $report, Table $table): array
    {
        $letters = [];
        foreach (self::rows($report, $table) as $row) {
            if (count(array_filter($row, static fn (string $text): bool => $text !== '')) === 1 && count($row) > 1) {
                continue; // a group's title runs over its row
            }
            foreach ($row as $i => $text) {
                $letters[$i] = max($letters[$i] ?? 0.0, (float) mb_strlen($text));
            }
        }

        return $letters;
    }

    /** @return list<string> headings, in two lines where one would make their column wider than its figures */
    private static function wrapped(Report $report, Table $table): array
    {
        $letters = self::letters($report, $table);
        $out = [];
        foreach (self::headings($report, $table) as $i => $heading) {
            $best = $heading;
            $isShort = mb_strlen($heading) <= self::LONG || mb_strlen($heading) * 0.92 <= ($letters[$i] ?? 0.0);
            foreach ($isShort ? [] : array_keys(mb_str_split($heading), ' ', true) as $at) {
                $longest = max($at, mb_strlen($heading) - $at - 1);
                if ($longest < max(array_map(mb_strlen(...), explode("\n", $best)))) {
                    $best = mb_substr($heading, 0, $at)."\n".mb_substr($heading, $at + 1);
                }
            }
            $out[] = $best;
        }

        return $out;
    }

    /** @return list<string> on paper lengths of feet and inches say their own units */
    private static function headings(Report $report, Table $table): array
    {
        return array_map(
            static fn (array $column, string $heading): string => self::isSaid($report, $column['field']) ? $column['heading'] : $heading,
            $report->columns,
            $table->headings,
        );
    }

    /** @return list<list<string>> */
    private static function rows(Report $report, Table $table): array
    {
        $values = [...array_map(static fn (array $r): array => $r['values'], $report->rows), $report->totals ?? []];
        $rows = [];
        foreach ($table->all() as $n => $row) {
            $texts = [];
            foreach ($row as $i => $value) {
                $mm = $values[$n][$i] ?? null;
                $texts[] = match (true) {
                    is_float($value) && is_float($mm) && self::isSaid(
                        $report,
                        $report->columns[$i]['field'],
                    ) => Length::format($mm, $report->units),
                    is_float($value) => Table::figure($value, $table->decimals[$i] ?? 3),
                    default => (string) $value,
                };
            }
            $rows[] = $texts;
        }

        return $rows;
    }

    private static function isSaid(Report $report, Field $field): bool
    {
        return $report->units === Units::FeetInches && $field->measured === Measured::Length;
    }
}
