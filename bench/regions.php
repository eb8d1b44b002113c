<?php

declare(strict_types=1);

/*
 * A screen of 60 × 40 m with 100 cut-outs against one with 1 000: rectangles, slots and round ones on a grid, one in twenty over its
 * neighbour; worked out as it stands before its wall. Prints ms, medians of runs in turn.
 */

require __DIR__.'/../vendor/autoload.php';

use Isleward\Core\Layer\Screen;
use Isleward\Core\Layer\Screens;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Tests\Support\House;

$house = House::box(60000, 20000, 300, array_fill(0, 10, 4000));
$id = $house->do('screen.add', [
    'walls' => [$house->wall()->id], 'storey' => $house->storey(0), 'gap' => 200, 'thick' => 20, 'height' => 40000,
])->chosen[0];
$plain = Screens::screen($house->design, $id)->toArray();
$of = static function (int $count) use ($plain, $house): Screen {
    $parts = $plain['parts'];
    $columns = (int) round(sqrt($count * 1.5));
    for ($i = 0; $i < $count; $i++) {
        [$u, $v] = [400 + ($i % $columns) * 59000 / $columns, 400 + intdiv($i, $columns) * 39000 / ceil($count / $columns)];
        $wide = $i % 20 === 7 ? 59000 / $columns : 35000 / $columns;
        $parts[] = ['n' => $i + 2, 'cut' => true, 'wall' => $house->wall()->id, 'shape' => $i % 3 === 2
            ? ['form' => 'round', 'u' => $u, 'v' => $v, 'width' => 35000 / $columns]
            : ['form' => 'rectangle', 'u' => $u, 'v' => $v, 'width' => $wide, 'height' => 400, 'radius' => $i % 3 === 1 ? 200 : 0]];
    }

    return Screen::from(new Fields(['parts' => $parts] + $plain));
};
$took = [];
foreach (range(1, 9) as $round) {
    foreach ([100, 1000] as $count) {
        $screen = $of($count);
        $design = $house->design->after(new Isleward\Core\Design\Change('', [
            Isleward\Core\Design\Operation::alter(Screens::screen($house->design, $id), $screen),
        ]));
        $began = hrtime(true);
        $area = Screens::in($design)->of($screen)->area();
        $took[$count][] = (hrtime(true) - $began) / 1e6;
    }
}
$median = static function (array $times): float {
    sort($times);

    return $times[intdiv(count($times), 2)];
};
echo json_encode(['100' => $median($took[100]), '1000' => $median($took[1000]), 'area' => $area]), "\n";
