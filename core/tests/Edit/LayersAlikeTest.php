<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\Field;
use Isleward\Core\Layer\FieldsOn;
use Isleward\Core\Layer\FloorBand;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Roof\Roofs;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** What is of one kind is made alike, and fields fill more places as they fill their own. */
final class LayersAlikeTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        $this->house = House::box(12000, 8000, heights: [3600, 3000]);
    }

    /** A band of another storey gets the section, the spacing and the laws, and keeps its name, its storey and what was pinned in it. */
    public function test_bands_are_made_alike_and_stay_where_they_are(): void
    {
        $house = $this->house;
        $wall = $house->wall()->id;
        $from = $house->do('band.add', [
            'storey' => $house->storey(0), 'walls' => [$wall], 'gap' => 120, 'spaced' => ['by' => 'count', 'count' => 9],
            'laws' => ['reach' => ['kind' => 'ramp', 'from' => 100, 'to' => 500], 'length' => 2400],
        ])->chosen[0];
        $to = $house->do('band.add', ['storey' => $house->storey(1), 'walls' => [$wall], 'name' => 'Upper', 'foot' => 300])->chosen[0];
        $house->do('band.pin', ['id' => $to, 'pieces' => [2], 'reach' => 250]);
        $change = $house->do('layer.carry', ['id' => $from, 'to' => [$to]]);
        self::assertSame('Made Upper as Band 1 is', $change->summary);
        $band = $house->design->layers[$to];
        self::assertInstanceOf(Band::class, $band);
        self::assertSame(['Upper', $house->storey(1), 300.0, 120.0], [$band->name, $band->storey, $band->foot, $band->gap]);
        $fins = Bands::in($house->design)->of($band);
        self::assertSame(9, $fins->count());
        self::assertEqualsWithDelta([100.0, 500.0], [$fins->reach[0], $fins->reach[8]], 60.0);
        self::assertEqualsWithDelta(250.0, $fins->reach[(int) array_search(2, $fins->n, true)], 1e-9);
    }

    public function test_floor_bands_and_screens_are_made_alike(): void
    {
        $house = $this->house;
        $outline = $house->wall()->outline;
        [$from] = $house->do('floor-band.add', [
            'outline' => $outline, 'storey' => $house->storey(0), 'height' => 410, 'edge' => 'rounded',
        ])->chosen;
        [$to] = $house->do('floor-band.add', [
            'circle' => ['x' => 0, 'y' => -9000, 'radius' => 2500], 'storey' => $house->storey(1),
        ])->chosen;
        $house->do('layer.carry', ['id' => $from, 'to' => [$to]]);
        $band = $house->design->layers[$to];
        self::assertInstanceOf(FloorBand::class, $band);
        self::assertSame([410.0, 'rounded', $house->storey(1), null], [$band->height, $band->edge->value, $band->storey, $band->outline]);
        self::assertNotNull($band->line);

        $wall = $house->wall()->id;
        [$one] = $house->do('screen.add', [
            'storey' => $house->storey(0), 'walls' => [$wall], 'gap' => 260, 'thick' => 18, 'edges' => true,
        ])->chosen;
        [$two] = $house->do('screen.add', ['storey' => $house->storey(1), 'walls' => [$wall]])->chosen;
        $house->do('screen.draw', ['id' => $two, 'cut' => true, 'wall' => $wall, 'shape' => [
            'form' => 'rectangle', 'u' => 900, 'v' => 900, 'width' => 600, 'height' => 500,
        ]]);
        $house->do('layer.carry', ['id' => $one, 'to' => [$two]]);
        $screen = $house->design->layers[$two];
        self::assertInstanceOf(Screen::class, $screen);
        self::assertSame([260.0, 18.0, true, 2], [$screen->gap, $screen->thick, $screen->edges, count($screen->parts)]);
    }

    /** Another roof gets pitch, overhang and thickness; its gable, its level and what it lies over are its own. */
    public function test_roofs_are_made_alike(): void
    {
        $house = $this->house;
        $from = $house->do('roof.add', ['outline' => $house->wall()->outline, 'pitch' => 27, 'overhang' => 650, 'thick' => 310])->chosen[0];
        $house->do('outline.draw', [
            'points' => [[20000, 0], [26000, 0], [26000, 5000], [20000, 5000]], 'closed' => true, 'thickness' => 300,
            'base' => $house->storey(0), 'top' => $house->storey(0), 'name' => 'Shed',
        ]);
        $shed = (string) array_key_last($house->design->outlines);
        $to = $house->do('roof.add', ['outline' => $shed, 'level' => 120])->chosen[0];
        $gable = $house->design->wallsOf($shed)[1]->id;
        $house->do('roof.change', ['id' => $to, 'edge' => ['wall' => $gable, 'gable' => true]]);
        $house->do('layer.carry', ['id' => $from, 'to' => [$to]]);
        $roof = Roofs::roof($house->design, $to);
        self::assertSame([27.0, 650.0, 310.0, 120.0, $shed], [$roof->pitch, $roof->overhang, $roof->thick, $roof->level, $roof->outline]);
        self::assertTrue($roof->edge($gable)?->gable);
    }

    /** What cannot be made alike is refused with the reason, and nothing of it is done. */
    public function test_other_kinds_and_itself_are_refused(): void
    {
        $house = $this->house;
        $wall = $house->wall()->id;
        $band = $house->do('band.add', ['storey' => $house->storey(0), 'walls' => [$wall]])->chosen[0];
        $field = $house->do('field.fill', ['opening' => $house->place(['left' => 2000])->id])->chosen[0];
        $roof = $house->do('roof.add', ['outline' => $house->wall()->outline])->chosen[0];
        $design = $house->design;
        foreach ([
            [['id' => $band, 'to' => [$field]], 'layer.other_kind'], [['id' => $band, 'to' => [$band]], 'layer.itself'],
            [['id' => $band, 'to' => ['ba-none']], 'layer.gone'], [['id' => $band, 'to' => []], 'layer.none_chosen'],
            [['id' => $roof, 'to' => [$band]], 'layer.other_kind'],
        ] as [$args, $code]) {
            try {
                $house->do('layer.carry', $args);
                self::fail("$code was not refused.");
            } catch (Refusal $refusal) {
                self::assertSame($code, $refusal->reason);
            }
        }
        self::assertSame($design, $house->design);
    }

    /** Two more openings of one wall and one of another get the same battens, with as many as they have room for; a wider one more. */
    public function test_fields_fill_more_openings_alike(): void
    {
        $house = $this->house;
        $places = array_map(
            static fn (int $left, int $width): string => $house->place(['left' => $left, 'width' => $width, 'height' => 1200])->id,
            [1000, 4000, 7000],
            [1200, 1200, 2400],
        );
        $first = $house->do('field.fill', [
            'opening' => $places[0], 'angle' => 90, 'wide' => 40, 'out' => 35, 'battens' => ['by' => 'pitch', 'size' => 120],
        ])->chosen[0];
        $change = $house->do('field.copy', ['id' => $first, 'openings' => [$places[1], $places[2]]]);
        self::assertSame('Filled 2 places as Field 1', $change->summary);
        $fields = array_map(static fn (string $id): Field => FieldsOn::field($house->design, $id), [$first, ...$change->chosen]);
        self::assertSame($places, array_map(static fn (Field $f): ?string => $f->opening, $fields));
        self::assertSame(['Field 1', 'Field 2', 'Field 3'], array_map(static fn (Field $f): string => $f->name, $fields));
        self::assertSame([35.0, 35.0, 35.0], array_map(static fn (Field $f): float => $f->out, $fields));
        [$one, $same, $wide] = array_map(static fn (Field $f): array => FieldsOn::in($house->design)->of($f)->lengths, $fields);
        self::assertSame($one, $same);
        self::assertGreaterThan(array_sum($one), array_sum($wide));
    }

    public function test_fields_fill_the_other_cut_outs_of_their_screen_and_refuse_what_they_cannot(): void
    {
        $house = $this->house;
        $wall = $house->wall()->id;
        [$screen] = $house->do('screen.add', ['storey' => $house->storey(0), 'walls' => [$wall], 'gap' => 200])->chosen;
        foreach ([900, 2400, 3900] as $u) {
            $house->do('screen.draw', ['id' => $screen, 'cut' => true, 'wall' => $wall, 'shape' => [
                'form' => 'rectangle', 'u' => $u, 'v' => 900, 'width' => 900, 'height' => 900,
            ]]);
        }
        [$field] = $house->do('field.fill', ['screen' => $screen, 'cut' => 2, 'battens' => ['by' => 'count', 'count' => 5]])->chosen;
        $made = $house->do('field.copy', ['id' => $field, 'cuts' => [3, 4]])->chosen;
        self::assertSame([3, 4], array_map(static fn (string $id): ?int => FieldsOn::field($house->design, $id)->cut, $made));
        $design = $house->design;
        try {
            // number 1 is the screen's own piece, no cut-out: none of the two is filled
            $house->do('field.copy', ['id' => $field, 'cuts' => [2, 1]]);
            self::fail('It was not refused.');
        } catch (Refusal $refusal) {
            self::assertSame('field.no_cut', $refusal->reason);
        }
        self::assertSame($design, $house->design);
        $this->expectExceptionMessage('fills no cell');
        $house->do('field.copy', ['id' => $field, 'cells' => ['cell 0 0']]);
    }
}
