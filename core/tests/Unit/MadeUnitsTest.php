<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Unit;

use Isleward\Core\Measure\Units as Measure;
use Isleward\Core\Tests\Support\House;
use Isleward\Core\Tests\Support\Units;
use Isleward\Core\Unit\Role;
use Isleward\Core\Unit\SolvedLight;
use Isleward\Core\Unit\SolvedUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Units of a working day, made by steps at the bench in millimetres and in feet and inches; their figures worked by hand. */
final class MadeUnitsTest extends TestCase
{
    /**
     * @return iterable<string, array{Measure, \Closure(float): (float|string), float}> units, a length of so many modules as it is typed,
     *    and the module in mm
     */
    public static function measures(): iterable
    {
        yield 'metric, modules of 300 mm' => [Measure::Millimetre, static fn (float $n): float => $n * 300, 300.0];
        yield 'feet and inches, modules of a foot' => [
            Measure::FeetInches,
            static fn (float $n): string => sprintf('%d\' %s"', (int) $n, ($n - (int) $n) * 12),
            304.8,
        ];
    }

    /** @param  \Closure(float): (float|string)  $typed */
    #[DataProvider('measures')]
    public function test_a_wide_fixed_unit_with_mullions_set_in_and_glass_at_mid_depth(Measure $measure, \Closure $typed, float $m): void
    {
        $unit = Units::made(
            $typed(12),
            $typed(5),
            [['divide', ['path' => '', 'axis' => 'columns', 'sizes' => [$typed(2.5), null, $typed(2.5)], 'face' => $typed(0.25)]]],
            $measure,
        )->solved();
        $mullions = array_values(array_filter($unit->members, static fn ($x): bool => $x->role === Role::Mullion));
        self::assertEqualsWithDelta(
            [2.5 * $m, 9.5 * $m],
            array_map(self::middle(...), $mullions),
            1e-6,
            'their centre lines lie 2½ modules in from each side',
        );
        self::assertCount(3, $unit->panes);
        foreach ($unit->panes as $pane) {
            self::assertEqualsWithDelta($unit->depth() / 2, $pane->back + $pane->thickness() / 2, 1e-9);
        }
    }

    /** @param  \Closure(float): (float|string)  $typed */
    #[DataProvider('measures')]
    public function test_a_top_hung_pair_a_quarter_open(Measure $measure, \Closure $typed, float $m): void
    {
        $unit = Units::made($typed(6), $typed(4), [
            ['divide', ['path' => '', 'axis' => 'columns', 'count' => 2]],
            [
                'light',
                ['paths' => ['0', '1'], 'values' => ['operation' => 'top-hung', 'opens' => 'outward', 'reach' => 60, 'ajar' => 0.25]],
            ],
        ], $measure)->solved();
        self::assertCount(2, $unit->leaves());
        foreach ($unit->leaves() as $leaf) {
            [$x0, $y0, , $y1] = $leaf->contour->bounds();
            $pose = $leaf->motion->at(0.25);
            [, $foot, $z] = $pose->of($x0, $y0, $leaf->motion->z);
            self::assertEqualsWithDelta(
                [$y1 - ($y1 - $y0) * cos(M_PI / 12), -($y1 - $y0) * sin(M_PI / 12)],
                [$foot, $z - $leaf->motion->z],
                1e-6,
                'its foot swings out by 15°',
            );
            self::assertEqualsWithDelta(2 * $m, $unit->width / 3, 1e-9);
        }
    }

    /** @param  \Closure(float): (float|string)  $typed */
    #[DataProvider('measures')]
    public function test_a_panelled_door_stands_half_open_in_a_wall_thinner_than_its_frame(
        Measure $measure,
        \Closure $typed,
        float $m,
    ): void {
        $draft = Units::made($typed(3), $typed(7), [
            [
                'light',
                [
                    'paths' => [''],
                    'values' => [
                        'operation' => 'hinged-door',
                        'hinge' => 'left',
                        'opens' => 'inward',
                        'style' => 'panelled',
                        'columns' => 2,
                        'rows' => 3,
                        'bottomRail' => $typed(0.75),
                        'reach' => 90,
                        'ajar' => 0.5,
                    ],
                ],
            ],
            ['frame', ['values' => ['depth' => $typed(0.5), 'sill' => $typed(0)]]],
        ], $measure);
        $unit = $draft->solved();
        self::assertCount(6, array_filter($unit->members, static fn ($x): bool => $x->role === Role::Panel));
        $rails = array_values(array_filter($unit->members, static fn ($x): bool => $x->role === Role::Rail));
        usort($rails, static fn ($a, $b): int => $a->contour->bounds()[1] <=> $b->contour->bounds()[1]);
        self::assertEqualsWithDelta(0.75 * $m, $rails[0]->contour->height(), 1e-6, 'the bottom rail is deeper');
        $leaf = $unit->lights[0]->leaves[0];
        [$x0, $y0, $x1] = $leaf->contour->bounds();
        [$x, , $z] = $leaf->motion->at(0.5)->of($x1, $y0, $leaf->motion->z);
        self::assertEqualsWithDelta(
            [$x0 + ($x1 - $x0) * M_SQRT1_2, ($x1 - $x0) * M_SQRT1_2],
            [$x, $z - $leaf->motion->z],
            1e-6,
            'at 45°, inward',
        );

        // a frame 150 deep in a wall of 120 stands out of it on both sides alike
        $house = House::box(thickness: 120.0);
        $house->do(
            'type.add',
            [
                'mark' => 'P-1',
                'name' => 'panelled',
                'width' => $unit->width,
                'height' => $unit->height,
                'sill' => 0,
                'tree' => $draft->tree,
            ],
        );
        $opening = $house->place(['left' => 2000, 'type' => $house->type('P-1')->id, 'sill' => ['from' => 'floor', 'height' => 0]]);
        self::assertEqualsWithDelta((120 - 0.5 * $m) / 2, $opening->setback, 1e-6);
    }

    /** @param  \Closure(float): (float|string)  $typed */
    #[DataProvider('measures')]
    public function test_rows_of_three_five_and_seven_equal_lights(Measure $measure, \Closure $typed, float $m): void
    {
        foreach ([3, 5, 7] as $n) {
            foreach (['faces', 'centres'] as $sizes) {
                $unit = Units::made(
                    $typed(10.5),
                    $typed(4),
                    [['divide', ['path' => '', 'axis' => 'columns', 'count' => $n]]],
                    $measure,
                    $sizes,
                )->solved();
                $widths = array_map(static fn (SolvedLight $l): float => $l->contour->width(), $unit->lights);
                self::assertCount($n, $widths);
                if ($sizes === 'faces') {
                    self::assertEqualsWithDelta(array_fill(0, $n, (10.5 * $m - 2 * 55 - ($n - 1) * 55) / $n), $widths, 1e-6);
                }
                $inner = array_slice($widths, 1, -1);
                self::assertEqualsWithDelta(array_fill(0, count($inner), $inner[0]), $inner, 1e-6);
                self::assertEqualsWithDelta($widths[0], $widths[$n - 1], 1e-6);
                $mullions = array_values(array_filter($unit->members, static fn ($x): bool => $x->role === Role::Mullion));
                if ($sizes === 'centres') {
                    self::assertEqualsWithDelta(
                        array_map(static fn (int $k): float => 10.5 * $m * $k / $n, range(1, $n - 1)),
                        array_map(self::middle(...), $mullions),
                        1e-6,
                    );
                }
            }
        }
    }

    /** @param  \Closure(float): (float|string)  $typed */
    #[DataProvider('measures')]
    public function test_a_vertical_sliding_pair_and_a_folding_door(Measure $measure, \Closure $typed, float $m): void
    {
        $light = Units::made(
            $typed(3),
            $typed(6),
            [['light', ['paths' => [''], 'values' => ['operation' => 'vertical-sliding', 'moving' => 'both']]]],
            $measure,
        )->solved()->lights[0];
        self::assertCount(2, $light->leaves);
        [$low, $high] = $light->leaves;
        self::assertEqualsWithDelta(
            $light->contour->height() + $low->motion->dy,
            $light->contour->height() - $high->motion->dy,
            1e-6,
            'both travel as far',
        );
        self::assertNotEqualsWithDelta($low->back, $high->back, 1.0, 'one behind the other');
        self::assertEqualsWithDelta(3 * $m - 110, $light->contour->width(), 1e-6);

        $folding = Units::made(
            $typed(12),
            $typed(7.5),
            [['light', ['paths' => [''], 'values' => ['operation' => 'folding', 'folds' => 4, 'hinge' => 'left', 'opens' => 'outward']]]],
            $measure,
        )->solved()->lights[0];
        self::assertEqualsWithDelta(
            array_fill(0, 4, (12 * $m - 110) / 4),
            array_map(static fn ($l): float => $l->contour->width(), $folding->leaves),
            1e-6,
        );
    }

    /** @param  \Closure(float): (float|string)  $typed */
    #[DataProvider('measures')]
    public function test_a_round_and_a_pointed_light_with_glazing_bars(Measure $measure, \Closure $typed, float $m): void
    {
        $bars = static fn (int $upright, int $level): array => [
            'light',
            ['paths' => [''], 'values' => ['bars' => ['upright' => $upright, 'level' => $level, 'width' => 20.0]]],
        ];
        $round = Units::made(
            $typed(3),
            $typed(3),
            [['frame', ['values' => ['sill' => 55.0, 'mitred' => true]]], ['outline', ['outline' => ['kind' => 'round']]], $bars(1, 1)],
            $measure,
        )->solved();
        $radius = 1.5 * $m - 55;
        // four quarters: the circle less a cross of bars 20 wide, whose own circle segments are beyond the chord at 10
        $cross = 2 * 2 * (10 * sqrt($radius ** 2 - 100) + $radius ** 2 * asin(10 / $radius)) - 20 ** 2;
        self::assertCount(4, $round->panes);
        self::assertEqualsWithDelta(M_PI * $radius ** 2 - $cross, $round->glassArea(), 1e-3);

        $pointed = Units::made(
            $typed(3),
            $typed(6),
            [
                ['outline', ['outline' => ['kind' => 'arch', 'form' => 'pointed', 'riseShare' => 0.9]]],
                ['frame', ['values' => ['mitred' => true]]],
                $bars(2, 3),
            ],
            $measure,
        )->solved();
        self::assertTrue($pointed->lights[0]->contour->hasCurves());
        self::assertEqualsWithDelta(
            $pointed->lights[0]->contour->area(),
            $pointed->glassArea() + self::area($pointed, Role::Bar),
            1e-3,
            'bars and panes are the light',
        );
        self::assertGreaterThanOrEqual(10, count($pointed->panes));
    }

    /** Where a mullion's centre line is. */
    private static function middle(\Isleward\Core\Unit\Member $member): float
    {
        [$x0, , $x1] = $member->contour->bounds();

        return ($x0 + $x1) / 2;
    }

    private static function area(SolvedUnit $unit, Role $role): float
    {
        return array_sum(array_map(
            static fn ($m): float => $m->contour->area(),
            array_filter($unit->members, static fn ($m): bool => $m->role === $role),
        ));
    }
}
