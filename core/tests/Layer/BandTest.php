<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Layer;

use Isleward\Core\Building\Frontages;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Findings;
use Isleward\Core\Drawing\Elevation;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Plan;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\FinCutting;
use Isleward\Core\Layer\Fins;
use Isleward\Core\Layer\FinSchedule;
use Isleward\Core\Layer\Posed;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Schedule\Row;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BandTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        // 12 000 × 8 000: the first wall is the south one, from the west
        $this->house = House::box();
    }

    /** @param  array<string, mixed>  $args */
    private function stood(array $args): Fins
    {
        $change = $this->house->do('band.add', $args + ['storey' => $this->house->storey(0)]);

        return $this->fins($change->chosen[0]);
    }

    private function fins(string $id): Fins
    {
        return Bands::in($this->house->design)->of(Bands::band($this->house->design, $id));
    }

    public function test_fins_stand_before_a_wall_at_their_pitch_with_the_gap_behind_them(): void
    {
        $fins = $this->stood(['walls' => [$this->house->wall(0)->id], 'gap' => 120, 'spaced' => ['size' => 500]]);
        self::assertSame(25, $fins->count());
        self::assertSame(3600.0, $fins->length[0], 'as high as its storey');
        foreach ($fins->s as $i => $s) {
            $away = $this->house->body(0)->surface->place(new \Isleward\Core\Geometry\Vec3($fins->x[$i], $fins->y[$i], 0.0));
            self::assertEqualsWithDelta(500.0 * $i, $away->x, 1e-6);
            self::assertEqualsWithDelta(120.0, $away->z, 1e-6);
        }
    }

    public function test_round_a_rounded_rectangle_they_run_by_arc_length(): void
    {
        // 24 000 × 14 000 with corners of 3 000: 70 849.56 round (published.md)
        $fins = $this->stood([
            'rectangle' => ['x' => 40000, 'y' => 0, 'width' => 24000, 'depth' => 14000, 'radius' => 3000],
            'spaced' => ['by' => 'count', 'count' => 240],
        ]);
        self::assertEqualsWithDelta(70849.56, $fins->line->length, 0.005);
        self::assertSame(240, $fins->count());
        // on an arc each points away from its centre
        $corner = null;
        foreach ($fins->x as $i => $x) {
            $onArc = $fins->line->stretches[$fins->stretch[$i]]->isCurved();
            if ($onArc) {
                $arc = $fins->line->stretches[$fins->stretch[$i]];
                $out = $fins->outward($i, 100.0);
                self::assertEqualsWithDelta(3100.0, hypot($out->x - $arc->cx, $out->y - $arc->cy), 1e-6);
                $corner = $i;
            }
        }
        self::assertNotNull($corner);
    }

    public function test_an_outline_is_followed_round_its_corners_at_an_offset(): void
    {
        $outline = array_key_first($this->house->design->outlines);
        $fins = $this->stood(['outline' => $outline, 'gap' => 500, 'spaced' => ['size' => 1000, 'corners' => 'on']]);
        // 13 000 × 9 000 at 500 before it
        self::assertEqualsWithDelta(44000.0, $fins->line->length, 1e-6);
        self::assertSame(44, $fins->count());
        foreach ([0.0, 13000.0, 22000.0, 35000.0] as $k => $corner) {
            $i = (int) array_search(true, array_map(static fn (float $s): bool => abs($s - $corner) < 1e-6, $fins->s), true);
            // half way between both sides: at 45° to them
            self::assertEqualsWithDelta(abs(sin(2 * $fins->angle[$i])), 1.0, 1e-9, "corner $k");
        }
    }

    public function test_each_follows_its_law_where_it_stands_and_pinned_ones_keep(): void
    {
        $fins = $this->stood([
            'walls' => [$this->house->wall(0)->id], 'spaced' => ['size' => 1000],
            'laws' => ['reach' => ['kind' => 'ramp', 'from' => 200, 'to' => 800],
                'turn' => ['kind' => 'wave', 'from' => 0, 'to' => 60, 'waves' => 1]],
            'gap' => 300,
        ]);
        self::assertEqualsWithDelta(350.0, $fins->reach[3], 1e-9);
        self::assertEqualsWithDelta(60.0, $fins->turn[3], 1e-9);
        $id = $fins->band->id;
        $this->house->do('band.pin', ['id' => $id, 'pieces' => [3, 4]]);
        $this->house->do('band.pin', ['id' => $id, 'pieces' => [6], 'reach' => 1000, 'turn' => 5]);
        $this->house->do('band.pin', ['id' => $id, 'pieces' => [0], 'out' => true]);
        $this->house->do('band.change', ['ids' => [$id], 'laws' => ['reach' => 100]]);
        $fins = $this->fins($id);
        self::assertSame(range(1, 12), $fins->n);
        self::assertSame([100.0, 100.0, 350.0, 400.0, 100.0, 1000.0, 100.0], array_slice($fins->reach, 0, 7));
        $this->house->do('band.pin', ['id' => $id, 'pieces' => [0, 3, 4, 6], 'release' => true]);
        self::assertSame(array_fill(0, 13, 100.0), $this->fins($id)->reach);
        // a pin whose piece is not there any more is kept, and told
        $this->house->do('band.pin', ['id' => $id, 'pieces' => [12]]);
        $change = $this->house->do('band.change', ['ids' => [$id], 'spaced' => ['size' => 3000]]);
        self::assertStringContainsString('1 pinned by hand', $change->notes[0]);
        self::assertContains('band.pins_lost', array_map(static fn (Finding $f): string => $f->rule, $this->findings(0)));
        $this->house->do('band.change', ['ids' => [$id], 'spaced' => ['size' => 1000]]);
        self::assertSame([], $this->fins($id)->lost);
    }

    /** @return list<Finding> */
    private function findings(int $wall): array
    {
        return Findings::of($this->house->design, $this->house->body($wall));
    }

    /** @param  array<string, mixed>  $args */
    #[DataProvider('posed')]
    public function test_a_piece_is_as_large_as_its_figures_say(array $args, array $low, array $high): void
    {
        $fins = $this->stood($args + ['walls' => [$this->house->wall(0)->id], 'gap' => 600, 'spaced' => ['size' => 2000]]);
        $posed = Posed::of($fins, 2);
        $corners = $posed->corners();
        foreach ([0, 1, 2] as $axis) {
            $of = array_column($corners, $axis);
            self::assertEqualsWithDelta($low[$axis], min($of), 0.25, "from, axis $axis");
            self::assertEqualsWithDelta($high[$axis], max($of), 0.25, "to, axis $axis");
            self::assertEqualsWithDelta($low[$axis], $posed->bounds()[$axis][0], 1e-6);
            self::assertEqualsWithDelta($high[$axis], $posed->bounds()[$axis][1], 1e-6);
        }
        // its mesh is closed and holds what its section and length say
        $mesh = $posed->solid()->mesh(0.02);
        self::assertEqualsWithDelta($posed->volume(), self::volume($mesh->positions, $mesh->triangles), 2e-3 * $posed->volume());
    }

    /** @return iterable<string, array{array<string, mixed>, list<float>, list<float>}> along, up, outward; by trigonometry */
    public static function posed(): iterable
    {
        $sizes = ['thickness' => 40, 'reach' => 300, 'length' => 2000];
        yield 'standing' => [['laws' => $sizes], [-20.0, 0.0, 0.0], [20.0, 2000.0, 300.0]];
        yield 'lying' => [['stand' => 'lying', 'laws' => $sizes], [-1000.0, 0.0, 0.0], [1000.0, 40.0, 300.0]];
        yield 'reaching' => [['stand' => 'reaching', 'laws' => $sizes], [-20.0, 0.0, 0.0], [20.0, 2000.0, 300.0]];
        $half = (300 * sin(M_PI / 6) + 40 * cos(M_PI / 6)) / 2;
        $deep = (300 * cos(M_PI / 6) + 40 * sin(M_PI / 6)) / 2;
        yield 'turned by 30° about its middle' => [
            ['laws' => $sizes + ['turn' => 30]], [-$half, 0.0, 150 - $deep], [$half, 2000.0, 150 + $deep],
        ];
        [$c, $s] = [cos(deg2rad(10)), sin(deg2rad(10))];
        yield 'leaning outward by 10° about its foot' => [
            ['laws' => $sizes + ['lean' => 10]], [-20.0, -300 * $s, 0.0], [20.0, 2000 * $c, 2000 * $s + 300 * $c],
        ];
        yield 'a tube' => [['shape' => 'round', 'laws' => $sizes], [-20.0, 0.0, 0.0], [20.0, 2000.0, 40.0]];
        yield 'an elliptical fin turned by 90°' => [
            ['shape' => 'ellipse', 'laws' => $sizes + ['turn' => 90]], [-150.0, 0.0, 130.0], [150.0, 2000.0, 170.0],
        ];
        yield 'a drawn one: a triangle with its point in front' => [
            ['shape' => 'drawn', 'profile' => [[0, 0], [1, 0], [0.5, 1]], 'laws' => $sizes], [-20.0, 0.0, 0.0], [20.0, 2000.0, 300.0],
        ];
        yield 'a tube that reaches out and rises by 45°' => [
            ['stand' => 'reaching', 'shape' => 'round', 'laws' => $sizes + ['lean' => 45]],
            [-20.0, 20 - 20 * M_SQRT1_2, -20 * M_SQRT1_2], [20.0, 20 + 320 * M_SQRT1_2, 320 * M_SQRT1_2],
        ];
    }

    /**
     * @param  list<float>  $p
     * @param  list<int>  $triangles
     */
    private static function volume(array $p, array $triangles): float
    {
        $six = 0.0;
        foreach (array_chunk($triangles, 3) as [$a, $b, $c]) {
            [$a, $b, $c] = [array_slice($p, 3 * $a, 3), array_slice($p, 3 * $b, 3), array_slice($p, 3 * $c, 3)];
            $six += $a[0] * ($b[1] * $c[2] - $b[2] * $c[1]) - $a[1] * ($b[0] * $c[2] - $b[2] * $c[0])
                + $a[2] * ($b[0] * $c[1] - $b[1] * $c[0]);
        }

        return $six / 6;
    }

    public function test_it_is_seen_before_the_wall_cut_in_plan_and_counted(): void
    {
        $id = $this->stood([
            'walls' => [$this->house->wall(0)->id], 'gap' => 100, 'spaced' => ['size' => 1000],
            'laws' => ['reach' => 250, 'thickness' => 50],
        ])->band->id;
        $design = $this->house->design;
        $bodies = \Isleward\Core\Building\Bodies::of($design);
        $frontages = Frontages::of($design, $bodies);
        $fins = array_values(array_filter(
            Elevation::of($design, $bodies, $frontages[0])->shapes,
            static fn (Shape $s): bool => $s->layer === Layer::Fin,
        ));
        self::assertCount(13, $fins);
        self::assertSame([975.0, 0.0, 1025.0, 0.0, 1025.0, 3600.0, 975.0, 3600.0], $fins[1]->rings[0]);
        [, $cut] = Plan::of($design, $bodies, $this->house->storey(0));
        self::assertCount(13, $cut[$id]);
        $rows = (new FinSchedule)->rows($design, $bodies, $frontages);
        self::assertCount(13, $rows);
        self::assertSame(['B1-01'], array_values(array_unique(array_map(static fn (Row $r): mixed => $r->value('mark'), $rows))));
        self::assertEqualsWithDelta(13 * 3600.0, array_sum(array_map(static fn (Row $r): float => (float) $r->figure('total'),
            $rows)), 1e-6);
        // 250 × 50 × 3 600
        self::assertEqualsWithDelta(45e6, $rows[0]->figure('volume'), 1.0);
        self::assertEqualsWithDelta(2 * 300 * 3600.0, $rows[0]->figure('area'), 1e-3);
        $bars = (new FinCutting)->rows($design, $bodies, $frontages);
        self::assertSame(13, array_sum(array_map(static fn (Row $r): int => (int) $r->figure('pieces'), $bars)));
        // on the storey above nothing of it is cut
        self::assertArrayNotHasKey($id, Plan::of($design, $bodies, $this->house->storey(1))[1]);
    }

    public function test_findings_tell_what_is_covered_and_what_runs_into_what(): void
    {
        $this->house->place(['left' => 3000, 'width' => 1200, 'height' => 1500, 'sill' => ['from' => 'floor', 'height' => 900]]);
        $id = $this->stood(['walls' => [$this->house->wall(0)->id], 'spaced' => ['size' => 100], 'laws' => ['thickness' => 40]])->band->id;
        // from 3 000 to 4 200: 11 whole fins of 40 and two halves, of 1 200
        self::assertSame([], $this->findings(0));
        $this->house->do('band.change', ['ids' => [$id], 'laws' => ['thickness' => 60]]);
        $found = $this->findings(0);
        self::assertSame(['layer.covers'], array_map(static fn (Finding $f): string => $f->rule, $found));
        self::assertEqualsWithDelta(0.6, $found[0]->figure, 1e-9);
        $this->house->do('band.change', ['ids' => [$id], 'laws' => ['thickness' => 105]]);
        $meets = array_values(array_filter($this->findings(0), static fn (Finding $f): bool => $f->rule === 'band.meets'));
        self::assertStringContainsString('run into the ones before them, by 5', $meets[0]->sentence);
        self::assertSame('120', strtok($meets[0]->sentence, ' '));
    }

    public function test_from_where_on_it_is_told_is_the_projects(): void
    {
        $this->house->place(['left' => 3000, 'width' => 1200, 'height' => 1500, 'sill' => ['from' => 'floor', 'height' => 900]]);
        $this->stood(['walls' => [$this->house->wall(0)->id], 'spaced' => ['size' => 100], 'laws' => ['thickness' => 40]]);
        $rules = function (array $limits): array {
            $this->house->do('settings.change', ['layerRules' => $limits]);

            return array_map(static fn (Finding $f): string => $f->rule, $this->findings(0));
        };
        // 40 % of the window is covered, and 60 lie between one fin and the next
        self::assertSame([], $rules(['covered' => 0.41, 'apart' => 60]));
        self::assertSame(['layer.covers'], $rules(['covered' => 0.4]));
        self::assertSame(['band.meets'], $rules(['apart' => 61]));
        try {
            $rules(['covered' => 0]);
            self::fail('Nothing covers nothing.');
        } catch (Refusal $refusal) {
            self::assertStringContainsString('0 % was given', $refusal->getMessage());
        }
    }

    public function test_a_fin_in_the_way_of_a_leaf_is_told_with_the_angle_it_opens_to(): void
    {
        // hung at its left and opening outward; 900 wide with a frame of 55 it turns about 55 from its jamb
        $this->house->do('type.add', ['mark' => 'V-1', 'name' => 'vent', 'width' => 900, 'height' => 1200, 'sill' => 900, 'tree' => [
            'frame' => ['jamb' => 55, 'head' => 55, 'sill' => 55, 'depth' => 70],
            'root' => ['operation' => 'side-hung', 'hinge' => 'left', 'opens' => 'outward', 'sashFace' => 60, 'topRail' => 60,
                'bottomRail' => 60, 'sashDepth' => 78, 'glazing' => [6, 16, 6]],
        ]]);
        $this->house->place(['left' => 5000, 'type' => $this->house->type('V-1')->id]);
        $id = $this->stood([
            'walls' => [$this->house->wall(0)->id], 'gap' => 300, 'spaced' => ['by' => 'count', 'count' => 1],
            'laws' => ['thickness' => 40, 'reach' => 200, 'length' => 3000],
        ])->band->id;
        // one in the middle of the wall, at 6 000: beyond the leaf, whose edge comes to 5 845 at the most
        self::assertSame([], $this->findings(0));
        $this->house->do('band.change', ['ids' => [$id], 'spaced' => ['by' => 'count', 'count' => 25]]);
        $found = array_values(array_filter($this->findings(0), static fn (Finding $f): bool => $f->rule === 'layer.swing'));
        self::assertCount(1, $found);
        // at 5 500 stands the piece it strikes first: its near corner 300 before the wall, 520 right of 5 000
        self::assertStringContainsString('strikes piece 12 of Band 1', $found[0]->sentence);
        self::assertGreaterThan(rad2deg(atan2(300 - 80, 465)) - 1, $found[0]->figure);
        self::assertLessThan(rad2deg(atan2(300 + 80, 425)) + 1, $found[0]->figure);
    }

    public function test_it_follows_its_outline_and_goes_with_it_and_with_its_storey(): void
    {
        $outline = (string) array_key_first($this->house->design->outlines);
        $id = $this->stood(['outline' => $outline])->band->id;
        $this->house->do('wall.move', ['wall' => $this->house->wall(0)->id, 'by' => 1000]);
        self::assertEqualsWithDelta(42000.0, $this->fins($id)->line->length, 1e-6);
        self::assertTrue($this->house->refuses('outline.remove', ['id' => $outline]));
        self::assertTrue($this->house->refuses('storey.remove', ['id' => $this->house->storey(0)]));
        $before = $this->house->design;
        $change = $this->house->do('outline.remove', ['id' => $outline, 'withContents' => true]);
        self::assertSame([], $this->house->design->layers);
        self::assertEquals($before->elements(), $this->house->design->after($change->inverse(''))->elements());
    }

    public function test_laws_are_carried_on_and_bands_copied_to_storeys(): void
    {
        $wall = $this->house->wall(0)->id;
        $first = $this->stood(['walls' => [$wall], 'laws' => ['reach' => ['kind' => 'ramp', 'from' => 100, 'to' => 500], 'length' => 900]]);
        $second = $this->stood(['walls' => [$wall], 'spaced' => ['size' => 600], 'foot' => 2000, 'laws' => ['length' => 800]]);
        $this->house->do('band.carry', ['id' => $first->band->id, 'to' => [$second->band->id], 'which' => ['reach'],
            'mirrored' => true, 'scale' => 2]);
        $carried = $this->fins($second->band->id);
        self::assertEqualsWithDelta(1000.0, $carried->reach[0], 1e-9);
        self::assertSame(800.0, $carried->length[0], 'only what was asked for');
        $copies = $this->house->do('band.carry', ['id' => $first->band->id, 'storeys' => [$this->house->storey(1)], 'shift' => 50]);
        $copy = $this->fins($copies->chosen[0]);
        self::assertSame(3600.0, $copy->foot);
        self::assertEqualsWithDelta(300.0, $copy->reach[0], 1e-9);
        self::assertSame('Band 1, S1', $copy->band->name);
    }

    /** @param  array<string, mixed>  $args */
    #[DataProvider('wrong')]
    public function test_what_cannot_stand_is_refused_with_its_figures(array $args, string $says): void
    {
        try {
            $this->house->do('band.add', $args + ['storey' => $this->house->storey(0), 'walls' => [$this->house->wall(0)->id]]);
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertStringContainsString($says, \Isleward\Core\Measure\Length::said(
                $refusal->getMessage(), \Isleward\Core\Measure\Units::Millimetre,
            ));
        }
        self::assertSame([], $this->house->design->layers);
    }

    /** Its own element stays as it was when the storey under it grows or its wall is moved: it stands where one made anew would. */
    public function test_a_band_follows_what_changes_under_it(): void
    {
        $house = House::box(heights: [3600, 3000]);
        $id = $house->do('band.add', [
            'storey' => $house->storey(1), 'walls' => [$house->wall()->id],
            'laws' => ['reach' => ['kind' => 'ramp', 'from' => 100, 'to' => 300]],
        ])->chosen[0];
        $before = Bands::in($house->design)->of(Bands::band($house->design, $id));
        $same = static function () use ($house, $id): Fins {
            $band = Bands::band($house->design, $id);
            $fins = Bands::in($house->design)->of($band);
            $anew = Fins::of($house->design, $band);
            self::assertSame([$anew->foot, $anew->x, $anew->y, $anew->reach], [$fins->foot, $fins->x, $fins->y, $fins->reach]);

            return $fins;
        };
        $house->do('settings.change', ['nib' => 250]);
        self::assertSame($before, $same());
        $house->do('storey.change', ['id' => $house->storey(0), 'height' => 4000]);
        self::assertSame($before->foot + 400.0, $same()->foot);
        $house->do('wall.move', ['wall' => $house->wall()->id, 'by' => 500]);
        self::assertEqualsWithDelta($before->y[0] - 500.0, $same()->y[0], 1e-6);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'a gap of less than nothing' => [['gap' => -1], 'cannot be less than nothing'];
        yield 'a law that leaves nothing' => [
            ['laws' => ['reach' => ['kind' => 'ramp', 'from' => 200, 'to' => -100]], 'spaced' => ['size' => 1000]],
            "8\u{202f}000 along the line the reach of Band 1 would be 0; it may be 1 to 50",
        ];
        yield 'one that reaches through the wall' => [['laws' => ['reach' => 200, 'thickness' => 60, 'turn' => 15]],
            'into its wall as it is turned'];
        yield 'a section with a hollow' => [
            ['shape' => 'drawn', 'profile' => [[0, 0], [1, 0], [0.5, 0.3], [0.5, 1]]], 'has a hollow in it',
        ];
        yield 'a section that crosses itself' => [['shape' => 'drawn', 'profile' => [[0, 0], [1, 1], [1, 0], [0, 1]]], 'crosses itself'];
        yield 'too many' => [['spaced' => ['by' => 'greatest', 'size' => 0.01]], 'at least'];
        yield 'none left' => [['spaced' => ['by' => 'count', 'count' => 1, 'corners' => 'clear', 'clear' => 90000], 'walls' => [],
            'points' => [[0, -3000], [2000, -3000], [2000, -5000]]], 'Nothing of Band 1 would be left'];
        yield 'a finish there is not' => [['finish' => 'gold-leaf'], 'not in this project'];
        yield 'a line that crosses itself' => [
            ['walls' => [], 'points' => [[0, 0], [5000, 5000], [5000, 0], [0, 5000]]], 'cross',
        ];
    }
}
