<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverKeys as Keys;
use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Desk;

/** Nothing that is typed is lost, and what the keys do is plain: fields, sheets, ghosts. */
final class TypedTest extends BrowserCase
{
    public function test_after_placing_the_next_figure_counts_from_what_was_placed(): void
    {
        $this->takeFromRack('W-09');
        // between the last window of the row and the corner
        $this->desk->hover('elevation', 3470, 4200 + 1600);
        $this->desk->waitFor('[data-ghost=new]');
        $before = count($this->lefts());
        $this->desk->keys('60', Keys::ENTER);
        $this->desk->waitUntil(fn (): bool => count($this->lefts()) === $before + 1, 'the first to stand');
        // the window that it is counted from ends at 2930
        self::assertContains(2990.0, $this->lefts());
        $this->desk->keys('0');
        usleep(400_000);
        $this->desk->keys(Keys::ENTER);
        usleep(600_000);
        // beside it there is no room for another: it is refused, and not put over it
        self::assertCount($before + 1, $this->lefts());
        $this->desk->waitForText('stands there already');
        $this->desk->keys(Keys::ESCAPE, Keys::ESCAPE);
    }

    public function test_a_door_stays_on_the_floor_while_it_is_moved_along(): void
    {
        $this->desk->holding(Keys::CONTROL, fn () => $this->desk->keys('k'));
        $this->desk->waitFor('[role=dialog] input');
        $this->desk->css('[role=dialog] input')->sendKeys('Place D-01');
        usleep(300_000);
        $this->desk->keys(Keys::ENTER);
        $this->desk->waitForText('D-01 in hand');
        $this->desk->hover('elevation', 16500, 1900);
        $this->desk->waitFor('[data-ghost=new]');
        $this->desk->waitForText('Alt lifts it off the floor');
        $this->desk->waitForText('on the floor of Quay');
        $this->desk->keys(Keys::ESCAPE);
    }

    public function test_enter_in_a_field_gives_the_drawing_back_its_keys(): void
    {
        $this->chooseFirstOfCharts();
        $this->desk->type('Width', '1190');
        $this->desk->waitUntil(fn (): bool => $this->desk->value('Width') === '1 190', 'the width to be taken');
        $this->desk->waitUntil(
            fn (): bool => $this->desk->driver->switchTo()->activeElement()->getTagName() !== 'input',
            'the field to be left',
        );
        $this->desk->keys('r');
        $this->desk->waitFor('[data-sheet="opening.repeat"]');
        $this->desk->keys(Keys::ESCAPE);
        // refused, one stays in it
        $this->chooseFirstOfCharts();
        $this->desk->type('Width', 'wide');
        $this->desk->waitFor('input[aria-label="Width"][aria-invalid=true]');
        self::assertSame('Width', $this->desk->driver->switchTo()->activeElement()->getAttribute('aria-label'));
        $this->desk->keys(Keys::ESCAPE);
    }

    public function test_a_figure_that_adds_is_added_once_however_slow_the_page_is(): void
    {
        $this->chooseFirstOfCharts();
        $this->desk->holding(Keys::SHIFT, fn () => $this->desk->click('elevation', 4010 + 600, 4200 + 1600));
        $this->desk->waitForText('2 openings');
        $tools = new ChromeDevToolsDriver($this->desk->driver);
        $tools->execute('Emulation.setCPUThrottlingRate', ['rate' => 8]);
        try {
            foreach ([1190, 1180, 1170] as $left) {
                $this->desk->type('Width', '-10');
                $this->desk->waitUntil(
                    fn (): bool => $this->desk->value('Width') === number_format($left, 0, '', ' '),
                    "the width to be $left",
                );
                // what would be sent a second time has had its time
                usleep(400_000);
                self::assertSame($left, $this->widthOfFirst());
            }
        } finally {
            $tools->execute('Emulation.setCPUThrottlingRate', ['rate' => 1]);
        }
    }

    public function test_what_is_typed_while_the_one_before_is_under_way_waits_for_it(): void
    {
        $this->chooseFirstOfCharts();
        $this->slowly(1500, function (): void {
            $this->desk->type('Width', '1190');
            $this->desk->type('Width', '1150');
            $this->desk->waitUntil(fn (): bool => $this->desk->value('Width') === '1 150', 'the second to be taken');
        });
        $this->desk->waitUntil(fn (): bool => $this->widthOfFirst() === 1150, 'the second to stand');
    }

    public function test_one_who_goes_on_while_a_change_is_under_way_is_not_called_back(): void
    {
        $this->chooseFirstOfCharts();
        $this->desk->focus();
        $this->desk->keys('d');
        $this->desk->field('Parts');
        $this->desk->waitFor('[data-preview-drawn]');
        $this->slowly(1500, function (): void {
            $this->desk->keys(Keys::ENTER);
            // done, and the drawing has not come yet: the sheet is put away, and another opening chosen
            $this->desk->waitFor('[aria-label^="Undo: Set out "]');
            self::assertSame(0, $this->desk->count('[data-line="L1"]'), 'the lines are not there yet');
            $this->desk->keys(Keys::ESCAPE, Keys::ESCAPE);
            $this->desk->click('elevation', 4010 + 600, 4200 + 1600);
            // all of it has come when it is told
            $this->desk->waitUntil(
                fn (): bool => str_contains($this->desk->css('[role=status]')->getText(), 'Set out 2 lines'),
                'the notice',
            );
            usleep(200_000);
        });
        $card = (string) $this->desk->css('[data-card]')->getText();
        self::assertStringContainsString('South · Charts', $card, 'the card of the opening stays');
        self::assertStringNotContainsString('Line L1', $card);
    }

    public function test_enter_does_what_a_sheet_says_after_a_wall_was_clicked_for_it(): void
    {
        $this->chooseFirstOfCharts();
        $this->desk->pressOn('[data-pane=elevation]');
        $this->chooseFirstOfCharts();
        $this->desk->focus();
        $this->desk->keys('c');
        $this->desk->waitFor('[data-sheet="opening.copy"]');
        $this->desk->click('elevation', $this->offset('East') + 4000, 4200 + 300);
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-preview]') > 0, 'it to be shown');
        $this->desk->keys(Keys::ENTER);
        // it was done, or is said to have no room: either way Enter was heard
        $this->desk->waitUntil(
            fn (): bool => $this->desk->count('[data-sheet="opening.copy"]') === 0 || str_contains(
                $this->desk->text(),
                'would not fit',
            ) || str_contains($this->desk->text(), 'It would meet'),
            'Enter to be heard',
        );
        $this->desk->keys(Keys::ESCAPE);
    }

    public function test_a_filter_without_its_value_keeps_the_last_good_table(): void
    {
        $this->desk->press('Schedules');
        $this->desk->waitFor('section[aria-label=Schedules] table');
        $this->desk->press('Lay out');
        $this->desk->press('+ Only some rows');
        $this->pick('Field', 'Width', '[aria-label=Layout] ');
        usleep(600_000);
        self::assertSame(1, $this->desk->count('section[aria-label=Schedules] table'), 'the table stays');
        $value = $this->desk->css('[aria-label=Layout] [aria-label=Value]');
        $value->sendKeys('broad');
        $this->desk->waitFor('[aria-label=Layout] [aria-label=Value][aria-invalid=true]');
        self::assertSame(1, $this->desk->count('section[aria-label=Schedules] table'), 'the table stays');
        self::assertSame('broad', $this->desk->css('[aria-label=Layout] [aria-label=Value]')->getAttribute('value'));
        $this->desk->pressOn('[aria-label="Close the schedules"]');
    }

    public function test_what_someone_else_removes_while_one_types_stays_and_can_be_placed_again(): void
    {
        $this->chooseFirstOfCharts();
        $field = $this->desk->field('Width');
        $field->click();
        $field->sendKeys('1150');
        $id = (string) $this->desk->driver->executeAsyncScript(<<<'JS'
            const done = arguments[0];
            const at = `/api/projects/${location.pathname.split('/').pop()}`;
            (async () => {
                const p = await (await fetch(at)).json();
                const e = await (await fetch(`${at}/elevations/${p.frontages[0].id}`)).json();
                done(e.openings.filter((o) => o.storey === p.storeys[1].id).sort((a, b) => a.left - b.left)[0].id);
            })();
            JS);
        $other = new Desk(Chrome::open(softwareGl: false), (string) getenv('ISLEWARD_ADDRESS'));
        try {
            $other->signIn('mate@skerrow.example');
            $other->openProject('Skerrow Pilot House');
            $other->driver->executeAsyncScript(<<<'JS'
                const [id, done] = arguments;
                const at = `/api/projects/${location.pathname.split('/').pop()}`;
                const token = decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]);
                (async () => {
                    const { number } = await (await fetch(at)).json();
                    await fetch(`${at}/edits`, { method: 'POST', headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token }, body: JSON.stringify({ edit: 'opening.remove', args: { ids: [id] }, base: number }) });
                    done();
                })();
                JS, [$id]);
            $this->desk->waitFor(sprintf('[data-gone="%s"]', $id));
            $this->desk->waitForText('Ebba Stroom removed this at');
            $this->desk->waitForText('You were typing 1150 for its width');
            $this->desk->press('Place it again, width 1150');
            $this->desk->waitUntil(
                fn (): bool => $this->desk->count('[data-gone]') === 0
                                && $this->desk->count('input[aria-label="Width"]') === 1
                                && $this->desk->value('Width') === '1 150',
                'it to stand again, as wide as was typed',
            );
        } finally {
            // each takes back their own, the latest first: nobody can undo another's change
            $this->desk->takeBackTo('Placed W-09', 114);
            $other->takeBackTo('Placed W-09', 115);
            $other->driver->quit();
        }
    }

    /** Does something over a line on which every answer comes so many ms later. */
    private function slowly(int $latency, \Closure $do): void
    {
        $tools = new ChromeDevToolsDriver($this->desk->driver);
        $tools->execute('Network.enable');
        $line = static fn (int $latency) => $tools->execute('Network.emulateNetworkConditions', [
            'offline' => false, 'latency' => $latency, 'downloadThroughput' => -1, 'uploadThroughput' => -1,
        ]);
        $line($latency);
        try {
            $do();
        } finally {
            $line(0);
        }
    }

    /** Of the first opening of Charts, to the south, from the server. */
    private function widthOfFirst(): int
    {
        return (int) $this->desk->driver->executeAsyncScript(<<<'JS'
            const done = arguments[0];
            const at = `/api/projects/${location.pathname.split('/').pop()}`;
            (async () => {
                const p = await (await fetch(at)).json();
                const e = await (await fetch(`${at}/elevations/${p.frontages[0].id}`, { cache: 'no-store' })).json();
                done(e.openings.filter((o) => o.storey === p.storeys[1].id).sort((a, b) => a.left - b.left)[0].width);
            })();
            JS);
    }

    /** @return list<float> of the openings of the first frontage, from the server */
    private function lefts(): array
    {
        return array_map(floatval(...), (array) $this->desk->driver->executeAsyncScript(<<<'JS'
            const done = arguments[0];
            const at = `/api/projects/${location.pathname.split('/').pop()}`;
            (async () => {
                const p = await (await fetch(at)).json();
                const e = await (await fetch(`${at}/elevations/${p.frontages[0].id}`, { cache: 'no-store' })).json();
                done(e.openings.map((o) => o.left));
            })();
            JS));
    }
}
