<?php

declare(strict_types=1);

namespace App\Running;

/** A MariaDB of our own, on loopback, with its data under the place's home. */
final readonly class Database
{
    public int $port;

    private string $home;

    /** @param  int  $flush  innodb_flush_log_at_trx_commit: 1 where people work, 0 for tests */
    // below 32768, from where Linux gives ports to connections that go out
    public function __construct(Place $place, int $firstPort = 23306, private int $flush = 1)
    {
        $this->home = $place->home.'/db';
        $this->port = Place::freePort($firstPort);
        $user = Place::weAreRoot() ? 'mysql' : null;
        if ($user !== null) {
            chown($this->home, $user);
            chgrp($this->home, $user);
            $user = $place->reaches($user, $this->home) ? $user : 'root';
        }
        $this->runAs = $user;
    }

    private ?string $runAs;

    /** @return list<string>|null the command that makes an empty one, when there is none yet */
    public function making(): ?array
    {
        return is_dir($this->home.'/data/mysql') ? null : [
            'mariadb-install-db', '--no-defaults', ...$this->account(), "--datadir=$this->home/data",
            '--auth-root-authentication-method=normal', '--skip-test-db',
        ];
    }

    public function service(): Service
    {
        return new Service(
            'database', 'the database', [
                'mariadbd', '--no-defaults', ...$this->account(), "--datadir=$this->home/data", "--socket=$this->home/m.sock",
                "--pid-file=$this->home/m.pid",
                '--bind-address=127.0.0.1', "--port=$this->port", "--log-error=$this->home/err.log", '--skip-log-bin',
                '--innodb-buffer-pool-size=256M', "--innodb-flush-log-at-trx-commit=$this->flush", '--max-allowed-packet=256M',
            ], "$this->home/err.log", SIGTERM, 2, 8.0, fn (): bool => $this->tell(['ping'], 'mariadb-admin')[0] === 0);
    }

    /**
     * Makes our account, and a database of that name.
     *
     * @param  bool  $anew  what was in it goes
     */
    public function prepare(string $name, bool $anew): void
    {
        $sql = ($anew ? "DROP DATABASE IF EXISTS `$name`;" : '')."CREATE DATABASE IF NOT EXISTS `$name` CHARACTER SET utf8mb4;";
        foreach (["'127.0.0.1'", 'localhost'] as $host) {
            $sql .= "CREATE USER IF NOT EXISTS isleward@$host IDENTIFIED BY 'isleward'; GRANT ALL ON `isleward%`.* TO isleward@$host;";
        }
        [$status, $said] = $this->tell(['-e', $sql], 'mariadb');
        if ($status !== 0) {
            throw new Failure(sprintf('The database would not take its account (log: %s/err.log): %s', $this->home, trim($said)));
        }
    }

    /** @return array<string, string> */
    public function environment(string $name): array
    {
        return [
            'DB_HOST' => '127.0.0.1', 'DB_PORT' => (string) $this->port, 'DB_USERNAME' => 'isleward',
            'DB_PASSWORD' => 'isleward', 'DB_DATABASE' => $name,
        ];
    }

    /** @return list<string> */
    private function account(): array
    {
        return $this->runAs === null ? [] : ["--user=$this->runAs"];
    }

    /**
     * @param  list<string>  $arguments
     * @return array{int, string}
     */
    private function tell(array $arguments, string $client): array
    {
        $process = proc_open(
            [$client, '--no-defaults', '-uroot', '-S', "$this->home/m.sock", '--connect-timeout=5', ...$arguments],
            [['file', '/dev/null', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
        );
        if ($process === false) {
            throw new Failure("$client is missing.");
        }
        $said = stream_get_contents($pipes[1]).stream_get_contents($pipes[2]);

        return [proc_close($process), $said];
    }
}
