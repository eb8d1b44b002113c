<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Building;

use Isleward\Core\Building\Levels;
use Isleward\Core\Building\Planes;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;
use PHPUnit\Framework\TestCase;

/** What heads and feet of walls follow, asked along lines and at points. */
final class CoversTest extends TestCase
{
    /** A ridge roof of 45° over 0…10 000 by 0…6 000, its ridge along y = 3 000. */
    private static function ridge(): Planes
    {
        return new Planes([
            [[0.0, 0.0, 10000.0, 0.0, 10000.0, 3000.0, 0.0, 3000.0], [0.0, 0.0, 1.0]],
            [[0.0, 3000.0, 10000.0, 3000.0, 10000.0, 6000.0, 0.0, 6000.0], [6000.0, 0.0, -1.0]],
        ]);
    }

    private static function wall(float $x0, float $y0, float $x1, float $y1): Upright
    {
        return Upright::over(Curve::straight($x0, $y0, $x1, $y1));
    }

    public function test_across_the_ridge_it_rises_and_falls(): void
    {
        $wall = self::wall(5000, 0, 5000, 6000);
        self::assertEqualsWithDelta([[0.0, 0.0], [3000.0, 3000.0], [6000.0, 0.0]], self::ridge()->line($wall, 0.0, 6000.0, 0.0), 1e-2);
        self::assertEqualsWithDelta([[1000.0, 1000.0], [2500.0, 2500.0]], self::ridge()->line($wall, 1000.0, 2500.0, 0.0), 1e-2);
    }

    /** A line along the eaves, along the ridge, and along the verge lies under what is on its left; past them nothing does. */
    public function test_lines_along_borders_lie_under_their_inside(): void
    {
        $level = static fn (float $x0, float $y0, float $x1, float $y1): ?array => self::ridge()->along(
            self::wall($x0, $y0, $x1, $y1), new Vec2($x0, $y0), new Vec2($x1, $y1),
        );
        self::assertEqualsWithDelta([[0.0, 0.0], [1.0, 0.0]], $level(0, 0, 10000, 0), 1e-2);
        self::assertEqualsWithDelta([[0.0, 3000.0], [1.0, 3000.0]], $level(0, 3000, 10000, 3000), 1e-2);
        self::assertEqualsWithDelta([[0.0, 0.0], [0.5, 3000.0], [1.0, 0.0]], $level(10000, 0, 10000, 6000), 1e-2);
        self::assertNull($level(10000, 0, 0, 0), 'the eaves lie on its right');
        self::assertNull($level(-10, 1000, 5000, 1000), 'it begins before it');
        self::assertNull($level(5000, 1000, 10010, 1000), 'it ends past it');
    }

    /** Whatever line is asked, its levels are those of the points on it. */
    public function test_lines_and_points_agree(): void
    {
        mt_srand(3);
        for ($round = 0; $round < 300; $round++) {
            [$a, $b] = [new Vec2(mt_rand(1, 9999), mt_rand(1, 5999)), new Vec2(mt_rand(1, 9999), mt_rand(1, 5999))];
            if ($a->distanceTo($b) < 10) {
                continue;
            }
            $wall = self::wall($a->x, $a->y, $b->x, $b->y);
            $line = self::ridge()->along($wall, $a, $b) ?? self::fail('It lies under it.');
            self::assertSame([0.0, 1.0], [$line[0][0], $line[count($line) - 1][0]]);
            for ($i = 1, $n = count($line); $i < $n; $i++) {
                [[$s0, $v0], [$s1, $v1]] = [$line[$i - 1], $line[$i]];
                $share = ($s0 + $s1) / 2;
                $at = $a->plus($b->minus($a)->times($share));
                self::assertEqualsWithDelta(3000 - abs($at->y - 3000), ($v0 + $v1) / 2, 0.05);
                self::assertEqualsWithDelta(3000 - abs($at->y - 3000), self::ridge()->at($wall, $at), 1e-6);
            }
        }
    }

    public function test_a_step_between_planes_is_two_levels_at_one_place(): void
    {
        $planes = new Planes([
            [[0.0, 0.0, 2000.0, 0.0, 2000.0, 1000.0, 0.0, 1000.0], [3000.0, 0.0, 0.0]],
            [[2000.0, 0.0, 5000.0, 0.0, 5000.0, 1000.0, 2000.0, 1000.0], [3500.0, 0.0, 0.0]],
        ]);
        self::assertEqualsWithDelta(
            [[0.0, 3000.0], [2000.0, 3000.0], [2000.0, 3500.0], [5000.0, 3500.0]],
            $planes->line(self::wall(0, 500, 5000, 500), 0.0, 5000.0, 0.0), 1e-2,
        );
    }

    /** 0 up to 1 000, a step to 500, a slope to 900 at 3 000. */
    public function test_levels_by_figures(): void
    {
        $wall = self::wall(0, 0, 8000, 0);
        $levels = new Levels([[1000.0, 0.0], [1000.0, 500.0], [3000.0, 900.0]]);
        $at = static fn (float $u): float => $levels->at($wall, new Vec2($u, 0.0));
        self::assertSame([0.0, 0.0, 500.0, 700.0, 900.0, 900.0], array_map(
            static fn (float $v): float => round($v), array_map($at, [-500.0, 999.0, 1001.0, 2000.0, 3000.0, 7000.0]),
        ));
        self::assertSame(
            [[0.0, 0.0], [1000.0, 0.0], [1000.0, 500.0], [3000.0, 900.0], [8000.0, 900.0]], $levels->line($wall, 0.0, 8000.0, 0.0),
        );
        // one that begins at the step begins over it, one that ends there ends under it
        self::assertSame([[1000.0, 500.0], [2000.0, 700.0]], $levels->line($wall, 1000.0, 2000.0, 0.0));
        self::assertSame([[0.0, 0.0], [1000.0, 0.0]], $levels->line($wall, 0.0, 1000.0, 0.0));
        // straight through the wall it is level, the other way along it runs back
        self::assertSame([[0.0, 700.0], [1.0, 700.0]], $levels->along($wall, new Vec2(2000, 0), new Vec2(2000, 300)));
        self::assertEqualsWithDelta(
            [[0.0, 900.0], [0.5, 700.0], [1.0, 500.0]],
            [...array_slice($levels->along($wall, new Vec2(3000, 0), new Vec2(1000, 0)), 0, 1), [0.5, 700.0], [1.0, 500.0]], 1e-9,
        );
    }
}
