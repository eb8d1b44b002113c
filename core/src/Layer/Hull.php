<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

/** The smallest polygon that bulges all round and holds all of some points: Andrew's monotone chain (1979). */
final class Hull
{
    /**
     * @param  list<array{float, float}>  $points
     * @return list<float> x, y, x, y …, counter-clockwise; empty where they hold nothing
     */
    public static function of(array $points): array
    {
        usort($points, static fn (array $a, array $b): int => $a <=> $b);
        $lower = self::half($points);
        $upper = self::half(array_reverse($points));
        $ring = [...array_slice($lower, 0, -1), ...array_slice($upper, 0, -1)];

        return count($ring) < 3 ? [] : array_merge(...$ring);
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function half(array $points): array
    {
        $chain = [];
        $n = 0;
        foreach ($points as $p) {
            while ($n >= 2) {
                [$a, $b] = [$chain[$n - 2], $chain[$n - 1]];
                if (($b[0] - $a[0]) * ($p[1] - $a[1]) - ($b[1] - $a[1]) * ($p[0] - $a[0]) > 1e-9) {
                    break;
                }
                array_pop($chain);
                $n--;
            }
            $chain[] = $p;
            $n++;
        }

        return $chain;
    }

    /**
     * Where a prism between two rings is cut: the hull of where its edges pass through the plane.
     *
     * @param  list<array{float, float, float}>  $corners  of one end all round, then of the other
     * @param  \Closure(array{float, float, float}): float  $off  distance from the plane
     * @param  \Closure(array{float, float, float}): array{float, float}  $to  the plane's own coordinates
     * @return list<float>
     */
    public static function cut(array $corners, \Closure $off, \Closure $to): array
    {
        $n = intdiv(count($corners), 2);
        $d = array_map($off, $corners);
        $points = [];
        for ($i = 0; $i < $n; $i++) {
            $j = ($i + 1) % $n;
            foreach ([[$i, $i + $n], [$i, $j], [$i + $n, $j + $n]] as [$a, $b]) {
                if ($d[$a] >= 0 !== $d[$b] >= 0) {
                    $t = $d[$a] / ($d[$a] - $d[$b]);
                    [$p, $q] = [$corners[$a], $corners[$b]];
                    $points[] = $to([$p[0] + ($q[0] - $p[0]) * $t, $p[1] + ($q[1] - $p[1]) * $t, $p[2] + ($q[2] - $p[2]) * $t]);
                }
            }
        }

        return self::of($points);
    }
}
