<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Schedule;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Frontages;
use Isleward\Core\Exchange\Csv;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Schedule\Layout;
use Isleward\Core\Schedule\Report;
use Isleward\Core\Schedule\Row;
use Isleward\Core\Schedule\Source;
use Isleward\Core\Schedule\Table;
use Isleward\Core\Schedule\TypeSchedule;
use Isleward\Core\Tests\Support\GridSample;
use Isleward\Core\Tests\Support\House;
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
        $report = self::report($house, 'by-type');
        self::assertSame(
            [['bare', 1000.0, 1, 1, 0], ['W-03', 1200.0, 3, 2, 1], ['W-03', 1500.0, 1, 1, 0]],
            array_map(
                static fn (array $r): array => [$r['values'][0], $r['values'][2], $r['values'][4], $r['values'][5], (int) $r['values'][6]],
                $report->rows,
            ),
        );
        self::assertCount(3, $report->rows[1]['elements']);
        self::assertSame(['Total', null, null, null, 5, 4, 1, null], array_slice($report->table()->totals ?? [], 0, 8));
        self::assertEqualsWithDelta(3 * 1.2 * 1.45 + 1.5 * 1.45 + 0.5, $report->table()->totals[8] ?? 0, 1e-9);
        self::assertSame(['Width (mm)', 'Height (mm)', 'Count', 'On S0'], array_slice($report->table()->headings, 2, 4));
    }

    /** Of a type everything is counted that has to be made: in an opening, in six cells, in a cut-out, in a row of three in the roof. */
    public function test_types_are_counted_wherever_they_stand(): void
    {
        $house = House::box(12000, 8000, 300, [3000, 3000]);
        $type = $house->type('W-13')->id;
        $house->place(['left' => 4000, 'type' => $type, 'width' => 900, 'height' => 900]);
        $grid = $house->do('grid.add', ['name' => 'vents'] + GridSample::values(['infills' => [
            ['where' => 'everywhere', 'infill' => ['kind' => 'vision', 'layers' => [6, 16, 6]]],
            ['where' => 'rows', 'numbers' => [1], 'infill' => ['kind' => 'unit', 'type' => $type]],
        ]]))->chosen[0];
        $house->do('outline.draw', [
            'points' => [[0, -9000], [9000, -9000]], 'closed' => false, 'grid' => $grid, 'base' => $house->storey(1),
            'top' => $house->storey(1),
        ]);
        $screen = $house->do('screen.add', ['walls' => [$house->wall()->id], 'storey' => $house->storey(0), 'gap' => 200])->chosen[0];
        $house->do('screen.draw', ['id' => $screen, 'cut' => true, 'wall' => $house->wall()->id, 'type' => $type, 'shape' => [
            'form' => 'rectangle', 'u' => 1000, 'v' => 300, 'width' => 1100, 'height' => 1400,
        ]]);
        $roof = $house->do('roof.add', ['outline' => $house->wall()->outline, 'pitch' => 35, 'overhang' => 0])->chosen[0];
        $house->do('roof.light', [
            'id' => $roof, 'type' => $type, 'wall' => $house->wall()->id, 'from' => 'middle', 'rise' => 900, 'count' => 3,
        ]);
        $bodies = Bodies::of($house->design);
        $rows = (new TypeSchedule)->rows($house->design, $bodies, Frontages::of($house->design, $bodies));
        $values = array_column(array_map(static fn (Row $r): array => $r->values, $rows), null, 'mark')['W-13'];
        self::assertSame(1 + 6 + 1 + 3, $values['count']);
        self::assertSame([2, 9], [$values['on:'.$house->storey(0)], $values['on:'.$house->storey(1)]]);
    }

    public function test_walls_count_overlaps_once_and_nothing_beyond_the_edge(): void
    {
        $house = House::box();
        $house->place(['left' => 1000, 'width' => 1000, 'height' => 1000]);
        $house->moved(['left' => 1500, 'width' => 1000, 'height' => 1000]);
        $house->place(['left' => 11500, 'width' => 1000, 'height' => 1000]);
        $report = self::report($house, 'walls');
        self::assertEqualsWithDelta(12000 * 7200, $report->rows[0]['values'][6], 1e-6);
        self::assertEqualsWithDelta(2_000_000, $report->rows[0]['values'][7], 1e-6);
        self::assertEqualsWithDelta(40000 * 7200 - 2_000_000, $report->totals[8] ?? 0, 1e-6);
    }

    /** Law: however rows are narrowed, grouped and made one, what is added up over the groups is what is added up over the openings. */
    public function test_groups_add_up_to_the_whole(): void
    {
        mt_srand(11);
        $house = House::box();
        $below = []; // how many of each width stand on the first storey, counted as they are placed
        for ($i = 0; $i < 40; $i++) {
            $width = 700 + 100 * mt_rand(0, 3);
            $type = [null, $house->type('W-01')->id, $house->type('W-03')->id][mt_rand(0, 2)];
            $place = ['left' => 200 + $i % 10 * 1150, 'width' => $width, 'height' => 900, 'type' => $type];
            $house->place($place, wall: intdiv($i, 10) % 2 * 2, storey: intdiv($i, 20));
            $below[$width] = ($below[$width] ?? 0) + ($i < 20 ? 1 : 0);
        }
        $whole = array_sum(array_map(static fn ($o): float => $o->width * 900, $house->design->openings));
        foreach ([[['storey'], false], [['storey', 'mark'], true], [['width'], true], [[], true]] as [$groups, $merge]) {
            $report = self::report(
                $house,
                [
                    'source' => 'openings',
                    'columns' => [['key' => 'mark'], ['key' => 'count'], ['key' => 'area']],
                    'groups' => $groups,
                    'merge' => $merge,
                ],
            );
            $rows = array_filter($report->rows, static fn (array $r): bool => $r['kind'] === 'row');
            self::assertSame([40, 40], [array_sum(array_column(array_column($rows, 'values'), 1)), $report->totals[1] ?? null]);
            self::assertEqualsWithDelta($whole, array_sum(array_column(array_column($rows, 'values'), 2)), 1e-3);
            self::assertCount(40, array_unique(array_merge(...array_column($rows, 'elements'))));
        }
        $wide = self::report($house, [
            'source' => 'openings', 'columns' => [['key' => 'width'], ['key' => 'count']], 'merge' => true,
            'filters' => [['key' => 'width', 'test' => 'above', 'value' => '0.8 m'], ['key' => 'storey', 'test' => 'is', 'value' => 's0']],
            'sort' => [['key' => 'width', 'down' => true]],
        ]);
        self::assertGreaterThan(0, min($below[700], $below[800], $below[900], $below[1000]), 'some of each to be left out or kept');
        self::assertEquals([[1000, $below[1000]], [900, $below[900]]], array_column($wide->rows, 'values'));
        $this->expectExceptionMessage('no column “colour”');
        self::report($house, ['source' => 'openings', 'columns' => [['key' => 'colour']]]);
    }

    /** @param  string|array<string, mixed>  $layout */
    private static function report(House $house, string|array $layout): Report
    {
        $bodies = Bodies::of($house->design);
        $made = is_string($layout)
                    ? Layout::ready($layout, $house->design)
                    : Layout::from(new Fields(['id' => 'la', 'name' => 'Tried'] + $layout));
        self::assertNotNull($made);

        return Report::of(
            Source::of($made->source, $house->design, $bodies, Frontages::of($house->design, $bodies)),
            $made,
            $house->design->settings->units,
        );
    }

    /** RFC 4180 (from memory): CRLF, quotes doubled inside quoted fields. Read back by PHP's own reader. */
    public function test_csv_reads_back_as_it_was(): void
    {
        $rows = [['W "wide"', 'a,b', "two\nlines", 3], ['plain', '-5', '=1+1', 0]];
        $text = Csv::write(new Table('T', ['A', 'B', 'C', 'D'], [null, null, null, 0], $rows, ['Total', null, null, 3]));
        $file = fopen('php://memory', 'r+');
        self::assertNotFalse($file);
        fwrite($file, $text);
        rewind($file);
        $back = [];
        while (($row = fgetcsv($file, null, ',', '"', '')) !== false) {
            $back[] = $row;
        }
        self::assertSame(
            [['A', 'B', 'C', 'D'], ['W "wide"', 'a,b', "two\nlines", '3'], ['plain', '-5', "'=1+1", '0'], ['Total', '', '', '3']],
            $back,
        );
        self::assertStringEndsWith("\r\n", $text);
    }
}
