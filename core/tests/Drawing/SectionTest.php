<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Drawing;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Design\SectionLine;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Section;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

final class SectionTest extends TestCase
{
    /** By hand: a box of 8000 deep, walls 300, two storeys of 3600; a window 1200 × 1450 with its sill at 900 in the near wall. */
    public function test_a_cut_through_an_opening_shows_walls_floors_hole_and_unit_at_their_levels(): void
    {
        $house = House::box();
        $window = $house->place(['left' => 3000, 'setback' => 90, 'type' => $house->type('W-01')->id]);
        $slabs = ['outline' => $house->wall()->outline, 'depth' => null, 'inner' => true, 'height' => 300, 'out' => 0];
        $house->do('floor-band.add', $slabs);
        $bodies = Bodies::of($house->design);
        $line = Section::through($house->design, $bodies, $window->id);
        [$drawing, $cut] = Section::of($house->design, $bodies, $line);
        self::assertSame([['id' => $window->id, 'x0' => 1000.0, 'x1' => 1300.0, 'sill' => 900.0, 'head' => 2350.0]], $cut);
        $areas = array_map(
            static fn (Shape $s): float => array_sum(array_map(Region::signedArea(...), $s->rings)),
            array_values(array_filter($drawing->shapes, static fn (Shape $s): bool => $s->layer === Layer::Cut)),
        );
        // two slabs 300 thick between the walls, the near wall less the hole, the far wall
        sort($areas);
        self::assertEqualsWithDelta([300 * (7200 - 1450), 300 * 7200, 300 * 7400, 300 * 7400], $areas, 1e-6);
        $glass = array_values(array_filter($drawing->shapes, static fn (Shape $s): bool => $s->layer === Layer::Glass))[0]->rings[0];
        self::assertGreaterThan(1090.0, min($glass[0], $glass[2]), 'the pane lies behind the set back');
        self::assertLessThan(1160.0, max($glass[0], $glass[2]));
        $texts = array_map(
            static fn (Shape $s): string => $s->text,
            array_values(array_filter($drawing->shapes, static fn (Shape $s): bool => $s->kind === 'text')),
        );
        foreach (['±0.000', '+3.600', '+7.200', '+0.900', '+2.350', '900', "1\u{202F}450", "1\u{202F}250"] as $text) {
            self::assertContains($text, $texts);
        }
    }

    /** A wall cut at 45° is √2 as thick; what stands behind the line is drawn beyond, what stands before it is not. */
    public function test_a_slanting_line_cuts_true_and_what_is_before_it_is_left_out(): void
    {
        $house = House::box(12000, 12000, 300);
        $bodies = Bodies::of($house->design);
        $at = static fn (float $x0, float $y0, float $x1, float $y1): SectionLine => SectionLine::from(
            new Fields(['id' => '', 'name' => 'A', 'fromX' => $x0, 'fromY' => $y0, 'toX' => $x1, 'toY' => $y1]),
        );
        [$slanted] = Section::of($house->design, $bodies, $at(2000, -1000, 15000, 12000));
        $walls = array_values(
            array_filter(
                $slanted->shapes,
                static fn (Shape $s): bool => $s->layer === Layer::Cut
                                    && abs(abs(Region::signedArea($s->rings[0])) / 7200 - 300 * M_SQRT2) < 1e-6,
            ),
        );
        self::assertCount(2, $walls);
        $beyond = static fn (array $drawing): int => count(
            array_filter($drawing[0]->shapes, static fn (Shape $s): bool => $s->layer === Layer::Beyond),
        );
        self::assertSame(1, $beyond(Section::of($house->design, $bodies, $at(-1000, 6000, 13000, 6000))), 'the north wall from inside');
        self::assertSame(0, $beyond(Section::of($house->design, $bodies, $at(-1000, 13000, 13000, 13000))), 'nothing stands north of it');
        self::assertSame(
            2,
            $beyond(Section::of($house->design, $bodies, $at(-1000, -1000, 13000, -1000))),
            'the south wall, and behind it the north one',
        );
    }
}
