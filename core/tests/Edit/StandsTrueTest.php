<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\FaceArea;
use Isleward\Core\Building\Frontages;
use Isleward\Core\Building\Places;
use Isleward\Core\Edit\Edits;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** What was found false by use: where things lie after an edit, in figures worked by hand. */
final class StandsTrueTest extends TestCase
{
    public function test_two_openings_are_not_placed_in_one_place_but_may_be_moved_there(): void
    {
        $house = House::box();
        $type = $house->type('W-03')->id;
        $first = $house->place(['left' => 2000, 'type' => $type]);
        foreach ([2000, 1000, 3100] as $left) {
            self::assertTrue(
                $house->refuses(
                    'opening.place',
                    [
                        'host' => $house->wall()->id, 'storey' => $house->storey(0), 'type' => $type,
                        'position' => ['from' => 'left', 'value' => $left, 'to' => 'near'],
                    ],
                ),
                "at $left",
            );
        }
        try {
            $house->try(
                'opening.place',
                [
                    'host' => $house->wall()->id, 'storey' => $house->storey(0), 'type' => $type,
                    'position' => ['from' => 'left', 'value' => 3100, 'to' => 'near'],
                ],
            );
        } catch (Refusal $refusal) {
            self::assertSame(['opening.taken', [$first->id]], [$refusal->reason, $refusal->elements]);
            self::assertSame('W-03 stands there already: this one would overlap it by 100.', $refusal->getMessage());
        }
        // beside it, over it and round its shape there is room
        $house->place(['left' => 3200, 'type' => $type]);
        $house->place(['left' => 2000, 'type' => $type], storey: 1);
        $house->place(['left' => 6000, 'width' => 1000, 'height' => 1000, 'shape' => [0, 0, 1, 0, 0, 1]]);
        $house->place(['left' => 6000, 'width' => 1000, 'height' => 1000, 'shape' => [1, 0, 1, 1, 0, 1]]);
        $house->do('opening.change', ['id' => $first->id, 'by' => ['u' => 300]]);
    }

    public function test_a_copy_to_the_opposite_wall_faces_where_it_came_from(): void
    {
        $house = House::box();
        foreach ([
            ['from' => 'left', 'value' => 1500, 'to' => 'near'], ['from' => 'left', 'value' => 4000, 'to' => 'centre'],
            ['from' => 'right', 'value' => 2900, 'to' => 'far'], ['from' => 'middle', 'value' => 700, 'to' => 'centre'],
            ['from' => 'fraction', 'value' => 0.7, 'to' => 'centre'],
        ] as $rule) {
            $house = House::box();
            $own = $house->do(
                'opening.place',
                ['host' => $house->wall(0)->id, 'storey' => $house->storey(0), 'type' => $house->type('W-03')->id, 'position' => $rule],
            )->chosen[0];
            $there = $house->do('opening.copy', ['ids' => [$own], 'walls' => 'opposite'])->chosen[0];
            [$a, $b] = [$house->placed($own), $house->placed($there)];
            $from = $house->body(0)->surface;
            $to = $house->body(2)->surface;
            // the jambs lie on the same lines across the house
            self::assertEqualsWithDelta(
                [$from->inPlan($a->left)->x, $from->inPlan($a->right)->x],
                [$to->inPlan($b->right)->x, $to->inPlan($b->left)->x],
                1e-6,
                json_encode($rule, JSON_THROW_ON_ERROR),
            );
            self::assertSame(
                ['left' => 'right', 'right' => 'left'][$rule['from']] ?? $rule['from'],
                $house->design->opening($there)->position->along->from->value,
            );
            // as it is from the left, on request
            $plain = House::box();
            $own = $plain->do(
                'opening.place',
                ['host' => $plain->wall(0)->id, 'storey' => $plain->storey(0), 'type' => $plain->type('W-03')->id, 'position' => $rule],
            )->chosen[0];
            $there = $plain->do('opening.copy', ['ids' => [$own], 'walls' => 'opposite', 'fromLeft' => true])->chosen[0];
            self::assertEqualsWithDelta($plain->placed($own)->left, $plain->placed($there)->left, 1e-6);
        }
    }

    public function test_turning_an_outline_round_leaves_openings_where_they_are_whichever_face_they_are_measured_along(): void
    {
        foreach (['outer', 'inner'] as $face) {
            foreach ([
                ['from' => 'left', 'value' => 1300], ['from' => 'right', 'value' => 2100],
                ['from' => 'middle', 'value' => -450], ['from' => 'fraction', 'value' => 0.25],
            ] as $rule) {
                $house = House::box();
                $id = $house->do(
                    'opening.place',
                    [
                        'host' => $house->wall(0)->id, 'storey' => $house->storey(0), 'width' => 900, 'height' => 900,
                        'position' => $rule + ['to' => 'near', 'face' => $face],
                    ],
                )->chosen[0];
                $wall = $house->design->opening($id)->host;
                $jambs = static function () use ($house, $id, $wall): array {
                    $p = $house->placed($id);
                    $surface = Bodies::one($house->design, $house->design->wall($wall))->surface;
                    $xs = [$surface->inPlan($p->left)->x, $surface->inPlan($p->right)->x];
                    sort($xs);

                    return $xs;
                };
                $before = $jambs();
                $house->do('outline.turn', ['id' => $house->design->wall($wall)->outline]);
                self::assertEqualsWithDelta($before, $jambs(), 1e-6, $face.' '.json_encode($rule, JSON_THROW_ON_ERROR));
            }
        }
    }

    public function test_walls_in_one_plane_that_a_third_bridges_are_one_frontage(): void
    {
        $house = House::box(heights: [3600, 3600]);
        $wall = ['thickness' => 300, 'closed' => false, 'outside' => 'right'];
        // two stretches on the ground with a gap between them, and one over both: drawn last, it joins what stood apart
        $house->do('outline.draw', ['points' => [[20000, 0], [24000, 0]], 'base' => $house->storey(0), 'top' => $house->storey(0)] + $wall);
        $house->do('outline.draw', ['points' => [[28000, 0], [32000, 0]], 'base' => $house->storey(0), 'top' => $house->storey(0)] + $wall);
        $apart = count(Frontages::of($house->design, Bodies::of($house->design)));
        $house->do('outline.draw', ['points' => [[20000, 0], [32000, 0]], 'base' => $house->storey(1), 'top' => $house->storey(1)] + $wall);
        $frontages = Frontages::of($house->design, Bodies::of($house->design));
        self::assertCount($apart - 1, $frontages);
        self::assertContains(3, array_map(static fn ($f): int => count($f->walls), $frontages));
    }

    public function test_a_wall_is_stacked_knowing_what_stands_there(): void
    {
        // whatever is loaded for it holds the openings of a wall that stands on its line already
        $edit = Edits::make('wall.stack', new Fields(['walls' => ['wa-1'], 'from' => 'st-1', 'storeys' => ['st-2']]));
        self::assertTrue($edit->scope()->everything);
    }

    public function test_a_walls_area_is_that_of_its_shapes(): void
    {
        $house = House::box();
        $house->place(['left' => 2000, 'width' => 1000, 'height' => 1000, 'shape' => [0, 0, 1, 0, 0, 1]]); // half a square
        $house->place(['left' => 5000, 'width' => 1200, 'height' => 1500]);
        $area = FaceArea::of($house->design, $house->body());
        self::assertEqualsWithDelta(12000 * 7200, $area->gross, 1e-3);
        self::assertEqualsWithDelta(500_000 + 1_800_000, $area->cutOut(), 1e-3);
        self::assertEqualsWithDelta($area->gross, $area->net + $area->cutOut(), 1e-6);
        self::assertSame(2, $area->openings);
        self::assertEqualsWithDelta(2.3 / 86.4, $area->share(), 1e-9);
        $sum = array_sum(array_map(
            static fn ($o): float => Places::in($house->design)->of($o)->area(),
            $house->design->openingsOf($house->wall()->id),
        ));
        self::assertEqualsWithDelta($sum, $area->cutOut(), 1e-3, 'what the openings’ schedule adds up');
        // one that overlaps another is whole in the schedule, and takes out only what was left: 1200 × 1500 moved 200 over the first
        $house->moved(['left' => 6000, 'width' => 1200, 'height' => 1500]);
        $area = FaceArea::of($house->design, $house->body());
        self::assertEqualsWithDelta(500_000 + 2 * 1_800_000, $area->shapes, 1e-3);
        self::assertEqualsWithDelta($area->shapes - 200 * 1500, $area->cutOut(), 1e-3);
    }
}
