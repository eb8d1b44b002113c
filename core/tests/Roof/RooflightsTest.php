<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Roof;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Findings;
use Isleward\Core\Design\SectionLine;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Section;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Roof\PlacedRooflight;
use Isleward\Core\Roof\Roof;
use Isleward\Core\Roof\Rooflights;
use Isleward\Core\Roof\RooflightSchedule;
use Isleward\Core\Roof\RoofParts;
use Isleward\Core\Roof\Roofs;
use Isleward\Core\Roof\RoofShape;
use Isleward\Core\Schedule\TypeSchedule;
use Isleward\Core\Tests\Support\ClosedSolids;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Units in the faces of a roof 18 000 × 11 400 of 30°, with no overhang, 200 thick. Figures are worked out by hand beside each test. */
final class RooflightsTest extends TestCase
{
    use ClosedSolids;

    private House $house;

    private string $roof;

    /** @var array<string, string> mark → id */
    private array $types;

    protected function setUp(): void
    {
        $this->house = House::box(18000, 11400, 300, [3000]);
        $this->roof = $this->house->do('roof.add', [
            'outline' => $this->house->wall()->outline, 'overhang' => 0, 'thick' => 200, 'pitch' => 30,
        ])->chosen[0];
        $this->types = [];
        foreach ($this->house->design->types as $type) {
            $this->types[$type->mark] = $type->id;
        }
    }

    /** @param  array<string, mixed>  $args */
    private function place(array $args): void
    {
        $this->house->do('roof.light', $args + (isset($args['n']) || isset($args['copy']) ? [] : [
            'type' => $this->types['W-21'], 'wall' => $this->house->wall()->id, 'width' => 800, 'height' => 1200,
        ]) + ['id' => $this->roof]);
    }

    private function roof(): Roof
    {
        return Roofs::roof($this->house->design, $this->roof);
    }

    private function shape(): RoofShape
    {
        return Roofs::in($this->house->design)->of($this->roof());
    }

    /** @return list<PlacedRooflight> */
    private function placed(): array
    {
        return Rooflights::of($this->house->design, $this->shape());
    }

    /**
     * The south face: eaves along y = 0 from x = 0. Its upper side springs 200 / cos 30° = 230.94 over 3 000; a place v up the slope lies
     * v · cos 30° in and v · sin 30° up.
     */
    public function test_it_stands_where_its_figures_say(): void
    {
        $this->place(['from' => 'left', 'along' => 6000, 'rise' => 1000, 'proud' => 50]);
        [$low, , $high] = $this->placed()[0]->corners();
        // 50 out of the upper side: 50 · sin 30° = 25 outward, 50 · cos 30° = 43.30 up
        self::assertEqualsWithDelta([6000.0, 841.03, 3774.24], [$low->x, $low->y, $low->z], 0.01);
        self::assertEqualsWithDelta([6800.0, 1880.26, 4374.24], [$high->x, $high->y, $high->z], 0.01);

        // the slope is 5 700 / cos 30° = 6 581.79 long: 1 000 under the ridge its foot lies 4 381.79 up
        $this->place(['n' => 1, 'up' => 'ridge', 'proud' => 0]);
        self::assertEqualsWithDelta(4381.79, $this->placed()[0]->v, 0.01);
        $this->place(['n' => 1, 'up' => 'eaves', 'level' => true, 'rise' => 866.03]);
        self::assertEqualsWithDelta(1000.0, $this->placed()[0]->v, 0.01);
        // two of 800 and 400 between them, 300 right of the middle of 18 000: from 8 300
        $this->place(['n' => 1, 'from' => 'middle', 'along' => 300, 'count' => 2, 'gap' => 400]);
        self::assertEqualsWithDelta([8300.0, 9500.0], array_map(static fn (PlacedRooflight $p): float => $p->u, $this->placed()), 1e-9);
        // from the right end, as many
        $this->place(['n' => 1, 'from' => 'right', 'along' => 5000]);
        self::assertEqualsWithDelta([11000.0, 12200.0], array_map(static fn (PlacedRooflight $p): float => $p->u, $this->placed()), 1e-9);
        $this->place(['copy' => 1]);
        self::assertEqualsWithDelta(8600.0, $this->placed()[2]->u, 1e-9); // 2 000 and a gap of 400 farther from the right end
    }

    /** Of the south face: from the eaves to where the underside ends, 115.47 short of the ridge up the slope, 100 in plan. */
    public function test_its_face_tells_what_room_there_is(): void
    {
        $south = Rooflights::faces($this->shape(), [])[0];
        [$x0, $y0, $x1, $y1] = Contour::polygon($south->room())->bounds();
        self::assertEqualsWithDelta([0.0, 5600.0, 18000.0], [$y0, $y1, $x1 + $x0], 0.01);
        self::assertLessThan($south->region()->area(), Region::polygon($south->room())->area() / cos(deg2rad(30)));
    }

    public function test_a_point_in_plan_is_what_its_middle_lies_over(): void
    {
        $this->house->do('roof.light', [
            'id' => $this->roof, 'type' => $this->types['W-01'], 'at' => ['x' => 9003, 'y' => 10000], 'width' => 780, 'height' => 980,
        ]);
        [$a, , $b] = $this->placed()[0]->corners();
        self::assertSame($this->house->wall(2)->id, $this->roof()->lights[0]->wall);
        // figures in whole tens
        self::assertEqualsWithDelta(9003.0, ($a->x + $b->x) / 2, 5.0);
        self::assertEqualsWithDelta(10000.0, ($a->y + $b->y) / 2, 5.0);
        self::assertEqualsWithDelta(0.0, fmod($this->roof()->lights[0]->along, 10.0), 1e-9);
        self::assertTrue($this->house->refuses('roof.light', [
            'id' => $this->roof, 'type' => $this->types['W-01'], 'at' => ['x' => -500, 'y' => 4000],
        ]));
    }

    /** What it takes of the roof: its area, times 200 square to the slope. */
    public function test_the_roof_is_cut_out_square_to_its_slope(): void
    {
        $whole = array_sum(array_map(static fn ($s): float => $s->volume(), $this->shape()->solids()));
        $this->place(['from' => 'left', 'along' => 6000, 'rise' => 1000, 'count' => 3, 'gap' => 500]);
        $this->place(['type' => $this->types['W-39'], 'wall' => $this->house->wall(2)->id, 'width' => 900, 'height' => 900,
            'from' => 'middle', 'up' => 'middle']); // a round one
        $volume = $meshed = 0.0;
        foreach (Rooflights::faces($this->shape(), $this->placed()) as $face) {
            $mesh = $face->mesh(0.01);
            self::assertClosed($mesh);
            $volume += $face->volume();
            $meshed += $mesh->volume();
        }
        $taken = 3 * 800 * 1200 * 200 + M_PI * 450 ** 2 * 200;
        self::assertEqualsWithDelta($whole - $taken, $volume, 1.0);
        self::assertEqualsWithDelta($volume, $meshed, $volume * 1e-5);
    }

    /** Any pitch, any place that is not refused: closed, and smaller by what stands in it. */
    public function test_any_rooflights_leave_closed_solids(): void
    {
        mt_srand(53);
        $held = 0;
        for ($round = 0; $round < 40; $round++) {
            $this->setUp();
            $this->house->do('roof.change', ['id' => $this->roof, 'pitch' => mt_rand(2, 60), 'overhang' => mt_rand(0, 600)]);
            for ($i = 0; $i < 5; $i++) {
                $args = [
                    'id' => $this->roof, 'type' => $this->types[['W-01', 'W-13', 'W-21', 'W-39'][mt_rand(0, 3)]],
                    'wall' => $this->house->wall(mt_rand(0, 3))->id, 'width' => mt_rand(5, 15) * 100, 'height' => mt_rand(5, 15) * 100,
                    'from' => ['left', 'middle', 'right'][mt_rand(0, 2)], 'along' => mt_rand(0, 7000),
                    'up' => ['eaves', 'middle', 'ridge'][mt_rand(0, 2)], 'rise' => mt_rand(0, 2500), 'count' => mt_rand(1, 3),
                ];
                if (! $this->house->refuses('roof.light', $args)) {
                    $this->house->do('roof.light', $args);
                    $held++;
                }
            }
            $placed = $this->placed();
            $taken = array_sum(array_map(
                static fn (PlacedRooflight $p): float => $p->contour()->area() * $p->face->through, $placed,
            ));
            $solid = 0.0;
            foreach (Rooflights::faces($this->shape(), $placed) as $face) {
                self::assertClosed($mesh = $face->mesh(0.1));
                self::assertEqualsWithDelta($face->volume(), $mesh->volume(), $face->volume() * 1e-4);
                $solid += $face->volume();
            }
            $whole = array_sum(array_map(static fn ($s): float => $s->volume(), $this->shape()->solids()));
            self::assertEqualsWithDelta($whole - $taken, $solid, $whole * 1e-9);
            self::assertSame([], $this->findings());
        }
        self::assertGreaterThan(60, $held);
    }

    /** A section across the face: the roof parts by the 1 200 of the opening, and its unit is cut to the slope. */
    public function test_a_section_cuts_it(): void
    {
        $this->place(['from' => 'middle', 'rise' => 1000]);
        $cut = fn (float $x): array => Section::of($this->house->design, Bodies::of($this->house->design), SectionLine::from(new Fields([
            'id' => '', 'name' => 'A', 'fromX' => $x, 'fromY' => -1000, 'toX' => $x, 'toY' => 13000,
        ])))[0]->shapes;
        $area = static fn (array $shapes, Layer $layer): float => array_sum(array_map(
            static fn ($s): float => $s->layer === $layer ? Region::fromRings($s->rings)->area() : 0.0, $shapes,
        ));
        [$through, $beside] = [$cut(9100), $cut(9500)];
        self::assertEqualsWithDelta(1200 * 200, $area($beside, Layer::Cut) - $area($through, Layer::Cut), 1.0);
        self::assertSame(0.0, $area($beside, Layer::Glass));
        // a pane as long as the light is between its frame and sash, as thick as its glazing
        $pane = $this->placed()[0]->unit->panes[0];
        self::assertEqualsWithDelta($pane->contour->height() * $pane->thickness(), $area($through, Layer::Glass), 1.0);
    }

    public function test_what_it_lies_past_or_over_is_refused_and_found_later(): void
    {
        $this->place(['from' => 'left', 'along' => 6000, 'rise' => 3000]);
        foreach ([
            'rooflight.past_edge' => ['rise' => 6000], 'rooflight.overlap' => ['along' => 6700, 'rise' => 3500],
            'rooflight.unit' => ['type' => $this->types['W-02'], 'along' => 9000],
            'rooflight.no_face' => ['wall' => 'wa-none'],
        ] as $code => $args) {
            try {
                $this->place($args + ['from' => 'left', 'along' => 6000, 'rise' => 1000]);
                self::fail("$code was not refused.");
            } catch (Refusal $why) {
                self::assertSame($code, $why->reason);
            }
        }
        // its head, 4 200 up, is cut off by the hip 4 200 · cos 30° = 3 637 in, and on the underside, which lies 230.94 · sin 30° = 115.47
        // farther up the slope under it, 3 737 in
        self::assertTrue($this->house->refuses('roof.light', ['id' => $this->roof, 'n' => 1, 'along' => 3730]));
        self::assertFalse($this->house->refuses('roof.light', ['id' => $this->roof, 'n' => 1, 'along' => 3745]));
        self::assertSame([], $this->findings());
        // the roof is made steeper over the west wall: its hip comes over the light
        $this->house->do('roof.light', ['id' => $this->roof, 'n' => 1, 'along' => 4000]);
        $this->house->do('roof.change', ['id' => $this->roof, 'edge' => ['wall' => $this->house->wall(3)->id, 'pitch' => 10]]);
        self::assertSame(['rooflight.off_face'], array_map(static fn (Finding $f): string => $f->rule, $this->findings()));
        self::assertCount(count($this->shape()->slopes()), array_filter(
            Rooflights::faces($this->shape(), $this->placed()), static fn ($f): bool => $f->holes === [],
        ));
        $this->house->do('roof.light-remove', ['id' => $this->roof, 'ns' => [1]]);
        self::assertSame([], $this->findings());
    }

    public function test_a_gable_leaves_it_without_a_face_and_its_type_is_kept(): void
    {
        $this->place(['from' => 'middle', 'rise' => 1000]);
        self::assertTrue($this->house->refuses('type.remove', ['id' => $this->types['W-21']]));
        $this->house->do('roof.change', ['id' => $this->roof, 'edge' => ['wall' => $this->house->wall()->id, 'gable' => true]]);
        self::assertSame(['rooflight.cannot'], array_map(static fn (Finding $f): string => $f->rule, $this->findings()));
        self::assertSame([], $this->placed());
    }

    /** In the solid model the outermost corners of its unit are those of its box, wherever its face looks. */
    public function test_the_solid_model_has_it_where_it_stands(): void
    {
        foreach ([0, 1, 2, 3] as $i) {
            $this->setUp();
            $this->place([
                'wall' => $this->house->wall($i)->id, 'type' => $this->types['W-01'], 'from' => 'middle', 'rise' => 900, 'proud' => 40,
            ]);
            $parts = iterator_to_array((new RoofParts)->parts($this->house->design, $this->house->body()), false);
            self::assertCount(2, $parts);
            $part = $parts[1];
            self::assertSame([$this->roof, 'light 1'], [$part->element, $part->name]);
            [$c, $s] = [cos($part->angle), sin($part->angle)];
            $found = [];
            foreach (($part->pieces)() as $piece) {
                foreach (array_chunk($piece->solid->mesh(1.0)->positions, 3) as [$x, $y, $z]) {
                    // x along, y up, z towards the one who sees it
                    $found[] = [$part->x + $x * $c + $z * $s, $part->y + $x * $s - $z * $c, $part->z + $y];
                }
            }
            foreach ($this->placed()[0]->corners() as $corner) {
                $nearest = min(array_map(
                    static fn (array $p): float => hypot(hypot($p[0] - $corner->x, $p[1] - $corner->y), $p[2] - $corner->z), $found,
                ));
                self::assertLessThan(0.01, $nearest);
            }
        }
    }

    public function test_it_is_scheduled_row_by_row(): void
    {
        $this->place(['from' => 'left', 'along' => 6000, 'rise' => 1000, 'count' => 3, 'gap' => 500]);
        $rows = (new RooflightSchedule)->rows($this->house->design, Bodies::of($this->house->design), []);
        self::assertCount(1, $rows);
        $values = $rows[0]->values;
        self::assertSame(['W-21', 3, '30°'], [$values['type'], $values['count'], $values['pitch']]);
        self::assertEqualsWithDelta(3 * 800 * 1200, $values['area'], 1e-6);
        $types = (new TypeSchedule)->rows($this->house->design, Bodies::of($this->house->design), []);
        $counts = array_column(array_map(static fn ($r): array => $r->values, $types), 'count', 'mark');
        self::assertSame([3, 0], [$counts['W-21'], $counts['W-01']]);
        self::assertEqualsWithDelta(3730.94, $values['foot'], 0.01); // 3 230.94 + 1 000 · sin 30°
    }

    /** @param  array<string, mixed>  $args */
    #[DataProvider('bad')]
    public function test_what_makes_no_rooflight_is_refused(array $args, string $code): void
    {
        try {
            $this->place($args);
            self::fail('It was not refused.');
        } catch (Refusal $why) {
            self::assertSame($code, $why->reason);
            self::assertSame([], $this->roof()->lights);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function bad(): iterable
    {
        yield 'a side that is none' => [['from' => 'above'], 'rooflight.from'];
        yield 'a height that is none' => [['up' => 'sky'], 'rooflight.up'];
        yield 'none in a row' => [['count' => 0], 'rooflight.count'];
        yield 'one that is not there' => [['n' => 4], 'rooflight.unknown'];
        yield 'too small for its unit' => [['width' => 60, 'along' => 5000, 'rise' => 500], 'rooflight.unit'];
        yield 'no width' => [['width' => 0, 'along' => 5000], 'size.too_small'];
    }

    /** @return list<Finding> about rooflights */
    private function findings(): array
    {
        return array_values(array_filter(array_merge(...array_values(array_map(
            fn ($body): array => Findings::of($this->house->design, $body), Bodies::of($this->house->design),
        ))), static fn (Finding $f): bool => str_starts_with($f->rule, 'rooflight.')));
    }
}
