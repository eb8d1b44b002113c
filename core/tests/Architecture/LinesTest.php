<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Architecture;

use PHPUnit\Framework\TestCase;

/** Lines of code and of what is said beside it are no longer than 140 characters, but for one long text that is one text. */
final class LinesTest extends TestCase
{
    private const MOST = 140;

    private const FOLDERS = ['app', 'bench', 'bin', 'config', 'core/src', 'core/tests', 'database', 'resources/js', 'routes', 'tests'];

    /** A text or pattern as long as this may make its line too long: it is found and read as one. */
    private const TEXT = 60;

    public function test_no_line_is_longer_than_may_be_read_at_a_glance(): void
    {
        $long = [];
        $seen = 0;
        foreach (self::files() as $file => $code) {
            $seen++;
            foreach (explode("\n", $code) as $i => $line) {
                if (mb_strlen($line) > self::MOST && mb_strlen(self::withoutTexts($line)) > self::MOST - self::TEXT) {
                    $long[] = sprintf('%s:%d (%d)', $file, $i + 1, mb_strlen($line));
                }
            }
        }
        self::assertGreaterThan(500, $seen);
        self::assertSame([], $long);
    }

    public function test_it_would_find_one(): void
    {
        self::assertGreaterThan(80, mb_strlen(self::withoutTexts(str_repeat('$a->b($c); ', 14))));
        self::assertLessThan(80, mb_strlen(self::withoutTexts("throw new Exception('".str_repeat('word ', 40)."');")));
        // many short texts are not one long text
        self::assertGreaterThan(80, mb_strlen(self::withoutTexts(str_repeat("'short' => 'word', ", 10))));
    }

    /** A line less the texts in it that are long. */
    private static function withoutTexts(string $line): string
    {
        return (string) preg_replace('/(["\'`])(?:\\\\.|(?!\1).){'.self::TEXT.',}(?:\1|$)/u', '', $line);
    }

    /** @return iterable<string, string> path → code */
    private static function files(): iterable
    {
        $root = dirname(__DIR__, 3);
        foreach (self::FOLDERS as $folder) {
            $all = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("$root/$folder", \FilesystemIterator::SKIP_DOTS));
            foreach ($all as $file) {
                $path = substr((string) $file, strlen($root) + 1);
                if (preg_match('/\.(php|ts|tsx|mjs)$/', $path) === 1 && ! str_contains($path, '.generated.')) {
                    yield $path => (string) file_get_contents((string) $file);
                }
            }
        }
    }
}
