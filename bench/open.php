<?php

declare(strict_types=1);

/*
 * From when the desk begins to ask for its project to its first frontage drawn, in headless Chromium, against fetching as many
 * bytes as that frontage's drawing
 * from the same server in the same page; in turn, medians of seven. What comes before (the page and its scripts, from the
 * browser's cache) is the same for a project of any size.
 * Arguments: the server's address and a project's name. Prints both in ms, and the bytes.
 */

require __DIR__.'/../vendor/autoload.php';

use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Desk;

/** @var list<string> $argv */
[, $address, $name] = $argv;
['median' => $median] = require __DIR__.'/client.php';
$desk = new Desk(Chrome::open(softwareGl: false), $address);
$desk->signIn('bench@skerrow.example');
$desk->openProject($name);
$opened = $sent = $bytes = [];
for ($i = 0; $i < 8; $i++) {
    $desk->driver->navigate()->refresh();
    usleep(1_500_000); // looking meanwhile would take its time from it
    /** @var array{at: float, bytes: int} $first */
    $first = $desk->driver->executeAsyncScript(<<<'JS'
        const done = arguments[0];
        const look = () => {
            const shown = performance.getEntriesByName('first frontage drawn')[0];
            if (!shown) return setTimeout(look, 20);
            const drawing = performance.getEntriesByType('resource')
                .filter((e) => e.name.includes('/elevations/')).sort((a, b) => a.responseEnd - b.responseEnd)[0];
            const asked = performance.getEntriesByType('resource').find((e) => /\/api\/projects\/[^/]+$/.test(e.name));
            done({ at: shown.startTime - asked.startTime, bytes: drawing.decodedBodySize });
        };
        look();
        JS);
    // until all the other frontages have come too, so that nothing else is fetched beside it
    for ($still = 0, $seen = -1; $still < 3; $still = $now === $seen ? $still + 1 : 0, $seen = $now) {
        usleep(700_000);
        $now = (int) $desk->driver->executeScript(
            'return performance.getEntriesByType("resource").filter((e) => !e.name.includes("presence")).length',
        );
    }
    $fetched = $desk->driver->executeAsyncScript(<<<'JS'
        const [bytes, done] = arguments;
        const began = performance.now();
        const project = location.pathname.replace('/projects', '/api/projects');
        fetch(`${project}/bare-bytes?count=${bytes}`, { headers: { Accept: 'application/json' } })
            .then((answer) => answer.text()).then((text) => done({ ms: performance.now() - began, bytes: text.length }));
        JS, [$first['bytes']]);
    $opened[] = (float) $first['at'];
    $sent[] = (float) $fetched['ms'];
    $bytes[] = (int) $fetched['bytes'];
}
$desk->driver->quit();
echo json_encode([
    'open' => $median(array_slice($opened, 1)), 'bytes' => $median(array_slice($sent, 1)), 'size' => $median($bytes),
]), "\n";
