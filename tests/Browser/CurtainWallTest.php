<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Keys;

/** Curtain walls by hand: a type made at its bench, a room drawn of it, a shopfront let in, cells and lines changed, schedules. */
final class CurtainWallTest extends BrowserCase
{
    private int $actions = 0;

    /** @return array<string, mixed> */
    private function project(): array
    {
        return json_decode((string) $this->desk->driver->executeAsyncScript(
            'const done = arguments[0]; fetch(`/api/projects/${location.pathname.split("/")[2]}`).then((r) => r.text()).then(done);',
        ), true, 64, JSON_THROW_ON_ERROR);
    }

    private function act(\Closure $do): void
    {
        $this->actions++;
        $do();
    }

    private function typed(string $label, string $text): void
    {
        $this->act(fn () => $this->desk->type($label, $text));
        $this->desk->waitUntil(fn (): bool => $this->desk->driver->findElements(WebDriverBy::cssSelector('[data-busy=true]')) === []);
    }

    public function test_a_glazed_room_against_a_wall_is_made_in_under_thirty_actions(): void
    {
        $this->act(fn () => $this->desk->press('Make or bring in units'));
        $this->desk->waitFor('[role=menuitem]');
        $this->act(fn () => $this->desk->pressOn('//*[@role="menuitem"][contains(., "grid type")]'));
        $this->desk->waitForText('not on the rack yet');
        $this->desk->waitFor('input[aria-label="All members: face and depth"]');
        $this->typed('All members: face and depth', '60 × 140');
        $this->desk->waitUntil(fn (): bool => $this->desk->value('Mullions: face and depth') === '60 × 140');
        $this->typed('Corner: face and depth', '140 × 140');
        $this->desk->waitUntil(fn (): bool => $this->desk->value('Corner: face and depth') === '140 × 140');
        self::assertSame([], $this->axe());
        $this->act(fn () => $this->desk->press('Add to the rack'));
        $this->desk->waitForText('in no place');
        $this->act(fn () => $this->desk->pressOn('a[aria-label="To the desk"]'));
        $this->desk->ready();
        $this->desk->waitFor('button[aria-label^="CW-05 "]');
        $this->act(fn () => $this->desk->pressOn('button[aria-label^="CW-05 "]'));
        $this->act(fn () => $this->desk->press('draw a run in plan'));
        $this->desk->waitForText('New run');
        $this->desk->ready();
        // the south face of the house lies on y = 0
        $this->act(fn () => $this->desk->click('plan', 3000, 0));
        $this->desk->waitFor('[data-outline="1"]');
        foreach ([['3200', '270'], ['4600', '0'], ['3200', '90']] as $i => [$length, $angle]) {
            $this->act(fn () => $this->desk->keys($length));
            $this->act(fn () => $this->desk->keys(Keys::TAB, $angle));
            $this->act(fn () => $this->desk->keys(Keys::ENTER));
            $this->desk->waitFor(sprintf('[data-outline="%d"]', $i + 2));
        }
        // where its mullions would stand is seen before it is built
        $this->desk->waitFor('[data-bays]');
        $this->act(fn () => $this->desk->press('Build'));
        $this->desk->waitForText('Stretch 1 of 3 of a run');
        $this->typed('Height of its own', '2250');
        $this->desk->waitFor('[aria-label^="Undo: Changed 3 stretches"]');
        $this->typed('Thickness of its slab', '150');
        $this->desk->waitFor('[aria-label^="Undo: Put Outline"]');
        self::assertLessThan(30, $this->actions);
        $project = $this->project();
        $run = array_values(array_filter($project['runs'], static fn (array $r): bool => count($r['walls']) === 3))[0];
        $walls = array_column($project['walls'], null, 'id');
        self::assertEqualsWithDelta(3200.0 + 4600 + 3200, $run['length'], 0.01);
        foreach ($run['walls'] as $i => $id) {
            self::assertEqualsWithDelta(2250.0, $walls[$id]['head'] - $walls[$id]['foot'], 0.01);
            $facing = array_values(array_filter($project['frontages'], static fn (array $f): bool => isset($f['walls'][$id])))[0]['facing'];
            self::assertSame(['West', 'South', 'East'][$i], $facing, 'outside is out');
        }
        self::assertSame([], $this->axe());
    }

    public function test_a_shopfront_is_dragged_onto_a_wall_and_one_of_its_cells_becomes_a_door(): void
    {
        $this->goTo('South 4');
        $at = $this->offset('South 4');
        $before = $this->desk->count('[data-chosen]');
        $this->desk->pressOn('button[aria-label^="CW-01 "]');
        $this->desk->waitForText('Drag a rectangle on a wall');
        $this->goTo('West 4');
        $west = $this->offset('West 4');
        $this->desk->hover('elevation', $west + 1200, 1500);
        $this->desk->drag('elevation', $west + 1000, 60, $west + 5000, 3000);
        $this->desk->waitFor('[aria-label^="Undo: Placed CW-01"]');
        $this->desk->keys(Keys::ESCAPE);
        self::assertSame(0, $before);
        self::assertGreaterThan($at, $west);
        $this->desk->waitForText('Filled with curtain wall');
        foreach (['Width' => 4000.0, 'Height' => 3000.0] as $label => $mm) {
            $value = (float) str_replace(' ', '', $this->desk->value($label));
            self::assertEqualsWithDelta($mm, $value, 40, 'as far as the pointer can be placed');
        }
        // the second click chooses a cell of what is chosen
        $this->desk->click('elevation', $west + 1600, 1200);
        $this->desk->waitForText('Bay 1, row 1');
        $this->pick('What fills it', 'D-01 glazed door');
        $this->desk->waitFor('[aria-label^="Undo: Changed cells"]');
        $this->desk->waitForText('handed as drawn');
        $this->desk->press('The whole curtain wall');
        $this->desk->waitForText('Changed by hand');
        $this->desk->waitForText('Cell right of line 0, over line 0: D-01');
        $this->desk->pressOn('//button[starts-with(@aria-label, "Reset: Cell right of line 0")]');
        $this->desk->waitFor('[aria-label^="Undo: Reset a change"]');
    }

    public function test_lines_move_cells_join_and_a_free_member_is_drawn_on_a_leaning_stretch(): void
    {
        $this->goTo('South-west');
        $at = $this->offset('South-west');
        $this->desk->click('elevation', $at + 3000, 1900);
        $this->desk->waitForText('Stretch 1 of 2 of a run');
        $this->desk->waitForValue('Angle from the ground', '72°');
        // a mullion, by its line: 94.996 from the left end and every 900 from there
        $this->desk->click('elevation', $at + 95 + 3 * 900, 500);
        $this->desk->waitForText('Upright line 4');
        // what cannot be stays typed, with the reason, and changes nothing
        $this->desk->type('Place of the line', '99 m');
        $this->desk->waitForText('would lie at 99 000, past the end');
        $this->desk->waitForValue('Place of the line', '99 m');
        self::assertSame(0, $this->desk->count('[aria-label^="Undo: Changed a line"]'));
        $this->desk->type('Place of the line', '2600');
        $this->desk->waitFor('[aria-label^="Undo: Changed a line"]');
        $this->desk->press('The whole curtain wall');
        $this->desk->waitForText('Upright line 4 moved to 2 600 from the left end');
        $this->desk->click('elevation', $at + 3000, 500);
        $this->desk->waitForText('Bay 5, row 1');
        $this->desk->holding(Keys::SHIFT, fn () => $this->desk->click('elevation', $at + 2200, 500));
        $this->desk->waitForText('2 cells');
        $this->desk->press('Join the two');
        $this->desk->waitFor('[aria-label^="Undo: Joined cells"]');
        // the card is that of the joined cell then
        $this->desk->waitUntil(fn (): bool => ! str_contains($this->desk->text(), '2 cells'));
        $this->desk->press('The whole curtain wall');
        $this->desk->waitForText('no member');
        $this->desk->press('Free member');
        $this->desk->waitForText('Click where the member begins');
        // from one upright to the next: they catch on the lines 3 595 and 4 495 from the left end
        foreach ([[3620, 300], [4470, 900]] as [$u, $v]) {
            $this->desk->hover('elevation', $at + $u, $v);
            $this->desk->click('elevation', $at + $u, $v);
        }
        $this->desk->waitForText('Free member 3: ');
        // another could be drawn now: Escape leaves that, and the curtain wall stays chosen
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->waitUntil(fn (): bool => ! str_contains($this->desk->text(), 'Click where the member begins'));
        $this->desk->pressOn('//button[starts-with(@aria-label, "Remove: Free member 3")]');
        $this->desk->waitUntil(fn (): bool => ! str_contains($this->desk->text(), 'Free member 3: '));
        // all transoms at once, by one of them: 1 200 up the face, which leans by 18°
        $this->desk->click('elevation', $at + 3900, 1200 * cos(deg2rad(18)));
        $this->desk->waitForText('Level line 1');
        $this->pick('Which pieces', 'All transoms are');
        $this->desk->type('Section of this piece', '50 × 90');
        $this->desk->waitFor('[aria-label^="Undo: Changed members"]');
        $this->desk->press('The whole curtain wall');
        foreach (['Level line 1 from the start: 50 × 90', 'Level line 3 from line 6: 50 × 90'] as $says) {
            $this->desk->waitForText($says);
        }
        self::assertSame([], $this->axe());
    }

    public function test_cells_and_members_are_hidden_by_themselves_kept_in_a_set_and_several_members_taken_out(): void
    {
        $this->goTo('South-west');
        $at = $this->offset('South-west');
        $this->desk->click('elevation', $at + 3000, 1900);
        $this->desk->waitForText('Stretch 1 of 2 of a run');
        $mullion = static fn (int $line): float => $at + 95 + $line * 900;
        $this->desk->click('elevation', $mullion(3), 500);
        $this->desk->waitForText('Upright line 4');
        // what is lit is what is meant: the piece in its row
        $this->desk->waitForCount('[data-piece]', 1);
        $this->desk->holding(Keys::SHIFT, fn () => $this->desk->click('elevation', $mullion(4), 500));
        $this->desk->waitForText('2 members');
        $this->desk->type('Name of the set', 'Two mullions');
        $this->desk->press('Keep as a set');
        $this->desk->waitForText('Kept 2 members as the set');
        $this->desk->press('Take them out');
        $this->desk->waitFor('[aria-label^="Undo: Changed members"]');
        $this->desk->pressOn('[aria-label^="Undo: Changed members"]');
        $this->desk->waitFor('[aria-label^="Undo: Kept set"]');
        // a hidden cell is gone from the drawing, and a click finds nothing of it there
        $this->desk->click('elevation', $at + 3000, 500);
        $this->desk->waitForText('Bay 5, row 1');
        $this->desk->focus();
        $this->desk->keys('h');
        $this->desk->waitForText('Hidden: 1 cell');
        $this->desk->click('elevation', $at + 3000, 500);
        $this->desk->click('elevation', $at + 3900, 500);
        $this->desk->waitForText('Bay 6, row 1');
        self::assertStringNotContainsString('Bay 5', $this->desk->text());
        $this->desk->press('Show all');
        $this->desk->waitUntil(fn (): bool => ! str_contains($this->desk->text(), 'Hidden:'));
        // the set chooses what it keeps, and hides it
        $this->desk->keys(Keys::ESCAPE, Keys::ESCAPE, Keys::ESCAPE);
        $this->desk->press('Two mullions');
        $this->desk->waitForText('2 members');
        $this->desk->waitForCount('[data-piece]', 2);
    }

    public function test_corner_posts_and_free_members_are_chosen_kept_and_hidden_by_themselves(): void
    {
        $this->goTo('South-west');
        $at = $this->offset('South-west');
        $this->desk->click('elevation', $at + 3000, 1900);
        $this->desk->waitForText('Stretch 1 of 2 of a run');
        // the post leans along the edge of both stretches, and is lit on both
        $this->desk->click('elevation', $at + 6420, 100);
        $this->desk->waitForText('Corner post 90 × 180');
        $this->desk->waitForCount('[data-named]', 2);
        $this->desk->keys(Keys::DELETE);
        $this->desk->waitForText('What stands at a corner stays');
        // a free member with it: the first runs from 1 500, 1 200 to 2 400, 3 600 up the face
        $cos = cos(deg2rad(18));
        $free = fn () => $this->desk->click('elevation', $at + 1725, 1800 * $cos);
        $this->desk->holding(Keys::SHIFT, $free);
        $this->desk->waitForText('2 members');
        $this->desk->type('Name of the set', 'At the edge');
        $this->desk->press('Keep as a set');
        $this->desk->waitForText('Kept 2 members as the set');
        $this->desk->pressOn('//*[@data-card]//button[starts-with(., "Hide")]');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-named]') === 0, 'what is hidden is not chosen');
        $this->desk->focus();
        $free();
        $this->desk->waitUntil(fn (): bool => ! str_contains($this->desk->text(), 'Free member 50'), 'nothing of it where it was');
        $this->desk->press('Show all');
        $this->desk->keys(Keys::ESCAPE, Keys::ESCAPE, Keys::ESCAPE);
        $this->desk->press('At the edge');
        $this->desk->waitForText('2 members');
        // Delete takes the free one of them, and one step brings it back
        $this->desk->focus();
        $this->desk->keys(Keys::DELETE);
        $this->desk->waitFor('[aria-label^="Undo: "]');
        $this->desk->waitUntil(fn (): bool => ! str_contains($this->desk->text(), '2 members'));
        self::assertSame([], $this->axe());
    }

    public function test_a_cell_is_divided_in_its_bay_only_and_what_is_typed_is_shown_before_it_is_done(): void
    {
        $this->goTo('South-west');
        $at = $this->offset('South-west');
        $this->desk->click('elevation', $at + 3000, 1900);
        $this->desk->waitForText('Stretch 1 of 2 of a run');
        // a lean is seen while it is typed, and gone with Escape
        $this->desk->write('Angle from the ground', '65');
        $this->desk->waitFor('[data-tried="1"]');
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-tried]') === 0);
        $this->desk->waitForValue('Angle from the ground', '72°');
        // a cell of 1 200 by a transom 400 over the foot, in its bay only
        $this->desk->click('elevation', $at + 3000, 1900);
        $this->desk->click('elevation', $at + 3000, 500);
        $this->desk->waitForText('Bay 5, row 1');
        // past its head it would be the next cell's: said, and what was typed stays
        $this->desk->type('Where it is divided', '1500');
        $this->desk->waitForText('1 500 lies past the end of the cell of bay 5, row 1, which is 1 200 high');
        $this->desk->waitForValue('Where it is divided', '1500');
        $this->desk->write('Where it is divided', '400');
        $this->desk->waitFor('[data-tried="1"]');
        $this->desk->keys(Keys::ENTER);
        $this->desk->waitFor('[aria-label^="Undo: Divided a cell"]');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-tried]') === 0);
        $this->desk->waitForText('850 × 375 clear');
        $this->desk->press('The whole curtain wall');
        $this->desk->waitForText('Level line added 400 over line 0, in the bay right of line 4 only');
        // what a choice or a button asks for and cannot be is refused in words
        $this->pick('How its bays are set out', 'in line with the jambs of openings of');
        $this->pick('What its bays are in line with', 'South');
        $this->desk->waitForText('Nothing of that lies square over against this curtain wall');
        // divided into three by setting-out lines, its bays stand at those
        $this->desk->focus();
        $this->desk->keys('d');
        $this->desk->field('Parts');
        $this->desk->waitFor('[data-preview-drawn]');
        $this->desk->keys(Keys::ENTER);
        $this->desk->waitFor('[aria-label^="Undo: Set out 2 lines"]');
        $this->desk->keys(Keys::ESCAPE, Keys::ESCAPE);
        $this->desk->click('elevation', $at + 3000, 1900);
        $this->pick('How its bays are set out', 'at setting-out lines of');
        $this->pick('What its bays are in line with', 'South-west, its own');
        $this->desk->waitFor('[aria-label^="Undo: Changed 1 stretch of curtain wall"]');
        self::assertSame([], $this->axe());
    }

    public function test_a_types_change_says_where_it_goes_before_it_is_saved(): void
    {
        $this->desk->pressOn('button[aria-label^="CW-03 "]');
        $this->desk->waitForText('CW-03 in hand');
        $this->desk->pressOn('//a[normalize-space()="at the bench"]');
        $this->desk->waitForText('in 1 run');
        // drawn while it is typed; the stored figure comes back with Escape
        $this->desk->write('Bays: module', '1 m');
        $this->desk->waitFor('[data-trying=true]');
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->waitFor('[data-trying=false]');
        $this->typed('Bays: module', '2 m');
        $this->desk->waitUntil(fn (): bool => $this->desk->value('Bays: module') === '2 000');
        $this->typed('Bays: module', '99 m');
        $this->desk->waitForText('does not fit');
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->type('Storeys of the typical stretch', '0');
        $this->desk->waitForText('The number of storeys runs from 1 to 60; 0 was given.');
        $this->desk->keys(Keys::ESCAPE);
        // two sizes of one field: both or none
        $this->desk->type('Transoms: face and depth', '70 × 0');
        $this->desk->waitForText('must be at least 1; 0 was given');
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->waitUntil(fn (): bool => $this->desk->value('Transoms: face and depth') === '55 × 130');
        $this->desk->press('Save');
        $this->desk->waitForText('It stands in 1 run; all of them follow.');
        $this->desk->press('Save and change 1 place');
        $this->desk->waitUntil(fn (): bool => ! str_contains($this->desk->text(), 'not saved'));
        $this->desk->pressOn('a[aria-label="To the desk"]');
        $this->desk->waitFor('[aria-label^="Undo: Changed CW-03 in 1 run"]');
    }

    public function test_a_member_in_the_schedule_finds_its_place_and_bars_are_told_with_their_waste(): void
    {
        $this->desk->press('Schedules');
        $this->desk->press('Members');
        $this->desk->waitFor('tr[aria-label^="D1, "]');
        $this->desk->pressOn('tr[aria-label^="D1, "]');
        $this->desk->waitForText('CW-');
        $this->desk->press('Cutting list');
        $this->desk->waitForText('% waste');
        $this->desk->type('Lengths of bars', '6 m, 7 m');
        $this->desk->waitFor('[aria-label^="Undo: Changed the project’s settings"]');
        $this->desk->waitForText('× 7 000');
        $this->desk->press('Shares');
        $this->desk->waitForText('% glass of');
        self::assertSame([], $this->axe());
    }
}
