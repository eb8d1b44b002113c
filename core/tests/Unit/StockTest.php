<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Unit;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units as Measure;
use Isleward\Core\Tests\Support\Units;
use Isleward\Core\Unit\Operation;
use Isleward\Core\Unit\Stock;
use Isleward\Core\Unit\UnitTree;
use PHPUnit\Framework\TestCase;

/** The ready stock of projects in feet and inches: whole sizes of common practice, every one of which can be built. */
final class StockTest extends TestCase
{
    public function test_in_feet_and_inches_sizes_are_whole_and_each_can_be_built(): void
    {
        $metric = array_column(Stock::types(), null, 'mark');
        $feet = array_column(Stock::types(Measure::FeetInches), null, 'mark');
        self::assertSame(array_keys($metric), array_keys($feet));
        foreach ($feet as $mark => $type) {
            foreach (['width', 'height', 'sill'] as $what) {
                $inches = $type[$what] / 25.4;
                self::assertEqualsWithDelta(round($inches), $inches, 1e-9, "$mark, $what");
            }
            // what it is made of lies within a third of what the metric one is, and builds
            self::assertEqualsWithDelta(1.0, $type['width'] / $metric[$mark]['width'], 0.34, $mark);
            $unit = Units::solve(UnitTree::from(new Fields($type['tree']))->toArray(), $type['width'], $type['height']);
            $same = Units::solve(Units::stock($mark), $metric[$mark]['width'], $metric[$mark]['height']);
            self::assertCount(count($same->lights), $unit->lights);
            self::assertGreaterThan(0.0, $unit->outline->area());
            if ($mark[0] === 'W' && $type['height'] / 25.4 === 60.0) {
                self::assertEqualsWithDelta(80.0, ($type['sill'] + $type['height']) / 25.4, 1e-9, 'heads lie with those of doors');
            }
        }
        self::assertSame(['3\' 0"', '6\' 8"'], array_map(
            static fn (string $what): string => Length::format($feet['D-01'][$what], Measure::FeetInches), ['width', 'height'],
        ));
        self::assertSame('2\' 6"', Length::format($feet['W-02']['width'], Measure::FeetInches));
    }

    public function test_what_opens_is_found_by_other_words_of_the_trade_too(): void
    {
        foreach ([
            'casement' => Operation::SideHung, 'awning' => Operation::TopHung, 'hopper' => Operation::BottomHung,
            'sash window' => Operation::VerticalSliding, 'double hung' => Operation::VerticalSliding,
            'patio door' => Operation::SlidingDoor, 'french door' => Operation::DoorPair, 'bifold' => Operation::Folding,
            'picture' => Operation::Fixed,
        ] as $word => $operation) {
            self::assertContains($word, $operation->alsoCalled());
        }
    }
}
