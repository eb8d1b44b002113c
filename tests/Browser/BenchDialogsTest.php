<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** The bench's dialogs and sheets: a type is looked at on paper, made again, and taken off the rack with what takes its place. */
final class BenchDialogsTest extends BrowserCase
{
    private function open(string $mark): void
    {
        $type = (string) $this->desk->driver->executeAsyncScript(
            'const [mark, done] = arguments; fetch(`/api/projects/${location.pathname.split("/")[2]}`).then((r) => r.json())'
            .'.then((p) => done(p.types.find((t) => t.mark === mark).id));',
            [$mark],
        );
        preg_match('#projects/([^/?]+)#', $this->desk->driver->getCurrentURL(), $m);
        $this->desk->driver->get(sprintf('%s/projects/%s/bench/%s', (string) getenv('ISLEWARD_ADDRESS'), $m[1] ?? '', $type));
        $this->desk->waitFor('[data-light]');
    }

    private function more(string $item): void
    {
        $this->desk->press('More');
        $this->desk->waitFor('[role=menuitem]');
        $this->desk->pressOn(sprintf('//*[@role="menuitem"][normalize-space()="%s"]', $item));
    }

    public function test_every_leaf_is_listed_and_the_types_sheet_is_drawn(): void
    {
        $this->open('D-14');
        $this->desk->pressOn('[data-light]');
        foreach ([1, 2, 3, 4] as $leaf) {
            $this->desk->waitForText("Leaf $leaf");
        }
        self::assertSame([], $this->axe());
        $this->more('Its sheet');
        $this->desk->waitFor('[aria-label="Sheet of D-14"]');
        $page = '[aria-label="Sheet of D-14"] img, [aria-label="Sheet of D-14"] svg';
        $this->desk->waitUntil(fn (): bool => $this->desk->count($page) > 0, 'a page');
        $this->desk->waitForText('folding door of four leaves');
        self::assertSame([], $this->axe());
    }

    public function test_a_type_in_use_goes_only_when_another_takes_its_place(): void
    {
        $this->open('W-13');
        $this->more('Remove W-13 from the rack');
        $this->desk->waitForText('in its place there goes');
        self::assertSame([], $this->axe());
        $this->desk->press('Cancel');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[role=dialog]') === 0, 'nothing is removed');
        $this->more('Remove W-13 from the rack');
        $this->pick('Instead', 'W-09 small light');
        $this->desk->press('Remove');
        $this->desk->ready();
        $this->desk->waitFor('[aria-label^="Undo: Removed W-13"]');
        $this->desk->holding(Keys::CONTROL, fn () => $this->desk->keys('z'));
        $this->desk->waitFor('[aria-label^="Undo: Placed W-09"]');
    }

    public function test_another_like_it_is_made_under_a_mark_of_its_own(): void
    {
        $this->open('W-02');
        $this->more('Make another like this');
        $this->desk->waitFor('[role=dialog]');
        self::assertSame([], $this->axe());
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[role=dialog]') === 0, 'it is left');
        $this->more('Hand it the other way');
        $this->desk->waitUntil(fn (): bool => ! $this->desk->css('[aria-label^="Undo"]')->getAttribute('disabled'), 'it can be undone');
    }
}
