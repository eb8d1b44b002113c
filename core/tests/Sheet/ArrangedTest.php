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
use Isleward\Core\Sheet\Arranged;
use Isleward\Core\Sheet\Paper;
use Isleward\Core\Sheet\Scale;
use Isleward\Core\Sheet\SheetDrawings;
use Isleward\Core\Sheet\SheetPlaces;
use Isleward\Core\Sheet\SheetPlan;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

final class ArrangedTest extends TestCase
{
    public function test_what_has_no_place_finds_one_and_what_overlaps_or_is_gone_is_said(): void
    {
        [$house, $drawings] = self::drawings();
        $wanted = static fn (string $kind, string $ref): array => [
            'kind' => $kind,
            'ref' => $ref,
            'scale' => null,
            'x' => null,
            'y' => null,
        ];
        $items = SheetPlaces::of(
            $drawings,
            Paper::A2,
            [$wanted('elevation', 'outside'), $wanted('plan', $house->storey(0)), $wanted('schedule', 'by-type')],
        );
        $sheet = self::arranged($drawings, $items);
        self::assertSame([null, null, null], array_column($sheet['blocks'], 'problem'));
        self::assertCount(1, $sheet['pages']);
        self::assertContains($items[0]['scale'], Scale::usual(Units::Millimetre));
        $items[1] = ['x' => $items[0]['x'] + 5, 'y' => $items[0]['y'] + 5] + $items[1];
        $items[] = ['kind' => 'plan', 'ref' => 'st-gone', 'scale' => 50.0, 'x' => 30.0, 'y' => 300.0];
        $items[] = ['kind' => 'elevation', 'ref' => 'outside', 'scale' => 50.0, 'x' => 30.0, 'y' => 200.0];
        $problems = array_column(self::arranged($drawings, $items)['blocks'], 'problem');
        self::assertSame('It lies over “Plan S0”.', $problems[0]);
        self::assertSame('This plan’s storey is not in the project any more.', $problems[3]);
        self::assertSame('It runs over the border of the sheet.', $problems[4]);
    }

    public function test_a_long_schedule_goes_on_over_further_sheets_and_loses_no_row(): void
    {
        [$house, $drawings] = self::drawings(90);
        $pages = self::arranged(
            $drawings,
            [['kind' => 'schedule', 'ref' => 'each', 'scale' => 1.0, 'x' => 25.0, 'y' => 15.0]],
            'A4',
        )['pages'];
        self::assertGreaterThan(1, count($pages));
        self::assertSame(
            count($house->design->openings),
            array_sum(array_map(static fn (string $p): int => substr_count($p, '>W-09<'), $pages)),
        );
        foreach ($pages as $page) {
            self::assertNotFalse(simplexml_load_string($page));
        }
    }

    /** @return array{House, SheetDrawings} */
    private static function drawings(int $openings = 3): array
    {
        $house = House::box(80000);
        for ($i = 0; $i < $openings; $i++) {
            $house->place(['left' => 500 + $i * 850, 'type' => $house->type('W-09')->id]);
        }
        $bodies = Bodies::of($house->design);
        $frontages = Frontages::of($house->design, $bodies);

        return [
            $house, new SheetDrawings(
                $house->design, $bodies, $frontages, static function (string $id) use ($house, $bodies, $frontages): ?Report {
                    $layout = Layout::ready($id, $house->design);

                    return $layout === null
                                    ? null
                                    : Report::of(
                                        Source::of($layout->source, $house->design, $bodies, $frontages),
                                        $layout,
                                        $house->design->settings->units,
                                    );
                })];
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @return array{pages: list<string>, blocks: list<array<string, mixed>>}
     */
    private static function arranged(SheetDrawings $drawings, array $items, string $paper = 'A2'): array
    {
        return Arranged::of(
            $drawings,
            SheetPlan::from(new Fields(['id' => 'sh', 'number' => 'A-01', 'name' => 'Quay', 'paper' => $paper, 'items' => $items])),
            '25 November 2026',
            'C',
        );
    }
}
