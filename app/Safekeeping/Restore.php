<?php

declare(strict_types=1);

namespace App\Safekeeping;

use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;

/**
 * Puts a backup in the place of what is there, while Isleward runs: it is read into a database of its own beside, brought to this
 * version there, and then changes places with the one in use in one step, while whoever asks is told to come back in a moment. What was
 * there before is kept beside until the next time.
 */
final class Restore
{
    /** Requests that are under way end within it, seconds. */
    private const QUIET = 2;

    /**
     * @return array{projects: int, people: int, files: int, made: string, before: string} the database that keeps what was there
     *
     * @throws Unsafe when it is no backup, is damaged, or is of a later version; nothing is changed then
     */
    public static function from(string $file, Migrator $migrator): array
    {
        if (! is_file($file)) {
            throw new Unsafe("There is no file $file.");
        }
        $workshop = new Workshop;
        $workshop->run(['tar', '-xzf', (string) realpath($file), '--no-same-owner'], "$file is no backup of Isleward: reading it");
        $what = self::read($workshop->folder, $file);
        $known = array_keys($migrator->getMigrationFiles([database_path('migrations')]));
        $later = array_diff($what['migrations'], $known);
        if ($later !== []) {
            throw new Unsafe(sprintf(
                '%s was made by a later version of Isleward than this one (it has %s): update this one first.', $file,
                $later[array_key_first($later)],
            ));
        }
        $live = Workshop::database();
        $beside = "{$live}_restored_".bin2hex(random_bytes(4));
        DB::statement("CREATE DATABASE `$beside` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");
        try {
            $workshop->run(['mariadb', ...Workshop::reach(), '--default-character-set=utf8mb4', $beside],
                'Reading its database', "$workshop->folder/database.sql");
            config(['database.connections.restored' => [...DB::connection()->getConfig(), 'name' => 'restored', 'database' => $beside]]);
            Artisan::call('migrate', ['--database' => 'restored', '--force' => true]);
            $files = self::bring($workshop->folder);
            $before = self::swap($live, $beside);
        } finally {
            DB::purge('restored');
            DB::statement("DROP DATABASE IF EXISTS `$beside`");
        }
        self::tidy();
        self::asOthers();

        return [
            'projects' => DB::table('projects')->count(), 'people' => DB::table('users')->count(), 'files' => $files,
            'made' => $what['made'], 'before' => $before,
        ];
    }

    /** @return array{migrations: list<string>, made: string} */
    private static function read(string $folder, string $file): array
    {
        $what = is_file("$folder/isleward.json") ? json_decode((string) file_get_contents("$folder/isleward.json"), true) : null;
        if (! is_array($what) || ($what['format'] ?? null) !== Backup::FORMAT || ! is_array($what['migrations'] ?? null)) {
            throw new Unsafe("$file is no backup of Isleward: it does not say what is in it.");
        }
        if (! is_file("$folder/database.sql") || hash_file('sha256', "$folder/database.sql") !== ($what['sha256'] ?? null)) {
            throw new Unsafe("$file is damaged: its database is not the one that was written. Nothing was changed.");
        }

        return [
            'migrations' => array_values(array_filter($what['migrations'], is_string(...))),
            'made' => is_string($what['made'] ?? null) ? $what['made'] : '',
        ];
    }

    /** What people had read in comes to its place, before anything names it. */
    private static function bring(string $folder): int
    {
        $disk = Storage::disk(config()->string('isleward.files_disk'));
        $count = 0;
        foreach (is_dir("$folder/files") ? File::allFiles("$folder/files") : [] as $one) {
            $path = $one->getRelativePathname();
            if (! $disk->exists($path)) {
                $from = fopen($one->getPathname(), 'r');
                if ($from === false || ! $disk->put($path, $from)) {
                    throw new Unsafe("There is no room for $path. Nothing was changed.");
                }
            }
            $count++;
        }
        self::asOthers();

        return $count;
    }

    /** What was written here by root is of whoever has what is round it. */
    private static function asOthers(): void
    {
        foreach (posix_geteuid() === 0 ? [storage_path('app'), storage_path('framework/cache')] : [] as $folder) {
            if (is_dir($folder)) {
                (new Workshop)->run(['chown', '-R', "--reference=$folder", $folder], 'Handing over the files');
            }
        }
    }

    /** Both change places, all tables in one step. */
    private static function swap(string $live, string $beside): string
    {
        foreach (DB::select('SELECT schema_name AS name FROM information_schema.schemata WHERE schema_name LIKE ?', [
            str_replace('_', '\_', $live).'\_before\_%',
        ]) as $old) {
            DB::statement("DROP DATABASE `$old->name`");
        }
        $before = "{$live}_before_".now()->format('Ymd_His');
        DB::statement("CREATE DATABASE `$before` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");
        $tables = static fn (string $of): array => array_column(
            DB::select('SELECT table_name AS name FROM information_schema.tables WHERE table_schema = ?', [$of]), 'name',
        );
        $moves = [
            ...array_map(static fn (string $t): string => "`$live`.`$t` TO `$before`.`$t`", $tables($live)),
            ...array_map(static fn (string $t): string => "`$beside`.`$t` TO `$live`.`$t`", $tables($beside)),
        ];
        Artisan::call('down', ['--retry' => 5]);
        try {
            sleep(self::QUIET);
            DB::statement('RENAME TABLE '.implode(', ', $moves));
            foreach (array_unique([config()->string('cache.default'), config()->string('isleward.derived_store')]) as $store) {
                Cache::store($store)->clear();
            }
            Artisan::call('queue:restart');
        } finally {
            Artisan::call('up');
        }

        return $before;
    }

    /** Folders of projects that are not there any more. */
    private static function tidy(): void
    {
        $disk = Storage::disk(config()->string('isleward.files_disk'));
        $there = array_flip(DB::table('projects')->pluck('id')->all());
        foreach ($disk->directories('projects') as $folder) {
            if (! isset($there[basename($folder)])) {
                $disk->deleteDirectory($folder);
            }
        }
    }
}
