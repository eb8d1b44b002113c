<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Sheet;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Building\Frontages;
use Isleward\Core\Measure\Units;
use Isleward\Core\Sheet\Paper;
use Isleward\Core\Sheet\Scale;
use Isleward\Core\Sheet\SheetDrawings;
use Isleward\Core\Sheet\SheetPlaces;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** Elevations and plans of 20 000 × 9 000 with a part that is one storey higher. */
final class SheetPlacesTest extends TestCase
{
    private House $house;

    private SheetDrawings $drawings;

    /** @var list<Frontage> */
    private array $frontages;

    protected function setUp(): void
    {
        $this->house = House::box(20000, 9000, 300, [3600, 3600]);
        $this->house->do('storey.insert', ['name' => 'Top', 'height' => 3000, 'above' => $this->house->storey(1)]);
        $this->house->do('outline.draw', [
            'points' => [[30000, 0], [36000, 0], [36000, 9000], [30000, 9000]], 'closed' => true, 'thickness' => 300,
            'base' => $this->house->storey(0), 'top' => $this->house->storey(2), 'name' => 'Tower',
        ]);
        $bodies = Bodies::of($this->house->design);
        $this->frontages = Frontages::of($this->house->design, $bodies);
        $this->drawings = new SheetDrawings($this->house->design, $bodies, $this->frontages, static fn (): null => null);
    }

    /** @return array{kind: string, ref: string, scale: float|null, x: float|null, y: float|null} */
    private static function wanted(string $kind, string $ref, ?float $scale = null): array
    {
        return ['kind' => $kind, 'ref' => $ref, 'scale' => $scale, 'x' => null, 'y' => null];
    }

    /** @return list<array{kind: string, ref: string, scale: float|null, x: float|null, y: float|null}> */
    private function elevations(int $n): array
    {
        return array_map(static fn (Frontage $f): array => self::wanted('elevation', $f->id), array_slice($this->frontages, 0, $n));
    }

    /** @param  array{kind: string, ref: string, scale: float, x: float, y: float}  $item */
    private function ground(array $item): float
    {
        return $item['y'] + $this->drawings->drawing($item['kind'], $item['ref'], $item['scale'])->bounds[3] / $item['scale'];
    }

    /** @param  list<array{kind: string, ref: string, scale: float, x: float, y: float}>  $items */
    private function overlap(array $items): float
    {
        $over = 0.0;
        foreach ($items as $i => $a) {
            foreach (array_slice($items, 0, $i) as $b) {
                [$aw, $ah] = SheetPlaces::sizeOf($this->drawings, $a['kind'], $a['ref'], $a['scale']);
                [$bw, $bh] = SheetPlaces::sizeOf($this->drawings, $b['kind'], $b['ref'], $b['scale']);
                $over += max(0.0, min($a['x'] + $aw, $b['x'] + $bw) - max($a['x'], $b['x']) - 0.1)
                    * max(0.0, min($a['y'] + $ah, $b['y'] + $bh) - max($a['y'], $b['y']) - 0.1);
            }
        }

        return $over;
    }

    public function test_things_of_a_kind_have_one_scale_and_stand_on_one_line(): void
    {
        $placed = SheetPlaces::of($this->drawings, Paper::A1, $this->elevations(8));
        self::assertCount(1, array_unique(array_column($placed, 'scale')));
        self::assertSame(0.0, $this->overlap($placed));
        // those that stand beside each other have the ground on one line, high and low
        $grounds = [];
        foreach ($placed as $item) {
            $grounds[(string) round($this->ground($item))][] = $item['ref'];
        }
        self::assertLessThan(4, count($grounds));
        // at the next larger scale they would not fit: what has to be drawn is larger than the sheet
        $usual = Scale::usual(Units::Millimetre);
        $larger = $usual[array_search($placed[0]['scale'], $usual, true) - 1];
        $sheet = SheetPlaces::room(Paper::A1);
        $area = 0.0;
        foreach ($placed as $item) {
            $area += array_product(SheetPlaces::sizeOf($this->drawings, $item['kind'], $item['ref'], $larger));
        }
        self::assertGreaterThan(0.6 * ($sheet[2] - $sheet[0]) * ($sheet[3] - $sheet[1]), $area);
    }

    public function test_what_is_put_beside_its_like_has_its_scale_and_its_line_while_there_is_room(): void
    {
        $first = SheetPlaces::of($this->drawings, Paper::A1, [self::wanted('elevation', $this->frontages[4]->id, 100.0)]);
        $all = SheetPlaces::of($this->drawings, Paper::A1, [...$first, self::wanted('elevation', $this->frontages[0]->id)]);
        self::assertSame($first[0], $all[0]);
        self::assertSame(100.0, $all[1]['scale']);
        self::assertEqualsWithDelta($this->ground($all[0]), $this->ground($all[1]), 0.11);
        self::assertSame(0.0, $this->overlap($all));
        // a plan has a scale of its own, the largest for which there is room
        $with = SheetPlaces::of($this->drawings, Paper::A1, [...$all, self::wanted('plan', $this->house->storey(0))]);
        self::assertSame($all, array_slice($with, 0, 2));
        self::assertSame(0.0, $this->overlap($with));
        // what is given stays: a scale, or a place alone
        $said = SheetPlaces::of($this->drawings, Paper::A1, [['x' => 300.0, 'y' => 200.0] + self::wanted('plan', $this->house->storey(0))]);
        self::assertSame([300.0, 200.0], [$said[0]['x'], $said[0]['y']]);
    }

    /** Law: whatever is put on, in one go or one by one, nothing overlaps unless it is at the smallest scale; each kind has one scale. */
    public function test_nothing_overlaps_whatever_is_put_on(): void
    {
        mt_srand(161);
        for ($round = 0; $round < 25; $round++) {
            $wanted = [];
            for ($n = mt_rand(1, 6); $n > 0; $n--) {
                $wanted[] = mt_rand(0, 2) === 0 ? self::wanted('plan', $this->house->storey(mt_rand(0, 2)))
                    : self::wanted('elevation', $this->frontages[mt_rand(0, count($this->frontages) - 1)]->id);
            }
            $paper = [Paper::A1, Paper::A2, Paper::A3][mt_rand(0, 2)];
            $placed = SheetPlaces::of($this->drawings, $paper, $wanted);
            self::assertSame(array_column($wanted, 'ref'), array_column($placed, 'ref'));
            $scales = [];
            foreach ($placed as $item) {
                $scales[$item['kind']][(string) $item['scale']] = true;
            }
            foreach ($scales as $kind => $of) {
                self::assertCount(1, $of, "$kind, round $round");
            }
            self::assertSame(0.0, $this->overlap($placed), "round $round");
        }
    }

    public function test_what_is_gone_has_room_for_the_sentence_that_says_so(): void
    {
        $placed = SheetPlaces::of($this->drawings, Paper::A3, [self::wanted('plan', 'st-gone'), ...$this->elevations(1)]);
        self::assertCount(2, $placed);
        self::assertSame(0.0, $this->overlap($placed));
    }
}
