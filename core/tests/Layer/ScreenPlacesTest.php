<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Layer;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Opening;
use Isleward\Core\Edit\Hanging;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Layer\ScreenPlaces;
use Isleward\Core\Layer\Screens;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** A screen is a host: its cut-outs, and the units in them, lie by the rules by which openings lie in walls. */
final class ScreenPlacesTest extends TestCase
{
    private House $house;

    private string $south;

    private string $screen;

    protected function setUp(): void
    {
        $this->house = House::box(12000, 8000, 300, [3000, 3000]);
        $this->south = $this->house->wall()->id;
        $this->screen = $this->house->do('screen.add', [
            'walls' => [$this->south], 'storey' => $this->house->storey(1), 'foot' => -3000, 'gap' => 150, 'thick' => 20, 'height' => 6000,
        ])->chosen[0];
    }

    public function test_a_cut_out_is_placed_from_ends_middle_share_and_lines_and_goes_with_them(): void
    {
        $line = $this->house->do('line.add', [
            'host' => $this->south, 'axis' => 'upright', 'name' => 'A', 'rule' => ['from' => 'left', 'value' => 7000],
        ])->operations[0]->id;
        $n = [
            $this->placed(['from' => 'right', 'value' => 500, 'to' => 'near'], 1000, 400),
            $this->placed(['from' => 'middle', 'value' => 0, 'to' => 'centre'], 800, 400),
            $this->placed(['from' => 'fraction', 'value' => 0.25, 'to' => 'near'], 600, 400),
            $this->placed(['from' => 'line', 'ref' => $line, 'value' => 120, 'to' => 'near'], 500, 400),
        ];
        // 12 000 long: 10 500–11 500, 5600–6400, 3000–3600, 7120–7620
        self::assertEqualsWithDelta([10500.0, 5600.0, 3000.0, 7120.0], $this->lefts($n), 1e-9);
        $this->house->do('line.change', ['id' => $line, 'value' => 8000]);
        $this->house->do('wall.move', ['wall' => $this->house->wall(1)->id, 'by' => 600]);
        // 12 600 long now
        self::assertEqualsWithDelta([11100.0, 5900.0, 3150.0, 8120.0], $this->lefts($n), 1e-9);
        // made wider each keeps what was said of it
        foreach ($n as $one) {
            $this->draw(['n' => $one, 'shape' => ['width' => 900]]);
        }
        self::assertEqualsWithDelta([11200.0, 5850.0, 3150.0, 8120.0], $this->lefts($n), 1e-9);
        self::assertEqualsWithDelta(
            12600.0 * 6000.0 - 4 * 900.0 * 400.0, Screens::in($this->house->design)->of($this->screen())->area(), 1e-3,
        );
    }

    public function test_its_level_is_taken_from_the_floor_the_datum_a_line_or_an_opening(): void
    {
        $opening = $this->opening(2000, 900, 1200, 1400);
        $line = $this->house->do('line.add', [
            'host' => $this->south, 'axis' => 'level', 'name' => 'Heads', 'rule' => ['from' => 'datum', 'height' => 5100],
        ])->operations[0]->id;
        $left = ['from' => 'left', 'to' => 'near'];
        $levels = [
            $this->placed($left + ['value' => 100], 300, 500, ['from' => 'floor', 'height' => 250]),
            $this->placed($left + ['value' => 600], 300, 500, ['from' => 'datum', 'height' => 250]),
            $this->placed($left + ['value' => 1100], 300, 500, ['from' => 'line', 'ref' => $line, 'height' => -100, 'edge' => 'head']),
            $this->placed($left + ['value' => 4000], 300, 500, [
                'from' => 'opening', 'ref' => $opening->id, 'height' => 0, 'point' => 'head', 'edge' => 'head',
            ]),
        ];
        // the screen's storey lies 3000 up; the opening is on the ground floor, from 900 to 2300
        self::assertEqualsWithDelta([3250.0, 250.0, 4500.0, 1800.0], $this->feet($levels), 1e-9);
        $this->house->do('storey.change', ['id' => $this->house->storey(0), 'height' => 3400]);
        $this->house->do('opening.change', ['id' => $opening->id, 'height' => 1500]);
        self::assertEqualsWithDelta([3650.0, 250.0, 4500.0, 1900.0], $this->feet($levels), 1e-9);
    }

    public function test_measured_another_way_it_stays_and_what_moves_it_keeps_its_way_of_measuring(): void
    {
        $opening = $this->opening(2000, 900, 1200, 1400);
        $n = $this->placed(['from' => 'opening', 'ref' => $opening->id, 'point' => 'right', 'value' => 300, 'to' => 'near'], 700, 400);
        self::assertEqualsWithDelta([3500.0], $this->lefts([$n]), 1e-9);
        $this->draw(['n' => $n, 'measure' => ['from' => 'right', 'to' => 'far']]);
        $part = $this->screen()->part($n);
        self::assertEqualsWithDelta([8500.0, 3500.0], [$part->position?->along->value, $this->lefts([$n])[0]], 1e-9);
        $this->house->do('screen.move', ['id' => $this->screen, 'parts' => [$n], 'du' => 250, 'dv' => 60]);
        $this->draw(['n' => $n, 'measureSill' => ['from' => 'datum', 'edge' => 'head']]);
        $part = $this->screen()->part($n);
        self::assertEqualsWithDelta([8250.0, 3460.0], [$part->position?->along->value, $part->sill?->height], 1e-9);
        $this->draw(['n' => $n, 'value' => 8000, 'sillHeight' => 3500]);
        $this->house->do('screen.mirror', ['id' => $this->screen, 'parts' => [$n], 'about' => 6000]);
        self::assertEqualsWithDelta([7300.0, 3100.0], [$this->lefts([$n])[0], $this->feet([$n])[0]], 1e-9);
        self::assertSame(['right', 'datum'], [
            $this->screen()->part($n)->position?->along->from->value, $this->screen()->part($n)->sill?->from->value,
        ]);
        $copies = $this->house->do('screen.copy', ['id' => $this->screen, 'parts' => [$n], 'du' => 1000, 'times' => 2]);
        self::assertEqualsWithDelta([8300.0, 9300.0], $this->lefts([$n + 1, $n + 2]), 1e-9);
        // spaced between the ends of the screen: three of 700 in 12 000, gaps of 2475
        $this->house->do('screen.space', ['id' => $this->screen, 'parts' => [$n, $n + 1, $n + 2], 'by' => 'gaps', 'ends' => true]);
        self::assertEqualsWithDelta([2475.0, 5650.0, 8825.0], $this->lefts([$n, $n + 1, $n + 2]), 1e-6);
        // on its own it stays
        $this->draw(['n' => $n, 'position' => null, 'sill' => null]);
        self::assertNull($this->screen()->part($n)->position);
        self::assertEqualsWithDelta([2475.0, 3100.0], [$this->lefts([$n])[0], $this->feet([$n])[0]], 1e-6);
        self::assertNotSame([], $copies->operations);
    }

    public function test_what_it_is_measured_from_is_not_taken_away_under_it(): void
    {
        $opening = $this->opening(2000, 900, 1200, 1400);
        $n = $this->placed(['from' => 'opening', 'ref' => $opening->id, 'point' => 'left', 'value' => 0, 'to' => 'near'], 700, 400);
        try {
            $this->house->do('opening.remove', ['ids' => [$opening->id]]);
            self::fail('It hangs on it.');
        } catch (Hanging $hanging) {
            self::assertStringContainsString('1 screen', $hanging->getMessage());
        }
        $this->house->do('opening.remove', ['ids' => [$opening->id], 'keepFigures' => true]);
        self::assertEqualsWithDelta([2000.0], $this->lefts([$n]), 1e-9);
        self::assertSame('left', $this->screen()->part($n)->position?->along->from->value);
        // an opening elsewhere, a line that runs the other way and a drawn shape are no places
        $north = $this->house->do('opening.place', [
            'host' => $this->house->wall(2)->id, 'storey' => $this->house->storey(0), 'width' => 900, 'height' => 900,
            'position' => ['from' => 'left', 'value' => 900, 'to' => 'near'], 'sill' => ['from' => 'floor', 'height' => 900],
        ])->chosen[0];
        $level = $this->house->do('line.add', [
            'host' => $this->south, 'axis' => 'level', 'name' => 'B', 'rule' => ['from' => 'datum', 'height' => 900],
        ])->operations[0]->id;
        foreach ([
            ['n' => $n, 'position' => ['from' => 'opening', 'ref' => $north, 'value' => 0, 'to' => 'near']],
            ['n' => $n, 'sill' => ['from' => 'opening', 'ref' => $north, 'height' => 0]],
            ['n' => $n, 'position' => ['from' => 'line', 'ref' => $level, 'value' => 0, 'to' => 'near']],
            ['cut' => true, 'wall' => $this->south, 'position' => ['from' => 'left', 'value' => 0, 'to' => 'near'],
                'shape' => ['form' => 'polygon', 'points' => [[0, 0], [500, 0], [0, 500]]]],
            ['n' => $n, 'value' => 20000],
        ] as $wrong) {
            $args = ['id' => $this->screen] + $wrong;
            self::assertTrue($this->house->refuses('screen.draw', $args), json_encode($args, JSON_THROW_ON_ERROR));
        }
    }

    public function test_a_unit_is_placed_in_it_at_its_own_size(): void
    {
        $this->house->do('type.add', ['mark' => 'V-1', 'name' => 'fixed', 'width' => 900, 'height' => 1200, 'sill' => 900, 'tree' => [
            'frame' => ['jamb' => 55, 'head' => 55, 'sill' => 55, 'depth' => 70],
            'root' => ['operation' => 'fixed', 'glazing' => [6, 16, 6]],
        ]]);
        $change = $this->draw([
            'wall' => $this->south, 'shape' => [], 'type' => $this->house->type('V-1')->id, 'sill' => ['from' => 'datum', 'height' => 1000],
            'position' => ['from' => 'middle', 'value' => 0, 'to' => 'centre'],
        ]);
        self::assertStringStartsWith('Placed V-1 in', $change->summary);
        $unit = Screens::in($this->house->design)->of($this->screen())->faces[$this->south]->units[0];
        $is = [$unit->u, $unit->level, $unit->unit->width, $unit->unit->height];
        self::assertEqualsWithDelta([5550.0, 1000.0, 900.0, 1200.0], $is, 1e-9);
        // as whatever is: back and forth again
        $before = $this->house->design;
        $then = $before->after($change->inverse(''));
        self::assertEquals($before->elements(), $then->after(new Change('', $change->operations))->elements());
    }

    /** @param  array<string, mixed>  $args */
    private function draw(array $args): Change
    {
        return $this->house->do('screen.draw', ['id' => $this->screen] + $args);
    }

    /**
     * @param  array<string, mixed>  $position
     * @param  array<string, mixed>  $sill
     */
    private function placed(array $position, float $width, float $height, array $sill = ['from' => 'floor', 'height' => 0]): int
    {
        $this->draw([
            'cut' => true, 'wall' => $this->south, 'position' => $position, 'sill' => $sill,
            'shape' => ['form' => 'rectangle', 'width' => $width, 'height' => $height],
        ]);

        return $this->screen()->nextNumber() - 1;
    }

    private function opening(float $left, float $sill, float $width, float $height): Opening
    {
        $id = $this->house->do('opening.place', [
            'host' => $this->south, 'storey' => $this->house->storey(0), 'width' => $width, 'height' => $height,
            'position' => ['from' => 'left', 'value' => $left, 'to' => 'near'], 'sill' => ['from' => 'floor', 'height' => $sill],
        ])->chosen[0];

        return $this->house->design->opening($id);
    }

    private function screen(): Screen
    {
        return Screens::screen($this->house->design, $this->screen);
    }

    /**
     * @param  list<int>  $numbers
     * @return list<float>
     */
    private function lefts(array $numbers): array
    {
        return array_map(fn (int $n): float => $this->box($n)[0], $numbers);
    }

    /**
     * @param  list<int>  $numbers
     * @return list<float> levels
     */
    private function feet(array $numbers): array
    {
        $floor = $this->house->design->storeys->floor($this->screen()->storey);

        return array_map(fn (int $n): float => $floor + $this->box($n)[1], $numbers);
    }

    /** @return array{float, float, float, float} */
    private function box(int $n): array
    {
        return ScreenPlaces::shape($this->house->design, $this->screen(), $this->screen()->part($n))->contour()->bounds();
    }
}
