<?php

declare(strict_types=1);

namespace Tests\Feature;

/** Roofs by the API: laid, changed, told in drawings, schedules and findings, undone. */
final class RoofsTest extends ProjectCase
{
    /** @return array<string, mixed> */
    private function project(): array
    {
        return $this->getJson("/api/projects/{$this->project->id}")->assertOk()->json();
    }

    public function test_a_roof_is_laid_changed_and_undone(): void
    {
        $project = $this->project();
        $id = $this->edit('roof.add', ['outline' => $project['outlines'][0]['id'], 'pitch' => '9 : 12', 'overhang' => '0.5 m'])
            ->assertOk()->json('chosen.0');
        $roof = $this->project()['roofs'][0];
        self::assertSame($id, $roof['id']);
        self::assertEqualsWithDelta(36.8699, $roof['pitch'], 1e-4);
        self::assertSame(500, $roof['overhang']);
        self::assertCount(4, $roof['faces']);
        // 13 000 × 9 000 over its eaves, at 3 : 4
        self::assertEqualsWithDelta(13000 * 9000 * 1.25, array_sum(array_column($roof['faces'], 'area')), 1.0);
        self::assertEqualsWithDelta(4 * sqrt(4500 ** 2 * 2 + 3375 ** 2), $roof['lengths']['hip'], 0.01);
        // springing at 7 800, the eaves 375 under it
        self::assertEqualsWithDelta(7425.0, $roof['springs'], 1e-6);
        $east = $this->wall(1);
        $this->edit('roof.change', ['id' => $id, 'edge' => ['wall' => $east, 'gable' => true]])->assertOk();
        $gabled = $this->project()['roofs'][0];
        self::assertCount(3, $gabled['faces']);
        self::assertSame([['wall' => $east, 'gable' => true, 'pitch' => null, 'overhang' => null]], $gabled['edges']);
        $this->assertProblem($this->edit('roof.change', ['id' => $id, 'pitch' => 90]), 422, 'roof.pitch');
        $this->assertProblem($this->edit('roof.add', ['outline' => $project['outlines'][0]['id']]), 422, 'roof.there');
        $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
        self::assertSame([], $this->project()['roofs'][0]['edges']);
        $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
        self::assertSame([], $this->project()['roofs']);
    }

    public function test_drawings_schedules_and_findings_tell_of_it(): void
    {
        $frontage = 'fr-'.substr($this->wall(1), 3);
        $url = "/api/projects/{$this->project->id}";
        $before = $this->get("$url/elevations/$frontage")->headers->get('ETag');
        $id = $this->edit('roof.add', ['outline' => $this->project()['outlines'][0]['id'], 'pitch' => 45])->assertOk()->json('chosen.0');
        $elevation = $this->get("$url/elevations/$frontage")->assertOk();
        self::assertNotSame($before, $elevation->headers->get('ETag'));
        $bands = $elevation->json('bands');
        self::assertSame([$id], array_column($bands, 'element'));
        self::assertSame('roof', $bands[0]['what']);
        self::assertNotSame([], $this->get("$url/plans/".$this->storey(1))->assertOk()->json("openings.$id"));
        foreach (['roofs' => 4, 'roof-lines' => 3] as $of => $count) {
            $rows = $this->getJson("$url/schedules/$of")->assertOk()->json('rows');
            self::assertCount($count, array_filter($rows, static fn (array $r): bool => $r['kind'] === 'row'), $of);
        }
        self::assertSame([], $elevation->json('findings'));
        $this->edit('roof.change', ['id' => $id, 'edge' => ['wall' => $this->wall(1), 'gable' => true]])->assertOk();
        self::assertSame(['roof.short'], array_column($this->get("$url/elevations/$frontage")->json('findings'), 'rule'));
        $glb = $this->get("$url/scenes/fr-".substr($this->wall(0), 3))->assertOk()->getContent();
        self::assertStringContainsString('roof', (string) $glb);
    }
}
