<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Drawing;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Plan;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

final class PlanTest extends TestCase
{
    public function test_walls_break_where_openings_are_and_units_lie_in_the_walls_thickness(): void
    {
        $house = House::box(12000, 8000, 300, [3600]);
        // the east wall: its outer face is x = 12 000, its inside x < 12 000
        $window = $house->place(['left' => 2000, 'setback' => 90, 'type' => $house->type('W-03')->id], wall: 1);
        [$walls, $openings] = Plan::of($house->design, Bodies::of($house->design), $house->storey(0));
        self::assertSame([1, 2, 1, 1], array_map(static fn (Shape $s): int => count($s->rings), $walls->shapes));
        self::assertSame(
            ['H 2'."\u{202F}".'350', 'S 900', 'W-03'],
            array_values(array_filter(array_map(static fn (Shape $s): string => $s->text, $openings[$window->id]))),
        );
        $frames = array_filter($openings[$window->id], static fn (Shape $s): bool => $s->layer === Layer::Frame);
        self::assertNotEmpty($frames, 'its frame is drawn');
        foreach ($frames as $shape) {
            self::assertEqualsWithDelta([12000 - 90 - 70, 12000 - 90], [min(self::xs($shape)), max(self::xs($shape))], 1e-6);
        }
    }

    public function test_a_door_swings_to_the_side_it_opens_to_and_about_its_hinge_side(): void
    {
        foreach ([[true, false, 2060, 1], [true, true, 2940, 1], [false, false, 2940, -1]] as [$facesOut, $mirrored, $hinge, $side]) {
            $house = House::box(12000, 8000, 300, [3600]);
            $door = $house->place(
                ['left' => 2000, 'setback' => 90, 'type' => $house->type('D-01')->id, 'facesOut' => $facesOut, 'mirrored' => $mirrored],
            );
            [, $openings] = Plan::of($house->design, Bodies::of($house->design), $house->storey(0));
            $arcs = array_values(array_filter($openings[$door->id], static fn (Shape $s): bool => $s->kind === 'arc'));
            self::assertCount(1, $arcs);
            [$x, $y, $r, $start, $sweep] = $arcs[0]->rings[0];
            // D-01 opens inward, hung left as drawn: a leaf 880 wide and 68 deep in the middle of a frame 70 deep, 90 behind the south
            // face; it turns about its inner face
            self::assertEqualsWithDelta([$hinge, $side > 0 ? 159 : 91, 880], [$x, $y, $r], 1e-6);
            self::assertEqualsWithDelta(
                $side * 880,
                $r * sin($start + $sweep),
                1e-6,
                'its open edge is inside, or outside when the unit faces in',
            );
        }
    }

    /** @return non-empty-list<float> */
    private static function xs(Shape $shape): array
    {
        $xs = [];
        foreach ($shape->rings as $ring) {
            for ($i = 0; $i < count($ring); $i += 2) {
                $xs[] = $ring[$i];
            }
        }

        return $xs === [] ? [NAN] : $xs;
    }
}
