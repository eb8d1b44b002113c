<?php

declare(strict_types=1);

namespace App\Safekeeping;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Symfony\Component\Process\Process;

/** A folder for as long as a backup is made or put back, and the programs that are run for it. */
final class Workshop
{
    public readonly string $folder;

    public function __construct()
    {
        $this->folder = storage_path('framework/cache/keeping-'.bin2hex(random_bytes(6)));
        File::makeDirectory($this->folder, 0700, true);
    }

    public function __destruct()
    {
        File::deleteDirectory($this->folder);
    }

    /**
     * @param  list<string>  $command
     * @param  string|null  $from  a file that is its input
     *
     * @throws Unsafe with what it said when it fails
     */
    public function run(array $command, string $what, ?string $from = null): void
    {
        $input = $from === null ? null : fopen($from, 'r');
        $process = new Process($command, $this->folder, ['MYSQL_PWD' => self::setting('password')], $input === false ? null : $input, null);
        $process->run();
        if (is_resource($input)) {
            fclose($input);
        }
        if (! $process->isSuccessful()) {
            throw new Unsafe("$what failed: ".trim($process->getErrorOutput() ?: $process->getOutput()));
        }
    }

    /** @return list<string> how a client program reaches the database; its password is in the environment */
    public static function reach(): array
    {
        return ['--no-defaults', '--host='.self::setting('host'), '--port='.self::setting('port'), '--user='.self::setting('username')];
    }

    public static function database(): string
    {
        return self::setting('database');
    }

    private static function setting(string $name): string
    {
        $value = DB::connection()->getConfig($name);

        return is_scalar($value) ? (string) $value : '';
    }
}
