<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Building;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Mesher;
use Isleward\Core\Tests\Support\ClosedSolids;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

final class MesherTest extends TestCase
{
    use ClosedSolids;

    public function test_mitred_walls_fill_the_ring_between_outer_and_inner_line_once(): void
    {
        $house = House::box(12000, 8000, 300, [3600]);
        $sum = 0.0;
        foreach (Bodies::of($house->design) as $body) {
            $mesh = Mesher::mesh($body, []);
            self::assertClosed($mesh);
            $sum += $mesh->volume();
        }
        self::assertEqualsWithDelta((12000 * 8000 - 11400 * 7400) * 3600, $sum, 1.0);
    }

    public function test_walls_of_two_thicknesses_run_through_and_butt_without_gap_or_overlap(): void
    {
        $house = House::box(12000, 8000, 300, [3600]);
        $house->do('wall.change', ['walls' => [$house->wall(0)->id], 'thickness' => 500]);
        $bodies = Bodies::of($house->design);
        self::assertSame(
            ['through', 'through', 'butt'],
            [
                $bodies[$house->wall(0)->id]->left->joint->value,
                $bodies[$house->wall(0)->id]->right->joint->value,
                $bodies[$house->wall(1)->id]->left->joint->value,
            ],
        );
        $sum = array_sum(array_map(static fn ($b): float => Mesher::mesh($b, [])->volume(), $bodies));
        self::assertEqualsWithDelta((12000 * 8000 - 11400 * 7200) * 3600, $sum, 1.0);
    }

    public function test_a_recessed_outline_meets_at_its_inner_corners_too(): void
    {
        foreach ([300, 500] as $one) {
            $house = House::box(heights: [3000]);
            $storey = $house->storey(0);
            $house->do(
                'outline.draw',
                [
                    'points' => [[20000, 0], [30000, 0], [30000, 9000], [24000, 9000], [24000, 5000], [20000, 5000]],
                    'thickness' => 300,
                    'base' => $storey,
                    'top' => $storey,
                ],
            );
            $walls = array_slice(array_values($house->design->walls), 4);
            $house->do('wall.change', ['walls' => [$walls[3]->id], 'thickness' => $one]);
            $bodies = Bodies::of($house->design);
            $sum = 0.0;
            foreach ($walls as $wall) {
                self::assertClosed($mesh = Mesher::mesh($bodies[$wall->id], []));
                $sum += $mesh->volume();
            }
            // outer area less the area within the inner lines, both by hand
            $outer = 10000 * 5000 + 6000 * 4000;
            $inner = (10000 - 600) * (5000 - 600) + (6000 - 300 - $one) * 4000;
            self::assertEqualsWithDelta(($outer - $inner) * 3000, $sum, 1.0, "recess wall $one thick");
        }
    }

    public function test_every_kind_of_hole_leaves_a_closed_solid_of_the_right_volume(): void
    {
        $house = House::box(12000, 8000, 300, [3600]);
        $body = $house->body();
        $box = static fn (float $x0, float $y0, float $x1, float $y1): array => [$x0, $y0, $x1, $y0, $x1, $y1, $x0, $y1];
        $holes = [
            $box(2000, 900, 3200, 2350),
            $box(4000, 0, 5000, 2100),
            $box(6000, 900, 7200, 2350),
            $box(7000, 1500, 8000, 3900),
            [8500, 1000, 9500, 1000, 9200, 2000, 8800, 2000],
            $box(9500, 2000, 9900, 2400),
        ];
        $mesh = Mesher::mesh($body, $holes);
        self::assertClosed($mesh);
        // by hand: the fourth reaches over the wall's head and laps the third by 200 × 850; the fifth is (1000 + 400)/2 × 1000
        $cut = 1200 * 1450 + 1000 * 2100 + 1200 * 1450 + 1000 * 2100 - 200 * 850 + 700 * 1000 + 400 * 400;
        // the wall is mitred at both ends: 12 000 outside and 11 400 inside
        self::assertEqualsWithDelta(300 * (11700 * 3600 - $cut), $mesh->volume(), 10.0);
    }

    public function test_a_hole_that_begins_where_the_inner_face_does_leaves_a_closed_solid(): void
    {
        $mesh = Mesher::mesh(House::box(12000, 8000, 300, [3600])->body(), [[300, 0, 2100, 0, 2100, 2400, 300, 2400]]);
        self::assertClosed($mesh);
        self::assertEqualsWithDelta(300.0 * (11700 * 3600 - 1800 * 2400), $mesh->volume(), 15000.0,
            'two hundredths of a millimetre at its jamb');
    }

    public function test_a_hole_that_reaches_into_the_mitre_is_cut_through_it(): void
    {
        $body = House::box(12000, 8000, 300, [3600])->body();
        $mesh = Mesher::mesh($body, [[100.0, 1000.0, 1000.0, 1000.0, 1000.0, 2000.0, 100.0, 2000.0]]);
        self::assertClosed($mesh);
        // 900 × 300 in plan less the triangle that the mitre had taken off already: 200²/2
        self::assertEqualsWithDelta(Mesher::mesh($body, [])->volume() - 1000 * (900 * 300 - 200 * 200 / 2), $mesh->volume(), 10.0);
    }
}
