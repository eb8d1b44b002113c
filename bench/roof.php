<?php

declare(strict_types=1);

/*
 * Roofs solved over outlines of 40, 100 and 400 corners round a middle, in turn; medians of seven outlines. Prints ms, and for
 * bench/roof.mjs the outlines of 100.
 */

require __DIR__.'/../vendor/autoload.php';

use Isleward\Core\Geometry\Skeleton;

/** @var list<string> $argv */
$star = static function (int $n): array {
    $ring = [];
    for ($i = 0; $i < $n; $i++) {
        [$angle, $far] = [2 * M_PI * ($i + mt_rand(-30, 30) / 100) / $n, mt_rand(8000, 20000)];
        $ring[] = [$far * cos($angle), $far * sin($angle)];
    }

    return $ring;
};
mt_srand(20261127);
$rings = [];
foreach ([40, 100, 400] as $n) {
    $rings[$n] = array_map(static fn (): array => $star($n), range(1, 7));
}
$took = [];
for ($round = 0; $round < 6; $round++) {
    foreach ($rings as $n => $all) {
        foreach ($all as $ring) {
            $start = hrtime(true);
            Skeleton::of([$ring], array_fill(0, $n, 1.0));
            if ($round > 1) {
                $took[$n][] = (hrtime(true) - $start) / 1e6;
            }
        }
    }
}
file_put_contents($argv[1], json_encode(array_map(static fn (array $ring): array => [$ring], $rings[100]), JSON_THROW_ON_ERROR));
echo json_encode(array_map(static function (array $times): float {
    sort($times);

    return $times[intdiv(count($times), 2)];
}, $took)), "\n";
