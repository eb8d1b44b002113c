<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Unit;

use Isleward\Core\Tests\Support\Units;
use Isleward\Core\Unit\FreeOpening;
use Isleward\Core\Unit\Operation;
use Isleward\Core\Unit\SolvedUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What stands free when lights are open, and how leaves stand: each figure worked by hand from the geometry beside it. */
final class FreeOpeningTest extends TestCase
{
    /**
     * An escape window leaves 0.33 m² and 450 mm each way (Approved Document B; from memory). Turned by 90° a sash 68 deep hides its depth.
     */
    public function test_a_side_hung_light_at_the_size_of_an_escape_window(): void
    {
        $free = static fn (float $w, float $h): FreeOpening => self::free(
            Units::bare(['operation' => 'side-hung', 'hinge' => 'left', 'opens' => 'outward', 'reach' => 90] + Units::SASH, $w, $h),
            1.0,
        );
        self::assertEqualsWithDelta(450.0, $free(518, 734)->width, 1e-9);
        self::assertEqualsWithDelta(450.0 * 734, $free(518, 734)->area, 1e-3);
        self::assertGreaterThanOrEqual(0.33e6, $free(518, 734)->area);
        self::assertLessThan(0.33e6, $free(518, 733)->area);
    }

    /**
     * Worked by hand: sashes that meet at a share s of a light h high overlap by a rail r there, so the lower is s·h + r/2 high and the
     * upper (1 − s)·h + r/2.
     * Raised, the lower leaves free what the upper does not cover, s·h − r/2, or less where it is the taller and meets the head; lowered,
     * the upper the
     * same from above. So the most is the shorter part less half a rail; half way each, as both are shown, they leave half of it below and
     * half above.
     */
    public function test_with_both_sashes_moving_the_larger_way_is_with_one_of_them(): void
    {
        foreach ([[900.0, 1335.0, 0.5], [900.0, 1335.0, 0.35], [1200.0, 2100.0, 0.6]] as [$w, $h, $split]) {
            $free = static function (string $moving) use ($w, $h, $split): FreeOpening {
                $unit = Units::bare(['operation' => 'vertical-sliding', 'moving' => $moving, 'split' => $split] + Units::SASH, $w, $h);

                return FreeOpening::of($unit->lights[0], 1.0);
            };
            $rail = Units::SASH['sashFace'];
            $both = $free('both');
            self::assertEqualsWithDelta(min($h * $split, $h * (1 - $split)) - $rail / 2, $both->height, 1e-6);
            self::assertEqualsWithDelta(max($free('lower')->height, $free('upper')->height), $both->height, 1e-9);
            self::assertEqualsWithDelta($w * $both->height, $both->area, 1e-3);
        }
    }

    /**
     * 5.7 ft², 20 in wide and 24 in high (IRC R310; from memory): a vertical sliding light whose lower sash goes up behind the upper leaves
     * what is over the taller sash.
     */
    public function test_a_vertical_sliding_light_in_inches(): void
    {
        $inch = 25.4;
        $unit = Units::bare(['operation' => 'vertical-sliding', 'moving' => 'lower'] + Units::SASH, 30 * $inch, 60 * $inch);
        $tallest = max(array_map(static fn ($l): float => $l->contour->height(), $unit->lights[0]->leaves));
        $free = self::free($unit, 1.0);
        self::assertEqualsWithDelta([30 * $inch, 60 * $inch - $tallest], [$free->width, $free->height], 1e-6);
        self::assertGreaterThan(24 * $inch, $free->height);
        self::assertGreaterThan(5.7 * 304.8 ** 2, $free->area);
    }

    /** @param  array<string, mixed>  $light */
    #[DataProvider('cases')]
    public function test_worked_cases(array $light, float $share, float $width, float $height): void
    {
        $free = self::free(Units::bare($light + Units::SASH, 1200, 1000), $share);
        self::assertEqualsWithDelta([$width, $height], [$free->width, $free->height], 1e-6);
    }

    /** @return iterable<string, array{array<string, mixed>, float, float, float}> */
    public static function cases(): iterable
    {
        yield 'top-hung at 30°: what its tilted leaf, 68 thick, does not hide' => [
            ['operation' => 'top-hung', 'opens' => 'outward', 'reach' => 60],
            0.5,
            1200.0,
            1000 - 1000 * cos(M_PI / 6) - 68 * 0.5,
        ];
        yield 'a pair at 90°: its width less both leaves’ depth' => [
            ['operation' => 'side-hung-pair', 'opens' => 'inward', 'reach' => 90],
            1.0,
            1200 - 2 * 68.0,
            1000.0,
        ];
        yield 'pivoted level at 90°: half its height less half its depth' => [
            ['operation' => 'horizontal-pivot', 'reach' => 90],
            1.0,
            1200.0,
            500 - 34.0,
        ];
        yield 'sliding pair: its width less a leaf of half of it and half a meeting stile' => [
            ['operation' => 'sliding', 'leaves' => ['fixed', 'left']],
            1.0,
            1200 - 630.0,
            1000.0,
        ];
        yield 'four leaves folded at 90°: their four depths side by side' => [
            ['operation' => 'folding', 'folds' => 4, 'hinge' => 'left', 'opens' => 'outward', 'reach' => 90],
            1.0,
            1200 - 4 * 68.0,
            1000.0,
        ];
        yield 'open: all of it' => [['operation' => 'open'], 1.0, 1200.0, 1000.0];
        yield 'shut: nothing' => [['operation' => 'hinged-door', 'hinge' => 'left', 'opens' => 'inward'], 0.0, 0.0, 0.0];
    }

    /** Law: nothing that opens further leaves less free, and never more than the light is. */
    public function test_opening_further_never_leaves_less(): void
    {
        foreach (Operation::cases() as $operation) {
            if (! $operation->moves()) {
                continue;
            }
            $unit = Units::bare(['operation' => $operation->value, 'hinge' => 'right', 'opens' => 'outward'] + Units::SASH, 1500, 1400);
            $last = [0.0, 0.0];
            for ($i = 0; $i <= 20; $i++) {
                $free = self::free($unit, $i / 20);
                self::assertGreaterThanOrEqual($last[0] - 1e-6, $free->area, $operation->value);
                self::assertLessThanOrEqual(1500 * 1400, $free->area, $operation->value);
                self::assertLessThanOrEqual(1500 * 1400 + 1e-6, $free->air);
                $last = [$free->area, $free->air];
            }
            self::assertGreaterThan(0.0, $last[0], $operation->value);
        }
    }

    /**
     * Flat blades 80 × 2 at 75 in a louvre 1000 × 1000 with a frame of 25: their gap square to the blades, p·cos a − t, times their length.
     */
    #[DataProvider('blades')]
    public function test_the_free_area_of_a_louvre_by_hand(float $angle, float $projected): void
    {
        $unit = Units::bare(
            ['operation' => 'louvre', 'louvre' => ['angle' => $angle, 'chord' => 80, 'thickness' => 2, 'pitch' => 75, 'face' => 25]],
            1000,
            1000,
        );
        $louvre = $unit->lights[0]->louvre ?? self::fail('a louvre');
        $count = (int) floor((950 - $projected) / 75) + 1;
        $end = (950 - $projected - 75 * ($count - 1)) / 2;
        $gap = 75 * cos(deg2rad($angle)) - 2;
        self::assertSame($count, $louvre['count']);
        self::assertEqualsWithDelta([$gap, $end, 950.0], [$louvre['gap'], $louvre['end'], $louvre['length']], 1e-9);
        self::assertEqualsWithDelta(950 * ($gap * ($count - 1) + 2 * min($gap, $end)), $louvre['free'], 1e-6);
    }

    /** @return iterable<string, array{float, float}> */
    public static function blades(): iterable
    {
        yield 'level: as high as they are thick' => [0.0, 2.0];
        yield 'at 30°: 80 × ½ + 2 × √3/2' => [30.0, 40 + sqrt(3)];
        yield 'at 45°: (80 + 2) / √2' => [45.0, 82 / sqrt(2)];
    }

    /** Leaves that hang on each other stay together while they fold: where one ends the next begins, at every ajar. */
    public function test_folding_leaves_stay_hinged_to_each_other(): void
    {
        foreach (['left', 'right'] as $hinge) {
            $leaves = Units::bare(
                ['operation' => 'folding', 'folds' => 4, 'hinge' => $hinge, 'opens' => 'outward'] + Units::SASH,
                3600,
                2300,
            )->lights[0]->leaves;
            usort($leaves, static fn ($a, $b): int => ($a->motion->fold['index'] ?? 0) <=> ($b->motion->fold['index'] ?? 0));
            for ($share = 0.0; $share <= 1.0; $share += 0.125) {
                for ($i = 1; $i < 4; $i++) {
                    [$a, $b] = [$leaves[$i - 1], $leaves[$i]];
                    $seam = $hinge === 'left' ? $b->contour->bounds()[0] : $b->contour->bounds()[2];
                    // the first hangs on the second at the face away from that to which they open, the second on the third at that
                    $z = $b->motion->z + ($i % 2 === 1 ? 68.0 : 0.0);
                    self::assertEqualsWithDelta(
                        $a->motion->at($share)->of($seam, 0.0, $z),
                        $b->motion->at($share)->of($seam, 0.0, $z),
                        1e-6,
                        "$hinge $i at $share",
                    );
                }
            }
        }
    }

    private static function free(SolvedUnit $unit, float $share): FreeOpening
    {
        return FreeOpening::of($unit->lights[0], $share);
    }
}
