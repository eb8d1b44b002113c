<?php

declare(strict_types=1);

/*
 * Fins under laws: 12 bands of 834 round a rounded rectangle of 24 × 14 m, a storey each: 10 008. Solving them against writing as many
 * plain arrays, in turn. Then as a project: what a dragged figure of the law of a band of 1 000 would make (tried), against a bare
 * authenticated read on the same server, in turn; and in headless Chromium frames a second of the elevation panned, and of the solid
 * turned, with its draw calls. Argument: the server's address. Prints ms, medians.
 */

require __DIR__.'/../vendor/autoload.php';

use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\Fins;
use Isleward\Core\Tests\Support\House;
use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Desk;

/** @var list<string> $argv */
[, $address] = $argv;
['call' => $call, 'median' => $median] = require __DIR__.'/client.php';
const COUNT = 834;

/** @return array<string, mixed> what every band is */
$band = static fn (string $storey, int $i): array => [
    'storey' => $storey, 'gap' => 200, 'laws' => [
        'thickness' => 24, 'length' => 3000,
        'reach' => ['kind' => 'wave', 'from' => 200, 'to' => 700, 'waves' => 2 + $i % 3, 'phase' => 8 * $i],
        'turn' => ['kind' => 'drawn', 'points' => [[0, -20], [0.4, 25], [1, -20]]],
    ],
    'rectangle' => ['width' => 24000, 'depth' => 14000, 'radius' => 3000], 'spaced' => ['by' => 'count', 'count' => COUNT],
];
$house = House::box(24000, 14000, heights: array_fill(0, 12, 3600));
for ($i = 0; $i < 12; $i++) {
    $house->do('band.add', $band($house->storey($i), $i));
}
$design = $house->design;
$bands = Bands::in($design)->all();
$solved = array_map(static fn ($b): Fins => Fins::of($design, $b), $bands);
$plain = static function () use ($solved): int {
    $out = [];
    foreach ($solved as $f) {
        foreach ($f->n as $i => $n) {
            $out[] = [
                'n' => $n, 's' => $f->s[$i], 'x' => $f->x[$i], 'y' => $f->y[$i], 'angle' => $f->angle[$i], 'reach' => $f->reach[$i],
                'thickness' => $f->thickness[$i], 'length' => $f->length[$i], 'turn' => $f->turn[$i], 'lean' => $f->lean[$i],
            ];
        }
    }

    return strlen(json_encode($out, JSON_THROW_ON_ERROR));
};
$took = ['solve' => [], 'arrays' => []];
for ($i = 0; $i < 25; $i++) {
    $start = hrtime(true);
    foreach ($bands as $b) {
        Fins::of($design, $b);
    }
    $took['solve'][] = (hrtime(true) - $start) / 1e6;
    $start = hrtime(true);
    $plain();
    $took['arrays'][] = (hrtime(true) - $start) / 1e6;
}

$call = $call($address);
$name = 'Bench fins';
$id = $call('POST', '/api/projects', [
    'name' => $name, 'units' => 'mm', 'key' => 'benchFins.1',
    'storeys' => array_map(static fn (int $i): array => ['name' => "S$i", 'height' => 3600], range(1, 12)),
    'rectangle' => ['width' => 24000, 'depth' => 14000, 'thickness' => 300],
])[1]['id'];
$view = $call('GET', "/api/projects/$id")[1];
$do = static function (string $edit, array $args) use ($call, $id): array {
    $base = $call('GET', "/api/projects/$id")[1]['number'];

    return $call('POST', "/api/projects/$id/edits", ['edit' => $edit, 'args' => $args, 'base' => $base])[1];
};
foreach ($view['storeys'] as $i => $storey) {
    $args = array_diff_key($band($storey['id'], $i), ['rectangle' => 1]) + ['outline' => $view['outlines'][0]['id']];
    $first ??= $do('band.add', ['spaced' => ['by' => 'count', 'count' => 1000]] + $args)['chosen'][0];
    if ($i > 0) {
        $do('band.add', $args);
    }
}
$tries = $reads = [];
for ($i = 0; $i < 60; $i++) {
    $tries[] = $call('POST', "/api/projects/$id/edits?try=1", ['edit' => 'band.draw', 'base' => 0, 'args' => [
        'id' => $first, 'of' => 'reach', 'handle' => 'crest 0', 'at' => 0.1 + $i / 1000, 'value' => 700 + $i,
    ]])[0];
    $reads[] = $call('GET', "/api/projects/$id/bare-read")[0];
}
$desk = new Desk(Chrome::open(softwareGl: false), $address);
$desk->signIn('bench@skerrow.example');
$desk->openProject($name);
(require __DIR__.'/settled.php')($desk);
$desk->keys(Facebook\WebDriver\WebDriverKeys::HOME);
sleep(3);
$frames = (require __DIR__.'/frames.php')($desk);
$fps = $frames(
    'elevation',
    "if (frames === 1) send('pointerdown', 0, 0); send('pointermove', 5 + 200 * Math.sin(t / 300), 40 * Math.sin(t / 300));",
);
$desk->driver->takeScreenshot(dirname(__DIR__).'/var/bench-fins.png');
$desk->driver->quit();
$desk = new Desk(Chrome::open(), $address);
$desk->signIn('bench@skerrow.example');
$desk->openProject($name);
$desk->waitFor('[data-pane=solid] canvas[data-calls]');
sleep(8);
$turning = (require __DIR__.'/frames.php')($desk)('solid', <<<'JS'
    const canvas = pane.querySelector('canvas');
    const on = (type, dx) => canvas.dispatchEvent(new PointerEvent(type, {
        pointerId: 1, bubbles: true, button: 0, clientX: x + dx, clientY: y, pointerType: 'mouse',
    }));
    canvas.setPointerCapture = () => {};
    if (frames === 1) on('pointerdown', 0);
    on('pointermove', 120 * Math.sin(t / 400));
    JS);
$calls = (int) $desk->driver->executeScript('return document.querySelector("[data-pane=solid] canvas").dataset.calls');
$desk->driver->quit();
echo json_encode([
    'count' => array_sum(array_map(static fn (Fins $f): int => $f->count(), $solved)), 'solve' => $median($took['solve']),
    'arrays' => $median($took['arrays']), 'try' => $median(array_slice($tries, 12)), 'read' => $median(array_slice($reads, 12)),
    'fps' => $fps, 'calls' => $calls, 'turning' => $turning,
]), "\n";
