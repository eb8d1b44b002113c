<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Unit;

use Isleward\Core\Tests\Support\Units;
use Isleward\Core\Unit\Member;
use Isleward\Core\Unit\Pane;
use Isleward\Core\Unit\SolvedLight;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The regions that a unit's outline is divided into: laws over random units, and figures worked by hand. */
final class RegionsTest extends TestCase
{
    /** Law: lights, frame and dividers are the outline, no more and no less, under slopes and arcs too; and the lights mirror. */
    public function test_lights_frame_and_dividers_add_up_to_the_outline(): void
    {
        mt_srand(41127);
        $curved = $sloped = 0;
        for ($i = 0; $i < 3000; $i++) {
            $unit = Units::random();
            $lights = array_map(static fn (SolvedLight $l): float => $l->contour->area(), $unit->lights);
            $members = array_map(static fn (Member $m): float => $m->contour->area(), $unit->members);
            $panes = array_map(static fn (Pane $p): float => $p->contour->area(), $unit->panes);
            $area = $unit->outline->area();
            self::assertEqualsWithDelta($area, array_sum($lights) + array_sum($members), 0.01, "unit $i: to 0.01 mm²");
            self::assertEqualsWithDelta(array_sum($lights), array_sum($panes), 0.01);
            self::assertGreaterThan(0.0, min([...$lights, ...$members]));
            self::assertEqualsWithDelta(
                array_sum($lights),
                array_sum(array_map(static fn (SolvedLight $l): float => $l->contour->area(), $unit->mirrored()->lights)),
                0.01,
            );
            $curved += $unit->outline->hasCurves() ? 1 : 0;
            $sloped += ! $unit->outline->hasCurves() && ! $unit->outline->isRectangle() ? 1 : 0;
        }
        self::assertGreaterThan(600, $curved);
        self::assertGreaterThan(600, $sloped);
    }

    /** Chord 2000, rise 500: radius 1250, arc 2318.2 (circular segment, published handbook formula). */
    public function test_a_segmental_head_against_the_closed_formula(): void
    {
        $unit = Units::solve(
            [
                'outline' => ['kind' => 'arch', 'form' => 'segmental', 'rise' => 500],
                'frame' => ['jamb' => 0, 'head' => 0, 'sill' => 0, 'depth' => 70],
                'root' => Units::GLASS,
            ],
            2000,
            2500,
        );
        self::assertEqualsWithDelta(2000 + 2 * 2000 + 2318.2, $unit->outline->perimeter(), 0.05);
        $half = asin(1000 / 1250);
        self::assertEqualsWithDelta(2000 * 2000 + 1250 ** 2 * ($half - sin(2 * $half) / 2), $unit->outline->area(), 1e-3);
        self::assertEqualsWithDelta($unit->outline->area(), $unit->panes[0]->contour->area(), 1e-6, 'the light keeps the arc');
    }

    /**
     * Area and perimeter of whole outlines by closed formulas (plane geometry, from memory).
     *
     * @param  array<string, mixed>  $outline
     */
    #[DataProvider('outlines')]
    public function test_outlines_against_closed_formulas(array $outline, float $width, float $height, float $area, float $perimeter): void
    {
        $contour = Units::solve(
            ['outline' => $outline, 'frame' => ['jamb' => 0, 'head' => 0, 'sill' => 0, 'depth' => 70], 'root' => Units::GLASS],
            $width,
            $height,
        )->outline;
        self::assertEqualsWithDelta($area, $contour->area(), 1e-3);
        self::assertEqualsWithDelta($perimeter, $contour->perimeter(), 1e-3);
    }

    /** @return iterable<string, array{array<string, mixed>, float, float, float, float}> */
    public static function outlines(): iterable
    {
        yield 'round' => [['kind' => 'round'], 900, 900, M_PI * 450 ** 2, 2 * M_PI * 450];
        yield 'semicircular head' => [
            ['kind' => 'arch', 'form' => 'semicircular'],
            1200,
            2000,
            1200 * 1400 + M_PI * 600 ** 2 / 2,
            1200 + 2 * 1400 + M_PI * 600,
        ];
        // the equilateral pointed arch: radius = width, rise = width × √3/2
        $w = 1000.0;
        $rise = $w * sqrt(3) / 2;
        yield 'equilateral pointed head' => [
            ['kind' => 'arch', 'form' => 'pointed', 'rise' => $rise],
            $w,
            1000 + $rise,
            $w * 1000 + (M_PI / 3 - sqrt(3) / 4) * $w ** 2,
            3 * $w + 2 * $w * M_PI / 3,
        ];
        yield 'sloped head' => [
            ['kind' => 'profile', 'head' => [['share' => 1, 'rise' => 750]], 'sill' => []],
            1000,
            2000,
            1000 * (2000 + 1250) / 2,
            1000 + 2000 + 1250 + 1250,
        ];
        yield 'gable of 3-4-5' => [
            ['kind' => 'profile', 'head' => [['share' => 1, 'rise' => 600], ['share' => 1, 'rise' => -600]], 'sill' => []],
            1600,
            1600,
            1600 * 1000 + 800 * 600,
            1600 + 2 * 1000 + 2 * 1000,
        ];
        yield 'a head with a step' => [
            [
                'kind' => 'profile',
                'head' => [['length' => 400, 'rise' => 0], ['length' => 0, 'rise' => 300], ['share' => 1, 'rise' => 0]],
                'sill' => [],
            ],
            1000,
            1500,
            400 * 1200 + 600 * 1500,
            2 * (1000 + 1500),
        ];
    }

    /** A light under a slope is a quadrilateral; one that reaches over its foot keeps both edges. */
    public function test_toplights_follow_a_rising_head(): void
    {
        $unit = Units::solve(Units::stock('D-18'), 3900, 3270);
        $lights = [];
        foreach ($unit->lights as $light) {
            $lights[$light->path] = $light->contour;
        }
        self::assertCount(4, $lights['1.1']->edges());
        self::assertFalse($lights['1.1']->isRectangle());
        self::assertTrue($lights['1.0']->isRectangle() && $lights['1.2']->isRectangle());
        // under 420 over 1500: the light's own head rises in the same proportion over its clear width
        [$x0, $y0, $x1, $y1] = $lights['1.1']->bounds();
        $low = $y1 - ($x1 - $x0) * 420 / 1500;
        self::assertEqualsWithDelta(($x1 - $x0) * (($low + $y1) / 2 - $y0), $lights['1.1']->area(), 1e-3);
    }

    /** Mitres by trigonometry: a frame 70 wide under a 3-4-5 gable, and round a square. */
    public function test_members_of_a_mitred_frame_are_cut_at_the_bisector(): void
    {
        $square = \Isleward\Core\Unit\TakeOff::members(
            Units::solve(
                ['frame' => ['jamb' => 70, 'head' => 70, 'sill' => 70, 'depth' => 80, 'mitred' => true], 'root' => Units::GLASS],
                1200,
                1200,
            ),
        );
        self::assertSame([[45.0, 45.0]], array_values(array_unique(array_column($square, 'ends'), SORT_REGULAR)));
        self::assertEqualsWithDelta([1200.0], array_values(array_unique(array_column($square, 'length'))), 1e-6);

        $gable = \Isleward\Core\Unit\TakeOff::members(
            Units::solve(
                ['outline' => [
                    'kind' => 'profile',
                    'head' => [['share' => 1, 'rise' => 600], ['share' => 1, 'rise' => -600]],
                    'sill' => [],
                ],
                    'frame' => ['jamb' => 70, 'head' => 70, 'sill' => 70, 'depth' => 80, 'mitred' => true],
                    'root' => Units::GLASS], 1600, 1600));
        $by = array_column($gable, null, 'what');
        $pitch = rad2deg(atan(600 / 800));
        // at the eaves frame and slope meet at 90° + pitch, at the ridge the slopes at 180° − 2 pitch: each is cut at half of it
        self::assertEqualsWithDelta([(90 - $pitch), (90 + $pitch) / 2], $by['head']['ends'], 0.01);
        self::assertEqualsWithDelta([45.0, (90 + $pitch) / 2], $by['jamb']['ends'], 0.01);
        self::assertEqualsWithDelta([1000.0, 1000.0], [$by['head']['length'], $by['jamb']['length']], 1e-6);
    }
}
