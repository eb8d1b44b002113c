<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Geometry;

use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\CutPrism;
use Isleward\Core\Geometry\HalfSpace;
use Isleward\Core\Geometry\Mesh;
use Isleward\Core\Geometry\Vec3;
use PHPUnit\Framework\TestCase;

final class CutPrismTest extends TestCase
{
    /** By hand: a box 60 × 140 and 1 000 long, its end cut at 45° over the depth: half of 140 × 140 × 60 is gone. */
    public function test_a_slanted_end_takes_half_of_what_it_passes_over(): void
    {
        [$piece] = CutPrism::between([Contour::rectangle(-30, 0, 30, 140)], self::upright(), [
            HalfSpace::behind(new Vec3(0, 0, 1000), new Vec3(0, 1, 1)), HalfSpace::behind(new Vec3(0, 0, 0), new Vec3(0, 0, -1)),
        ]);
        self::assertEqualsWithDelta(60 * 140 * 1000 - 60 * 140 * 140 / 2, $piece->volume(), 1e-3);
        self::assertEqualsWithDelta([1000.0, 860.0], [$piece->lengthAt(0, 0), $piece->lengthAt(0, 140)], 1e-9);
    }

    /** A roof over a round tube: the planes meet over its middle, so that each half has half of the disc. By formula: r² of the moment. */
    public function test_an_end_between_two_planes_comes_in_two_pieces(): void
    {
        $r = 40.0;
        $tube = Contour::of([Curve::curved(0, 0, $r, $r, 0, M_PI), Curve::curved(0, 0, $r, $r, M_PI, M_PI)]);
        $pieces = CutPrism::between([$tube], self::upright(), [
            HalfSpace::behind(new Vec3(0, 0, 500), new Vec3(1, 0, 1)), HalfSpace::behind(new Vec3(0, 0, 500), new Vec3(-1, 0, 1)),
            HalfSpace::behind(new Vec3(0, 0, 0), new Vec3(0, 0, -1)),
        ]);
        self::assertCount(2, $pieces);
        // what two slopes of 45° take off: 2 ∫∫ x over half a disc = 4 r³ / 3
        self::assertEqualsWithDelta(M_PI * $r ** 2 * 500 - 4 * $r ** 3 / 3, $pieces[0]->volume() + $pieces[1]->volume(), 1e-4);
    }

    public function test_planes_along_it_cut_its_profile_and_nothing_is_left_of_one_that_lies_outside(): void
    {
        $box = [Contour::rectangle(0, 0, 100, 100)];
        $ends = [HalfSpace::behind(new Vec3(0, 0, 10), new Vec3(0, 0, 1)), HalfSpace::behind(new Vec3(0, 0, 0), new Vec3(0, 0, -1))];
        [$half] = CutPrism::between($box, self::upright(), [...$ends, HalfSpace::behind(new Vec3(0, 0, 0), new Vec3(1, -1, 0))]);
        self::assertEqualsWithDelta(50000.0, $half->volume(), 1e-6);
        $away = HalfSpace::behind(new Vec3(-1, 0, 0), new Vec3(1, 0, 0));
        self::assertSame([], CutPrism::between($box, self::upright(), [...$ends, $away]));
        self::assertSame([], CutPrism::between($box, self::upright(), [...$ends, $ends[0]->opposite()]), 'from 10 up and down to it');
    }

    /** Law: whatever planes cut it, what lies within one and what lies without it are all of it; its mesh has its volume. */
    public function test_a_cut_makes_nothing_and_loses_nothing(): void
    {
        mt_srand(1973);
        for ($i = 0; $i < 120; $i++) {
            $turn = mt_rand(0, 628) / 100;
            $axes = new Axes(
                new Vec3(mt_rand(-900, 900), mt_rand(-900, 900), mt_rand(-900, 900)),
                new Vec3(cos($turn), sin($turn), 0.0),
                new Vec3(0.0, 0.0, 1.0),
                new Vec3(sin($turn), -cos($turn), 0.0),
            );
            $profile = $i % 2 === 0
                ? Contour::polygon([-40, 0, 40, 0, 40, 20, 8, 20, 8, 120, -8, 120, -8, 20, -40, 20])
                : Contour::of([Curve::curved(0, 50, 50, 50, 0, M_PI), Curve::curved(0, 50, 50, 50, M_PI, M_PI)]);
            $any = static fn (): Vec3 => new Vec3(mt_rand(-100, 100) / 100, mt_rand(-100, 100) / 100, mt_rand(-100, 100) / 100);
            $within = [
                HalfSpace::behind($axes->point(0, 0, 900), $axes->z->plus($any()->times(0.5))),
                HalfSpace::behind($axes->point(0, 0, -900), $axes->z->times(-1)->plus($any()->times(0.5))),
            ];
            $cut = HalfSpace::behind($axes->point(mt_rand(-30, 30), mt_rand(0, 90), mt_rand(-700, 700)), $any());
            $sum = static fn (array $pieces): float => array_sum(array_map(static fn (CutPrism $p): float => $p->volume(), $pieces));
            $all = CutPrism::between([$profile], $axes, $within);
            $in = CutPrism::between([$profile], $axes, [...$within, $cut]);
            $out = CutPrism::between([$profile], $axes, [...$within, $cut->opposite()]);
            self::assertEqualsWithDelta($sum($all), $sum($in) + $sum($out), 2.0, "round $i");
            foreach ([...$in, ...$out] as $piece) {
                self::assertGreaterThan(-1e-6, $piece->volume());
                self::assertEqualsWithDelta($piece->volume(), self::volume($piece->mesh(0.0001)), 50.0, "mesh of round $i");
            }
        }
    }

    private static function upright(): Axes
    {
        return new Axes(new Vec3(0, 0, 0), new Vec3(1, 0, 0), new Vec3(0, 1, 0), new Vec3(0, 0, 1));
    }

    /** By the divergence theorem. */
    private static function volume(Mesh $mesh): float
    {
        $at = static fn (int $i): Vec3 => new Vec3(...array_slice($mesh->positions, 3 * $i, 3));
        $sum = 0.0;
        foreach (array_chunk($mesh->triangles, 3) as [$a, $b, $c]) {
            $sum += $at($a)->dot($at($b)->cross($at($c))) / 6;
        }

        return $sum;
    }
}
