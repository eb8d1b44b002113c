<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** A section through an opening gets a letter and a sheet; elevations are put on one and stand at one scale on one line. */
final class SheetsTest extends BrowserCase
{
    /** @return list<array{kind: string, ref: string, scale: float, x: float, y: float}> of the sheet of a number */
    private function items(string $number): array
    {
        $sheets = $this->desk->driver->executeAsyncScript(
            'const done = arguments[0]; fetch("/api/projects/" + location.pathname.split("/")[2]).then((r) => r.json())'
            .'.then((p) => done(p.sheets));',
        );

        return array_column($sheets, 'items', 'number')[$number] ?? [];
    }

    private function choose(string $menu, string $item): void
    {
        $this->desk->press($menu);
        $this->desk->waitFor('[role=menuitem]');
        $this->desk->pressOn(sprintf('//*[@role="menuitem"][normalize-space()="%s"]', $item));
    }

    public function test_a_section_through_an_opening_is_kept_and_put_on_a_sheet_with_elevations_of_one_scale(): void
    {
        $this->chooseFirstOfCharts();
        $this->desk->focus();
        $this->desk->keys('k');
        $this->desk->waitFor('[data-pane=section]');
        $this->desk->press('Keep');
        $this->desk->waitForText('Section B');
        $this->choose('On a sheet', 'A new sheet');
        $this->desk->waitForText('Section B is on A-03.');
        self::assertSame(['section'], array_column($this->items('A-03'), 'kind'));
        $this->desk->press('Open the sheet');
        $this->desk->waitFor('[data-block="Section B"]');
        foreach (['South', 'East', 'North', 'West'] as $i => $name) {
            $this->choose('Elevation', $name);
            $this->desk->waitFor(sprintf('[data-block="Elevation %s"]', $name));
            $this->desk->waitUntil(fn (): bool => count($this->items('A-03')) === $i + 2, 'it is on the sheet');
        }
        $scales = array_column(array_filter($this->items('A-03'), static fn (array $i): bool => $i['kind'] === 'elevation'), 'scale');
        self::assertCount(4, $scales);
        self::assertCount(1, array_unique($scales), 'they are at '.implode(', ', $scales));
        self::assertSame(0, $this->desk->count('[data-block*=": "]'), 'nothing overlaps');
        self::assertSame([], $this->axe());
        // a type that fills nothing is told, and left out of what is written all together
        $this->desk->waitForText('not used');
        $this->desk->waitForText('All in use as one PDF');
        $this->desk->press('Fit together');
        $this->desk->waitForText('Fitted together anew.');
        $this->desk->driver->navigate()->back();
    }

    public function test_types_made_to_fit_are_offered_for_clearing_when_they_fill_nothing(): void
    {
        $this->chooseFirstOfCharts();
        $this->desk->focus();
        $this->desk->type('Width', '1333');
        $this->desk->waitUntil(fn (): bool => str_replace("\u{202F}", '', $this->desk->value('Width')) === '1333', 'another width');
        $press = function (string $key, string $done): void {
            $this->desk->focus();
            $this->desk->keys($key);
            $this->desk->waitFor('[data-sheet]');
            $this->desk->waitFor('[data-preview="1/1"]');
            $this->desk->keys(Keys::ENTER);
            $this->desk->waitForText($done);
        };
        $press('b', 'Emptied 1 opening');
        $press('f', 'Filled 1 opening');
        $press('b', 'One type that was made to fit fills nothing now.');
        $this->desk->press('Clear');
        $this->desk->waitForText('from the rack.');
    }
}
