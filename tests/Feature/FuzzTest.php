<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Project;
use App\Models\Task;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Isleward\Core\Edit\Edits;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\Furnished;
use Tests\Support\Spoiled;

/** Whatever is asked of whichever address or edit, right but for one thing: an answer in words, never a failure of ours. */
final class FuzzTest extends ProjectCase
{
    private const REQUESTS = 5000;

    private const SEED = 20261126;

    private Furnished $furnished;

    /** @var array<string, mixed> */
    private array $task = [];

    /** @var array<string, string> what was read in, which no transaction brings back */
    private array $files = [];

    protected function setUp(): void
    {
        parent::setUp();
        config(['app.debug' => getenv('FUZZ_DEBUG') === '1']);
        $this->furnished = new Furnished(function (string $method, string $path, mixed $body, string $type): array {
            $response = $this->ask(
                $method,
                rtrim("/api/projects/{$this->project->id}/$path", '/'),
                is_string($body) ? $body : ($body === null ? '' : json_encode($body, JSON_THROW_ON_ERROR)),
                $type,
            );
            self::assertLessThan(300, $response->getStatusCode(), "$method $path: ".$response->getContent());

            return $response->json() ?? [];
        }, fn () => Project::query()->findOrFail($this->project->id), $this->owner->id);
        $this->task = (array) Task::query()->toBase()->where('id', $this->furnished->ids['task'])->first();
        foreach (Storage::disk('local')->files("projects/{$this->project->id}") as $file) {
            $this->files[$file] = (string) Storage::disk('local')->get($file);
        }
    }

    public function test_every_route_and_every_edit_has_a_request_that_is_right(): void
    {
        $routes = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/') && ! str_contains(
                $route->uri(),
                '{any}',
            ) && ! str_contains($route->uri(), 'bare-')) {
                $routes[] = $route->methods()[0].' '.$route->uri();
            }
        }
        self::assertEqualsCanonicalizing($routes, array_keys($this->furnished->requests()), 'a new route needs a request that is right');
        $expected = [
            'POST api/session' => 422, 'POST api/accounts/first' => 422, 'POST api/passwords/{token}' => 422,
            'DELETE api/account/sessions/{session}' => 404, 'DELETE api/account' => 422,
            'GET api/invitations/{token}' => 404, 'POST api/invitations/{token}' => 404,
            'DELETE api/projects/{project}/people/{user}' => 422,
            'POST api/projects/{project}/redo' => 422, 'GET api/projects/{project}/tasks/{task}/file' => 404];
        foreach ($this->furnished->requests() as $route => [$method, $path, $body]) {
            $response = $this->apart(fn (): TestResponse => $this->send($method, $path, $body));
            self::assertLessThan(
                $expected[$route] ?? 300,
                $response->getStatusCode() - (isset($expected[$route]) ? 1 : 0),
                "$route: ".substr((string) $response->baseResponse->getContent(), 0, 300),
            );
        }
        $edits = $this->furnished->edits();
        self::assertEqualsCanonicalizing(Edits::names(), array_keys($edits), 'a new edit needs arguments that are right');
        $bad = [];
        foreach ($edits as $name => $args) {
            $response = $this->apart(fn (): TestResponse => $this->edit($name, $args));
            if ($response->getStatusCode() !== 200) {
                $bad[] = "$name: ".$response->getContent();
            }
        }
        self::assertSame([], $bad);
    }

    public function test_no_spoiled_request_is_answered_by_a_failure(): void
    {
        mt_srand((int) (getenv('FUZZ_SEED') ?: self::SEED));
        $requests = array_values($this->furnished->requests());
        $edits = $this->furnished->edits();
        $names = array_keys($edits);
        $p = "/api/projects/{$this->project->id}/edits";
        $seen = $failed = [];
        for ($i = 0; $i < (int) (getenv('FUZZ_REQUESTS') ?: self::REQUESTS); $i++) {
            if ($i % 5 < 3) {
                $name = $names[$i % count($names)];
                $query = ['', '?try=1', '', '?job=1', '', '', ''][$i % 7];
                $right = [
                    'POST', $p.$query,
                    [
                        'edit' => $name, 'args' => $edits[$name], 'base' => $this->project->refresh()->change_number,
                        'key' => "windowFuzz.$i",
                    ],
                ];
            } else {
                $right = $requests[$i % count($requests)];
            }
            [$method, $path, $content, $type, $how] = Spoiled::one($right);
            $response = $this->apart(fn (): TestResponse => $this->ask($method, $path, $content, $type));
            $status = $response->getStatusCode();
            $seen[intdiv($status, 100)] = ($seen[intdiv($status, 100)] ?? 0) + 1;
            $what = sprintf(
                "#%d %s %s %s\n%s\n→ %d %s",
                $i,
                $how,
                $method,
                substr($path, 0, 200),
                substr($content, 0, 600),
                $status,
                substr((string) $response->baseResponse->getContent(), 0, 300),
            );
            if ($status >= 500) {
                $failed[] = $what;
                break; // the connection was made anew, and what stands before each request is gone
            } elseif ($status >= 400) {
                self::assertSame('application/problem+json', $response->headers->get('Content-Type'), $what);
                self::assertMatchesRegularExpression('/^[a-z_-]+(\.[a-z_-]+)?$/', (string) $response->json('code'), $what);
                self::assertNotSame('', (string) $response->json('title'), $what);
            }
        }
        self::assertSame([], $failed);
        // it reached past the first check, and was refused often enough
        self::assertGreaterThan(self::REQUESTS / 10, $seen[2] ?? 0);
        self::assertGreaterThan(self::REQUESTS / 3, $seen[4] ?? 0);
    }

    /** @return iterable<string, array{string, string, string, string}> */
    public static function met(): iterable
    {
        // found by hand before there was a fuzzer
        yield 'paper as a list' => ['GET', 'types/{W-03}/sheet?paper[]=A3', '', ''];
        yield 'ids as a list' => ['GET', 'type-drawings?ids[]=x', '', ''];
        yield 'ids of an export as a list' => ['GET', 'exports/types.json?ids[]=x', '', ''];
        yield 'a revision as a list' => ['GET', 'revisions/A/difference?to[]=A', '', ''];
        yield 'an opening as a list' => ['GET', 'sections?opening[]=x', '', ''];
        yield 'points as a list' => ['GET', 'sections?points[]=1', '', ''];
        yield 'an email as a list' => ['POST', '/api/session', '{"email":["a"],"password":"b"}', ''];
        yield 'a task from before the first change' => [
            'POST', 'edits?job=1', '{"edit":"outline.turn","args":{"id":"{outline}"},"base":-1}', '',
        ];
        yield 'a task from far in the future' => [
            'POST', 'edits?job=1', '{"edit":"outline.turn","args":{"id":"{outline}"},"base":4294967296}', '',
        ];
        yield 'a task from infinity' => ['POST', 'edits?job=1', '{"edit":"outline.turn","args":{"id":"{outline}"},"base":1e999}', ''];
        yield 'a finding of 201 characters' => [
            'POST', 'edits',
            '{"edit":"finding.accept","args":{"wall":"{south}","finding":"'.str_repeat('ä', 201).'","figure":1,"note":""},"base":0}',
            '',
        ];
        yield 'glazing that is an object of something else' => [
            'POST', 'bench',
            '{"draft":{"width":1200,"height":1500,"tree":{"frame":{"face":60,"depth":70},"root":{"kind":"light","glazing":{"x":1}}}},"steps":[]}',
            '',
        ];
        yield 'a person past 64 bits' => ['DELETE', 'people/99999999999999999999', '', ''];
    }

    #[DataProvider('met')]
    public function test_what_was_met_before_is_answered_in_words(string $method, string $path, string $content, string $type): void
    {
        foreach ($this->furnished->ids as $name => $id) {
            $path = str_replace('{'.$name.'}', $id, $path);
            $content = str_replace('{'.$name.'}', $id, $content);
        }
        $response = $this->ask(
            $method,
            $path[0] === '/' ? $path : "/api/projects/{$this->project->id}/$path",
            $content,
            $type === '' ? 'application/json' : $type,
        );
        self::assertGreaterThanOrEqual(400, $response->getStatusCode());
        self::assertLessThan(500, $response->getStatusCode(), (string) $response->getContent());
        self::assertSame('application/problem+json', $response->headers->get('Content-Type'));
        self::assertNotNull($response->json('code'));
    }

    private function send(string $method, string $path, mixed $body): TestResponse
    {
        return $this->ask(
            $method,
            $path,
            is_string($body) ? $body : ($body === null ? '' : json_encode($body, JSON_THROW_ON_ERROR)),
            is_string($body) ? 'application/octet-stream' : 'application/json',
        );
    }

    private function ask(string $method, string $path, string $content, string $type): TestResponse
    {
        $this->actingAs($this->owner);

        return $this->call(
            $method,
            $path,
            server: ['CONTENT_TYPE' => $type, 'HTTP_ACCEPT' => 'application/json', 'CONTENT_LENGTH' => (string) strlen($content)],
            content: $content,
        );
    }

    /** @param  \Closure(): TestResponse  $work  whose traces are taken back */
    private function apart(\Closure $work): TestResponse
    {
        $level = DB::transactionLevel();
        DB::beginTransaction();
        try {
            return $work();
        } finally {
            while (DB::transactionLevel() > $level) {
                DB::rollBack();
            }
            // tasks and files lie outside of what is taken back
            Task::query()->delete();
            Task::query()->toBase()->insert($this->task);
            foreach ($this->files as $file => $content) {
                if (! Storage::disk('local')->exists($file)) {
                    Storage::disk('local')->put($file, $content);
                }
            }
        }
    }
}
