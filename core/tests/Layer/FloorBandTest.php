<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Layer;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Frontages;
use Isleward\Core\Check\Findings;
use Isleward\Core\Design\SectionLine;
use Isleward\Core\Drawing\Elevation;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Plan;
use Isleward\Core\Drawing\Section;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Layer\FloorBands;
use Isleward\Core\Layer\FloorRow;
use Isleward\Core\Layer\FloorSchedule;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;
use Isleward\Core\Schedule\Row;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FloorBandTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        $this->house = House::box(heights: [3600, 3600, 3600, 3600, 3600]); // 12 000 × 8 000
    }

    /**
     * @param  array<string, mixed>  $args
     * @return list<FloorRow>
     */
    private function stood(array $args): array
    {
        $where = array_intersect_key($args, ['rectangle' => 1, 'circle' => 1, 'points' => 1]) === []
            ? ['outline' => array_key_first($this->house->design->outlines)] : [];
        $id = $this->house->do('floor-band.add', $args + $where + ['storey' => $this->house->storey(0)])->chosen[0];

        return FloorBands::in($this->house->design)->of(FloorBands::band($this->house->design, $id));
    }

    /** @param  array<string, mixed>  $args */
    #[DataProvider('volumes')]
    public function test_its_volume_is_exact_and_its_mesh_is_closed(array $args, float $expected): void
    {
        $solid = $this->stood($args)[0]->solid();
        self::assertEqualsWithDelta($expected, $solid->volume(), 1e-9 * $expected);
        $mesh = $solid->mesh(0.02);
        self::assertEqualsWithDelta($expected, $mesh->volume(), 2e-4 * $expected);
        // every edge is run through once each way
        $edges = [];
        foreach (array_chunk($mesh->triangles, 3) as [$a, $b, $c]) {
            foreach ([[$a, $b], [$b, $c], [$c, $a]] as [$from, $to]) {
                $edges["$from $to"] = ($edges["$from $to"] ?? 0) + 1;
            }
        }
        foreach ($edges as $edge => $count) {
            [$from, $to] = explode(' ', $edge);
            self::assertSame(1, $count);
            self::assertArrayHasKey("$to $from", $edges);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, float}> mm³, worked by hand */
    public static function volumes(): iterable
    {
        $ring = 12400 * 8400 - 11200 * 7200;
        yield 'a ring 600 deep, 200 outside' => [['out' => 200, 'depth' => 600, 'height' => 300], $ring * 300.0];
        yield 'a ring 200 inside' => [['out' => -200, 'depth' => 300, 'height' => 200], (11600 * 7600 - 11000 * 7000) * 200.0];
        yield 'a whole slab' => [['out' => 200, 'depth' => null, 'height' => 300], 12400 * 8400 * 300.0];
        // a chamfer of 40 takes a triangle off the section above and below: its centroid lies 40/3 behind the edge
        $round = static fn (float $in): float => 2 * (12400 - 2 * $in + 8400 - 2 * $in);
        yield 'chamfered by 40' => [
            ['out' => 200, 'depth' => 600, 'height' => 300, 'edge' => 'chamfered', 'edgeSize' => 40],
            $ring * 300 - 2 * 800 * $round(40 / 3),
        ];
        // what a rounding of 50 takes off: (1 − π/4) r², its centroid r (10 − 3π) / (12 − 3π) behind the edge
        $off = (1 - M_PI / 4) * 2500;
        yield 'rounded by 50' => [
            ['out' => 200, 'depth' => 600, 'height' => 300, 'edge' => 'rounded', 'edgeSize' => 50],
            $ring * 300 - 2 * $off * $round(50 * (10 - 3 * M_PI) / (12 - 3 * M_PI)),
        ];
        // round a circle of 4 000: a ring from 3 500 to 4 000
        yield 'round a circle' => [
            ['circle' => ['x' => 30000, 'y' => 0, 'radius' => 4000], 'depth' => 500, 'height' => 250], M_PI * (4000 ** 2 - 3500 ** 2) * 250,
        ];
        yield 'a whole slab over a circle, rounded by half its height' => [
            ['circle' => ['x' => 30000, 'y' => 0, 'radius' => 4000], 'depth' => null, 'height' => 200, 'edge' => 'rounded',
                'edgeSize' => 100],
            // a torus's outer half about the disc behind it
            M_PI * 3900 ** 2 * 200 + M_PI ** 2 * 100 ** 2 * 3900 + 4 / 3 * M_PI * 100 ** 3,
        ];
        $arc = 2 * (24000 + 14000) - 8 * 3000 + 2 * M_PI * 3000; // published.md: 70 849.56
        yield 'round a rounded rectangle' => [
            ['rectangle' => ['x' => 30000, 'y' => 0, 'width' => 24000, 'depth' => 14000, 'radius' => 3000], 'depth' => 400,
                'height' => 300],
            400 * 300 * ($arc - 2 * M_PI * 200),
        ];
        yield 'a drawn edge: a lip of 60 × 100 under a ring' => [
            ['out' => 0, 'depth' => 500, 'height' => 300, 'edge' => 'drawn', 'profile' => [[0.2, 0], [0.2, 0.5], [0, 0.6], [0, 1]]],
            (12000 * 8000 - 11000 * 7000) * 300 - self::between([[60, 150], [60, 120], [0, 120]]),
        ];
        yield 'open, along two sides' => [
            ['points' => [[0, -9000], [6000, -9000], [6000, -4000]], 'depth' => 400, 'height' => 200],
            400 * 200 * (6000 + 5000 - 2 * 200.0),
        ];
    }

    /** What a drawn edge leaves out: over its height rectangles 60 deep, and the triangle between. @param  list<mixed>  $unused */
    private static function between(array $unused): float
    {
        // section left out: 60 × 150 with its centroid 30 behind the edge, and a triangle 60 × 30 with its centroid 20 behind it
        $round = static fn (float $in): float => 2 * (12000 - 2 * $in + 8000 - 2 * $in);

        return 60 * 150 * $round(30) + 60 * 30 / 2 * $round(20);
    }

    public function test_rows_go_up_the_storeys_with_their_outset_by_a_law(): void
    {
        $rows = $this->stood(['top' => $this->house->storey(4), 'out' => ['kind' => 'ramp', 'from' => 100, 'to' => 500], 'level' => -20]);
        self::assertSame([100.0, 200.0, 300.0, 400.0, 500.0], array_map(static fn (FloorRow $r): float => round($r->out, 9), $rows));
        self::assertSame([-20.0, 3580.0, 7180.0, 10780.0, 14380.0], array_map(static fn (FloorRow $r): float => $r->top, $rows));
        self::assertEqualsWithDelta(2 * (12000 + 8000) + 8 * 300, $rows[2]->length(), 1e-6);
        $design = $this->house->design;
        $frontages = Frontages::of($design, Bodies::of($design));
        $drawn = array_values(array_filter(
            Elevation::of($design, Bodies::of($design), $frontages[0])->shapes,
            static fn (Shape $s): bool => $s->layer === Layer::Floor,
        ));
        // its corners stand out as far as its edge does
        self::assertEqualsWithDelta([-300, 6880, 12300, 6880, 12300, 7180, -300, 7180], $drawn[2]->rings[0], 1e-6);
        $schedule = (new FloorSchedule)->rows($design, [], $frontages);
        self::assertSame(['S0', 'S1', 'S2', 'S3', 'S4'], array_map(static fn (Row $r): mixed => $r->value('storey'), $schedule));
        self::assertEqualsWithDelta($rows[1]->solid()->volume(), $schedule[1]->figure('volume'), 1e-3);
        self::assertEqualsWithDelta(12400 * 8400 - 11200 * 7200, $schedule[1]->figure('area'), 1e-3);
    }

    /** @param  array<string, mixed>  $args */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_built_is_refused_with_its_figures(array $args, string $says): void
    {
        try {
            $this->stood($args);
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertStringContainsString($says, Length::said($refusal->getMessage(), Units::Millimetre));
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'a rounding over half its height' => [
            ['height' => 100, 'edge' => 'rounded', 'edgeSize' => 60],
            'cannot be rounded by 60: half its height and its whole depth leave 50',
        ];
        yield 'inset beyond the middle' => [['out' => -4100], 'is left with no length'];
        yield 'deeper than there is room' => [['depth' => 4500], 'is left with no length'];
        yield 'a slab over a line that does not close' => [['points' => [[0, 0], [5000, 0]], 'depth' => null], 'needs a line that closes'];
        yield 'no height' => [['height' => 0], 'at least'];
        yield 'a drawn edge that turns back' => [
            ['edge' => 'drawn', 'profile' => [[0, 0], [0, 0.5], [0.1, 0.4], [0, 1]]], 'Point 3 of the drawn edge does not go on',
        ];
    }

    /** Within walls of 300 and one of 500: 12 000 − 600 by 8 000 − 300 − 500; a stair of 1 200 × 3 000 is taken out of each. */
    public function test_storey_slabs_reach_the_inner_faces_and_have_openings(): void
    {
        $this->house->do('wall.change', ['walls' => [$this->house->wall(0)->id], 'thickness' => 500]);
        $rows = $this->stood(['depth' => null, 'inner' => true, 'height' => 250, 'top' => $this->house->storey(4)]);
        self::assertCount(5, $rows);
        self::assertEqualsWithDelta(11400 * 7200.0, $rows[2]->solid()->area(), 1e-3);
        self::assertSame('Slab 1', $rows[0]->band->name);
        $this->house->do('floor-band.change', ['id' => $rows[0]->band->id, 'hole' => [
            'points' => [[2000, 2000], [3200, 2000], [3200, 5000], [2000, 5000]],
        ]]);
        $band = FloorBands::band($this->house->design, $rows[0]->band->id);
        $row = FloorBands::in($this->house->design)->of($band)[1];
        self::assertEqualsWithDelta(11400 * 7200.0 - 1200 * 3000, $row->solid()->area(), 1e-3);
        self::assertEqualsWithDelta((11400 * 7200.0 - 1200 * 3000) * 250, $row->solid()->volume(), 1.0);
        self::assertEqualsWithDelta($row->solid()->volume(), $row->solid()->mesh(1.0)->volume(), 1e4);
        $this->house->do('floor-band.change', ['id' => $band->id, 'withoutHole' => 0]);
        self::assertSame([], FloorBands::band($this->house->design, $band->id)->holes);
    }

    public function test_slabs_of_an_outline_are_at_every_floor_and_as_thick_as_the_settings_say(): void
    {
        $this->house->do('settings.change', ['slab' => 220]);
        $outline = (string) array_key_first($this->house->design->outlines);
        $id = $this->house->do('floor-band.add', ['outline' => $outline, 'depth' => null, 'inner' => true])->chosen[0];
        $rows = FloorBands::in($this->house->design)->of(FloorBands::band($this->house->design, $id));
        self::assertSame([0.0, 3600.0, 7200.0, 10800.0, 14400.0], array_map(static fn (FloorRow $r): float => $r->top, $rows));
        self::assertSame(220.0, $rows[0]->band->height);
    }

    /** A section through the stair: no floor where no slab is, and of a slab with an opening two pieces. */
    public function test_sections_cut_slabs_and_nothing_where_there_are_none(): void
    {
        $cut = function (): array {
            $line = SectionLine::from(new Fields([
                'id' => '', 'name' => 'A', 'fromX' => 2600, 'fromY' => -1000, 'toX' => 2600, 'toY' => 9000,
            ]));
            $spans = [];
            foreach (Section::of($this->house->design, Bodies::of($this->house->design), $line)[0]->shapes as $shape) {
                [$x0, $y0, $x1, $y1] = $shape->kind === 'area' ? Region::fromRings($shape->rings)->bounds() ?? [] : [0.0, 0.0, 0.0, 0.0];
                if ($shape->layer === Layer::Cut && abs($y1 - 3600) < 1.0 && $y1 - $y0 < 1000) {
                    $spans[] = [round($x0), round($x1), round($y1 - $y0)];
                }
            }
            sort($spans);

            return $spans;
        };
        self::assertSame([], $cut());
        $id = $this->stood(['depth' => null, 'inner' => true, 'height' => 180, 'top' => $this->house->storey(4)])[0]->band->id;
        self::assertSame([[1300.0, 8700.0, 180.0]], $cut());
        $this->house->do('floor-band.change', ['id' => $id, 'hole' => [
            'rectangle' => ['x' => 2000, 'y' => 2000, 'width' => 1200, 'depth' => 3000],
        ]]);
        self::assertSame([[1300.0, 3000.0, 180.0], [6000.0, 8700.0, 180.0]], $cut());
        $plan = Plan::of($this->house->design, Bodies::of($this->house->design), $this->house->storey(1))[1];
        self::assertCount(4 + 2, $plan[$id], 'the opening and what crosses it; its edges are behind the walls');
    }

    public function test_an_opening_past_its_edge_is_refused_with_the_figure(): void
    {
        $id = $this->stood(['depth' => null, 'inner' => true])[0]->band->id;
        $refused = function (array $args) use ($id): string {
            try {
                $this->house->do('floor-band.change', ['id' => $id, ...$args]);
            } catch (Refusal $why) {
                return $why->getMessage();
            }
            self::fail('It was not refused.');
        };
        // 1 000 × 500 of it lie under the wall, and a rim of 1 stays round a slab
        self::assertStringContainsString('by 0.501 m²', $refused(['hole' => [
            'rectangle' => ['x' => 2000, 'y' => -200, 'width' => 1000, 'depth' => 1500],
        ]]));
        $this->house->do('floor-band.change', ['id' => $id, 'hole' => ['circle' => ['x' => 5000, 'y' => 4000, 'radius' => 800]]]);
        self::assertStringContainsString('into another opening', $refused(['hole' => [
            'rectangle' => ['x' => 5000, 'y' => 4000, 'width' => 1000, 'depth' => 1500],
        ]]));
        self::assertStringContainsString('make it one', $refused(['depth' => 600]));
        self::assertStringContainsString('no opening 4', $refused(['withoutHole' => 3]));
    }

    /** A balcony before the wall at y = 0: 1 mm off it is held still, 40 off it floats on every storey that it stands at. */
    public function test_a_slab_that_no_wall_touches_is_found(): void
    {
        $found = function (float $off): array {
            $id = $this->stood([
                'rectangle' => ['x' => 3000, 'y' => -1500 - $off, 'width' => 4000, 'depth' => 1500], 'depth' => null,
                'storey' => $this->house->storey(1), 'top' => $this->house->storey(2),
            ])[0]->band->id;
            $findings = [];
            foreach (Bodies::of($this->house->design) as $body) {
                foreach (Findings::of($this->house->design, $body) as $finding) {
                    if ($finding->rule === 'slab.floating' && in_array($id, $finding->elements, true)) {
                        $findings[] = [$finding->figure, $finding->sentence];
                    }
                }
            }

            return $findings;
        };
        self::assertSame([], $found(0.5));
        self::assertSame([[2.0, 'Slab 2 floats at S1, S2: no wall touches it there.']], $found(40.0));
    }
}
