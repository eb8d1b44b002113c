<?php

declare(strict_types=1);

namespace App\Files;

use App\Models\Project;
use Illuminate\Support\Facades\Storage;

/**
 * What people brought in, as our own readers left it: never a file as it came. Each is kept under a hash of its content in its project's
 * folder of the storage (disk "isleward.files_disk").
 */
final class Store
{
    /** @param  'json'|'png'|'jpg'  $kind */
    public function put(Project $project, string $content, string $kind): string
    {
        $name = hash('xxh128', $content).'.'.$kind;
        self::disk()->put(self::path($project, $name), $content);

        return $name;
    }

    public function get(Project $project, string $name): ?string
    {
        return preg_match('/^[0-9a-f]{32}\.(json|png|jpg)$/', $name) === 1 ? self::disk()->get(self::path($project, $name)) : null;
    }

    /** Everything that was brought into a project, when it is removed. */
    public function forget(Project $project): void
    {
        self::disk()->deleteDirectory("projects/{$project->id}");
    }

    private static function path(Project $project, string $name): string
    {
        return "projects/{$project->id}/$name";
    }

    private static function disk(): \Illuminate\Contracts\Filesystem\Filesystem
    {
        return Storage::disk(config()->string('isleward.files_disk'));
    }
}
