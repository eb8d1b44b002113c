<?php

declare(strict_types=1);

namespace App\Running;

/**
 * What was started and runs, one file each under "run/": its process with the moment it started, so that a number which the system has
 * given to another process since is not taken for ours. From here everything can be ended in order, also by another process than the one
 * that started it.
 */
final readonly class Ledger
{
    /** @param  \Closure(string): void  $say */
    public function __construct(private string $folder, private \Closure $say)
    {
        if (! is_dir($folder) && ! @mkdir($folder, 0o755, true) && ! is_dir($folder)) {
            throw new Failure("The folder $folder cannot be made.");
        }
    }

    public function add(Service $service): void
    {
        $entry = [
            'pid' => $service->pid(), 'started' => self::started($service->pid()), 'name' => $service->name,
            'stop' => $service->stop, 'tier' => $service->tier, 'grace' => $service->grace,
        ];
        $file = "$this->folder/$service->key.json";
        if (@file_put_contents("$file.new", json_encode($entry, JSON_THROW_ON_ERROR)) === false || ! rename("$file.new", $file)) {
            throw new Failure("$file cannot be written.");
        }
    }

    public function remove(Service $service): void
    {
        @unlink("$this->folder/$service->key.json");
    }

    /** @return array<string, array{pid: int, started: string, name: string, stop: int, tier: int, grace: float}> those that run, by key */
    public function running(): array
    {
        $running = [];
        foreach (glob("$this->folder/*.json") ?: [] as $file) {
            $entry = json_decode((string) @file_get_contents($file), true);
            if (! is_array($entry) || ! is_int($entry['pid'] ?? null) || self::started($entry['pid']) !== ($entry['started'] ?? null)) {
                // the leader is gone; what it had started may be left, and keeps the number of its group from being given away
                if (is_int($entry['pid'] ?? null) && ! is_dir('/proc/'.$entry['pid'])) {
                    posix_kill(-$entry['pid'], SIGKILL);
                }
                @unlink($file);

                continue;
            }
            /** @var array{pid: int, started: string, name: string, stop: int, tier: int, grace: float} $entry */
            $running[basename($file, '.json')] = $entry;
        }
        uasort($running, static fn (array $a, array $b): int => $a['tier'] <=> $b['tier']);

        return $running;
    }

    /** Ends everything: what serves first, the database last; what does not end in its time is killed. */
    public function endAll(): void
    {
        $tiers = [];
        foreach ($this->running() as $key => $entry) {
            $tiers[$entry['tier']][$key] = $entry;
        }
        foreach ($tiers as $entries) {
            foreach ($entries as $entry) {
                posix_kill($entry['pid'], $entry['stop']);
            }
            foreach ($entries as $key => $entry) {
                $this->await($entry);
                @unlink("$this->folder/$key.json");
            }
        }
    }

    /** @param  array{pid: int, started: string, name: string, stop: int, tier: int, grace: float}  $entry */
    private function await(array $entry): void
    {
        $until = microtime(true) + $entry['grace'];
        while (self::started($entry['pid']) === $entry['started']) {
            if (microtime(true) > $until) {
                ($this->say)(sprintf('%s did not end within %d s and is killed', $entry['name'], (int) $entry['grace']));
                posix_kill(-$entry['pid'], SIGKILL);
                posix_kill($entry['pid'], SIGKILL);
                $until += 2.0;
            }
            pcntl_waitpid($entry['pid'], $status, WNOHANG);
            usleep(50_000);
        }
        // what it had started itself lives in its group
        posix_kill(-$entry['pid'], SIGKILL);
    }

    /** When a process started, in the system's ticks; '' when there is none, or only what is left of one that has ended. */
    public static function started(int $pid): string
    {
        $stat = $pid > 0 ? (string) @file_get_contents("/proc/$pid/stat") : '';
        // the program's name stands in brackets and may hold anything
        $fields = explode(' ', substr($stat, (int) strrpos($stat, ')') + 2));

        return count($fields) < 20 || $fields[0] === 'Z' ? '' : $fields[19];
    }
}
