<?php

declare(strict_types=1);

namespace Tests\Peers;

use Isleward\Core\Geometry\Skeleton;

/** Straight skeletons of one speed against the npm package “straight-skeleton”: every place where sides meet, to 0.1 mm. */
final class SkeletonTest extends PeerCase
{
    public function test_sides_meet_where_another_library_finds_it(): void
    {
        mt_srand(20261128);
        $polygons = $ours = [];
        for ($case = 0; $case < 300; $case++) {
            $rings = [self::star(mt_rand(4, 40), $case % 5 === 0 ? 9000 : 3000, 20000)];
            if ($case % 5 === 0) {
                $rings[] = array_reverse(self::star(mt_rand(3, 10), 1500, 6000));
            }
            $found = Skeleton::of($rings, array_fill(0, count(array_merge(...$rings)), 1.0));
            $ours[] = array_values(array_filter($found->nodes, static fn (array $n): bool => $n[2] > 0.0));
            $polygons[] = $rings;
        }
        $compared = 0;
        foreach (self::ask('skeleton.mjs', $polygons) as $i => $theirs) {
            self::assertIsArray($theirs, "case $i");
            foreach ([[$ours[$i], $theirs], [$theirs, $ours[$i]]] as [$some, $others]) {
                foreach ($some as [$x, $y, $when]) {
                    $off = min(array_map(
                        static fn (array $o): float => max(abs($o[0] - $x), abs($o[1] - $y), abs($o[2] - $when)),
                        $others,
                    ));
                    self::assertLessThan(0.1, $off, sprintf('case %d at %.2f, %.2f', $i, $x, $y));
                    $compared++;
                }
            }
        }
        self::assertGreaterThan(6000, $compared);
    }

    /** @return list<array{float, float}> */
    private static function star(int $n, int $least, int $most): array
    {
        $ring = [];
        for ($i = 0; $i < $n; $i++) {
            [$angle, $far] = [2 * M_PI * ($i + mt_rand(-30, 30) / 100) / $n, mt_rand($least, $most)];
            $ring[] = [round($far * cos($angle), 3), round($far * sin($angle), 3)];
        }

        return $ring;
    }
}
