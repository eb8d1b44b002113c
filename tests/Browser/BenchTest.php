<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** The unit bench: a composite unit made from nothing, placed as one, changed, and what follows from it. */
final class BenchTest extends BrowserCase
{
    public function test_the_composite_unit_is_built_placed_and_scheduled_as_one(): void
    {
        $started = microtime(true);
        $this->openBench('new');
        $this->figure('Width', '3900');
        $this->figure('Height', '2850');
        $this->pickSettled('Outline', 'a head in stretches');
        $this->card('Length of head stretch 1', '650');
        $this->card('Length of head stretch 2', '1500');
        $this->card('Rise of head stretch 2', '420');
        $this->until('Height', '3 270');
        self::assertSame('2 850', $this->shown('Height at the left end'), 'the left end stays, the whole follows');

        $this->light('');
        $this->form('c', '2250');
        $this->light('1');
        $this->form('d', '650, 1500, rest');
        $this->light('0');
        $this->form('d', '650, 1500, 750, rest');
        $this->light('0.0');
        $this->form('c', '700');
        $this->pickSettled('Filling', 'a solid infill');
        $this->light('0.0.1');
        $this->pickSettled('Operation', 'bottom-hung');
        $this->light('0.1');
        $this->pickSettled('Operation', 'sliding');
        $this->light('0.2');
        $this->form('c', '450');
        $this->pickSettled('Operation', 'louvre');
        $this->light('0.2.1');
        $this->pickSettled('Operation', 'vertical sliding');
        $this->light('0.3');
        $this->form('c', '2050');
        $this->pickSettled('Operation', 'hinged door');
        $this->pickSettled('Hinge side', 'right');
        $this->pickSettled('Leaf style', 'part glazed');
        $this->light('0.3.1');
        $this->pickSettled('Operation', 'top-hung');
        $this->desk->keys(Keys::ESCAPE);
        $this->pickSettled('Finish of frame outside', 'Deep tide, satin');
        $this->pickSettled('Finish of frame inside', 'Chalk, satin');
        $this->call('Harbour front');
        self::assertLessThan(120, microtime(true) - $started, 'in under two minutes');
        self::assertSame(['1', '1.0'], [substr($this->path('1.0'), 0, 1), $this->path('1.0')]);

        // the light under the slope is a quadrilateral that follows it
        $this->desk->waitForCount('[data-light]', 10);
        self::assertSame([], $this->axe());
        $this->desk->press('Add to the rack');
        $this->desk->waitFor('[role=dialog]');
        $this->desk->keys(Keys::ENTER);
        $this->desk->waitForText('in no opening');
        $mark = $this->desk->css('[aria-label=Mark]')->getAttribute('value');
        self::assertMatchesRegularExpression('/^D-\d\d$/', $mark, 'it holds a door, so its mark is a door’s');

        // then by its angle, and everything follows
        $this->figure('Angle of stretch 2 of the head', '22°');
        $this->until('Height', '3 456');
        self::assertSame('2 850', $this->shown('Height at the left end'));
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->holding(Keys::CONTROL, fn () => $this->desk->keys('s'));
        $this->desk->waitForText("Changed $mark");

        // one unit in the wall, one line in the schedule
        $this->desk->pressOn('[aria-label="To the desk"]');
        $this->desk->ready();
        $this->find($mark);
        $this->takeFromRack($mark);
        $this->goTo('West');
        $x = $this->offset('West');
        $this->desk->click('elevation', $x + 2980, 1000);
        $this->desk->waitForText("$mark Harbour front");
        $this->desk->press('Schedules');
        $this->desk->waitFor(sprintf('[aria-label="%s, 1 placed"]', $mark));
        self::assertSame(1, $this->desk->count(sprintf('[aria-label^="%s, "]', $mark).'[aria-label$="placed"]'));
        self::assertSame([], $this->axe());
        $this->desk->press('Schedules');

        // and its sheet
        $project = $this->desk->driver->getCurrentURL();
        $this->desk->driver->get(explode('?', $project)[0].'/sheets');
        $this->desk->waitFor('[data-page] svg');
        $this->desk->pressOn(sprintf('//button[@data-type][starts-with(normalize-space(), "%s")]', $mark));
        $this->desk->waitUntil(
            fn (): bool => str_contains((string) $this->desk->css('[data-page]')->getText(), "$mark Harbour front"),
            'its sheet',
        );
        $this->desk->waitForIn('[data-page]', 'Deep tide, satin');
        self::assertSame([], $this->axe());
        $this->desk->pressOn(sprintf('input[aria-label="Tick %s"]', $mark));
        $this->desk->press('The 1 ticked as one PDF');
        $this->desk->waitForText('skerrow-pilot-house-sheets.pdf');
        $this->desk->driver->get($project);
        $this->desk->ready();
    }

    public function test_wrong_figures_stay_at_their_field_and_a_change_shows_what_would_not_fit(): void
    {
        $type = (string) $this->desk->driver->executeAsyncScript(
            'const done = arguments[0]; fetch(`/api${location.pathname}`).then((r) => r.json()).then((p) => done(p.types.find((t) => t.mark === "W-03").id));',
        );
        $this->openBench($type);
        // two sashes and a mullion want more than that: the drawing stays, the field says why, Esc drops it
        $this->figure('Width', '300');
        $this->desk->waitFor('input[data-field][aria-label="Width"][aria-invalid=true]');
        self::assertMatchesRegularExpression(
            '/no room|too/',
            (string) $this->desk->css('input[aria-label="Width"] + [role=alert]')->getText(),
        );
        self::assertSame('510', $this->shown('Part 1 from the left'), 'the last good drawing');
        $this->desk->holding(Keys::CONTROL, fn () => $this->desk->keys('s'));
        usleep(300_000);
        self::assertSame(0, $this->desk->count('[role=dialog]'), 'what was refused is not saved over');
        $this->desk->waitFor('input[data-field][aria-label="Width"]:focus');
        $this->desk->keys(Keys::ESCAPE);
        $this->until('Width', '1 200');

        // the mullion is dragged, and taken back
        $divider = $this->desk->css('[data-divider=" 0"]');
        (new \Facebook\WebDriver\Interactions\WebDriverActions($this->desk->driver))->dragAndDropBy($divider, 60, 0)->perform();
        $this->desk->waitUntil(fn (): bool => $this->shown('Part 1 from the left') !== '510', 'the mullion to move');
        $this->settled();
        self::assertSame(
            1020.0,
            array_sum(array_map(fn (int $i): float => (float) $this->shown("Part $i from the left"), [1, 2])),
            'what one part gains the other loses',
        );
        $this->desk->holding(Keys::CONTROL, fn () => $this->desk->keys('z'));
        $this->until('Part 1 from the left', '510');

        // a name that is being typed when it is saved is saved
        $name = $this->desk->css('input[aria-label="Name"]');
        $was = (string) $name->getAttribute('value');
        $name->click();
        $name->sendKeys(' renamed');
        $this->desk->holding(Keys::CONTROL, fn () => $this->desk->keys('s'));
        $this->desk->waitFor('[role=dialog]');
        self::assertSame("$was renamed", $name->getAttribute('value'), 'there is something to save, and that is it');
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[role=dialog]') === 0, 'the dialog to close');
        $this->desk->holding(Keys::CONTROL, fn () => $this->desk->keys('z'));
        $this->settled();

        // Tab goes round the figures; a wider one is tried on all its openings, and those with no room keep what they have
        $this->desk->pressOn('input[data-field][aria-label="Part 1 from the left"]');
        $this->desk->keys(Keys::TAB);
        self::assertSame('Part 2 from the left', $this->desk->driver->switchTo()->activeElement()->getAttribute('aria-label'));
        $this->figure('Width', '2400');
        $this->desk->holding(Keys::CONTROL, fn () => $this->desk->keys('s'));
        $this->desk->waitForText('would no longer fit');
        $this->desk->waitForText('past the wall’s right end');
        $button = $this->desk->css('[role=dialog] button:last-child');
        self::assertSame(1, preg_match('/^Change (\d+) openings, keep (\d+)$/', $button->getText(), $m), $button->getText());
        self::assertSame(28, (int) $m[1] + (int) $m[2], 'every W-03 either follows or keeps what it has');
        $button->click();
        $this->desk->waitForText("in $m[1] openings");
        $this->desk->pressOn('[aria-label="To the desk"]');
        $this->desk->ready();
        $this->desk->waitFor('[aria-label^="Undo: Changed W-03"]');
    }

    private function openBench(string $type): void
    {
        preg_match('#projects/([^/?]+)#', $this->desk->driver->getCurrentURL(), $m);
        $this->desk->driver->get(sprintf('%s/projects/%s/bench/%s', (string) getenv('ISLEWARD_ADDRESS'), $m[1] ?? '', $type));
        $this->desk->waitFor('[data-light]');
    }

    /** A figure on the drawing. */
    private function figure(string $label, string $text): void
    {
        $selector = sprintf('input[data-field][aria-label="%s"]', $label);
        $this->desk->waitFor($selector);
        $this->desk->pressOn($selector);
        $this->desk->keys($text, Keys::ENTER);
        $this->settled();
    }

    private function card(string $label, string $text): void
    {
        $this->desk->type($label, $text);
        $this->settled();
    }

    private function shown(string $label): string
    {
        return (string) preg_replace(
            '/\s/u',
            ' ',
            (string) $this->desk->css(sprintf('input[data-field][aria-label="%s"]', $label))->getAttribute('value'),
        );
    }

    private function until(string $label, string $text): void
    {
        $this->desk->waitUntil(fn (): bool => $this->shown($label) === $text, "$label $text");
    }

    private function light(string $path): void
    {
        $this->desk->driver->executeScript('document.activeElement.blur()');
        $this->desk->pressOn(sprintf('[data-light="%s"]', $path));
        $this->desk->waitFor(sprintf('[data-light="%s"][aria-pressed=true]', $path));
        $this->settled();
    }

    private function path(string $path): string
    {
        return (string) $this->desk->css(sprintf('[data-light="%s"]', $path))->getAttribute('data-light');
    }

    /** A form that a key opens, filled in and sent. */
    private function form(string $key, string $text): void
    {
        $this->desk->keys($key);
        $this->desk->waitFor('#divide-into, #cut-size');
        $this->desk->keys($text, Keys::ENTER);
        $this->desk->waitUntil(fn (): bool => $this->desk->count('#divide-into, #cut-size') === 0, "the form of $key to close");
        $this->settled();
    }

    private function pickSettled(string $label, string $option): void
    {
        $this->pick($label, $option);
        $this->settled();
    }

    private function call(string $name): void
    {
        $input = $this->desk->css('[aria-label=Name]');
        $input->click();
        $this->desk->holding(Keys::CONTROL, fn () => $this->desk->keys('a'));
        $this->desk->keys($name, Keys::ENTER);
    }

    private function find(string $text): void
    {
        $input = $this->desk->css('[aria-label="Find a unit"]');
        $input->click();
        $this->desk->keys($text);
    }

    /** Nothing is on its way to the server any more. */
    private function settled(): void
    {
        usleep(60_000);
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-busy=true]') === 0, 'the bench to settle');
    }
}
