<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Layer;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Findings;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Layer\Battens;
use Isleward\Core\Layer\Field;
use Isleward\Core\Layer\FieldPieces;
use Isleward\Core\Layer\FieldSolid;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FieldTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $rule
     * @param  array{int, float, float, float}  $expected  how many, where the first and the last begin, and what is clear between two
     */
    #[DataProvider('worked')]
    public function test_counts_and_remainders_by_worked_arithmetic(array $rule, float $clear, float $wide, array $expected): void
    {
        [$starts, $gap] = Battens::from(new Fields($rule))->over($clear, $wide);
        self::assertSame($expected[0], count($starts));
        self::assertEqualsWithDelta($expected[1], $starts[0], 0.005);
        self::assertEqualsWithDelta($expected[2], $starts[count($starts) - 1], 0.005);
        self::assertEqualsWithDelta($expected[3], $gap, 0.005);
    }

    /** @return iterable<string, array{array<string, mixed>, float, float, array{int, float, float, float}}> */
    public static function worked(): iterable
    {
        // 2 950 clear, battens 40 at clear gaps of at least 35
        $fit = ['by' => 'fit', 'size' => 35];
        yield 'as many as fit, a batten at both ends: floor(2985 / 75), 1 390 shared by 38' => [
            $fit + ['ends' => true], 2950.0, 40.0, [39, 0.0, 2910.0, 36.58],
        ];
        yield 'as many as fit, a gap at both ends: floor(2915 / 75), 1 430 shared by 39' => [$fit, 2950.0, 40.0,
            [38, 36.67, 2873.33, 36.67]];
        // 3 000, pitch 250 with battens of 50: gaps 200; a batten at both ends: 12, the last begins at 2 750, 200 are left
        $pitch = ['by' => 'pitch', 'size' => 250, 'ends' => true];
        yield 'a pitch, what is left at the end' => [$pitch + ['left' => 'end'], 3000.0, 50.0, [12, 0.0, 2750.0, 200.0]];
        yield 'a pitch, what is left at the start' => [$pitch + ['left' => 'start'], 3000.0, 50.0, [12, 200.0, 2950.0, 200.0]];
        yield 'a pitch, half of it at both' => [$pitch + ['left' => 'both'], 3000.0, 50.0, [12, 100.0, 2850.0, 200.0]];
        yield 'a pitch, what is left shared by 11' => [$pitch, 3000.0, 50.0, [12, 0.0, 2950.0, 2400 / 11]];
        yield 'a clear gap of 100, gaps at the ends: floor(900 / 150)' => [
            ['by' => 'gap', 'size' => 100, 'left' => 'end'], 1000.0, 50.0, [6, 100.0, 850.0, 100.0],
        ];
        yield 'a count' => [['by' => 'count', 'count' => 4], 1000.0, 50.0, [4, 160.0, 790.0, 160.0]];
        yield 'one alone, in the middle' => [['by' => 'count', 'count' => 1, 'ends' => true], 1000.0, 50.0, [1, 475.0, 475.0, 0.0]];
    }

    /** @param  array<string, mixed>  $values */
    private static function pieces(array $values, House $house): FieldPieces
    {
        return FieldPieces::of($house->design, Field::from(new Fields($values + [
            'id' => 'fl-1', 'name' => 'Field', 'position' => 0, 'wall' => $house->wall(0)->id, 'storey' => $house->storey(0),
            'outline' => array_key_first($house->design->outlines),
        ])));
    }

    /** A T of 60 × 40 in sheet of 5: flange and web, 60 · 5 + 35 · 5; turned by 90° it is as wide as it was deep. */
    public function test_sections_other_than_flat_have_their_own_area_and_width(): void
    {
        $house = House::box();
        $region = [[0, 0], [1000, 0], [1000, 2000], [0, 2000]];
        $base = ['region' => $region, 'wide' => 60, 'deep' => 40, 'battens' => ['by' => 'count', 'count' => 3]];
        $volume = static function (array $values) use ($base, $house): float {
            $pieces = self::pieces($values + $base, $house);

            return (new FieldSolid($pieces->field, $pieces->pieces[0], $pieces->lengths[0]))->volume();
        };
        self::assertEqualsWithDelta((60 * 5 + 35 * 5) * 2000.0, $volume(['shape' => 'tee', 'web' => 5]), 1e-3);
        self::assertEqualsWithDelta(M_PI * 30 * 20 * 2000.0, $volume(['shape' => 'ellipse']), 1e-3);
        // a slanted blade: a parallelogram 0.3 of the width, over the whole depth
        $blade = ['shape' => 'drawn', 'profile' => [[0, 0], [0.3, 0], [1, 1], [0.7, 1]]];
        self::assertEqualsWithDelta(0.3 * 60 * 40 * 2000.0, $volume($blade), 1e-3);
        self::assertEqualsWithDelta(40.0, self::pieces(['shape' => 'tee', 'turn' => 90] + $base, $house)->field->seenWide(), 1e-9);
        $this->expectExceptionMessage('is less than');
        self::pieces(['shape' => 'tee', 'web' => 45] + $base, $house);
    }

    /** 60 × 20, turned by 0°, 30° and 60°: seen 60, 60 cos 30 + 20 sin 30 = 61.96, 60 cos 60 + 20 sin 60 = 47.32 wide. */
    public function test_a_law_turns_battens_from_the_first_to_the_last(): void
    {
        $house = House::box();
        $pieces = self::pieces(['region' => [[0, 0], [1000, 0], [1000, 2000], [0, 2000]], 'wide' => 60, 'deep' => 20,
            'turnLaw' => ['kind' => 'ramp', 'from' => 0, 'to' => 60], 'battens' => ['by' => 'count', 'count' => 3]], $house);
        self::assertEqualsWithDelta([0.0, 30.0, 60.0], $pieces->turns, 1e-9);
        $wide = array_map(static fn (Contour $c): float => $c->width(), $pieces->pieces);
        self::assertEqualsWithDelta([60.0, 60 * cos(M_PI / 6) + 10, 30 + 20 * sin(M_PI / 3)], $wide, 1e-6);
        // their middles a quarter of what the widest leaves clear apart, and the width of that
        $middle = array_map(static fn (Contour $c): float => ($c->bounds()[0] + $c->bounds()[2]) / 2, $pieces->pieces);
        self::assertEqualsWithDelta([500.0, 2 * 500.0], [$middle[1], $middle[0] + $middle[2]], 1e-6);
        foreach ($pieces->pieces as $i => $piece) {
            $solid = new FieldSolid($pieces->field, $piece, $pieces->lengths[$i], $pieces->turns[$i]);
            self::assertEqualsWithDelta(60.0 * 20 * 2000, $solid->volume(), 1e-3);
            self::assertEqualsWithDelta(60.0 * 20 * 2000, $solid->mesh(0.5)->volume(), 1e-3);
        }
        $this->expectExceptionMessage('turns number 3 by 120°');
        self::pieces(['turnLaw' => ['kind' => 'ramp', 'from' => 0, 'to' => 120]] + $pieces->field->toArray(), $house);
    }

    /** A side-hung window opens nearly all of its light: battens 60 wide clear of each other by 20 leave a quarter of it. */
    public function test_battens_before_a_unit_that_opens_more_than_they_leave_clear_are_found(): void
    {
        $house = House::box();
        $opening = $house->place(['left' => 2000, 'type' => $house->type('W-03')->id]);
        $field = $house->do('field.fill', [
            'opening' => $opening->id, 'wide' => 60, 'deep' => 40, 'battens' => ['by' => 'gap', 'size' => 20],
        ])->chosen[0];
        $found = static fn (): array => array_values(array_filter(
            Findings::of($house->design, Bodies::one($house->design, $house->wall())),
            static fn (Finding $f): bool => $f->rule === 'field.free',
        ));
        self::assertCount(1, $found());
        self::assertSame([$field], $found()[0]->elements);
        self::assertLessThan(0.5, $found()[0]->figure);
        // few and thin ones leave enough, and those that lie in the opening are not before it
        $house->do('field.change', ['id' => $field, 'out' => -60]);
        self::assertSame([], $found());
    }

    public function test_battens_are_cut_to_a_slope_and_their_areas_add_up(): void
    {
        // a gable: 2 000 wide, 1 000 high at its left, rising to 2 000 at its right
        $house = House::box();
        $gable = [[0, 0], [2000, 0], [2000, 2000], [0, 1000]];
        $upright = self::pieces(['region' => $gable, 'wide' => 100,
            'battens' => ['by' => 'pitch', 'size' => 200, 'ends' => true, 'left' => 'end']], $house);
        self::assertCount(10, $upright->pieces);
        // each as long as its higher side: 1 000 + half of where it ends
        foreach ($upright->lengths as $i => $length) {
            self::assertEqualsWithDelta(1000 + (200 * $i + 100) / 2, $length, 1e-6);
        }
        // strips of a trapezoid: 100 × the height in their middle
        self::assertEqualsWithDelta(
            array_sum(array_map(static fn (int $i): float => 100 * (1000 + (200 * $i + 50) / 2), range(0, 9))),
            3e6 - $upright->freeArea(),
            1e-3,
        );
        // turned ones are cut square: as long as their lower side
        $turned = self::pieces(['region' => $gable, 'wide' => 60, 'deep' => 80, 'turn' => 30,
            'battens' => ['by' => 'count', 'count' => 5]], $house);
        $seen = 60 * cos(M_PI / 6) + 80 * sin(M_PI / 6);
        $gap = (2000 - 5 * $seen) / 6;
        foreach ($turned->lengths as $i => $length) {
            self::assertEqualsWithDelta(1000 + ($gap + $i * ($seen + $gap)) / 2, $length, 1e-4);
        }
        // level ones
        $level = self::pieces(['region' => $gable, 'angle' => 90, 'wide' => 100,
            'battens' => ['by' => 'count', 'count' => 2, 'ends' => true]], $house);
        self::assertEqualsWithDelta([2000.0, 200.0], [max($level->lengths), min($level->lengths)], 1e-6);
    }

    public function test_battens_at_any_angle_fill_what_two_sets_of_strips_fill(): void
    {
        $house = House::box();
        foreach ([0.0, 17.0, 45.0, 90.0, 133.0] as $angle) {
            // as wide as their pitch they cover the region whole
            $all = self::pieces([
                'region' => [[500, 300], [4200, 700], [3600, 2900], [1500, 3300]], 'angle' => $angle, 'wide' => 70,
                'battens' => ['by' => 'count', 'count' => 10, 'ends' => true],
            ], $house);
            $clear = abs($all->region->area()) - $all->freeArea();
            self::assertGreaterThan(0.0, $clear);
            self::assertEqualsWithDelta(
                $clear,
                array_sum(array_map(static fn ($c): float => abs($c->area()), $all->pieces)),
                1e-6,
            );
            foreach ($all->pieces as $i => $piece) {
                // a strip of a convex region holds no more than its width times its length
                self::assertLessThanOrEqual(70 * $all->lengths[$i] + 1e-6, abs($piece->area()));
            }
        }
    }

    public function test_battens_fill_an_opening_also_an_arched_one_and_follow_it(): void
    {
        $house = House::box();
        $house->do('type.add', ['mark' => 'A-1', 'name' => 'arched', 'width' => 1200, 'height' => 1600, 'sill' => 900, 'tree' => [
            'outline' => ['kind' => 'arch', 'form' => 'semicircular'], 'frame' => ['jamb' => 55, 'head' => 55, 'sill' => 60, 'depth' => 70],
            'root' => ['operation' => 'fixed', 'glazing' => [6, 16, 6]],
        ]]);
        $opening = $house->place(['left' => 2000, 'type' => $house->type('A-1')->id]);
        $field = ['opening' => $opening->id, 'wide' => 40, 'deep' => 60, 'battens' => ['by' => 'count', 'count' => 3]];
        $pieces = self::pieces($field, $house);
        // the middle one stands under the crown, from 580 to 620 of 1 200: flat but for a sagitta of 600 − √(600² − 20²)
        self::assertEqualsWithDelta(1600.0, $pieces->lengths[1], 1e-6);
        // the first from 270 to 310: as high as the arch is at 310 from its left
        self::assertEqualsWithDelta(1000 + sqrt(600 ** 2 - 290 ** 2), $pieces->lengths[0], 1e-6);
        $house->do('opening.change', ['id' => $opening->id, 'by' => ['u' => 500]]);
        self::assertEqualsWithDelta(2500.0, self::pieces($field, $house)->region->bounds()[0], 1e-6);
    }

    /**
     * Five level rods 60 thick over a round window of 900: that in the middle lies at the level of the corners where the halves of the
     * circle meet, and is as long as the chord at its edges, 30 off the middle: 2 √(450² − 30²).
     */
    public function test_a_batten_through_the_middle_of_a_round_opening_is_there(): void
    {
        $house = House::box();
        $house->do('type.add', ['mark' => 'R-1', 'name' => 'round', 'width' => 900, 'height' => 900, 'sill' => 900, 'tree' => [
            'outline' => ['kind' => 'round'], 'frame' => ['jamb' => 55, 'head' => 55, 'sill' => 55, 'depth' => 70],
            'root' => ['operation' => 'fixed', 'glazing' => [6, 16, 6]],
        ]]);
        $pieces = self::pieces([
            'opening' => $house->place(['left' => 2000, 'type' => $house->type('R-1')->id])->id, 'angle' => 90, 'shape' => 'round',
            'wide' => 60, 'battens' => ['by' => 'count', 'count' => 5],
        ], $house);
        self::assertCount(5, $pieces->pieces);
        self::assertEqualsWithDelta(2 * sqrt(450 ** 2 - 30 ** 2), max($pieces->lengths), 1e-3);
    }

    /** @param  array<string, mixed>  $values */
    #[DataProvider('wrong')]
    public function test_what_cannot_lie_so_is_refused_with_its_figures(array $values, string $says): void
    {
        try {
            self::pieces($values + ['region' => [[0, 0], [1000, 0], [1000, 1000], [0, 1000]]], House::box());
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertStringContainsString($says, Length::said($refusal->getMessage(), Units::Millimetre));
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'a pitch under the batten’s size' => [
            ['wide' => 60, 'battens' => ['by' => 'pitch', 'size' => 50]], 'A pitch of 50 is less than a batten is wide: 60',
        ];
        yield 'wider than what is clear' => [['wide' => 1200],
            'is 1'."\u{202f}".'200 wide as it is turned; there are 1'."\u{202f}".'000 clear'];
        yield 'more than there is room for' => [['wide' => 60, 'battens' => ['by' => 'count', 'count' => 20]], '20 battens of 60'];
        yield 'a region that crosses itself' => [['region' => [[0, 0], [1000, 1000], [1000, 0], [0, 1000]]], 'crosses itself'];
        yield 'off its wall' => [['region' => [[-50, 0], [1000, 0], [1000, 1000]]], 'reaches 50 off its wall'];
        yield 'an opening there is not' => [['opening' => 'op-77'], 'is not there any more'];
    }
}
