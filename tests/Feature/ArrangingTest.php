<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Opening;
use App\Models\SettingOutLine;
use App\Models\Task;
use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;

/** The same again, and many at once, through the API. */
final class ArrangingTest extends ProjectCase
{
    public function test_a_repeat_is_first_tried_then_done_then_undone(): void
    {
        $id = $this->place(1000);
        $before = $this->rows();
        $args = ['ids' => [$id], 'count' => 5, 'pitch' => '2 m'];
        // 1000 + 5 × 2000 + 1200 = 12 200: the fifth runs 200 past the end of the 12 000 long wall
        $tried = $this->edit('opening.repeat', $args, query: '?try=1')
            ->assertOk()
            ->assertJsonPath('wanted', 5)
            ->assertJsonCount(4, 'placed')
            ->assertJsonCount(1, 'misfits')
            ->assertJsonPath('misfits.0.place.left', 11000);
        self::assertStringContainsString('200', $tried->json('misfits.0.sentence'));
        $this->assertProblem($this->edit('opening.repeat', $args), 422, 'arrange.misfits');
        self::assertSame($before, $this->rows());
        $this->edit('opening.repeat', ['fit' => 'fitting'] + $args)->assertOk()->assertJsonCount(4, 'chosen');
        self::assertSame([1000.0, 3000.0, 5000.0, 7000.0, 9000.0], $this->lefts());
        $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
        self::assertSame($before, $this->rows());
    }

    /** @param  array<string, mixed>  $args */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_is_said_and_nothing_is_done(string $edit, array $args, string $code): void
    {
        $id = $this->place(1000);
        $before = $this->rows();
        $this->assertProblem($this->edit($edit, $args + ['ids' => [$id]]), 422, $code);
        self::assertSame($before, $this->rows());
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no copies' => ['opening.repeat', ['count' => 0, 'pitch' => 2000], 'count.out_of_range'];
        yield 'ten thousand copies' => ['opening.repeat', ['count' => 10000, 'pitch' => 2000], 'count.out_of_range'];
        yield 'a sum that is none' => ['opening.repeat', ['count' => 2, 'pitch' => '2000+'], 'length.unreadable'];
        yield 'no room for a hundred' => ['opening.repeat', ['by' => 'ends', 'count' => 100], 'arrange.no_room'];
        yield 'onto a storey the wall does not reach' => ['opening.stack', ['storeys' => ['st-nowhere']], 'arrange.misfits'];
        yield 'an edge there is none of' => ['opening.align', ['edge' => 'middle', 'to' => 'below'], 'field.invalid'];
    }

    public function test_a_mirror_that_throws_half_off_the_wall_is_told_before(): void
    {
        $near = $this->place(500);
        $far = $this->place(9000);
        $line = $this->line(['from' => 'left', 'value' => 4500]);
        $before = $this->rows();
        $args = ['ids' => [$near, $far], 'about' => 'line', 'line' => $line];
        $this->edit('opening.mirror', $args, query: '?try=1')
            ->assertOk()
            ->assertJsonCount(1, 'placed')
            ->assertJsonCount(1, 'misfits')
            ->assertJsonPath('misfits.0.element', $far);
        $this->assertProblem($this->edit('opening.mirror', $args), 422, 'arrange.misfits');
        self::assertSame($before, $this->rows());
    }

    public function test_what_hangs_on_a_line_is_told_and_keeps_its_figures_when_asked(): void
    {
        $line = $this->line(['from' => 'fraction', 'value' => 0.25]);
        $id = $this->place(0, ['position' => ['from' => 'line', 'ref' => $line, 'value' => 100, 'to' => 'near']]);
        $this->edit('line.change', ['id' => $line, 'value' => 0.5])->assertOk()->assertJsonPath('touched.structure', true);
        self::assertSame(6100.0, $this->elevation()['openings'][0]['left']);
        self::assertContains(
            ['at' => 6000.0, 'name' => 'line L1', 'kind' => 'line', 'element' => $line, 'side' => null],
            $this->elevation()['catches'][$this->wall()]['upright'],
        );
        $this->assertProblem($this->edit('line.remove', ['ids' => [$line]]), 422, 'hanging');
        $this->edit('line.remove', ['ids' => [$line], 'keepFigures' => true])->assertOk();
        self::assertSame(6100.0, $this->elevation()['openings'][0]['left']);
        self::assertSame('left', json_decode((string) Opening::query()->whereKey($id)->value('position'), true)['from']);
    }

    public function test_a_line_on_which_something_was_placed_since_cannot_be_taken_back_from_under_it(): void
    {
        $line = $this->line(['from' => 'left', 'value' => 4000]);
        $this->actingAs($this->member(\App\Models\Role::Editor));
        $this->place(0, ['position' => ['from' => 'line', 'ref' => $line, 'value' => 0, 'to' => 'near']]);
        $this->actingAs($this->owner);
        $this->assertProblem($this->postJson("/api/projects/{$this->project->id}/undo"), 422, 'undo.used_since');
        self::assertTrue(SettingOutLine::query()->whereKey($line)->exists());
    }

    public function test_what_was_made_to_fit_goes_again_when_the_filling_is_undone(): void
    {
        $bare = $this->place(1000, ['type' => null, 'width' => 1135, 'height' => 1200]);
        $before = $this->rows();
        $this->edit('opening.fill', ['ids' => [$bare], 'window' => $this->type('W-03')])->assertOk();
        self::assertNotSame($before, $this->rows());
        $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
        self::assertSame($before, $this->rows());
        $this->postJson("/api/projects/{$this->project->id}/redo")->assertOk();
    }

    public function test_what_stands_on_a_moved_opening_in_another_wall_is_drawn_again(): void
    {
        $one = $this->place(1000);
        $other = $this->place(
            2000,
            ['host' => $this->wall(2), 'sill' => ['from' => 'opening', 'ref' => $one, 'point' => 'head', 'edge' => 'head', 'height' => 0]],
        );
        $this->edit('opening.change', ['id' => $one, 'by' => ['v' => 150]])->assertOk();
        $touched = $this->edit('opening.change', ['id' => $one, 'by' => ['v' => 50]])->assertOk()->json('touched.walls');
        self::assertEqualsCanonicalizing([$this->wall(), $this->wall(2)], $touched);
        self::assertNotSame('', $other);
    }

    public function test_openings_are_gathered_by_any_mix(): void
    {
        $low = $this->place(1000);
        $this->place(4000, ['type' => $this->type('W-05')]);
        $high = $this->place(1000, ['storey' => $this->storey(1)]);
        $far = $this->place(1000, ['host' => $this->wall(2), 'sill' => ['from' => 'datum', 'height' => 900]]);
        $bare = $this->place(7000, ['type' => null, 'width' => 1200, 'height' => 900, 'sill' => ['from' => 'floor', 'height' => 1450]]);
        $gather = fn (string $query): array => $this->getJson("/api/projects/{$this->project->id}/gather?$query")->assertOk()->json('ids');
        $same = static fn (array $want, array $have) => self::assertEqualsCanonicalizing($want, $have);
        $same([$low, $high, $far], $gather('mark=W-03'));
        $same([$low, $far], $gather('mark=W-03&storey='.$this->storey()));
        $same([$low, $high], $gather('type='.$this->type('W-03').'&facing=South'));
        $same([$bare], $gather('type=bare'));
        $same([$low, $high, $far, $bare], $gather('width=1200'));
        $same([$low, $high, $far], $gather('width=1.2%20m&sill=900'));
        $same([$low, $high, $far, $bare], $gather('head=2350&width=1200'));
        $same([], $gather('host='.$this->wall(1)));
        self::assertCount(4, $gather('operation=side-hung'));
        $this->assertProblem($this->getJson("/api/projects/{$this->project->id}/gather?width=wide"), 422, 'length.unreadable');
    }

    public function test_a_set_and_an_accepted_finding_are_kept_and_undone(): void
    {
        $id = $this->place(1000, ['type' => $this->type('W-03')]);
        $this->edit(
            'opening.change',
            ['id' => $this->place(4000), 'position' => ['from' => 'left', 'value' => 2150, 'to' => 'near']],
        )->assertOk();
        $this->edit('set.keep', ['name' => 'Quay windows', 'members' => [$id]])->assertOk();
        self::assertSame([$id], $this->getJson("/api/projects/{$this->project->id}")->json('sets.0.members'));
        $finding = $this->elevation()['findings'][0];
        self::assertNull($finding['accepted']);
        $this->edit(
            'finding.accept',
            ['host' => $finding['host'], 'finding' => $finding['key'], 'figure' => $finding['figure'], 'note' => 'Agreed on site'],
        )->assertOk();
        self::assertSame('Agreed on site', $this->elevation()['findings'][0]['accepted']['note']);
        $this->edit('opening.change', ['id' => $id, 'by' => ['u' => 10]])->assertOk();
        self::assertNull($this->elevation()['findings'][0]['accepted'], 'the figure is another now');
        $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
        self::assertNotNull($this->elevation()['findings'][0]['accepted']);
    }

    public function test_a_long_stack_runs_as_a_task_and_can_be_stopped_whole(): void
    {
        for ($i = 2, $last = $this->storey(1); $i < 12; $i++) {
            $last = $this->edit('storey.insert', ['name' => "Level $i", 'height' => 3000, 'above' => $last])->json('chosen.0');
        }
        $this->edit('wall.change', ['walls' => [$this->wall()], 'top' => $last])->assertOk();
        $ids = $this->edit('opening.repeat', ['ids' => [$this->place(200)], 'count' => 8, 'pitch' => 1300])->json('chosen');
        $before = $this->rows();
        $begin = fn (): string => $this->edit('opening.stack', ['ids' => $ids, 'storeys' => 'all', 'fit' => 'all'], query: '?job=1')
            ->assertStatus(202)
            ->assertJsonPath('state', 'waiting')
            ->json('id');

        $task = $begin();
        Task::query()->whereKey($task)->update(['state' => 'running']);
        $this->deleteJson("/api/projects/{$this->project->id}/tasks/$task")->assertOk()->assertJsonPath('state', 'stopping');
        Task::query()->whereKey($task)->update(['state' => 'waiting']);
        $this->stopAtFirstWord($task);
        self::assertSame('cancelled', $this->getJson("/api/projects/{$this->project->id}/tasks/$task")->json('state'));
        self::assertSame($before, $this->rows());

        $task = $begin();
        Artisan::call('queue:work', ['--queue' => 'edits,files', '--stop-when-empty' => true]);
        $this->getJson("/api/projects/{$this->project->id}/tasks/$task")
            ->assertOk()
            ->assertJsonPath('state', 'done')
            ->assertJsonPath('done', 88)
            ->assertJsonPath('total', 88)
            ->assertJsonCount(88, 'outcome.chosen');
        $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
        self::assertSame($before, $this->rows());

        $this->assertProblem($this->edit('opening.stack', ['ids' => [], 'storeys' => 'all'], query: '?job=1'), 422, 'opening.none');
        $this->actingAs($this->member(\App\Models\Role::Viewer));
        $this->edit('opening.stack', ['ids' => $ids, 'storeys' => 'all'], query: '?job=1')->assertForbidden();
        $this->deleteJson("/api/projects/{$this->project->id}/tasks/$task")->assertNotFound();
    }

    /** Runs the queue with someone asking for a stop as soon as the task has begun. */
    private function stopAtFirstWord(string $task): void
    {
        $asked = false;
        \Illuminate\Support\Facades\DB::listen(static function ($query) use ($task, &$asked): void {
            if (! $asked && str_starts_with($query->sql, 'insert into `openings`')) {
                $asked = true;
                Task::query()->whereKey($task)->update(['state' => 'stopping']);
            }
        });
        Artisan::call('queue:work', ['--queue' => 'edits,files', '--stop-when-empty' => true]);
        self::assertTrue($asked);
    }

    /** @param  array<string, mixed>  $rule */
    private function line(array $rule): string
    {
        $this->edit('line.add', ['host' => $this->wall(), 'axis' => 'upright', 'rule' => $rule])->assertOk();

        return (string) SettingOutLine::query()->where('project_id', $this->project->id)->orderByDesc('name')->value('id');
    }

    /** @return list<float> */
    private function lefts(): array
    {
        $lefts = array_column($this->elevation()['openings'], 'left');
        sort($lefts);

        return array_map(floatval(...), $lefts);
    }
}
