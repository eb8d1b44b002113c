<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Project;
use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;

/** Projects in the list: duplicated, archived, in the bin and out of it, known by a picture. */
final class ProjectsKeptTest extends ProjectCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake(config()->string('isleward.files_disk'));
    }

    private function at(string $path = ''): string
    {
        return rtrim("/api/projects/{$this->project->id}/$path", '/');
    }

    /** @return array<string, mixed> */
    private function line(?string $id = null): array
    {
        return array_column($this->getJson('/api/projects')->assertOk()->json('projects'), null, 'id')[$id ?? $this->project->id] ?? [];
    }

    public function test_what_is_deleted_is_in_the_bin_where_its_owner_alone_finds_it_and_goes_after_thirty_days(): void
    {
        $other = $this->member(Role::Editor);
        $changed = $this->line()['updatedAt'];
        $this->deleteJson($this->at())->assertNoContent();
        self::assertNotNull($this->line()['binned']);
        self::assertSame($changed, $this->line()['updatedAt']);
        // nobody opens or changes it there, and who shares it does not see it
        $this->getJson($this->at())->assertNotFound();
        $this->edit('settings.change', ['name' => 'From the bin'])->assertNotFound();
        $this->actingAs($other)->getJson('/api/projects')->assertOk()->assertJsonPath('projects', []);
        $this->deleteJson($this->at())->assertForbidden();
        $this->patchJson($this->at(), ['binned' => false])->assertForbidden();
        $this->actingAs($this->owner)->patchJson($this->at(), ['binned' => false])->assertNoContent();
        $this->getJson($this->at())->assertOk();

        $this->deleteJson($this->at())->assertNoContent();
        $this->travel(29)->days();
        self::assertNotSame([], $this->line());
        $this->travel(2)->days();
        self::assertSame([], $this->line());
        self::assertNull(Project::query()->find($this->project->id));
    }

    public function test_in_the_bin_it_is_deleted_for_good(): void
    {
        $this->deleteJson($this->at())->assertNoContent();
        $this->deleteJson($this->at())->assertNoContent();
        self::assertNull(Project::query()->find($this->project->id));
        $this->patchJson($this->at(), ['binned' => false])->assertNotFound();
    }

    public function test_it_is_archived_by_its_owner_and_works_on(): void
    {
        $this->patchJson($this->at(), ['archived' => true])->assertNoContent();
        self::assertTrue($this->line()['archived']);
        $this->edit('settings.change', ['name' => 'Still here'])->assertOk();
        $this->patchJson($this->at(), ['archived' => false])->assertNoContent();
        self::assertSame([false, 'Still here'], [$this->line()['archived'], $this->line()['name']]);
    }

    /** Law: all that is drawn is the same, none of it is the same element, and neither changes with the other. */
    public function test_a_duplicate_is_all_of_it_and_none_of_it(): void
    {
        $first = $this->place(1000);
        $this->place(4000);
        $this->edit('opening.change', ['id' => $first, 'measure' => ['from' => 'middle']])->assertOk();
        $this->edit('set.keep', ['name' => 'Both', 'members' => [$first]])->assertOk();
        $this->edit('roof.add', ['outline' => $this->project()['outlines'][0]['id']])->assertOk();
        $reading = $this->call('POST', $this->at('uploads/schedule?name=theirs.csv'), server: [
            'CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json',
        ], content: "Mark,Width,Height\nW-03,1200,1500\n")->json();
        $this->edit('given.keep', ['name' => 'Theirs'] + array_intersect_key($reading, array_flip(['file', 'sheet', 'header', 'columns'])));
        $before = $this->whole($this->project->id);
        $copy = $this->postJson($this->at('duplicates'), ['name' => 'The same again', 'key' => 'window01.1'])->assertCreated()->json('id');
        self::assertSame($copy, $this->postJson($this->at('duplicates'), ['name' => 'The same again', 'key' => 'window01.1'])->json('id'));
        self::assertCount(2, $this->getJson('/api/projects')->json('projects'));
        $after = $this->whole($copy);
        self::assertSame([], array_intersect($before['ids'], $after['ids']));
        self::assertSame($before['svg'], str_replace('The same again', $this->project->name, $after['svg']));
        self::assertSame($before['counts'], $after['counts']);
        $given = $this->getJson("/api/projects/$copy")->json('givens.0.id');
        $this->getJson("/api/projects/$copy/givens/$given/held")->assertOk();
        $this->edit('opening.remove', ['ids' => [$first]])->assertOk();
        self::assertSame($after, $this->whole($copy));
        self::assertSame(0, $this->getJson("/api/projects/$copy")->json('number'));
    }

    /** @return array{ids: list<string>, counts: array<string, int>, svg: string} ids are replaced by their order in the drawing */
    private function whole(string $id): array
    {
        $project = $this->getJson("/api/projects/$id")->assertOk()->json();
        $ids = $counts = [];
        foreach (['storeys', 'outlines', 'walls', 'types', 'grids', 'roofs', 'sets', 'givens'] as $kind) {
            $counts[$kind] = count($project[$kind]);
            array_push($ids, ...array_column($project[$kind], 'id'));
        }
        $svg = (string) $this->get("/api/projects/$id/exports/elevation.svg?scale=100")->assertOk()->getContent();

        return ['ids' => $ids, 'counts' => $counts, 'svg' => (string) preg_replace('/\b(op|ty)-[0-9a-z]{12}/', '$1', $svg)];
    }

    public function test_a_picture_is_a_small_drawing_that_changes_with_it(): void
    {
        $get = fn (): TestResponse => $this->get($this->at('picture'))->assertOk()->assertHeader('Content-Type', 'image/svg+xml');
        $bare = $get();
        $svg = simplexml_load_string((string) $bare->getContent());
        self::assertNotFalse($svg);
        self::assertSame('60mm', (string) $svg['width']);
        $this->get($this->at('picture'), ['If-None-Match' => $bare->headers->get('ETag')])->assertStatus(304);
        $this->place(1000);
        self::assertGreaterThan(strlen((string) $bare->getContent()), strlen((string) $get()->getContent()));
        $guest = User::factory()->create();
        $this->actingAs($guest)->get($this->at('picture'))->assertNotFound();
    }
}
