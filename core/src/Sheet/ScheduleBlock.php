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

    public static function of(Report $report): Block
    {
        $table = $report->table();
        $widths = self::widths($report, $table);
        $all = array_sum($widths);
        $columns = [];
        foreach ($widths as $i => $w) {
            $columns[] = [$w / $all, $table->decimals[$i] === null ? 'start' : 'end'];
        }

        return new Block($table->name, self::headings($report, $table), $columns, self::rows($report, $table));
    }

    /** @return array{float, float} width and height on paper, mm */
    public static function size(Report $report): array
    {
        $table = $report->table();

        return [array_sum(self::widths($report, $table)), (count($table->all()) + 2) * self::ROW + self::ROW * 0.8];
    }

    /** @return list<float> mm */
    private static function widths(Report $report, Table $table): array
    {
        $letters = array_map(static fn (string $h): float => mb_strlen($h) * 0.92, self::headings($report, $table));
        foreach (self::rows($report, $table) as $row) {
            if (count(array_filter($row, static fn (string $text): bool => $text !== '')) === 1 && count($row) > 1) {
                continue; // a group's title runs over its row
            }
            foreach ($row as $i => $text) {
                $letters[$i] = max($letters[$i] ?? 0.0, (float) mb_strlen($text));
            }
        }

        return array_values(array_map(static fn (float $n): float => ($n + 3) * self::ROW * 0.56 * self::LETTER, $letters));
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
