<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Drawing;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Drawing\PlanSpots;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

final class PlanSpotsTest extends TestCase
{
    public function test_corners_and_jambs_lie_where_the_wall_and_its_openings_end_on_both_faces(): void
    {
        $house = House::box();
        $opening = $house->place(['left' => 2000, 'width' => 1200, 'height' => 1400, 'type' => $house->type('W-03')->id]);
        $house->place(['left' => 5000, 'width' => 1200, 'height' => 1400], storey: 1);
        $spots = PlanSpots::of($house->design, Bodies::of($house->design), $house->storey(0));
        self::assertCount(4 * 4 + 4, $spots, 'four walls with four corners each, and the jambs of the one opening of this storey');
        $own = array_values(array_filter($spots, static fn (PlanSpots $s): bool => $s->opening === $opening->id));
        self::assertSame(
            ['jamb of W-03, outer face', 'jamb of W-03, outer face', 'jamb of W-03, inner face', 'jamb of W-03, inner face'],
            array_column($own, 'name'),
        );
        self::assertSame([2000.0, 3200.0, 2000.0, 3200.0], array_column($own, 'u'));
        // the south wall runs along y = 0 and is 300 thick; its inner corners lie in the mitres
        self::assertEqualsWithDelta([0.0, 0.0, 300.0, 300.0], array_column($own, 'y'), 1e-9);
        $inner = array_values(array_filter(
            $spots,
            static fn (PlanSpots $s): bool => $s->host === $house->wall()->id && $s->name === 'corner, inner face',
        ));
        self::assertEqualsWithDelta([300.0, 11700.0], array_column($inner, 'x'), 1e-9);
    }

    public function test_parallel_jambs_of_a_curved_wall_stay_as_far_apart_on_its_inner_face(): void
    {
        $house = House::box();
        $house->do('wall.bend', ['wall' => $house->wall()->id, 'radius' => 7000]);
        foreach (['parallel' => 1500.0, 'radial' => null] as $jambs => $apart) {
            $opening = $house->place(['left' => $jambs === 'radial' ? 6000 : 2000, 'width' => 1500, 'height' => 1400, 'jambs' => $jambs]);
            $spots = array_values(array_filter(
                PlanSpots::of($house->design, Bodies::of($house->design), $house->storey(0)),
                static fn (PlanSpots $s): bool => $s->opening === $opening->id,
            ));
            $distance = static fn (int $i): float => hypot($spots[$i]->x - $spots[$i + 1]->x, $spots[$i]->y - $spots[$i + 1]->y);
            // along the arc of each face the turn between its jambs is the same
            $turn = static fn (int $i, float $radius): float => ($spots[$i + 1]->run - $spots[$i]->run) / $radius;
            self::assertEqualsWithDelta(2 * asin($distance(0) / 2 / 7000), $turn(0, 7000), 1e-9);
            self::assertEqualsWithDelta(2 * asin($distance(2) / 2 / 6700), $turn(2, 6700), 1e-9);
            if ($apart !== null) {
                self::assertEqualsWithDelta([$apart, $apart], [$distance(0), $distance(2)], 1e-6);
            } else {
                self::assertLessThan($distance(0) - 1.0, $distance(2), 'towards the centre they come nearer');
            }
        }
    }
}
