<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Geometry;

use Isleward\Core\Geometry\InvalidPath;
use Isleward\Core\Geometry\Skeleton;
use PHPUnit\Framework\TestCase;

/** Straight skeletons: worked roofs, and laws over seeded polygons. */
final class SkeletonTest extends TestCase
{
    /** The hip of `published.md`: 18 000 × 11 400 at 35°. */
    public function test_a_hip_is_as_worked_out(): void
    {
        $run = 1 / tan(deg2rad(35));
        $found = Skeleton::of([[[0.0, 0.0], [18000.0, 0.0], [18000.0, 11400.0], [0.0, 11400.0]]], [$run, $run, $run, $run]);
        $ridge = array_values(array_filter($found->arcs, static fn (array $a): bool => $a[0] > 3 && $a[1] > 3));
        self::assertCount(1, $ridge);
        [$a, $b] = [$found->nodes[$ridge[0][0]], $found->nodes[$ridge[0][1]]];
        self::assertEqualsWithDelta(6600.0, hypot($a[0] - $b[0], $a[1] - $b[1]), 1e-6);
        self::assertEqualsWithDelta(3991.18, $a[2], 0.005);
        [$x, $y, $z] = $found->nodes[$found->faces[1][2]];
        self::assertEqualsWithDelta(8994.97, sqrt((18000 - $x) ** 2 + $y ** 2 + $z ** 2), 0.005);
    }

    public function test_a_side_that_stands_is_a_gable(): void
    {
        $found = Skeleton::of([[[0.0, 0.0], [9000.0, 0.0], [9000.0, 6000.0], [0.0, 6000.0]]], [1.0, 0.0, 1.0, 0.0]);
        self::assertEqualsWithDelta([[9000.0, 0.0, 0.0], [9000.0, 6000.0, 0.0], [9000.0, 3000.0, 3000.0]], array_map(
            static fn (int $i): array => $found->nodes[$i], $found->faces[1],
        ), 1e-9);
        self::assertEqualsWithDelta(27e6, self::area($found, 0), 1e-3);
        // one that rises from side to side
        $found = Skeleton::of([[[0.0, 0.0], [9000.0, 0.0], [9000.0, 6000.0], [0.0, 6000.0]]], [2.0, 0.0, 0.0, 0.0]);
        self::assertEqualsWithDelta(3000.0, max(array_column($found->nodes, 2)), 1e-9);
        self::assertEqualsWithDelta(54e6, self::area($found, 0), 1e-3);
    }

    /** By hand: 12 000 × 8 000 with 4 000 × 3 000 out of its corner; the long wing at 2 run over rise, the rest at 1. */
    public function test_an_l_of_two_pitches_by_hand(): void
    {
        $ring = [[0.0, 0.0], [12000.0, 0.0], [12000.0, 5000.0], [8000.0, 5000.0], [8000.0, 8000.0], [0.0, 8000.0]];
        $found = Skeleton::of([$ring], [2.0, 1.0, 2.0, 1.0, 1.0, 1.0]);
        // the east end rises 1 a mm while both sides of its wing come in 2: they meet 1 250 in and as high
        $ends = array_map(static fn (int $i): array => $found->nodes[$i], $found->faces[1]);
        self::assertContainsEquals([10750.0, 2500.0, 1250.0], array_map(
            static fn (array $n): array => array_map(static fn (float $c): float => round($c, 6), $n), $ends,
        ));
        self::assertEqualsWithDelta(84e6, array_sum(array_map(
            static fn (int $i): float => self::area($found, $i), array_keys($found->faces),
        )), 1e-2);
    }

    /** A step of the eaves whose flatter side comes level with the steeper one: the steeper face ends there along a level line. */
    public function test_the_flatter_of_two_in_line_goes_on_alone(): void
    {
        $ring = [[0.0, 0.0], [6000.0, 0.0], [6000.0, 500.0], [12000.0, 500.0], [12000.0, 9000.0], [0.0, 9000.0]];
        $found = Skeleton::of([$ring], [1.5, 1.0, 1.0, 1.0, 1.0, 1.0]);
        // 1.5 t = 500 + t at 1 000
        $levels = array_map(static fn (int $i): float => round($found->nodes[$i][2], 6), $found->faces[2]);
        self::assertSame(1000.0, max($levels));
        self::assertHeights($ring, [1.5, 1.0, 1.0, 1.0, 1.0, 1.0], $found);
    }

    /**
     * Over polygons of every kind: faces tile them, each is a plane that rises from its side, whatever the speeds, and at one speed a
     * quarter turn changes nothing.
     */
    public function test_faces_tile_what_they_stand_on_and_are_planes(): void
    {
        $tried = 0;
        for ($seed = 1; $seed <= 1500; $seed++) {
            mt_srand($seed);
            [$ring, $hole] = $seed % 2 === 0
                ? [self::star(mt_rand(4, 60), 3000, 20000), []]
                : [self::steps(mt_rand(1, 14), $seed % 4 === 1 ? 1000.0 : 1000.0 / 3), []];
            if ($seed % 10 === 0) {
                [$ring, $hole] = [self::star(mt_rand(4, 20), 12000, 20000), array_reverse(self::star(mt_rand(3, 12), 1000, 6000))];
            }
            $all = [...$ring, ...$hole];
            $speeds = array_map(static fn (): float => $seed % 3 === 0 ? mt_rand(5, 30) / 10 : 1.5, $all);
            $found = Skeleton::of($hole === [] ? [$ring] : [$ring, $hole], $speeds);
            $areas = array_map(static fn (int $i): float => self::area($found, $i), array_keys($found->faces));
            self::assertEqualsWithDelta(self::shoelace($ring) + self::shoelace($hole), array_sum($areas), 1.0, "seed $seed");
            self::assertGreaterThan(-1.0, min($areas), "seed $seed");
            self::assertHeights($ring, $speeds, $found, $hole, "seed $seed");
            $tried++;
        }
        self::assertSame(1500, $tried);
    }

    public function test_gables_may_leave_no_roof_and_that_is_said(): void
    {
        $ring = [[0.0, 0.0], [9000.0, 0.0], [9000.0, 6000.0], [0.0, 6000.0]];
        try {
            Skeleton::of([$ring], [0.0, 0.0, 0.0, 0.0]);
            self::fail('Nothing moves.');
        } catch (InvalidPath $why) {
            self::assertSame('path.never_meets', $why->reason);
        }
        $this->expectException(InvalidPath::class);
        Skeleton::of([[[0.0, 0.0], [4000.0, 0.0], [9000.0, 0.0], [9000.0, 6000.0], [0.0, 6000.0]]], [1.0, 2.0, 1.0, 1.0, 1.0]);
    }

    /**
     * @param  list<array{float, float}>  $ring
     * @param  list<float>  $speeds
     * @param  list<array{float, float}>  $hole
     */
    private static function assertHeights(array $ring, array $speeds, Skeleton $found, array $hole = [], string $which = ''): void
    {
        $all = [...$ring, ...$hole];
        foreach ($found->faces as $i => $face) {
            $next = $i < count($ring) ? ($i + 1) % count($ring) : ($i + 1 < count($all) ? $i + 1 : count($ring));
            [[$ax, $ay], [$bx, $by]] = [$all[$i], $all[$next]];
            $length = hypot($bx - $ax, $by - $ay);
            foreach ($face as $node) {
                [$x, $y, $when] = $found->nodes[$node];
                $inward = (($bx - $ax) * ($y - $ay) - ($by - $ay) * ($x - $ax)) / $length;
                self::assertEqualsWithDelta($speeds[$i] * $when, $inward, 1e-3, "$which, side $i");
            }
        }
    }

    private static function area(Skeleton $found, int $face): float
    {
        return self::shoelace(array_map(static fn (int $i): array => [$found->nodes[$i][0], $found->nodes[$i][1]], $found->faces[$face]));
    }

    /** @param  list<array{float, float}>  $ring */
    private static function shoelace(array $ring): float
    {
        $sum = 0.0;
        foreach ($ring as $i => [$x, $y]) {
            [$bx, $by] = $ring[($i + 1) % count($ring)];
            $sum += $x * $by - $y * $bx;
        }

        return $sum / 2;
    }

    /** @return list<array{float, float}> corners round a middle, at any distances */
    private static function star(int $n, int $least, int $most): array
    {
        $ring = [];
        for ($i = 0; $i < $n; $i++) {
            [$angle, $far] = [2 * M_PI * ($i + mt_rand(-30, 30) / 100) / $n, mt_rand($least, $most)];
            $ring[] = [$far * cos($angle), $far * sin($angle)];
        }

        return $ring;
    }

    /** @return list<array{float, float}> right angles only, on a grid: much of it comes together at one time */
    private static function steps(int $n, float $grid): array
    {
        $over = $under = [];
        for ($i = 0, $x = 0.0; $i < $n; $i++, $x = $to) {
            [$to, $high, $low] = [$x + mt_rand(1, 4) * $grid, mt_rand(1, 6) * $grid, -mt_rand(0, 5) * $grid];
            array_push($over, [$x, $high], [$to, $high]);
            array_push($under, [$x, $low], [$to, $low]);
        }
        $ring = [...$under, ...array_reverse($over)];
        do {
            $n = count($ring);
            foreach ($ring as $i => [$x, $y]) {
                [[$ax, $ay], [$bx, $by]] = [$ring[($i + $n - 1) % $n], $ring[($i + 1) % $n]];
                if (($x - $ax) * ($by - $y) - ($y - $ay) * ($bx - $x) === 0.0) {
                    array_splice($ring, $i, 1);
                    break;
                }
            }
        } while (count($ring) < $n);

        return $ring;
    }
}
