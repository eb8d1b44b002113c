<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** Screens by hand: stood before a wall, cut-outs drawn, typed, dragged, copied and filled; what cannot be is said and loses nothing. */
final class ScreenTest extends BrowserCase
{
    /** @return array<string, mixed> the screen of this name as the project tells it; empty where there is none */
    private function screen(string $name = 'Screen 1'): array
    {
        $project = json_decode((string) $this->desk->driver->executeAsyncScript(
            'const done = arguments[0]; fetch(`/api/projects/${location.pathname.split("/")[2]}`).then((r) => r.text()).then(done);',
        ), true, 64, JSON_THROW_ON_ERROR);

        return array_column($project['screens'], null, 'name')[$name] ?? [];
    }

    /** @return array<string, mixed> */
    private function shape(int $n): array
    {
        return array_column($this->screen()['parts'] ?? [], 'shape', 'n')[$n] ?? [];
    }

    private function stand(): void
    {
        // between two windows of the first storey above
        $this->desk->click('elevation', 3400, 4200 + 300);
        $this->desk->waitForText('A screen before it');
        $this->desk->press('A screen before it');
        $this->desk->waitForText('before one wall · 0 cut-outs');
    }

    private function draw(string $form, float $x0, float $y0, float $x1, float $y1): void
    {
        $this->desk->press($form);
        $this->desk->hover('elevation', $x0, $y0);
        $this->desk->click('elevation', $x0, $y0);
        $this->desk->hover('elevation', $x1, $y1);
        $this->desk->click('elevation', $x1, $y1);
        $this->desk->keys(Keys::ESCAPE);
        // what is not drawn yet cannot be clicked
        $this->desk->ready();
        sleep(2);
    }

    public function test_a_screen_is_stood_cut_dragged_copied_and_filled(): void
    {
        $this->stand();
        self::assertSame([150, 20], [$this->screen()['gap'], $this->screen()['thick']]);
        self::assertSame([], $this->axe());
        // over the floor of Charts, at 4 200
        $this->draw('Rectangle', 9000, 4200 + 200, 9800, 4200 + 700);
        $this->desk->waitUntil(fn (): bool => ($this->shape(2)['form'] ?? '') === 'rectangle', 'a rectangle is cut out');
        self::assertEqualsWithDelta(800.0, $this->shape(2)['width'], 60.0);
        $this->desk->click('elevation', 9400, 4200 + 450);
        $this->desk->waitForText('Cut-out 2 of Screen 1');
        $this->desk->type('Width', '640');
        $this->desk->waitUntil(fn (): bool => $this->shape(2)['width'] == 640, 'a width of 640');
        // rounded too far is refused with what there is, and stays typed
        $this->desk->type('Radius of its corners', '900');
        $this->desk->waitForText('at the most; 900 was given');
        $this->desk->waitForValue('Radius of its corners', '900');
        $this->desk->keys(Keys::ESCAPE);
        // dragged along
        $before = $this->shape(2)['u'];
        $this->desk->drag('elevation', $before + 300, 4200 + 450, $before + 900, 4200 + 450);
        $this->desk->waitUntil(fn (): bool => abs($this->shape(2)['u'] - $before - 600) < 80, 'it is dragged along');
        $this->desk->type('Further by', '1300');
        $this->desk->waitUntil(fn (): bool => count($this->screen()['parts']) === 3, 'it is copied');
        self::assertEqualsWithDelta($this->shape(2)['u'] + 1300, $this->shape(3)['u'], 0.01);
        // the keys of openings do the like: R to how far it is copied, arrows move it, Delete closes it, the screen stays
        $focused = fn (): string => (string) $this->desk->driver->executeScript('return document.activeElement.getAttribute("aria-label")');
        foreach (['r' => 'Further by', 'm' => 'Mirrored about'] as $key => $field) {
            $this->desk->keys($key);
            $this->desk->waitUntil(fn (): bool => $focused() === $field, "$key leads to “{$field}”");
            $this->desk->focus();
        }
        $before = $this->shape(2)['u'];
        $this->desk->keys(Keys::ARROW_RIGHT);
        $this->desk->waitUntil(fn (): bool => abs($this->shape(2)['u'] - $before - 10) < 0.01, 'an arrow moves it');
        $this->desk->press('Slats in it');
        $this->desk->waitForText('fills cut-out 2 of Screen 1');
        $this->desk->press('Undo');
        $this->desk->waitUntil(fn (): bool => ! str_contains($this->desk->text(), 'fills cut-out 2'), 'no slats');
        $this->desk->click('elevation', $this->shape(2)['u'] + 300, 4200 + 1200);
        $this->desk->waitForText('Battens over all of it');
        $this->desk->press('Battens over all of it');
        $this->desk->waitForText('lies over all of Screen 1');
        $this->desk->press('To the screen it lies over');
        $this->desk->click('elevation', $this->shape(2)['u'] + 300, 4200 + 450);
        $this->desk->waitForText('Cut-out 2 of Screen 1');
        $this->desk->keys(Keys::DELETE);
        $this->desk->waitUntil(fn (): bool => count($this->screen()['parts']) === 2, 'it is closed, and the screen stays');
    }

    public function test_corners_are_dragged_and_battens_fill_a_region_that_is_drawn(): void
    {
        $this->stand();
        $this->draw('Rectangle', 9000, 4200 + 200, 9800, 4200 + 700);
        $this->desk->waitUntil(fn (): bool => ($this->shape(2)['form'] ?? '') === 'rectangle', 'a rectangle is cut out');
        $shape = $this->shape(2);
        $this->desk->click('elevation', $shape['u'] + 400, 4200 + 450);
        $this->desk->waitFor('[data-corner="2"]');
        $right = $shape['u'] + $shape['width'];
        $this->desk->drag('elevation', $right, 4200 + $shape['v'] + $shape['height'], $right + 700, 4200 + $shape['v'] + $shape['height']);
        $this->desk->waitUntil(fn (): bool => $this->shape(2)['width'] > $shape['width'] + 500, 'its corner is dragged');
        self::assertEquals([$shape['u'], $shape['v']], [$this->shape(2)['u'], $this->shape(2)['v']], 'the opposite one stays');
        // a region of the wall beside it
        $this->desk->pressOn('nav[aria-label="Frontages"] button[title^="North 3"]');
        $this->desk->ready();
        sleep(1);
        $at = (float) $this->desk->driver->executeAsyncScript(
            'const done = arguments[0]; fetch(`/api${location.pathname}`).then((r) => r.json())'
            .'.then((p) => done(p.frontages.find((f) => f.name === "North 3").offset));',
        );
        $this->desk->click('elevation', $at + 200, 3700);
        $this->desk->waitForText('Battens in a rectangle');
        $this->draw('Battens in a rectangle', $at + 300, 3200, $at + 1500, 3900);
        $this->desk->waitForText('fills a drawn region');
        self::assertSame([], $this->axe());
    }

    public function test_a_cut_out_is_typed_refused_outside_and_round_the_openings_and_the_screen_is_removed_by_its_key(): void
    {
        $this->stand();
        $this->desk->press('Rectangle');
        $this->desk->hover('elevation', 9000, 4200 + 400);
        $this->desk->click('elevation', 9000, 4200 + 400);
        $this->desk->waitFor('[data-cutting="1"]');
        $this->desk->keys('1200x300', Keys::ENTER);
        $this->desk->waitUntil(fn (): bool => ($this->shape(2)['height'] ?? 0) == 300, 'as it was typed');
        self::assertEquals(1200, $this->shape(2)['width']);
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->driver->executeScript(
            'document.querySelector("[data-card]").querySelectorAll("button").forEach((b) => /round the/.test(b.textContent) && b.click())',
        );
        $this->desk->waitUntil(fn (): bool => ($this->shape(3)['form'] ?? '') === 'openings', 'round the openings');
        self::assertCount(7, $this->shape(3)['around']);
        // where something is cut out already nothing more is taken: said, and nothing is lost
        $this->desk->ready();
        sleep(2);
        $this->desk->click('elevation', 9200, 4200 + 500);
        $this->desk->waitForText('Cut-out 2 of Screen 1');
        $this->desk->type('Level', '9000');
        $this->desk->waitForText('would take nothing of Screen 1');
        $this->desk->waitForValue('Level', '9000');
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->press('The whole screen');
        $this->desk->focus();
        $this->desk->keys(Keys::DELETE);
        $this->desk->waitUntil(fn (): bool => $this->screen() === [], 'the screen is removed');
        // the demo's wind screen is listed with its cut-outs
        $this->desk->press('Schedules');
        $this->desk->press('Cut-outs');
        $this->desk->waitForText('1 280 × 320, corners of 160');
    }

    /** A screen is a host: with it chosen a unit is taken from the rack, its place typed, and then measured another way. */
    public function test_a_unit_is_placed_in_a_screen_and_measured_from_another_end(): void
    {
        $this->stand();
        $this->takeFromRack('W-09');
        $this->desk->waitForText('in hand for Screen 1');
        $this->desk->hover('elevation', 9000, 4200 + 1700);
        $this->desk->waitFor('[data-ghost]');
        // from the left end, then the level of its head
        $this->desk->keys('8450', Keys::TAB, Keys::TAB, Keys::TAB, '3300');
        $this->desk->waitForText('head 3300');
        $this->desk->keys(Keys::ENTER);
        $part = fn (): array => array_column($this->screen()['parts'] ?? [], null, 'n')[2] ?? [];
        $this->desk->waitUntil(fn (): bool => $part() !== [], 'it is placed');
        ['position' => $position, 'sill' => $sill] = $part();
        self::assertEquals(['left', 8450], [$position['from'], $position['value']]);
        self::assertEquals(['floor', 3300, 'head'], [$sill['from'], $sill['height'], $sill['edge']]);
        self::assertNotNull($part()['type']);
        $this->desk->keys(Keys::ESCAPE);
        $this->desk->waitForText('Cut-out 2 of Screen 1');
        self::assertSame([], $this->axe());
        $this->pick('Measured from', 'right end of the wall');
        $this->desk->waitUntil(fn (): bool => $part()['position']['from'] === 'right', 'measured from the right end');
        self::assertEqualsWithDelta(18000.0 - 8450.0 - $part()['shape']['width'], $part()['position']['value'], 1e-6);
        $this->desk->type('Place along the wall', '1200');
        $this->desk->waitUntil(fn (): bool => $part()['position']['value'] == 1200, '1200 from the right end');
        $this->desk->pressOn('[aria-label^="Undo: Changed a cut-out"]');
        $this->desk->waitUntil(fn (): bool => $part()['position']['value'] != 1200, 'undone');
    }
}
