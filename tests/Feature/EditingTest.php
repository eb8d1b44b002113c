<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Change;
use App\Models\Opening;
use App\Models\Role;
use PHPUnit\Framework\Attributes\DataProvider;

final class EditingTest extends ProjectCase
{
    public function test_an_opening_is_placed_changed_undone_and_redone_byte_for_byte(): void
    {
        $states = [$this->rows()];
        $id = $this->place(1450);
        $states[] = $this->rows();
        foreach ([
            ['by' => ['u' => 100 / 3]],
            ['width' => "3' 6 1/32\""],
            ['mirrored' => true, 'facesOut' => false],
            ['sillFrom' => 'datum'],
        ] as $args) {
            $this->edit('opening.change', ['id' => $id] + $args)->assertOk();
            $states[] = $this->rows();
        }
        $this->edit('storey.insert', ['above' => $this->storey(), 'name' => 'Between', 'height' => '2.4 m'])
            ->assertOk()
            ->assertJsonPath('touched.structure', true);
        $states[] = $this->rows();
        for ($i = count($states) - 2; $i >= 0; $i--) {
            $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
            self::assertSame($states[$i], $this->rows(), "after undoing to state $i");
        }
        $this->assertProblem($this->postJson("/api/projects/{$this->project->id}/undo"), 422, 'undo.nothing');
        for ($i = 1; $i < count($states); $i++) {
            $this->postJson("/api/projects/{$this->project->id}/redo")->assertOk();
            self::assertSame($states[$i], $this->rows(), "after redoing to state $i");
        }
        $this->assertProblem($this->postJson("/api/projects/{$this->project->id}/redo"), 422, 'redo.nothing');
        self::assertSame($this->number(), Change::query()->where('project_id', $this->project->id)->count());
    }

    public function test_undo_goes_on_after_redo_and_a_new_change_ends_redo(): void
    {
        $this->place(1000);
        $this->place(3000);
        $undo = fn () => $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
        $undo();
        $undo()->assertJsonPath('undo', null)->assertJsonPath('redo', 'Undid: Placed W-03');
        $this->postJson("/api/projects/{$this->project->id}/redo")->assertOk();
        $undo();
        $this->place(5000);
        $this->assertProblem($this->postJson("/api/projects/{$this->project->id}/redo"), 422, 'redo.nothing');
    }

    public function test_a_try_says_what_would_be_and_writes_nothing(): void
    {
        $this->place(1450);
        $before = $this->rows();
        $number = $this->number();
        $this->edit('opening.place', $this->placing('1450+8950'), query: '?try=1')->assertOk()
            ->assertJsonPath('placed.0.left', 10400)
            ->assertJsonPath('findings.0.rule', 'opening.near_corner')
            ->assertJsonPath('findings.0.figure', 100);
        $this->assertProblem($this->edit('opening.place', $this->placing('1450+1115'), query: '?try=1'), 422, 'opening.taken');
        $this->assertProblem($this->edit('opening.place', $this->placing(13200), query: '?try=1'), 422, 'opening.off_wall');
        self::assertSame([$before, $number], [$this->rows(), $this->number()]);
    }

    public function test_two_windows_may_change_different_openings_but_not_the_same_unseen(): void
    {
        $one = $this->place(1000);
        $two = $this->place(4000);
        $base = $this->number();
        $this->edit('opening.change', ['id' => $one, 'by' => ['u' => 10]], $base)->assertOk();
        $this->edit('opening.change', ['id' => $two, 'by' => ['u' => 10]], $base)->assertOk();
        $before = $this->rows();
        $this->assertProblem($this->edit('opening.change', ['id' => $one, 'width' => 1300], $base), 409, 'edit.conflict');
        self::assertSame($before, $this->rows());
        $this->edit('opening.change', ['id' => $one, 'width' => 1300], $this->number())->assertOk();
        $this->assertProblem($this->edit('opening.change', ['id' => $one, 'width' => 1300], 999), 409, 'edit.base_unknown');
    }

    public function test_undo_takes_back_ones_own_and_is_refused_where_someone_changed_it_since(): void
    {
        $id = $this->place(1000);
        $other = $this->member(Role::Editor);
        $this->actingAs($other);
        $this->assertProblem($this->postJson("/api/projects/{$this->project->id}/undo"), 422, 'undo.nothing');
        $this->edit('opening.change', ['id' => $id, 'by' => ['u' => 10]])->assertOk();
        $this->actingAs($this->owner);
        $this->assertProblem($this->postJson("/api/projects/{$this->project->id}/undo"), 422, 'undo.changed_since');
        self::assertSame(1, Opening::query()->count());
    }

    public function test_who_may_do_what(): void
    {
        $id = $this->place(1000);
        $paths = [
            "/api/projects/{$this->project->id}",
            "/api/projects/{$this->project->id}/schedules/by-type",
            "/api/projects/{$this->project->id}/exports/model.glb",
            "/api/projects/{$this->project->id}/changes",
        ];
        $this->actingAs($this->member(Role::Viewer));
        foreach ($paths as $path) {
            $this->get($path)->assertOk();
        }
        $before = $this->rows();
        $this->assertProblem($this->edit('opening.change', ['id' => $id, 'by' => ['u' => 1]]), 403, 'project.not_allowed');
        $this->assertProblem($this->edit('opening.change', ['id' => $id, 'by' => ['u' => 1]], query: '?try=1'), 403, 'project.not_allowed');
        $this->assertProblem($this->postJson("/api/projects/{$this->project->id}/undo"), 403, 'project.not_allowed');
        $this->assertProblem($this->deleteJson("/api/projects/{$this->project->id}"), 403, 'project.not_allowed');
        $this->actingAs(\App\Models\User::factory()->create());
        foreach ($paths as $path) {
            $this->assertProblem($this->getJson($path), 404, 'not_found');
        }
        $this->assertProblem($this->edit('opening.remove', ['ids' => [$id]]), 404, 'not_found');
        self::assertSame($before, $this->rows());
    }

    public function test_ids_of_another_project_are_unknown_here(): void
    {
        $theirs = $this->makeProject(\App\Models\User::factory()->create());
        $wall = \App\Models\Wall::query()->where('project_id', $theirs->id)->value('id');
        $storey = \App\Models\Storey::query()->where('project_id', $theirs->id)->value('id');
        $before = $this->rows();
        $this->assertProblem($this->edit('opening.place', ['host' => $wall] + $this->placing(1000)), 422, 'wall.unknown');
        $this->assertProblem($this->edit('opening.place', ['storey' => $storey] + $this->placing(1000)), 422, 'storey.unknown');
        $this->assertProblem($this->edit('storey.change', ['id' => $storey, 'height' => 1]), 422, 'storey.unknown');
        $this->assertProblem($this->getJson("/api/projects/{$this->project->id}/plans/$storey"), 404, 'not_found');
        $this->assertProblem($this->getJson("/api/projects/{$this->project->id}/elevations/fr-".substr($wall, 3)), 404, 'not_found');
        self::assertSame($before, $this->rows());
    }

    /** @param  array<string, string>  $headers */
    #[DataProvider('badBodies')]
    public function test_bad_bodies_are_problems_and_write_nothing(string $body, int $status, string $code, array $headers = []): void
    {
        $before = [$this->rows(), $this->number()];
        $server = ['CONTENT_TYPE' => $headers['type'] ?? 'application/json', 'HTTP_ACCEPT' => 'application/json'];
        $this->assertProblem(
            $this->call('POST', "/api/projects/{$this->project->id}/edits", server: $server, content: $body),
            $status,
            $code,
        );
        self::assertSame($before, [$this->rows(), $this->number()]);
    }

    /** @return iterable<string, array{0: string, 1: int, 2: string, 3?: array<string, string>}> */
    public static function badBodies(): iterable
    {
        yield 'not JSON' => ['{"edit": ', 400, 'request.not_json'];
        yield 'a bare number' => ['7', 400, 'request.not_json'];
        yield 'another kind' => ['edit=1', 415, 'request.not_json', ['type' => 'application/x-www-form-urlencoded']];
        yield 'ten megabytes' => ['{"edit":"'.str_repeat('x', 10_000_000).'"}', 413, 'request.too_large'];
        yield 'nothing in it' => ['{}', 422, 'field.invalid'];
        yield 'an unknown edit' => ['{"edit":"wall.explode","args":{},"base":0}', 422, 'edit.unknown'];
        yield 'args that are none' => ['{"edit":"opening.place","args":"x","base":0}', 422, 'field.invalid'];
        yield 'a base that is none' => ['{"edit":"settings.change","args":{"name":"X"},"base":"new"}', 422, 'field.invalid'];
        yield 'a storey of height 0' => ['{"edit":"storey.insert","args":{"name":"Flat","height":0},"base":0}', 422, 'size.too_small'];
        yield 'a size that is no number' => ['{"edit":"storey.insert","args":{"name":"Flat","height":[1]},"base":0}', 422, 'field.invalid'];
        yield 'a number beyond numbers' => [
            '{"edit":"storey.insert","args":{"name":"Flat","height":1e400},"base":0}', 400, 'request.not_finite',
        ];
    }

    public function test_what_was_undone_is_counted_as_no_change(): void
    {
        $had = $this->project()['changes'];
        $this->place(1000);
        $this->place(4000);
        self::assertSame($had + 2, $this->project()['changes']);
        $reverse = fn (string $way) => $this->postJson("/api/projects/{$this->project->id}/$way", ['base' => $this->number()])->assertOk();
        $reverse('undo');
        $reverse('undo');
        self::assertSame([$had, $had + 4], [$this->project()['changes'], $this->number()]);
        $reverse('redo');
        self::assertSame($had + 1, $this->project()['changes']);
    }
}
