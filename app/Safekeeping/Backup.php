<?php

declare(strict_types=1);

namespace App\Safekeeping;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;

/**
 * All of an installation in one archive (tar, gzip), made while people work: "isleward.json" says what is in it, "database.sql" is the
 * database as it was at one moment, "files/" what people read in. Files are named by what they hold and never change: they are copied
 * before that moment and once more after it, so that none is missing that the database names.
 */
final class Backup
{
    public const FORMAT = 'isleward-backup';

    /** Of these what is in them is left out: who is signed in, what waits to be done, what can be worked out again. */
    private const EMPTIED = ['sessions', 'jobs', 'job_batches', 'failed_jobs', 'cache', 'cache_locks'];

    /**
     * @return array{projects: int, people: int, files: int, bytes: int}
     *
     * @throws Unsafe when it could not be made; then there is no such file, or what was there before
     */
    public static function to(string $file, bool $over = false): array
    {
        if (! $over && file_exists($file)) {
            throw new Unsafe("$file is there already: name another, or add --force to write over it.");
        }
        if (! is_dir(dirname($file)) || ! is_writable(dirname($file))) {
            throw new Unsafe(dirname($file).' cannot be written to.');
        }
        $workshop = new Workshop;
        self::copy($workshop->folder);
        $database = Workshop::database();
        $workshop->run([
            'mariadb-dump', ...Workshop::reach(), '--single-transaction', '--quick', '--skip-lock-tables', '--no-tablespaces',
            '--skip-comments', '--default-character-set=utf8mb4', "--result-file=$workshop->folder/database.sql",
            ...array_map(static fn (string $table): string => "--ignore-table-data=$database.$table", self::EMPTIED),
            $database,
        ], 'Reading the database');
        $files = self::copy($workshop->folder);
        $what = [
            'format' => self::FORMAT, 'version' => 1, 'made' => now()->toIso8601String(),
            'migrations' => DB::table('migrations')->orderBy('id')->pluck('migration')->all(),
            'projects' => DB::table('projects')->count(), 'people' => DB::table('users')->count(), 'files' => $files,
            'sha256' => hash_file('sha256', "$workshop->folder/database.sql"),
        ];
        File::put(
            "$workshop->folder/isleward.json",
            json_encode($what, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n",
        );
        $part = "$file.part";
        try {
            $workshop->run(
                ['tar', '--owner=0', '--group=0', '-czf', $part, 'isleward.json', 'database.sql', 'files'], 'Writing the archive',
            );
            chmod($part, 0600);
            if (! rename($part, $file)) {
                throw new Unsafe("The archive could not be put at $file.");
            }
        } finally {
            @unlink($part);
        }

        return ['projects' => $what['projects'], 'people' => $what['people'], 'files' => $files, 'bytes' => (int) filesize($file)];
    }

    /** @return int how many there are */
    private static function copy(string $folder): int
    {
        $disk = Storage::disk(config()->string('isleward.files_disk'));
        File::ensureDirectoryExists("$folder/files");
        $count = 0;
        foreach ($disk->allFiles('projects') as $path) {
            if (str_ends_with($path, '.part')) {
                continue; // it is being written
            }
            $to = "$folder/files/$path";
            if (! is_file($to)) {
                $from = $disk->readStream($path);
                if ($from === null) {
                    continue; // its project was removed meanwhile
                }
                File::ensureDirectoryExists(dirname($to));
                if (file_put_contents($to, $from) === false) {
                    throw new Unsafe("There is no room for $path beside the archive.");
                }
            }
            $count++;
        }

        return $count;
    }
}
