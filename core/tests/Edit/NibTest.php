<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Places;
use Isleward\Core\Check\Findings;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** A corridor wall along 12 000 × 8 000, 100 thick, inner faces 300 in; a wall across meets it from x = 6 000 − 50 to 6 000 + 50. */
final class NibTest extends TestCase
{
    private House $house;

    private string $corridor;

    private string $door;

    protected function setUp(): void
    {
        $this->house = House::box(12000, 8000, 300, [3000]);
        $inner = function (string $name, array $points): string {
            $this->house->do('outline.draw', [
                'name' => $name, 'points' => $points, 'closed' => false, 'inner' => true, 'line' => 'centre', 'thickness' => 100,
                'base' => $this->house->storey(0), 'top' => $this->house->storey(0),
            ]);

            return (string) array_key_last($this->house->design->walls);
        };
        $this->corridor = $inner('Corridor', [[300, 4000], [11700, 4000]]);
        $inner('Across', [[6000, 4050], [6000, 7700]]);
        $this->door = $this->house->do('opening.place', [
            'host' => $this->corridor, 'storey' => $this->house->storey(0), 'type' => $this->house->type('D-01')->id, 'width' => 1000,
            'position' => ['from' => 'left', 'value' => 1000, 'to' => 'near'], 'sill' => ['from' => 'floor', 'height' => 0],
        ])->chosen[0];
    }

    private function nib(string $side, mixed $width): float
    {
        $this->house->do('opening.change', ['id' => $this->door, 'nib' => ['side' => $side, 'width' => $width]]);

        return $this->left();
    }

    private function left(): float
    {
        return Places::in($this->house->design)->of($this->house->design->opening($this->door))->left;
    }

    /** Drawn from west to east the wall across stands on its left: seen from its front, x runs from left to right. By hand. */
    public function test_it_is_a_figure_to_the_nearest_wall_that_meets_its_own_or_to_its_end(): void
    {
        $surface = Bodies::one($this->house->design, $this->house->design->walls[$this->corridor])->surface;
        $x = fn (): float => $surface->inPlan($this->left())->x;
        self::assertEqualsWithDelta(1.0, $surface->tangent()->x, 1e-9);
        // its right jamb 200 from the face at 5 950
        $this->nib('right', 200);
        self::assertEqualsWithDelta(4750.0, $x(), 1e-6);
        $this->nib('left', 250);
        self::assertEqualsWithDelta(550.0, $x(), 1e-6);
        // past the wall it is measured to the wall's other face
        $this->house->do('opening.change', ['id' => $this->door, 'leftJamb' => $this->left() + 7000.0]);
        $this->nib('left', '15 cm');
        self::assertEqualsWithDelta(6200.0, $x(), 1e-6);
        $this->nib('right', 0);
        self::assertEqualsWithDelta(10700.0, $x(), 1e-6);
    }

    /** Law: what the nib is set to is what the rule about nibs measures. */
    public function test_the_rule_about_nibs_measures_what_was_set(): void
    {
        mt_srand(16);
        for ($i = 0; $i < 40; $i++) {
            $width = mt_rand(0, 199);
            $this->nib(mt_rand(0, 1) === 1 ? 'right' : 'left', $width);
            $body = Bodies::one($this->house->design, $this->house->design->walls[$this->corridor]);
            $found = array_filter(Findings::of($this->house->design, $body), static fn ($f): bool => $f->rule === 'door.nib');
            self::assertCount(1, $found);
            self::assertEqualsWithDelta($width, reset($found)->figure, 1e-6);
        }
    }

    public function test_a_nib_that_cannot_be_is_refused(): void
    {
        $was = $this->left();
        foreach ([['left', -10], ['right', 9000], ['above', 100]] as [$side, $width]) {
            try {
                $this->nib($side, $width);
                self::fail("$side $width was taken");
            } catch (Refusal $refusal) {
                self::assertNotSame('', $refusal->getMessage());
            }
            self::assertSame($was, $this->left());
        }
    }
}
