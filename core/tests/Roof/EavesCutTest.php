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
use Isleward\Core\Roof\Roofs;
use Isleward\Core\Roof\RoofSchedule;
use Isleward\Core\Tests\Support\ClosedSolids;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Eaves of a roof 200 thick at 30° with 500 of overhang: upright it is 200 / cos 30° = 230.94 through. Cut square they lose
 * 230.94 · sin 30° = 115.47 of the underside's slope, 100 in plan; cut level 230.94 / sin 30° = 461.88 of it, 400 in plan.
 */
final class EavesCutTest extends TestCase
{
    use ClosedSolids;

    private House $house;

    private string $roof;

    protected function setUp(): void
    {
        $this->house = House::box(18000, 11400, 300, [3000]);
        $this->roof = $this->house->do('roof.add', [
            'outline' => $this->house->wall()->outline, 'overhang' => 500, 'thick' => 200, 'pitch' => 30,
        ])->chosen[0];
    }

    private function gables(): void
    {
        foreach ([1, 3] as $i) {
            $this->house->do('roof.change', ['id' => $this->roof, 'edge' => ['wall' => $this->house->wall($i)->id, 'gable' => true]]);
        }
    }

    /** @return list<Solid> */
    private function solids(): array
    {
        return Roofs::in($this->house->design)->of(Roofs::roof($this->house->design, $this->roof))->solids();
    }

    private function volume(): float
    {
        return array_sum(array_map(static fn (Solid $s): float => $s->volume(), $this->solids()));
    }

    private function cutThrough(): float
    {
        $shapes = Section::of($this->house->design, Bodies::of($this->house->design), SectionLine::from(new Fields([
            'id' => '', 'name' => 'A', 'fromX' => 9000, 'fromY' => -2000, 'toX' => 9000, 'toY' => 14000,
        ])))[0]->shapes;

        return array_sum(array_map(
            static fn (Shape $s): float => $s->layer === Layer::Cut ? Region::fromRings($s->rings)->area() : 0.0, $shapes,
        ));
    }

    /** @param  float  $wedge  what it takes off across the eaves, mm² */
    #[DataProvider('cuts')]
    public function test_it_takes_a_wedge_off_along_the_eaves(string $cut, float $wedge, float $in, float $up): void
    {
        $this->gables();
        [$volume, $area] = [$this->volume(), $this->cutThrough()];
        $this->house->do('roof.change', ['id' => $this->roof, 'cut' => $cut]);
        // two eaves 19 000 long
        self::assertEqualsWithDelta($volume - 2 * 19000 * $wedge, $this->volume(), 100.0);
        self::assertEqualsWithDelta($area - 2 * $wedge, $this->cutThrough(), 1.0);
        $rows = (new RoofSchedule)->rows($this->house->design, Bodies::of($this->house->design), []);
        self::assertEqualsWithDelta($this->volume(), array_sum(array_map(static fn ($r): float => $r->values['volume'], $rows)), 1.0);
        $sides = Roofs::in($this->house->design)->of(Roofs::roof($this->house->design, $this->roof))->slopes();
        // south: from 500 out of the walls, at 3 000 − 500 · tan 30° = 2 711.32
        self::assertEqualsWithDelta([-500.0 + $in, 2711.32 + $up], [$sides[0]->under()[0][1], $sides[0]->under()[0][2]], 0.01);
    }

    /** @return iterable<string, array{string, float, float, float}> */
    public static function cuts(): iterable
    {
        yield 'square: half of 200 · 115.47' => ['square', 11547.005, 100.0, 57.735];
        yield 'level: half of 230.94 · 400' => ['level', 46188.02, 400.0, 230.94];
        yield 'upright' => ['upright', 0.0, 0.0, 0.0];
    }

    public function test_solids_stay_closed_under_any_pitches(): void
    {
        mt_srand(30);
        $cut = 0;
        for ($round = 0; $round < 40; $round++) {
            $this->setUp();
            foreach ([0, 1, 2, 3] as $i) {
                $edge = ['wall' => $this->house->wall($i)->id, 'pitch' => mt_rand(15, 60), 'gable' => mt_rand(0, 4) === 0 && $i > 0];
                if (! $this->house->refuses('roof.change', ['id' => $this->roof, 'edge' => $edge])) {
                    $this->house->do('roof.change', ['id' => $this->roof, 'edge' => $edge]);
                }
            }
            $args = ['id' => $this->roof, 'cut' => ['square', 'level'][$round % 2], 'overhang' => mt_rand(300, 900)];
            if ($this->house->refuses('roof.change', $args)) {
                continue;
            }
            $this->house->do('roof.change', $args);
            $cut++;
            foreach ($this->solids() as $solid) {
                self::assertClosed($mesh = $solid->mesh(1.0));
                self::assertEqualsWithDelta($solid->volume(), $mesh->volume(), $solid->volume() * 1e-9 + 1.0);
            }
        }
        self::assertGreaterThan(20, $cut);
    }

    public function test_an_overhang_that_is_less_than_the_cut_takes_is_refused(): void
    {
        $this->house->do('roof.change', ['id' => $this->roof, 'overhang' => 90]);
        try {
            $this->house->do('roof.change', ['id' => $this->roof, 'cut' => 'square']);
            self::fail('It was not refused.');
        } catch (Refusal $why) {
            self::assertSame('roof.cut', $why->reason);
            self::assertStringContainsString('take 100', $why->getMessage());
        }
        self::assertFalse($this->house->refuses('roof.change', ['id' => $this->roof, 'overhang' => 100, 'cut' => 'square']));
    }
}
