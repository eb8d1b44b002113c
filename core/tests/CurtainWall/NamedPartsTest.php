<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\CurtainWall;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Places;
use Isleward\Core\CurtainWall\CurtainDrawn;
use Isleward\Core\CurtainWall\LetIn;
use Isleward\Core\CurtainWall\PartName;
use Isleward\Core\CurtainWall\RunMember;
use Isleward\Core\CurtainWall\RunPane;
use Isleward\Core\CurtainWall\RunPart;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\CurtainWall\StandingRun;
use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Geometry\Mesh;
use Isleward\Core\Scene\Scene;
use Isleward\Core\Tests\Support\GridSample;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Of every cell and member the solid model has the triangles under its name: they enclose the volume of what it is. */
final class NamedPartsTest extends TestCase
{
    /** @return iterable<string, array{list<mixed>, array<string, mixed>}> points and what is set */
    public static function runs(): iterable
    {
        yield 'upright, with a corner' => [[[0, -9000], [6000, -9000], [6000, -4000]], []];
        yield 'leaning' => [[[0, -9000], [6000, -9000], [6000, -4000]], ['lean' => 14]];
        yield 'bent' => [[[0, -9000], ['x' => 6000, 'y' => -9000, 'rise' => 900]], []];
        yield 'in facets' => [[[0, -9000], ['x' => 6000, 'y' => -9000, 'rise' => 900]], ['faceted' => true]];
        yield 'straight, then in facets' => [[[-5000, -9000], [0, -9000], ['x' => 6000, 'y' => -9000, 'rise' => 900]], ['faceted' => true]];
    }

    /**
     * @param  list<mixed>  $points
     * @param  array<string, mixed>  $set
     */
    #[DataProvider('runs')]
    public function test_a_name_holds_what_it_is_of(array $points, array $set): void
    {
        $house = House::box(12000, 8000, 300, [3600]);
        $grid = $house->do('grid.add', ['name' => 'test'] + GridSample::values())->chosen[0];
        $storey = $house->storey(0);
        $walls = $house->do('outline.draw', [
            'points' => $points, 'closed' => false, 'grid' => $grid, 'base' => $storey, 'top' => $storey, 'name' => 'Prow',
        ])->chosen;
        if ($set !== []) {
            $house->do('curtain.set', ['walls' => $walls] + $set);
        }
        foreach ($walls as $wall) {
            $standing = Runs::in($house->design)->find($wall) ?? self::fail('It does not stand.');
            $index = $standing->indexOf($wall);
            if ($standing->path->stretches[$index]->lean === 0.0 && ! $standing->path->stretches[$index]->curve->isCurved()) {
                $house->do('curtain.hand', ['ids' => [$wall], 'free' => [[
                    'fromU' => 1500, 'fromV' => 0, 'toU' => 3000, 'toV' => 1800,
                    'profile' => ['shape' => 'rectangle', 'face' => 60, 'depth' => 120, 'setback' => 0],
                ]]]);
                $standing = Runs::in($house->design)->find($wall) ?? self::fail('It does not stand.');
            }
            $members = $panes = [];
            foreach ($standing->partsOf($index) as $part) {
                foreach ($part->stretch->members() as $member) {
                    $members[] = [PartName::member($member, $part->line) ?? '', $member];
                }
                foreach ($part->stretch->panes() as $pane) {
                    $panes[] = [PartName::cell($pane->cell, $part->line), $pane];
                }
            }
            foreach ($standing->run->corners as $i => $member) {
                if ($standing->run->cornerOf[$i] === $index) {
                    $members[] = [$standing->run->cornerName[$i], $member];
                }
            }
            self::compare($members, $panes, $house->design, $wall, $wall);
            self::comparePlan($members, $panes, $house, $wall, $standing->foot);
            self::compareCorners($standing, $wall);
        }
    }

    /**
     * In plan what is cut has the names of the cells and upright members that the cut, 1 200 over the floor, goes through.
     *
     * @param  list<array{string, RunMember}>  $members  with their names
     * @param  list<array{string, RunPane}>  $panes
     */
    private static function comparePlan(array $members, array $panes, House $house, string $wall, float $foot): void
    {
        $body = Bodies::of($house->design)[$wall];
        $drawn = (new CurtainDrawn)->plan($house->design, $body, $house->storey(0), 100.0)[$wall];
        $named = array_values(array_unique(array_filter(array_map(static fn (Shape $s): ?string => $s->part, $drawn))));
        $wanted = [];
        $v = (1200.0 - $foot) / cos(deg2rad($house->design->wall($wall)->curtain->lean ?? 0.0));
        foreach ($panes as [$name, $pane]) {
            [, $low, , $high] = $pane->cell->contour()->bounds();
            if ($low < $v && $high > $v && $pane->cell->infill->thickness() > 0.0) {
                $wanted[] = $name;
            }
        }
        $cells = array_values(array_filter($named, static fn (string $n): bool => str_starts_with($n, 'cell')));
        self::assertEqualsCanonicalizing(array_values(array_unique($wanted)), $cells);
        $uprights = array_diff($named, $cells);
        self::assertNotSame([], $uprights);
        self::assertSame([], array_diff($uprights, array_column($members, 0)));
        foreach ($members as [$name]) {
            self::assertTrue(! str_starts_with($name, 'corner') || in_array($name, $uprights, true), $name);
        }
    }

    /** What stands between two facets or stretches is called alike from both its sides; what ends free has nothing there. */
    private static function compareCorners(StandingRun $standing, string $wall): void
    {
        $index = $standing->indexOf($wall);
        $facets = array_map(static fn (RunPart $p): ?string => $p->line, $standing->partsOf($index));
        foreach (array_slice($facets, 1) as $i => $facet) {
            $from = $standing->corner($wall, $facets[$i], false);
            self::assertSame($from, $standing->corner($wall, $facet, true));
            self::assertSame("corner $facet", $from[1] ?? null);
        }
        $next = $standing->walls[$index + 1] ?? null;
        $end = $standing->corner($wall, $facets[count($facets) - 1], false);
        self::assertSame($next === null ? null : [$wall, 'corner end'], $end === null ? null : array_slice($end, 0, 2));
        if ($next !== null) {
            self::assertSame($end, $standing->corner($next->id, $standing->partsOf($index + 1)[0]->line, true));
        }
        if ($index === 0) {
            self::assertNull($standing->corner($wall, $facets[0], true));
        }
    }

    public function test_what_is_let_in_is_named_too(): void
    {
        $house = House::box(12000, 8000, 300, [3600]);
        $grid = $house->do('grid.add', ['name' => 'test'] + GridSample::values())->chosen[0];
        $placed = $house->place([
            'left' => 2000, 'width' => 4200, 'height' => 2700, 'sill' => ['from' => 'floor', 'height' => 0], 'grid' => $grid,
        ]);
        $id = $placed->id;
        $run = LetIn::find($house->design, Places::in($house->design)->of($house->design->openings[$id])) ?? self::fail('It is not there.');
        self::compare(
            array_map(static fn (RunMember $m): array => [PartName::member($m) ?? '', $m], $run->members()),
            array_map(static fn (RunPane $p): array => [PartName::cell($p->cell), $p], $run->panes()),
            $house->design,
            $house->wall()->id,
            $id,
        );
    }

    /** Bays of 1 500 and rows of 1 800 between middles of members 50 × 150: 60 wide from foot to transom through an L of three cells. */
    public function test_a_free_member_through_a_joined_cell_is_as_large_as_it_is_drawn(): void
    {
        $house = House::box(12000, 8000, 300, [3600]);
        $grid = $house->do('grid.add', ['name' => 'test'] + GridSample::values())->chosen[0];
        $storey = $house->storey(0);
        [$wall] = $house->do('outline.draw', [
            'points' => [[0, -9000], [6000, -9000]], 'closed' => false, 'grid' => $grid, 'base' => $storey, 'top' => $storey, 'name' => 'P',
        ])->chosen;
        $house->do('curtain.hand', ['ids' => [$wall], 'join' => [
            ['element' => $wall, 'left' => '0', 'foot' => '0'], ['element' => $wall, 'left' => '1', 'foot' => '0'],
            ['element' => $wall, 'left' => '0', 'foot' => '1'],
        ]]);
        $house->do('curtain.hand', ['ids' => [$wall], 'free' => [[
            'fromU' => 2250, 'fromV' => 0, 'toU' => 2250, 'toV' => 1800,
            'profile' => ['shape' => 'rectangle', 'face' => 60, 'depth' => 120, 'setback' => 0],
        ]]]);
        $standing = Runs::in($house->design)->find($wall) ?? self::fail('It does not stand.');
        $stretch = $standing->partsOf(0)[0]->stretch;
        $free = array_values(array_filter($stretch->members(), static fn (RunMember $m): bool => $m->what === 'free member'));
        self::assertCount(1, $free);
        self::assertEqualsWithDelta(60.0 * 120.0 * (1775.0 - 50.0), $free[0]->volume(), 1e-3);
        self::assertCount(1, $stretch->drawn()->free);
    }

    /**
     * @param  list<array{string, RunMember}>  $members  with their names
     * @param  list<array{string, RunPane}>  $panes
     */
    private static function compare(array $members, array $panes, Design $design, string $wall, string $element): void
    {
        $ours = [];
        foreach ($members as [$name, $member]) {
            $ours[$name] = ($ours[$name] ?? 0.0) + $member->volume();
        }
        foreach ($panes as [$name, $pane]) {
            $ours[$name] = ($ours[$name] ?? 0.0) + $pane->volume();
        }
        $theirs = self::volumes($design, $wall, $element);
        self::assertGreaterThan(10, count($ours));
        self::assertEqualsCanonicalizing(array_keys($ours), array_keys($theirs));
        foreach ($ours as $name => $volume) {
            self::assertEqualsWithDelta($volume, $theirs[$name], 1.0 + $volume * 2e-3, $name);
        }
    }

    /** @return array<string, float> by name */
    private static function volumes(Design $design, string $wall, string $element): array
    {
        $scene = Scene::of('test', $design, [Bodies::of($design)[$wall]]);
        $out = [];
        foreach ($scene->parts as $part) {
            $geometry = $scene->geometries[$part->geometry];
            foreach ($part->element === $element ? $geometry->meshes : [] as $material => $mesh) {
                $at = 0;
                foreach ($geometry->names[$material] ?? [[$part->name, intdiv(count($mesh->triangles), 3)]] as [$name, $count]) {
                    $triangles = array_slice($mesh->triangles, 3 * $at, 3 * $count);
                    $at += $count;
                    if ($name !== null) {
                        $out[$name] = ($out[$name] ?? 0.0) + (new Mesh($mesh->positions, array_values($triangles)))->volume();
                    }
                }
                self::assertSame(3 * $at, count($mesh->triangles));
            }
        }

        return $out;
    }
}
