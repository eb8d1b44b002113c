<?php

declare(strict_types=1);

namespace Tests\Standing\Support;

use Tests\Support\Pace;

/**
 * A fresh copy of the project in a folder of its own, as after a clone: what git tracks, with the packages and the built interface linked
 * in so
 * that they need not be fetched again; and one "up" in it, on a terminal or without.
 */
final class Place
{
    public readonly string $folder;

    public readonly int $port;

    /** @var resource|null */
    private $process = null;

    /** @var resource|null */
    private $keyboard = null;

    public function __construct()
    {
        $this->folder = sys_get_temp_dir().'/isleward-standing-'.getmypid().'-'.bin2hex(random_bytes(3));
        mkdir($this->folder);
        $root = dirname(__DIR__, 3);
        self::run("cd $root && git ls-files -co --exclude-standard -z | xargs -0 cp --parents -t $this->folder 2>/dev/null; true");
        // storage's folders come with git's placeholders; what was written there does not
        self::run("cp -al $root/vendor $root/node_modules $this->folder/ && mkdir -p $this->folder/public $this->folder/var && cp -a $root/public/build $this->folder/public/ && cp -a $root/var/done-* $this->folder/var/");
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $this->port = $socket === false ? 8470 : (int) substr((string) stream_socket_get_name($socket, false), strlen('127.0.0.1:'));
        is_resource($socket) && fclose($socket);
    }

    public function __destruct()
    {
        $this->signal(SIGTERM);
        $this->wait(20);
        self::run("rm -rf $this->folder");
    }

    /**
     * @param  'terminal'|'none'  $on
     * @param  list<string>  $options
     * @param  list<string>  $as  what is put before the command
     * @param  array<string, string>  $environment
     */
    public function up(string $on = 'none', array $options = [], array $as = [], array $environment = []): void
    {
        @unlink("$this->folder/var/running");
        $command = [...$as, './isleward', 'up', "--port=$this->port", ...$options];
        if ($on === 'terminal') {
            $command = ['script', '-qfec', implode(' ', array_map(escapeshellarg(...), $command)), '/dev/null'];
        }
        file_put_contents("$this->folder/said", '');
        $out = ['file', "$this->folder/said", 'a'];
        $process = proc_open(
            ['setsid', '--wait', ...$command],
            [['pipe', 'r'], $out, $out],
            $pipes,
            $this->folder,
            $environment + array_diff_key(getenv(), self::withoutOurs()),
        );
        if ($process === false) {
            throw new \RuntimeException('It does not start.');
        }
        $this->process = $process;
        $this->keyboard = $pipes[0];
    }

    /** Waits until it serves. */
    public function serving(int $seconds = 90): void
    {
        for ($began = microtime(true); ! is_file("$this->folder/var/running"); usleep(50_000)) {
            if (Pace::over($began, $seconds) || ! $this->runs()) {
                throw new \RuntimeException("It does not serve:\n".$this->said());
            }
        }
    }

    public function type(string $keys): void
    {
        fwrite($this->keyboard ?? throw new \LogicException('There is no keyboard.'), $keys);
    }

    /** The process that keeps everything running. */
    public function keeper(): int
    {
        $held = json_decode((string) @file_get_contents("$this->folder/var/lock"), true);

        return is_array($held) && is_int($held['pid'] ?? null) ? $held['pid'] : 0;
    }

    /** A service's process, as it was written down. */
    public function pid(string $service): int
    {
        $entry = json_decode((string) @file_get_contents("$this->folder/var/run/$service.json"), true);

        return is_array($entry) && is_int($entry['pid'] ?? null) ? $entry['pid'] : 0;
    }

    public function signal(int $signal): void
    {
        if ($this->keeper() > 0 && is_dir('/proc/'.$this->keeper())) {
            posix_kill($this->keeper(), $signal);
        }
    }

    /** Closes the terminal that it runs on. */
    public function closeTerminal(): void
    {
        $status = $this->process === null ? null : proc_get_status($this->process);
        // "script" holds the terminal; with it the terminal goes
        self::run('pkill -KILL -P '.($status['pid'] ?? 0).'; true');
    }

    public function runs(): bool
    {
        return $this->process !== null && proc_get_status($this->process)['running'];
    }

    /** Waits until nothing of it runs any more; fails when that takes longer than so many seconds at this machine's pace. */
    public function wait(int $seconds = 15): void
    {
        for ($began = microtime(true); $this->runs() || $this->alive() !== []; usleep(50_000)) {
            if (Pace::over($began, $seconds)) {
                throw new \RuntimeException("These still run after $seconds s: ".implode(', ', $this->alive())."\n".$this->said());
            }
        }
    }

    /** @return list<string> what runs from this folder */
    public function alive(): array
    {
        $alive = [];
        foreach (glob('/proc/[0-9]*') ?: [] as $process) {
            $command = str_replace("\0", ' ', (string) @file_get_contents("$process/cmdline"));
            $at = (string) @readlink("$process/cwd");
            if ((str_contains($command, $this->folder) || $at === $this->folder) && ! str_contains($command, 'phpunit')) {
                $alive[] = basename($process).' '.trim($command);
            }
        }

        return $alive;
    }

    /**
     * How far the processes whose command says so stand back for others.
     *
     * @return list<int>
     */
    public function niceness(string $says): array
    {
        $found = [];
        foreach ($this->alive() as $process) {
            if (str_contains($process, $says)) {
                $found[] = (int) self::run('ps -o ni= -p '.(int) $process);
            }
        }

        return $found;
    }

    public function said(): string
    {
        return (string) @file_get_contents("$this->folder/said");
    }

    /** Runs a command in its folder. */
    public function do(string $command): string
    {
        return self::run("cd $this->folder && { $command; } 2>&1; echo \"[\$?]\"");
    }

    public function client(): Client
    {
        return new Client("http://127.0.0.1:$this->port");
    }

    /** @return array<string, false> what a test run says of its own surroundings, taken out of those of a server that it starts */
    public static function withoutOurs(): array
    {
        return array_fill_keys(
            ['DB_HOST', 'DB_PORT', 'DB_DATABASE', 'DB_USERNAME', 'DB_PASSWORD', 'APP_URL', 'APP_ENV', 'APP_KEY', 'APP_DEBUG',
                'APP_CONFIG_CACHE', 'APP_ROUTES_CACHE', 'APP_EVENTS_CACHE',
                'CACHE_STORE', 'SESSION_DRIVER', 'DERIVED_STORE', 'LIMITER_STORE', 'BCRYPT_ROUNDS', 'ISLEWARD_BUILD', 'ISLEWARD_ADDRESS',
                'ISLEWARD_URL'], false);
    }

    private static function run(string $command): string
    {
        return (string) shell_exec($command);
    }
}
