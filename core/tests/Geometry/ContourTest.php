<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Geometry;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Margin;
use Isleward\Core\Geometry\Vec2;
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

    /** What is turned, moved and mirrored is as large, as long and as curved as it was, and comes back where it was. */
    public function test_turning_and_mirroring_keep_what_it_is(): void
    {
        mt_srand(2718);
        for ($i = 0; $i < 300; $i++) {
            $contour = Units::random()->outline;
            [$angle, $about] = [mt_rand(1, 6000) / 1000, new Vec2(mt_rand(-900, 900), mt_rand(-900, 900))];
            [$a, $b] = [new Vec2(mt_rand(-500, 500), 13.0), new Vec2(2000.0, mt_rand(-500, 500))];
            foreach ([$contour->turned($angle, $about), $contour->mirroredAbout($a, $b), $contour->shifted(31.0, -7.0)] as $moved) {
                self::assertEqualsWithDelta($contour->area(), $moved->area(), 1e-4, "outline $i");
                self::assertEqualsWithDelta($contour->perimeter(), $moved->perimeter(), 1e-5, "outline $i");
                self::assertSame($contour->hasCurves(), $moved->hasCurves());
                // as wide as the points on it are apart
                $ring = $moved->ring(0.0005);
                $xs = array_filter($ring, static fn (int $k): bool => $k % 2 === 0, ARRAY_FILTER_USE_KEY);
                self::assertEqualsWithDelta([min($xs), max($xs)], [$moved->bounds()[0], $moved->bounds()[2]], 1e-3, "outline $i");
            }
            $back = [$contour->turned($angle, $about)->turned(-$angle, $about), $contour->mirroredAbout($a, $b)->mirroredAbout($b, $a)];
            foreach ($back as $again) {
                self::assertEqualsWithDelta($contour->bounds(), $again->bounds(), 1e-6, "outline $i");
                foreach ($again->edges() as $k => $edge) {
                    self::assertEqualsWithDelta($contour->edges()[$k]->at(0.3), $edge->at(0.3), 1e-6, "outline $i");
                }
            }
        }
    }

    public function test_what_any_line_cuts_apart_adds_up_again(): void
    {
        mt_srand(1414);
        $cut = 0;
        for ($i = 0; $i < 300; $i++) {
            $contour = Units::random()->outline;
            [$x0, $y0, $x1, $y1] = $contour->bounds();
            $a = new Vec2($x0 + ($x1 - $x0) * mt_rand(1, 99) / 100, $y0 + ($y1 - $y0) * mt_rand(1, 99) / 100);
            $b = $a->plus(Vec2::atAngle(mt_rand(0, 6283) / 1000)->times(1000.0));
            $sum = 0.0;
            foreach ([[$a, $b, 1.0], [$b, $a, -1.0]] as [$from, $to, $sign]) {
                foreach ($contour->leftOf($from, $to) as $piece) {
                    $sum += $piece->area();
                    foreach ($piece->edges() as $edge) {
                        self::assertGreaterThan(
                            -1e-4,
                            $b->minus($a)->cross((new Vec2(...$edge->at(0.5)))->minus($a)) * $sign / 1000.0,
                            "outline $i",
                        );
                    }
                    $cut++;
                }
            }
            self::assertEqualsWithDelta($contour->area(), $sum, 1e-2, "outline $i");
        }
        self::assertGreaterThan(500, $cut);
    }

    /** Circle of 1000 cut 500 from its middle, at any turn: r² acos(d/r) − d √(r² − d²) = 614 184.8 (handbook formula, from memory). */
    public function test_a_circle_is_cut_to_the_handbooks_segment_at_any_turn(): void
    {
        $circle = Contour::of([Curve::curved(300, 200, 1000, 1000, 0.0, M_PI), Curve::curved(300, 200, 1000, 1000, M_PI, M_PI)]);
        foreach ([0.0, 0.4, 1.1, 2.9, 4.4] as $angle) {
            $n = Vec2::atAngle($angle);
            $on = (new Vec2(300, 200))->plus($n->times(500));
            $pieces = $circle->leftOf($on, $on->plus($n->rightHand()));
            self::assertCount(1, $pieces);
            self::assertEqualsWithDelta(614_184.85, $pieces[0]->area(), 0.01);
            self::assertEqualsWithDelta(1000 * 2 * M_PI / 3 + sqrt(3) * 1000, $pieces[0]->perimeter(), 1e-4);
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
            $round = Units::solve(
                [
                    'outline' => ['kind' => 'round'],
                    'frame' => ['jamb' => 0, 'head' => 0, 'sill' => 0, 'depth' => 70],
                    'root' => Units::GLASS,
                ],
                1000,
                1000,
            )->outline->ring($sagitta);
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

    /** Along each side what is left keeps the side's width from it, and the pieces and it fill the outline, whatever the widths. */
    public function test_margins_of_straight_outlines_keep_their_widths_and_fill_them(): void
    {
        mt_srand(1618);
        $seen = 0;
        for ($i = 0; $i < 600; $i++) {
            $outline = Units::random()->outline;
            $widths = array_map(static fn (): float => (float) mt_rand(5, 90), $outline->edges());
            $margin = Margin::inside($outline, $widths);
            if ($outline->hasCurves() || $margin->inner === null) {
                continue;
            }
            $seen++;
            $filled = $margin->inner->area();
            foreach ($outline->edges() as $k => $edge) {
                $filled += $margin->piece($k)?->area() ?? 0.0;
                [$dx, $dy] = $edge->direction(0.0);
                foreach ($margin->lines[$k] === null ? [] : $margin->inside[$k] as [$x, $y]) {
                    $off = ($y - $edge->y0) * $dx - ($x - $edge->x0) * $dy;
                    self::assertEqualsWithDelta($widths[$k], $off, 1e-6, "outline $i, side $k");
                }
            }
            self::assertEqualsWithDelta($outline->area(), $filled, 1e-3, "outline $i");
        }
        self::assertGreaterThan(200, $seen);
    }

    /** A level through the middle of a circle goes through two corners, where its halves meet: it is as wide there as anywhere near. */
    public function test_lines_through_corners_run_inside_as_long_as_beside_them(): void
    {
        $circle = Units::solve(
            ['outline' => ['kind' => 'round'], 'frame' => ['jamb' => 0, 'head' => 0, 'sill' => 0, 'depth' => 70], 'root' => Units::GLASS],
            800,
            800,
        )->outline;
        foreach ([false, true] as $upright) {
            foreach ([$circle, $circle->turned(M_PI_2, new Vec2(400.0, 400.0))] as $turned) {
                self::assertEqualsWithDelta([[0.0, 800.0]], $turned->spans($upright, 400.0), 1e-6);
            }
        }
        // of random outlines at every corner: as much as just beside it on one side or the other, or between the two
        mt_srand(577);
        for ($i = 0; $i < 300; $i++) {
            $outline = Units::random()->outline;
            foreach ($outline->edges() as $edge) {
                foreach ([[true, $edge->x0], [false, $edge->y0]] as [$upright, $at]) {
                    [$low, $here, $high] = array_map(
                        static fn (float $by): float => array_sum(array_map(
                            static fn (array $s): float => $s[1] - $s[0],
                            $outline->spans($upright, $at + $by),
                        )),
                        [-1e-4, 0.0, 1e-4],
                    );
                    if ($low > 0.0 && $high > 0.0) {
                        self::assertGreaterThan(min($low, $high) - 1.0, $here, "outline $i");
                        self::assertLessThan(max($low, $high) + 1.0, $here, "outline $i");
                    }
                }
            }
        }
    }

    /** Inside a rectangle by hand; outside a circle a ring as wide as it is asked for; where nothing is left, nothing. */
    public function test_margins(): void
    {
        $margin = Margin::inside(Contour::rectangle(0, 0, 1000, 600), [40.0, 30.0, 20.0, 10.0]);
        self::assertSame([10.0, 40.0, 970.0, 580.0], $margin->inner?->bounds());
        $round = Units::solve(
            ['outline' => ['kind' => 'round'], 'frame' => ['jamb' => 0, 'head' => 0, 'sill' => 0, 'depth' => 70], 'root' => Units::GLASS],
            800,
            800,
        )->outline;
        self::assertEqualsWithDelta(M_PI * 450 ** 2, Margin::outside($round, 50.0)->inner?->area(), 1e-6);
        self::assertNull(Margin::inside($round, [410.0, 410.0])->inner);
    }
}
