<?php

declare(strict_types=1);

/*
 * A tower of curtain wall: four sides of 30 m, modules of 1.2 m, two rows a storey, 40 storeys: 8 000 cells. Solving it with its members,
 * infills, what stands at its corners and its schedules, against writing the same members out as plain arrays; the same of 10 storeys; and
 * packing 20 000 pieces against 2 000. Prints ms, medians.
 */

require __DIR__.'/../vendor/autoload.php';

use Isleward\Core\CurtainWall\Corner;
use Isleward\Core\CurtainWall\CutPiece;
use Isleward\Core\CurtainWall\CuttingList;
use Isleward\Core\CurtainWall\GridRules;
use Isleward\Core\CurtainWall\MemberProfile;
use Isleward\Core\CurtainWall\PathStretch;
use Isleward\Core\CurtainWall\Run;
use Isleward\Core\CurtainWall\RunPath;
use Isleward\Core\CurtainWall\RunTakeOff;
use Isleward\Core\CurtainWall\Stock;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;

$box = ['shape' => 'rectangle', 'face' => 50.0, 'depth' => 150.0, 'setback' => 30.0, 'capWidth' => 50.0, 'capDepth' => 20.0];
$rules = GridRules::from(new Fields([
    'bays' => ['by' => 'module', 'size' => 1200.0],
    'rows' => ['by' => 'sizes', 'sizes' => [900.0], 'after' => 'rest', 'perStorey' => true],
    'profiles' => array_fill_keys(['mullion', 'left', 'right', 'head', 'foot', 'transom'], $box),
    'infills' => [
        ['where' => 'everywhere', 'infill' => ['kind' => 'vision', 'layers' => [6.0, 16.0, 6.0]]],
        ['where' => 'band', 'below' => 0.0, 'above' => 900.0, 'infill' => ['kind' => 'spandrel', 'layers' => [8.0]]],
    ],
]));
$at = [new Vec2(0, 0), new Vec2(30000, 0), new Vec2(30000, 30000), new Vec2(0, 30000), new Vec2(0, 0)];
$stretches = array_map(static fn (int $i): PathStretch => new PathStretch(Curve::line($at[$i], $at[$i + 1])), [0, 1, 2, 3]);
$path = RunPath::of($stretches, array_fill(0, 4, Corner::post(MemberProfile::from(new Fields(['face' => 150.0] + $box)))));

$solve = static function (int $storeys) use ($rules, $path): array {
    $run = Run::along($path, $rules, 0.0, 3600.0 * $storeys, array_map(static fn (int $i): float => 3600.0 * $i, range(0, $storeys)));

    return [$run, RunTakeOff::members([$run]), RunTakeOff::infills([$run], $rules->cover)];
};
/** Each of several, in turn, so that the machine is equally fast for all; ms, medians. */
$inTurn = static function (int $times, Closure ...$works): array {
    $took = [];
    for ($i = 0; $i < $times; $i++) {
        foreach ($works as $name => $work) {
            $start = hrtime(true);
            $work();
            $took[$name][] = (hrtime(true) - $start) / 1e6;
        }
    }

    return array_map(static function (array $ms): float {
        sort($ms);

        return $ms[intdiv(count($ms), 2)];
    }, $took);
};
$solve(4); // warm
[$run] = $solve(40);
$members = $run->members();
$volumes = array_map(static fn ($m): float => $m->volume(), $members);
// the same members as plain arrays, with the corners of each: what is written down of them at the least
$plain = static function () use ($members, $volumes): int {
    $out = [];
    foreach ($members as $i => $m) {
        $out[] = [
            'what' => $m->what, 'profile' => $m->profile->toArray(), 'length' => $m->length, 'ends' => $m->ends, 'radius' => $m->radius,
            'volume' => $volumes[$i],
        ];
    }

    return strlen(json_encode($out, JSON_THROW_ON_ERROR));
};
$plain();
mt_srand(3);
$pieces = static fn (int $count): array => array_map(
    static fn (int $i): CutPiece => new CutPiece("P$i", mt_rand(3000, 60000) / 10, 1),
    range(1, $count),
);
[$few, $many] = [$pieces(2000), $pieces(20000)];
$stock = Stock::of(4.0, 10.0, 6500.0);
CuttingList::pack($few, $stock);
echo json_encode([
    'cells' => array_sum(array_map(static fn ($s): int => count($s->grid()->cells), $run->stretches)),
    'members' => count($members),
    ...$inTurn(9, solve40: static fn () => $solve(40), solve10: static fn () => $solve(10), arrays: $plain),
    ...$inTurn(
        9,
        pack2000: static fn () => CuttingList::pack($few, $stock),
        pack20000: static fn () => CuttingList::pack($many, $stock),
    ),
]), "\n";
