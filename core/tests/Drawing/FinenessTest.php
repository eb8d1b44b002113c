<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Drawing;

use Isleward\Core\Drawing\Fineness;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use PHPUnit\Framework\TestCase;

final class FinenessTest extends TestCase
{
    /** Steps of ISO 128: 0.13, 0.18, 0.25, 0.35, 0.5 mm (from memory); 0.09 is the finest that is printed (common practice). */
    public function test_lines_are_thinner_the_smaller_the_scale(): void
    {
        $widths = static fn (float $scale): array => array_map(Fineness::at($scale)->weight(...), [Layer::Cut, Layer::Frame, Layer::Glass]);
        self::assertSame([0.5, 0.25, 0.13], $widths(5.0));
        self::assertSame([0.5, 0.25, 0.13], $widths(50.0));
        self::assertSame([0.35, 0.18, 0.09], $widths(100.0));
        self::assertSame([0.25, 0.13, 0.09], $widths(200.0));
        self::assertSame([0.18, 0.09, 0.09], $widths(500.0));
        foreach (Layer::cases() as $layer) {
            $last = INF;
            foreach ([1.0, 20.0, 50.0, 96.0, 100.0, 192.0, 250.0, 1000.0] as $scale) {
                $now = Fineness::at($scale)->weight($layer);
                self::assertLessThanOrEqual($last, $now);
                self::assertGreaterThanOrEqual(0.09, $now);
                $last = $now;
            }
        }
    }

    /** A frame's jamb 60 × 1 450: 0.6 on paper at 1:100, more than three lines of 0.18; 0.3 at 1:200, less than three of 0.13. */
    public function test_what_is_narrower_than_its_lines_has_no_outline(): void
    {
        $jamb = Shape::area(Layer::Frame, [[0.0, 0.0, 60.0, 0.0, 60.0, 1450.0, 0.0, 1450.0]]);
        $ring = Shape::area(Layer::Frame, [
            [0.0, 0.0, 1200.0, 0.0, 1200.0, 1450.0, 0.0, 1450.0], [60.0, 60.0, 60.0, 1390.0, 1140.0, 1390.0, 1140.0, 60.0],
        ]);
        $wall = Shape::area(Layer::Face, [[0.0, 0.0, 12000.0, 0.0, 12000.0, 3000.0, 0.0, 3000.0]]);
        foreach ([[50.0, true], [100.0, true], [200.0, false]] as [$scale, $is]) {
            self::assertSame($is, Fineness::at($scale)->hasOutline($jamb), "1:$scale");
            self::assertSame($is, Fineness::at($scale)->hasOutline($ring), "1:$scale");
            self::assertTrue(Fineness::at($scale)->hasOutline($wall));
        }
        self::assertTrue(Fineness::at(500.0)->hasOutline(Shape::line(Layer::Swing, [0.0, 0.0, 900.0, 0.0])));
    }

    public function test_what_cannot_be_read_is_left_out(): void
    {
        $shapes = array_map(static fn (Layer $l): Shape => Shape::line($l, [0.0, 0.0, 900.0, 0.0]), Layer::cases());
        self::assertCount(count($shapes), Fineness::at(100.0)->read($shapes));
        $left = array_map(static fn (Shape $s): string => $s->layer->value, Fineness::at(200.0)->read($shapes));
        self::assertSame(['reveal', 'bar', 'operation'], array_values(array_diff(
            array_map(static fn (Layer $l): string => $l->value, Layer::cases()), $left,
        )));
        self::assertSame([true, false], [Fineness::at(50.0)->hasFigures(), Fineness::at(200.0)->hasFigures()]);
    }
}
