<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Drawing;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Frontages;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Findings;
use Isleward\Core\Design\SectionLine;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Plan;
use Isleward\Core\Drawing\Section;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\SquareOn;
use Isleward\Core\Exchange\Svg;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Schedule\Source;
use Isleward\Core\Sheet\SheetDrawings;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

final class CurvedDrawingsTest extends TestCase
{
    private const RADIUS = 5000.0;

    private const THICKNESS = 300.0;

    /** A wall on the arc of a circle about (30 000, 0), over 120° and bulging south, alone in its house beside the box. */
    private static function house(bool $hollow = false): House
    {
        $house = House::box(12000, 8000, 300, [3600]);
        $half = deg2rad(60);
        $point = static fn (float $a): array => [30000 + self::RADIUS * sin($a), -self::RADIUS * cos($a)];
        $house->do('outline.draw', [
            'points' => [$point(-$half), ['x' => $point($half)[0], 'y' => $point($half)[1], 'through' => $point(0.0)]], 'closed' => false,
            'outside' => $hollow ? 'left' : 'right', 'thickness' => self::THICKNESS, 'base' => $house->storey(0),
            'top' => $house->storey(0),
        ]);

        return $house;
    }

    /** @param  list<Shape>  $shapes */
    private static function area(array $shapes): float
    {
        $sum = 0.0;
        foreach ($shapes as $shape) {
            foreach ($shape->straight(0.001)->rings as $ring) {
                $sum += abs(Region::signedArea($ring));
            }
        }

        return $sum;
    }

    /** @return array{float, float} from where to where along x a shape reaches */
    private static function reach(Shape $shape): array
    {
        $xs = [];
        foreach ($shape->rings as $ring) {
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                $xs[] = $ring[$i];
            }
        }

        return [min($xs), max($xs)];
    }

    public function test_a_plan_has_true_arcs_and_leaves_out_what_the_jambs_say(): void
    {
        $strip = static fn (float $w, float $r): float => $r * $r * asin($w / 2 / $r) + $w / 2 * sqrt($r * $r - $w * $w / 4);
        [$outer, $inner] = [self::RADIUS, self::RADIUS - self::THICKNESS];
        foreach (['parallel', 'radial'] as $jambs) {
            $house = self::house();
            foreach ([1000, 4200, 7400] as $left) {
                $house->place(['width' => 1500, 'height' => 1200, 'left' => $left, 'jambs' => $jambs], 4);
            }
            [$plan, $openings, $walls] = Plan::of($house->design, Bodies::of($house->design), $house->storey(0));
            $own = array_keys($walls, $house->wall(4)->id, true);
            self::assertCount(4, $own, 'cut in four by three openings');
            $pieces = array_map(static fn (int $i): Shape => $plan->shapes[$i], $own);
            $each = $jambs === 'parallel'
                            ? $strip(1500, $outer) - $strip(1500, $inner)
                            : ($outer ** 2 - $inner ** 2) * asin(1500 / 2 / $outer);
            $whole = ($outer ** 2 - $inner ** 2) * deg2rad(60);
            self::assertEqualsWithDelta(1.0, self::area($pieces) / ($whole - 3 * $each), 1e-6, $jambs);
            foreach ($pieces as $piece) {
                $radii = array_map(static fn (array $c): float => round($c[3], 6), $piece->curves[0]);
                sort($radii);
                self::assertSame([$inner, $outer], $radii, 'arcs stay arcs');
            }
            self::assertStringContainsString('A4700 4700', Svg::write($plan, 50));
            self::assertCount(3, $openings);
        }
    }

    public function test_a_section_across_an_arc_cuts_it_twice_and_through_its_openings(): void
    {
        $house = self::house();
        $opening = $house->place([
            'type' => $house->type('W-01')->id, 'position' => ['from' => 'middle', 'value' => 0, 'to' => 'centre'],
        ], 4);
        $bodies = Bodies::of($house->design);
        $cut = static fn (array $shapes): array => array_values(
            array_filter($shapes, static fn (Shape $s): bool => $s->layer === Layer::Cut),
        );

        // along a chord 3500 south of the centre: by Pythagoras
        [$drawing] = Section::of($house->design, $bodies, self::line(20000, -3500, 40000, -3500), 0.0);
        $half = static fn (float $r): float => sqrt($r * $r - 3500 ** 2);
        self::assertEqualsWithDelta([
            [10000 - $half(5000), 10000 - $half(4700)], [10000 + $half(4700), 10000 + $half(5000)],
        ], array_map(self::reach(...), $cut($drawing->shapes)), 1e-6);

        // through the window in the middle: its sill and head, as deep as the wall, with glass in it
        [$drawing, $openings] = Section::of($house->design, $bodies, Section::through($house->design, $bodies, $opening->id), 0.0);
        self::assertSame([$opening->id], array_column($openings, 'id'));
        self::assertEqualsWithDelta(300.0, $openings[0]['x1'] - $openings[0]['x0'], 1e-6);
        $area = static fn (array $shapes): float => self::area($cut($shapes));
        self::assertEqualsWithDelta(
            300.0 * (3600 - 1450), $area(array_filter($drawing->shapes, static fn (Shape $s): bool => $s->layer === Layer::Cut
            && abs(self::reach($s)[1] - self::reach($s)[0] - 300) < 1)), 1.0);
        self::assertNotSame([], array_filter($drawing->shapes, static fn (Shape $s): bool => $s->layer === Layer::Glass));

        // the far side of a full turn has no hole where the line only passes its opening in line
        [, $openings] = Section::of($house->design, $bodies, self::line(30000, -4000, 30000, 20000), 0.0);
        self::assertSame([], $openings);
    }

    public function test_seen_square_on_a_curved_face_is_foreshortened_and_what_is_behind_is_hidden(): void
    {
        $house = self::house();
        foreach ([-40, 0, 40] as $degrees) {
            $house->place(['width' => 900, 'height' => 1200, 'position' => [
                'from' => 'middle', 'value' => self::RADIUS * deg2rad($degrees), 'to' => 'centre',
            ]], 4);
        }
        $bodies = array_slice(Bodies::of($house->design), 4);
        $drawing = SquareOn::of($house->design, $bodies, 180.0);
        $faces = array_values(array_filter($drawing->shapes, static fn (Shape $s): bool => $s->layer === Layer::Face));
        [$from, $to] = self::reach($faces[0]);
        self::assertEqualsWithDelta(2 * self::RADIUS * sin(deg2rad(60)), $to - $from, 1e-6, 'as wide as its chord');
        $holes = array_values(array_filter($drawing->shapes, static fn (Shape $s): bool => $s->layer === Layer::Void));
        self::assertCount(3, $holes);
        foreach ($holes as $hole) {
            [$a, $b] = self::reach($hole);
            $degrees = round(rad2deg(asin((($a + $b) / 2 - ($from + $to) / 2) / self::RADIUS / cos(asin(450 / self::RADIUS)))));
            self::assertEqualsWithDelta(900 * cos(deg2rad($degrees)), $b - $a, 1e-3, 'a chord turned away by its angle');
        }
    }

    public function test_seen_square_on_what_stands_nearer_hides_what_is_behind_it(): void
    {
        $house = House::box(12000, 8000, 300, [3600, 3600]);
        foreach ([0, 1] as $storey) {
            $house->place(['width' => 1000, 'height' => 1200, 'left' => 5500], 0, $storey);
            $house->place(['width' => 1000, 'height' => 1200, 'left' => 8600], 0, $storey);
        }
        $house->do('outline.draw', [
            'points' => [[3000, -4000], [9000, -4000]], 'closed' => false, 'thickness' => 300,
            'base' => $house->storey(0), 'top' => $house->storey(0),
        ]);
        $drawing = SquareOn::of($house->design, Bodies::of($house->design), 180.0);
        $of = static fn (Layer $layer): array => array_values(
            array_filter($drawing->shapes, static fn (Shape $s): bool => $s->layer === $layer),
        );
        // of the four, one is hidden, and of another 600 of its 1000 are seen past the end of the wall before it
        $seen = array_map(static fn (Shape $s): float => round(self::area([$s])), $of(Layer::Void));
        sort($seen);
        self::assertSame([600.0 * 1200, 1000.0 * 1200, 1000.0 * 1200], $seen);
        self::assertEqualsWithDelta(12000 * 7200, self::area($of(Layer::Face)), 1.0, 'what is seen covers the outline once');
        self::assertStringContainsString('from 180° (south)', $drawing->title);
    }

    public function test_a_sheet_takes_an_elevation_square_on_by_the_bearing_one_looks_from(): void
    {
        $house = self::house();
        $bodies = Bodies::of($house->design);
        $frontages = Frontages::of($house->design, $bodies);
        $sheet = new SheetDrawings($house->design, $bodies, $frontages, static fn (): null => null);
        self::assertSame('Elevation from 90° (east), square on', $sheet->title('elevation', 'from:90'));
        $drawing = $sheet->drawing('elevation', 'from:90', 100.0);
        // from the east the box shows its 8000 and the arc, south of it, what it reaches from north to south: r(1 − cos 60°)
        $faces = array_map(self::reach(...), array_values(array_filter(
            $drawing->shapes,
            static fn (Shape $s): bool => $s->layer === Layer::Face,
        )));
        $widths = array_map(static fn (array $r): float => round($r[1] - $r[0], 3), $faces);
        self::assertContains(8000.0, $widths);
        self::assertContains(round(self::RADIUS * (1 - cos(deg2rad(60))), 3), $widths);
    }

    public function test_a_flat_unit_that_the_wall_bows_over_is_found_and_put_right(): void
    {
        $house = self::house(hollow: true);
        $opening = $house->place(['type' => $house->type('W-05')->id, 'setback' => 60, 'position' => [
            'from' => 'middle', 'value' => 0, 'to' => 'centre',
        ]], 4);
        $bow = self::RADIUS * (1 - cos(asin(1000 / self::RADIUS))); // 2000 wide
        $found = static fn (): array => array_values(array_filter(
            Findings::of($house->design, $house->body(4)),
            static fn (Finding $f): bool => $f->rule === 'unit.bow',
        ));
        self::assertCount(1, $found());
        self::assertEqualsWithDelta($bow - 60, $found()[0]->figure, 1e-6);
        self::assertNotNull($found()[0]->remedy);
        $house->do($found()[0]->remedy->edit, $found()[0]->remedy->args);
        self::assertSame([], $found());
        $house->do('opening.change', ['id' => $opening->id, 'setback' => 60]);
        self::assertCount(1, $found());
    }

    public function test_schedules_tell_arcs_by_their_lengths_and_radius(): void
    {
        $house = self::house();
        $bodies = Bodies::of($house->design);
        $rows = Source::of('walls', $house->design, $bodies, Frontages::of($house->design, $bodies))->rows;
        $arc = $rows[4]->values;
        self::assertEqualsWithDelta(self::RADIUS * deg2rad(120), $arc['length'], 1e-6);
        self::assertEqualsWithDelta((self::RADIUS - 150) * deg2rad(120), $arc['centreLine'], 1e-6);
        self::assertEqualsWithDelta(self::RADIUS, $arc['radius'], 1e-6);
        // the ring sector between both radii, 120° of it (Pappus and Guldin)
        self::assertEqualsWithDelta((self::RADIUS - 150) * deg2rad(120) * 300 * 3600, (float) $arc['volume'], 1.0);
        self::assertSame('240° to 120°', $arc['bearing']);
        self::assertNull($rows[0]->values['radius']);
        self::assertSame($rows[0]->values['length'], $rows[0]->values['centreLine']);
    }

    private static function line(float $x0, float $y0, float $x1, float $y1): SectionLine
    {
        return SectionLine::from(new Fields(['id' => '', 'name' => 'A', 'fromX' => $x0, 'fromY' => $y0, 'toX' => $x1, 'toY' => $y1]));
    }
}
