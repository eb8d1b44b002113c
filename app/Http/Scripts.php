<?php

declare(strict_types=1);

namespace App\Http;

/** The scripts that the interface was built into. */
final class Scripts
{
    /**
     * Where parts of it are, by the names they are given in vite.config.ts. None while it is not built or is built as one works on it.
     *
     * @return list<string>
     */
    public static function named(string ...$names): array
    {
        $built = public_path('build/manifest.json');
        if (! is_file($built) || is_file(public_path('hot'))) {
            return [];
        }
        /** @var array<string, array{file: string, name?: string}> $all */
        $all = json_decode((string) file_get_contents($built), true, flags: JSON_THROW_ON_ERROR);
        $files = array_column($all, 'file', 'name');

        return array_map(static fn (string $name): string => "/build/{$files[$name]}", array_values(array_filter(
            $names,
            static fn (string $name): bool => isset($files[$name]),
        )));
    }
}
