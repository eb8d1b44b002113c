<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;
use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Desk;

/** The main job, done in the browser as a designer does it, on the demo project. */
final class DeskTest extends BrowserCase
{
    public function test_a_unit_is_placed_by_pointing_and_typing_and_found_in_the_schedule(): void
    {
        $this->takeFromRack('W-01');
        $this->desk->hover('elevation', 16000, 1700);
        $this->desk->waitFor('[data-ghost=new]');
        $this->desk->keys('1', '2', '0', '0', '+', '5', '0', Keys::TAB, Keys::TAB, '1', '0', '5', '0');
        $this->desk->waitForText('W-01 in hand');
        usleep(500_000);
        $this->desk->keys(Keys::ENTER);
        $this->desk->waitUntil(
            fn (): bool => str_contains($this->desk->text(), 'W-01 fixed light') && $this->desk->count('input[aria-label="Sill"]') === 1,
        );
        // the neighbour is the W-02 that ends at 14 100: 18 000 − 3 900
        self::assertSame(
            ['15 350', '1 050', '2 500'],
            [$this->desk->value('Position'), $this->desk->value('Sill'), $this->desk->value('Head')],
        );
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->press('Schedules');
        $this->desk->waitFor('tr[aria-label="W-01, 3 placed"][aria-selected=true]');
        $this->desk->pressOn('tr[aria-label^="D-06"]');
        $this->desk->waitForText('door between sidelights');
        $this->desk->waitFor('[data-pane=elevation] [data-chosen^="op-"]');
        $this->desk->press('Undo: Placed W-01');
        $this->desk->waitFor('tr[aria-label="W-01, 2 placed"]');
    }

    public function test_figures_in_the_card_take_sums_and_units_and_undo_survives_a_reload(): void
    {
        $this->chooseFirstOfCharts();
        $this->desk->type('Position', "5' 6 1/2\"");
        $this->desk->waitUntil(fn (): bool => $this->desk->value('Position') === '1 689.1');
        $this->desk->type('Width', '1200+150');
        $this->desk->waitUntil(fn (): bool => $this->desk->value('Width') === '1 350');
        $this->desk->driver->navigate()->refresh();
        $this->desk->ready();
        $this->desk->waitFor('[aria-label^="Undo: Made W-03"]');
        $this->desk->focus();
        $this->desk->keys(Keys::CONTROL.'z');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[aria-label^="Undo: Moved W-03"]') === 1);
        $this->desk->keys(Keys::CONTROL.'z');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[aria-label^="Undo: Placed"]') === 1);
        $this->chooseFirstOfCharts();
        $this->desk->waitUntil(
            fn (): bool => [$this->desk->value('Position'), $this->desk->value('Width')] === ['1 730', '1 200'],
            'it to stand as it was placed',
        );
    }

    public function test_what_is_typed_stays_with_the_reason_when_it_is_refused(): void
    {
        $this->chooseFirstOfCharts();
        $this->desk->type('Position', '20000');
        $this->desk->waitForText('wholly off its wall');
        $this->desk->waitForValue('Position', '20000');
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->type('Sill', '12oo');
        $this->desk->waitForText('is not a length');
        $this->desk->keys(Keys::ESCAPE);
        self::assertSame(['1 730', '900'], [$this->desk->value('Position'), $this->desk->value('Sill')]);
    }

    public function test_dragging_moves_an_opening_and_catches_on_the_storeys_round_it(): void
    {
        // the second of the row, 400 to the right: its right jamb catches on that of the front below, at 1200 + 4200
        $this->desk->drag('elevation', 1730 + 2280 + 600, 4200 + 1600, 1730 + 2280 + 600 + 400, 4200 + 1600);
        $this->desk->waitUntil(
            fn (): bool => $this->desk->count('input[aria-label="Position"]') === 1 && $this->desk->value('Position') !== '4 010',
        );
        $this->desk->ready();
        $moved = (float) str_replace(' ', '', $this->desk->value('Position'));
        self::assertSame(5400.0 - 1200, $moved);
        $this->desk->waitForValue('Sill', '900');
        $this->desk->drag('elevation', $moved + 600, 4200 + 1600, 4010 + 600 + 60, 4200 + 1600);
        $this->desk->waitUntil(fn (): bool => $this->desk->value('Position') === '4 010', 'the jamb of the storey above to be caught');
    }

    public function test_a_finding_is_put_right_in_one_step(): void
    {
        $this->desk->press('7 findings');
        $this->desk->waitForText('comes to 65 from the left corner, inside its return; the project keeps 150.');
        $this->desk->press('Move 85 to the right');
        $this->desk->button('6 findings');
        $this->desk->press('Undo: Moved W-09 85 to the right');
        $this->desk->button('7 findings');
    }

    public function test_it_is_all_done_by_keyboard(): void
    {
        $this->desk->keys(Keys::CONTROL.'k');
        $this->desk->waitFor('[cmdk-input]');
        $this->desk->keys('Place W-09', Keys::ENTER);
        $this->desk->waitFor('[data-ghost=new]');
        // it starts in the middle of the south wall: 2000 to the right of the glazed front, which ends at 5400
        $this->desk->keys('2000', Keys::TAB, Keys::TAB, Keys::TAB, '3900', Keys::ENTER);
        $this->desk->waitUntil(
            fn (): bool => $this->desk->count('input[aria-label="Head"]') === 1 && $this->desk->value('Head') === '3 900',
            'the window to stand',
        );
        $this->desk->waitForValue('Position', '7 400');
        $this->desk->keys(Keys::ESCAPE, Keys::ARROW_RIGHT);
        $this->desk->waitUntil(
            fn (): bool => $this->desk->count('[aria-label^="Undo: Moved W-09 10 to the right"]') === 1,
            'the arrow to move it',
        );
        $this->desk->keys(Keys::DELETE);
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[aria-label="Undo: Removed W-09"]') === 1, 'it to be removed');
        for ($i = 0; $i < 3; $i++) {
            $this->desk->keys(Keys::CONTROL.'z');
            usleep(500_000);
        }
        $this->desk->keys(']');
        $this->desk->waitForText('South · Quay');
    }

    public function test_a_unit_is_placed_in_plan(): void
    {
        $this->desk->press('Plan');
        $this->desk->press('Enlarge the plan');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-pane=plan]') === 1);
        $this->desk->ready();
        $this->takeFromRack('W-01');
        $this->desk->hover('plan', 11000, 11300);
        $this->desk->waitFor('[data-pane=plan] [data-ghost=new]');
        $this->desk->click('plan', 11000, 11300);
        $this->desk->waitUntil(fn (): bool => str_contains($this->desk->text(), 'North · Quay'), 'it to stand in the north wall');
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->press('Undo: Placed W-01');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[aria-label^="Undo: Placed W-09"]') === 1);
    }

    public function test_a_project_is_started_and_its_outline_drawn_by_typing(): void
    {
        $this->desk->driver->get((string) getenv('ISLEWARD_ADDRESS'));
        $this->desk->press('Start a project');
        $this->desk->waitForText('Floor to floor');
        $this->desk->keys('Net loft');
        $this->desk->pressOn('//label[contains(.,"drawn in plan next")]');
        $this->desk->press('Start');
        $this->desk->waitForText('New outline');
        $this->desk->ready();
        $this->desk->focus('plan');
        $this->desk->keys(Keys::ENTER);
        foreach ([['9000', '0'], ['6000', '90'], ['3 * 3000', '180']] as $i => [$length, $angle]) {
            $this->desk->keys($length, Keys::TAB, $angle, Keys::ENTER);
            $this->desk->waitFor('[data-outline="'.($i + 2).'"]');
        }
        $this->desk->press('Close and build');
        $this->desk->waitForText('4 frontages');
        // click the south wall: its outside is said
        $this->desk->ready();
        $this->desk->click('elevation', 4500, 5000);
        $this->desk->waitForText('outside faces south, 180°');
        $this->desk->pressOn('//nav[@aria-label="Storeys"]//button[1]');
        $this->desk->type('Floor to floor', '4.2 m');
        $this->desk->waitUntil(fn (): bool => $this->desk->value('Floor to floor') === '4 200');
        $this->desk->press('Insert a storey above');
        $this->desk->waitForText('New storey');
    }

    public function test_a_revision_is_kept_seen_beside_today_and_gone_back_to(): void
    {
        $open = fn () => $this->desk->pressOn('button[title="Revisions, and the latest changes"]');
        $open();
        $this->desk->waitFor('[data-sheet=revisions]');
        $this->desk->pressOn('[aria-label="Note for the revision"]');
        $note = 'Round '.bin2hex(random_bytes(3));
        $this->desk->keys($note, Keys::ENTER);
        $this->desk->waitForText($note);
        $letter = (string) $this->desk->css('[data-sheet=revisions] li b')->getText();
        $this->desk->press('Done');
        $this->chooseFirstOfCharts();
        $this->desk->type('Position', '2130');
        $this->desk->waitFor('[aria-label^="Undo: Moved W-03"]');

        $open();
        $this->desk->waitFor('[data-sheet=revisions] li b');
        $this->desk->pressOn('[data-sheet=revisions] li button');
        $this->desk->waitFor('[data-differs="1"]');
        $this->desk->waitForText('W-03, Charts: moved 400 to the right.');
        $this->desk->waitForCount('[data-differing="1"]', 1);
        self::assertSame([], $this->axe());
        $this->desk->press("Go back to {$letter}…");
        $this->desk->press("Go back to $letter, as one step");
        $this->desk->waitForText('Today’s state is as it was then.');
        $this->desk->waitFor(sprintf('[aria-label="Undo: Went back to revision %s"]', $letter));
        $this->desk->press('Done');
    }

    /** The rack is one stop for Tab, with arrows inside it, and a key goes from the drawing to the card, to the rack and back. */
    public function test_the_rack_is_one_stop_and_a_key_goes_round_the_desk(): void
    {
        $in = fn (string $part): bool => (bool) $this->desk->driver->executeScript(
            'return document.activeElement.closest(arguments[0]) !== null', [$part],
        );
        $label = fn (): string => (string) $this->desk->driver->executeScript(
            'return document.activeElement.getAttribute("aria-label") ?? ""',
        );
        $this->desk->waitForCount('[data-rack] button[tabindex="0"]', 1);
        $this->desk->focus();
        foreach (['[data-card]', '[data-rack]', '[data-pane]', '[data-card]', '[data-rack]'] as $part) {
            $this->desk->keys("\u{E036}"); // F6
            self::assertTrue($in($part), "in $part, not in ".$label());
        }
        self::assertStringStartsWith('W-01 ', $label());
        $this->desk->keys(Keys::ARROW_RIGHT, Keys::ARROW_RIGHT);
        $third = $label();
        self::assertStringStartsWith('W-03 ', $third);
        $this->desk->keys(Keys::END);
        self::assertSame('Bare opening, no unit', $label());
        $this->desk->keys(Keys::HOME, Keys::ARROW_RIGHT, Keys::ARROW_RIGHT, Keys::TAB);
        self::assertFalse($in('[data-rack]'));
        // back by Shift and Tab: to the unit that was left
        $this->desk->holding(Keys::SHIFT, fn () => $this->desk->keys(Keys::TAB));
        self::assertSame($third, $label());
        $this->desk->waitForCount('[data-rack] button[tabindex="0"]', 1);
        $this->desk->keys(Keys::ENTER);
        $this->desk->waitForText('in hand');
        $this->desk->keys(Keys::ESCAPE);
    }

    /** Light, dark, or as the system has it: in a menu of one's own, the same on every page; and the way out is in it. */
    public function test_light_and_dark_are_chosen_in_a_menu_of_ones_own_on_every_page(): void
    {
        $theme = fn (): string => (string) $this->desk->driver->executeScript('return document.documentElement.dataset.theme');
        $choose = function (string $label): void {
            $this->desk->pressOn('[aria-label="Your menu"]');
            $this->desk->waitFor('[role=menuitemradio]');
            $this->desk->pressOn(sprintf('//*[starts-with(@role, "menuitem")][normalize-space()="%s"]', $label));
        };
        $at = $this->desk->driver->getCurrentURL();
        self::assertSame('light', $theme());
        $choose('Dark');
        self::assertSame('dark', $theme());
        self::assertSame('true', $this->desk->css('[role=menuitemradio][data-state=checked]')->getAttribute('aria-checked'));
        self::assertSame([], $this->axe());
        $this->desk->keys(Keys::ESCAPE);
        foreach (['/sheets', '/bench/new', ''] as $page) {
            $this->desk->driver->get($at.$page);
            $this->desk->waitFor('[aria-label="Your menu"]');
            self::assertSame('dark', $theme(), "still so at $page");
        }
        // the browser of the tests asks for light
        $choose('As the system');
        self::assertSame('light', $theme());
        $this->desk->keys(Keys::ESCAPE);
        $choose('Sign out');
        $this->desk->waitForText('Sign in');
        $this->desk->pressOn('[aria-label="Your menu"]');
        $this->desk->waitFor('[role=menuitemradio]');
        self::assertStringNotContainsString('Sign out', $this->desk->text());
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->signIn();
    }

    public function test_a_guest_may_look_but_not_touch_and_axe_finds_nothing_serious(): void
    {
        $this->desk->press('Schedules');
        $this->desk->waitFor('[aria-rowcount]');
        self::assertSame([], $this->axe());
        $this->desk->driver->executeScript("document.documentElement.dataset.theme='dark'");
        self::assertSame([], $this->axe(), 'on dark paper');

        $guest = new Desk(Chrome::open(softwareGl: false), (string) getenv('ISLEWARD_ADDRESS'));
        try {
            $guest->signIn('guest@skerrow.example');
            $guest->openProject('Skerrow Pilot House');
            $guest->click('elevation', 1730 + 600, 4200 + 1600);
            $guest->waitForText('South · Charts');
            self::assertSame(0, $guest->count('[data-card] input'));
            $guest->keys(Keys::ESCAPE);
            $guest->waitForText('nothing can be placed');
        } finally {
            $guest->driver->quit();
        }
    }
}
