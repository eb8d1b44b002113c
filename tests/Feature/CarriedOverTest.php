<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/**
 * What was made with Isleward as it was at commit 1047a09 is not lost: a database of then (tests/Feature/carried: the demo with seven
 * changes
 * more, the first of them in revision A) is brought to this version, and says what it said then (figures written down by that version's
 * API).
 */
final class CarriedOverTest extends TestCase
{
    private const AT = __DIR__.'/carried/';

    private const DATABASE = 'isleward_carried';

    /** @var array{project: string, letter: string, kept: array<string, mixed>, states: list<array<string, mixed>>} */
    private array $then;

    private string $usual;

    protected function setUp(): void
    {
        parent::setUp();
        $this->then = json_decode((string) file_get_contents(self::AT.'figures-1047a09.json'), true, flags: JSON_THROW_ON_ERROR);
        $this->usual = config()->string('database.connections.mariadb.database');
        DB::unprepared('DROP DATABASE IF EXISTS '.self::DATABASE.'; CREATE DATABASE '.self::DATABASE.' CHARACTER SET utf8mb4');
        $this->into(self::DATABASE);
        DB::unprepared((string) gzdecode((string) file_get_contents(self::AT.'demo-1047a09.sql.gz')));
        Artisan::call('migrate', ['--force' => true]);
        $this->actingAs(User::query()->where('email', 'pilot@skerrow.example')->firstOrFail());
    }

    protected function tearDown(): void
    {
        DB::unprepared('DROP DATABASE IF EXISTS '.self::DATABASE);
        $this->into($this->usual);
        parent::tearDown();
    }

    public function test_it_says_what_it_said_after_each_undo_and_redo_and_back_at_its_revision(): void
    {
        $states = $this->then['states'];
        $this->assertSays(end($states), 'as it was left');
        for ($i = count($states) - 2; $i >= 0; $i--) {
            $this->ask('POST', '/undo');
            $this->assertSays($states[$i], "undone to state $i");
        }
        for ($i = 1; $i < count($states); $i++) {
            $this->ask('POST', '/redo');
            $this->assertSays($states[$i], "redone to state $i", undo: false);
        }
        // what the revision kept, compared with today, and gone back to
        $differences = $this->ask('GET', "/revisions/{$this->then['letter']}/difference");
        self::assertNotSame([], $differences['rows'] ?? $differences['differences'] ?? []);
        $this->ask('POST', "/revisions/{$this->then['letter']}/restore", ['base' => $this->ask('GET', '')['number']]);
        $this->assertSays($this->then['kept'], 'back at revision '.$this->then['letter'], undo: false);
        $this->ask('POST', '/undo');
        $this->assertSays(end($states), 'and back from it', undo: false);
    }

    public function test_it_goes_on_being_worked_at(): void
    {
        $project = $this->ask('GET', '');
        $place = ['host' => $project['walls'][0]['id'], 'storey' => $project['storeys'][1]['id'], 'type' => $project['types'][0]['id']];
        $outcome = $this->ask('POST', '/edits', [
            'edit' => 'opening.place', 'base' => $project['number'],
            'args' => $place + ['width' => 300, 'position' => ['from' => 'left', 'value' => 500, 'to' => 'near']],
        ]);
        self::assertCount(1, $outcome['chosen']);
        $this->ask('POST', '/undo');
        $states = $this->then['states'];
        $this->assertSays(end($states), 'after an edit of today, undone', undo: false);
    }

    public function test_a_document_of_unit_types_is_read(): void
    {
        $document = json_decode((string) file_get_contents(self::AT.'unit-types-1047a09.json'), true, flags: JSON_THROW_ON_ERROR);
        $before = count($this->ask('GET', '')['types']);
        $outcome = $this->ask(
            'POST',
            '/edits',
            ['edit' => 'type.import', 'args' => ['document' => $document], 'base' => $this->ask('GET', '')['number']],
        );
        self::assertCount(count($document['types']), $outcome['chosen']);
        self::assertCount($before + count($document['types']), $this->ask('GET', '')['types']);
    }

    /** @param  array<string, mixed>  $then */
    private function assertSays(array $then, string $when, bool $undo = true): void
    {
        $project = $this->ask('GET', '');
        $frontages = $openings = [];
        foreach ($project['frontages'] as $frontage) {
            $frontages[$frontage['id']] = [$frontage['name'], $frontage['width']];
            foreach ($this->ask('GET', "/elevations/{$frontage['id']}")['openings'] as $o) {
                $openings[$o['id']] = [$o['label'], $o['left'], $o['sillLevel'], $o['width'], $o['height']];
            }
        }
        ksort($openings);
        if ($undo) {
            self::assertSame($then['undo'], $project['undo'], $when);
        }
        self::assertEqualsWithDelta($then['frontages'], $frontages, 1e-6, "frontages, $when");
        self::assertEqualsWithDelta($then['openings'], $openings, 1e-6, "openings, $when");
        $walls = array_map(static fn (array $v): array => [...array_slice($v, 0, 7), $v[8]], $this->rows('walls'));
        self::assertEqualsWithDelta($then['walls'], $walls, 1e-3, "walls, $when");
        $byType = array_map(static fn (array $v): array => [$v[0], $v[2], $v[3], $v[4], $v[count($v) - 2]], $this->rows('by-type'));
        self::assertEqualsWithDelta($then['byType'], $byType, 1e-3, "openings by type, $when");
    }

    /** @return list<list<mixed>> */
    private function rows(string $schedule): array
    {
        $rows = $this->ask('GET', "/schedules/$schedule")['rows'];

        return array_column(array_values(array_filter($rows, static fn (array $row): bool => $row['kind'] === 'row')), 'values');
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>
     */
    private function ask(string $method, string $path, array $body = []): array
    {
        $response = $this->json($method, "/api/projects/{$this->then['project']}$path", $body);
        self::assertLessThan(300, $response->getStatusCode(), "$method $path: ".$response->getContent());

        return $response->json();
    }

    private function into(string $database): void
    {
        config(['database.connections.mariadb.database' => $database]);
        DB::purge();
    }
}
