<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

/** Cuts rings that bulge nowhere inward by lines. */
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
}
