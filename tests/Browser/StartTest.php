<?php

declare(strict_types=1);

namespace Tests\Browser;

/** A project is started: storeys all alike or each its own, in feet and inches with a stock of such sizes; a tower fits in its solid. */
final class StartTest extends BrowserCase
{
    public function test_a_tower_of_twelve_storeys_in_feet_and_inches(): void
    {
        $home = $this->desk->driver->getCurrentURL();
        $this->desk->css('a[aria-label="Isleward, to the projects"]')->click();
        $this->desk->button('Start a project')->click();
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
        $this->desk->button('Start')->click();
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
        $this->desk->waitUntil(fn (): bool => $this->desk->count('canvas') > 0, 'the solid');
        $this->desk->driver->get($home);
        $this->desk->ready();
    }
}
