<?php

declare(strict_types=1);

namespace App\Files;

use App\Files\Reading\Read;
use App\Models\User;
use Isleward\Core\Measure\Refusal;
use Symfony\Component\Process\Exception\ProcessSignaledException;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/**
 * Has foreign files read by a process of its own (bin/read.php), which may take ten seconds of the processor and 256 MB, yields to
 * everything else on the machine, and ends with all that it started. One person's files are read one after the other. A machine that is
 * busy with other things may need more of the clock for it, but not without end: a short list is not refused for what others do.
 */
final class Foreign
{
    /** Seconds of the processor. */
    private const SECONDS = 10;

    /** Seconds of the clock, after which it is ended on a busy machine too. */
    private const CLOCK = 20;

    /** Bytes that it may take for data. */
    private const MEMORY = 256 * 1024 * 1024;

    /** Bytes of the largest file that it may write. */
    private const WRITES = 100_000_000;

    /**
     * @param  'drawing'|'picture'|'table'  $kind
     * @param  string  $more  page of a PDF, or the name of a table
     *
     * @throws Refusal when it cannot be read
     * @throws StorageFull
     */
    public function read(User $user, string $kind, string $content, string $more = ''): Read
    {
        $mine = $this->turn($user);
        $folder = sys_get_temp_dir().'/isleward-in-'.bin2hex(random_bytes(8));
        if (! @mkdir($folder, 0o700)) {
            throw StorageFull::at(sys_get_temp_dir());
        }
        try {
            Whole::write("$folder/in", $content);
            $process = new Process([
                'timeout', '--signal=KILL', (string) self::CLOCK, 'nice', '-n', '5',
                'prlimit', '--cpu='.self::SECONDS, '--data='.self::MEMORY, '--fsize='.self::WRITES, '--core=0',
                PHP_BINDIR.'/php', '-d', 'memory_limit='.self::MEMORY, '-d', 'opcache.enable_cli=0', '-d', 'display_errors=stderr', '-d',
                'log_errors=0',
                base_path('bin/read.php'), $kind, $folder, $more,
            ], timeout: self::CLOCK + 5);
            try {
                $process->run();
            } catch (ProcessSignaledException|ProcessTimedOutException) {
                // its time was over
                throw self::tooSlow();
            }

            return $this->made($process, $folder);
        } finally {
            array_map(static fn (string $f): bool => @unlink($f), glob("$folder/*") ?: []);
            @rmdir($folder);
            fclose($mine);
        }
    }

    private function made(Process $process, string $folder): Read
    {
        $answer = json_decode($process->getOutput(), true);
        if (is_array($answer) && is_string($answer['kept'] ?? null) && in_array(
            $answer['kept'],
            ['json', 'png', 'jpg'],
            true,
        ) && is_array($answer['told'] ?? null)) {
            return new Read((string) file_get_contents("$folder/out"), $answer['kept'], $answer['told']);
        }
        if (is_array($answer) && is_string($answer['code'] ?? null) && is_string($answer['sentence'] ?? null)) {
            throw Refusal::because(
                $answer['code'],
                $answer['sentence'],
                details: is_array($answer['details'] ?? null) ? $answer['details'] : [],
            );
        }
        $status = $process->getExitCode();
        $said = $process->getErrorOutput();
        throw match (true) {
            // killed when the time of the clock was over, or that of the processor
            in_array($status, [124, 137, 128 + SIGXCPU], true) => self::tooSlow(),
            $status === 3 || $status === 128 + SIGXFSZ => StorageFull::at(sys_get_temp_dir()),
            preg_match('/memory|bad_alloc/i', $said) === 1 || in_array(
                $status,
                [128 + SIGSEGV, 128 + SIGABRT],
                true,
            ) => Refusal::because('file.too_heavy', sprintf(
                'Reading this file takes more than %d MB of memory, so it was stopped. Take out of it what is not needed, or read in a part of it.',
                intdiv(self::MEMORY, 1024 * 1024))),
            default => Refusal::because('file.unreadable', 'This file cannot be read: it is damaged, or of another kind than it says.'),
        };
    }

    public static function tooSlow(): Refusal
    {
        return Refusal::because('file.too_slow', sprintf(
            'Reading this file takes longer than %d seconds, so it was stopped. Take out of it what is not needed, or read in a part of it.',
            self::SECONDS));
    }

    /** @return resource held until the file is read */
    private function turn(User $user)
    {
        $lock = @fopen(storage_path("framework/cache/reading-$user->id.lock"), 'ce');
        if ($lock === false) {
            throw StorageFull::at(storage_path('framework/cache'));
        }
        if (! flock($lock, LOCK_EX | LOCK_NB)) {
            fclose($lock);
            throw Waiting::forAFile();
        }

        return $lock;
    }
}
