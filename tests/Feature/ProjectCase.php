<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Editing\NewProject;
use App\Models\Opening;
use App\Models\Outline;
use App\Models\Project;
use App\Models\Role;
use App\Models\SettingOutLine;
use App\Models\Storey;
use App\Models\Task;
use App\Models\UnitType;
use App\Models\User;
use App\Models\Wall;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Isleward\Core\Measure\Fields;
use Tests\TestCase;

/** A project of two storeys with one rectangular outline, its owner signed in. */
abstract class ProjectCase extends TestCase
{
    use RefreshDatabase;

    protected User $owner;

    protected Project $project;

    protected function setUp(): void
    {
        parent::setUp();
        Task::query()->delete(); // they lie beside the transaction that is rolled back
        $this->owner = User::factory()->create(['name' => 'Runa Vell']);
        $this->project = $this->makeProject($this->owner);
        $this->actingAs($this->owner);
    }

    protected function makeProject(User $owner): Project
    {
        return $this->app->make(NewProject::class)->create($owner, new Fields([
            'name' => 'Test house', 'units' => 'mm',
            'storeys' => [['name' => 'Quay', 'height' => 4200], ['name' => 'Charts', 'height' => 3600]],
            'rectangle' => ['width' => 12000, 'depth' => 8000, 'thickness' => 300],
        ]));
    }

    protected function member(Role $role): User
    {
        $user = User::factory()->create(['name' => 'Tam Orrin']);
        $this->project->members()->attach($user->id, ['role' => $role->value]);

        return $user;
    }

    /** @param  array<string, mixed>  $args */
    protected function edit(string $edit, array $args, ?int $base = null, string $query = ''): TestResponse
    {
        return $this->postJson(
            "/api/projects/{$this->project->id}/edits$query",
            ['edit' => $edit, 'args' => $args, 'base' => $base ?? $this->number()],
        );
    }

    protected function number(): int
    {
        return Project::query()->findOrFail($this->project->id)->change_number;
    }

    /** @param  array<string, mixed>  $more */
    protected function place(float $left, array $more = []): string
    {
        $response = $this->edit('opening.place', $more + $this->placing($left));
        $response->assertOk();

        return $response->json('chosen.0');
    }

    /** @return array<string, mixed> */
    protected function placing(float|string $left): array
    {
        return [
            'host' => $this->wall(),
            'storey' => $this->storey(),
            'type' => $this->type('W-03'),
            'position' => ['from' => 'left', 'value' => $left, 'to' => 'near'],
        ];
    }

    /** @return array<string, mixed> as the desk gets it */
    protected function project(): array
    {
        return $this->getJson("/api/projects/{$this->project->id}")->assertOk()->json();
    }

    protected function wall(int $i = 0): string
    {
        $first = Outline::query()->where('project_id', $this->project->id)->orderBy('position')->value('id');

        return Wall::query()->where('outline_id', $first)->orderBy('position')->pluck('id')[$i];
    }

    protected function storey(int $i = 0): string
    {
        return Storey::query()->where('project_id', $this->project->id)->orderBy('position')->pluck('id')[$i];
    }

    protected function type(string $mark): string
    {
        return UnitType::query()->where('project_id', $this->project->id)->where('mark', $mark)->value('id');
    }

    /** @return array<string, mixed> every stored row of the design */
    protected function rows(): array
    {
        return array_map(
            fn (string $model): array => $model::query()->toBase()
                ->where('project_id', $this->project->id)
                ->orderBy('id')
                ->get()
                ->map(static fn ($r): array => (array) $r)
                ->all(),
            [
                'openings' => Opening::class,
                'walls' => Wall::class,
                'storeys' => Storey::class,
                'types' => UnitType::class,
                'lines' => SettingOutLine::class,
            ]);
    }

    protected function assertProblem(TestResponse $response, int $status, string $code): void
    {
        $response->assertStatus($status);
        self::assertSame($code, $response->json('code'), (string) $response->getContent());
        self::assertSame('application/problem+json', $response->headers->get('Content-Type'));
        self::assertNotSame('', (string) $response->json('title'));
    }

    /** @return array<string, mixed> of the first wall's frontage */
    protected function elevation(): array
    {
        return $this->getJson("/api/projects/{$this->project->id}/elevations/fr-".substr($this->wall(), 3))->assertOk()->json();
    }
}
