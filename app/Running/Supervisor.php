<?php

declare(strict_types=1);

namespace App\Running;

/**
 * Starts what Isleward runs on, watches it, starts again what ends, and ends everything in order: on Ctrl-C, SIGTERM, a closed terminal,
 * or,
 * through a guardian beside it, when it is killed itself.
 */
final class Supervisor
{
    /** What ended so often within ten minutes is not started again. */
    private const WITHIN = 600;

    private bool $asked = false;

    private bool $held = false;

    /** @var array<string, Service> */
    private array $services = [];

    /** @var array<string, list<float>> when each ended by itself */
    private array $ended = [];

    private float $databaseAt = 0.0;

    private readonly Ledger $ledger;

    /** @var resource|null */
    private $lock = null;

    /**
     * @param  string  $home  where "run/" and the lock are
     * @param  int  $restarts  how often each is started again within ten minutes
     * @param  int|null  $parent  with the end of this process everything ends
     */
    public function __construct(private readonly string $home, private readonly int $restarts = 3, private readonly ?int $parent = null)
    {
        if (! is_dir($home) && ! @mkdir($home, 0o755, true) && ! is_dir($home)) {
            throw new Failure("The folder $home cannot be made.");
        }
        $this->ledger = new Ledger("$home/run", $this->say(...));
        pcntl_async_signals(true);
        foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
            pcntl_signal($signal, function (): void {
                $this->asked = true;
            });
        }
    }

    public function say(string $line): void
    {
        // the terminal may be gone
        @fwrite(STDERR, "· $line\n");
    }

    /** Takes the place for itself and ends what an earlier start left there. */
    public function takePlace(): void
    {
        $this->lock = @fopen(
            "$this->home/lock",
            'ce+',
        ) ?: throw new Failure("$this->home/lock cannot be written: Isleward needs to write below $this->home.");
        for ($waited = 0; ! flock($this->lock, LOCK_EX | LOCK_NB); $waited++) {
            $holder = json_decode((string) file_get_contents("$this->home/lock"), true);
            $pid = is_array($holder) && is_int($holder['pid'] ?? null) ? $holder['pid'] : 0;
            if ($pid > 0 && Ledger::started($pid) !== '' && ! is_file("$this->home/stopping")) {
                throw new Failure(sprintf(
                    'Isleward runs from this folder already, on %s (process %d). Stop that first, or work there.',
                    is_string($holder['address'] ?? null) ? $holder['address'] : 'another address',
                    $pid,
                ));
            }
            if ($waited === 0) {
                $this->say('an earlier Isleward is just ending here: waiting for it');
            }
            if ($waited > 200 || $this->asked) {
                throw new Failure('An earlier Isleward has not ended within 20 s: see '.$this->home.'/run.');
            }
            usleep(100_000);
        }
        $this->held = true;
        @unlink("$this->home/stopping");
        $this->hold('…');
        $left = $this->ledger->running();
        if ($left !== []) {
            $this->say(sprintf(
                'an earlier Isleward left %s running: ending %s',
                implode(' and ', array_column($left, 'name')),
                count($left) === 1 ? 'it' : 'them',
            ));
            $this->ledger->endAll();
        }
        $this->guard();
    }

    /** Whether the place is ours, and with it what runs there. */
    public function holds(): bool
    {
        return $this->held;
    }

    public function seconds(float $seconds): string
    {
        return $seconds < 90 ? sprintf('%d s', (int) ceil($seconds)) : sprintf(
            '%d min %d s',
            intdiv((int) $seconds, 60),
            (int) $seconds % 60,
        );
    }

    /** Writes down who holds the place and where it serves, for whoever starts a second time. */
    public function hold(string $address): void
    {
        if ($this->lock !== null) {
            ftruncate($this->lock, 0);
            rewind($this->lock);
            fwrite($this->lock, json_encode(['pid' => getmypid(), 'address' => $address], JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES));
            fflush($this->lock);
        }
    }

    /** Starts it and waits until it answers. */
    public function start(Service $service, float $patience = 30.0): void
    {
        $service->start();
        $this->services[$service->key] = $service;
        $this->ledger->add($service);
        $until = microtime(true) + $patience;
        while (! $service->isReady()) {
            $this->requireGoingOn();
            if (! $service->runs()) {
                throw new Failure(sprintf(
                    "%s did not start: %s. Its log is %s:\n%s",
                    ucfirst($service->name),
                    $service->ending(),
                    $service->log,
                    $service->lastWords(),
                ));
            }
            if (microtime(true) > $until) {
                throw new Failure(sprintf(
                    "%s did not answer within %d s. Its log is %s:\n%s",
                    ucfirst($service->name),
                    (int) $patience,
                    $service->log,
                    $service->lastWords(),
                ));
            }
            usleep(50_000);
        }
        if ($service->key === 'database') {
            $this->databaseAt = microtime(true);
        }
    }

    /**
     * Runs one step of starting; what it says goes to a log.
     *
     * @param  list<string>  $command
     * @param  array<string, string>  $environment
     */
    public function step(string $name, array $command, string $log, array $environment = []): void
    {
        $began = microtime(true);
        $this->say($name);
        $out = ['file', $log, 'w'];
        $process = proc_open(['setsid', ...$command], [['file', '/dev/null', 'r'], $out, $out], $pipes, null, $environment + getenv());
        if ($process === false) {
            throw new Failure("$name: {$command[0]} is missing.");
        }
        $said = 10;
        do {
            usleep(30_000);
            $status = proc_get_status($process);
            if ($this->asked && $status['running']) {
                posix_kill(-$status['pid'], SIGKILL);
            }
            if ($status['running'] && microtime(true) - $began > $said) {
                $this->say(sprintf('  still at it after %d s', $said));
                $said += 10;
            }
        } while ($status['running']);
        proc_close($process);
        $this->requireGoingOn();
        if ($status['exitcode'] !== 0) {
            throw new Failure(sprintf(
                "%s failed. Its log is %s:\n%s",
                ucfirst($name),
                $log,
                implode(
                    "\n",
                    array_map(
                        static fn (string $l): string => "    $l",
                        array_slice(explode("\n", trim((string) file_get_contents($log))), -12),
                    ),
                ),
            ));
        }
    }

    /** Watches until it is asked to end, or something ended too often. */
    public function watch(): never
    {
        while (true) {
            usleep(200_000);
            $this->requireGoingOn();
            foreach ($this->services as $service) {
                if (! $service->runs()) {
                    $this->again($service);
                }
            }
        }
    }

    public function stop(): void
    {
        @touch("$this->home/stopping");
        $this->ledger->endAll();
        foreach (['running', 'stopping'] as $file) {
            @unlink("$this->home/$file");
        }
    }

    private function again(Service $service): void
    {
        $this->ledger->remove($service);
        $how = $service->ending();
        posix_kill(-$service->pid(), SIGKILL); // what it had started itself would stand in its way
        // a worker leaves when the database does; that is not its own fault
        $database = $this->services['database'] ?? null;
        $excused = str_starts_with(
            $service->key,
            'worker',
        ) && $database !== null && (! $database->runs() || microtime(true) - $this->databaseAt < 10);
        if ($excused && ! $database->runs()) {
            return;
        }
        for ($count = 0; ; $how = $service->ending()) {
            if (! $excused) {
                $now = microtime(true);
                $this->ended[$service->key] = [
                    ...array_filter($this->ended[$service->key] ?? [], static fn (float $t): bool => $t > $now - self::WITHIN),
                    $now,
                ];
                $count = count($this->ended[$service->key]);
            }
            if ($count > $this->restarts) {
                throw new Failure(
                    sprintf("%s has ended %d times within ten minutes (last: %s) and is not started again. Its log is %s:\n%s",
                        ucfirst($service->name), $count, $how, $service->log, $service->lastWords()));
            }
            $this->say(sprintf('%s %s: starting it again%s', $service->name, $how, $excused ? '' : " ($count of $this->restarts)"));
            try {
                $this->start($service);
                $this->say("$service->name runs again");

                return;
            } catch (Failure $failure) {
                if ($excused || $service->runs()) {
                    throw $failure;
                }
            }
        }
    }

    private function requireGoingOn(): void
    {
        if ($this->asked || ($this->parent !== null && Ledger::started($this->parent) === '')) {
            throw new Asked;
        }
    }

    /** A process beside this one that ends everything when this one is killed. */
    private function guard(): void
    {
        $parent = posix_getpid();
        $pid = pcntl_fork();
        if ($pid !== 0) {
            return;
        }
        posix_setsid();
        foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
            pcntl_signal($signal, SIG_IGN);
        }
        while (posix_getppid() === $parent) {
            usleep(150_000);
        }
        if ($this->ledger->running() !== []) {
            $this->say('Isleward was killed: ending what it had started');
            $this->ledger->endAll();
        }
        @unlink("$this->home/running");
        posix_kill(posix_getpid(), SIGKILL); // nothing of the parent's is closed a second time
    }
}
