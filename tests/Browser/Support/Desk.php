<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Exception\ElementNotInteractableException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use RuntimeException;

/** Isleward as a person works it: finds things by what they say, points at places of the drawing in mm. */
final readonly class Desk
{
    /** A drawing that is fitted and has come whole. */
    private const STANDING = '[data-pane]:not([data-view=""], [aria-busy=true])';

    public function __construct(public RemoteWebDriver $driver, private string $address)
    {
    }

    public function signIn(string $email = 'pilot@skerrow.example', string $password = 'harbour-light'): void
    {
        $this->driver->get($this->address);
        $this->waitFor('input[type=email]');
        $this->css('input[type=email]')->sendKeys($email);
        $this->css('input[type=password]')->sendKeys($password.WebDriverKeys::ENTER);
        $this->waitForText('Projects');
    }

    public function openProject(string $name): void
    {
        $this->waitUntil(fn (): bool => $this->driver->findElements(WebDriverBy::linkText($name)) !== []);
        $this->driver->findElement(WebDriverBy::linkText($name))->click();
        $this->ready();
    }

    /** Waits until there are drawings, and all that is drawn on them has come. */
    public function ready(): void
    {
        $this->waitUntil(
            fn (): bool => $this->count(self::STANDING) > 0 && $this->count('[data-pane][aria-busy=true]') === 0,
            'the drawings',
        );
        usleep(400_000);
    }

    /**
     * Undoes until the latest change that stands is the one named and so many openings stand (others may have left changes of the same
     * name), and loads the page again if there was anything to undo.
     */
    public function takeBackTo(string $summary, int $openings): void
    {
        $undone = $this->driver->executeAsyncScript(<<<'JS'
            const [summary, openings, done] = arguments;
            const token = decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]);
            const at = `/api/projects/${location.pathname.split('/').pop()}`;
            const get = async (path) => (await fetch(at + path, { cache: 'no-store' })).json();
            const stands = async () => {
                const { undo, frontages } = await get('');
                if (undo === null) return true;
                if (undo !== summary) return false;
                const all = await Promise.all(frontages.map((f) => get(`/elevations/${f.id}`)));
                return all.reduce((sum, e) => sum + e.openings.length, 0) === openings;
            };
            let count = 0;
            for (; count < 50 && !(await stands()); count++) {
                await fetch(`${at}/undo`, { method: 'POST', headers: { 'X-XSRF-TOKEN': token, Accept: 'application/json' } });
            }
            done(count);
            JS, [$summary, $openings]);
        if ($undone === 50) {
            throw new RuntimeException("Undone fifty times, and never were “{$summary}” the latest and $openings openings left.");
        }
        if ($undone > 0) {
            $this->driver->navigate()->refresh();
            $this->ready();
            // the page was still fetching frontages that were undone behind its back
            $this->driver->manage()->getLog('browser');
        }
    }

    /** What is there, or comes: the rack and the cards come after the drawing. */
    public function css(string $selector): RemoteWebElement
    {
        $this->waitFor($selector);

        return $this->driver->findElement(WebDriverBy::cssSelector($selector));
    }

    public function count(string $selector): int
    {
        return count($this->driver->findElements(WebDriverBy::cssSelector($selector)));
    }

    public function button(string $text): RemoteWebElement
    {
        // also by its words alone where its key stands beside them
        $path = sprintf(
            '//button[normalize-space()="%1$s" or @aria-label="%1$s" or (kbd and normalize-space(text()[normalize-space()][1])="%1$s")]',
            $text,
        );
        $this->waitUntil(fn (): bool => $this->driver->findElements(WebDriverBy::xpath($path)) !== [], 'button '.$text);

        return $this->driver->findElement(WebDriverBy::xpath($path));
    }

    public function field(string $label): RemoteWebElement
    {
        return $this->css(sprintf('input[aria-label="%s"]', $label));
    }

    /** What an XPath names, when it is there. */
    public function at(string $path): RemoteWebElement
    {
        $this->waitUntil(fn (): bool => $this->driver->findElements(WebDriverBy::xpath($path)) !== [], $path);

        return $this->driver->findElement(WebDriverBy::xpath($path));
    }

    /** Clicks a button by what it says. */
    public function press(string $text): void
    {
        $this->until(fn () => $this->button($text)->click(), "a click on $text");
    }

    /** Clicks what a selector, or an XPath, names. */
    public function pressOn(string $path): void
    {
        $this->until(fn () => ($path[0] === '/' ? $this->at($path) : $this->css($path))->click(), "a click on $path");
    }

    /** Clicks what an XPath names where it is there; false when it is not, or goes meanwhile. */
    public function pressIfThere(string $path): bool
    {
        try {
            $there = $this->driver->findElements(WebDriverBy::xpath($path));
            ($there[0] ?? null)?->click();

            return $there !== [];
        } catch (StaleElementReferenceException|ElementNotInteractableException) {
            return false;
        }
    }

    /** Whether there is such a thing within so many seconds. */
    public function comes(string $selector, float $within): bool
    {
        for ($until = microtime(true) + $within; microtime(true) < $until; usleep(60_000)) {
            if ($this->count($selector) > 0) {
                return true;
            }
        }

        return false;
    }

    /** Types a figure into the card and sends it. */
    public function type(string $label, string $text): void
    {
        $this->write($label, $text);
        $this->until(fn () => $this->field($label)->sendKeys(WebDriverKeys::ENTER), "Enter in $label");
    }

    /** Types a figure into the card in place of what is there. */
    public function write(string $label, string $text): void
    {
        $this->until(function () use ($label, $text): void {
            $field = $this->field($label);
            $field->click();
            $field->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.$text);
        }, "$text in $label");
    }

    public function value(string $label): string
    {
        return str_replace("\u{202F}", ' ', (string) $this->field($label)->getAttribute('value'));
    }

    public function text(): string
    {
        return str_replace("\u{202F}", ' ', (string) $this->driver->executeScript('return document.body.innerText'));
    }

    /** Presses keys one after the other, wherever the focus is; control and shift hold until the end of their text. */
    public function keys(string ...$keys): void
    {
        $actions = [];
        foreach ($keys as $text) {
            $held = [];
            foreach (mb_str_split($text) as $key) {
                if ($key === WebDriverKeys::CONTROL || $key === WebDriverKeys::SHIFT) {
                    $held[] = $key;
                    $actions[] = ['type' => 'keyDown', 'value' => $key];
                } else {
                    array_push($actions, ['type' => 'keyDown', 'value' => $key], ['type' => 'keyUp', 'value' => $key]);
                }
            }
            foreach ($held as $key) {
                $actions[] = ['type' => 'keyUp', 'value' => $key];
            }
        }
        $this->perform([['type' => 'key', 'id' => 'keyboard', 'actions' => $actions]]);
    }

    /** Does something with a key held down. */
    public function holding(string $key, \Closure $do): void
    {
        $press = fn (string $what) => $this->perform(
            [['type' => 'key', 'id' => 'keyboard', 'actions' => [['type' => $what, 'value' => $key]]]],
        );
        $press('keyDown');
        try {
            $do();
        } finally {
            $press('keyUp');
        }
    }

    /**
     * Where a point of a drawing is on the page.
     *
     * @return array{int, int}
     */
    public function point(string $pane, float $x, float $y): array
    {
        $this->stand($pane);
        /** @var array{float|int, float|int} */
        $at = $this->driver->executeScript(
            'const p=document.querySelector(`[data-pane=${arguments[0]}]`); const [vx,vy,k]=p.dataset.view.split(",").map(Number); const r=p.getBoundingClientRect(); return [r.left+r.width/2+(arguments[1]-vx)*k, r.top+r.height/2-(arguments[2]-vy)*k];',
            [$pane, $x, $y],
        );

        return [(int) round($at[0]), (int) round($at[1])];
    }

    /** Puts the focus on a drawing, as Tab or a click would. */
    public function focus(string $pane = 'elevation'): void
    {
        $this->stand($pane);
        $this->driver->executeScript('document.querySelector(`[data-pane=${arguments[0]}]`).focus()', [$pane]);
    }

    /** Waits until a drawing is there whole: a part of the page of its own, which is fetched when it is first asked for. */
    private function stand(string $pane): void
    {
        $this->waitFor("[data-pane=$pane]".self::STANDING);
    }

    public function click(string $pane, float $x, float $y): void
    {
        $this->pointer([['move', $this->point($pane, $x, $y)], ['down'], ['up']]);
    }

    public function hover(string $pane, float $x, float $y): void
    {
        [$px, $py] = $this->point($pane, $x, $y);
        $this->pointer([['move', [$px - 3, $py]], ['move', [$px, $py]]]);
    }

    /** Drags from one point of a drawing to another, in steps. */
    public function drag(string $pane, float $x0, float $y0, float $x1, float $y1): void
    {
        [$ax, $ay] = $this->point($pane, $x0, $y0);
        [$bx, $by] = $this->point($pane, $x1, $y1);
        $steps = [['move', [$ax, $ay]], ['down']];
        for ($i = 1; $i <= 8; $i++) {
            $steps[] = ['move', [(int) round($ax + ($bx - $ax) * $i / 8), (int) round($ay + ($by - $ay) * $i / 8)]];
        }
        $this->pointer([...$steps, ['pause'], ['up']]);
    }

    /** Gives a file to the input that takes files of these kinds. */
    public function file(string $accept, string $path): void
    {
        $selector = sprintf('input[type=file][accept="%s"]', $accept);
        for ($try = 0; ; $try++) {
            $this->waitFor($selector);
            try {
                $input = $this->css($selector);
                $this->driver->executeScript('arguments[0].classList.remove("hidden")', [$input]);
                $input->sendKeys($path);
                $this->driver->executeScript('document.querySelector(arguments[0])?.classList.add("hidden")', [$selector]);

                return;
            } catch (\Facebook\WebDriver\Exception\StaleElementReferenceException $e) {
                if ($try === 2) {
                    throw $e; // it was drawn anew between finding and filling it, three times over
                }
            }
        }
    }

    public function waitFor(string $selector): void
    {
        $this->waitUntil(fn (): bool => $this->count($selector) > 0, $selector);
    }

    public function waitForText(string $text): void
    {
        $this->waitUntil(fn (): bool => str_contains($this->text(), $text), $text);
    }

    /** Waits until what a selector names says so. */
    public function waitForIn(string $selector, string $text): void
    {
        $this->waitUntil(fn (): bool => str_contains($this->css($selector)->getText(), $text), "$selector to say “{$text}”");
    }

    public function waitForValue(string $label, string $value): void
    {
        $this->waitUntil(fn (): bool => $this->value($label) === $value, "$label to be $value");
    }

    public function waitForCount(string $selector, int $count): void
    {
        $this->waitUntil(fn (): bool => $this->count($selector) === $count, "$count of $selector");
    }

    /**
     * Does what is refused, and not done, while something lies over it or it is being drawn anew; then again.
     *
     * @param  \Closure(): mixed  $do
     */
    private function until(\Closure $do, string $what): void
    {
        $this->waitUntil(static function () use ($do): bool {
            try {
                $do();
            } catch (ElementClickInterceptedException|ElementNotInteractableException) {
                return false;
            }

            return true;
        }, $what);
    }

    /** @param  \Closure(): bool  $condition */
    public function waitUntil(\Closure $condition, string $what = 'something'): void
    {
        try {
            $this->driver->wait(90, 60)->until(static function () use ($condition): bool {
                try {
                    return $condition();
                } catch (StaleElementReferenceException) {
                    return false; // drawn anew while it was looked at
                }
            });
        } catch (TimeoutException) {
            throw new RuntimeException(
                sprintf(
                    "Waited in vain for %s. %s\nThe page says: %s",
                    $what,
                    $this->underWay(),
                    preg_replace('/\n+/', ' | ', $this->text()),
                ),
            );
        }
    }

    /** What the page is still waiting for, or could not do: where to look when something does not come. */
    private function underWay(): string
    {
        $signs = $this->driver->executeScript(<<<'JS'
            const of = (q, a) => [...document.querySelectorAll(q)].map((e) => `${a}=${e.getAttribute(a) || e.innerText}`);
            return [
                ...of('[data-away]', 'data-away'), ...of('[data-kept]', 'data-kept'), ...of('[data-preview]', 'data-preview'),
                ...of('[role=alert]', 'role'),
                ...Object.keys(localStorage).concat(Object.keys(sessionStorage))
                    .map((k) => `${k}: ${(localStorage[k] ?? sessionStorage[k]).slice(0, 300)}`),
                ...performance.getEntriesByType('resource').slice(-8)
                    .map((r) => `${r.name.replace(/^.*\/api/, '')} ${r.responseStatus} ${Math.round(r.duration)} ms`),
                `focus: ${document.activeElement?.outerHTML.slice(0, 120)}`,
            ].join('; ');
            JS);

        return (string) $signs;
    }

    /**
     * One W3C actions request with the whole gesture, so that pointer capture holds.
     *
     * @param  list<array{0: string, 1?: array{int, int}}>  $steps
     */
    public function pointer(array $steps): void
    {
        $actions = array_map(static fn (array $s): array => match ($s[0]) {
            'move' => ['type' => 'pointerMove', 'duration' => 15, 'x' => $s[1][0] ?? 0, 'y' => $s[1][1] ?? 0, 'origin' => 'viewport'],
            'down' => ['type' => 'pointerDown', 'button' => 0],
            'up' => ['type' => 'pointerUp', 'button' => 0],
            default => ['type' => 'pause', 'duration' => 180],
        }, $steps);
        $this->perform([['type' => 'pointer', 'id' => 'mouse', 'parameters' => ['pointerType' => 'mouse'], 'actions' => $actions]]);
    }

    /** @param  list<array<string, mixed>>  $actions */
    private function perform(array $actions): void
    {
        $this->driver->executeCustomCommand('/session/:sessionId/actions', 'POST', ['actions' => $actions]);
    }
}
