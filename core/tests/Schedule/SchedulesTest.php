<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Schedule;

use Isleward\Core\Exchange\Csv;
use Isleward\Core\Schedule\OpeningSchedule;
use Isleward\Core\Schedule\Table;
use Isleward\Core\Schedule\WallSchedule;
use Isleward\Core\Tests\Support\House;
use Isleward\Core\Wall\Bodies;
use Isleward\Core\Wall\Frontages;
use PHPUnit\Framework\TestCase;

final class SchedulesTest extends TestCase
{
    public function test_openings_are_grouped_by_type_and_size_and_counted_by_storey(): void
    {
        $house = House::box();
        foreach ([[1000, 0], [4000, 0], [1000, 1]] as [$left, $storey]) {
            $house->place(['left' => $left, 'type' => $house->type('W-03')->id], storey: $storey);
        }
        $house->place(['left' => 7000, 'width' => 1500, 'type' => $house->type('W-03')->id]);
        $house->place(['left' => 9500, 'width' => 1000, 'height' => 1000, 'shape' => [0, 0, 1, 0, 1, 1]]);
        $schedule = OpeningSchedule::of($house->design);
        self::assertSame([['W-03', 1200.0, 3], ['W-03', 1500.0, 1], ['bare', 1000.0, 1]], array_map(static fn ($r): array => [$r->mark, $r->width, count($r->openings)], $schedule->rows));
        self::assertSame([$house->storey(0) => 2, $house->storey(1) => 1], $schedule->rows[0]->byStorey);
        self::assertEqualsWithDelta(3 * 1.2 * 1.45 + 1.5 * 1.45 + 0.5, $schedule->area() / 1e6, 1e-9);
        self::assertSame(['Total', '', '', '', 5, 4, 1, '', '7.895'], array_slice($schedule->table()->totals, 0, 9));
    }

    public function test_walls_count_overlaps_once_and_nothing_beyond_the_edge(): void
    {
        $house = House::box();
        $house->place(['left' => 1000, 'width' => 1000, 'height' => 1000]);
        $house->place(['left' => 1500, 'width' => 1000, 'height' => 1000]);
        $house->place(['left' => 11500, 'width' => 1000, 'height' => 1000]);
        $bodies = Bodies::of($house->design);
        $schedule = WallSchedule::of($house->design, $bodies, Frontages::of($house->design, $bodies));
        self::assertEqualsWithDelta(12000 * 7200, $schedule->rows[0]->gross, 1e-6);
        self::assertEqualsWithDelta(2_000_000, $schedule->rows[0]->cutOut, 1e-6);
        self::assertEqualsWithDelta(40000 * 7200 - 2_000_000, $schedule->totals()['net'], 1e-6);
    }

    /** RFC 4180 (from memory): CRLF, quotes doubled inside quoted fields. Read back by PHP's own reader. */
    public function test_csv_reads_back_as_it_was(): void
    {
        $rows = [['W "wide"', 'a,b', "two\nlines", 3], ['plain', '-5', '=1+1', 0]];
        $text = Csv::write(new Table(['A', 'B', 'C', 'D'], $rows, ['Total', '', '', 3]));
        $file = fopen('php://memory', 'r+');
        self::assertNotFalse($file);
        fwrite($file, $text);
        rewind($file);
        $back = [];
        while (($row = fgetcsv($file, null, ',', '"', '')) !== false) {
            $back[] = $row;
        }
        self::assertSame([['A', 'B', 'C', 'D'], ['W "wide"', 'a,b', "two\nlines", '3'], ['plain', '-5', "'=1+1", '0'], ['Total', '', '', '3']], $back);
        self::assertStringEndsWith("\r\n", $text);
    }
}
