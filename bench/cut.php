<?php

declare(strict_types=1);

/* Our cutting and meshing of a wall 40 m × 14 m × 300. Prints the median of several runs, ms. */

require __DIR__.'/../vendor/autoload.php';

use Isleward\Core\Building\Body;
use Isleward\Core\Building\End;
use Isleward\Core\Building\Mesher;
use Isleward\Core\Building\Surface;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;

$wall = Wall::from(
    new Fields([
        'id' => 'wa-1',
        'outline' => 'ou-1',
        'position' => 0,
        'fromX' => 0,
        'fromY' => 0,
        'toX' => 40000,
        'toY' => 0,
        'rise' => 0,
        'thickness' => 300,
        'base' => 'st-1',
        'top' => 'st-1',
    ]),
);
$body = new Body($wall, new Surface(new Vec2(0, 0), new Vec2(1, 0)), 40000, 0, 14000, End::square(0), End::square(40000));

$out = [];
foreach ([100, 1000, 4000] as $count) {
    $columns = (int) ceil(sqrt($count * 40 / 14));
    $rows = (int) ceil($count / $columns);
    $pw = 40000 / $columns;
    $ph = 14000 / $rows;
    $holes = [];
    for ($i = 0; $i < $count; $i++) {
        $x = ($i % $columns) * $pw + $pw * 0.2;
        $y = intdiv($i, $columns) * $ph + $ph * 0.2;
        $holes[] = [$x, $y, $x + $pw * 0.6, $y, $x + $pw * 0.6, $y + $ph * 0.6, $x, $y + $ph * 0.6];
    }
    $times = [];
    for ($run = 0; $run < 9; $run++) {
        $start = hrtime(true);
        $mesh = Mesher::mesh($body, $holes);
        $times[] = (hrtime(true) - $start) / 1e6;
        if (abs($mesh->volume() / (300 * (40000 * 14000 - $count * $pw * $ph * 0.36)) - 1) > 1e-9) {
            throw new LogicException('The volume is wrong.');
        }
    }
    sort($times);
    $out[$count] = $times[4];
}
echo json_encode($out), "\n";
