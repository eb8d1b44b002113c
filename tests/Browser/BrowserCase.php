<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;
use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Desk;

/** The demo project, as it was made, open in a browser that the tests of a class share. */
abstract class BrowserCase extends TestCase
{
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
        self::$shared ??= new Desk(Chrome::open(), (string) getenv('ISLEWARD_ADDRESS'));
        $this->desk = self::$shared;
        if ($first) {
            $this->desk->signIn();
        } else {
            $this->desk->driver->get((string) getenv('ISLEWARD_ADDRESS'));
        }
        $this->desk->openProject('Skerrow Pilot House');
        $this->desk->takeBackTo('Placed W-02');
    }

    protected function tearDown(): void
    {
        $errors = array_filter($this->desk->driver->manage()->getLog('browser'), static fn (array $line): bool => $line['level'] === 'SEVERE' && ! str_contains($line['message'], '422') && ! str_contains($line['message'], '409'));
        self::assertSame([], array_column($errors, 'message'), 'the browser’s log is free of errors');
    }

    protected function takeFromRack(string $mark): void
    {
        $this->desk->css(sprintf('[aria-label="Unit types"] [aria-label^="%s "]', $mark))->click();
        $this->desk->waitForText("$mark in hand");
    }

    protected function chooseFirstOfCharts(): void
    {
        $this->desk->click('elevation', 1730 + 600, 4200 + 1600);
        $this->desk->waitForText('South · Charts');
        $this->desk->field('Position');
    }
}
