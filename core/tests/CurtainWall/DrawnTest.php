<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\CurtainWall;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Frontages;
use Isleward\Core\CurtainWall\Corner;
use Isleward\Core\CurtainWall\CurtainParts;
use Isleward\Core\CurtainWall\Drawn;
use Isleward\Core\CurtainWall\InfillKind;
use Isleward\Core\CurtainWall\PlacedRun;
use Isleward\Core\CurtainWall\RunMember;
use Isleward\Core\CurtainWall\RunPane;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\CurtainWall\UprightCut;
use Isleward\Core\Design\Wall;
use Isleward\Core\Drawing\Elevation;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Plan;
use Isleward\Core\Drawing\Section;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Scene\Scene;
use Isleward\Core\Schedule\Row;
use Isleward\Core\Schedule\Source;
use Isleward\Core\Tests\Support\GridSample;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is drawn, shown and scheduled of curtain walls agrees with what they are. */
final class DrawnTest extends TestCase
{
    /** Any run of two stretches: leans, corners, joined cells, free members. */
    private static function house(int $seed): ?House
    {
        mt_srand($seed);
        $house = House::box(12000, 8000, 300, [3600, 3300]);
        $corner = [
            ['kind' => 'post', 'profile' => ['shape' => 'rectangle', 'face' => mt_rand(60, 160), 'depth' => 150]],
            ['kind' => 'mitred', 'profile' => ['shape' => 'rectangle', 'face' => mt_rand(40, 90), 'depth' => 150]],
            ['kind' => 'glass', 'joint' => mt_rand(0, 20)],
        ][mt_rand(0, 2)];
        $angle = deg2rad(mt_rand(40, 150));
        try {
            $grid = $house->do('grid.add', ['name' => 'x', 'corner' => $corner] + GridSample::values([
                'bays' => ['by' => 'module', 'size' => mt_rand(700, 1600), 'remainder' => ['start', 'both', 'end'][mt_rand(0, 2)]],
                'rows' => ['by' => 'sizes', 'sizes' => [mt_rand(600, 1200)], 'after' => 'rest', 'perStorey' => mt_rand(0, 1) === 1],
                'infills' => [
                    ['where' => 'everywhere', 'infill' => ['kind' => 'vision']],
                    ['where' => 'storey-rows', 'numbers' => [1], 'infill' => ['kind' => 'spandrel']],
                    ['where' => 'chequer', 'first' => 2, 'infill' => ['kind' => 'solid']],
                ],
            ]))->chosen[0];
            $run = $house->do('outline.draw', [
                'points' => [[20000, 0], [26000, 0], [26000 + 5500 * cos($angle), 5500 * sin($angle)]], 'closed' => false, 'grid' => $grid,
                'base' => $house->storey(0), 'top' => $house->storey(mt_rand(0, 1)),
            ])->chosen;
            $house->do('curtain.set', ['walls' => [$run[0]], 'lean' => mt_rand(-20, 20)]);
            $house->do('curtain.set', ['walls' => [$run[1]], 'lean' => mt_rand(-20, 20)]);
            $house->do('curtain.hand', ['ids' => [$run[0]], 'members' => [
                ['axis' => 'upright', 'line' => '2', 'from' => '0', 'profile' => null],
            ]]);
        } catch (Refusal) {
            return null; // slivers, sides that vanish: not a run
        }

        return $house;
    }

    /** @return list<Drawn> */
    private static function drawn(House $house): array
    {
        $out = [];
        foreach (Runs::in($house->design)->all() as $standing) {
            foreach ($standing->run->stretches as $stretch) {
                $out[] = $stretch->drawn();
            }
        }

        return $out;
    }

    public function test_members_corners_and_cells_fill_the_drawn_face_and_do_not_overlap(): void
    {
        $seen = 0;
        for ($seed = 1; $seen < 25; $seed++) {
            $house = self::house($seed);
            foreach ($house === null ? [] : self::drawn($house) as $drawn) {
                $seen++;
                $contours = array_column([...$drawn->corners, ...$drawn->free, ...$drawn->members, ...$drawn->cells], 1);
                $sum = array_sum(array_map(static fn (Contour $c): float => $c->area(), $contours));
                self::assertEqualsWithDelta($drawn->face->area(), $sum, 60.0, "seed $seed: they add up");
                $union = Region::empty();
                foreach ($contours as $contour) {
                    $union = $union->union(Region::polygon($contour->ring()));
                }
                self::assertEqualsWithDelta($sum, $union->area(), 60.0, "seed $seed: none lies over another");
            }
        }
    }

    public function test_a_level_cut_shows_the_sections_of_what_stands_upright(): void
    {
        $house = House::box(12000, 8000, 300, [3600]);
        $grid = $house->do('grid.add', ['name' => 'x', 'corner' => [
            'kind' => 'post', 'profile' => ['shape' => 'rectangle', 'face' => 120, 'depth' => 120],
        ]] + GridSample::values(['bays' => ['by' => 'count', 'count' => 4], 'rows' => ['by' => 'count', 'count' => 1]]))->chosen[0];
        $run = $house->do('outline.draw', [
            'points' => [[20000, 0], [26000, 0], [26000, 5000]], 'closed' => false, 'grid' => $grid,
            'base' => $house->storey(0), 'top' => $house->storey(0),
        ])->chosen;
        [$drawing, , $walls] = Plan::of($house->design, Bodies::of($house->design), $house->storey(0));
        $area = 0.0;
        foreach ($drawing->shapes as $i => $shape) {
            if (in_array($walls[$i], $run, true) && $shape->layer === Layer::Cut) {
                $area += array_sum(array_map(static fn (array $r): float => abs(Region::signedArea($r)), $shape->rings));
            }
        }
        // a side and three mullions on either stretch, 50 × 150 each, and a post of 120 × 120
        self::assertEqualsWithDelta(8 * 50.0 * 150 + 120 * 120, $area, 0.5);
    }

    public function test_a_section_shows_transoms_as_they_are_and_glass_between(): void
    {
        $house = House::box(12000, 8000, 300, [3600]);
        $grid = $house->do('grid.add', ['name' => 'x'] + GridSample::values(['rows' => ['by' => 'count', 'count' => 3]]))->chosen[0];
        $house->do('outline.draw', [
            'points' => [[20000, -6000], [26000, -6000]], 'closed' => false, 'grid' => $grid,
            'base' => $house->storey(0), 'top' => $house->storey(0),
        ]);
        $line = \Isleward\Core\Design\SectionLine::from(new \Isleward\Core\Measure\Fields([
            'id' => 'sl-1', 'name' => 'A', 'fromX' => 20700, 'fromY' => -9000, 'toX' => 20700, 'toY' => -2000,
        ]));
        $shapes = Section::of($house->design, Bodies::of($house->design), $line)[0]->shapes;
        $area = static fn (Layer $layer): float => array_sum(array_map(
            static fn (Shape $s): float => array_sum(array_map(static fn (array $r): float => abs(Region::signedArea($r)), $s->rings)),
            array_values(array_filter($shapes, static fn (Shape $s): bool => $s->layer === $layer && $s->kind === 'area')),
        ));
        self::assertEqualsWithDelta(4 * 50.0 * 150, $area(Layer::Cut), 1.0, 'foot, head and two transoms');
        self::assertEqualsWithDelta(28.0 * (3600 - 4 * 50), $area(Layer::Glass), 1.0);
    }

    /** Law: what a section cuts of foot, head and transoms is as large as the solids say: their volume over their length. */
    #[DataProvider('cuts')]
    public function test_a_section_through_a_leaning_stretch_is_as_large_as_its_solids(float $lean, bool $square): void
    {
        $rules = Sample::rules(['rows' => ['by' => 'count', 'count' => 3]]);
        $run = Sample::two(180.0, [$lean, $lean], Corner::glass(0.0), rules: $rules, square: $square);
        $shapes = UprightCut::of(House::box(12000, 8000, 300, [3600])->design, $run->stretches[0], 1800.0, deg2rad($lean), ! $square);
        $cut = 0.0;
        [$low, $high] = [INF, -INF];
        foreach (array_filter($shapes, static fn (Shape $s): bool => $s->layer === Layer::Cut) as $shape) {
            foreach ($shape->rings as $ring) {
                $cut += Region::signedArea($ring);
                for ($i = 1, $n = count($ring); $i < $n; $i += 2) {
                    [$low, $high] = [min($low, $ring[$i]), max($high, $ring[$i])];
                }
            }
        }
        $of = [];
        foreach ($run->stretches[0]->members() as $member) {
            $of[$member->what] ??= $member->volume() / $member->length; // the first of each, a whole bay from square end to square end
        }
        self::assertEqualsWithDelta($of['foot'] + $of['head'] + 2 * $of['transom'], $cut, 0.5);
        if (! $square) {
            self::assertEqualsWithDelta([0.0, 2400.0], [$low, $high], 1e-6, 'level at foot and head');
        }
    }

    /** @return iterable<array{float, bool}> */
    public static function cuts(): iterable
    {
        yield [0.0, false];
        yield [18.0, false];
        yield [-12.0, false];
        yield [18.0, true];
    }

    public function test_parts_are_finished_as_their_type_says(): void
    {
        $house = House::box(12000, 8000, 300, [3600]);
        [$deep, $chalk] = [$house->design->settings->finishes[0], $house->design->settings->finishes[1]];
        $values = GridSample::values(['infills' => [
            ['where' => 'everywhere', 'infill' => ['kind' => 'vision', 'layers' => [6, 16, 6]]],
            ['where' => 'rows', 'numbers' => [1], 'infill' => ['kind' => 'spandrel', 'layers' => [6, 16, 6]]],
        ]]);
        $section = ['shape' => 'rectangle', 'face' => 50, 'depth' => 150, 'setback' => 28, 'capWidth' => 50, 'capDepth' => 20];
        $values['rules']['profiles'] = array_fill_keys(array_keys($values['rules']['profiles']), $section);
        $values['rules']['finishes'] = ['members' => $deep->id, 'caps' => $chalk->id, 'spandrel' => $chalk->id];
        $grid = $house->do('grid.add', ['name' => 'x'] + $values)->chosen[0];
        $house->do('outline.draw', [
            'points' => [[20000, -6000], [26000, -6000], [26000, -2000]], 'closed' => false, 'grid' => $grid,
            'base' => $house->storey(0), 'top' => $house->storey(0),
        ]);
        $bodies = Bodies::of($house->design);
        $volumes = [];
        foreach (Runs::in($house->design)->all()[0]->walls as $wall) {
            foreach ((new CurtainParts)->parts($house->design, $bodies[$wall->id]) as $part) {
                foreach (($part->pieces)() as $piece) {
                    $volumes[$piece->material] = ($volumes[$piece->material] ?? 0.0) + $piece->solid->mesh(0.5)->volume();
                }
            }
        }
        $run = Runs::in($house->design)->all()[0]->run;
        $members = array_sum(array_map(static fn (RunMember $m): float => $m->volume(), $run->members()));
        $spandrels = array_sum(array_map(
            static fn (RunPane $p): float => $p->cell->infill->kind === InfillKind::Spandrel ? $p->volume() : 0.0,
            $run->panes(),
        ));
        // of every section 50 × 150 are the member and 50 × 20 its cap, posts apart
        self::assertEqualsWithDelta($members + $spandrels, $volumes[$deep->material()] + $volumes[$chalk->material()], 10.0);
        self::assertGreaterThan(4.0, $volumes[$deep->material()] / ($volumes[$chalk->material()] - $spandrels));
        $frontages = Frontages::of($house->design, $bodies);
        $rows = Source::of('members', $house->design, $bodies, $frontages)->rows;
        self::assertSame([$deep->name], array_values(array_unique(array_map(static fn (Row $r): mixed => $r->value('finish'), $rows))));
        try {
            $house->do('grid.change', ['id' => $grid, 'rules' => ['finishes' => ['roof' => 'chalk']] + $values['rules']]);
            self::fail('It was changed.');
        } catch (Refusal $refusal) {
            self::assertStringContainsString('“roof” is no part of a curtain wall', $refusal->getMessage());
        }
    }

    public function test_the_solid_model_holds_what_the_run_does(): void
    {
        $seen = 0;
        for ($seed = 1; $seen < 6; $seed++) {
            $house = self::house($seed);
            if ($house === null) {
                continue;
            }
            $seen++;
            $standing = Runs::in($house->design)->all()[0];
            $bodies = Bodies::of($house->design);
            $scene = Scene::of('test', $house->design, array_map(static fn (Wall $w) => $bodies[$w->id], $standing->walls));
            $volume = 0.0;
            foreach ($scene->parts as $part) {
                foreach ($scene->geometries[$part->geometry]->meshes as $mesh) {
                    $volume += $mesh->volume();
                }
            }
            $ours = array_sum(array_map(static fn (RunMember $m): float => $m->volume(), $standing->run->members()));
            foreach ($standing->run->panes() as $pane) {
                $ours += $pane->volume();
            }
            self::assertEqualsWithDelta($ours, $volume, $ours * 1e-6, "seed $seed");
        }
    }

    public function test_schedules_add_up_to_the_run_and_a_row_names_its_place(): void
    {
        $house = null;
        for ($seed = 1; $house === null; $seed++) {
            $house = self::house($seed);
        }
        $bodies = Bodies::of($house->design);
        $frontages = Frontages::of($house->design, $bodies);
        $rows = static fn (string $of): array => Source::of($of, $house->design, $bodies, $frontages)->rows;
        $sum = static fn (string $of, string $key): float => array_sum(array_map(static fn (
            Row $r): float => (float) $r->figure($key), $rows($of)));
        $standing = Runs::in($house->design)->all()[0];
        $members = $standing->run->members();
        self::assertCount(count($members), $rows('members'));
        self::assertEqualsWithDelta(array_sum(array_map(static fn (RunMember $m): float => $m->length, $members)), $sum('members',
            'total'), 1.0);
        self::assertEqualsWithDelta($standing->run->faceArea(), $sum('runs', 'face'), 1.0);
        self::assertEqualsWithDelta(
            $sum('runs', 'face'),
            $sum('runs', 'glass') + $sum('runs', 'opaque') + $sum('runs', 'open') + $sum('runs', 'frame'),
            1.0,
        );
        self::assertEqualsWithDelta($sum('runs', 'glass') + $sum('runs', 'opaque'), $sum('infills', 'area'), 1.0);
        self::assertEqualsWithDelta($sum('members', 'total'), $sum('cutting', 'used'), 2.0, 'every member is cut once');
        self::assertEqualsWithDelta($sum('cutting', 'stock') - $sum('cutting', 'waste'), self::packed($rows('cutting')), 1.0);
        $ids = array_map(static fn (Wall $w): string => $w->id, $standing->walls);
        foreach (['members', 'infills', 'runs'] as $of) {
            self::assertSame([], array_diff(array_merge(...array_map(static fn (Row $r): array => $r->elements, $rows($of))), $ids));
        }
        self::assertCount(2, PlacedRun::all($house->design, $frontages));
    }

    /**
     * Frameless: sides of 6 000 and 3 600 at a right angle, 3 000 high, bays of 1 200 and two rows, joints of 12 and one of 10 at the
     * corner; one side leans.
     */
    #[DataProvider('leans')]
    public function test_joints_fill_what_glass_leaves_of_a_frameless_face(float $lean): void
    {
        $house = House::box(12000, 8000, 300, [3000]);
        $values = GridSample::values([
            'bays' => ['by' => 'module', 'size' => 1200], 'rows' => ['by' => 'count', 'count' => 2], 'joint' => 12, 'cover' => 0,
        ]);
        $values['rules']['profiles'] = array_fill_keys(array_keys($values['rules']['profiles']), null);
        $values['corner'] = ['kind' => 'glass', 'joint' => 10];
        $grid = $house->do('grid.add', ['name' => 'frameless'] + $values)->chosen[0];
        $stretches = $house->do('outline.draw', [
            'points' => [[20000, 0], [26000, 0], [26000, 3600]], 'closed' => false, 'grid' => $grid,
            'base' => $house->storey(0), 'top' => $house->storey(0),
        ])->chosen;
        $house->do('curtain.set', ['walls' => [$stretches[0]], 'lean' => $lean]);
        $bodies = Bodies::of($house->design);
        $rows = Source::of('joints', $house->design, $bodies, Frontages::of($house->design, $bodies))->rows;
        $of = static fn (string $what): array => array_values(array_filter($rows, static fn (Row $r): bool => $r->value('what') === $what));
        $corner = $of('corner joint');
        // the edge of an upright and a leaning side at a right angle leans as that does
        self::assertSame([10.0, round(3000 / cos(deg2rad($lean)), 2)], [$corner[0]->figure('width'), $corner[0]->figure('length')]);
        self::assertCount(1, $corner);
        self::assertCount($lean === 0.0 ? 6 : count($of('upright joint')), $of('upright joint'), '4 on one side, 2 on the other');
        $run = Runs::in($house->design)->all()[0]->run;
        $glass = array_sum(array_map(static fn (RunPane $p): float => $p->area(), $run->panes()));
        $joints = array_sum(array_map(static fn (Row $r): float => (float) $r->figure('width') * (float) $r->figure('total'), $rows));
        // a figure of two decimals on up to 3 000 × 12
        self::assertEqualsWithDelta($run->faceArea(), $glass + $joints, 40.0);
    }

    /** @return iterable<array{float}> */
    public static function leans(): iterable
    {
        yield [0.0];
        yield [12.0];
        yield [-8.0];
    }

    /** @param  list<Row>  $rows */
    private static function packed(array $rows): float
    {
        return array_sum(array_map(static fn (Row $r): float => $r->value('bar') === null ? 0.0 : (float) $r->figure('used'), $rows));
    }

    public function test_an_elevation_draws_what_is_let_in_once_for_all_alike(): void
    {
        $house = House::box(12000, 8000, 300, [3600]);
        $grid = $house->do('grid.add', ['name' => 'x'] + GridSample::values())->chosen[0];
        $first = $house->do('opening.place', [
            'host' => $house->wall()->id, 'storey' => $house->storey(0), 'type' => null, 'grid' => $grid, 'width' => 2400, 'height' => 2400,
            'position' => ['from' => 'left', 'value' => 900, 'to' => 'near'], 'sill' => ['from' => 'floor', 'height' => 0],
        ])->chosen[0];
        $house->do('opening.repeat', ['ids' => [$first], 'pitch' => 3000, 'count' => 2]);
        $bodies = Bodies::of($house->design);
        $drawing = Elevation::of($house->design, $bodies, Frontages::of($house->design, $bodies)[0]);
        self::assertCount(3, $drawing->placements);
        self::assertCount(1, $drawing->symbols);
    }
}
