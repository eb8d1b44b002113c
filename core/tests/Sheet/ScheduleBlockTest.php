<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Sheet;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Frontages;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Units;
use Isleward\Core\Schedule\Layout;
use Isleward\Core\Schedule\Report;
use Isleward\Core\Schedule\Source;
use Isleward\Core\Sheet\ScheduleBlock;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** A schedule on paper: long headings, storeys of any name, groups with their counts. */
final class ScheduleBlockTest extends TestCase
{
    /** @param  array<string, mixed>  $layout */
    private static function report(House $house, array $layout): Report
    {
        $bodies = Bodies::of($house->design);
        $source = Source::of('openings', $house->design, $bodies, Frontages::of($house->design, $bodies));

        return Report::of($source, Layout::from(new Fields($layout + [
            'id' => 'la', 'name' => 'Openings', 'source' => 'openings', 'merge' => false, 'totals' => true, 'sort' => [], 'filters' => [],
        ])), Units::Millimetre);
    }

    private static function house(): House
    {
        $house = House::box(24000, 9000, 300, [3600, 3600]);
        $house->do('storey.change', ['id' => $house->storey(1), 'name' => 'Storey 1']);
        foreach ([0, 0, 0, 1, 1] as $i => $storey) {
            $house->place(['left' => 800 + $i * 2000, 'type' => $house->type('W-03')->id, 'storey' => $house->storey($storey)]);
        }

        return $house;
    }

    public function test_groups_say_how_many_they_are_and_no_storey_is_said_twice(): void
    {
        $rows = self::report(self::house(), ['columns' => [['key' => 'mark'], ['key' => 'width']], 'groups' => ['storey']])->rows;
        self::assertSame(['Storey: S0', 'Storey 1'], array_values(array_map(
            static fn (array $r): string => $r['text'], array_filter($rows, static fn (array $r): bool => $r['kind'] === 'group'),
        )));
        self::assertSame(['S0, 3 together', 'Storey 1, 2 together'], array_values(array_map(
            static fn (array $r): string => $r['text'], array_filter($rows, static fn (array $r): bool => $r['kind'] === 'sum'),
        )));
    }

    public function test_a_heading_longer_than_its_figures_stands_in_two_lines_and_takes_no_more_room_than_them(): void
    {
        $long = ['key' => 'width', 'name' => 'Width between the jambs'];
        $report = self::report(self::house(), ['columns' => [['key' => 'mark'], $long], 'groups' => []]);
        $block = ScheduleBlock::of($report);
        self::assertSame(['Mark', "Width between\nthe jambs (mm)"], $block->headings);
        self::assertSame(3, $block->head());
        $short = self::report(self::house(), ['columns' => [['key' => 'mark'], ['key' => 'width', 'name' => 'W']], 'groups' => []]);
        self::assertSame(2, ScheduleBlock::of($short)->head());
        // a line more of heading is a row more of height
        self::assertEqualsWithDelta(ScheduleBlock::ROW, ScheduleBlock::size($report)[1] - ScheduleBlock::size($short)[1], 1e-9);
        self::assertLessThan(1.8 * ScheduleBlock::size($short)[0], ScheduleBlock::size($report)[0]);
    }
}
