<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Architecture;

use PHPUnit\Framework\TestCase;

final class DependenciesTest extends TestCase
{
    /**
     * The folders from left to right: each may use all to its left. Those that stand side by side, in one row, use one another only as
     * {@see self::SIDEWAYS} names it.
     */
    private const ORDER = [
        ['Measure'],
        ['Geometry'],
        ['Unit'],
        ['Design'],
        ['Building'],
        ['Arrange', 'Drawing', 'Scene', 'Schedule', 'Check'],
        ['CurtainWall', 'Layer', 'Roof'],
        ['Bench', 'Given', 'Tracing', 'Revision', 'Exchange', 'Sheet', 'Edit'],
    ];

    /** Files that name classes of every folder and are used by none. */
    private const LISTS = ['kinds.php', 'contributors.php'];

    /** Who uses whom in one row. */
    private const SIDEWAYS = [
        'Scene' => ['Drawing'], // what is drawn flat and solid alike has one key
        'Schedule' => ['Drawing'],
        'Layer' => ['CurtainWall'], // fins are cut from bars as members are
        'Exchange' => ['Tracing'],
        'Sheet' => ['Bench', 'Exchange'],
        'Edit' => ['Exchange', 'Given'],
    ];

    public function test_the_core_uses_nothing_but_php_and_itself(): void
    {
        $seen = 0;
        foreach (self::files() as $file => $code) {
            $seen++;
            self::assertStringContainsString('declare(strict_types=1);', $code, $file);
            if (! in_array(basename($file), self::LISTS, true)) {
                self::assertDoesNotMatchRegularExpression('/^use (?!Isleward\\\\Core\\\\)\S+\\\\/m', $code, $file);
            }
            self::assertDoesNotMatchRegularExpression(
                '/\b(Illuminate|Laravel|Eloquent|PDO|SELECT \w|\$_(GET|POST|SERVER))\b/',
                $code,
                $file,
            );
        }
        self::assertGreaterThan(60, $seen);
    }

    public function test_every_folder_uses_only_what_stands_to_its_left(): void
    {
        $row = [];
        foreach (self::ORDER as $i => $folders) {
            $row += array_fill_keys($folders, $i);
        }
        $used = $wrong = [];
        foreach (self::arrows() as [$from, $to, $file]) {
            self::assertArrayHasKey($from, $row, "$file lies in no folder of the matrix");
            self::assertArrayHasKey($to, $row, "$file uses $to, which is no folder of the matrix");
            $used["$from → $to"] = true;
            if ($row[$to] > $row[$from] || ($row[$to] === $row[$from] && ! in_array($to, self::SIDEWAYS[$from] ?? [], true))) {
                $wrong[] = "$file: $from → $to";
            }
        }
        self::assertSame([], $wrong);
        foreach (self::SIDEWAYS as $from => $tos) {
            foreach ($tos as $to) {
                self::assertArrayHasKey("$from → $to", $used, 'an arrow that is named and not used any more');
                self::assertNotContains($from, self::SIDEWAYS[$to] ?? [], 'one of two uses the other');
            }
        }
    }

    /** @return iterable<array{string, string, string}> from folder, to folder, file; comments count too: who names a class knows of it */
    private static function arrows(): iterable
    {
        foreach (self::files() as $file => $code) {
            if (in_array(basename($file), self::LISTS, true)) {
                continue; // puts together what the folders hold
            }
            preg_match_all('/Isleward\\\\Core\\\\(\w+)\\\\\w/', $code, $found);
            foreach (array_unique($found[1]) as $to) {
                $from = explode('/', substr($file, strlen(self::root()) + 1))[0];
                if ($to !== $from) {
                    yield [$from, $to, substr($file, strlen(self::root()) + 1)];
                }
            }
        }
    }

    /** @return iterable<string, string> path → code */
    private static function files(): iterable
    {
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(self::root(), \FilesystemIterator::SKIP_DOTS)) as $file) {
            yield (string) $file => (string) file_get_contents((string) $file);
        }
    }

    private static function root(): string
    {
        return dirname(__DIR__, 2).'/src';
    }
}
