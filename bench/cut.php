<?php

declare(strict_types=1);

/* Our cutting and meshing of a wall 40 m × 14 m × 300. Prints the median of several runs, ms. */

require __DIR__.'/../vendor/autoload.php';

use Isleward\Core\Building\Body;
use Isleward\Core\Building\CurvedCut;
use Isleward\Core\Building\End;
use Isleward\Core\Building\Mesher;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Design\Jambs;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Upright;
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
$surface = Upright::over(Curve::line(new Vec2(0, 0), new Vec2(40000, 0)));
$body = new Body($wall, $surface, 40000, 0, 14000, End::square(0), End::square(40000));

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
    $thousand = $count === 1000 ? $holes : $thousand ?? [];
}

/* The same wall bent to a radius of 20 m, with a thousand openings that have parallel jambs, to the sagitta that is shown. */
$radius = 20000.0;
$arc = Upright::over(Curve::curved(0.0, 0.0, $radius, $radius, 0.0, 2.0));
$bent = new Body($wall, $arc, 40000, 0, 14000, End::square(0), End::square(40000));
$columns = 54;
[$pw, $ph] = [40000 / $columns, 14000 / 19];
$rule = ['from' => 'left', 'value' => 0, 'to' => 'near'];
$openings = [];
for ($i = 0; $i < 1000; $i++) {
    $opening = Opening::from(new Fields([
        'id' => "op-$i", 'host' => 'wa-1', 'storey' => 'st-1', 'width' => $pw * 0.6, 'height' => $ph * 0.6, 'position' => $rule,
        'sill' => ['from' => 'floor', 'height' => 0], 'setback' => 0,
    ]));
    $cut = CurvedCut::of($arc, Jambs::Parallel, $opening->width, 300.0, 0.0, 0.0);
    $openings[] = new PlacedOpening($opening, ($i % $columns + 0.2) * $pw, (intdiv($i, $columns) + 0.2) * $ph, null, $cut);
}
$strip = static fn (float $r): float => $r * $r * asin($pw * 0.3 / $r) + $pw * 0.3 * sqrt($r * $r - ($pw * 0.3) ** 2);
$exact = ($radius ** 2 - ($radius - 300) ** 2) * 14000 - 1000 * $ph * 0.6 * ($strip($radius) - $strip($radius - 300));
$times = $flat = [];
for ($run = 0; $run < 15; $run++) { // the flat one in turn with it, since the machine is not equally fast all the time
    $start = hrtime(true);
    Mesher::mesh($body, $thousand);
    $flat[] = (hrtime(true) - $start) / 1e6;
    $start = hrtime(true);
    $mesh = Mesher::wall($bent, $openings);
    $times[] = (hrtime(true) - $start) / 1e6;
    if (abs($mesh->volume() / $exact - 1) > 1e-4) {
        throw new LogicException('The volume of the curved wall is wrong.');
    }
}
sort($times);
sort($flat);
$out['curved'] = $times[7];
$out['flat'] = $flat[7];
echo json_encode($out), "\n";
