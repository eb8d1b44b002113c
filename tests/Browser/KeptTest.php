<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverKeys;

/** Nothing that was asked for is lost: while the server is not reached, when the session has ended, when a file is gone. */
final class KeptTest extends BrowserCase
{
    protected function tearDown(): void
    {
        $this->network(true);
        // what could not be fetched is said in the browser's log, rightly
        $this->desk->driver->manage()->getLog('browser');
        parent::tearDown();
    }

    public function test_what_is_placed_while_the_server_is_away_is_kept_and_sent_in_order(): void
    {
        $before = $this->openings();
        $this->takeFromRack('W-09'); // which has room between the windows of the row
        $this->network(false);
        foreach ([3470, 5750] as $x) {
            $this->desk->hover('elevation', $x, 4200 + 1600);
            $this->desk->click('elevation', $x, 4200 + 1600);
        }
        $this->desk->waitFor('[data-away="2"]');
        self::assertStringContainsString(
            '2 changes are kept and sent in order when it is back',
            $this->desk->css('[data-away]')->getText(),
        );
        self::assertStringNotContainsString('Nothing was changed', $this->desk->text());
        $this->desk->waitFor('[data-kept="2"]');
        $this->network(true);
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-away]') === 0, 'the sign to go');
        $this->desk->waitUntil(fn (): bool => $this->openings() === $before + 2, 'both to be there');
        self::assertSame(0, $this->desk->count('[data-kept]'));
        $this->desk->keys(WebDriverKeys::ESCAPE);
    }

    public function test_what_waits_outlives_a_reload_and_is_done_once(): void
    {
        $before = $this->openings();
        $this->chooseFirstOfCharts();
        $this->network(false);
        $this->desk->type('Width', '1250');
        $this->desk->waitFor('[data-away="1"]');
        // the tab is closed and opened anew by the browser: only what the tab keeps is left
        $this->network(true);
        $this->desk->driver->executeScript(
            'window.stop(); window.addEventListener("beforeunload", (e) => e.stopImmediatePropagation(), true); location.reload()',
        );
        $this->desk->ready();
        $this->desk->waitUntil(fn (): bool => (int) $this->ask('project.openings.width') === 1250, 'the width to be there');
        self::assertSame($before, $this->openings());
    }

    public function test_when_the_session_has_ended_one_signs_in_over_the_page_and_goes_on(): void
    {
        $this->chooseFirstOfCharts();
        // typed first: a page that hears of it by itself asks at once, and whoever types then types into that
        $this->desk->write('Width', '1260');
        // signed out elsewhere, in the same browser
        // until nobody is: what was asked meanwhile by the page itself may still be answered as before
        $left = (string) $this->desk->driver->executeAsyncScript(<<<'JS'
            const done = arguments[0];
            (async () => {
                const said = [];
                for (let i = 0; i < 20; i++) {
                    const token = decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]);
                    const headers = { 'X-XSRF-TOKEN': token, Accept: 'application/json' };
                    said.push((await fetch('/api/session', { method: 'DELETE', headers })).status);
                    const { user } = await (await fetch('/api/session', { headers: { Accept: 'application/json' } })).json();
                    if (!user) return done('nobody');
                    await new Promise((go) => setTimeout(go, 300));
                }
                done(said.join());
            })();
            JS);
        self::assertSame('nobody', $left, 'signed out');
        $this->desk->field('Width')->sendKeys(WebDriverKeys::ENTER);
        $this->desk->waitFor('[data-sign-in-again]');
        $this->desk->waitForIn('[data-sign-in-again]', 'pilot@skerrow.example');
        self::assertSame([], $this->axe());
        // what is typed while an answer of before comes may be lost: it is typed until it stands there
        $password = function (string $text): void {
            $this->desk->waitUntil(function () use ($text): bool {
                $field = $this->desk->css('[data-sign-in-again] input');
                $field->clear()->sendKeys($text);

                return $field->getAttribute('value') === $text;
            }, 'the password to stand in its field');
            $this->desk->css('[data-sign-in-again] input')->sendKeys(WebDriverKeys::ENTER);
        };
        $password('not this');
        $this->desk->waitForText('The email or the password is wrong');
        $password('harbour-light');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-sign-in-again]') === 0, 'the page to be free again');
        $this->desk->waitUntil(fn (): bool => (int) $this->ask('project.openings.width') === 1260, 'what was typed to be done');
        $this->desk->waitForText('South · Charts');
    }

    public function test_a_part_that_cannot_be_fetched_is_said_and_comes_when_the_page_is_loaded_again(): void
    {
        $tools = new ChromeDevToolsDriver($this->desk->driver);
        $tools->execute('Network.enable');
        $tools->execute('Network.setBlockedURLs', ['urls' => ['*/build/assets/Schedules-*']]);
        $this->desk->driver->navigate()->refresh();
        $this->desk->ready();
        $this->desk->press('Schedules');
        $this->desk->waitForText('The schedules could not be fetched. Nothing you did is lost.');
        self::assertSame([], $this->axe());
        $tools->execute('Network.setBlockedURLs', ['urls' => []]);
        $this->desk->press('Load the page again');
        $this->desk->ready();
        $this->desk->press('Schedules');
        $this->desk->waitFor('section[aria-label=Schedules] table');
    }

    private function network(bool $on): void
    {
        $tools = new ChromeDevToolsDriver($this->desk->driver);
        $tools->execute('Network.enable');
        $tools->execute(
            'Network.emulateNetworkConditions',
            ['offline' => ! $on, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1],
        );
    }

    private function openings(): int
    {
        return (int) $this->ask('count');
    }

    /** Asks the server itself, not the page: how many openings there are, or the width of the first of the storey. */
    private function ask(string $what): string
    {
        return (string) $this->desk->driver->executeAsyncScript(<<<'JS'
            const [what, done] = arguments;
            const at = `/api/projects/${location.pathname.split('/').pop()}`;
            (async () => {
                const project = await (await fetch(at)).json();
                const south = await (await fetch(`${at}/elevations/${project.frontages[0].id}`, { cache: 'no-store' })).json();
                const charts = project.storeys[1].id;
                const first = south.openings.filter((o) => o.storey === charts).sort((a, b) => a.left - b.left);
                done(what === 'count' ? south.openings.length : (first.find((o) => Math.abs(o.width - 1250) < 1 || Math.abs(o.width - 1260) < 1)?.width ?? 0));
            })().catch((e) => done(String(e)));
            JS, [$what]);
    }
}
