<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** Bands of fins by hand: stood before a wall, their laws typed and dragged over the elevation, pieces pinned, taken away. */
final class BandTest extends BrowserCase
{
    /** @return array<string, mixed> the band of this name as the project tells it; empty where there is none */
    private function band(string $name): array
    {
        $project = json_decode((string) $this->desk->driver->executeAsyncScript(
            'const done = arguments[0]; fetch(`/api/projects/${location.pathname.split("/")[2]}`).then((r) => r.text()).then(done);',
        ), true, 64, JSON_THROW_ON_ERROR);

        return array_column($project['bands'], null, 'name')[$name] ?? [];
    }

    private function chooseWall(): void
    {
        // between two windows of the first storey above
        $this->desk->click('elevation', 3400, 4200 + 300);
        $this->desk->waitForText('Stand fins before it on Charts');
    }

    public function test_fins_are_stood_before_a_wall_and_follow_a_law_that_is_typed_and_dragged(): void
    {
        $this->chooseWall();
        $this->desk->press('Stand fins before it on Charts');
        $this->desk->waitFor('[data-graph=reach]');
        $this->desk->waitFor('[data-law=reach]');
        // 18 000 evenly, at most 200 apart
        self::assertSame([91, 'constant'], [$this->band('Band 1')['count'], $this->band('Band 1')['laws']['reach']['kind']]);
        self::assertSame([], $this->axe());
        $this->pick('Law of the reach', 'a wave');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-handle^=crest]') === 2, 'the crests of two waves');
        $this->desk->type('Greatest reach', '900');
        $this->desk->waitUntil(fn (): bool => $this->band('Band 1')['laws']['reach']['to'] == 900, 'a greatest reach of 900');
        // the first crest, a quarter of a wave along, is dragged on
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-busy=true]') === 0);
        [$x, $y] = $this->handle('crest 0');
        $this->desk->pointer([
            ['move', [$x, $y]], ['down'], ['move', [$x + 10, $y]], ['move', [$x + 30, $y]], ['pause'], ['pause'], ['up'],
        ]);
        $this->desk->waitUntil(fn (): bool => $this->band('Band 1')['laws']['reach']['phase'] != 0, 'the wave is shifted');
        $band = $this->band('Band 1');
        self::assertGreaterThan(5.0, $band['laws']['reach']['phase']);
        // it is undone as any edit is
        $this->desk->press('Undo');
        $this->desk->waitUntil(fn (): bool => $this->band('Band 1')['laws']['reach']['phase'] == 0, 'the wave as it was');
        // what cannot be is said at its field, and what was typed stays
        $this->desk->type('Least reach', '-3000');
        $this->desk->waitForText('may be 1 to');
        $this->desk->waitForValue('Least reach', '-3000');
    }

    public function test_a_piece_is_kept_while_the_rest_follow_and_the_band_is_removed_by_its_key(): void
    {
        $this->chooseWall();
        $this->desk->press('Stand fins before it on Charts');
        $this->desk->waitFor('[data-graph=reach]');
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-busy=true]') === 0);
        // the eleventh stands 2 000 from the left
        $this->desk->click('elevation', 2000, 4200 + 3300);
        $this->desk->waitFor('[data-pieces-card]');
        $this->desk->waitForIn('[data-pieces-card]', 'Piece 11');
        $this->desk->press('Keep as now');
        $this->desk->waitFor('input[aria-label="Pinned reach"]');
        $this->desk->type('Pinned reach', '650');
        $this->desk->waitUntil(fn (): bool => ($this->band('Band 1')['pinned'][0]['reach'] ?? 0) == 650, 'a reach of its own');
        $this->desk->type('The reach', '300');
        $this->desk->waitUntil(fn (): bool => $this->band('Band 1')['spread']['reach'] == [300, 650], 'one kept, the rest at 300');
        // Enter gives the drawing the keys back when it is answered
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-pane]:focus') === 1, 'the drawing has the keys');
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->waitUntil(fn (): bool => $this->desk->count('[data-pieces-card]') === 0, 'the band as a whole');
        $this->desk->keys(Keys::DELETE);
        $this->desk->waitUntil(fn (): bool => $this->band('Band 1') === [], 'the band is removed');
        // its schedule lists those that stand
        $this->desk->press('Schedules');
        $this->desk->press('Fins by length');
        $this->desk->waitForText('Reeds');
    }

    public function test_battens_and_floor_bands_are_made_refused_with_their_figures_and_undone(): void
    {
        $count = fn (string $of): int => (int) $this->desk->driver->executeAsyncScript(
            'const done = arguments[1]; fetch(`/api/projects/${location.pathname.split("/")[2]}`).then((r) => r.json())'
            .'.then((p) => done(p[arguments[0]].length));',
            [$of],
        );
        [$fields, $floors] = [$count('fields'), $count('floorBands')];
        $this->chooseFirstOfCharts();
        $this->desk->press('Battens before it');
        $this->desk->waitFor('input[aria-label="Spacing"]');
        $this->desk->type('Width', '3000');
        $this->desk->waitForText('wide as it is turned');
        $this->desk->waitForValue('Width', '3000');
        $this->desk->field('Width')->sendKeys(Keys::ESCAPE);
        $this->desk->press('Undo');
        $this->desk->waitUntil(fn (): bool => $count('fields') === $fields, 'the battens are taken back');
        $this->desk->keys(Keys::ESCAPE, Keys::ESCAPE);
        $this->chooseWall();
        $this->desk->press('Floor bands round Main house');
        $this->desk->waitFor('input[aria-label="Depth"]');
        $this->desk->type('Depth', '7000');
        $this->desk->waitForText('is left with no length');
        self::assertSame([], $this->axe());
        $this->desk->field('Depth')->sendKeys(Keys::ESCAPE);
        $this->desk->press('Undo');
        $this->desk->waitUntil(fn (): bool => $count('floorBands') === $floors, 'the floor bands are taken back');
    }

    /** @return array{int, int} where a point of a law's curve is on the page */
    private function handle(string $name): array
    {
        /** @var array{float, float} $at */
        $at = $this->desk->driver->executeScript(
            'const r = document.querySelector(`[data-handle="${arguments[0]}"]`).getBoundingClientRect();'
            .'return [r.x + r.width / 2, r.y + r.height / 2];',
            [$name],
        );

        return [(int) round($at[0]), (int) round($at[1])];
    }

    /** The plant slats of the workshop: found by name, the same put into the other round windows, gathered, made alike, undone. */
    public function test_battens_fill_more_openings_and_what_is_gathered_is_made_alike(): void
    {
        $fields = fn (): array => json_decode((string) $this->desk->driver->executeAsyncScript(
            'const done = arguments[0]; fetch(`/api/projects/${location.pathname.split("/")[2]}`).then((r) => r.json())
                .then((p) => done(JSON.stringify(p.fields.map((f) => [f.name, f.wide]))));',
        ), true, 8, JSON_THROW_ON_ERROR);
        $this->desk->holding(Keys::CONTROL, fn () => $this->desk->keys('k'));
        $this->desk->waitFor('[cmdk-input]');
        $this->desk->keys(...str_split('Plant slats'));
        $this->desk->waitForText('Plant slats, field');
        $this->desk->keys(Keys::ENTER);
        $this->desk->waitForText('The same battens in');
        $this->desk->press('Fill them');
        $this->desk->waitForText('5 fields');
        self::assertCount(6, $fields());
        self::assertSame([], $this->axe());
        // one of them is made wider, and all the others then as that one is
        $this->desk->press('Plant slats 3');
        $this->desk->waitForText('Choose also');
        $this->desk->type('Width', '95');
        $this->desk->waitUntil(fn (): bool => in_array(['Plant slats 3', 95], $fields()), 'a wider one');
        $this->desk->press('all before its walls (4)');
        $this->desk->waitForText('5 fields');
        $this->desk->press('Make them alike');
        $this->desk->waitUntil(fn (): bool => count(array_filter($fields(), static fn (array $f): bool => $f[1] == 95)) === 5, 'all wider');
        $this->desk->pressOn('[aria-label^="Undo: Made 4 others"]');
        $this->desk->waitUntil(fn (): bool => count(array_filter($fields(), static fn (array $f): bool => $f[1] == 95)) === 1, 'undone');
    }

    /** By the keys of openings: R to how much higher it is copied; three chosen together are spaced, aligned and mirrored. */
    public function test_bands_are_copied_up_spaced_and_brought_to_one_level(): void
    {
        $this->chooseWall();
        $this->desk->press('Stand fins before it on Charts');
        $this->desk->waitFor('[data-graph=reach]');
        $this->desk->focus();
        $this->desk->keys('r');
        $focused = fn (): string => (string) $this->desk->driver->executeScript('return document.activeElement.getAttribute("aria-label")');
        $this->desk->waitUntil(fn (): bool => $focused() === 'Higher by', 'R leads to how much higher');
        $this->desk->type('How often', '2');
        $this->desk->type('Higher by', '300');
        $this->desk->waitUntil(fn (): bool => ($this->band('Band 3')['foot'] ?? null) == 600, 'two copies');
        // onto itself is refused, and what was typed stays
        $this->desk->type('Higher by', '0');
        $this->desk->waitFor('[aria-label="Higher by"][aria-invalid=true]');
        $this->desk->waitForText('A copy would lie on what it is a copy of');
        $this->desk->waitForValue('Higher by', '0');
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->press('all made alike (2)');
        $this->desk->waitForText('3 bands');
        self::assertSame([], $this->axe());
        $this->pick('What is brought to one level', 'heads');
        $this->desk->press('Align');
        $this->desk->waitUntil(fn (): bool => $this->band('Band 3')['foot'] == 0, 'their heads at one level');
        $this->desk->pressOn('[aria-label^="Undo: Brought the heads"]');
        $this->desk->waitUntil(fn (): bool => $this->band('Band 3')['foot'] == 600, 'undone');
        $this->desk->press('Mirror end for end');
        $this->desk->waitFor('[aria-label^="Undo: Mirrored 3 bands"]');
    }
}
