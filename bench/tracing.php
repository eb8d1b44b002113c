<?php

declare(strict_types=1);

/*
 * Frames a second over a tracing of 50 000 lines in plan, in headless Chromium at 1280 × 800 without OpenGL: while the pointer catches on
 * it (a section line is being drawn; a pointer event an animation frame), and while the plan is panned over it. Three seconds each.
 * Arguments: the server's address and a project's name.
 */

require __DIR__.'/../vendor/autoload.php';

use Facebook\WebDriver\WebDriverKeys as Keys;
use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Desk;

/** @var list<string> $argv */
[, $address, $name] = $argv;
mt_srand(5);
$paths = '';
for ($i = 0; $i < 50000; $i++) { // rooms' worth of short lines, square and slanting, all over the sheet
    [$x, $y, $l] = [mt_rand(0, 8000) / 10, mt_rand(0, 6000) / 10, mt_rand(5, 90) / 10];
    $paths .= match ($i % 3) {
        0 => "M$x {$y}h$l", 1 => "M$x {$y}v$l", default => sprintf('M%s %sl%s %s', $x, $y, $l / 2, $l / 3)
    };
}
file_put_contents(
    $svg = sys_get_temp_dir().'/tracing-bench.svg',
    "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"800\" height=\"600\"><path d=\"$paths\"/></svg>",
);
$desk = new Desk(Chrome::open(softwareGl: false), $address);
$desk->signIn('bench@skerrow.example');
$desk->openProject($name);
$desk->keys('j');
$desk->file('.png,.jpg,.jpeg,.svg,.pdf', $svg);
$desk->waitForText('50000 lines');
$desk->button('Enlarge the plan')->click();
sleep(6);
$desk->keys('s');
$desk->waitFor('[data-pointing]');
$measure = (require __DIR__.'/frames.php')($desk);
$catching = $measure('plan', "send('pointermove', 260 * Math.sin(t / 500), 180 * Math.cos(t / 310));");
$caught = $desk->count('[data-pane=plan] svg g text');
$panning = $measure('plan', "if (frames === 1) send('pointerdown', 0, 0); send('pointermove', 5 + 160 * Math.sin(t / 300), 20);");
$desk->keys(Keys::ESCAPE);
$desk->driver->quit();
unlink($svg);
echo json_encode(['catching' => $catching, 'panning' => $panning, 'caught' => $caught > 0]), "\n";
