<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Arrange;

use Isleward\Core\Arrange\Spacing;
use Isleward\Core\Measure\Refusal;
use PHPUnit\Framework\TestCase;

/** Worked by hand for five openings 900 + 1200 + 1800 + 2400 + 600 = 6900 wide along 12 345. */
final class SpacingTest extends TestCase
{
    private const WIDTHS = [900.0, 1200.0, 1800.0, 2400.0, 600.0];

    public function test_equal_gaps_between_the_ends(): void
    {
        // (12345 − 6900) / 6 = 907.5; then 907.5 + 900 + 907.5 = 2715, + 1200 + 907.5 = 4822.5, + 1800 + 907.5 = 7530, + 2400 + 907.5 =
        // 10837.5
        $spaced = Spacing::equalGaps(self::WIDTHS, 0.0, 12345.0, true);
        self::assertSame(907.5, $spaced->gap);
        self::assertSame([907.5, 2715.0, 4822.5, 7530.0, 10837.5], $spaced->starts);
    }

    public function test_equal_gaps_between_the_outer_two(): void
    {
        // from 445 to 11 945: (11500 − 6900) / 4 = 1150
        $spaced = Spacing::equalGaps(self::WIDTHS, 445.0, 11945.0, false);
        self::assertSame(1150.0, $spaced->gap);
        self::assertSame([445.0, 2495.0, 4845.0, 7795.0, 11345.0], $spaced->starts);
    }

    public function test_equal_centres(): void
    {
        // 12345 / 5 = 2469: centres at 1234.5, 3703.5, 6172.5, 8641.5, 11110.5
        $spaced = Spacing::equalCentres(self::WIDTHS, 0.0, 12345.0, true);
        self::assertSame(2469.0, $spaced->gap);
        self::assertSame([784.5, 3103.5, 5272.5, 7441.5, 10810.5], $spaced->starts);
        // outer two kept at 445 and 11 945: centres from 895 to 11645, (11645 − 895) / 4 = 2687.5
        $spaced = Spacing::equalCentres(self::WIDTHS, 445.0, 11945.0, false);
        self::assertSame(2687.5, $spaced->gap);
        self::assertSame([445.0, 2982.5, 5370.0, 7757.5, 11345.0], $spaced->starts);
    }

    public function test_as_many_as_fit_leaves_the_pier_exactly_when_it_comes_out_even(): void
    {
        // 5 × 1209 + 6 × 1050 = 12345
        $spaced = Spacing::asManyAsFit(1209.0, 0.0, 12345.0, 1050.0);
        self::assertCount(5, $spaced->starts);
        self::assertSame(1050.0, $spaced->gap);
        // one mm more of pier and one fewer fits: (12345 − 4 × 1209) / 5 = 1501.8
        $spaced = Spacing::asManyAsFit(1209.0, 0.0, 12345.0, 1051.0);
        self::assertCount(4, $spaced->starts);
        self::assertEqualsWithDelta(1501.8, $spaced->gap, 1e-9);
        $this->expectExceptionObject(
            Refusal::because('arrange.no_room', 'There is no room for even one with piers of that length at both sides.'),
        );
        Spacing::asManyAsFit(12000.0, 0.0, 12345.0, 200.0);
    }

    public function test_pitches_divisions_and_mirrors(): void
    {
        self::assertSame([3730.0, 6010.0, 8290.0], Spacing::byPitch(1450.0, 2280.0, 3)->starts);
        self::assertSame([-830.0], Spacing::byPitch(1450.0, -2280.0, 1)->starts);
        self::assertEqualsWithDelta([2469.0, 4938.0, 7407.0, 9876.0], Spacing::divide(0.0, 12345.0, 5), 1e-9);
        // 12345 − 1450 − 1200
        self::assertSame(9695.0, Spacing::mirrored(1450.0, 1200.0, 6172.5));
    }

    public function test_the_edge_cases(): void
    {
        self::assertSame([5572.5], Spacing::equalGaps([1200.0], 0.0, 12345.0, true)->starts, 'one stands in the middle');
        self::assertSame([5572.5], Spacing::equalCentres([1200.0], 0.0, 12345.0, true)->starts);
        self::assertSame(-150.0, Spacing::equalGaps([1000.0, 1000.0, 1000.0], 0.0, 2700.0, false)->gap, 'a negative gap is told as it is');
        foreach ([[1200.0], []] as $few) {
            try {
                Spacing::equalGaps($few, 0.0, 12345.0, false);
                self::fail('There was nothing to space.');
            } catch (Refusal $refusal) {
                self::assertSame('arrange.too_few', $refusal->reason);
            }
        }
    }

    /** Law: widths and gaps add up to the stretch, and mirroring twice gives back what there was. */
    public function test_gaps_and_widths_add_up(): void
    {
        mt_srand(12345);
        for ($run = 0; $run < 500; $run++) {
            $widths = array_map(static fn (): float => mt_rand(1, 30000) / 7, range(1, mt_rand(2, 20)));
            $from = mt_rand(-5000, 5000) / 3;
            $to = $from + array_sum($widths) + mt_rand(-3000, 40000) / 11;
            foreach ([true, false] as $ends) {
                $spaced = Spacing::equalGaps($widths, $from, $to, $ends);
                $last = count($widths) - 1;
                self::assertEqualsWithDelta($to, $spaced->starts[$last] + $widths[$last] + ($ends ? $spaced->gap : 0.0), 1e-6);
                for ($i = 0; $i < $last; $i++) {
                    self::assertEqualsWithDelta($spaced->gap, $spaced->starts[$i + 1] - $spaced->starts[$i] - $widths[$i], 1e-6);
                }
            }
            self::assertEqualsWithDelta($from, Spacing::mirrored(Spacing::mirrored($from, $widths[0], $to), $widths[0], $to), 1e-6);
        }
    }
}
