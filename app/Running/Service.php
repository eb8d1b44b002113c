<?php

declare(strict_types=1);

namespace App\Running;

/**
 * One program that Isleward runs on: the database, nginx, PHP-FPM, a worker. It gets a session of its own, so that what a terminal sends
 * reaches only the supervisor, which ends everything in order.
 */
final class Service
{
    /** @var resource|null */
    private $process = null;

    private int $pid = 0;

    private ?int $status = null;

    /**
     * @param  string  $name  as people read it: "the database"
     * @param  list<string>  $command
     * @param  string  $log  its own log, which a failure refers to; what it prints goes to "$log.out"
     * @param  int  $stop  the signal that asks it to end in order
     * @param  int  $tier  those of a lower one are ended first, and before any of a higher one
     * @param  float  $grace  seconds until it is killed
     * @param  \Closure(): bool  $ready
     * @param  array<string, string>  $environment  beside our own
     */
    public function __construct(
        public readonly string $key,
        public readonly string $name,
        private readonly array $command,
        public readonly string $log,
        public readonly int $stop,
        public readonly int $tier,
        public readonly float $grace,
        private readonly \Closure $ready,
        private readonly array $environment = [],
    ) {
    }

    public function start(): int
    {
        $out = ['file', $this->log.'.out', 'a'];
        $process = proc_open(
            ['setsid', ...$this->command],
            [['file', '/dev/null', 'r'], $out, $out],
            $pipes,
            null,
            $this->environment + getenv(),
        );
        if ($process === false) {
            throw new Failure(sprintf('%s could not be started: %s is missing.', ucfirst($this->name), $this->command[0]));
        }
        $this->process = $process;
        $this->status = null;

        return $this->pid = proc_get_status($process)['pid'];
    }

    /** Whether it runs; what it ended with is kept. */
    public function runs(): bool
    {
        if ($this->process === null) {
            return false;
        }
        $status = proc_get_status($this->process);
        if ($status['running']) {
            return true;
        }
        $this->status = $status['signaled'] ? -$status['termsig'] : $status['exitcode'];
        proc_close($this->process);
        $this->process = null;

        return false;
    }

    public function isReady(): bool
    {
        return ($this->ready)();
    }

    public function pid(): int
    {
        return $this->pid;
    }

    /** How it ended, in words. */
    public function ending(): string
    {
        return match (true) {
            $this->status === null => 'it is not running',
            $this->status < 0 => sprintf('ended by signal %d', -$this->status),
            default => sprintf('ended by itself with status %d', $this->status),
        };
    }

    /** The last lines it logged or printed, for whoever reads that it failed. */
    public function lastWords(int $lines = 8): string
    {
        $said = [];
        foreach ([$this->log, $this->log.'.out'] as $file) {
            $content = is_file($file) ? (string) @file_get_contents($file, offset: max(0, (int) filesize($file) - 4000)) : '';
            array_push(
                $said,
                ...array_slice(
                    array_values(array_filter(explode("\n", $content), static fn (string $l): bool => trim($l) !== '')),
                    -$lines,
                ),
            );
        }

        return implode("\n", array_map(static fn (string $l): string => '    '.mb_substr($l, 0, 240), array_slice($said, -$lines)));
    }
}
