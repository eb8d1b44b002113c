<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Building;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Building\Frontages;
use Isleward\Core\Building\SetBack;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** Which walls make one frontage: those whose outer faces lie in one plane, look the same way, and touch or stand over each other. */
final class FrontagesTest extends TestCase
{
    public function test_a_wall_set_forward_or_back_has_a_frontage_of_its_own(): void
    {
        foreach ([[0.0, 1], [0.05, 1], [1.0, 2], [300.0, 2]] as [$back, $count]) {
            $house = self::storeys(2);
            self::wall($house, [[0, 0], [9000, 0]], 0);
            self::wall($house, [[0, $back], [9000, $back]], 1);
            self::assertCount($count, self::frontages($house), "set back by $back");
        }
    }

    public function test_walls_back_to_back_look_two_ways(): void
    {
        $house = self::storeys(1);
        self::wall($house, [[0, 0], [9000, 0]], 0);
        self::wall($house, [[9000, 0], [0, 0]], 0);
        self::assertSame(['South', 'North'], array_column(self::frontages($house), 'name'));
    }

    public function test_a_gap_parts_and_a_touch_joins(): void
    {
        foreach ([[9000, 1], [9001, 2], [12000, 2]] as [$from, $count]) {
            $house = self::storeys(1);
            self::wall($house, [[0, 0], [9000, 0]], 0);
            self::wall($house, [[$from, 0], [20000, 0]], 0);
            self::assertCount($count, self::frontages($house), "the second begins at $from");
        }
    }

    public function test_offsets_run_from_the_leftmost_wall_whichever_was_drawn_first(): void
    {
        $house = self::storeys(3);
        self::wall($house, [[6000, 0], [9000, 0]], 1);
        self::wall($house, [[2000, 0], [7000, 0]], 0);
        self::wall($house, [[8000, 0], [15000, 0]], 2);
        [$only] = self::frontages($house);
        $walls = array_keys($house->design->walls);
        self::assertEqualsWithDelta([$walls[0] => 4000.0, $walls[1] => 0.0, $walls[2] => 6000.0], $only->walls, 1e-6);
        self::assertEqualsWithDelta([13000.0, 0.0, 9000.0], [$only->width, $only->foot, $only->head], 1e-6);
    }

    /** A plan like a U, open to the north: its inside looks the ways that its outside looks too. By hand. */
    public function test_one_in_a_recess_says_how_far_it_lies_behind_its_like(): void
    {
        $house = self::storeys(1);
        $plan = [[0, 0], [12000, 0], [12000, 9000], [8000, 9000], [8000, 3000], [3000, 3000], [3000, 7000], [0, 7000]];
        self::wall($house, $plan, 0, closed: true);
        self::wall($house, [[20000, 5000], [29000, 5000]], 0);
        $said = [];
        foreach ($all = self::frontages($house) as $frontage) {
            $back = SetBack::of($frontage, $all);
            $said[$frontage->name] = $back === null ? null : [$back->behind->name, round($back->by, 6)];
        }
        self::assertSame([
            'South' => null, 'East' => null, 'North' => null, 'West' => ['West 2', 8000.0], 'North 2' => ['North', 6000.0],
            'East 2' => ['East', 9000.0], 'North 3' => ['North', 2000.0], 'West 2' => null, 'South 2' => null,
        ], $said);
    }

    public function test_names_are_of_where_they_look_and_never_twice_and_inner_walls_come_last(): void
    {
        $house = House::box(heights: [3000]);
        self::wall($house, [[3000, 300], [3000, 7700]], 0, inner: true);
        self::wall($house, [[20000, 0], [29000, 0]], 0);
        self::wall($house, [[40000, 0], [49000, 9000]], 0);
        self::assertSame(
            ['South', 'East', 'North', 'West', 'South 2', 'South-east', 'Inner wall 1'],
            array_column(self::frontages($house), 'name'),
        );
        // north turned a quarter: what looked south looks west
        $house->do('settings.change', ['north' => 90]);
        self::assertSame('West', self::frontages($house)[0]->name);
    }

    /**
     * Law over random plans: every wall is in one frontage; within it all lie in its plane and look its way; between two, none that would
     * join.
     */
    public function test_every_wall_is_in_one_frontage_and_lies_where_it_says(): void
    {
        mt_srand(20261126);
        $joined = 0;
        for ($round = 0; $round < 60; $round++) {
            $house = self::storeys(3);
            for ($i = 0; $i < 14; $i++) {
                [$x, $y, $length] = [mt_rand(0, 4) * 3000, mt_rand(0, 2) * 4000, mt_rand(1, 3) * 3000];
                $points = mt_rand(0, 1) === 0 ? [[$x, $y], [$x + $length, $y]] : [[$x, $y], [$x, $y + $length]];
                try {
                    self::wall($house, mt_rand(0, 1) === 0 ? $points : array_reverse($points), mt_rand(0, 2));
                } catch (Refusal) {
                    continue; // one stands there already
                }
            }
            $bodies = Bodies::of($house->design);
            $frontages = Frontages::of($house->design, $bodies);
            $ids = array_merge(...array_map(static fn (Frontage $f): array => array_keys($f->walls), $frontages));
            self::assertEqualsCanonicalizing(array_keys($house->design->walls), $ids);
            $names = array_column($frontages, 'name');
            self::assertSame($names, array_values(array_unique($names)));
            foreach ($frontages as $frontage) {
                self::assertEqualsWithDelta(0.0, min($frontage->walls), 1e-6);
                foreach ($frontage->walls as $id => $start) {
                    $there = $frontage->surface->inPlan($start);
                    self::assertEqualsWithDelta(
                        [$bodies[$id]->surface->start()->x, $bodies[$id]->surface->start()->y],
                        [$there->x, $there->y],
                        0.2,
                    );
                    self::assertEqualsWithDelta(1.0, $bodies[$id]->surface->tangent()->dot($frontage->surface->tangent($start)), 1e-9);
                    self::assertLessThanOrEqual($frontage->width + 1e-6, $start + $bodies[$id]->length);
                    self::assertTrue($frontage->foot <= $bodies[$id]->foot && $bodies[$id]->head <= $frontage->head);
                }
                $joined += (int) (count($frontage->walls) > 1);
            }
            foreach ($frontages as $i => $a) {
                foreach (array_slice($frontages, $i + 1) as $b) {
                    self::assertFalse(self::wouldJoin($bodies, $a, $b), "$a->name and $b->name are one");
                }
            }
        }
        self::assertGreaterThan(100, $joined);
    }

    /** @param  array<string, Body>  $bodies */
    private static function wouldJoin(array $bodies, Frontage $a, Frontage $b): bool
    {
        foreach (array_keys($a->walls) as $i) {
            foreach (array_keys($b->walls) as $j) {
                [$p, $q] = [$bodies[$i], $bodies[$j]];
                // by the ends of both in plan, not by how the frontages are gathered
                [$p0, $p1, $q0, $q1] = [
                    $p->surface->inPlan(0.0),
                    $p->surface->inPlan($p->length),
                    $q->surface->inPlan(0.0),
                    $q->surface->inPlan($q->length),
                ];
                $level = abs($p0->y - $p1->y) < 0.1;
                $inLine = $level
                    ? abs($q0->y - $q1->y) < 0.1 && abs($p0->y - $q0->y) < 0.1 && ($p1->x > $p0->x) === ($q1->x > $q0->x)
                    : abs($q0->x - $q1->x) < 0.1 && abs($p0->x - $q0->x) < 0.1 && ($p1->y > $p0->y) === ($q1->y > $q0->y);
                $axis = $level ? 'x' : 'y';
                if ($inLine
                                    && max($p0->$axis, $p1->$axis) >= min($q0->$axis, $q1->$axis)
                                    && max($q0->$axis, $q1->$axis) >= min($p0->$axis, $p1->$axis)) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function storeys(int $count): House
    {
        $house = new House;
        for ($i = 0; $i < $count; $i++) {
            $house->do('storey.insert', ['name' => "S$i", 'height' => 3000, 'above' => $i === 0 ? null : $house->storey($i - 1)]);
        }

        return $house;
    }

    /** @param  list<array{float|int, float|int}>  $points  its outside is on the right of the way it is drawn */
    private static function wall(House $house, array $points, int $storey, bool $inner = false, bool $closed = false): void
    {
        $house->do('outline.draw', [
            'points' => $points, 'thickness' => 300, 'base' => $house->storey($storey), 'top' => $house->storey($storey),
            'closed' => $closed, 'outside' => 'right', 'inner' => $inner,
        ]);
    }

    /** @return list<Frontage> */
    private static function frontages(House $house): array
    {
        return Frontages::of($house->design, Bodies::of($house->design));
    }
}
