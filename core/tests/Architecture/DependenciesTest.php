<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Architecture;

use PHPUnit\Framework\TestCase;

final class DependenciesTest extends TestCase
{
    public function test_the_core_uses_nothing_but_php_and_itself(): void
    {
        $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(dirname(__DIR__, 2).'/src', \FilesystemIterator::SKIP_DOTS));
        $seen = 0;
        foreach ($files as $file) {
            $code = (string) file_get_contents((string) $file);
            $seen++;
            self::assertStringContainsString('declare(strict_types=1);', $code, (string) $file);
            self::assertDoesNotMatchRegularExpression('/^use (?!Isleward\\\\Core\\\\)\S+\\\\/m', $code, (string) $file);
            self::assertDoesNotMatchRegularExpression('/\b(Illuminate|Laravel|Eloquent|PDO|SELECT \w|\$_(GET|POST|SERVER))\b/', $code, (string) $file);
        }
        self::assertGreaterThan(60, $seen);
    }
}
