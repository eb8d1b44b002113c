<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;
use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Desk;

/** Others' papers held against the model, and our own taken along. */
final class PapersTest extends BrowserCase
{
    public function test_a_given_schedule_is_read_in_held_against_the_model_and_put_right(): void
    {
        $this->desk->press('Schedules');
        $this->desk->press('Given');
        $this->desk->waitForText('Client’s schedule');
        self::assertSame([], $this->axe());
        // another one, with a column that has to be said by hand
        file_put_contents(
            $csv = sys_get_temp_dir().'/doors.csv',
            "Ref,What,W,H,Pieces on quay\nD-04,pair of doors,1900,2300,1\nW-77,porthole,800,800,2\n",
        );
        $this->desk->file('.csv,.tsv,.txt,.xlsx', $csv);
        $this->desk->waitFor('[data-reading="2"]');
        $this->pick('What column 5 states', 'count on');
        $this->desk->waitFor('[aria-label="Storey of column 5"]');
        $this->desk->press('Hold it against the model');
        $this->desk->waitForText('One D-04 on Quay is 1 800 × 2 300, given 1 900 × 2 300.');
        $this->desk->press('Change the type to the size given');
        $this->desk->waitUntil(fn (): bool => ! str_contains($this->desk->text(), 'One D-04 on Quay is'), 'the size being right');
        $this->desk->press('Make types of the lines…');
        $this->desk->waitForText('round light');
        $this->desk->press('Make the type');
        $this->desk->waitForText('2 of W-77 are missing on Quay');
        $this->desk->press('Place the 2');
        $this->desk->waitForText('W-77 in hand');
        $this->desk->click('elevation', 17000, 2600);
        $this->desk->waitForText('1 of W-77 is missing on Quay');
        $this->desk->keys(Keys::ESCAPE);
        // the same file comes again, revised: it says what it changes, and takes the place of the first
        file_put_contents($csv, "Ref,What,W,H,Pieces,Floor\nD-04,pair of doors,1900,2400,1,Hall\nW-78,porthole,800,800,2,Hall\n");
        $this->desk->file('.csv,.tsv,.txt,.xlsx', $csv);
        $this->desk->waitForText('In place of doors: 1 new, 1 gone, 1 changed, 0 as they were.');
        $this->desk->waitForText('2 with something that cannot be read');
        $this->pick('Storey that “Hall” is', 'Quay');
        $this->desk->waitForText('all read');
        self::assertSame([], $this->axe());
        $this->desk->press('Replace it');
        $this->desk->waitForText('No unit type is marked W-78; 2 are given.');
        // or both are kept, under a name that is free
        $this->desk->file('.csv,.tsv,.txt,.xlsx', $csv);
        $this->desk->waitForText('In place of doors: every line is as it was.');
        $this->pick('Read in as', 'A schedule of its own');
        $this->desk->waitUntil(fn (): bool => $this->desk->value('Name of the schedule') === 'doors 2', 'a name that is free');
        $this->desk->press('Cancel');
        $this->desk->press('Close the schedules');
    }

    public function test_a_schedule_is_laid_out_kept_and_its_rows_find_their_places(): void
    {
        $this->desk->press('Schedules');
        $this->desk->press('Each opening');
        $this->desk->waitForText('Storey: Quay');
        $this->desk->press('Mark openings');
        $this->desk->type('Text of the marks', '{storey}.{n}');
        $this->desk->waitFor('[aria-label^="Undo: Marked"]');
        $this->desk->waitForText('0.01');
        $this->desk->press('Lay out');
        $this->desk->waitFor('[aria-label="Layout"]');
        $this->desk->press('Remove Name');
        $this->pick('Grouped by', 'Frontage');
        $this->desk->waitForText('Frontage: East');
        self::assertSame([], $this->axe());
        $this->desk->type('Name of the layout', 'By frontage');
        $this->desk->waitForText('Kept layout By frontage.');
        $this->desk->waitFor('nav[aria-label="Which schedule"] button[aria-pressed=true]');
        $this->desk->pressOn('tbody tr[tabindex="0"]');
        $this->desk->waitFor('[data-pane=elevation] [data-chosen]');
        $this->desk->press('Close the schedules');
    }

    public function test_a_section_is_cut_in_plan_and_a_sheet_is_arranged(): void
    {
        $this->desk->keys('s');
        $this->desk->waitFor('[data-pointing="section 0"]');
        $this->desk->press('Enlarge the plan');
        $this->desk->ready();
        $this->desk->click('plan', 4000, -900);
        $this->desk->click('plan', 4000, 12200);
        $this->desk->waitFor('[data-section-line="B"]');
        $this->desk->waitFor('[data-pane=section]');
        $this->desk->driver->navigate()->refresh();
        $this->desk->ready();
        $project = explode('?', $this->desk->driver->getCurrentURL())[0];
        $this->desk->pressOn('header a[href$="/sheets"]');
        $this->desk->waitFor('[data-block^="Elevation"]');
        self::assertSame([], $this->axe());
        $this->desk->press('New sheet');
        $this->desk->waitForText('An empty sheet');
        foreach (['Section' => 'B', 'Plan' => 'Charts'] as $menu => $item) {
            $this->desk->press($menu);
            $this->desk->waitFor('[role=menuitem]');
            $this->desk->driver->executeScript(
                '[...document.querySelectorAll("[role=menuitem]")].find((m) => m.textContent === arguments[0]).click()',
                [$item],
            );
            $this->desk->waitFor(sprintf('[data-block="%s %s"]', $menu, $item));
        }
        // dragged over each other, then taken apart again by the keyboard
        $block = $this->desk->css('[data-block="Plan Charts"]');
        $block->click();
        for ($i = 0; $i < 12; $i++) {
            $before = $block->getCssValue('left');
            $this->desk->keys(Keys::SHIFT.Keys::ARROW_LEFT);
            $this->desk->waitUntil(
                fn (): bool => $this->desk->css('[data-block="Plan Charts"]')->getCssValue('left') !== $before,
                'the plan to move',
            );
            if (str_contains($this->desk->text(), 'It lies over')) {
                break;
            }
        }
        $this->desk->waitForText('It lies over');
        $this->desk->press('Remove from the sheet');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-block="Plan Charts"]') === 0);
        $this->desk->driver->get($project);
        $this->desk->ready();
    }

    public function test_a_drawing_is_laid_under_scaled_put_in_place_and_openings_are_set_out_from_its_marks(): void
    {
        // the south wall of the quay at 1:100 of paper mm, its left corner at (20, 20), an opening marked from 142 to 152
        file_put_contents(
            $svg = sys_get_temp_dir().'/quay.svg',
            '<svg xmlns="http://www.w3.org/2000/svg" width="220mm" height="160mm" viewBox="0 0 220 160"><g stroke="#000"><path d="M20 140H162M172 140H200M23 137H162M172 137H197M162 140V137M172 140V137"/><path d="M20 140V26H200V140"/></g><script>alert(1)</script></svg>',
        );
        $this->desk->keys('j');
        $this->desk->waitForText('A plan drawing laid under the model');
        $this->desk->file('.png,.jpg,.jpeg,.svg,.pdf', $svg);
        $this->desk->waitForText('Left out: 1 script.');
        $this->desk->press('Enlarge the plan');
        $this->desk->ready();
        $tracing = fn (): array => (array) $this->desk->driver->executeAsyncScript(
            'const done = arguments[0]; fetch(`/api/projects/${location.pathname.split("/").pop()}`).then((r) => r.json()).then((p) => done(p.tracings.find((t) => t.name === "quay")))',
        );
        $at = static fn (array $t, float $x, float $y): array => [
            $t['x'] + $x * $t['scale'] * 96 / 25.4,
            $t['y'] + (160 - $y) * $t['scale'] * 96 / 25.4,
        ];
        $this->desk->press('Scale by two points');
        $before = $tracing();
        foreach ([[20, 140], [200, 140]] as [$x, $y]) {
            $this->desk->hover('plan', ...$at($before, $x, $y));
            $this->desk->click('plan', ...$at($before, $x, $y));
        }
        $this->desk->type('Known distance', '18 m');
        $this->desk->waitForText('Scaled tracing quay');
        $scaled = $tracing();
        self::assertEqualsWithDelta(100.0 * 25.4 / 96, $scaled['scale'], 1e-4);
        $this->desk->press('Put in place');
        $this->desk->click('plan', ...$at($scaled, 20, 140));
        $this->desk->click('plan', 0, 0);
        $this->desk->waitForText('It is put there.');
        $this->desk->press('It lies right');
        $this->desk->waitFor('[data-candidate]');
        self::assertEqualsWithDelta([-2000.0, -2000.0], [$tracing()['x'], $tracing()['y']], 30.0);
        self::assertSame([], $this->axe());
        // taken by hand from its two marks, rounded to the module
        $this->desk->press('From two marks');
        foreach ([162, 172] as $x) {
            $this->desk->hover('plan', ...$at($tracing(), $x, 138.5));
            $this->desk->click('plan', ...$at($tracing(), $x, 138.5));
        }
        $this->desk->waitForText('The marks are 1 000 apart');
        $this->pick('Width', 'rounded to the module', '[data-pointing] ');
        $this->desk->waitForText('the opening is 910, 90 narrower');
        $this->desk->pressOn('[data-pointing] button[type=submit]');
        $this->desk->waitFor('[data-pointing="marks 0"]');
        $this->desk->waitFor('[aria-label="Undo: Placed 1 opening from marks"]');
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->press('Move');
        $this->desk->waitFor('[aria-label^="Undo: "][aria-label*="1 000"], [aria-label^="Undo: Made"]');
        $this->desk->driver->navigate()->refresh();
        $this->desk->ready();
    }

    public function test_another_person_is_seen_and_what_they_do_appears_without_losing_what_one_is_doing(): void
    {
        $mate = new Desk(Chrome::open(softwareGl: false), (string) getenv('ISLEWARD_ADDRESS'));
        try {
            $mate->signIn('mate@skerrow.example');
            $mate->openProject('Skerrow Pilot House');
            $this->desk->waitFor('[data-here="1"]');
            $this->chooseFirstOfCharts();
            $this->desk->keys('r');
            $this->desk->waitFor('[data-sheet="opening.repeat"]');
            $mate->click('elevation', 1730 + 2280 + 600, 7800 + 1600);
            $mate->waitForText('South · Crew');
            $mate->type('Width', '1150');
            $mate->waitFor('[aria-label*="1 150"][aria-label^="Undo"], [aria-label^="Undo: Made W-03"]');
            $this->desk->waitUntil(
                fn (): bool => (bool) $this->desk->driver->executeAsyncScript(
                    'const done = arguments[0]; const header = document.querySelector("header button[title^=Revisions]"); done(Number(header.textContent.split(" ")[0]) > 0 && document.querySelector("[data-sheet]") !== null)',
                ),
                'the sheet to stay',
            );
            $number = (int) $mate->css('header button[title^="Revisions"]')->getText();
            $this->desk->waitUntil(
                fn (): bool => (int) $this->desk->css('header button[title^="Revisions"]')->getText() === $number,
                'the other’s change',
            );
            $this->desk->waitForCount('[data-sheet="opening.repeat"]', 1);
            $this->desk->keys(Keys::ESCAPE, Keys::ESCAPE);
            $this->desk->pressOn('[data-here]');
            $this->desk->waitForText('here now');
            self::assertSame([], $this->axe());
            // a link lets one look, until it is ended
            $whom = 'client '.random_int(1000, 9999);
            $this->desk->type('Whom the link is for', $whom);
            $this->desk->waitFor('[aria-label="Link"]');
            $mate->driver->get(getenv('ISLEWARD_ADDRESS').'/outbox'); // where nothing asks on, and so no answer brings the old cookies back
            $mate->waitForText('Outbox');
            usleep(500_000);
            $mate->driver->manage()->deleteAllCookies();
            $mate->driver->get((string) $this->desk->css('[aria-label="Link"]')->getAttribute('value'));
            $mate->waitForText('view only');
            $mate->ready(); // a link that ends while the project still comes says that there is nothing here
            self::assertSame(0, $mate->count('[data-card] input'));
            $this->desk->press("End the link $whom");
            $mate->waitFor('[data-out]');
            $this->desk->keys(Keys::ESCAPE);
        } finally {
            $mate->driver->quit();
        }
    }
}
