<?php

declare(strict_types=1);

namespace Tests\Peers;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\WallSolid;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Roof\EavesCut;
use Isleward\Core\Roof\Rooflights;
use Isleward\Core\Roof\Roofs;
use Isleward\Core\Roof\RoofShape;
use Isleward\Core\Roof\RoofSide;
use Isleward\Core\Scene\UnitPieces;
use Isleward\Core\Tests\Support\House;

/** Roofs over seeded outlines, read by manifold-3d: every face's solid is closed and as large as is said, and no two share volume. */
final class RoofsTest extends PeerCase
{
    public function test_faces_are_closed_and_fill_the_roof_without_overlap(): void
    {
        mt_srand(20261127);
        $cases = $ours = [];
        $cut = 0;
        for ($case = 0; $case < 40; $case++) {
            $shape = self::roof($case % 3, ['upright', 'square', 'level'][intdiv($case, 3) % 3]);
            if ($shape === null) {
                continue; // gables that leave no roof, or too little overhang for the cut
            }
            $cut += $shape->roof->through === [] ? 0 : 1;
            [$meshes, $volumes] = [[], []];
            $foot = $shape->sides[0]->from;
            foreach ($shape->solids() as $solid) {
                $near = new Moved($solid, static fn (float $x, float $y, float $z): array => [$x - $foot->x, $y - $foot->y, $z]);
                $mesh = $near->mesh(1.0);
                $meshes[] = ['positions' => $mesh->positions, 'triangles' => $mesh->triangles];
                $volumes[] = $solid->volume();
            }
            $cases[] = $meshes;
            $plan = array_sum(array_map(static fn (RoofSide $s): float => $s->planArea(), $shape->slopes()));
            $ours[] = [$volumes, $shape->roof->cut === EavesCut::Upright ? $plan * $shape->roof->upright() : array_sum($volumes)];
        }
        self::assertGreaterThan(20, count($cases));
        self::assertGreaterThan(5, $cut);
        foreach (self::ask('runs.mjs', $cases) as $i => $theirs) {
            [$volumes, $whole] = $ours[$i];
            self::assertSame(['NoError'], $theirs['status'], "roof $i");
            foreach ($volumes as $k => $volume) {
                self::assertEqualsWithDelta($volume, $theirs['volumes'][$k], $volume * 1e-4 + 1e3, "face $k of roof $i");
            }
            self::assertEqualsWithDelta($whole, array_sum($volumes), $whole * 1e-9, "roof $i");
            self::assertEqualsWithDelta($whole, $theirs['union'], $whole * 1e-5, "no two faces of roof $i share any volume");
        }
    }

    /** Walls that run up to their roof touch it and one another, and share no volume: what they are told to hold is what they fill. */
    public function test_walls_run_up_to_the_roof_without_overlap(): void
    {
        mt_srand(20261128);
        $cases = $ours = [];
        for ($case = 0; $case < 40; $case++) {
            $found = self::house($case % 4);
            if ($found === null) {
                continue;
            }
            [$house, $id] = $found;
            $walls = array_slice(array_keys($house->design->walls), 4);
            try {
                $house->do('wall.edge', ['walls' => $walls, 'head' => ['roof' => $id]]);
            } catch (Refusal) {
                continue; // thinner than its walls' corners somewhere
            }
            [$meshes, $volumes] = [[], []];
            $bodies = Bodies::of($house->design);
            $foot = $bodies[$walls[0]]->surface->start();
            foreach ($walls as $wall) {
                $solid = new WallSolid($bodies[$wall], []);
                $mesh = $solid->mesh(1.0);
                $positions = [];
                foreach (array_chunk($mesh->positions, 3) as [$u, $v, $n]) {
                    $at = $bodies[$wall]->surface->inPlan($u, -$n);
                    array_push($positions, $at->x - $foot->x, $at->y - $foot->y, $v);
                }
                $meshes[] = ['positions' => $positions, 'triangles' => $mesh->triangles];
                $volumes[] = $solid->volume();
            }
            foreach (Roofs::in($house->design)->of(Roofs::roof($house->design, $id))->solids() as $solid) {
                $near = new Moved($solid, static fn (float $x, float $y, float $z): array => [$x - $foot->x, $y - $foot->y, $z]);
                $mesh = $near->mesh(1.0);
                $meshes[] = ['positions' => $mesh->positions, 'triangles' => $mesh->triangles];
                $volumes[] = $solid->volume();
            }
            $cases[] = $meshes;
            $ours[] = $volumes;
        }
        self::assertGreaterThan(25, count($cases));
        foreach (self::ask('runs.mjs', $cases) as $i => $theirs) {
            self::assertSame(['NoError'], $theirs['status'], "house $i");
            foreach ($ours[$i] as $k => $volume) {
                self::assertEqualsWithDelta($volume, $theirs['volumes'][$k], $volume * 1e-4 + 1e3, "solid $k of house $i");
            }
            $sum = array_sum($ours[$i]);
            self::assertEqualsWithDelta($sum, $theirs['union'], $sum * 2e-5, "nothing of house $i shares volume");
        }
    }

    /** Faces with rooflights in them, and those rooflights' frames, sashes and panes: closed, as large as is said, none in another. */
    public function test_rooflights_fill_what_is_cut_out_for_them(): void
    {
        mt_srand(20261129);
        $cases = $ours = [];
        for ($case = 0; $case < 24; $case++) {
            $found = self::house($case % 3);
            if ($found === null) {
                continue;
            }
            [$house, $id] = $found;
            foreach (array_slice(array_keys($house->design->walls), 4) as $wall) {
                $type = array_keys($house->design->types)[[0, 7, 11][mt_rand(0, 2)]];
                $args = [
                    'id' => $id, 'type' => $type, 'wall' => $wall, 'from' => 'middle', 'up' => 'middle', 'width' => mt_rand(6, 11) * 100,
                    'height' => mt_rand(6, 11) * 100, 'count' => mt_rand(1, 2), 'proud' => mt_rand(0, 90),
                ];
                if (! $house->refuses('roof.light', $args)) {
                    $house->do('roof.light', $args);
                }
            }
            $shape = Roofs::in($house->design)->of(Roofs::roof($house->design, $id));
            $placed = Rooflights::of($house->design, $shape);
            $solids = Rooflights::faces($shape, $placed);
            foreach ($placed as $light) {
                $pieces = UnitPieces::of($light->unit, $house->design->settings, -$light->light->proud, true, 100.0, null);
                foreach ($pieces as $piece) {
                    $solids[] = new Moved($piece->solid, static function (float $x, float $y, float $z) use ($light): array {
                        $at = $light->face->axes->point($light->u + $x, $light->v + $y, $z);

                        return [$at->x, $at->y, $at->z];
                    });
                }
            }
            $foot = $shape->sides[0]->from;
            [$meshes, $volumes] = [[], []];
            foreach ($placed === [] ? [] : $solids as $solid) {
                $near = new Moved($solid, static fn (float $x, float $y, float $z): array => [$x - $foot->x, $y - $foot->y, $z]);
                $mesh = $near->mesh(1.0);
                $meshes[] = ['positions' => $mesh->positions, 'triangles' => $mesh->triangles];
                $volumes[] = $solid->volume();
            }
            if ($meshes !== []) {
                [$cases[], $ours[]] = [$meshes, $volumes];
            }
        }
        self::assertGreaterThan(12, count($cases));
        foreach (self::ask('runs.mjs', $cases) as $i => $theirs) {
            self::assertSame(['NoError'], $theirs['status'], "roof $i");
            foreach ($ours[$i] as $k => $volume) {
                self::assertEqualsWithDelta($volume, $theirs['volumes'][$k], $volume * 1e-4 + 1e3, "solid $k of roof $i");
            }
            $sum = array_sum($ours[$i]);
            self::assertEqualsWithDelta($sum, $theirs['union'], $sum * 2e-5, "nothing of roof $i shares volume");
        }
    }

    /** A roof over an outline round a middle; every third with pitches of their own, every third with a gable. */
    private static function roof(int $kind, string $cut): ?RoofShape
    {
        $found = self::house($kind);
        $args = ['id' => $found[1] ?? '', 'cut' => $cut];
        if ($found === null || $found[0]->refuses('roof.change', $args)) {
            return null;
        }
        $found[0]->do('roof.change', $args);
        if (mt_rand(0, 1) === 1) {
            // something stands up through every other one, wherever it can
            [$x, $y, $wide] = [100000 + mt_rand(-6000, 3000), mt_rand(-6000, 3000), mt_rand(800, 5000)];
            $storey = $found[0]->storey(0);
            $found[0]->do('outline.draw', [
                'points' => [[$x, $y], [$x + $wide, $y + 300], [$x + $wide - 200, $y + 2100], [$x, $y + 1900]], 'closed' => true,
                'thickness' => 200, 'base' => $storey, 'top' => $storey,
            ]);
            $through = ['id' => $found[1], 'through' => [(string) array_key_last($found[0]->design->outlines)]];
            if (! $found[0]->refuses('roof.change', $through)) {
                $found[0]->do('roof.change', $through);
            }
        }

        return Roofs::in($found[0]->design)->find(Roofs::roof($found[0]->design, $found[1]));
    }

    /** @return array{House, string}|null the house and the roof over its second outline */
    private static function house(int $kind): ?array
    {
        $house = House::box();
        [$storey, $x] = [$house->storey(0), 100000.0];
        $points = [];
        $n = mt_rand(4, 9);
        for ($i = 0; $i < $n; $i++) {
            [$angle, $far] = [2 * M_PI * ($i + mt_rand(-25, 25) / 100) / $n, mt_rand(6000, 14000)];
            $points[] = [round($x + $far * cos($angle)), round($far * sin($angle))];
        }
        try {
            $house->do('outline.draw', [
                'points' => $points, 'closed' => true, 'thickness' => 300, 'base' => $storey, 'top' => $storey,
            ]);
            $outline = (string) array_key_last($house->design->outlines);
            $id = $house->do('roof.add', ['outline' => $outline, 'pitch' => mt_rand(15, 55), 'overhang' => mt_rand(0, 500)])->chosen[0];
            foreach ($kind === 1 ? $house->design->wallsOf($outline) : [] as $wall) {
                $house->do('roof.change', ['id' => $id, 'edge' => ['wall' => $wall->id, 'pitch' => mt_rand(15, 60)]]);
            }
            if ($kind === 2) {
                $house->do('roof.change', ['id' => $id, 'edge' => ['wall' => $house->design->wallsOf($outline)[0]->id, 'gable' => true]]);
            }
        } catch (Refusal) {
            return null;
        }

        return [$house, $id];
    }
}
