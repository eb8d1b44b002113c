<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverKeys;

/** The desk at other widths and page zooms: nothing runs out of the window, nothing is cut, and it stays accessible. */
final class WidthsTest extends BrowserCase
{
    public function test_the_header_and_its_buttons_keep_their_place(): void
    {
        $tools = new ChromeDevToolsDriver($this->desk->driver);
        // 1024 and 1920 wide; 1280 × 800 at 150 % and at 200 %
        foreach ([[1024, 768, 1.0], [1920, 1080, 1.0], [853, 533, 1.5], [640, 400, 2.0]] as [$width, $height, $scale]) {
            $tools->execute('Emulation.setDeviceMetricsOverride', [
                'width' => $width, 'height' => $height, 'deviceScaleFactor' => $scale, 'mobile' => false,
            ]);
            $this->desk->waitUntil(fn (): bool => (int) $this->desk->driver->executeScript('return innerWidth;') === $width, "$width wide");
            usleep(400_000);
            self::assertSame([], $this->desk->driver->executeScript(<<<'JS'
                const out = document.documentElement.scrollWidth > innerWidth ? ['the page scrolls sideways'] : [];
                const looked = 'header button, header a, header h1, section[aria-label="Beside the drawing"] button';
                for (const e of document.querySelectorAll(looked)) {
                    const box = e.getBoundingClientRect();
                    if (box.width > 0 && (box.left < -1 || box.right > innerWidth + 1)) out.push(`${e.textContent} is outside`);
                    if (e.tagName === 'BUTTON' && !e.closest('[class*=truncate]') && e.scrollWidth > e.clientWidth + 2
                        && getComputedStyle(e).overflow !== 'hidden') out.push(`${e.textContent} is cut`);
                }
                const small = [...document.querySelectorAll('body *')].filter((e) => e.childNodes.length === 1
                    && e.firstChild.nodeType === 3 && e.firstChild.data.trim() !== '' && e.getBoundingClientRect().width > 0
                    && parseFloat(getComputedStyle(e).fontSize) < 9.5);
                return [...out, ...small.slice(0, 3).map((e) => `${e.textContent} is too small to read`)];
                JS), "at $width");
            // names of storeys are as high as the drawing is small: the zoom makes them larger, and the command list has them all
            self::assertSame([], array_values(array_filter($this->axe(), static fn (string $found): bool => ! (
                str_starts_with($found, 'target-size') && str_contains($found, 'floor to floor')
            ))), "at $width");
        }
        $tools->execute('Emulation.clearDeviceMetricsOverride');
    }

    public function test_names_in_the_strip_of_frontages_can_be_read_and_those_shown_are_in_sight(): void
    {
        $narrow = $this->desk->driver->executeScript(
            'return [...document.querySelectorAll("nav[aria-label=Frontages] button[title]")]'
            .'.filter((b) => b.getBoundingClientRect().width < 49).length;',
        );
        self::assertSame(0, $narrow);
        $this->goTo('West 6');
        $this->desk->waitUntil(fn (): bool => (bool) $this->desk->driver->executeScript(
            'const b = document.querySelector("nav[aria-label=Frontages] button[title^=\"West 6\"]").getBoundingClientRect();'
            .' const s = document.querySelector("nav[aria-label=Frontages]").getBoundingClientRect();'
            .' return b.left >= s.left && b.right <= s.right + 1;',
        ), 'it is in sight');
    }

    /** Of a window with room under its sill, and of a door, which has none. */
    public function test_the_figure_of_a_head_stands_at_its_line(): void
    {
        foreach ([[1730 + 600, 4200 + 1600], [7700 + 600, 1200]] as [$u, $level]) {
            $this->goTo('South');
            $this->desk->click('elevation', $u, $level);
            $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-dimensions]') === 1, 'it is chosen');
            $this->desk->keys(WebDriverKeys::END); // near enough for its height to be dimensioned
            $of = 'const text = [...document.querySelectorAll("[data-dimensions] text")].find((t) => t.textContent.startsWith("head "));';
            $this->desk->waitUntil(fn (): bool => $this->desk->driver->executeScript("$of return text !== undefined;"), 'its dimension');
            /** @var array{figure: float, top: float, foot: float} $found */
            $found = $this->desk->driver->executeScript($of.<<<'JS'
                const line = text.parentNode.querySelector('path').getBoundingClientRect();
                const box = text.getBoundingClientRect();
                return { figure: (box.top + box.bottom) / 2, top: line.top, foot: line.bottom };
                JS);
            self::assertGreaterThan($found['top'], $found['figure']);
            self::assertLessThan($found['foot'], $found['figure']);
            $this->desk->keys(WebDriverKeys::ESCAPE);
            $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-dimensions]') === 0, 'nothing is chosen');
        }
    }
}
