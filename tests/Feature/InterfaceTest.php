<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

/** The built interface: what is fetched before the desk can be worked at, and what comes after it. */
final class InterfaceTest extends TestCase
{
    /** kB of scripts, gzipped: until signing in is shown, and until the desk's drawing stands */
    private const MOST = ['app' => 115, 'desk' => 170];

    public function test_signing_in_and_the_desk_need_no_more_scripts_than_their_share_and_the_solid_viewer_comes_after(): void
    {
        $manifest = json_decode((string) file_get_contents(public_path('build/manifest.json')), true, flags: JSON_THROW_ON_ERROR);
        $named = array_flip(array_filter(array_column($manifest, 'name', 'file')));
        $keys = array_combine(array_column($manifest, 'file'), array_keys($manifest));
        $needed = [];
        foreach (self::MOST as $name => $most) {
            // one file each: a browser on a slow line waits as long for a small one as for a large one
            $needed[] = $keys[$named[$name]];
            self::assertEqualsCanonicalizing($needed, self::with($manifest, [$keys[$named[$name]]]), "what $name begins with");
            $size = array_sum(array_map(
                static fn (string $part): int => strlen(
                    (string) gzencode((string) file_get_contents(public_path('build/'.$manifest[$part]['file'])), 9),
                ),
                $needed,
            ));
            self::assertGreaterThan(50, $size / 1000, "the scripts of $name are among them");
            self::assertLessThanOrEqual($most, $size / 1000, "until $name stands");
        }
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
