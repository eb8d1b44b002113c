<?php

declare(strict_types=1);

namespace Tests\Standing;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Standing\Support\Place;
use Tests\Support\Pace;

/** A short trial: people edit while the database, PHP and the workers are killed, files and requests come that should not. */
final class TrialTest extends TestCase
{
    public function test_nothing_acknowledged_is_lost_and_nothing_false_is_said(): void
    {
        $trial = new Process(
            ['./isleward', 'trial', '--kills', '8', '--requests', '400', '--people', '4', '--files', '4', '--json'],
            dirname(__DIR__, 2),
            Place::withoutOurs(),
            timeout: Pace::seconds(400) + 600,
        );
        $trial->run();
        $said = json_decode($trial->getOutput(), true);
        self::assertIsArray($said, $trial->getErrorOutput());
        foreach (['lost', 'doubled', 'falsely denied', 'half done', '5xx of edits', '5xx', 'no problem+json'] as $none) {
            self::assertSame(0, $said[$none], "$none\n".$trial->getErrorOutput());
        }
        self::assertSame(8, $said['kills']);
        self::assertGreaterThan(10, $said['acknowledged'], 'people did get on with their work');
        self::assertGreaterThan(0, $said['asked again'], 'and were hindered in it');
        self::assertTrue($trial->isSuccessful(), $trial->getErrorOutput());
    }
}
