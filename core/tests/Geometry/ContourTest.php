<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Geometry;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Margin;
use Isleward\Core\Tests\Support\Units;
use PHPUnit\Framework\TestCase;

/** Laws of contours, over random outlines with slopes, steps and arcs. */
final class ContourTest extends TestCase
{
    public function test_what_a_line_cuts_apart_adds_up_again(): void
    {
        mt_srand(314);
        for ($i = 0; $i < 600; $i++) {
            $contour = Units::random()->outline;
            [$x0, $y0, $x1, $y1] = $contour->bounds();
            foreach ([true, false] as $upright) {
                $at = $upright ? $x0 + ($x1 - $x0) * mt_rand(1, 99) / 100 : $y0 + ($y1 - $y0) * mt_rand(1, 99) / 100;
                $sides = [];
                foreach ([true, false] as $beyond) {
                    $area = 0.0;
                    foreach ($contour->clipped($upright, $at, $beyond) as $piece) {
                        self::assertGreaterThan(0.0, $piece->area(), "outline $i: each piece runs counter-clockwise");
                        [$a, $b, $c, $d] = $piece->bounds();
                        self::assertTrue($beyond ? ($upright ? $a : $b) >= $at - 1e-6 : ($upright ? $c : $d) <= $at + 1e-6);
                        $area += $piece->area();
                    }
                    $sides[] = $area;
                }
                self::assertEqualsWithDelta($contour->area(), array_sum($sides), 1e-3, "outline $i");
            }
        }
    }

    /** Integrating the spans of many lines gives the area (midpoint rule). */
    public function test_spans_are_as_wide_as_the_contour_is_there(): void
    {
        mt_srand(2718);
        for ($i = 0; $i < 40; $i++) {
            $contour = Units::random()->outline;
            [, $y0, , $y1] = $contour->bounds();
            $sum = 0.0;
            for ($k = 0; $k < 2000; $k++) {
                foreach ($contour->spans(false, $y0 + ($y1 - $y0) * ($k + 0.5) / 2000) as [$from, $to]) {
                    $sum += ($to - $from) * ($y1 - $y0) / 2000;
                }
            }
            self::assertEqualsWithDelta(1.0, $sum / $contour->area(), 1e-3, "outline $i");
        }
    }

    public function test_chords_leave_curves_by_no_more_than_they_may_and_mirroring_twice_changes_nothing(): void
    {
        foreach ([0.01, 0.5, 5.0] as $sagitta) {
            $ring = Units::bare(Units::GLASS, 1000, 1000)->outline->ring($sagitta);
            self::assertCount(8, $ring);
            $round = Units::solve(['outline' => ['kind' => 'round'], 'frame' => ['jamb' => 0, 'head' => 0, 'sill' => 0, 'depth' => 70], 'root' => Units::GLASS], 1000, 1000)->outline->ring($sagitta);
            for ($i = 0, $n = count($round); $i < $n; $i += 2) {
                $middle = hypot(($round[$i] + $round[($i + 2) % $n]) / 2 - 500, ($round[$i + 1] + $round[($i + 3) % $n]) / 2 - 500);
                self::assertLessThanOrEqual($sagitta + 1e-9, 500 - $middle);
            }
        }
        mt_srand(1618);
        for ($i = 0; $i < 60; $i++) {
            $contour = Units::random()->outline;
            self::assertEqualsWithDelta($contour->ring(), $contour->mirrored(777.0)->mirrored(777.0)->ring(), 1e-6);
        }
    }

    /** Inside a rectangle by hand; outside a circle a ring as wide as it is asked for; where nothing is left, nothing. */
    public function test_margins(): void
    {
        $margin = Margin::inside(Contour::rectangle(0, 0, 1000, 600), [40.0, 30.0, 20.0, 10.0]);
        self::assertSame([10.0, 40.0, 970.0, 580.0], $margin->inner?->bounds());
        $round = Units::solve(['outline' => ['kind' => 'round'], 'frame' => ['jamb' => 0, 'head' => 0, 'sill' => 0, 'depth' => 70], 'root' => Units::GLASS], 800, 800)->outline;
        self::assertEqualsWithDelta(M_PI * 450 ** 2, Margin::outside($round, 50.0)->inner?->area(), 1e-6);
        self::assertNull(Margin::inside($round, [410.0, 410.0])->inner);
    }
}
