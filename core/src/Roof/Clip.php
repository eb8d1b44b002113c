<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

/** Cuts rings and stretches. */
final class Clip
{
    /**
     * What of a ring lies where something that grows evenly is more than nothing.
     *
     * @param  list<float>  $ring
     * @param  \Closure(float, float): float  $in
     * @return list<float>
     */
    public static function ring(array $ring, \Closure $in): array
    {
        $out = [];
        for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
            [$ax, $ay, $bx, $by] = [$ring[$i], $ring[$i + 1], $ring[($i + 2) % $n], $ring[($i + 3) % $n]];
            [$a, $b] = [$in($ax, $ay), $in($bx, $by)];
            if ($a >= 0.0) {
                array_push($out, $ax, $ay);
            }
            if ($a >= 0.0 !== $b >= 0.0) {
                $share = $a / ($a - $b);
                array_push($out, $ax + ($bx - $ax) * $share, $ay + ($by - $ay) * $share);
            }
        }

        return count($out) < 6 ? [] : $out;
    }

    /**
     * What of a stretch lies outside of rings, of which holes run the other way round: shares of it, from and to.
     *
     * @param  list<list<float>>  $rings
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return list<array{float, float}>
     */
    public static function outside(array $rings, array $from, array $to): array
    {
        [$dx, $dy] = [$to[0] - $from[0], $to[1] - $from[1]];
        $length = hypot($dx, $dy);
        if ($length < 1e-6) {
            return [];
        }
        $cuts = [0.0, 1.0];
        foreach ($rings as $ring) {
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                [$ax, $ay] = [$ring[$i] - $from[0], $ring[$i + 1] - $from[1]];
                [$bx, $by] = [$ring[($i + 2) % $n] - $from[0], $ring[($i + 3) % $n] - $from[1]];
                // how far both ends lie off the line
                [$a, $b] = [($dx * $ay - $dy * $ax) / $length, ($dx * $by - $dy * $bx) / $length];
                if (($a > 0.0) !== ($b > 0.0)) {
                    $share = $a / ($a - $b);
                    $cuts[] = (($ax + ($bx - $ax) * $share) * $dx + ($ay + ($by - $ay) * $share) * $dy) / ($length * $length);
                }
            }
        }
        $cuts = array_filter($cuts, static fn (float $share): bool => $share >= 0.0 && $share <= 1.0);
        sort($cuts);
        $out = [];
        for ($i = 1, $n = count($cuts); $i < $n; $i++) {
            if (($cuts[$i] - $cuts[$i - 1]) * $length < 0.01) {
                continue;
            }
            $middle = ($cuts[$i] + $cuts[$i - 1]) / 2;
            $within = false;
            foreach ($rings as $ring) {
                $within = $within !== Rooflights::isWithin($ring, $from[0] + $dx * $middle, $from[1] + $dy * $middle);
            }
            if (! $within) {
                $last = count($out) - 1;
                if ($last >= 0 && $cuts[$i - 1] - $out[$last][1] < 1e-9) {
                    $out[$last] = [$out[$last][0], $cuts[$i]];
                } else {
                    $out[] = [$cuts[$i - 1], $cuts[$i]];
                }
            }
        }

        return $out;
    }
}
