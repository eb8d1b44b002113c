<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\Design\Settings;
use Isleward\Core\Measure\Units;

/** The sheet of a type: its drawings at the left, its tables down the right. Tables that do not fit go on to further sheets. */
final class TypeSheet
{
    /** Usual scales, the largest first. */
    public const SCALES = [1.0, 2.0, 5.0, 10.0, 20.0, 25.0, 50.0, 100.0, 200.0, 500.0];

    public const GAP = 8.0;

    private const ROW = 4.4;

    /**
     * @param  \Closure(Page, float, float, float, float): string  $draw  places the drawings in a rectangle of the page, mm, and gives
     *    their scale as it is to be written
     * @param  list<Block>  $tables
     * @param  string  $date  as it is to be written
     * @return list<string> SVG, the first with the drawings
     */
    public static function pages(
        string $mark,
        string $name,
        Settings $settings,
        Paper $paper,
        string $date,
        \Closure $draw,
        array $tables,
    ): array {
        [$width, $height] = $paper->size();
        $column = max(92.0, min(130.0, $width * 0.29));
        $left = TitleBlock::LEFT + 4;
        $right = $width - TitleBlock::EDGE - $column - 4;
        $title = trim($mark.' '.$name);
        $first = new Page($width, $height, $title.' · '.$settings->name);
        $scale = $draw($first, $left, TitleBlock::EDGE + 6, $right - self::GAP, $height - TitleBlock::EDGE - 6);
        $first->line($right, TitleBlock::EDGE, $right, $height - TitleBlock::EDGE, 0.25);

        $pages = [$first];
        $bottom = $height - TitleBlock::EDGE - TitleBlock::HEIGHT - 3;
        $tables = self::flow($tables, $first, [$right + 4], $column - 4, TitleBlock::EDGE + 2, $bottom);
        while ($tables !== []) {
            $pages[] = $page = new Page($width, $height, $title.', continued · '.$settings->name);
            $columns = max(1, (int) floor(($width - $left - TitleBlock::EDGE - 4) / ($column + 4)));
            $tables = self::flow(
                $tables,
                $page,
                array_map(static fn (int $i): float => $left + $i * ($column + 4), range(0, $columns - 1)),
                $column - 4,
                TitleBlock::EDGE + 2,
                $bottom,
            );
        }
        $units = match ($settings->units) {
            Units::Millimetre => 'mm', Units::Metre => 'm', Units::FeetInches => 'feet and inches'
        };
        foreach ($pages as $i => $page) {
            (new TitleBlock(
                $settings->name,
                $title,
                $i === 0 ? $scale : 'none',
                $units,
                $date,
                sprintf('%s %d of %d', $mark, $i + 1, count($pages)),
            ))->draw($page, $column + 4);
        }

        return array_map(static fn (Page $p): string => $p->svg(), $pages);
    }

    /** "1:20" */
    public static function scale(float $scale): string
    {
        return '1:'.rtrim(rtrim(number_format($scale, 1, '.', ''), '0'), '.');
    }

    /** @param  \Closure(float): bool  $fits  whether drawings at a scale have room */
    public static function largest(\Closure $fits): float
    {
        foreach (self::SCALES as $scale) {
            if ($fits($scale)) {
                return $scale;
            }
        }

        return self::SCALES[count(self::SCALES) - 1];
    }

    /**
     * Fills columns with tables and gives what is left.
     *
     * @param  list<Block>  $tables
     * @param  list<float>  $columns  where they begin
     * @return list<Block>
     */
    private static function flow(array $tables, Page $page, array $columns, float $width, float $top, float $bottom): array
    {
        foreach ($columns as $x) {
            $y = $top;
            while ($tables !== []) {
                $table = array_shift($tables);
                $rows = (int) floor(($bottom - $y) / self::ROW) - $table->head();
                // a table begins with three rows at least, or with all it has
                [$now, $rest] = $rows < min(3, count($table->rows)) ? [null, $table] : $table->split($rows);
                $y = $now?->draw($page, $x, $y, $width, self::ROW) ?? $y;
                if ($rest !== null) {
                    array_unshift($tables, $rest);
                    break;
                }
            }
        }

        return $tables;
    }
}
