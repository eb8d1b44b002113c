<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

/** The built interface: what is fetched before the desk can be worked at, and what comes after it. */
final class InterfaceTest extends TestCase
{
    /** kB of scripts, gzipped, until the desk stands */
    private const MOST = 250;

    public function test_the_desk_needs_no_more_scripts_than_its_share_and_the_solid_viewer_comes_after_it(): void
    {
        $manifest = json_decode((string) file_get_contents(public_path('build/manifest.json')), true, flags: JSON_THROW_ON_ERROR);
        $needed = self::with($manifest, ['resources/js/app.tsx', 'resources/js/desk/DeskPage.tsx']);
        $size = array_sum(array_map(
            static fn (string $part): int => strlen(
                (string) gzencode((string) file_get_contents(public_path('build/'.$manifest[$part]['file'])), 6),
            ),
            $needed,
        ));
        self::assertGreaterThan(100, $size / 1000, 'the desk is among them');
        self::assertLessThanOrEqual(self::MOST, $size / 1000);
        foreach (['bench/BenchPage', 'sheets/SheetsPage', 'desk/schedules/Schedules', 'desk/solid/SolidPane'] as $later) {
            self::assertTrue($manifest["resources/js/$later.tsx"]['isDynamicEntry'] ?? false, "$later is fetched when it is needed");
            self::assertNotContains("resources/js/$later.tsx", $needed);
        }
        $three = array_filter(
            $needed,
            static fn (string $part): bool => str_contains(
                (string) file_get_contents(public_path('build/'.$manifest[$part]['file'])),
                'WebGLRenderer',
            ),
        );
        self::assertSame([], $three);
    }

    /**
     * @param  array<string, array{file: string, imports?: list<string>}>  $manifest
     * @param  list<string>  $parts
     * @return list<string> these, and whatever they import before they run
     */
    private static function with(array $manifest, array $parts): array
    {
        $all = [];
        while ($parts !== []) {
            $part = array_shift($parts);
            if (! in_array($part, $all, true)) {
                $all[] = $part;
                array_push($parts, ...$manifest[$part]['imports'] ?? []);
            }
        }

        return $all;
    }
}
