<?php

declare(strict_types=1);

/*
 * A tower of curtain wall as a project: four sides of 30 m, modules of 1.2 m, two rows a storey, 40 storeys: 8 000 cells. Moving one of its
 * lines over HTTP, against a bare authenticated Eloquent write on the same server, the two in turn; the size of its model as GLB for each
 * cell; and frames a second of its elevation in headless Chromium, all four sides in view, panned as fps.php does. Argument: the server's
 * address.
 */

require __DIR__.'/../vendor/autoload.php';

use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Desk;

/** @var list<string> $argv */
[, $address] = $argv;
['call' => $call, 'project' => $project, 'median' => $median] = require __DIR__.'/client.php';
$call = $call($address);
$name = 'Bench tower';
[$id, $do] = $project(
    $call, $name, 'benchTower.1', array_map(static fn (int $i): array => ['name' => "S$i", 'height' => 3600], range(1, 40)),
);
$view = $call('GET', "/api/projects/$id")[1];
$box = ['shape' => 'rectangle', 'face' => 50, 'depth' => 150, 'setback' => 30, 'capWidth' => 50, 'capDepth' => 20];
$grid = $do('grid.add', ['name' => 'tower', 'corner' => ['kind' => 'post', 'profile' => ['face' => 150] + $box], 'rules' => [
    'bays' => ['by' => 'module', 'size' => 1200],
    'rows' => ['by' => 'sizes', 'sizes' => [900], 'after' => 'rest', 'perStorey' => true],
    'profiles' => array_fill_keys(['mullion', 'left', 'right', 'head', 'foot', 'transom'], $box),
    'infills' => [
        ['where' => 'everywhere', 'infill' => ['kind' => 'vision', 'layers' => [6, 16, 6]]],
        ['where' => 'storey-rows', 'numbers' => [1], 'infill' => ['kind' => 'spandrel', 'layers' => [8]]],
    ],
]])[1]['chosen'][0];
$walls = $do('outline.draw', [
    'rectangle' => ['width' => 30000, 'depth' => 30000], 'grid' => $grid,
    'base' => $view['storeys'][0]['id'], 'top' => $view['storeys'][39]['id'],
])[1]['chosen'];
$view = $call('GET', "/api/projects/$id")[1];
$cells = 0;
foreach ($view['frontages'] as $frontage) {
    foreach ($call('GET', "/api/projects/$id/elevations/{$frontage['id']}")[1]['grids'] as $one) {
        $cells += count($one['cells']);
    }
}
$edits = $bare = [];
for ($i = 0; $i < 60; $i++) {
    $edits[] = $do('curtain.hand', [
        'ids' => [$walls[0]],
        'lines' => [['axis' => 'upright', 'done' => 'moved', 'line' => '7', 'from' => 'before', 'at' => $i % 2 === 0 ? 1100 : 1150]],
    ])[0];
    $bare[] = $call('POST', "/api/projects/$id/bare-write", ['level' => 0])[0];
}
$desk = new Desk(Chrome::open(softwareGl: false), $address);
$desk->signIn('bench@skerrow.example');
$desk->openProject($name);
(require __DIR__.'/settled.php')($desk);
$desk->keys(Facebook\WebDriver\WebDriverKeys::HOME);
sleep(3);
$fps = (require __DIR__.'/frames.php')($desk)(
    'elevation',
    "if (frames === 1) send('pointerdown', 0, 0); send('pointermove', 5 + 200 * Math.sin(t / 300), 40 * Math.sin(t / 300));",
);
$desk->driver->takeScreenshot(dirname(__DIR__).'/var/bench-tower.png');
$desk->driver->quit();
echo json_encode([
    'id' => $id, 'cells' => $cells, 'edit' => $median(array_slice($edits, 12)), 'bare' => $median(array_slice($bare, 12)), 'fps' => $fps,
]), "\n";
