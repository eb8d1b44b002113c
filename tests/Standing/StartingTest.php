<?php

declare(strict_types=1);

namespace Tests\Standing;

use PHPUnit\Framework\TestCase;
use Tests\Standing\Support\Place;
use Tests\Support\Pace;

/** From a fresh copy: started, watched, and ended in order, whichever way it ends. */
final class StartingTest extends TestCase
{
    private static ?Place $shared = null;

    private Place $place;

    protected function setUp(): void
    {
        $this->place = self::$shared ??= new Place;
    }

    protected function tearDown(): void
    {
        $this->place->signal(SIGTERM);
        $this->place->wait();
    }

    public static function tearDownAfterClass(): void
    {
        self::$shared = null;
    }

    public function test_a_fresh_copy_serves_and_hands_out_what_its_worker_made(): void
    {
        $this->place->up();
        $this->place->serving();
        foreach ([
            'making an empty database', 'bringing the database to this version', 'looking for a project',
            'Isleward   http://127.0.0.1:'.$this->place->port, 'Started in',
        ] as $words) {
            self::assertStringContainsString($words, $this->place->said());
        }
        // scripts are sent as they were packed when they were built
        $client = $this->place->client();
        preg_match('~src="[^"]*(/build/assets/app-[^"]+[.]js)"~', $client->ask('GET', '/')[3], $script);
        [$status, $headers, , $packed] = $client->ask('GET', $script[1], null, ['Accept-Encoding: gzip']);
        self::assertSame([200, 'gzip'], [$status, $headers['content-encoding'] ?? '']);
        self::assertStringEqualsFile("{$this->place->folder}/public$script[1]", (string) gzdecode($packed));
        $client->signIn();
        $project = $client->ask('GET', '/api/projects')[2]['projects'][0]['id'];
        $type = $client->ask('GET', "/api/projects/$project")[2]['types'][0]['id'];
        [$status, , $task] = $client->ask('POST', "/api/projects/$project/sheets", ['paper' => 'A4', 'format' => 'pdf', 'ids' => [$type]]);
        self::assertSame(202, $status);
        for ($i = 0; $i < 200 && ! in_array($task['state'], ['done', 'refused'], true); $i++) {
            usleep(100_000);
            $task = $client->ask('GET', "/api/projects/$project/tasks/{$task['id']}")[2];
        }
        self::assertSame('done', $task['state'], json_encode($task, JSON_THROW_ON_ERROR));
        [$status, $headers, , $pdf] = $client->ask('GET', "/api/projects/$project/tasks/{$task['id']}/file");
        self::assertSame([200, 'application/pdf', '%PDF'], [$status, $headers['content-type'], substr($pdf, 0, 4)]);
        // one account writes and reads
        self::assertSame(
            fileowner('/proc/'.$this->place->pid('worker-files')),
            fileowner(glob($this->place->folder.'/storage/app/tasks/*')[0] ?? ''),
        );
    }

    /** @return iterable<string, array{string, \Closure(Place): void}> */
    public static function endings(): iterable
    {
        yield 'Ctrl-C on a terminal' => ['terminal', static fn (Place $p) => $p->type("\x03")];
        yield 'the terminal closed' => ['terminal', static fn (Place $p) => $p->closeTerminal()];
        yield 'SIGTERM to the process' => ['none', static fn (Place $p) => $p->signal(SIGTERM)];
        yield 'SIGTERM to its group' => ['none', static fn (Place $p) => posix_kill(-posix_getpgid($p->keeper()), SIGTERM)];
        yield 'SIGINT, which a background shell ignores' => ['none', static fn (Place $p) => $p->signal(SIGINT)];
        yield 'killed' => ['none', static fn (Place $p) => $p->signal(SIGKILL)];
    }

    #[\PHPUnit\Framework\Attributes\DataProvider('endings')]
    public function test_everything_ends_within_fifteen_seconds(string $on, \Closure $end): void
    {
        $this->place->up($on);
        $this->place->serving();
        self::assertGreaterThan(10, count($this->place->alive()));
        $end($this->place);
        $this->place->wait();
        self::assertSame([], glob($this->place->folder.'/var/run/*.json'));
        self::assertFileDoesNotExist($this->place->folder.'/var/running');
        if ($on === 'none') {
            self::assertMatchesRegularExpression('/stopped|was killed/', $this->place->said());
        }
    }

    public function test_a_second_start_is_refused_and_one_after_a_crash_says_what_was_left(): void
    {
        $this->place->up();
        $this->place->serving();
        $second = $this->place->do('./isleward up --port='.($this->place->port + 1));
        self::assertStringContainsString(
            "Isleward runs from this folder already, on http://127.0.0.1:{$this->place->port} (process {$this->place->keeper()})",
            $second,
        );
        self::assertStringEndsWith("[1]\n", $second);
        self::assertSame(200, $this->place->client()->ask('GET', '/api/session')[0], 'the first still serves');
        // a crash of all that watches: what it had started is left alone
        foreach (array_filter($this->place->alive(), static fn (string $a): bool => str_contains($a, 'bin/keep.php')) as $watching) {
            posix_kill((int) $watching, SIGKILL);
        }
        usleep(300_000);
        self::assertNotSame([], $this->place->alive());
        $this->place->up();
        $this->place->serving();
        self::assertMatchesRegularExpression('/an earlier Isleward left .*the database.* running: ending them/', $this->place->said());
        self::assertSame(200, $this->place->client()->ask('GET', '/api/session')[0]);
    }

    public function test_what_ends_by_itself_is_started_again_three_times_and_meanwhile_that_is_said(): void
    {
        $this->place->up();
        $this->place->serving();
        $client = $this->place->client();
        // it is noticed only after a while, so that there is time to ask
        posix_kill($this->place->keeper(), SIGSTOP);
        posix_kill($this->place->pid('database'), SIGKILL);
        [, $headers, $body] = $this->until(503, fn (): array => $client->ask('GET', '/api/session'));
        self::assertSame(['application/problem+json', 'server.unavailable'], [$headers['content-type'], $body['code']]);
        self::assertArrayHasKey('retry-after', $headers);
        [$status, $headers, , $page] = $client->ask('GET', '/projects/any', null, ['Accept: text/html']);
        self::assertSame(503, $status);
        self::assertStringContainsString('http-equiv="refresh"', $page);
        posix_kill($this->place->keeper(), SIGCONT);
        $this->until(200, fn (): array => $client->ask('GET', '/api/session'));
        posix_kill($this->place->pid('php'), SIGKILL);
        $this->until(200, fn (): array => $client->ask('GET', '/api/session'));
        posix_kill($this->place->pid('worker-files'), SIGKILL);
        usleep(1_500_000);
        self::assertStringContainsString('the worker for files ended by signal 9: starting it again', $this->place->said());
        // the database a second and a third time, and then no more
        foreach ([2, 3] as $time) {
            posix_kill($this->place->pid('database'), SIGKILL);
            $this->heard("the database ended by signal 9: starting it again ($time of 3)");
            $this->until(200, fn (): array => $client->ask('GET', '/api/session'));
        }
        posix_kill($this->place->pid('database'), SIGKILL);
        $this->place->wait();
        self::assertStringContainsString(
            'The database has ended 4 times within ten minutes (last: ended by signal 9) and is not started again. Its log is',
            $this->place->said(),
        );
    }

    public function test_a_step_that_fails_says_which_and_where_its_log_is(): void
    {
        $this->place->up(environment: ['ISLEWARD_OWN_DB' => '0', 'DB_HOST' => '127.0.0.1', 'DB_PORT' => '1']);
        $this->place->wait(60);
        self::assertMatchesRegularExpression(
            '#Bringing the database to this version failed\. Its log is \S+/var/migrate\.log#',
            $this->place->said(),
        );
        self::assertStringContainsString('Connection refused', (string) file_get_contents($this->place->folder.'/var/migrate.log'));
        foreach ([
            '--port=x' => 'is not a port number', '--port=99999' => 'Ports run from 1 to 65535',
            '--wat' => 'up knows no option', '--host=a b' => 'is not an address',
        ] as $option => $words) {
            self::assertStringContainsString($words, $this->place->do('./isleward up '.escapeshellarg($option)));
        }
    }

    public function test_the_web_server_says_what_it_refuses_as_the_application_does(): void
    {
        $this->place->up(options: ['--host=0.0.0.0']);
        $this->place->serving();
        self::assertStringContainsString('Note: on 0.0.0.0 others in the network reach Isleward', $this->place->said());
        $client = $this->place->client();
        $asked = [
            414 => ['GET', '/api/'.str_repeat('a', 9000), null, []],
            413 => ['POST', '/api/session', str_repeat('x', 33_000_000), []],
            421 => ['GET', '/api/session', null, ['Host: elsewhere.example']],
            431 => ['GET', '/api/session', null, ['X-Large: '.str_repeat('a', 600_000)]],
            404 => ['GET', '/api/nothing', null, []],
            415 => ['POST', '/api/session', 'plain', []],
        ];
        foreach ($asked as $wanted => [$method, $path, $body, $headers]) {
            [$status, $found, $said] = $client->ask($method, $path, $body, $headers);
            self::assertSame([$wanted, 'application/problem+json'], [$status, $found['content-type'] ?? ''], "$wanted");
            self::assertIsString($said['code'] ?? null);
            self::assertNotSame('', $said['title']);
        }
        // what is no HTTP
        $socket = fsockopen('127.0.0.1', $this->place->port);
        self::assertNotFalse($socket);
        fwrite($socket, "GET /api/session HTTP/1.1\r\n\r\n");
        stream_set_timeout($socket, 5);
        self::assertStringContainsString('request.unreadable', (string) stream_get_contents($socket));
    }

    public function test_an_ordinary_user_can_start_it_where_the_packages_are(): void
    {
        $own = new Place;
        if (posix_geteuid() === 0) {
            $own->do('chown -R nobody .');
        }
        $own->up(as: posix_geteuid() === 0 ? [
            'setpriv', '--reuid=nobody', '--regid=nogroup', '--clear-groups', 'env', 'HOME='.$own->folder,
            'PATH=/usr/local/bin:/usr/bin:/bin',
        ] : []);
        $own->serving();
        $client = $own->client()->signIn();
        [$status, , $projects] = $client->ask('GET', '/api/projects');
        self::assertSame(200, $status);
        // who writes stands back for who looks, whoever started it
        self::assertSame(200, $client->ask('POST', "/api/projects/{$projects['projects'][0]['id']}/undo")[0]);
        // a process that has just answered is still in the folder of the page for a moment, and told from others by its folder
        for ($i = 0; $i < 30 && ! in_array(10, $own->niceness('pool edits'), true); $i++) {
            usleep(100_000);
        }
        self::assertContains(10, $own->niceness('pool edits'));
        self::assertSame([0], array_unique($own->niceness('pool web')));
        self::assertSame([10], $own->niceness('--queue=edits'));
        self::assertSame([15], $own->niceness('--queue=files'));
        $own->signal(SIGTERM);
        $own->wait();
    }

    public function test_where_node_is_too_old_one_of_its_own_is_brought(): void
    {
        $folder = $this->place->folder;
        // as a fresh Debian 12 has it: npm there, node at 18
        mkdir("$folder/old");
        file_put_contents(
            "$folder/old/node",
            "#!/bin/sh\n[ \"\$1\" = -p ] && echo 18 && exit\n[ \"\$1\" = --version ] && echo v18.20.4 && exit\nexec ".trim(
                (string) shell_exec('command -v node'),
            )." \"\$@\"\n",
        );
        chmod("$folder/old/node", 0o755);
        $said = $this->place->do(
            "PATH=$folder/old:\$PATH bash -c 'set -euo pipefail; . bin/lib.sh; need_node; command -v node; node --version; need_node; echo twice'",
        );
        self::assertStringContainsString('bringing Node 22 into var/node (here is v18.20.4)', $said);
        self::assertMatchesRegularExpression("#^$folder/var/node/.*/bin/node\nv22\\.\\d+#m", $said);
        self::assertStringEndsWith("twice\n[0]\n", $said);
    }

    /**
     * @param  \Closure(): array{int, array<string, string>, mixed, string}  $ask
     * @return array{int, array<string, string>, mixed, string}
     */
    private function until(int $status, \Closure $ask): array
    {
        for ($began = microtime(true); ($answer = $ask())[0] !== $status; usleep(10_000)) {
            self::assertFalse(Pace::over($began, 20), "$status was waited for; $answer[0] came last.\n".$this->place->said());
        }

        return $answer;
    }

    private function heard(string $words): void
    {
        for ($began = microtime(true); ! str_contains($this->place->said(), $words); usleep(20_000)) {
            self::assertFalse(Pace::over($began, 20), "“{$words}” was waited for:\n".$this->place->said());
        }
    }
}
