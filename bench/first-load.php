<?php

declare(strict_types=1);

/*
 * The first load on a slow line and a slow machine, in headless Chromium with nothing in its cache: 562.5 ms before each answer,
 * 1.6 Mbit/s × 0.9 down and 0.75 Mbit/s × 0.9 up (what browsers call "Fast 3G"; from memory), a processor four times slower. From the
 * address entered to the form for signing in; and to a project's drawing, and to the desk around it (header, rack, card). Medians of
 * five, in s.
 * Arguments: the server's address, a project's name, and whose it is.
 */

require __DIR__.'/../vendor/autoload.php';

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Desk;

/** @var list<string> $argv */
[, $address, $name] = $argv;
$email = $argv[3] ?? 'bench@skerrow.example';
['median' => $median] = require __DIR__.'/client.php';
$desk = new Desk(Chrome::open(softwareGl: false), $address);
$tools = new ChromeDevToolsDriver($desk->driver);
$tools->execute('Network.enable');
// when each first stood in the page, in ms from the address entered
$tools->execute('Page.addScriptToEvaluateOnNewDocument', ['source' => <<<'JS'
    const looked = {
        signIn: 'input[type=email]', header: 'header [aria-label^="Undo: "], header [aria-label="Nothing to undo"]',
        rack: '[aria-label="Unit types"] [aria-label]', card: '[data-card]',
    };
    window.stood = {};
    const look = () => {
        for (const [name, at] of Object.entries(looked)) {
            if (!(name in window.stood) && document.querySelector(at)) window.stood[name] = performance.now();
        }
        requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
    JS]);
$slow = static function () use ($tools): void {
    $tools->execute('Network.clearBrowserCache');
    $tools->execute('Network.emulateNetworkConditions', [
        'offline' => false, 'latency' => 562.5, 'downloadThroughput' => 1.6e6 / 8 * 0.9, 'uploadThroughput' => 0.75e6 / 8 * 0.9,
    ]);
    $tools->execute('Emulation.setCPUThrottlingRate', ['rate' => 4]);
};
$quick = static function () use ($tools): void {
    $tools->execute('Emulation.setCPUThrottlingRate', ['rate' => 1]);
    $tools->execute('Network.emulateNetworkConditions', [
        'offline' => false, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1,
    ]);
};
/** @return array{stood: array<string, float>, bytes: int, files: list<string>} */
$load = static function (string $at, string $until) use ($desk, $slow, $quick): array {
    $desk->driver->get('about:blank');
    $slow();
    $desk->driver->get($at);
    $deadline = microtime(true) + 40;
    do {
        usleep(400_000); // looking takes its time from it
        $stood = (array) $desk->driver->executeScript(
            'const drawn = performance.getEntriesByName("first frontage drawn")[0];'
            .' return drawn ? { ...window.stood, drawn: drawn.startTime } : window.stood;',
        );
    } while (array_diff(explode(' ', $until), array_keys($stood)) !== [] && microtime(true) < $deadline);
    $files = (array) $desk->driver->executeScript(
        'return [...performance.getEntriesByType("navigation"), ...performance.getEntriesByType("resource")].map((e) =>'
        .' `${e.name.replace(location.origin, "")} ${Math.round(e.startTime)}–${Math.round(e.responseEnd)} ${e.transferSize}`);',
    );
    $quick();

    return ['stood' => $stood, 'files' => $files];
};
$signIn = $drawn = $whole = [];
$files = [];
for ($i = 0; $i < 5; $i++) {
    $signIn[] = $load($address, 'signIn')['stood']['signIn'] / 1000;
}
$desk->signIn($email);
$desk->openProject($name);
$project = $desk->driver->getCurrentURL();
for ($i = 0; $i < 5; $i++) {
    $found = $load($project, 'drawn header rack card');
    $files = $found['files'];
    $drawn[] = $found['stood']['drawn'] / 1000;
    $whole[] = max($found['stood']) / 1000;
}
$desk->driver->quit();
echo json_encode([
    'sign_in' => $median($signIn), 'drawn' => $median($drawn), 'desk' => $median($whole), 'stood' => $found['stood'],
    ...(getenv('FILES') === '1' ? ['files' => $files] : []),
], JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | (getenv('FILES') === '1' ? JSON_PRETTY_PRINT : 0)), "\n";
