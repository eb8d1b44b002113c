<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Roof;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Frontages;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Findings;
use Isleward\Core\Design\SectionLine;
use Isleward\Core\Drawing\Elevation;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Plan;
use Isleward\Core\Drawing\Section;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Solid;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Roof\Pitch;
use Isleward\Core\Roof\RoofLine;
use Isleward\Core\Roof\RoofLineSchedule;
use Isleward\Core\Roof\Roofs;
use Isleward\Core\Roof\RoofSchedule;
use Isleward\Core\Roof\RoofShape;
use Isleward\Core\Roof\RoofSide;
use Isleward\Core\Schedule\Row;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Roofs over a house of 18 000 × 11 400: the worked hip of `published.md`, gables, half of each by hand. */
final class RoofTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        $this->house = House::box(18000, 11400, 300, [3000, 3000]);
    }

    /** @param  array<string, mixed>  $args */
    private function roof(array $args = []): string
    {
        $args += ['outline' => $this->house->wall()->outline, 'overhang' => 0, 'thick' => 200];

        return $this->house->do('roof.add', $args)->chosen[0];
    }

    private function shape(string $id): RoofShape
    {
        return Roofs::in($this->house->design)->of(Roofs::roof($this->house->design, $id));
    }

    /** @return array<string, list<float>> lengths by what the lines are */
    private function lengths(RoofShape $shape): array
    {
        $out = [];
        foreach ($shape->lines as [$what, $p, $q]) {
            $out[$what->value][] = sqrt(($q[0] - $p[0]) ** 2 + ($q[1] - $p[1]) ** 2 + ($q[2] - $p[2]) ** 2);
        }
        foreach ($out as &$lengths) {
            sort($lengths);
        }

        return $out;
    }

    /** `published.md`: ridge 6600 long and 3991.18 high, hips 8994.97 long at 26.34°, area 250.503 m². */
    public function test_the_published_hip(): void
    {
        $shape = $this->shape($this->roof(['pitch' => 35]));
        $lengths = $this->lengths($shape);
        self::assertEqualsWithDelta([6600.0], $lengths['ridge'], 1e-6);
        self::assertEqualsWithDelta(array_fill(0, 4, 8994.97), $lengths['hip'], 0.005);
        self::assertEqualsWithDelta([11400.0, 11400.0, 18000.0, 18000.0], $lengths['eaves'], 1e-6);
        self::assertEqualsWithDelta(6000 + 3991.18 + 200 / cos(deg2rad(35)), $shape->top(), 0.005);
        $area = array_sum(array_map(static fn (RoofSide $s): float => $s->area(), $shape->slopes()));
        self::assertEqualsWithDelta(250.503e6, $area, 500.0);
        $rows = (new RoofLineSchedule)->rows($this->house->design, Bodies::of($this->house->design), []);
        $hips = array_filter($rows, static fn (Row $r): bool => $r->value('line') === RoofLine::Hip->value);
        self::assertSame(['26.34°'], array_values(array_unique(array_map(static fn (Row $r): mixed => $r->value('slope'), $hips))));
    }

    public function test_gables_overhangs_and_two_pitches_by_hand(): void
    {
        $id = $this->roof(['pitch' => 45, 'overhang' => 500, 'thick' => 100 * sqrt(2)]);
        [$south, $east, , $west] = array_map(fn (int $i): string => $this->house->wall($i)->id, [0, 1, 2, 3]);
        $this->house->do('roof.change', ['id' => $id, 'edge' => ['wall' => $east, 'gable' => true]]);
        $this->house->do('roof.change', ['id' => $id, 'edge' => ['wall' => $west, 'gable' => true, 'overhang' => 300]]);
        $shape = $this->shape($id);
        // eaves 500 out at 45° lie 500 under the walls' heads; 12 400 across the ridge lies 6 200 over them; verges 500 and 300 out
        self::assertEqualsWithDelta(5500.0, $shape->foot(), 1e-6);
        self::assertEqualsWithDelta(5500 + 6200 + 200, $shape->top(), 1e-6);
        $lengths = $this->lengths($shape);
        self::assertEqualsWithDelta([18800.0], $lengths['ridge'], 1e-6);
        self::assertEqualsWithDelta(array_fill(0, 4, 6200 * sqrt(2)), $lengths['verge'], 1e-6);
        self::assertArrayNotHasKey('hip', $lengths);
        $volume = array_sum(array_map(static fn (Solid $s): float => $s->volume(), $shape->solids()));
        self::assertEqualsWithDelta(18800 * 12400 * 200.0, $volume, 1.0);
        // the south at half the slope: its overhang falls 250 only, and to come no lower it sets where all of the eaves lie
        $this->house->do('roof.change', ['id' => $id, 'edge' => ['wall' => $south, 'pitch' => '1 : 2']]);
        $shape = $this->shape($id);
        self::assertEqualsWithDelta(5750.0, $shape->foot(), 1e-6);
        // 12 400 = 2 h + h
        self::assertEqualsWithDelta(5750 + 12400 / 3 + 200, $shape->top(), 1e-6);
        self::assertEqualsWithDelta(rad2deg(atan(0.5)), rad2deg((float) $shape->over($south)[0]->pitch), 1e-9);
    }

    public function test_an_l_has_a_valley_and_follows_its_outline(): void
    {
        $house = House::box(12000, 8000, 300, [3000]);
        $house->do('outline.draw', ['points' => [
            [20000, 0], [32000, 0], [32000, 5000], [25000, 5000], [25000, 9000], [20000, 9000],
        ], 'closed' => true, 'thickness' => 300, 'base' => $house->storey(0), 'top' => $house->storey(0)]);
        $outline = array_values(array_filter($house->design->outlines, static fn ($o): bool => $o->id !== $house->wall()->outline))[0];
        $id = $house->do('roof.add', ['outline' => $outline->id, 'pitch' => 45, 'overhang' => 0])->chosen[0];
        $this->house = $house;
        $shape = $this->shape($id);
        $lengths = $this->lengths($shape);
        // two wings 5 000 wide: ridges 2 500 in; the valley and its hip run to the same place
        self::assertEqualsWithDelta([2500 * sqrt(3)], $lengths['valley'], 1e-6);
        self::assertEqualsWithDelta([4000.0, 7000.0], $lengths['ridge'], 1e-6);
        self::assertCount(5, $lengths['hip']);
        self::assertEqualsWithDelta(
            80e6 * sqrt(2), array_sum(array_map(static fn (RoofSide $s): float => $s->area(), $shape->slopes())), 1.0,
        );
    }

    public function test_it_is_in_every_view_and_in_the_schedule(): void
    {
        $id = $this->roof(['pitch' => 45, 'thick' => 100 * sqrt(2)]);
        $design = $this->house->design;
        $bodies = Bodies::of($design);
        $frontages = Frontages::of($design, $bodies);
        $seen = array_values(array_filter(
            Elevation::of($design, $bodies, $frontages[0])->shapes, static fn (Shape $s): bool => $s->layer === Layer::Roof,
        ));
        self::assertCount(2, $seen, 'its edge and its slope');
        self::assertSame([0.0, 6000.0, 18000.0, 6000.0, 18000.0, 6200.0, 0.0, 6200.0], array_map(
            static fn (float $c): float => round($c, 6), $seen[0]->rings[0],
        ));
        self::assertEqualsWithDelta(6000 + 5700 + 200, max($seen[1]->rings[0]) > 18000 ? 0 : max(array_map(
            static fn (int $i): float => $seen[1]->rings[0][$i], range(1, count($seen[1]->rings[0]) - 1, 2),
        )), 1e-6);
        $plan = Plan::of($design, $bodies, $this->house->storey(1))[1];
        self::assertCount(9 + 4 * 2, $plan[$id], 'eaves, hips, ridge, and an arrow on every face');
        self::assertArrayNotHasKey($id, Plan::of($design, $bodies, $this->house->storey(0))[1]);
        $line = SectionLine::from(new Fields(['id' => '', 'name' => 'across', 'fromX' => 9000, 'fromY' => -5000, 'toX' => 9000,
            'toY' => 16000]));
        $cut = array_filter(Section::of($design, $bodies, $line)[0]->shapes, static fn (Shape $s): bool => $s->layer === Layer::Cut
            && max(array_map(static fn (int $i): float => $s->rings[0][$i], range(1, count($s->rings[0]) - 1, 2))) > 6500);
        self::assertCount(1, $cut, 'both slopes in one, with no line between them');
        self::assertEqualsWithDelta(11400 * 200.0, Region::fromRings(array_values($cut)[0]->rings)->area(), 1.0);
        // one that ends under the northern slope, 2 400 beyond the ridge, cuts that no farther: 3 300 over its eaves
        $line = SectionLine::from(new Fields([
            'id' => '', 'name' => 'half', 'fromX' => 9000, 'fromY' => -5000, 'toX' => 9000, 'toY' => 8100,
        ]));
        $half = array_values(array_filter(
            Section::of($design, $bodies, $line)[0]->shapes,
            static fn (Shape $s): bool => $s->layer === Layer::Cut && max(array_column(array_chunk($s->rings[0], 2), 1)) > 11000,
        ));
        self::assertCount(1, $half);
        self::assertContains([13100.0, 9300.0], array_chunk(array_map(static fn (float $c): float => round($c, 2), $half[0]->rings[0]), 2));
        self::assertEqualsWithDelta(8100 * 200.0, Region::fromRings($half[0]->rings)->area(), 1.0);
        $rows = (new RoofSchedule)->rows($design, $bodies, $frontages);
        self::assertCount(4, $rows);
        self::assertEqualsWithDelta(18000 * 11400.0, array_sum(array_map(
            static fn (Row $r): float => (float) $r->figure('plan'), $rows,
        )), 1e-3);
    }

    /**
     * A half hip over a gable of 11 400 at 35°, its slope as steep, from 2 000 over the eaves on. By hand: it is 1 991.18 high, reaches
     * 1 991.18 / tan 35° = 2 843.68 in, and is 2 · (5 700 − 2 000 / tan 35°) = 5 687.36 wide at its eaves.
     */
    public function test_a_half_hip(): void
    {
        $id = $this->roof(['pitch' => 35]);
        foreach ([1, 3] as $wall) {
            $this->house->do('roof.change', ['id' => $id, 'edge' => ['wall' => $this->house->wall($wall)->id, 'gable' => true]]);
        }
        $this->house->do('roof.change', ['id' => $id, 'edge' => ['wall' => $this->house->wall(1)->id, 'hip' => 2000]]);
        $shape = $this->shape($id);
        $t = tan(deg2rad(35));
        $in = (5700 * $t - 2000) / $t;
        $wide = 2 * (5700 - 2000 / $t);
        $lengths = $this->lengths($shape);
        self::assertEqualsWithDelta([18000 - $in], $lengths['ridge'], 0.01);
        self::assertEqualsWithDelta(array_fill(0, 2, hypot(hypot($wide / 2, $in), $in * $t)), $lengths['hip'], 0.01);
        self::assertEqualsWithDelta([$wide, 18000.0, 18000.0], $lengths['eaves'], 0.01);
        self::assertCount(3, $shape->slopes());
        self::assertEqualsWithDelta($wide * $in / 2, $shape->slopes()[2]->planArea(), 20.0);
        // equal pitches: the area as it lies is the plan's over cos 35°, whatever was cut off
        $area = array_sum(array_map(static fn (RoofSide $s): float => $s->area(), $shape->slopes()));
        self::assertEqualsWithDelta(18000 * 11400 / cos(deg2rad(35)), $area, 100.0);
        // a wall that runs up to it ends level where the half hip begins
        $this->house->do('wall.edge', ['walls' => [$this->house->wall(1)->id], 'head' => ['roof' => $id]]);
        $head = $this->house->body(1)->headLine(0.0, 11400.0);
        self::assertEqualsWithDelta(
            [[0.0, 6000.0], [2000 / $t, 8000.0], [11400 - 2000 / $t, 8000.0], [11400.0, 6000.0]], $head, 0.01,
        );
    }

    /** Until it is said it begins half way up: 3 991.18 / 2; a ridge that is typed is not refused for it; a slope again has none. */
    public function test_a_half_hip_begins_half_way_up(): void
    {
        $id = $this->roof(['pitch' => 35]);
        $east = $this->house->wall(1)->id;
        $hip = fn (): ?float => Roofs::roof($this->house->design, $id)->edge($east)?->hip;
        $this->house->do('roof.change', ['id' => $id, 'edge' => ['wall' => $east, 'halfHip' => true]]);
        self::assertEqualsWithDelta(3991.18 / 2, $hip(), 0.6);
        $this->house->do('roof.change', ['id' => $id, 'ridge' => 11000]);
        self::assertEqualsWithDelta(11000.0, $this->shape($id)->top(), 1e-2);
        self::assertEqualsWithDelta(3991.18 / 2, $hip(), 0.6);
        try {
            $this->house->do('roof.change', ['id' => $id, 'edge' => ['wall' => $east, 'hip' => 6000]]);
            self::fail('It lies over its gable.');
        } catch (Refusal $why) {
            self::assertSame('roof.hip_over_gable', $why->reason);
        }
        $this->house->do('roof.change', ['id' => $id, 'edge' => ['wall' => $east, 'gable' => false]]);
        self::assertNull($hip());
    }

    /** At any height and slope, one or two of them that may meet: what half hips take off their faces give. */
    public function test_half_hips_leave_the_plan_whole(): void
    {
        mt_srand(7);
        for ($round = 0; $round < 40; $round++) {
            $this->house = House::box(mt_rand(9000, 20000), mt_rand(6000, 12000), 300, [3000]);
            $id = $this->roof(['pitch' => mt_rand(20, 55), 'overhang' => mt_rand(0, 500)]);
            foreach ($round % 2 ? [1] : [1, 3] as $wall) {
                $this->house->do('roof.change', ['id' => $id, 'edge' => [
                    'wall' => $this->house->wall($wall)->id, 'gable' => true, 'pitch' => mt_rand(20, 60),
                ]]);
                $before = $this->shape($id);
                $high = $before->top() - Roofs::roof($this->house->design, $id)->upright() - $before->foot();
                $this->house->do('roof.change', ['id' => $id, 'edge' => [
                    'wall' => $this->house->wall($wall)->id, 'hip' => $high * mt_rand(20, 90) / 100,
                ]]);
            }
            $plan = array_sum(array_map(static fn (RoofSide $s): float => $s->planArea(), $before->slopes()));
            $after = $this->shape($id);
            self::assertGreaterThan(count($before->slopes()), count($after->slopes()) + ($round % 2 ? 0 : 1));
            self::assertEqualsWithDelta($plan, array_sum(array_map(
                static fn (RoofSide $s): float => $s->planArea(), $after->slopes(),
            )), 100.0);
        }
    }

    /** Eaves at 5 900 and the highest line 4 300 over them: 4 300 = 5 700 · tan p + 200 / cos p; the others follow what is typed. */
    public function test_heights_are_typed_and_the_pitch_follows(): void
    {
        $id = $this->roof();
        $this->house->do('roof.change', ['id' => $id, 'eaves' => 5900, 'ridge' => 10200]);
        $roof = Roofs::roof($this->house->design, $id);
        $p = deg2rad($roof->pitch);
        self::assertEqualsWithDelta(4300.0, 5700 * tan($p) + 200 / cos($p), 1e-6);
        self::assertEqualsWithDelta(5900.0, $this->shape($id)->foot(), 1e-6);
        self::assertEqualsWithDelta(10200.0, $this->shape($id)->top(), 1e-6);
        self::assertSame(-100.0, round($roof->level, 6));
        try {
            $this->house->do('roof.change', ['id' => $id, 'ridge' => 5000]);
            self::fail('It lies under its eaves.');
        } catch (Refusal $why) {
            self::assertSame('roof.ridge', $why->reason);
        }
    }

    /** 600 along a slope of 35° are 600 · cos 35° = 491.49 level. */
    public function test_an_overhang_is_measured_along_the_slope(): void
    {
        $id = $this->roof(['overhang' => 600, 'along' => true]);
        $out = 600 * cos(deg2rad(35));
        self::assertEqualsWithDelta((18000 + 2 * $out) * (11400 + 2 * $out), array_sum(array_map(
            static fn (RoofSide $s): float => $s->planArea(), $this->shape($id)->slopes(),
        )), 1.0);
    }

    /** Doors open outward under eaves that reach 900 out at 45°: 250 under where they spring they are hardly 300 out, less than a leaf. */
    public function test_a_leaf_that_strikes_the_eaves_is_found(): void
    {
        $this->roof(['pitch' => 45, 'overhang' => 900]);
        $place = fn (int $storey, float $sill): string => $this->house->place([
            'type' => $this->house->type('D-04')->id, 'left' => 4000, 'sill' => ['from' => 'floor', 'height' => $sill],
        ], 0, $storey)->id;
        [$high, $low] = [$place(1, 3000 - 2300 - 250), $place(0, 0)];
        $found = array_values(array_filter(
            Findings::of($this->house->design, $this->house->body(0)), static fn (Finding $f): bool => $f->rule === 'roof.swing',
        ));
        self::assertCount(1, $found);
        self::assertSame([$high], $found[0]->elements);
        self::assertNotContains($low, $found[0]->elements);
        self::assertGreaterThan(5.0, $found[0]->figure);
        self::assertLessThan(90.0, $found[0]->figure);
    }

    /** Within its walls: 300 smaller all round, springing at their inner faces; what stands up round it is a parapet. */
    public function test_a_flat_roof_lies_between_its_parapets(): void
    {
        $id = $this->roof(['pitch' => '2 %', 'within' => true, 'thick' => 300, 'level' => -900]);
        $shape = $this->shape($id);
        self::assertEqualsWithDelta(5100.0, $shape->foot(), 1e-6);
        self::assertEqualsWithDelta(17400 * 10800.0, array_sum(array_map(
            static fn (RoofSide $s): float => $s->planArea(), $shape->slopes(),
        )), 1.0);
        self::assertEqualsWithDelta(5100 + 5400 * 0.02 + 300 / cos(atan(0.02)), $shape->top(), 1e-6);
        $rules = fn (): array => array_map(
            static fn (Finding $f): string => $f->rule, Findings::of($this->house->design, $this->house->body(0)),
        );
        self::assertSame([], $rules(), 'the walls reach 600 over it');
        $this->house->do('roof.change', ['id' => $id, 'level' => -100]);
        self::assertSame(['roof.over_parapet'], $rules());
        // nothing of it shows over walls that reach higher
        $this->house->do('roof.change', ['id' => $id, 'level' => -900]);
        $bodies = Bodies::of($this->house->design);
        $drawn = Elevation::of($this->house->design, $bodies, Frontages::of($this->house->design, $bodies)[0]);
        self::assertSame([], array_filter($drawn->shapes, static fn (Shape $s): bool => $s->layer === Layer::Roof));
    }

    public function test_walls_that_end_short_of_it_or_run_into_it_are_found(): void
    {
        $id = $this->roof(['pitch' => 45]);
        $rules = fn (int $wall): array => array_map(
            static fn (Finding $f): string => $f->rule, Findings::of($this->house->design, $this->house->body($wall)),
        );
        self::assertSame([], $rules(0));
        $this->house->do('roof.change', ['id' => $id, 'edge' => ['wall' => $this->house->wall(1)->id, 'gable' => true]]);
        self::assertSame(['roof.short'], $rules(1), 'its gable is open');
        // left open there is nothing to close; the roof is as it was
        $before = $this->shape($id)->sides;
        $open = ['wall' => $this->house->wall(1)->id, 'gable' => true, 'open' => true];
        $this->house->do('roof.change', ['id' => $id, 'edge' => $open]);
        self::assertSame([], $rules(1));
        self::assertEquals($before, $this->shape($id)->sides);
        $this->house->do('roof.change', ['id' => $id, 'edge' => ['open' => false] + $open]);
        self::assertSame(['roof.short'], $rules(1));
        $this->house->do('roof.change', ['id' => $id, 'level' => -400]);
        self::assertSame(['roof.through'], $rules(0));
        $this->house->do('roof.change', ['id' => $id, 'level' => 250]);
        self::assertSame(['roof.short'], $rules(0));
    }

    /** @param  array<string, mixed>  $args */
    #[DataProvider('wrong')]
    public function test_what_cannot_lie_so_is_refused_with_figures(array $args, string $says): void
    {
        $id = $this->roof();
        try {
            if (isset($args['gables'])) {
                foreach ($args['gables'] as $wall) {
                    $this->house->do('roof.change', ['id' => $id, 'edge' => ['wall' => $this->house->wall($wall)->id, 'gable' => true]]);
                }
            }
            $this->house->do('roof.change', ['id' => $id, ...array_diff_key($args, ['gables' => 1])]);
            self::fail('It was not refused.');
        } catch (Refusal $refusal) {
            self::assertStringContainsString($says, $refusal->getMessage());
        }
        self::assertSame(35.0, Roofs::roof($this->house->design, $id)->pitch, 'as it was');
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'level' => [['pitch' => 0], '0° was given'];
        yield 'upright' => [['pitch' => 90], '90° was given'];
        yield 'no pitch' => [['pitch' => 'steep'], '“steep” is no pitch'];
        yield 'gables only' => [['gables' => [0, 1, 2, 3]], 'one at least must slope'];
        yield 'no overhang' => [['overhang' => -10], '−10 was given'];
        yield 'no thickness' => [['thick' => 0], '0'];
    }

    public function test_pitches_are_read_as_people_say_them(): void
    {
        // 9 : 12 is 36.87°
        self::assertEqualsWithDelta(36.8699, Pitch::read('9 : 12'), 1e-4);
        self::assertEqualsWithDelta(36.8699, Pitch::read('75 %'), 1e-4);
        self::assertSame(22.5, Pitch::read('22,5°'));
        self::assertSame(40.0, Pitch::read(40));
    }

    public function test_what_its_outline_becomes_it_follows_or_says_why_not(): void
    {
        $id = $this->roof();
        $this->house->do('wall.move', ['wall' => $this->house->wall(0)->id, 'by' => 1000]);
        self::assertNotEqualsWithDelta([6600.0], $this->lengths($this->shape($id))['ridge'], 1.0);
        self::assertNull(Roofs::in($this->house->design)->why(Roofs::roof($this->house->design, $id)));
    }
}
