<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Monolog\Handler\TestHandler;
use Monolog\Logger;

/** What those who run Isleward see of it: whether it is well, and which request a line of the log is about. */
final class HealthTest extends ProjectCase
{
    public function test_all_is_well_without_an_account_and_without_a_session(): void
    {
        $this->app?->make('auth')->forgetGuards();
        $told = $this->getJson('/health')->assertOk()->assertHeaderMissing('Set-Cookie');
        self::assertSame('ok', $told->json('status'));
        self::assertSame(config('isleward.build'), $told->json('version'));
        self::assertSame(['database', 'cache', 'queue', 'disk'], array_keys($told->json('checks')));
        self::assertSame(['ok' => true, 'waiting' => 0, 'longest' => 0], $told->json('checks.queue'));
        self::assertGreaterThan(0, $told->json('checks.disk.free'));
        self::assertStringContainsString('no-store', (string) $told->headers->get('Cache-Control'));
    }

    /** A cache that forgets, work that nobody does, a database that does not answer: each is told, and the status says so. */
    public function test_what_is_not_well_is_told(): void
    {
        Cache::shouldReceive('put')->andReturn(true);
        Cache::shouldReceive('get')->andReturn(null);
        $told = $this->getJson('/health')->assertStatus(503);
        self::assertSame('failing', $told->json('status'));
        self::assertSame([false, true], [$told->json('checks.cache.ok'), $told->json('checks.database.ok')]);

        DB::table('jobs')->insert([
            'queue' => 'default', 'payload' => '{}', 'attempts' => 0, 'available_at' => time() - 1000, 'created_at' => time() - 1000,
        ]);
        $queue = $this->getJson('/health')->assertStatus(503)->json('checks.queue');
        self::assertSame([false, 1], [$queue['ok'], $queue['waiting']]);
        self::assertGreaterThanOrEqual(1000, $queue['longest']);

        $here = config('database.default');
        config(['database.default' => 'nowhere', 'database.connections.nowhere' => [
            'driver' => 'mariadb', 'host' => '127.0.0.1', 'port' => 1, 'database' => 'none', 'username' => 'nobody', 'password' => '',
        ]]);
        $told = $this->getJson('/health')->assertStatus(503);
        config(['database.default' => $here]);
        self::assertSame(['ok' => false, 'why' => 'QueryException'], $told->json('checks.database'));
        self::assertStringNotContainsString('nobody', (string) $told->getContent());
    }

    public function test_every_request_has_a_number_that_its_problem_and_its_log_line_repeat(): void
    {
        $lines = new TestHandler;
        Log::extend('kept', fn (): Logger => new Logger('requests', [$lines]));
        config(['logging.channels.requests' => ['driver' => 'kept']]);
        $problem = $this->postJson("/api/projects/{$this->project->id}/edits", ['edit' => 'nothing.known', 'args' => [], 'base' => 0]);
        $number = (string) $problem->headers->get('X-Request-Id');
        self::assertMatchesRegularExpression('/^[0-9a-f]{16}$/', $number);
        self::assertSame($number, $problem->json('request'));
        self::assertCount(1, $lines->getRecords());
        $line = $lines->getRecords()[0];
        self::assertSame("POST /api/projects/{$this->project->id}/edits", $line->message);
        self::assertSame([$problem->getStatusCode(), $number], [$line->context['status'], $line->context['request']]);
        // one that a proxy has given is kept; what is no number is not
        self::assertSame('proxy-0042', $this->getJson('/health', ['X-Request-Id' => 'proxy-0042'])->headers->get('X-Request-Id'));
        self::assertNotSame("a\nb", $this->getJson('/health', ['X-Request-Id' => '<script>'])->headers->get('X-Request-Id'));
    }
}
