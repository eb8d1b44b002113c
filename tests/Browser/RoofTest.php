<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** A roof laid over the main house, steeper, with a gable, and taken off again. */
final class RoofTest extends BrowserCase
{
    /** @return array<string, mixed> */
    private function roof(): array
    {
        $roofs = $this->desk->driver->executeAsyncScript(
            'const done = arguments[0]; fetch(`/api${location.pathname}`).then((r) => r.json()).then((p) => done(p.roofs));',
        );

        return array_column($roofs, null, 'name')['Roof 1'] ?? [];
    }

    public function test_a_roof_is_laid_pitched_gabled_chosen_and_taken_off(): void
    {
        $this->desk->click('elevation', 300, 13000);
        $this->desk->waitForText('A roof over Main house');
        $this->desk->button('A roof over Main house')->click();
        $this->desk->waitForText('4 faces over Main house');
        $this->desk->type('Pitch', '9 : 12');
        $this->desk->waitUntil(fn (): bool => abs(($this->roof()['pitch'] ?? 0) - 36.87) < 0.01, 'rise over run');
        // what is no pitch stays typed, with the reason
        $this->desk->write('Pitch', '95')->sendKeys(Keys::ENTER);
        $this->desk->waitForText('95° was given');
        self::assertSame('95', $this->desk->value('Pitch'));
        self::assertEqualsWithDelta(36.87, $this->roof()['pitch'], 0.01);
        $this->desk->type('Pitch', '9 : 12');
        $this->desk->waitUntil(fn (): bool => ! str_contains($this->desk->text(), '95° was given'), 'put right');
        $this->desk->type('Overhang over South', '0.6 m');
        $this->desk->waitUntil(fn (): bool => ($this->roof()['edges'][0]['overhang'] ?? 0) == 600, 'an overhang of its own');
        self::assertSame([], $this->axe());
        // chosen again by a click on its slope
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->click('elevation', 9000, 16500);
        $this->desk->waitForText('4 faces over Main house');
        $this->desk->keys(Keys::DELETE);
        $this->desk->waitUntil(fn (): bool => $this->roof() === [], 'it is taken off');
    }
}
