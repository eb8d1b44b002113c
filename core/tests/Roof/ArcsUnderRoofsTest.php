<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Roof;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Mesher;
use Isleward\Core\Building\Places;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Tests\Support\ClosedSolids;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** Curved walls whose heads follow a roof or levels by figures: their solids are closed and as large as they are. */
final class ArcsUnderRoofsTest extends TestCase
{
    use ClosedSolids;

    /** A closed outline of an arc and its chord, or of two arcs, with a roof over it that its walls run up to. */
    private static function lookout(): House
    {
        $house = House::box(12000, 8000, 300, [4200, 3600]);
        do {
            [$radius, $chord] = [mt_rand(4100, 9000), mt_rand(5000, 8000)];
            $to = ['x' => 30000 + $chord, 'y' => 0, 'radius' => $radius];
            $args = [
                'points' => mt_rand(0, 2) > 0 ? [[30000, 0], $to]
                    : [[30000, 0], $to, [30000 + $chord, 5000 + mt_rand(0, 2000)], [30000, 5000]],
                'closed' => true, 'thickness' => mt_rand(150, 350), 'base' => $house->storey(0), 'top' => $house->storey(1),
            ];
        } while ($house->refuses('outline.draw', $args)); // corners that are too sharp for so thick a wall
        $house->do('outline.draw', $args);
        $outline = (string) array_key_last($house->design->outlines);
        if (mt_rand(0, 2) === 0) {
            // an inner wall that stops at the arc
            $arc = $house->body(4);
            $from = $arc->surface->inPlan($arc->length * mt_rand(40, 60) / 100, $arc->host->depth() / 2);
            $house->do('outline.draw', [
                'points' => [[$from->x, $from->y], [30000 + $chord / 2, $from->y * 0.3]], 'closed' => false,
                'inner' => true, 'thickness' => 120, 'base' => $house->storey(0), 'top' => $house->storey(1),
            ]);
        }
        $roof = $house->do('roof.add', [
            'outline' => $outline, 'pitch' => mt_rand(3, 55), 'overhang' => mt_rand(0, 1) * mt_rand(0, 600),
        ])->chosen[0];
        foreach (array_slice(array_keys($house->design->walls), 4) as $wall) {
            $args = ['walls' => [$wall], 'head' => ['roof' => $roof]];
            if (! $house->refuses('wall.edge', $args)) {
                $house->do('wall.edge', $args);
            }
        }

        return $house;
    }

    public function test_their_solids_are_closed_whatever_stands_in_them(): void
    {
        mt_srand(28);
        $curved = $ends = $cut = 0;
        for ($round = 0; $round < 40; $round++) {
            $house = self::lookout();
            foreach (array_slice(array_keys($house->design->walls), 4) as $wall) {
                for ($i = mt_rand(0, 4); $i > 0; $i--) {
                    $args = [
                        'host' => $wall, 'storey' => $house->storey(1), 'type' => null, 'width' => mt_rand(4, 20) * 100,
                        'height' => mt_rand(4, 30) * 100, 'sill' => ['from' => 'floor', 'height' => mt_rand(0, 36) * 100],
                        'position' => ['from' => 'left', 'value' => mt_rand(-3, 60) * 100, 'to' => 'near'],
                        'jambs' => ['parallel', 'radial', 'bent'][mt_rand(0, 2)],
                    ];
                    if (! $house->refuses('opening.place', $args)) {
                        $house->do('opening.place', $args);
                    }
                }
            }
            foreach (array_slice(array_keys($house->design->walls), 4) as $i => $wall) {
                $body = $house->body(4 + $i);
                if ($body->isPlane()) {
                    continue;
                }
                $openings = array_map(Places::in($house->design)->of(...), $house->design->openingsOf($wall));
                $openings = array_values(array_filter($openings, static fn ($p): bool => ! $p->isOff($body)));
                self::assertClosedUnwelded($mesh = Mesher::wall($body, $openings, mt_rand(2, 30) / 10));
                self::assertGreaterThan(0.0, $mesh->volume());
                $curved += $body->heads !== null && ! $body->surface->isFlat() ? 1 : 0;
                $ends += $body->left->arc !== null || $body->right->arc !== null ? 1 : 0;
                $cut += count($openings);
            }
        }
        self::assertGreaterThan(35, $curved);
        self::assertGreaterThan(5, $ends);
        self::assertGreaterThan(50, $cut);
    }

    /** Summed over plan in cells of 5 × 20, by the level of its head over each. */
    public function test_they_are_as_large_as_what_stands_under_the_roof(): void
    {
        mt_srand(7);
        for ($round = 0; $round < 6; $round++) {
            $house = self::lookout();
            $body = $house->body(4);
            self::assertNotNull($body->heads);
            $wanted = self::summed($body);
            self::assertEqualsWithDelta($wanted, Mesher::wall($body, [], 0.02)->volume(), $wanted * 2e-4);
        }
    }

    /** Levels that step and slope along an arc, at its ends too: the solid holds what the formula of a ring does. */
    public function test_levels_along_them_step_through_their_thickness(): void
    {
        $house = self::arc();
        $house->do('wall.edge', ['walls' => [$house->wall(4)->id], 'head' => ['points' => [
            ['along' => 0, 'over' => 0], ['along' => 3000, 'over' => 0], ['along' => 3000, 'over' => 600], ['along' => 9000, 'over' => 600],
            ['along' => 9000, 'over' => -900],
        ]]]);
        $body = $house->body(4);
        $mesh = Mesher::wall($body, [], 0.01);
        self::assertClosedUnwelded($mesh);
        // (r² − (r − t)²) / 2 · θ of each stretch, times its height: 3 600, 4 200 and 2 700 over 3 000, 6 000 and the rest
        $ring = (9000 ** 2 - 8700 ** 2) / 2 / 9000;
        $wanted = $ring * (3000 * 3600 + 6000 * 4200 + (12566.3706 - 9000) * 2700);
        self::assertEqualsWithDelta(1.0, $mesh->volume() / $wanted, 1e-5);
        // through its thickness a step is square to the face
        self::assertEqualsWithDelta(1.0, self::summed($body) / $wanted, 1e-3);
    }

    private static function arc(): House
    {
        $house = House::box(12000, 8000, 300, [3600]);
        $half = deg2rad(40);
        $point = static fn (float $a): array => [30000 + 9000 * sin($a), -9000 * cos($a)];
        $house->do('outline.draw', [
            'points' => [$point(-$half), ['through' => $point(0.0), 'x' => $point($half)[0], 'y' => $point($half)[1]]],
            'closed' => false, 'outside' => 'right', 'thickness' => 300, 'base' => $house->storey(0), 'top' => $house->storey(0),
        ]);

        return $house;
    }

    private static function summed(Body $body): float
    {
        $sum = 0.0;
        $t = $body->host->depth();
        $shape = $body->footprint();
        [$x0, $y0, $x1, $y1] = $shape->bounds();
        for ($n = (int) ceil(($x1 - $x0) / 5), $i = 0; $i < $n; $i++) {
            $x = $x0 + ($x1 - $x0) * ($i + 0.5) / $n;
            foreach ($shape->spans(true, $x) as [$low, $high]) {
                for ($m = (int) ceil(($high - $low) / 20), $k = 0; $k < $m; $k++) {
                    $at = new Vec2($x, $low + ($high - $low) * ($k + 0.5) / $m);
                    $sum += ($body->headAt($at) - $body->footAt($at)) * ($high - $low) / $m * ($x1 - $x0) / $n;
                }
            }
        }

        return $sum;
    }
}
