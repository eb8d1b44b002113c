<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Change;
use App\Models\Opening;
use App\Models\Project;
use App\Models\Role;
use App\Models\Task;
use App\Tasks\Lane;
use App\Tasks\Run;
use App\Tasks\Tasks;
use App\Tasks\Turn;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Bus;
use Illuminate\Support\Facades\DB;

/**
 * What was asked for is done once, and of what became of it nothing false is said. Nothing is rolled back here, so that connections can
 * break.
 */
final class KeptWholeTest extends ProjectCase
{
    protected function tearDown(): void
    {
        Project::query()->get()->each->delete();
        parent::tearDown();
    }

    /** @return list<string> */
    protected function connectionsToTransact(): array
    {
        return [];
    }

    public function test_under_one_key_a_thing_is_done_once_and_answered_with_what_became_of_it(): void
    {
        $first = $this->keyed('opening.place', $this->placing(1000), 'windowOne.1')->assertOk()->json();
        $again = $this->keyed('opening.place', $this->placing(1000), 'windowOne.1', base: 0)->assertOk()->json();
        self::assertSame(1, Opening::query()->where('project_id', $this->project->id)->count());
        foreach (['number', 'summary', 'chosen', 'touched', 'placed', 'undo', 'notes'] as $part) {
            self::assertSame($first[$part], $again[$part], $part);
        }
        // also an undo, which else would take back one thing more
        $this->keyed('opening.place', $this->placing(3000), 'windowOne.2')->assertOk();
        foreach ([1, 2] as $time) {
            $this->postJson($this->path('undo'), ['key' => 'windowOne.3'])->assertOk()->assertJsonPath('summary', 'Undid: Placed W-03');
            self::assertSame(1, Opening::query()->where('project_id', $this->project->id)->count(), "time $time");
        }
        // a key is one's own: another's edit under the same is another edit
        $this->actingAs($this->member(Role::Editor));
        $this->keyed('opening.place', $this->placing(5000), 'windowOne.1')->assertOk();
        self::assertSame(2, Opening::query()->where('project_id', $this->project->id)->count());
        $this->assertProblem($this->keyed('opening.place', $this->placing(7000), 'no key'), 422, 'edit.key');
    }

    public function test_projects_and_revisions_are_begun_once_too(): void
    {
        $new = ['name' => 'Twice', 'units' => 'mm', 'storeys' => [['name' => 'Quay', 'height' => 3000]], 'key' => 'windowOne.7'];
        self::assertSame(
            $this->postJson('/api/projects', $new)->assertCreated()->json('id'),
            $this->postJson('/api/projects', $new)->assertCreated()->json('id'),
        );
        $this->place(1000);
        $keep = fn () => $this->postJson(
            $this->path('revisions'),
            ['note' => 'as agreed', 'key' => 'windowOne.8'],
        )->assertCreated()->json('letter');
        self::assertSame(['A', 'A'], [$keep(), $keep()]);
        $this->assertProblem($this->postJson($this->path('revisions'), ['note' => 'again', 'key' => 'windowOne.9']), 422, 'revision.same');
    }

    public function test_a_windows_own_edits_are_no_one_elses_meanwhile(): void
    {
        $id = $this->place(1000);
        $seen = $this->number();
        // both were asked for before the first was answered
        $this->keyed('opening.change', ['id' => $id, 'by' => ['u' => 10]], 'windowOne.1', $seen)->assertOk();
        $this->keyed('opening.change', ['id' => $id, 'by' => ['u' => 10]], 'windowOne.2', $seen)->assertOk();
        $this->assertProblem(
            $this->keyed('opening.change', ['id' => $id, 'by' => ['u' => 10]], 'windowTwo.1', $seen),
            409,
            'edit.conflict',
        );
        // nobody takes another's name to pass by what they did
        $this->actingAs($this->member(Role::Editor));
        $this->assertProblem(
            $this->keyed('opening.change', ['id' => $id, 'by' => ['u' => 10]], 'windowOne.9', $seen),
            409,
            'edit.conflict',
        );
    }

    public function test_when_something_breaks_before_the_end_it_is_looked_up_and_said_that_nothing_was_done(): void
    {
        $this->breaking(fn () => throw new \LogicException('a fault of ours'));
        $this->assertProblem($this->keyed('opening.place', $this->placing(1000), 'windowOne.1'), 500, 'server.error');
        self::assertStringContainsString(
            'Nothing was changed',
            (string) $this->keyed('opening.place', $this->placing(1000), 'windowOne.1')->json('title'),
        );
        self::assertSame(0, Opening::query()->where('project_id', $this->project->id)->count());
    }

    public function test_a_long_change_of_someone_else_is_not_waited_for_and_is_named(): void
    {
        $other = $this->beside();
        $other->beginTransaction();
        $other->table('projects')->where('id', $this->project->id)->lockForUpdate()->first();
        cache()->put(
            "holding.{$this->project->id}",
            ['who' => 'Tam Orrin', 'what' => 'opening stack', 'done' => 1200, 'total' => 4000, 'since' => microtime(true) - 5],
            60,
        );
        $began = microtime(true);
        $refused = $this->keyed('opening.place', $this->placing(1000), 'windowOne.1');
        $this->assertProblem($refused, 423, 'project.busy');
        self::assertLessThan(0.8, microtime(true) - $began, 'it was not waited for');
        self::assertStringContainsString('Tam Orrin’s change', (string) $refused->json('title'));
        self::assertStringContainsString('1200 of 4000', (string) $refused->json('title'));
        self::assertSame('1', $refused->headers->get('Retry-After'));
        // who looks does not wait
        $this->getJson($this->path(''))->assertOk();
        $this->postJson($this->path('edits?try=1'), ['edit' => 'opening.place', 'args' => $this->placing(1000), 'base' => 0])->assertOk();
        // a short one is waited for a second
        cache()->forget("holding.{$this->project->id}");
        $began = microtime(true);
        $this->assertProblem($this->keyed('opening.place', $this->placing(1000), 'windowOne.1'), 423, 'project.busy');
        self::assertEqualsWithDelta(1.0, microtime(true) - $began, 0.7);
        $other->rollBack();
        $this->keyed('opening.place', $this->placing(1000), 'windowOne.1')->assertOk();
    }

    public function test_a_task_whose_worker_is_gone_is_looked_up_in_the_log(): void
    {
        Bus::fake([Turn::class]);
        $tasks = $this->app->make(Tasks::class);
        // done, and the worker killed before it could say so
        $done = $tasks->begin($this->project, $this->owner, Lane::Edits, 'opening.place', $this->placing(1000), $this->number());
        $this->keyed('opening.place', $this->placing(1000), 'windowOne.1')->assertOk();
        Change::query()->where('project_id', $this->project->id)->where('key', 'windowOne.1')->update(['key' => $done->key]);
        $this->orphan($done);
        $this->getJson($this->path("tasks/$done->id"))->assertOk()->assertJsonPath('state', 'done')->assertJsonCount(1, 'outcome.chosen');
        // killed before
        $lost = $tasks->begin($this->project, $this->owner, Lane::Edits, 'opening.place', $this->placing(4000), $this->number());
        $this->orphan($lost);
        $this->getJson($this->path("tasks/$lost->id"))->assertOk()->assertJsonPath('state', 'refused')->assertJsonPath(
            'problem.code',
            'task.lost',
        );
        // still at work
        $running = $tasks->begin($this->project, $this->owner, Lane::Edits, 'opening.place', $this->placing(7000), $this->number());
        $this->orphan($running);
        DB::connection('mariadb')->selectOne('select get_lock(?, 0)', [DB::getDatabaseName().'.'.$running->id]);
        self::assertTrue(Run::goesOn($running));
        $this->getJson($this->path("tasks/$running->id"))->assertOk()->assertJsonPath('state', 'running');
        DB::connection('mariadb')->selectOne('select release_lock(?)', [DB::getDatabaseName().'.'.$running->id]);
    }

    public function test_tasks_are_bounded_and_projects_take_turns(): void
    {
        Bus::fake([Turn::class]);
        $sheets = fn (Project $of, string $key) => $this->postJson(
            "/api/projects/$of->id/sheets",
            ['paper' => 'A3', 'format' => 'pdf', 'key' => $key],
        );
        $mine = array_map(fn (int $i): string => $sheets($this->project, "windowOne.$i")->assertStatus(202)->json('id'), [1, 2, 3]);
        self::assertSame($mine[0], $sheets($this->project, 'windowOne.1')->assertStatus(202)->json('id'), 'asked for again it is the same');
        $this->assertProblem($sheets($this->project, 'windowOne.4'), 429, 'task.too_many');
        $other = $this->makeProject($this->owner);
        $theirs = $sheets($other, 'windowOne.5')->assertStatus(202)->json('id');
        $tasks = $this->app->make(Tasks::class);
        // the second project does not wait for all of the first
        $order = array_map(static fn (): ?string => $tasks->claim(Lane::Files)?->id, [1, 2, 3, 4, 5]);
        self::assertSame([$mine[0], $theirs, $mine[1], $mine[2], null], $order);
        self::assertNull($tasks->claim(Lane::Edits));
    }

    public function test_made_sheets_are_written_whole_and_fetched(): void
    {
        $id = $this->postJson(
            $this->path('sheets'),
            ['paper' => 'A4', 'format' => 'zip', 'ids' => [$this->type('W-03')]],
        )->assertStatus(202)->json('id');
        Artisan::call('queue:work', ['--queue' => 'edits,files', '--stop-when-empty' => true]);
        $this->getJson($this->path("tasks/$id"))->assertJsonPath('state', 'done')->assertJsonPath('file.sheets', 1);
        self::assertStringStartsWith('PK', (string) $this->get($this->path("tasks/$id/file"))->assertOk()->streamedContent());
    }

    private function orphan(Task $task): void
    {
        Task::query()->whereKey($task->id)->toBase()->update(['state' => 'running', 'updated_at' => now()->subMinute()]);
    }

    /** @param  \Closure(): never  $with */
    private function breaking(\Closure $with): void
    {
        DB::listen(static function ($query) use ($with): void {
            if (str_starts_with($query->sql, 'insert into `changes`')) {
                $with();
            }
        });
    }

    /** @param  array<string, mixed>  $args */
    private function keyed(string $edit, array $args, string $key, ?int $base = null): \Illuminate\Testing\TestResponse
    {
        return $this->postJson($this->path('edits'), ['edit' => $edit, 'args' => $args, 'base' => $base ?? $this->number(), 'key' => $key]);
    }

    private function path(string $more): string
    {
        return rtrim("/api/projects/{$this->project->id}/$more", '/');
    }

    private function beside(): \Illuminate\Database\Connection
    {
        config(['database.connections.third' => config('database.connections.mariadb')]);

        return DB::connection('third');
    }
}
