<?php

declare(strict_types=1);

/*
 * Frames a second while the elevation is panned and while it is zoomed, in headless Chromium at 1280 × 800, without
 * OpenGL (this machine has no graphics card, and compositing through software OpenGL alone takes it 150 ms a frame): every animation frame
 * sends one pointer event (a drag with the middle button, which pans wherever it starts) or wheel event; frames are counted over three
 * seconds each, and the
 * lower of the two is printed. Arguments: the server's address and a project's name.
 */

require __DIR__.'/../vendor/autoload.php';

use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Desk;

/** @var list<string> $argv */
[, $address, $name] = $argv;
$desk = new Desk(Chrome::open(softwareGl: false), $address);
$desk->signIn('bench@skerrow.example');
$desk->openProject($name);
$desk->waitUntil(static fn (): bool => ! str_contains($desk->text(), 'Building'), 'the model');
$desk->keys(Facebook\WebDriver\WebDriverKeys::HOME);
// until everything, the model too, has been fetched and drawn: nothing more for four seconds
(require __DIR__.'/settled.php')($desk);
sleep(4);
$measure = (require __DIR__.'/frames.php')($desk);
$pan = $measure(
    'elevation',
    "if (frames === 1) send('pointerdown', 0, 0); send('pointermove', 5 + 200 * Math.sin(t / 300), 40 * Math.sin(t / 300));",
);
$zoom = $measure(
    'elevation',
    "pane.dispatchEvent(new WheelEvent('wheel', { deltaY: Math.sin(t / 400) * 60, clientX: x, clientY: y, bubbles: true, cancelable: true }));",
);
$desk->driver->quit();
echo json_encode(['pan' => $pan, 'zoom' => $zoom]), "\n";
