<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\Fins;
use Isleward\Core\Layer\FloorBand;
use Isleward\Core\Layer\FloorBands;
use Isleward\Core\Layer\Posed;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Bands of fins and floor bands are arranged as openings are: copied on, moved, brought to one level, spaced, mirrored. */
final class BandsArrangedTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        $this->house = House::box(12000, 8000, heights: [3600, 3000]);
    }

    public function test_bands_are_copied_up_and_out_with_their_laws_shifted_on(): void
    {
        $band = $this->lying(0, 150, ['gap' => 100, 'laws' => [
            'length' => 900, 'reach' => ['kind' => 'ramp', 'from' => 100, 'to' => 500],
        ]]);
        $this->house->do('band.pin', ['id' => $band, 'pieces' => [3], 'reach' => 777]);
        $change = $this->house->do('band.copy', ['ids' => [$band], 'times' => 3, 'up' => 600, 'out' => '2 cm', 'shift' => 25]);
        self::assertSame('Copied Band 1 3 times', $change->summary);
        self::assertSame(['Band 2', 'Band 3', 'Band 4'], array_map(fn (string $id): string => $this->band($id)->name, $change->chosen));
        self::assertSame([750.0, 1350.0, 1950.0], array_map(fn (string $id): float => $this->band($id)->foot, $change->chosen));
        self::assertSame([120.0, 140.0, 160.0], array_map(fn (string $id): float => $this->band($id)->gap, $change->chosen));
        // a quarter of the run further on stands what stood at its start
        $fins = $this->fins($change->chosen[0]);
        $quarter = array_search($fins->line->length / 4, $fins->s, true);
        self::assertSame($this->fins($band)->reach[0], $fins->reach[(int) $quarter]);
        self::assertSame(777.0, $fins->reach[3], 'what was set by hand is copied with it');

        $before = $this->house->design;
        self::assertTrue($this->house->refuses('band.copy', ['ids' => [$band], 'times' => 2]), 'onto itself');
        $behind = ['ids' => [$band], 'times' => 150, 'up' => 10, 'out' => -1];
        self::assertTrue($this->house->refuses('band.copy', $behind), 'behind its wall');
        self::assertTrue($this->house->refuses('band.copy', ['ids' => $change->chosen, 'times' => 100, 'up' => 10]), 'too many');
        self::assertSame($before, $this->house->design);
    }

    public function test_floor_bands_are_copied_and_moved_unless_a_law_says_how_far_out_they_lie(): void
    {
        $floor = $this->floor(['level' => 0, 'height' => 200, 'out' => 150]);
        [$copy] = $this->house->do('band.copy', ['ids' => [$floor], 'up' => 900, 'out' => 50])->chosen;
        $row = FloorBands::in($this->house->design)->of($this->floorBand($copy))[0];
        self::assertSame([900.0, 700.0, 200.0], [$row->top, $row->foot(), $row->out]);
        self::assertSame('Floor band 2', $row->band->name);
        $driven = $this->floor(['top' => $this->house->storey(1), 'out' => ['kind' => 'ramp', 'from' => 0, 'to' => 300]]);
        $this->house->do('band.move', ['ids' => [$driven], 'up' => -120]);
        self::assertSame(-120.0, $this->floorBand($driven)->level);
        self::assertTrue($this->house->refuses('band.move', ['ids' => [$driven], 'out' => 10]));
        self::assertTrue($this->house->refuses('band.move', ['ids' => [$driven]]), 'nowhere');
        self::assertTrue($this->house->refuses('band.mirror', ['ids' => [$driven]]), 'there is nothing to mirror');
    }

    /** @param  list<float>  $feet  of the fins 900 high, the tubes 60 thick and the floor band 300 high: their lowest points' levels */
    #[DataProvider('levels')]
    public function test_feet_middles_and_heads_are_brought_to_one_level(string $level, array $feet): void
    {
        $fins = $this->standing(0, 500, ['laws' => ['length' => 900]]);
        $tubes = $this->lying(1, 100, ['shape' => 'round', 'laws' => ['thickness' => 60, 'length' => 800]]);
        $floor = $this->floor(['level' => 0, 'height' => 300]);
        $this->house->do('band.move', ['ids' => [$fins, $tubes, $floor], 'level' => $level, 'to' => $tubes]);
        $floors = $this->house->design->storeys;
        self::assertEqualsWithDelta($feet, [
            $this->band($fins)->foot,
            $floors->floor($this->band($tubes)->storey) + $this->band($tubes)->foot,
            $this->floorBand($floor)->level - 300,
        ], 1e-9);
        self::assertTrue($this->house->refuses('band.move', ['ids' => [$fins, $tubes], 'level' => $level, 'to' => $tubes]), 'so already');
        self::assertTrue($this->house->refuses('band.move', ['ids' => [$fins, $tubes], 'level' => $level, 'to' => $floor]), 'not chosen');
    }

    /** @return array<string, array{string, list<float>}> the tubes lie from 3700 to 3760 */
    public static function levels(): array
    {
        return [
            'feet' => ['feet', [3700.0, 3700.0, 3700.0]],
            'middles' => ['middles', [3280.0, 3700.0, 3580.0]],
            'heads' => ['heads', [2860.0, 3700.0, 3460.0]],
        ];
    }

    public function test_bands_are_spaced_by_equal_gaps_or_centres(): void
    {
        // 40, 80 and 40 high; from 100 to 3140
        $ids = [$this->lying(0, 100, thick: 40), $this->lying(0, 700, thick: 80), $this->lying(0, 3100, thick: 40)];
        $this->house->do('band.space', ['ids' => $ids, 'by' => 'gaps']);
        // (3040 − 160) / 2 between each
        self::assertEqualsWithDelta([100.0, 1580.0, 3100.0], $this->feet($ids), 1e-9);
        $this->house->do('band.space', ['ids' => $ids, 'by' => 'centres', 'ends' => true]);
        // thirds of a storey 3600 high
        self::assertEqualsWithDelta([580.0, 1760.0, 2980.0], $this->feet($ids), 1e-9);
        self::assertTrue($this->house->refuses('band.space', ['ids' => $ids, 'by' => 'centres', 'ends' => true]), 'so already');
        self::assertTrue($this->house->refuses('band.space', ['ids' => [$ids[0], $ids[1]], 'by' => 'gaps']), 'nothing between two');
        $tall = [
            $this->standing(0, 0, ['laws' => ['length' => 1900]]), $this->standing(0, 100, ['laws' => ['length' => 1900]]),
            $this->standing(0, 200, ['laws' => ['length' => 1900]]),
        ];
        self::assertTrue($this->house->refuses('band.space', ['ids' => $tall, 'by' => 'gaps']), '5700 do not go into 2100');
    }

    /** Of whatever kind: every piece reaches to where a mirror in the middle of the line shows it; mirrored twice, all is as before. */
    public function test_a_mirrored_band_is_its_mirror_image(): void
    {
        mt_srand(1611);
        $pick = static fn (array $of): mixed => $of[mt_rand(0, count($of) - 1)];
        $any = static fn (int $from, int $to): array|int => $pick([
            mt_rand($from, $to), ['kind' => 'ramp', 'from' => $from, 'to' => $to],
            ['kind' => 'seeded', 'from' => $from, 'to' => $to, 'seed' => mt_rand(1, 99)],
            ['kind' => 'bump', 'from' => $from, 'to' => $to, 'place' => 30, 'width' => 40, 'sharpness' => 1, 'shift' => 10],
        ]);
        for ($round = 0; $round < 60; $round++) {
            $id = $this->house->do('band.add', [
                'storey' => $this->house->storey(0), 'gap' => 700,
                'walls' => array_map(fn (int $i): string => $this->house->wall($i)->id, [3, 0, 1]),
                'stand' => $pick(['standing', 'lying', 'reaching']), 'shape' => $shape = $pick(['flat', 'ellipse', 'drawn']),
                ...($shape === 'drawn' ? ['profile' => [[0, 0], [1, 0], [0.7, 1]]] : []),
                'spaced' => $pick([
                    ['by' => 'pitch', 'size' => 730, 'start' => 250, 'remainder' => $pick(['start', 'end', 'both'])],
                    ['by' => 'count', 'count' => 11, 'end' => 900], ['by' => 'greatest', 'size' => 640, 'start' => 100],
                    ['by' => 'pitch', 'size' => 500, 'corners' => 'on'],
                    ['by' => 'pitch', 'size' => 900, 'corners' => 'clear', 'clear' => 600],
                ]),
                'laws' => ['length' => $any(300, 900), 'reach' => $any(100, 400), 'thickness' => $any(20, 60),
                    'turn' => $any(-40, 60), 'lean' => $any(-20, 30)],
            ])->chosen[0];
            $this->house->do('band.pin', ['id' => $id, 'pieces' => [1], 'reach' => 333, 'turn' => 17, 'lean' => 4]);
            $this->house->do('band.pin', ['id' => $id, 'pieces' => [4], 'out' => true]);
            $before = $this->band($id);
            $were = $this->reaches($this->fins($id), false);
            $this->house->do('band.mirror', ['ids' => [$id]]);
            $is = $this->reaches($this->fins($id), true);
            self::assertCount(count($were), $is);
            foreach ($were as $i => $reaches) {
                self::assertEqualsWithDelta($reaches, $is[$i], 1e-6, sprintf('piece %d, %s, %s', $i, $before->stand->value, $shape));
            }
            $this->house->do('band.mirror', ['ids' => [$id]]);
            self::assertEqualsWithDelta($before->toArray(), $this->band($id)->toArray(), 1e-9);
            $this->house->do('band.remove', ['ids' => [$id]]);
        }
    }

    public function test_what_runs_all_round_or_keeps_to_corners_that_lie_unlike_has_no_mirror_image(): void
    {
        $id = $this->house->do('band.add', ['storey' => $this->house->storey(0), 'outline' => $this->house->wall()->outline])->chosen[0];
        self::assertTrue($this->house->refuses('band.mirror', ['ids' => [$id]]));
        $id = $this->standing(0, 0, [
            'walls' => [$this->house->wall(0)->id, $this->house->wall(1)->id], 'spaced' => ['size' => 500, 'corners' => 'on'],
        ]);
        self::assertTrue($this->house->refuses('band.mirror', ['ids' => [$id]]));
    }

    /**
     * Of every piece in order where it stands, and from where to where it reaches along some directions: seen in a mirror too.
     *
     * @return list<list<float>>
     */
    private function reaches(Fins $fins, bool $mirrored): array
    {
        $out = [];
        $way = $mirrored ? -1.0 : 1.0;
        for ($i = 0, $n = $fins->count(); $i < $n; $i++) {
            $posed = Posed::of($fins, $mirrored ? $n - 1 - $i : $i);
            $s = $fins->s[$mirrored ? $n - 1 - $i : $i];
            $reaches = [[$mirrored ? $fins->line->length - $s : $s]];
            foreach ([[1, 0, 0], [0, 1, 0], [0, 0, 1], [0.6, 0.48, 0.64], [-0.36, 0.48, 0.8], [0.8, -0.6, 0]] as [$x, $y, $z]) {
                $reaches[] = $posed->over($way * $x, $y, $z);
            }
            $out[] = array_merge(...$reaches);
        }

        return $out;
    }

    /** @param  array<string, mixed>  $args */
    private function standing(int $storey, float $foot, array $args = []): string
    {
        return $this->house->do('band.add', $args + [
            'storey' => $this->house->storey($storey), 'walls' => [$this->house->wall()->id], 'foot' => $foot, 'spaced' => ['size' => 750],
        ])->chosen[0];
    }

    /** @param  array<string, mixed>  $args */
    private function lying(int $storey, float $foot, array $args = [], float $thick = 30): string
    {
        return $this->standing($storey, $foot, $args + ['stand' => 'lying', 'laws' => ['thickness' => $thick, 'length' => 700]]);
    }

    /** @param  array<string, mixed>  $args */
    private function floor(array $args): string
    {
        return $this->house->do('floor-band.add', $args + [
            'outline' => $this->house->wall()->outline, 'storey' => $this->house->storey(0),
        ])->chosen[0];
    }

    private function band(string $id): Band
    {
        return Bands::band($this->house->design, $id);
    }

    private function floorBand(string $id): FloorBand
    {
        return FloorBands::band($this->house->design, $id);
    }

    private function fins(string $id): Fins
    {
        return Bands::in($this->house->design)->of($this->band($id));
    }

    /**
     * @param  list<string>  $ids
     * @return list<float>
     */
    private function feet(array $ids): array
    {
        return array_map(fn (string $id): float => $this->band($id)->foot, $ids);
    }
}
