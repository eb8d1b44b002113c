<?php

declare(strict_types=1);

namespace App\Files;

use App\Models\Project;
use Illuminate\Support\Facades\Storage;

/**
 * What people brought in, as our own readers left it: never a file as it came. Each is kept under a hash of its content in its project's
 * folder of the storage (disk "isleward.files_disk"), so that the same file brought in again stands where it was missing.
 */
final class Store
{
    /**
     * @param  'json'|'png'|'jpg'  $kind
     *
     * @throws StorageFull when it is not there afterwards, whole
     */
    public function put(Project $project, string $content, string $kind): string
    {
        $name = hash('xxh128', $content).'.'.$kind;
        $path = self::path($project, $name);
        // beside its place first, so that nobody finds a part of it
        $beside = $path.'.'.bin2hex(random_bytes(6)).'.part';
        try {
            $disk = self::disk();
            if ($disk->put(
                $beside,
                $content,
            ) === false || $disk->size($beside) !== strlen($content) || $disk->move($beside, $path) === false) {
                throw StorageFull::at(storage_path('app'));
            }
        } catch (StorageFull $full) {
            throw $full;
        } catch (\Throwable $e) {
            report($e);
            throw StorageFull::at(storage_path('app'));
        } finally {
            rescue(static fn (): bool => self::disk()->delete($beside), report: false);
        }

        return $name;
    }

    public function get(Project $project, string $name): ?string
    {
        return self::isName($name) ? self::disk()->get(self::path($project, $name)) : null;
    }

    /** What a file holds; null when it is not here. */
    public function content(Project $project, string $name): ?Content
    {
        if (! self::isName($name) || ! self::disk()->exists(self::path($project, $name))) {
            return null;
        }
        if (! str_ends_with($name, '.json')) {
            return Content::Picture;
        }
        $stream = self::disk()->readStream(self::path($project, $name));
        $first = $stream === null ? '' : fread($stream, 1);
        if ($stream !== null) {
            fclose($stream);
        }

        // sheets of cells are a list, a drawing's lines a group of values
        return $first === '[' ? Content::Table : Content::Lines;
    }

    /** Everything that was brought into a project, into another one too. */
    public function copy(Project $from, Project $to): void
    {
        foreach (self::disk()->files("projects/{$from->id}") as $path) {
            if (self::isName(basename($path)) && ! self::disk()->copy($path, self::path($to, basename($path)))) {
                throw StorageFull::at(storage_path('app'));
            }
        }
    }

    /** Everything that was brought into a project, when it is removed. */
    public function forget(Project $project): void
    {
        self::disk()->deleteDirectory("projects/{$project->id}");
    }

    private static function isName(string $name): bool
    {
        return preg_match('/^[0-9a-f]{32}\.(json|png|jpg)$/D', $name) === 1;
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
