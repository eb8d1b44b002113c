<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** The same again, and many at once: each seen first, done, and undone. */
final class ArrangeTest extends BrowserCase
{
    public function test_gather_repeat_figure_enter_by_keyboard_alone(): void
    {
        $this->desk->focus();
        $this->stepToLastSmallLight();
        $this->desk->keys('g');
        $this->desk->waitFor('[data-found="7"]');
        $this->desk->keys('r');
        $this->desk->waitFor('[data-sheet="opening.repeat"]');
        $this->desk->keys('5 m');
        $this->desk->waitForText('of 7 fit');
        $this->desk->waitForText('past the wall’s right end');
        self::assertGreaterThan(3, $this->desk->count('[data-misfit]'));
        $this->desk->keys(Keys::ENTER);
        usleep(500_000);
        $this->desk->waitForCount('[data-sheet="opening.repeat"]', 1);
        $this->desk->keys(Keys::ESCAPE, Keys::ESCAPE);
        $this->stepToLastSmallLight();
        $this->desk->keys('r');
        $this->desk->waitFor('[data-sheet="opening.repeat"]');
        $this->desk->keys('1.3 m');
        $this->desk->waitFor('[data-preview="1/1"]');
        $this->desk->keys(Keys::ENTER);
        $this->undoOf('Repeated W-09: 1 opening');
    }

    public function test_a_stack_with_one_that_does_not_fit(): void
    {
        $this->goTo('North');
        // W-09 at 1500 and 3780 along the north wall's Quay: over the first stands a W-05, over the second its pier
        $x = $this->offset('North');
        $this->desk->click('elevation', $x + 1500 + 300, 1800);
        $this->desk->waitForText('W-09 small light');
        $this->shiftClick($x + 3780 + 300, 1800);
        $this->desk->waitForText('2 openings');
        $this->desk->focus();
        $this->desk->keys('t');
        $this->desk->waitFor('[data-sheet="opening.stack"]');
        $this->desk->waitForText('Sill of W-09: 1 500 above its storey’s floor');
        $this->tick('Crew');
        $this->tick('Office');
        $this->desk->waitFor('[data-preview="1/2"]');
        $this->desk->waitForText('It would meet W-05 at 1 500');
        self::assertFalse($this->desk->button('Stack Enter')->isEnabled(), 'all or nothing, until one says otherwise');
        $this->tick('Skip those and do the rest');
        $this->desk->press('Stack Enter');
        $this->undoOf('Stacked 1 opening');
    }

    public function test_a_framed_row_is_mirrored(): void
    {
        $this->goTo('North 3');
        $x = $this->offset('North 3');
        $this->frame($x + 200, 1200, $x + 10800, 2400);
        $this->desk->waitForText('5 openings');
        $before = $this->lefts();
        $this->desk->focus();
        $this->desk->keys('m');
        $this->pick('Move or copy', 'Move');
        $this->desk->waitFor('[data-preview="5/5"]');
        $this->desk->keys(Keys::ENTER);
        $this->desk->waitFor('[aria-label="Undo: Mirrored 5 openings"]');
        $this->desk->ready();
        // 11 000 − left − 900
        self::assertSame(array_map(static fn (float $left): float => 10100 - $left, array_reverse($before)), $this->lefts());
        $this->undoOf('Mirrored 5 openings');
        self::assertSame($before, $this->lefts());
    }

    public function test_a_bare_opening_is_filled_exactly(): void
    {
        $this->goTo('South 2');
        $this->desk->click('elevation', $this->offset('South 2') + 5500, 2900);
        $this->desk->waitForText('Bare opening');
        $this->desk->focus();
        $this->desk->keys('f');
        $this->desk->waitFor('[data-preview="1/1"]');
        $this->desk->waitForText('made to fit');
        $this->desk->keys(Keys::ENTER);
        $this->desk->waitForText('4 200 × 3 400');
        $this->undoOf('Filled 1 opening');
    }

    public function test_more_than_forty_are_gathered_and_changed_together(): void
    {
        $this->chooseFirstOfCharts();
        $this->desk->focus();
        $this->desk->keys('g');
        $this->desk->waitFor('[data-sheet="gather"]');
        foreach (['type', 'width', 'height', 'head above floor'] as $criterion) {
            $this->tick($criterion);
        }
        // heads at 2350: 28 W-03, 18 W-05, 9 W-11, 9 W-07, 9 W-39, 5 W-27, 3 W-13, 8 W-01 and a W-02
        $found = 90;
        $this->desk->waitFor("[data-found=\"$found\"]");
        $this->desk->press('Done');
        $this->desk->waitForText("$found openings");
        $this->desk->waitForValue('Width', '700 … 2 700');
        $this->desk->type('Height', '-75');
        $this->desk->waitFor(sprintf('[aria-label="Undo: Changed %d openings"]', $found));
        $this->desk->waitUntil(fn (): bool => $this->desk->value('Head') === '2 275' || str_contains($this->desk->value('Head'), '2 275'));
        $this->undoOf("Changed $found openings");
    }

    public function test_settings_are_carried_to_what_is_clicked(): void
    {
        $this->chooseFirstOfCharts();
        $this->desk->waitFor('[data-finding-mark].pointer-events-auto');
        $this->desk->focus();
        $this->desk->keys('y');
        $this->desk->waitFor('[data-sheet="opening.carry"]');
        self::assertSame(0, $this->desk->count('[data-finding-mark].pointer-events-auto'), 'marks over openings take no clicks now');
        $this->desk->click('elevation', 18000 + 900 + 1350, 4200 + 1600);
        $this->desk->waitFor('[data-preview="1/1"]');
        $this->desk->press('Carry to Enter');
        $this->undoOf('Carried width, height, sill to 1 opening');
    }

    public function test_a_line_is_dragged_and_what_hangs_on_it_asked_about(): void
    {
        $this->desk->drag('elevation', 9000, 3700, 9300, 3700);
        $this->desk->waitFor('[aria-label="Undo: Moved line Entrance"]');
        $this->desk->ready();
        $this->desk->click('elevation', 9300, 1000);
        $this->desk->waitForText('D-06 door between sidelights');
        $this->desk->waitForIn('[aria-label="Measured from"]', 'line Entrance');
        $this->desk->pressOn('[data-line="Entrance"]');
        $this->desk->waitForText('Line Entrance');
        $this->desk->press('Remove this line');
        $this->desk->waitForText('Something is placed from it');
        $this->desk->press('Remove, keep their figures');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[role=dialog]') === 0, 'the question to go');
        $this->undoOf('Removed line Entrance');
        $this->undoOf('Moved line Entrance');
    }

    public function test_an_opening_dragged_onto_a_line_is_placed_from_it(): void
    {
        // D-04, 1800 wide at 11 800, until its right jamb is near the line at 16 800
        $this->desk->drag('elevation', 12700, 800, 15920, 800);
        $this->desk->waitFor('[aria-label^="Undo: Moved D-04"]');
        $this->desk->ready();
        $this->desk->waitForIn('[aria-label="Measured from"]', 'line Quay edge');
        $this->desk->waitForIn('[aria-label="Measured to"]', 'far jamb');
        $this->desk->waitForValue('Position', '0');
    }

    public function test_two_points_are_measured_and_what_is_hidden_is_said(): void
    {
        $this->desk->focus();
        $this->desk->keys('i');
        $this->desk->click('elevation', 1730, 4200 + 900);
        $this->desk->click('elevation', 1730 + 2280 + 1200, 4200 + 900 + 1450);
        $this->desk->waitFor('[data-measured]');
        // 2280 + 1200 across, 1450 up: √(3480² + 1450²) = 3770
        self::assertSame(
            '3 770 · 3 480 · 1 450',
            str_replace("\u{202F}", ' ', (string) $this->desk->css('[data-measured]')->getAttribute('data-measured')),
        );
        $this->desk->keys(Keys::ESCAPE);
        // across the house between inner corners: 18 000 − 2 × 300 by 11 400 − 2 × 300, √(17 400² + 10 800²) = 20 479
        $this->desk->press('Plan');
        $this->desk->press('Enlarge the plan');
        $this->desk->ready();
        $this->desk->focus('plan');
        $this->desk->keys('i');
        $this->desk->click('plan', 300, 300);
        $this->desk->click('plan', 17700, 11100);
        $this->desk->waitFor('[data-measured*="·"]');
        self::assertSame(
            '20 479.3 · 17 400 · 10 800',
            str_replace("\u{202F}", ' ', (string) $this->desk->css('[data-measured]')->getAttribute('data-measured')),
        );
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->press('Elevation');
        $this->desk->press('Enlarge the elevation');
        $this->desk->ready();
        $this->desk->focus();
        $this->desk->keys('q');
        $this->desk->waitFor('[data-chain]');
        $this->desk->keys('q');
        $this->chooseFirstOfCharts();
        $this->desk->focus();
        $this->desk->keys('h');
        $this->desk->waitForText('Hidden: 1 opening');
        $this->desk->press('Show all');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-hidden-said]') === 0);
        $this->desk->keys('n');
        $this->desk->waitForText('Seen from inside');
    }

    public function test_axe_finds_nothing_serious_on_cards_and_sheets(): void
    {
        $this->chooseFirstOfCharts();
        self::assertSame([], $this->axe(), 'one opening');
        $this->desk->focus();
        $this->desk->keys('g');
        $this->desk->waitFor('[data-found="28"]');
        self::assertSame([], $this->axe(), 'gather');
        $this->desk->keys('r');
        $this->desk->waitFor('[data-misfit]');
        self::assertSame([], $this->axe(), 'a sheet with what would not fit');
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->waitForText('28 openings');
        self::assertSame([], $this->axe(), 'many openings');
        $this->desk->press('7 findings');
        $this->desk->pressOn('[data-line="Entrance"]');
        $this->desk->waitForText('Line Entrance');
        self::assertSame([], $this->axe(), 'a line');
    }

    /** The square bracket goes from opening to opening: three and one to the south, three to the east, six small lights to the north. */
    private function stepToLastSmallLight(): void
    {
        $this->desk->keys(...array_fill(0, 13, ']'));
        $this->desk->waitForText('W-09 small light');
    }

    /** @return list<float> left jambs along the workshop's north wall */
    private function lefts(): array
    {
        /** @var list<float|int> $lefts */
        $lefts = $this->desk->driver->executeAsyncScript(<<<'JS'
            const done = arguments[0], base = `/api/projects/${location.pathname.split('/').pop()}`;
            (async () => {
                const p = await (await fetch(base)).json();
                const e = await (await fetch(`${base}/elevations/${p.frontages.find((f) => f.name === 'North 3').id}`)).json();
                done(e.openings.map((o) => o.left).sort((a, b) => a - b));
            })();
            JS);

        return array_map(floatval(...), $lefts);
    }

    private function undoOf(string $summary): void
    {
        $this->desk->press('Undo: '.$summary);
        $this->desk->waitUntil(
            fn (): bool => $this->desk->count(sprintf('[aria-label="Undo: %s"]', $summary)) === 0,
            "$summary to be undone",
        );
        $this->desk->ready();
    }

    private function tick(string $label): void
    {
        $this->desk->pressOn(sprintf('//label[normalize-space()="%s"]/input', $label));
    }

    private function shiftClick(float $x, float $y): void
    {
        $this->desk->holding(Keys::SHIFT, fn () => $this->desk->click('elevation', $x, $y));
    }

    private function frame(float $x0, float $y0, float $x1, float $y1): void
    {
        $this->desk->holding(Keys::SHIFT, fn () => $this->desk->drag('elevation', $x0, $y0, $x1, $y1));
    }
}
