<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

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
        $widths = self::widths($table);
        $all = array_sum($widths);
        $columns = [];
        foreach ($widths as $i => $w) {
            // a column of numbers ends a little before the next begins
            $columns[] = [$w / $all, $table->decimals[$i] === null ? 'start' : 'end'];
        }

        return new Block($table->name, $table->headings, $columns, array_map(static fn (array $row): array => self::texts($row, $table->decimals), $table->all()));
    }

    /** @return array{float, float} width and height on paper, mm */
    public static function size(Report $report): array
    {
        $table = $report->table();

        return [array_sum(self::widths($table)), (count($table->all()) + 2) * self::ROW + self::ROW * 0.8];
    }

    /** @return list<float> mm */
    private static function widths(Table $table): array
    {
        $letters = array_map(static fn (string $h): float => mb_strlen($h) * 0.92, $table->headings);
        foreach ($table->all() as $row) {
            if (count(array_filter($row, static fn (string|float|int|null $v): bool => $v !== null)) === 1 && count($row) > 1) {
                continue; // a group's title runs over its row
            }
            foreach (self::texts($row, $table->decimals) as $i => $text) {
                $letters[$i] = max($letters[$i] ?? 0.0, (float) mb_strlen($text));
            }
        }

        return array_values(array_map(static fn (float $n): float => ($n + 3) * self::ROW * 0.56 * self::LETTER, $letters));
    }

    /**
     * @param  list<string|float|int|null>  $row
     * @param  list<int|null>  $decimals
     * @return list<string>
     */
    private static function texts(array $row, array $decimals): array
    {
        $texts = [];
        foreach ($row as $i => $value) {
            $texts[] = is_float($value) ? Table::figure($value, $decimals[$i] ?? 3) : (string) $value;
        }

        return $texts;
    }
}
