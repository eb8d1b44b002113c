<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** Findings that are alike are one entry: shown together, put right in one step after it was tried, accepted with one note. */
final class AlikeTest extends BrowserCase
{
    public function test_findings_alike_are_shown_put_right_undone_and_accepted_together(): void
    {
        // nine windows of one type are turned inside out
        self::assertSame(200, $this->desk->driver->executeAsyncScript(<<<'JS'
            const done = arguments[0];
            const token = decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]);
            const at = `/api${location.pathname}`;
            const ask = (path) => fetch(path).then((r) => r.json());
            (async () => {
                const { number, frontages } = await ask(at);
                const { openings } = await ask(`${at}/elevations/${frontages[0].id}`);
                const ids = openings.filter((o) => o.label === 'W-03').slice(0, 9).map((o) => o.id);
                const answer = await fetch(`${at}/edits`, {
                    method: 'POST',
                    headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token },
                    body: JSON.stringify({ edit: 'opening.change', args: { ids, facesOut: false }, base: number }),
                });
                done(answer.status);
            })();
            JS));
        $this->desk->driver->navigate()->refresh();
        $this->desk->ready();
        $this->desk->press('16 findings');
        $this->desk->waitFor('[data-alike="9"]');
        self::assertSame([], $this->axe());
        // a click on where they are chooses them all
        $this->desk->pressOn('[data-alike="9"] button');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-chosen]') === 9, 'all of them are chosen');
        $this->desk->press('Put all right…');
        $this->desk->waitForText('All can be put right.');
        $this->desk->waitForText('16 findings');
        $this->desk->press('Put 9 right');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-alike="9"]') === 0, 'they are right');
        $this->desk->press('Undo: Put 9 openings right');
        $this->desk->waitFor('[data-alike="9"]');
        $this->desk->press('Accept all…');
        $this->desk->waitFor('[aria-label="Reason for all"]');
        $this->desk->keys('as the client wishes', Keys::ENTER);
        $this->desk->waitFor('[aria-label="Undo: Accepted 9 findings"]');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-alike="9"]') === 0, 'they are accepted');
        $this->desk->waitForText('7 findings');
    }
}
