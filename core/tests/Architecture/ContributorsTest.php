<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Architecture;

use Isleward\Core\Check\Rule;
use Isleward\Core\Design\Contributors;
use Isleward\Core\Drawing\Contributor as Drawn;
use Isleward\Core\Scene\Contributor as Shown;
use Isleward\Core\Schedule\Contributor as Scheduled;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ContributorsTest extends TestCase
{
    /** @return iterable<string, array{class-string, int}> interface, and how many serve it at the least */
    public static function interfaces(): iterable
    {
        yield 'drawings' => [Drawn::class, 2];
        yield 'the solid model' => [Shown::class, 2];
        yield 'schedules' => [Scheduled::class, 3];
        yield 'findings' => [Rule::class, 14];
    }

    /**
     * A class that serves one of these and is named nowhere would be passed over in silence.
     *
     * @param  class-string  $interface
     */
    #[DataProvider('interfaces')]
    public function test_whoever_serves_one_is_named_and_whoever_is_named_serves_it(string $interface, int $least): void
    {
        $there = [];
        $core = dirname(__DIR__, 2).'/src/';
        foreach (glob($core.'*/*.php') ?: [] as $file) {
            $class = 'Isleward\\Core\\'.str_replace('/', '\\', substr($file, strlen($core), -4));
            if (class_exists($class) && is_subclass_of($class, $interface)) {
                $there[] = $class;
            }
        }
        $named = array_map(static fn (object $one): string => $one::class, Contributors::to($interface));
        self::assertEqualsCanonicalizing($there, $named);
        self::assertContainsOnlyInstancesOf($interface, Contributors::to($interface));
        self::assertGreaterThanOrEqual($least, count($named));
    }

    public function test_an_interface_that_nobody_is_named_for_is_a_slip(): void
    {
        $this->expectException(\LogicException::class);
        Contributors::to(self::class);
    }
}
