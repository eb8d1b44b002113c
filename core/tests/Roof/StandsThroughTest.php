<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Roof;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Design\SectionLine;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Section;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Solid;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Roof\RoofLine;
use Isleward\Core\Roof\Roofs;
use Isleward\Core\Roof\RoofSchedule;
use Isleward\Core\Roof\RoofsDrawn;
use Isleward\Core\Roof\RoofShape;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** A roof over 12 000 × 8 000, hipped at 30° with 400 of overhang, cut round what stands up through it. */
final class StandsThroughTest extends TestCase
{
    private const PITCH = 30.0;

    private House $house;

    private string $roof;

    protected function setUp(): void
    {
        $this->house = House::box(12000, 8000, 300, [3000, 3000]);
        $this->roof = $this->house->do('roof.add', [
            'outline' => $this->house->wall()->outline, 'pitch' => self::PITCH, 'overhang' => 400, 'thick' => 200,
        ])->chosen[0];
    }

    /** The outline of a rectangle one storey higher, walls 200 thick. */
    private function tower(float $x, float $y, float $width, float $depth): string
    {
        $this->house->do('outline.draw', [
            'points' => [[$x, $y], [$x + $width, $y], [$x + $width, $y + $depth], [$x, $y + $depth]], 'closed' => true,
            'base' => $this->house->storey(1), 'top' => $this->house->storey(1), 'thickness' => 200, 'name' => "T$x $y",
        ]);

        return (string) array_key_last($this->house->design->outlines);
    }

    private function round(string ...$outlines): RoofShape
    {
        $this->house->do('roof.change', ['id' => $this->roof, 'through' => array_values($outlines)]);

        return Roofs::in($this->house->design)->of(Roofs::roof($this->house->design, $this->roof));
    }

    private static function length(RoofShape $shape, RoofLine $of): float
    {
        $sum = 0.0;
        foreach ($shape->lines as [$what, $p, $q]) {
            $sum += $what === $of ? hypot(hypot($q[0] - $p[0], $q[1] - $p[1]), $q[2] - $p[2]) : 0.0;
        }

        return $sum;
    }

    private static function plan(RoofShape $shape): float
    {
        return array_sum(array_map(static fn ($s): float => $s->planArea(), $shape->slopes()));
    }

    /** 3 000 wide and 2 000 deep within the south slope: two edges level, two up the slope, and that much less of the face. */
    public function test_a_shaft_in_one_face_by_hand(): void
    {
        $whole = self::plan(Roofs::in($this->house->design)->of(Roofs::roof($this->house->design, $this->roof)));
        $shape = $this->round($this->tower(4500, 500, 3000, 2000));
        $cos = cos(deg2rad(self::PITCH));
        self::assertEqualsWithDelta($whole - 3000.0 * 2000.0, self::plan($shape), 1e-3);
        self::assertEqualsWithDelta(2 * 3000.0 + 2 * 2000.0 / $cos, self::length($shape, RoofLine::Abutment), 1e-3);
        self::assertEqualsWithDelta(2 * (12800.0 + 8800.0), self::length($shape, RoofLine::Eaves), 1e-3);
        $volume = array_sum(array_map(static fn (Solid $s): float => $s->volume(), $shape->solids()));
        self::assertEqualsWithDelta(self::plan($shape) * 200.0 / $cos, $volume, 1.0);
        $row = array_values(array_filter(
            (new RoofSchedule)->rows($this->house->design, [], []),
            static fn ($r): bool => abs($r->values['plan'] - (12800.0 + 4000.0) / 2 * 4400.0 + 3000.0 * 2000.0) < 1.0,
        ));
        self::assertCount(1, $row, 'the south face, a trapezium less the shaft');
        self::assertSame(12800.0, $row[0]->values['eaves']);
    }

    /** Over the ridge: 2 000 of it are gone. At a corner, flush with two walls: their eaves end at it, with what overhangs before it. */
    public function test_over_the_ridge_and_flush_at_a_corner(): void
    {
        $ridge = self::length(Roofs::in($this->house->design)->of(Roofs::roof($this->house->design, $this->roof)), RoofLine::Ridge);
        self::assertEqualsWithDelta(4000.0, $ridge, 1e-6);
        self::assertEqualsWithDelta(2000.0, self::length($this->round($this->tower(5000, 2500, 2000, 3000)), RoofLine::Ridge), 1e-3);
        $shape = $this->round($this->tower(9000, 0, 3000, 2500));
        // south from 400 past the west wall to the tower, east from it to 400 past the north wall
        self::assertEqualsWithDelta(9400.0 + 5900.0 + 12800.0 + 8800.0, self::length($shape, RoofLine::Eaves), 1e-3);
        self::assertEqualsWithDelta(12800.0 * 8800.0 - 3400.0 * 2900.0, self::plan($shape), 1e-3);
        self::assertFalse($shape->over($this->house->wall()->id)[0]->isGone());
    }

    /**
     * Flush with the wall before the slope, 3 000 deep: a metre of the slope lies behind it, and none of it is seen before its face.
     * What is left of its 4 400 · tan 30° by hand, seen square on: a trapezium less the width of the tower.
     */
    public function test_what_lies_behind_a_wall_flush_with_the_one_under_it_is_hidden(): void
    {
        $tower = $this->tower(5000, 0, 2000, 3000);
        $front = $this->house->design->wallsOf($tower)[0];
        $this->house->do('wall.edge', ['walls' => [$front->id], 'head' => ['points' => [
            ['along' => 0, 'over' => 4000], ['along' => 2000, 'over' => 4000],
        ]]]);
        $shape = $this->round($tower);
        $body = Bodies::one($this->house->design, $this->house->wall());
        $south = Region::empty();
        foreach ($shape->over($body->host->id()) as $side) {
            foreach (RoofsDrawn::seenOver($this->house->design, $body, $shape, $side) as $rings) {
                $south = $south->union(Region::fromRings($rings));
            }
        }
        $face = Region::rectangle(5000.0, 3000.0, 7000.0, 10000.0);
        self::assertEqualsWithDelta(0.0, $south->intersection($face)->area(), 1e-3);
        [$high, $up] = [4400.0 * tan(deg2rad(self::PITCH)), 200.0 / cos(deg2rad(self::PITCH))];
        self::assertEqualsWithDelta((12800.0 + 4000.0) / 2 * $high + 12800.0 * $up - 2000.0 * ($high + $up), $south->area(), 1.0);
    }

    /** A strip whose walls stand on the roof: it is cut to their inner faces, so that they stand on something. */
    public function test_what_stands_on_it_is_cut_to_its_inner_faces(): void
    {
        $whole = self::plan($this->round());
        $strip = $this->tower(3000, 3000, 5000, 2000);
        $walls = [];
        foreach ($this->house->design->wallsOf($strip) as $i => $wall) {
            $walls[] = $wall->id;
            $this->house->do('wall.edge', ['walls' => [$wall->id], 'foot' => ['roof' => $this->roof], 'head' => ['points' => [
                ['along' => 0, 'over' => 4000], ['along' => $i % 2 === 0 ? 5000 : 2000, 'over' => 4000],
            ]]]);
        }
        self::assertEqualsWithDelta($whole - 4600.0 * 1600.0, self::plan($this->round($strip)), 1e-3);
        // and its walls still stand on it
        foreach (Bodies::of($this->house->design) as $body) {
            self::assertSame(in_array($body->host->id(), $walls, true), $body->feet !== null);
        }
    }

    /** A section along the ridge, through the shaft: the roof in two pieces, cut where the shaft's faces are. */
    public function test_a_section_shows_it_open(): void
    {
        $this->round($this->tower(5000, 2500, 2000, 3000));
        $line = SectionLine::from(new Fields([
            'id' => '', 'name' => 'A', 'fromX' => -2000, 'fromY' => 3600, 'toX' => 14000, 'toY' => 3600,
        ]));
        $roofs = array_filter(
            Section::of($this->house->design, Bodies::of($this->house->design), $line)[0]->shapes,
            static fn (Shape $s): bool => $s->layer === Layer::Cut && count($s->rings) === 2,
        );
        self::assertCount(1, $roofs);
        $spans = array_map(static fn (array $r): array => [
            Region::fromRings([$r])->bounds()[0] ?? 0.0, Region::fromRings([$r])->bounds()[2] ?? 0.0,
        ], array_values($roofs)[0]->rings);
        sort($spans);
        self::assertEqualsWithDelta([[1600.0, 7000.0], [9000.0, 14400.0]], $spans, 1e-3);
    }

    /**
     * Seeded: what is left in plan is the roof less what stands in it, found by regions; every face lies at its pitch and its solid is as
     * large as what is left of it is deep; edges along what stands through run round as much of it as lies over the roof.
     */
    public function test_what_is_left_adds_up(): void
    {
        mt_srand(4711);
        $seen = 0;
        for ($i = 0; $i < 40; $i++) {
            $this->setUp();
            $cos = cos(deg2rad(self::PITCH));
            $taken = Region::empty();
            $towers = [];
            for ($k = mt_rand(1, 2); $k > 0; $k--) {
                // never flush with a wall of the house
                $box = [mt_rand(-20, 100) * 100.0 + 37.0, mt_rand(-20, 60) * 100.0 + 37.0, mt_rand(8, 50) * 100.0, mt_rand(8, 50) * 100.0];
                $towers[] = $this->tower(...$box);
                $taken = $taken->union(Region::rectangle($box[0], $box[1], $box[0] + $box[2], $box[1] + $box[3]));
            }
            $roof = Region::rectangle(-400.0, -400.0, 12400.0, 8400.0);
            $shape = $this->round(...$towers);
            $seen++;
            self::assertEqualsWithDelta($roof->difference($taken)->area(), self::plan($shape), 0.1, "case $i");
            $volume = $meshed = $area = 0.0;
            foreach ($shape->solids() as $solid) {
                $volume += $solid->volume();
                $meshed += $solid->mesh(1.0)->volume();
            }
            foreach ($shape->slopes() as $side) {
                $area += $side->area();
            }
            self::assertEqualsWithDelta(self::plan($shape) / $cos, $area, 0.1);
            self::assertEqualsWithDelta(self::plan($shape) * 200.0 / $cos, $volume, 10.0, "case $i");
            self::assertEqualsWithDelta($volume, $meshed, 10.0, "case $i");
            // in plan the edges along them and what is left of the eaves surround what is left
            $round = 0.0;
            foreach ($shape->lines as [$what, $p, $q]) {
                $round += $what === RoofLine::Abutment || $what === RoofLine::Eaves ? hypot($q[0] - $p[0], $q[1] - $p[1]) : 0.0;
            }
            self::assertEqualsWithDelta($roof->difference($taken)->perimeter(), $round, 0.5, "case $i");
        }
        self::assertSame(40, $seen);
    }

    public function test_what_cannot_be_is_refused_and_an_outline_that_goes_is_forgotten(): void
    {
        $inside = $this->tower(4500, 500, 3000, 2000);
        $everything = $this->tower(-1000, -1000, 14000, 10000);
        $flush = $this->tower(9000, 0, 3000, 2500);
        $this->house->do('outline.draw', [
            'points' => [[1000, 1000], [3000, 1000], [3000, 3000]], 'closed' => false, 'base' => $this->house->storey(1),
            'top' => $this->house->storey(1), 'thickness' => 200, 'name' => 'Open',
        ]);
        $open = (string) array_key_last($this->house->design->outlines);
        $refused = function (array $args): string {
            try {
                $this->house->do('roof.change', ['id' => $this->roof, ...$args]);
            } catch (Refusal $refusal) {
                return $refusal->reason;
            }

            return '';
        };
        self::assertSame('roof.through_all', $refused(['through' => [$everything]]));
        self::assertSame('roof.through_open', $refused(['through' => [$open]]));
        self::assertSame('roof.through_itself', $refused(['through' => [$this->house->wall()->outline]]));
        self::assertSame('outline.unknown', $refused(['through' => ['ou-none']]));
        self::assertSame('roof.through_cut', $refused(['through' => [$flush], 'cut' => 'square']));
        self::assertSame('', $refused(['through' => [$inside], 'cut' => 'square']));
        $east = ['edge' => ['wall' => $this->house->wall(1)->id, 'gable' => true]];
        self::assertSame('roof.through_gable', $refused(['through' => [$flush], 'cut' => 'upright', ...$east]));
        $this->house->do('outline.remove', ['id' => $inside, 'withContents' => true]);
        self::assertSame([], Roofs::roof($this->house->design, $this->roof)->through);
    }
}
