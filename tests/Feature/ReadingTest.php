<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Isleward\Core\Unit\Stock;

final class ReadingTest extends ProjectCase
{
    public function test_drawings_are_304_until_their_content_changes_and_again_after_an_undo(): void
    {
        $this->place(1450);
        $frontages = $this->getJson("/api/projects/{$this->project->id}")->assertOk()->json('frontages');
        $paths = [];
        foreach ([$frontages[0]['id'], $frontages[1]['id']] as $f) {
            $paths[] = "elevations/$f";
            $paths[] = "scenes/$f";
        }
        $paths[] = 'plans/'.$this->storey(0);
        $paths[] = 'plans/'.$this->storey(1);
        $url = fn (string $path): string => "/api/projects/{$this->project->id}/$path";
        $tags = array_map(fn (string $p): string => (string) $this->get($url($p))->assertOk()->headers->get('ETag'), $paths);
        $statuses = fn (): array => array_map(
            fn (string $p, string $tag): int => $this->get($url($p), ['If-None-Match' => $tag])->status(),
            $paths,
            $tags,
        );
        self::assertSame([304, 304, 304, 304, 304, 304], $statuses());
        $this->place(5000);
        self::assertSame([200, 200, 304, 304, 200, 304], $statuses(), 'only the first frontage and the first storey changed');
        $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
        self::assertSame([304, 304, 304, 304, 304, 304], $statuses());
    }

    public function test_an_elevation_holds_what_the_desk_needs(): void
    {
        $id = $this->place(365); // 65 from the inner face of the wall that returns
        $frontage = $this->getJson("/api/projects/{$this->project->id}")->json('frontages.0');
        self::assertSame(['South', 180], [$frontage['name'], $frontage['bearing']]);
        $this->getJson("/api/projects/{$this->project->id}/elevations/{$frontage['id']}")->assertOk()
            ->assertJsonPath('openings.0.id', $id)
            ->assertJsonPath('openings.0.headLevel', 2350.0)
            ->assertJsonPath('findings.0.rule', 'opening.near_corner')
            ->assertJsonPath('findings.0.remedy.label', 'Move 85 to the right')
            ->assertJsonPath("areas.{$this->wall()}.cutOut", 1200.0 * 1450.0)
            ->assertJsonPath("meets.{$this->wall()}", [])
            ->assertJsonPath("catches.{$this->wall()}.upright.1.name", 'middle of the wall');
    }

    public function test_the_first_frontage_can_be_asked_for_without_knowing_which_it_is(): void
    {
        $frontages = $this->getJson("/api/projects/{$this->project->id}")->assertOk()->json('frontages');
        $id = array_values(array_filter($frontages, static fn (array $f): bool => ! $f['inner']))[0]['id'];
        $named = $this->getJson("/api/projects/{$this->project->id}/elevations/$id")->assertOk();
        $first = $this->getJson("/api/projects/{$this->project->id}/elevations/first")->assertOk();
        self::assertSame($named->json(), $first->json());
        self::assertSame($named->headers->get('ETag'), $first->headers->get('ETag'));
        $empty = $this->postJson('/api/projects', [
            'name' => 'Bare ground', 'units' => 'mm', 'storeys' => [['name' => 'Ground', 'height' => '3000']],
        ])->assertSuccessful()->json('id');
        $this->getJson("/api/projects/$empty/elevations/first")->assertNoContent();
    }

    public function test_schedules_and_exports_say_the_same(): void
    {
        $this->place(1450);
        $this->place(4000, ['storey' => $this->storey(1)]);
        $this->getJson("/api/projects/{$this->project->id}/schedules/by-type")
            ->assertOk()
            ->assertJsonPath('rows.0.values.4', 2)
            ->assertJsonPath('totals.8', 3480000);
        $this->getJson("/api/projects/{$this->project->id}/schedules/walls")
            ->assertOk()
            ->assertJsonPath('rows.0.values.8', 12000 * 7800 - 3480000)
            // mitred: 12 000 outside and 11 400 inside, 300 thick
            ->assertJsonPath('columns.9.measured', 'volume')->assertJsonPath('rows.0.values.9', (11700 * 7800 - 3480000) * 300);
        $spots = $this->getJson("/api/projects/{$this->project->id}/plans/{$this->storey(1)}")->assertOk()->json('spots');
        self::assertCount(4 * 4 + 4, $spots, 'corners of four walls and the jambs of the one opening of the storey, on both faces');
        $csv = $this->get("/api/projects/{$this->project->id}/exports/schedules/by-type.csv")
            ->assertOk()
            ->assertHeader('Content-Type', 'text/csv; charset=utf-8');
        self::assertStringContainsString("W-03,side-hung pair,1200,1450,2,1,1,1.740,3.480,1.895\r\n", (string) $csv->getContent());
        self::assertStringStartsWith(
            'glTF',
            (string) $this->get("/api/projects/{$this->project->id}/exports/model.glb")->assertOk()->getContent(),
        );
        $this->assertProblem($this->getJson("/api/projects/{$this->project->id}/exports/elevation.svg?scale=0"), 422, 'export.scale');
        $out = tempnam(sys_get_temp_dir(), 'svg');
        self::assertSame(0, Artisan::call('isleward:export', ['project' => $this->project->id, '--format' => 'svg', '--out' => $out]));
        self::assertSame(
            $this->get("/api/projects/{$this->project->id}/exports/elevation.svg")->getContent(),
            file_get_contents((string) $out),
        );
        self::assertSame(1, Artisan::call('isleward:export', ['project' => 'No such', '--format' => 'svg', '--out' => $out]));
        self::assertSame(1, Artisan::call('isleward:export', ['project' => $this->project->id, '--format' => 'dwarf', '--out' => $out]));
    }

    public function test_a_project_is_started_listed_and_removed(): void
    {
        $made = $this->postJson(
            '/api/projects',
            [
                'name' => 'Boat shed',
                'units' => 'ft-in',
                'storeys' => [['name' => 'Slip', 'height' => "12'"]],
                'rectangle' => ['width' => "40'", 'depth' => "20' 6\"", 'thickness' => '8"'],
            ],
        )->assertCreated()->json('id');
        $this->getJson("/api/projects/$made")
            ->assertOk()
            ->assertJsonPath('walls.1.length', fn (float $mm): bool => abs($mm - 6248.4) < 1e-9)
            ->assertJsonPath('storeys.0.ceiling', 12 * 304.8)
            ->assertJsonCount(count(Stock::types()), 'types');
        self::assertSame(
            ['Boat shed', 'Test house'],
            collect($this->getJson('/api/projects')->json('projects'))->pluck('name')->sort()->values()->all(),
        );
        foreach ([
            [['name' => 'X', 'units' => 'mm', 'storeys' => []], 'storey.count'],
            [['name' => '', 'units' => 'mm', 'storeys' => [['name' => 'A', 'height' => 3000]]], 'field.name'],
            [['name' => 'X', 'units' => 'mm', 'storeys' => [['name' => 'A', 'height' => 'tall']]], 'length.unreadable'],
            [
                [
                    'name' => 'X',
                    'units' => 'mm',
                    'storeys' => [['name' => 'A', 'height' => 3000]],
                    'rectangle' => ['width' => -5, 'depth' => 4000],
                ],
                'size.too_small',
            ],
        ] as [$body, $code]) {
            $this->assertProblem($this->postJson('/api/projects', $body), 422, $code);
        }
        $this->assertCount(2, $this->getJson('/api/projects')->json('projects'));
        $this->deleteJson("/api/projects/$made")->assertNoContent();
        $this->assertProblem($this->getJson("/api/projects/$made"), 404, 'not_found');
    }

    public function test_signing_in_is_throttled_and_everything_else_needs_it(): void
    {
        $this->app->make('auth')->guard('web')->logout();
        foreach (['/api/projects', "/api/projects/{$this->project->id}", '/api/lengths?text=1&units=mm'] as $path) {
            $this->assertProblem($this->getJson($path), 401, 'session.missing');
        }
        $this->getJson('/api/session')->assertOk()->assertJsonPath('user', null);
        $user = User::factory()->create(['email' => 'runa@example.test', 'password' => 'harbour-light']);
        $this->assertProblem(
            $this->postJson('/api/session', ['email' => 'runa@example.test', 'password' => 'wrong']),
            422,
            'session.refused',
        );
        $this->postJson('/api/session', ['email' => 'runa@example.test', 'password' => 'harbour-light'])
            ->assertOk()
            ->assertJsonPath('user.name', $user->name);
        for ($i = 0; $i < 10; $i++) {
            $last = $this->postJson('/api/session', ['email' => 'runa@example.test', 'password' => 'wrong']);
        }
        $this->assertProblem($last, 429, 'request.too_many');
    }

    public function test_pages_carry_security_headers_and_unknown_addresses_are_problems(): void
    {
        $page = $this->get('/')->assertOk();
        self::assertMatchesRegularExpression(
            "/script-src 'self';.*object-src 'none'/",
            (string) $page->headers->get('Content-Security-Policy'),
        );
        self::assertSame('nosniff', $page->headers->get('X-Content-Type-Options'));
        self::assertStringNotContainsString('<script>', (string) $page->getContent());
        $this->assertProblem($this->getJson('/api/nothing/here'), 404, 'not_found');
        $this->getJson('/api/lengths?units=mm&text='.urlencode("5' 6 1/2\""))->assertOk()->assertJsonPath('mm', 1689.1);
    }
}
