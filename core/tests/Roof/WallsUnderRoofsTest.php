<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Roof;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\FaceArea;
use Isleward\Core\Building\Mesher;
use Isleward\Core\Building\WallSolid;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Findings;
use Isleward\Core\Design\SectionLine;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Section;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\ClosedSolids;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Walls whose heads and feet follow roofs, or levels by figures. Figures are worked out by hand beside each test. */
final class WallsUnderRoofsTest extends TestCase
{
    use ClosedSolids;

    private House $house;

    protected function setUp(): void
    {
        $this->house = House::box(18000, 11400, 300, [3000]);
    }

    /** @param  array<string, mixed>  $args */
    private function roof(array $args = [], int ...$gables): string
    {
        $id = $this->house->do('roof.add', $args + [
            'outline' => $this->house->wall()->outline, 'overhang' => 0, 'thick' => 200, 'pitch' => 35,
        ])->chosen[0];
        foreach ($gables as $i) {
            $this->house->do('roof.change', ['id' => $id, 'edge' => ['wall' => $this->house->wall($i)->id, 'gable' => true]]);
        }

        return $id;
    }

    private function up(string $roof, int ...$walls): void
    {
        $this->house->do('wall.edge', [
            'walls' => array_map(fn (int $i): string => $this->house->wall($i)->id, $walls), 'head' => ['roof' => $roof],
        ]);
    }

    private function body(int $i): Body
    {
        return $this->house->body($i);
    }

    private function opening(int $wall, float $left, float $sill, float $width, float $height): string
    {
        return $this->house->place([
            'type' => null, 'width' => $width, 'height' => $height, 'position' => ['from' => 'left', 'value' => $left, 'to' => 'near'],
            'sill' => ['from' => 'floor', 'height' => $sill],
        ], $wall)->id;
    }

    /** Gables 11 400 wide under slopes of 35°: they rise by 5 700 · tan 35° = 3 991.18. */
    public function test_a_gable_gets_its_slopes(): void
    {
        $roof = $this->roof([], 1, 3);
        $this->up($roof, 0, 1, 2, 3);
        $rise = 5700 * tan(deg2rad(35));
        $gable = $this->body(1);
        self::assertEqualsWithDelta(3000 + $rise, $gable->head, 1e-3);
        $line = $gable->headLine(0.0, 11400.0);
        self::assertCount(3, $line);
        self::assertEqualsWithDelta([[0.0, 3000.0], [5700.0, 3000 + $rise], [11400.0, 3000.0]], $line, 1e-3);
        $area = FaceArea::of($this->house->design, $gable);
        self::assertEqualsWithDelta(11400 * 3000 + 5700 * $rise, $area->gross, 5.0);
        // under its eaves the outer face stays as high, the inner one is 300 · tan 35° = 210.06 higher
        $eaves = $this->body(0);
        self::assertEqualsWithDelta(18000.0 * 3000.0, FaceArea::of($this->house->design, $eaves)->gross, 30.0);
        self::assertEqualsWithDelta(3000 + 300 * tan(deg2rad(35)), $eaves->head, 1e-3);
    }

    /** All four, mitred at their corners, fill what lies between the outer line and the inner one under the slopes. */
    public function test_walls_under_a_roof_fill_their_ring_once(): void
    {
        $roof = $this->roof([], 1, 3);
        $this->up($roof, 0, 1, 2, 3);
        $sum = $meshed = 0.0;
        foreach (Bodies::of($this->house->design) as $body) {
            $mesh = Mesher::wall($body, []);
            self::assertClosed($mesh);
            $meshed += $mesh->volume();
            $sum += (new WallSolid($body, []))->volume();
        }
        // a ridge roof over a × b, level 3000 at its eaves, without the same over what is 300 smaller on every side
        $t = tan(deg2rad(35));
        $over = static fn (float $a, float $b, float $eaves): float => $a * $b * $eaves + $a * $b * $b / 4 * $t;
        $wanted = $over(18000, 11400, 3000.0) - $over(17400, 10800, 3000 + 300 * $t);
        self::assertEqualsWithDelta($wanted, $sum, $wanted * 1e-7);
        self::assertEqualsWithDelta($wanted, $meshed, $wanted * 1e-7);
    }

    public function test_meshes_are_closed_under_any_roof_with_openings_in_them(): void
    {
        mt_srand(15);
        for ($round = 0; $round < 25; $round++) {
            $this->house = House::box(mt_rand(8000, 20000), mt_rand(6000, 12000), mt_rand(200, 500), [3000]);
            $roof = $this->roof(['pitch' => mt_rand(10, 55), 'overhang' => mt_rand(0, 1) * mt_rand(0, 600)], ...($round % 3 ? [1] : []));
            $this->house->do('roof.change', [
                'id' => $roof, 'edge' => ['wall' => $this->house->wall(2)->id, 'pitch' => mt_rand(10, 55)],
            ]);
            foreach ([0, 1, 2, 3] as $i) {
                foreach ([100, 1500, 3500] as $left) {
                    $this->opening($i, $left + mt_rand(0, 400), mt_rand(0, 2500), 900, mt_rand(300, 1500));
                }
            }
            $this->up($roof, 0, 1, 2, 3);
            foreach (Bodies::of($this->house->design) as $body) {
                $solid = WallSolid::of($this->house->design, $body);
                $mesh = $solid->mesh(1.0);
                self::assertClosed($mesh);
                self::assertGreaterThan(0.0, $mesh->volume());
            }
        }
    }

    /** A wall 4 000 long on the slope of 30°, square to its eaves: its foot rises by 4 000 · tan 30° along it. */
    public function test_a_wall_stands_on_a_roof(): void
    {
        $this->house->do('storey.insert', ['name' => 'Attic', 'height' => 4000, 'above' => $this->house->storey(0)]);
        $roof = $this->roof(['pitch' => 30, 'storey' => $this->house->storey(0)], 1, 3);
        $attic = $this->house->storey(1);
        $this->house->do('outline.draw', [
            'points' => [[6000, 1000], [6000, 5000]], 'closed' => false, 'thickness' => 200, 'base' => $attic, 'top' => $attic,
        ]);
        $wall = $this->house->wall(4);
        $this->house->do('wall.edge', ['walls' => [$wall->id], 'foot' => ['roof' => $roof]]);
        $body = $this->body(4);
        $up = 200 / cos(deg2rad(30));
        $t = tan(deg2rad(30));
        $line = $body->footLine(0.0, 4000.0);
        $ends = array_column($line, 1);
        sort($ends);
        self::assertEqualsWithDelta([3000 + 1000 * $t + $up, 3000 + 5000 * $t + $up], $ends, 1e-3);
        $mesh = Mesher::wall($body, []);
        self::assertClosed($mesh);
        // square to its face the slope is level: its length times the height in the middle
        self::assertEqualsWithDelta(4000 * 200 * (7000 - (3000 + 3000 * $t + $up)), $mesh->volume(), 10.0);
    }

    /** A parapet 18 000 long: 600 up over its first 4 000, a step down to 200, then a slope to 0 at 10 000. */
    public function test_a_parapet_steps_and_slopes(): void
    {
        $this->house->do('wall.edge', ['walls' => [$this->house->wall()->id], 'head' => ['points' => [
            ['along' => 0, 'over' => 600], ['along' => 4000, 'over' => 600],
            ['along' => 4000, 'over' => 200], ['along' => 10000, 'over' => 0],
        ]]]);
        $body = $this->body(0);
        self::assertEqualsWithDelta(3600.0, $body->head, 1e-6);
        $gross = FaceArea::of($this->house->design, $body)->gross;
        self::assertEqualsWithDelta(18000 * 3000 + 4000 * 600 + 6000 * 200 / 2, $gross, 40.0);
        $mesh = Mesher::wall($body, []);
        self::assertClosed($mesh);
        $volume = (new WallSolid($body, []))->volume();
        self::assertEqualsWithDelta($volume, $mesh->volume(), $volume * 1e-7);
        // its left end is mitred, so its wedge there, 300 · 300 / 2 in plan, is not 600 higher
        self::assertEqualsWithDelta(17700 * 300 * 3000 + (4000 - 150) * 300 * 600 + 300 * 6000 * 200 / 2, $volume, 3000.0);
        self::assertEqualsWithDelta(
            [[0.0, 3600.0], [4000.0, 3600.0], [4000.0, 3200.0], [10000.0, 3000.0], [18000.0, 3000.0]], $body->headLine(0.0, 18000.0), 1e-6,
        );
    }

    public function test_a_curved_wall_steps_too(): void
    {
        $this->house->do('wall.bend', ['wall' => $this->house->wall()->id, 'rise' => 3000]);
        $this->house->do('wall.edge', ['walls' => [$this->house->wall()->id], 'head' => ['points' => [
            ['along' => 5000, 'over' => 0], ['along' => 9000, 'over' => 800],
        ]]]);
        $body = $this->body(0);
        self::assertEqualsWithDelta(3800.0, $body->head, 1.0);
        $mesh = Mesher::wall($body, []);
        self::assertClosed($mesh);
        $wanted = 5000 * 3000 + 4000 * 3400 + ($body->length - 9000) * 3800;
        self::assertEqualsWithDelta($wanted, FaceArea::of($this->house->design, $body)->gross, $wanted * 1e-4);
    }

    public function test_a_section_shows_the_head_as_it_is_cut(): void
    {
        $roof = $this->roof([], 1, 3);
        $this->up($roof, 0, 1, 2, 3);
        $cut = static fn (House $house, float $x0, float $y0, float $x1, float $y1): array => array_values(array_filter(
            Section::of($house->design, Bodies::of($house->design), SectionLine::from(new Fields([
                'id' => '', 'name' => 'A', 'fromX' => $x0, 'fromY' => $y0, 'toX' => $x1, 'toY' => $y1,
            ])))[0]->shapes, static fn (Shape $s): bool => $s->layer === Layer::Cut,
        ));
        $areas = array_map(
            static fn (Shape $s): float => Region::fromRings($s->rings)->area(), $cut($this->house, 9000, -1000, 9000, 13000),
        );
        // the walls under the eaves: 300 wide, 3000 to 3210.06 high
        $wanted = 300 * (3000 + 150 * tan(deg2rad(35)));
        self::assertCount(2, array_filter($areas, static fn (float $a): bool => abs($a - $wanted) < 20.0));
    }

    public function test_openings_under_a_slope_stay_and_are_told(): void
    {
        $roof = $this->roof([], 1, 3);
        $this->up($roof, 1);
        // 1 000 wide from 1 000 on, its head at 5 000: the slope is at 3 000 + 1 000 · tan 35° = 3 700.2 over its left corner
        $id = $this->opening(1, 1000, 3500, 1000, 1500);
        $found = array_values(array_filter(
            Findings::of($this->house->design, $this->body(1)), static fn (Finding $f): bool => $f->rule === 'opening.past_edge',
        ));
        self::assertCount(1, $found);
        self::assertEqualsWithDelta(5000 - 3000 - 1000 * tan(deg2rad(35)), $found[0]->figure, 1e-3);
        self::assertContains($id, $found[0]->elements);
    }

    public function test_a_roof_that_is_not_over_a_wall_is_not_followed(): void
    {
        $roof = $this->roof();
        $storey = $this->house->storey(0);
        $this->house->do('outline.draw', [
            'rectangle' => ['x' => 30000, 'y' => 0, 'width' => 5000, 'depth' => 4000], 'thickness' => 300,
            'base' => $storey, 'top' => $storey,
        ]);
        try {
            $this->house->do('wall.edge', ['walls' => [$this->house->wall(4)->id], 'head' => ['roof' => $roof]]);
            self::fail('It lies elsewhere.');
        } catch (Refusal $why) {
            self::assertSame('wall.not_under', $why->reason);
        }
        try {
            $this->house->do('wall.edge', ['walls' => [$this->house->wall()->id], 'foot' => ['roof' => $roof]]);
            self::fail('Nothing of it is left.');
        } catch (Refusal $why) {
            self::assertSame('wall.no_height', $why->reason);
        }
    }

    public function test_it_follows_when_the_roof_changes_and_is_level_when_that_goes(): void
    {
        $roof = $this->roof([], 1, 3);
        $this->up($roof, 1);
        $this->house->do('roof.change', ['id' => $roof, 'pitch' => 45]);
        self::assertEqualsWithDelta(3000 + 5700.0, $this->body(1)->head, 1e-3);
        $this->house->do('roof.remove', ['ids' => [$roof]]);
        self::assertNull($this->house->wall(1)->head);
        self::assertSame(3000.0, $this->body(1)->head);
    }

    public function test_findings_offer_to_run_a_wall_up_and_it_is_quiet_then(): void
    {
        $roof = $this->roof([], 1, 3);
        $rules = fn (): array => array_map(
            static fn (Finding $f): string => $f->rule, Findings::of($this->house->design, $this->body(1)),
        );
        self::assertSame(['roof.short'], $rules());
        $remedy = Findings::of($this->house->design, $this->body(1))[0]->remedy;
        self::assertNotNull($remedy);
        $this->house->do($remedy->edit, $remedy->args);
        self::assertSame([], $rules());
        $this->house->do('wall.edge', ['walls' => [$this->house->wall(1)->id], 'head' => null]);
        self::assertSame(['roof.short'], $rules());
        self::assertSame($roof, Findings::of($this->house->design, $this->body(1))[0]->elements[0]);
    }

    /** Cut off by a recess, what is left goes on being as high as it was at each place. */
    public function test_levels_by_figures_stay_in_place_when_a_wall_is_set_back(): void
    {
        $this->house->do('wall.edge', ['walls' => [$this->house->wall()->id], 'head' => ['points' => [
            ['along' => 0, 'over' => 0], ['along' => 18000, 'over' => 1800],
        ]]]);
        $this->house->do('outline.recess', ['wall' => $this->house->wall()->id, 'from' => 6000, 'to' => 12000, 'depth' => 1000]);
        $heads = array_map(static fn (Body $b): float => round($b->head - 3000), array_values(Bodies::of($this->house->design)));
        sort($heads);
        self::assertContains(600.0, $heads);
        self::assertContains(1800.0, $heads);
    }

    /** An arc that bulges by 2 000 under a roof with no overhang: it is covered all along, and no lower than where the roof springs. */
    public function test_a_curved_wall_runs_up_too(): void
    {
        foreach ([2000, -900] as $rise) {
            $this->setUp();
            $this->house->do('wall.bend', ['wall' => $this->house->wall()->id, 'rise' => $rise]);
            $roof = $this->roof(['pitch' => 30]);
            $this->up($roof, 0, 1, 2, 3);
            $body = $this->body(0);
            self::assertNotNull($body->heads);
            self::assertGreaterThanOrEqual(2999.9, min(array_column($body->headLine(0.0, $body->length), 1)));
            // its inner face lies 300 in, so its head is 300 · tan 30° higher there, but for the chords' 20
            self::assertEqualsWithDelta(3000 + 300 * tan(deg2rad(30)), $body->head, 25 * tan(deg2rad(30)));
            $mesh = Mesher::wall($body, []);
            self::assertClosed($mesh);
            self::assertEqualsWithDelta((new WallSolid($body, []))->volume(), $mesh->volume(), $mesh->volume() * 1e-3);
            self::assertSame([], Findings::of($this->house->design, $body));
        }
    }

    /** An inner wall across the house, 2 000 from the east: under the ridge its head is 5 700 · tan 35° up. */
    public function test_an_inner_wall_runs_up_under_the_ridge(): void
    {
        $roof = $this->roof([], 1, 3);
        $storey = $this->house->storey(0);
        $this->house->do('outline.draw', [
            'points' => [[16000, 300], [16000, 11100]], 'closed' => false, 'inner' => true, 'line' => 'centre', 'thickness' => 100,
            'base' => $storey, 'top' => $storey,
        ]);
        $this->up($roof, 4);
        $t = tan(deg2rad(35));
        $line = $this->body(4)->headLine($this->body(4)->start(), $this->body(4)->end());
        self::assertEqualsWithDelta([3000 + 300 * $t, 3000 + 5700 * $t, 3000 + 300 * $t], array_column($line, 1), 1e-2);
        self::assertClosed(Mesher::wall($this->body(4), []));
    }

    /** Drawn where the roof was and moved from under it, a wall is level again, which is found with what keeps it so. */
    public function test_a_wall_that_comes_from_under_its_roof_is_level_and_told(): void
    {
        $this->house->do('storey.insert', ['name' => 'Attic', 'height' => 5000, 'above' => $this->house->storey(0)]);
        $roof = $this->roof(['storey' => $this->house->storey(0)], 1, 3);
        $attic = $this->house->storey(1);
        $this->house->do('outline.draw', [
            'rectangle' => ['x' => 5000, 'y' => 4000, 'width' => 4000, 'depth' => 3000], 'thickness' => 200,
            'base' => $attic, 'top' => $attic,
        ]);
        $this->house->do('wall.edge', ['walls' => [$this->house->wall(4)->id], 'foot' => ['roof' => $roof]]);
        self::assertGreaterThan(3000.0, $this->body(4)->foot);
        $this->house->do('wall.move', ['wall' => $this->house->wall(4)->id, 'by' => 4500]);
        self::assertSame(3000.0, $this->body(4)->foot);
        $found = array_values(array_filter(
            Findings::of($this->house->design, $this->body(4)), static fn (Finding $f): bool => $f->rule === 'roof.not_followed',
        ));
        self::assertCount(1, $found);
        self::assertNotNull($found[0]->remedy);
        $this->house->do($found[0]->remedy->edit, $found[0]->remedy->args);
        self::assertNull($this->house->wall(4)->foot);
        self::assertSame([], array_filter(
            Findings::of($this->house->design, $this->body(4)), static fn (Finding $f): bool => $f->rule === 'roof.not_followed',
        ));
    }

    /** Turned round, its left end is its right one: the step stays where it stood. */
    public function test_levels_by_figures_stay_in_place_when_an_outline_is_turned(): void
    {
        $wall = $this->house->wall();
        $this->house->do('wall.edge', ['walls' => [$wall->id], 'head' => ['points' => [
            ['along' => 4000, 'over' => 600], ['along' => 4000, 'over' => 0],
        ]]]);
        $high = fn (float $x): float => $this->bodyOf($wall->id)->headAt(new Vec2($x, 150.0));
        self::assertSame([3600.0, 3000.0], [$high(1000), $high(9000)]);
        $this->house->do('outline.turn', ['id' => $wall->outline]);
        self::assertSame([3600.0, 3000.0], [
            $this->bodyOf($wall->id)->headAt(new Vec2(1000.0, -150.0)), $this->bodyOf($wall->id)->headAt(new Vec2(9000.0, -150.0)),
        ]);
    }

    public function test_a_stacked_copy_keeps_figures_and_leaves_the_roof(): void
    {
        $this->house->do('storey.insert', ['name' => 'Over', 'height' => 3000, 'above' => $this->house->storey(0)]);
        $roof = $this->roof([], 1, 3);
        $this->up($roof, 1);
        $this->house->do('wall.edge', ['walls' => [$this->house->wall()->id], 'head' => ['points' => [['along' => 0, 'over' => 300]]]]);
        $this->house->do('wall.stack', [
            'walls' => [$this->house->wall(0)->id, $this->house->wall(1)->id], 'from' => $this->house->storey(0),
            'storeys' => [$this->house->storey(1)],
        ]);
        [$south, $east] = [$this->house->wall(4), $this->house->wall(5)];
        self::assertSame([[0.0, 300.0]], $south->head?->points);
        self::assertNull($east->head);
    }

    public function test_a_storey_that_goes_takes_its_roof_from_those_who_follow_it(): void
    {
        $this->house->do('storey.insert', ['name' => 'Over', 'height' => 3000, 'above' => $this->house->storey(0)]);
        $this->house->do('wall.change', ['walls' => array_keys($this->house->design->walls), 'top' => $this->house->storey(1)]);
        $roof = $this->roof([], 1, 3);
        $this->up($roof, 0, 1, 2, 3);
        $this->house->do('storey.remove', ['id' => $this->house->storey(1), 'withContents' => true]);
        foreach ($this->house->design->walls as $wall) {
            self::assertNull($wall->head);
        }
    }

    /** @param  list<array{float|int, float|int}>  $points */
    #[DataProvider('wrong')]
    public function test_levels_that_make_no_edge_are_refused(array $points, string $code): void
    {
        $args = ['walls' => [$this->house->wall()->id], 'head' => ['points' => array_map(
            static fn (array $p): array => ['along' => $p[0], 'over' => $p[1]], $points,
        )]];
        try {
            $this->house->do('wall.edge', $args);
            self::fail('It was not refused.');
        } catch (Refusal $why) {
            self::assertSame($code, $why->reason);
        }
        self::assertNull($this->house->wall()->head, 'nothing is half done');
    }

    /** @return iterable<string, array{list<array{float|int, float|int}>, string}> */
    public static function wrong(): iterable
    {
        yield 'none' => [[], 'wall.points'];
        yield 'back' => [[[3000, 0], [1000, 0]], 'wall.points_back'];
        yield 'three at one place' => [[[1000, 0], [1000, 300], [1000, 600]], 'wall.points_three'];
        yield 'under its foot' => [[[0, 0], [9000, -3500]], 'wall.no_height'];
        yield 'too many' => [array_map(static fn (int $i): array => [$i, 0], range(0, 100)), 'wall.points'];
    }

    private function bodyOf(string $wall): Body
    {
        return Bodies::of($this->house->design)[$wall];
    }
}
