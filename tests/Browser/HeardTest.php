<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** What happens in the drawing is said to those who hear the screen; keys stand beside their actions; the rack knows other words. */
final class HeardTest extends BrowserCase
{
    private function said(): string
    {
        return (string) $this->desk->css('[data-announced]')->getAttribute('data-announced');
    }

    private function hears(string ...$words): bool
    {
        $said = $this->said();

        return array_filter($words, static fn (string $word): bool => str_contains($said, $word)) !== [];
    }

    public function test_what_is_done_refused_and_found_is_announced(): void
    {
        $this->chooseFirstOfCharts();
        $this->desk->type('Position', '1800');
        $this->desk->waitUntil(fn (): bool => $this->said() === 'Moved W-03 70 to the right.', 'what was done');
        // over its neighbour: refused or found, it is heard
        $this->desk->type('Width', '1');
        $this->desk->waitUntil(fn (): bool => $this->hears('leave no room', 'at least'), 'why not');
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->type('Position', '3200');
        $this->desk->waitUntil(fn (): bool => $this->hears('finding'), 'what is found');
        $this->desk->press('Undo');
        $this->desk->waitUntil(fn (): bool => $this->hears('put right', 'Undid'), 'that it is right');
    }

    public function test_a_unit_is_found_by_another_word_and_keys_stand_beside_actions(): void
    {
        foreach (['hopper' => 'W-17', 'awning' => 'W-13', 'double hung' => 'W-33', 'french casement' => 'W-27'] as $word => $mark) {
            $this->desk->write('Find a unit', $word);
            $this->desk->waitFor(sprintf('button[aria-label^="%s"]', $mark));
            $this->desk->waitUntil(fn (): bool => $this->desk->count('button[aria-label^="W-01"]') === 0, "only what is a $word");
        }
        $this->desk->write('Find a unit', '');
        $keys = array_map(
            static fn ($kbd): string => $kbd->getAttribute('data-key') ?? $kbd->getText(),
            $this->desk->driver->findElements(\Facebook\WebDriver\WebDriverBy::cssSelector('header kbd')),
        );
        self::assertSame(['Ctrl K', 'Ctrl Z', 'Ctrl Y'], $keys);
    }
}
