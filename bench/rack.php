<?php

declare(strict_types=1);

/*
 * Frames a second while a rack of 500 unit types is drawn from end to end and back over three seconds, beside those of the same
 * page at rest; and how many units stand in the page at once. As bench/fps.php, without OpenGL. Arguments: the server's address
 * and a project's name.
 */

require __DIR__.'/../vendor/autoload.php';

use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Desk;

/** @var list<string> $argv */
[, $address, $name] = $argv;
$desk = new Desk(Chrome::open(softwareGl: false), $address);
$desk->signIn('bench@skerrow.example');
$desk->openProject($name);
sleep(8); // until the model, too, has been drawn
$desk->driver->manage()->timeouts()->setScriptTimeout(60);
$measure = static fn (string $step): array => (array) $desk->driver->executeAsyncScript(<<<JS
    const done = arguments[0];
    const shelf = document.querySelector('[aria-label="Unit types"] .overflow-x-auto');
    const all = shelf.scrollWidth - shelf.clientWidth;
    let frames = 0, drawn = 0;
    const start = performance.now();
    const step = (now) => {
        frames++;
        const t = (now - start) / 3000;
        $step
        drawn = Math.max(drawn, shelf.querySelectorAll('button').length);
        if (t < 1) requestAnimationFrame(step);
        else done({ fps: frames / ((performance.now() - start) / 1000), drawn });
    };
    requestAnimationFrame(step);
    JS);
$still = $measure('');
$moved = $measure('shelf.scrollLeft = all * (t < 0.5 ? 2 * t : 2 - 2 * t);');
$desk->driver->quit();
echo json_encode(['still' => $still['fps'], 'fps' => $moved['fps'], 'drawn' => $moved['drawn']]), "\n";
