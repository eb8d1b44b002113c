<?php

declare(strict_types=1);

namespace Tests\Browser;

/** A project is started: storeys all alike or each its own, in feet and inches with a stock of such sizes; a tower fits in its solid. */
final class StartTest extends BrowserCase
{
    protected const SOLID = true;

    public function test_a_tower_of_twelve_storeys_in_feet_and_inches(): void
    {
        $home = $this->desk->driver->getCurrentURL();
        $this->desk->pressOn('a[aria-label="Isleward, to the projects"]');
        $this->desk->press('Start a project');
        $this->desk->waitForText('Floor to floor');
        $form = fn (string $label, string $text) => $this->desk->driver->executeScript(<<<'JS'
            const [label, text] = arguments;
            const named = [...document.querySelectorAll('[role=dialog] label')].find((l) => l.textContent.trim() === label);
            const field = document.querySelector(`[role=dialog] input[aria-label="${label}"]`) ?? document.getElementById(named.htmlFor);
            Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(field, text);
            field.dispatchEvent(new Event('input', { bubbles: true }));
            JS, [$label, $text]);
        $form('Name', 'Lantern tower');
        $this->pick('Units', 'feet and inches');
        $form('Storeys', '12');
        $form('Height of every storey', "10' 6\"");
        self::assertSame([], $this->axe());
        $this->desk->press('Start');
        $this->desk->ready();
        $this->desk->waitForText('Lantern tower');
        $project = $this->desk->driver->executeAsyncScript(
            'const done = arguments[0]; fetch(`/api${location.pathname}`).then((r) => r.json()).then(done);',
        );
        self::assertSame(12, count($project['storeys']));
        self::assertEqualsWithDelta([10.5 * 304.8], array_values(array_unique(array_column($project['storeys'], 'height'))), 1e-6);
        // doors of three feet by six feet eight are found by what they measure, windows by what others call them
        $this->desk->write('Find a unit', "3'-0\" 6'-8\"");
        $this->desk->waitFor('button[aria-label^="D-01"]');
        $this->desk->write('Find a unit', 'hopper');
        $this->desk->waitFor('button[aria-label^="W-17"]');
        // all of it lies within the pane of the solid
        $this->desk->driver->executeAsyncScript(<<<'JS'
            const [project, done] = arguments;
            const token = decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]);
            const [first, last] = [project.storeys[0].id, project.storeys.at(-1).id];
            const args = { points: [[0, 0], [16000, 0], [16000, 9000], [0, 9000]], thickness: 300, base: first, top: last,
                closed: true, outside: 'right', inner: false };
            fetch(`/api${location.pathname}/edits`, { method: 'POST',
                headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token },
                body: JSON.stringify({ edit: 'outline.draw', args, base: project.number }) }).then((r) => done(r.status));
            JS, [$project]);
        $this->desk->driver->navigate()->refresh();
        $this->desk->ready();
        $this->desk->pressOn('[aria-label="Enlarge the solid"]');
        $this->desk->waitUntil(fn (): bool => $this->drawnIn('[data-pane=solid] canvas')[0] > 0.1, 'the solid');
        self::assertEquals(0, $this->drawnIn('[data-pane=solid] canvas')[1], 'nothing of it runs over the edge');
        $this->desk->driver->get($home);
        $this->desk->ready();
    }

    /** @return array{float, float} the share of a canvas, and of a rim of 4 px round it, that is not its corner's colour */
    private function drawnIn(string $canvas): array
    {
        /** @var array{x: float, y: float, width: float, height: float} $box */
        $box = $this->desk->driver->executeScript(
            'const { x, y, width, height } = document.querySelector(arguments[0]).getBoundingClientRect(); return { x, y, width, height };',
            [$canvas],
        );
        $picture = imagecreatefromstring($this->desk->driver->takeScreenshot());
        self::assertNotFalse($picture);
        [$x0, $y0] = [(int) ceil($box['x']) + 1, (int) ceil($box['y']) + 1];
        [$width, $height] = [(int) $box['width'] - 3, (int) $box['height'] - 3];
        $ground = imagecolorat($picture, $x0, $y0);
        $drawn = $rim = $around = 0;
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                $ink = imagecolorat($picture, $x0 + $x, $y0 + $y) === $ground ? 0 : 1;
                $drawn += $ink;
                if (min($x, $y, $width - 1 - $x, $height - 1 - $y) < 4) {
                    $around++;
                    $rim += $ink;
                }
            }
        }

        return [$drawn / ($width * $height), $rim / $around];
    }
}
