<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** Inner walls are drawn one after the other without the view moving; a nib beside a door is typed as a figure. */
final class InnerWallsTest extends BrowserCase
{
    /** @return array<string, int> how many walls each outline has */
    private function outlines(): array
    {
        return array_count_values((array) $this->desk->driver->executeAsyncScript(
            'const done = arguments[0]; fetch(`/api${location.pathname}`).then((r) => r.json())'
            .'.then((p) => done(p.walls.map((w) => w.outline)));',
        ));
    }

    public function test_chains_are_drawn_one_after_the_other_in_the_same_view(): void
    {
        $before = $this->outlines();
        $had = count($before);
        $this->desk->press('Draw inner walls');
        $this->desk->waitForText('Click where the wall begins');
        $this->desk->ready();
        // the second begins where the upright line Entrance crosses the wall, which takes no click while walls are drawn
        foreach ([[4000, 8000], [9000, 13000]] as $i => [$x, $to]) {
            $at = $this->desk->point('plan', 0.0, 0.0);
            // out from the south wall, across, and back to it
            foreach ([[$x, 300], [$x, 3000], [$to, 3000], [$to, 300]] as [$px, $py]) {
                $this->desk->hover('plan', $px, $py);
                $this->desk->click('plan', $px, $py);
            }
            $this->desk->keys(Keys::ENTER);
            $this->desk->waitForText('Built. Click where the next begins');
            $this->desk->waitUntil(fn (): bool => count($this->outlines()) === $had + $i + 1, 'it is built');
            self::assertSame($at, $this->desk->point('plan', 0.0, 0.0), 'the view stays');
        }
        self::assertSame([], $this->axe());
        // Enter again says that there are no more
        $this->desk->keys(Keys::ENTER);
        $this->desk->waitUntil(fn (): bool => ! str_contains($this->desk->text(), 'Click where'), 'the drawing ends');
        self::assertSame([3, 3], array_values(array_diff_key($this->outlines(), $before)), 'three walls each');
    }

    public function test_a_nib_is_a_figure(): void
    {
        $this->desk->press('Inner');
        $this->goTo('Inner wall 1');
        $this->desk->click('elevation', $this->offset('Inner wall 1') + 600, 5200);
        $this->desk->waitForText('Nib of');
        $this->desk->waitForValue('Nib on the left', '150');
        $this->desk->type('Nib on the left', '0.25 m');
        $this->desk->waitUntil(fn (): bool => $this->desk->value('Nib on the left') === '250', 'it is wider');
        // what does not fit stays typed, with the reason
        $this->desk->type('Nib on the left', '-20');
        $this->desk->waitForText('A nib must be at least 0');
        $this->desk->waitForValue('Nib on the left', '-20');
    }
}
