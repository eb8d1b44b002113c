<?php

declare(strict_types=1);

namespace Tests\Standing;

use PHPUnit\Framework\TestCase;
use Tests\Standing\Support\Client;
use Tests\Standing\Support\Place;

/** A backup taken while Isleward runs: put back over what became of it, and into a fresh installation; what is none changes nothing. */
final class BackupTest extends TestCase
{
    public function test_a_backup_is_put_back_where_it_was_taken_and_into_a_fresh_installation(): void
    {
        $place = new Place;
        $fresh = null;
        $archive = "$place->folder-backup.tar.gz";
        try {
            $place->up();
            $place->serving();
            $client = $place->client()->signIn();
            $before = self::whole($client);
            $files = array_filter(array_keys($before), static fn (string $at): bool => str_starts_with($at, '/files/'));
            self::assertNotSame([], $files, 'what was read in is compared too');
            self::assertStringContainsString('1 project, 3 people', $place->do($this->own()." ./isleward backup $archive"));
            self::assertSame(0o600, fileperms($archive) & 0o777);
            self::assertStringContainsString('is there already', $place->do($this->own()." ./isleward backup $archive"));

            // much becomes of it: an edit, then all of it is gone
            $id = $client->ask('GET', '/api/projects')[2]['projects'][0]['id'];
            self::assertSame(200, $client->ask('POST', "/api/projects/$id/undo")[0]);
            self::assertNotSame($before, self::whole($client));
            // into the bin, and out of it for good
            self::assertContains($client->ask('DELETE', "/api/projects/$id")[0], [200, 204]);
            self::assertContains($client->ask('DELETE', "/api/projects/$id")[0], [200, 204]);

            // what is damaged, or no backup, is refused and changes nothing
            file_put_contents("$place->folder/none.tar.gz", 'no archive');
            $spoil = "mkdir d && tar -xzf $archive -C d && echo 'DROP TABLE users;' >>d/database.sql && tar -czf damaged.tar.gz -C d .";
            self::assertStringEndsWith("[0]\n", $place->do($spoil));
            foreach ([
                'none.tar.gz' => 'is no backup of Isleward', 'damaged.tar.gz' => 'is damaged', 'nowhere' => 'There is no file',
            ] as $file => $says) {
                self::assertStringContainsString($says, $place->do($this->own()." ./isleward restore $file --yes"));
            }
            self::assertSame([], $client->ask('GET', '/api/projects')[2]['projects']);

            self::assertStringContainsString('Restored 1 project,', $place->do($this->own()." ./isleward restore $archive --yes"));
            self::assertSame(401, $client->ask('GET', '/api/projects')[0], 'everybody signs in again');
            $client = $place->client()->signIn();
            self::assertSame($before, self::whole($client));
            // it goes on from there
            self::assertSame(200, $client->ask('POST', "/api/projects/$id/undo")[0]);
            self::assertSame(200, $client->ask('GET', '/health')[0]);
            $place->signal(SIGTERM);
            $place->wait();

            $fresh = new Place;
            $fresh->up(options: ['--no-demo']);
            $fresh->serving();
            self::assertStringContainsString('Restored 1 project,', $fresh->do($this->own()." ./isleward restore $archive --yes"));
            self::assertSame($before, self::whole($fresh->client()->signIn()));
        } finally {
            $fresh?->signal(SIGTERM);
            $fresh?->wait();
            $place->signal(SIGTERM);
            $place->wait();
            @unlink($archive);
        }
    }

    /** What a test run says of its own surroundings is not that of the place. */
    private function own(): string
    {
        return 'env '.implode(' ', array_map(static fn (string $name): string => "-u $name", array_keys(Place::withoutOurs())));
    }

    /**
     * What there is of a project, read over HTTP: itself, its elevations and plans, its history, and the files that were read in.
     *
     * @return array<string, string> content by address
     */
    private static function whole(Client $client): array
    {
        $id = $client->ask('GET', '/api/projects')[2]['projects'][0]['id'];
        $project = $client->ask('GET', "/api/projects/$id")[2];
        $whole = [];
        foreach ([
            '', '/changes', '/revisions', '/schedules/by-type', '/people',
            ...array_map(static fn (array $f): string => "/elevations/$f[id]", array_slice($project['frontages'], 0, 6)),
            ...array_map(static fn (array $s): string => "/plans/$s[id]", $project['storeys']),
            ...array_map(static fn (array $t): string => "/files/$t[file]", $project['tracings']),
        ] as $at) {
            [$status, , , $content] = $client->ask('GET', "/api/projects/$id$at");
            self::assertSame(200, $status, $at);
            $whole[$at] = $content;
        }

        return $whole;
    }
}
