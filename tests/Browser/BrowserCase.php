<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;
use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Desk;

/** The demo project, as it was made, open in a browser that the tests of a class share. */
abstract class BrowserCase extends TestCase
{
    /** Whether the solid model is looked at. Software OpenGL draws the whole page then, which is slower. */
    protected const SOLID = false;

    private static ?Desk $shared = null;

    protected Desk $desk;

    public static function tearDownAfterClass(): void
    {
        self::$shared?->driver->quit();
        self::$shared = null;
    }

    protected function setUp(): void
    {
        $first = self::$shared === null;
        self::$shared ??= new Desk(Chrome::open(softwareGl: static::SOLID), (string) getenv('ISLEWARD_ADDRESS'));
        $this->desk = self::$shared;
        if ($first) {
            $this->desk->signIn();
        } else {
            $this->desk->driver->get((string) getenv('ISLEWARD_ADDRESS'));
        }
        $this->desk->openProject('Skerrow Pilot House');
        $this->desk->takeBackTo('Placed W-09', 115);
    }

    protected function tearDown(): void
    {
        $errors = array_filter(
            $this->desk->driver->manage()->getLog('browser'),
            static fn (array $line): bool => $line['level'] === 'SEVERE'
                            && ! str_contains($line['message'], '422')
                            && ! str_contains($line['message'], '409'),
        );
        self::assertSame([], array_column($errors, 'message'), 'the browser’s log is free of errors');
    }

    protected function takeFromRack(string $mark): void
    {
        $this->desk->pressOn(sprintf('[aria-label="Unit types"] [aria-label^="%s "]', $mark));
        $this->desk->waitForText("$mark in hand");
    }

    /** Chooses an option of a choice by its label; a card that is drawn anew meanwhile closes its list, which is opened again then. */
    protected function pick(string $choice, string $option, string $within = ''): void
    {
        $path = sprintf('//*[@role="option"][normalize-space()="%s"]', $option);
        for ($try = 0; $try < 5; $try++) {
            if ($this->desk->count('[role=option]') === 0) {
                $this->desk->pressOn(sprintf('%s[aria-label="%s"]', $within, $choice));
            }
            if ($this->desk->comes('[role=option]', 4.0) && $this->desk->pressIfThere($path)) {
                return;
            }
        }
        self::fail("There is no option “{$option}” of “{$choice}”, or it is gone before it can be clicked.");
    }

    protected function chooseFirstOfCharts(): void
    {
        $this->desk->click('elevation', 1730 + 600, 4200 + 1600);
        $this->desk->waitForText('South · Charts');
        $this->desk->field('Position');
    }

    protected function goTo(string $frontage): void
    {
        $this->desk->pressOn(sprintf('nav[aria-label="Frontages"] button[title^="%s ·"]', $frontage));
        $this->desk->ready();
    }

    protected function offset(string $frontage): float
    {
        return (float) $this->desk->driver->executeAsyncScript(
            'const [name, done] = arguments; fetch(`/api/projects/${location.pathname.split("/").pop()}`).then((r) => r.json()).then((p) => done(p.frontages.find((f) => f.name === name).offset));',
            [$frontage]);
    }

    /** @return list<string> serious and critical violations (axe-core) */
    protected function axe(): array
    {
        usleep(500_000); // what was opened last has found its size
        $this->desk->driver->executeScript((string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js'));
        /**
         * @var list<array{id: string, impact: string, nodes: list<array{html: string, any: list<array{relatedNodes: list<array{html:
         *    string}>}>}>}>
         */
        $violations = $this->desk->driver->executeAsyncScript(
            'const done=arguments[0]; axe.run(document,{runOnly:["wcag2a","wcag2aa","wcag21a","wcag21aa","wcag22aa"]}).then(r=>done(r.violations))',
        );

        return array_values(array_map(
            static fn (array $v): string => $v['id'].': '.implode(
                ' | ',
                array_map(
                    static fn (array $n): string => mb_substr($n['html'], 0, 200).' beside '.implode(
                        ' ',
                        array_map(
                            static fn (array $r): string => mb_substr($r['html'], 0, 120),
                            array_merge(...array_column($n['any'], 'relatedNodes')),
                        ),
                    ),
                    array_slice($v['nodes'], 0, 4),
                ),
            ),
            array_filter($violations, static fn (array $v): bool => in_array($v['impact'], ['serious', 'critical'], true)),
        ));
    }
}
