<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** Curved walls by hand: drawn, bent, and worked at. */
final class CurvedTest extends BrowserCase
{
    public function test_an_outline_with_arcs_is_drawn_by_mouse_and_by_typing(): void
    {
        $this->desk->press('Draw an outline');
        $this->desk->waitForText('New outline');
        $this->desk->ready();
        $this->desk->focus('plan');
        $this->desk->click('plan', 2000, -5000);
        $this->desk->waitFor('[data-outline="1"]');
        $this->desk->keys('a');
        $this->desk->waitForText('an arc through a point');
        $this->desk->click('plan', 10000, -5000);
        $this->desk->hover('plan', 6000, -8000);
        $this->desk->waitFor('[data-coming="arc"] [data-figures]');
        // half the chord is 4000: a radius of 3000 is refused and what was typed stays
        $this->desk->keys(Keys::TAB, '3000', Keys::ENTER);
        $this->desk->waitForText('is under half the chord');
        $this->desk->waitForIn('[data-figures]', '3000');
        $this->desk->waitFor('[data-outline="1"]');
        $this->desk->keys(Keys::BACKSPACE, Keys::BACKSPACE, Keys::BACKSPACE, Keys::BACKSPACE, '5000', Keys::ENTER);
        $this->desk->waitFor('[data-outline="2"]');
        // then one that runs on from it, and back
        $this->desk->keys('a');
        $this->desk->waitForText('an arc that runs on');
        $this->desk->keys('1500', Keys::TAB, '60', Keys::ENTER);
        $this->desk->waitFor('[data-outline="3"]');
        $this->desk->press('Build open');
        $this->desk->waitFor('[aria-label^="Undo: Drew Outline"]');
        $walls = $this->project()['walls'];
        [$first, $second] = array_slice($walls, -2);
        self::assertEqualsWithDelta(5000.0, abs($first['arc']['radius']), 1e-6);
        self::assertEqualsWithDelta(1500.0, abs($second['arc']['radius']), 1e-6);
        self::assertSame('flush', $second['leftJoint']);
    }

    public function test_a_wall_is_bent_on_its_card_and_openings_stand_along_the_arc(): void
    {
        $this->chooseSouth();
        $this->desk->type('Rise', '2 m');
        $this->desk->waitFor('[aria-label^="Undo: Bent a wall"]');
        $this->desk->waitUntil(fn (): bool => $this->desk->value('Radius') === '21 250');
        // what cannot be stays in its field with the reason
        $this->desk->type('Radius', '8000');
        $this->desk->waitForText('is under half the chord');
        $this->desk->waitForValue('Radius', '8000');
        $this->desk->type('Radius', '15 m');
        $this->desk->waitFor('[aria-label^="Undo: Changed the arc"]');
        $this->desk->waitUntil(fn (): bool => $this->desk->value('Arc length') !== '' && $this->south()['arc'] !== null
            && abs($this->south()['arc']['radius'] - 15000) < 1e-6);
        // measured from corner to corner, where other walls meet it, it is as long as its face
        $this->desk->press('Plan');
        $this->desk->press('Enlarge the plan');
        $this->desk->ready();
        $this->desk->focus('plan');
        $this->desk->keys('i');
        $this->desk->click('plan', 0, 0);
        $this->desk->click('plan', 18000, 0);
        $this->desk->waitFor('[data-measured*="·"]');
        // radius 15 000 over a chord of 18 000: 2 · 15 000 · asin(0.6)
        self::assertStringStartsWith(
            '18 000 · 19 305 · ',
            str_replace("\u{202F}", ' ', (string) $this->desk->css('[data-measured]')->getAttribute('data-measured')),
        );
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->press('Elevation');
        $this->desk->press('Enlarge the elevation');
        $this->desk->ready();
        // one of its windows: on its chord, or bent to the wall when it can be
        $this->desk->click('elevation', 2330, 900 + 4200 + 700);
        $this->desk->waitForText('the wall bows');
        $this->pick('Jambs', 'radial jambs, the unit bent');
        $this->desk->waitForText('only fixed ones bend');
    }

    public function test_corners_are_rounded_with_what_it_comes_to_shown_first(): void
    {
        $this->chooseSouth();
        $this->desk->press('Round');
        $this->desk->waitFor('[data-sheet="outline.round"]');
        $this->desk->type('Radius', '20 m');
        $this->desk->waitForText('nothing of it would be left');
        $this->desk->type('Radius', '700');
        $this->desk->waitForText('It can be done');
        $this->desk->keys(Keys::ENTER);
        $this->desk->waitFor('[aria-label^="Undo: Rounded a corner"]');
        self::assertNotNull(array_values(array_filter($this->project()['walls'], static fn (array $w): bool => $w['arc'] !== null))[0]);
    }

    private function chooseSouth(): void
    {
        $this->desk->click('elevation', 3470, 7300);
        $this->desk->waitForText('South wall');
    }

    /** @return array<string, mixed> */
    private function south(): array
    {
        return $this->project()['walls'][0];
    }

    /** @return array<string, mixed> */
    private function project(): array
    {
        return $this->desk->driver->executeAsyncScript(
            "fetch('/api/projects/' + location.pathname.split('/').pop()).then((r) => r.json()).then(arguments[0])",
        );
    }
}
