<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Geometry;

use Isleward\Core\Geometry\Region;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RegionTest extends TestCase
{
    /**
     * Areas worked by hand on a wall of 10 × 4.
     *
     * @param  list<list<float>>  $holes
     */
    #[DataProvider('cuts')]
    public function test_holes_cut_right(array $holes, float $net, int $rings): void
    {
        $region = Region::rectangle(0, 0, 10, 4)->cut($holes);
        self::assertEqualsWithDelta($net, $region->area(), 1e-9);
        self::assertCount($rings, $region->rings);
        self::assertTrianglesFill($region);
    }

    /** @return iterable<string, array{list<list<float>>, float, int}> */
    public static function cuts(): iterable
    {
        $box = static fn (float $x0, float $y0, float $x1, float $y1): array => [$x0, $y0, $x1, $y0, $x1, $y1, $x0, $y1];
        yield 'a hole inside' => [[$box(1, 1, 2, 2)], 39, 2];
        yield 'a door on the floor' => [[$box(1, 0, 2, 2)], 38, 1];
        yield 'past the head' => [[$box(1, 3, 2, 9)], 39, 1];
        yield 'through the whole height' => [[$box(4, -1, 6, 5)], 32, 2];
        yield 'overlapping' => [[$box(1, 1, 3, 3), $box(2, 2, 4, 3.5)], 40 - 4 - 3 + 1, 2];
        yield 'side by side' => [[$box(1, 1, 2, 2), $box(2, 1, 3, 2)], 38, 2];
        yield 'touching at a corner' => [[$box(1, 1, 2, 2), $box(2, 2, 3, 3)], 38, 2];
        yield 'the same twice' => [[$box(1, 1, 2, 2), $box(1, 1, 2, 2)], 39, 2];
        yield 'one in another' => [[$box(1, 1, 4, 3), $box(2, 1.5, 3, 2)], 34, 2];
        yield 'slanted sides' => [[[1, 1, 3, 1, 2.5, 2, 1.5, 2]], 40 - 1.5, 2];
        yield 'a slanted side over the edge' => [[[9, 1, 11, 1, 11, 3]], 40 - 0.5, 1];
        yield 'round the ring the other way' => [[[1, 1, 1, 2, 2, 2, 2, 1]], 39, 2];
        yield 'off the wall' => [[$box(20, 1, 21, 2)], 40, 1];
        yield 'all of it' => [[$box(-1, -1, 11, 5)], 0, 0];
        yield 'touching the edge at a point' => [[[0, 2, 1, 1, 2, 2, 1, 3]], 38, 1];
    }

    /** Law: what lies in either is what lies in both and what lies in one alone; triangles add up to the area. */
    public function test_areas_add_up_over_random_regions(): void
    {
        mt_srand(4711);
        for ($i = 0; $i < 300; $i++) {
            $a = Region::rectangle(0, 0, 100, 60)->cut(self::randomHoles($i % 3 === 0 ? 10 : 1));
            $b = Region::rectangle(20, 10, 130, 50)->cut(self::randomHoles($i % 3 === 0 ? 10 : 1));
            $both = $a->intersection($b)->area();
            self::assertEqualsWithDelta($a->area() + $b->area() - $both, $a->union($b)->area(), 0.02, "round $i");
            self::assertEqualsWithDelta($a->area() - $both, $a->difference($b)->area(), 0.02, "round $i");
            self::assertTrianglesFill($a->difference($b));
        }
    }

    /** @return list<list<float>> quadrilaterals, some upright, some slanted, on a grid so that many touch */
    private static function randomHoles(int $grid): array
    {
        $holes = [];
        for ($n = mt_rand(0, 14); $n > 0; $n--) {
            $x = intdiv(mt_rand(-10, 110), $grid) * $grid;
            $y = intdiv(mt_rand(-10, 60), $grid) * $grid;
            $w = max(1, intdiv(mt_rand(1, 30), $grid)) * $grid;
            $h = max(1, intdiv(mt_rand(1, 20), $grid)) * $grid;
            $s = mt_rand(0, 2) === 0 ? $w / 3 : 0;
            $holes[] = [(float) $x, (float) $y, (float) $x + $w, (float) $y, $x + $w - $s, (float) $y + $h, $x + $s, (float) $y + $h];
        }

        return $holes;
    }

    private static function assertTrianglesFill(Region $region): void
    {
        [$points, $corners] = $region->triangles();
        $sum = 0.0;
        for ($i = 0; $i < count($corners); $i += 3) {
            [$a, $b, $c] = [2 * $corners[$i], 2 * $corners[$i + 1], 2 * $corners[$i + 2]];
            [$dx, $dy] = [$points[$b] - $points[$a], $points[$b + 1] - $points[$a + 1]];
            $area = ($dx * ($points[$c + 1] - $points[$a + 1]) - $dy * ($points[$c] - $points[$a])) / 2;
            self::assertGreaterThanOrEqual(-1e-6, $area, 'no triangle is turned over');
            $sum += $area;
        }
        self::assertEqualsWithDelta($region->area(), $sum, 1e-6);
    }
}
