<?php

declare(strict_types=1);

namespace App\Running;

/** Where Isleward runs: the project's folder, a folder for what it writes, an address, and who its programs run as. */
final readonly class Place
{
    /** Whom the web server and the workers run as, when we are root: one account for both, so that each reads what the other wrote. */
    public string $user;

    /**
     * @param  string  $root  the project's folder
     * @param  string  $home  for data, logs and sockets
     */
    public function __construct(public string $root, public string $home, public string $host, public int $port)
    {
        foreach ([$home, "$home/db", "$home/web", "$home/web/tmp", "$home/cache", "$root/storage/logs", "$root/storage/app",
            ...array_map(
                static fn (string $f): string => "$root/storage/framework/$f",
                ['sessions', 'views', 'cache/data', 'cache/derived', 'cache/fonts'],
            )] as $folder) {
            if (! is_dir($folder) && ! @mkdir($folder, 0o755, true) && ! is_dir($folder)) {
                throw new Failure("The folder $folder cannot be made.");
            }
        }
        $me = posix_getpwuid(posix_geteuid())['name'] ?? 'nobody';
        $this->user = self::weAreRoot() ? ($this->reaches('www-data', "$root/public") ? 'www-data' : 'root') : $me;
        if (self::weAreRoot() && $this->user !== 'root') {
            $this->give([$home.'/web', $home.'/cache', $root.'/storage', $root.'/bootstrap/cache'], $this->user);
        }
    }

    public static function weAreRoot(): bool
    {
        return posix_geteuid() === 0;
    }

    public function group(): string
    {
        return posix_getgrgid(posix_getpwnam($this->user)['gid'] ?? 0)['name'] ?? 'nogroup';
    }

    public function address(): string
    {
        return sprintf('http://%s:%d', $this->host === '0.0.0.0' ? '127.0.0.1' : $this->host, $this->port);
    }

    /**
     * A command as the account that serves.
     *
     * @param  list<string>  $command
     * @return list<string>
     */
    public function asServing(array $command): array
    {
        return self::weAreRoot() && $this->user !== 'root' ? [
            'setpriv', '--reuid='.$this->user, '--regid='.$this->group(), '--init-groups', ...$command,
        ] : $command;
    }

    /** Whether an account can go into a folder. */
    public function reaches(string $user, string $folder): bool
    {
        $process = proc_open(
            ['setpriv', "--reuid=$user", '--clear-groups', 'test', '-x', $folder],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
        );

        return $process !== false && proc_close($process) === 0;
    }

    /** @return list<string> PHP as long work wants it */
    public static function php(): array
    {
        return [
            PHP_BINARY, '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=128M',
            '-d', 'memory_limit=2G',
        ];
    }

    /** The first port from $first on that nothing listens on, and no connection goes out from. */
    public static function freePort(int $first, string $host = '127.0.0.1'): int
    {
        for ($port = $first; $port < 65536; $port++) {
            $socket = self::taken($port, $host) ? false : @stream_socket_server("tcp://$host:$port");
            if ($socket !== false) {
                fclose($socket);

                return $port;
            }
        }
        throw new Failure("There is no free port from $first on.");
    }

    public static function taken(int $port, string $host = '127.0.0.1'): bool
    {
        $socket = @fsockopen($host === '0.0.0.0' ? '127.0.0.1' : $host, $port, $code, $message, 1.0);
        if ($socket !== false) {
            fclose($socket);
        }

        return $socket !== false;
    }

    /** @param  list<string>  $folders */
    private function give(array $folders, string $user): void
    {
        $process = proc_open(
            ['chown', '-R', "$user:".$this->group(), ...$folders],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
        );
        if ($process === false || proc_close($process) !== 0) {
            throw new Failure(sprintf('%s could not be given to %s, who serves them.', implode(', ', $folders), $user));
        }
    }
}
