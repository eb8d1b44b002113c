<?php

declare(strict_types=1);

namespace Tests\Browser;

/** Storey slabs in the workshop, an opening drawn in them, and a slab drawn by itself. */
final class SlabTest extends BrowserCase
{
    /** @return array<string, mixed> */
    private function slab(string $name): array
    {
        $slabs = $this->desk->driver->executeAsyncScript(
            'const done = arguments[0]; fetch(`/api${location.pathname}`).then((r) => r.json()).then((p) => done(p.floorBands));',
        );

        return array_column($slabs, null, 'name')[$name] ?? [];
    }

    /** @param  list<array{float, float}>  $corners */
    private function draw(array $corners): void
    {
        foreach ($corners as [$x, $y]) {
            $this->desk->hover('plan', $x, $y);
            $this->desk->click('plan', $x, $y);
        }
    }

    public function test_slabs_are_made_opened_and_drawn(): void
    {
        $this->goTo('South 2');
        $this->desk->click('elevation', $this->offset('South 2') + 9900, 3700);
        $this->desk->waitForText('Storey slabs in Boat workshop');
        $this->desk->press('Storey slabs in Boat workshop');
        $this->desk->waitForText('No openings in it.');
        $name = 'Slab 1';
        $this->desk->waitUntil(fn (): bool => ($this->slab($name)['inner'] ?? false) === true, 'to the inner faces');
        self::assertSame([], $this->axe());
        $this->desk->press('Draw an opening');
        $this->desk->waitForText('Opening in a slab');
        $this->desk->ready();
        $this->draw([[-10000, 5000], [-8000, 5000], [-8000, 8000], [-10000, 8000]]);
        $this->desk->press('Close and cut');
        $this->desk->waitUntil(fn (): bool => count($this->slab($name)['holes'] ?? []) === 1, 'an opening in it');
        self::assertEqualsWithDelta(6e6, $this->slab($name)['holes'][0]['area'], 2e5);
        $this->desk->waitForText('Openings in it, through every storey');
        // one that reaches into it is refused, and what was drawn stays
        $this->desk->press('Draw an opening');
        $this->desk->waitForText('Opening in a slab');
        $this->draw([[-9000, 6000], [-7000, 6000], [-7000, 7000]]);
        $this->desk->press('Close and cut');
        $this->desk->waitForText('into another opening');
        $this->desk->waitForText('Opening in a slab');
        $this->desk->press('Cancel');
        // a slab by itself, far from any wall, is found to float
        $this->desk->press('Draw a slab');
        $this->desk->waitForText('New slab');
        $this->draw([[8000, -6000], [11000, -6000], [11000, -4000], [8000, -4000]]);
        $this->desk->press('Close and build');
        $this->desk->waitUntil(fn (): bool => $this->slab('Slab 2') !== [], 'a slab');
        $this->desk->waitForText('8 findings');
    }
}
