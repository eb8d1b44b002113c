<?php

declare(strict_types=1);

namespace Tests\Feature;

/** Roofs by the API: laid, changed, told in drawings, schedules and findings, undone. */
final class RoofsTest extends ProjectCase
{
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
        self::assertSame([
            ['wall' => $east, 'gable' => true, 'pitch' => null, 'overhang' => null, 'hip' => null, 'open' => false],
        ], $gabled['edges']);
        $this->assertProblem($this->edit('roof.change', ['id' => $id, 'pitch' => 90]), 422, 'roof.pitch');
        $this->assertProblem($this->edit('roof.add', ['outline' => $project['outlines'][0]['id']]), 422, 'roof.there');
        $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
        self::assertSame([], $this->project()['roofs'][0]['edges']);
        $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
        self::assertSame([], $this->project()['roofs']);
    }

    /** A wing beside the house comes under its roof: both frontages are fetched anew, and what it lies over is told; undone as any edit. */
    public function test_a_roof_lies_over_several_outlines(): void
    {
        $project = $this->project();
        [$outline, $storey] = [$project['outlines'][0]['id'], $project['storeys'][0]['id']];
        $east = max(array_column($project['walls'], 'fromX'));
        $this->edit('outline.draw', [
            'points' => [[$east, 1000], [$east + 4000, 1000], [$east + 4000, 5000], [$east, 5000]], 'thickness' => 300,
            'closed' => true, 'base' => $storey,
            'top' => $project['storeys'][count($project['storeys']) - 1]['id'], 'name' => 'Wing',
        ])->assertOk();
        $after = $this->project();
        $joined = array_values(array_filter($after['outlines'], static fn (array $o): bool => $o['name'] === 'Wing'))[0]['id'];
        $roof = $this->edit('roof.add', ['outline' => $outline])->json('chosen.0');
        $alone = $this->project()['roofs'][0];
        $this->edit('roof.change', ['id' => $roof, 'also' => [$joined]])->assertOk();
        $told = $this->project()['roofs'][0];
        self::assertSame([[$joined], 8], [$told['also'], count($told['before'])]);
        self::assertGreaterThan(array_sum(array_column($alone['faces'], 'plan')), array_sum(array_column($told['faces'], 'plan')));
        $between = array_filter($after['walls'], static fn (array $w): bool => $w['outline'] === $joined && $w['position'] === 3);
        self::assertNotContains(array_values($between)[0]['id'], $told['round'], 'the wall between them has no eaves');
        $this->assertProblem($this->edit('roof.change', ['id' => $roof, 'also' => ['ou-none']]), 422, 'outline.unknown');
        $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
        self::assertSame([], $this->project()['roofs'][0]['also']);
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

    public function test_rooflights_stand_in_every_drawing_and_are_drawn_anew_with_their_type(): void
    {
        $project = $this->project();
        $url = "/api/projects/{$this->project->id}";
        $south = 'fr-'.substr($this->wall(0), 3);
        $types = array_column($project['types'], 'id', 'mark');
        $id = $this->edit('roof.add', ['outline' => $project['outlines'][0]['id'], 'pitch' => 30, 'overhang' => 0])
            ->assertOk()->json('chosen.0');
        $light = ['id' => $id, 'type' => $types['W-01'], 'wall' => $this->wall(0), 'width' => '0.8 m', 'height' => 1200];
        $before = $this->get("$url/elevations/$south")->headers->get('ETag');
        $this->edit('roof.light', $light + ['from' => 'middle', 'rise' => 1000, 'count' => 2])->assertOk()
            ->assertJsonPath('chosen', [$id]);
        $elevation = $this->get("$url/elevations/$south")->assertOk();
        self::assertNotSame($before, $elevation->headers->get('ETag'));
        $seen = array_column($elevation->json('bands'), null, 'element')[$id]['lights'];
        self::assertSame([1, 1], array_column($seen, 'n'));
        self::assertNotSame([], $seen[0]['shapes']);
        [$stood] = $this->project()['roofs'][0]['lights'];
        self::assertSame(800, $stood['width']);
        self::assertCount(2, $stood['rings']);
        $this->assertProblem($this->edit('roof.light', ['id' => $id, 'n' => 1, 'rise' => 9000]), 422, 'rooflight.past_edge');
        $this->assertProblem($this->edit('type.remove', ['id' => $types['W-01']]), 422, 'type.in_cells');
        $rows = $this->getJson("$url/schedules/rooflights")->assertOk()->json('rows');
        self::assertCount(1, array_filter($rows, static fn (array $r): bool => $r['kind'] === 'row'));

        // what is made of its type is drawn anew with it, as the roof over these walls is
        $tag = fn (): ?string => $this->get("$url/elevations/$south")->headers->get('ETag');
        $old = $tag();
        $this->edit('type.change', ['id' => $types['W-02'], 'name' => 'another'])->assertOk();
        self::assertSame($old, $tag());
        $this->edit('type.change', ['id' => $types['W-01'], 'name' => 'another still'])->assertOk();
        self::assertNotSame($old, $tag());
        $this->edit('roof.light-remove', ['id' => $id, 'ns' => [1]])->assertOk();
        self::assertSame([], $this->project()['roofs'][0]['lights']);
        $this->postJson("$url/undo")->assertOk();
        self::assertCount(1, $this->project()['roofs'][0]['lights']);
    }

    public function test_walls_run_up_to_a_roof_and_follow_it(): void
    {
        $url = "/api/projects/{$this->project->id}";
        [$south, $east] = [$this->wall(0), $this->wall(1)];
        $id = $this->edit('roof.add', ['outline' => $this->project()['outlines'][0]['id'], 'pitch' => 45, 'overhang' => 0])
            ->assertOk()->json('chosen.0');
        $this->edit('roof.change', ['id' => $id, 'edge' => ['wall' => $east, 'gable' => true]])->assertOk();
        $wall = fn (string $of): array => array_column($this->project()['walls'], null, 'id')[$of];
        self::assertNull($wall($east)['ring']);
        // the gable is 8 000 wide: at 45° it rises by 4 000 over 7 800
        $done = $this->edit('wall.edge', ['walls' => [$east, $south], 'head' => ['roof' => $id]])->assertOk();
        self::assertSame('Ran 2 walls up to Roof 1', $done->json('summary'));
        self::assertEqualsWithDelta(11800.0, $wall($east)['head'], 1e-3);
        self::assertSame([0.0, 0.0, 8000.0, 0.0, 8000.0, 7800.0, 4000.0, 11800.0, 0.0, 7800.0], array_map(
            static fn (int|float $c): float => round($c, 2), $wall($east)['ring'],
        ));
        self::assertSame(['roof' => $id], $wall($east)['headEdge']);
        $frontage = 'fr-'.substr($east, 3);
        $elevation = $this->getJson("$url/elevations/$frontage")->assertOk();
        self::assertEqualsWithDelta(8000 * 7800 + 8000 * 4000 / 2, $elevation->json("areas.$east.gross"), 1.0);
        self::assertSame([], $elevation->json('findings'));
        $tag = $elevation->headers->get('ETag');
        $this->edit('roof.change', ['id' => $id, 'pitch' => 30])->assertOk();
        $after = $this->getJson("$url/elevations/$frontage", ['If-None-Match' => (string) $tag])->assertOk();
        self::assertEqualsWithDelta(8000 * 7800 + 4000 ** 2 * tan(deg2rad(30)), $after->json("areas.$east.gross"), 1.0);
        // a try tells and does nothing; what cannot be is refused; undo brings each back
        $this->assertProblem($this->edit('wall.edge', ['walls' => [$south], 'foot' => ['roof' => $id]]), 422, 'wall.no_height');
        $this->assertProblem($this->edit('wall.edge', ['walls' => [$south], 'head' => ['points' => []]]), 422, 'wall.points');
        $this->assertProblem($this->edit('wall.edge', ['walls' => [$south]]), 422, 'wall.edge');
        $this->edit('roof.remove', ['ids' => [$id]])->assertOk();
        self::assertNull($wall($east)['headEdge']);
        foreach ([0, 1] as $step) {
            $this->postJson("$url/undo")->assertOk();
            self::assertSame(['roof' => $id], $wall($east)['headEdge']);
        }
        self::assertEqualsWithDelta(11800.0, $wall($east)['head'], 1e-3);
    }

    /** A raised strip stands on the roof of another outline: it is told of that roof's change, so that the desk fetches it again. */
    public function test_who_stands_on_a_roof_is_told_when_it_changes(): void
    {
        $url = "/api/projects/{$this->project->id}";
        $roof = $this->edit('roof.add', ['outline' => $this->project()['outlines'][0]['id'], 'pitch' => 30, 'overhang' => 0])
            ->assertOk()->json('chosen.0');
        $this->edit('storey.insert', ['name' => 'Over it', 'height' => 4000, 'above' => $this->storey(1)])->assertOk();
        $storey = $this->project()['storeys'][2]['id'];
        $before = array_column($this->project()['walls'], 'id');
        $this->edit('outline.draw', [
            'rectangle' => ['x' => 3000, 'y' => 3000, 'width' => 5000, 'depth' => 2000], 'thickness' => 200,
            'base' => $storey, 'top' => $storey,
        ])->assertOk();
        $strip = array_values(array_diff(array_column($this->project()['walls'], 'id'), $before));
        $this->edit('wall.edge', ['walls' => $strip, 'foot' => ['roof' => $roof]])->assertOk();
        $foot = fn (): float => array_column($this->project()['walls'], 'foot', 'id')[$strip[0]];
        $stood = $foot();
        $tag = $this->getJson("$url/elevations/fr-".substr($strip[0], 3))->headers->get('ETag');
        $done = $this->edit('roof.change', ['id' => $roof, 'pitch' => 20])->assertOk();
        self::assertSame([], array_diff($strip, $done->json('touched.walls')));
        self::assertLessThan($stood, $foot());
        $this->getJson("$url/elevations/fr-".substr($strip[0], 3), ['If-None-Match' => (string) $tag])->assertOk();
        // taking the roof off leaves the strip level on its floor: all is to be fetched again; undo puts both back
        self::assertTrue($this->edit('roof.remove', ['ids' => [$roof]])->assertOk()->json('touched.structure'));
        $this->postJson("$url/undo")->assertOk();
        self::assertLessThan($stood, $foot());
    }

    public function test_a_parapet_steps_by_figures(): void
    {
        $south = $this->wall(0);
        $this->edit('wall.edge', ['walls' => [$south], 'head' => ['points' => [
            ['along' => 0, 'over' => '0.45 m'], ['along' => 3000, 'over' => 450], ['along' => 3000, 'over' => 0],
        ]]])->assertOk();
        $wall = array_column($this->project()['walls'], null, 'id')[$south];
        self::assertEqualsWithDelta(8250.0, $wall['head'], 1e-6);
        self::assertCount(3, $wall['headEdge']['points']);
        $rows = $this->getJson("/api/projects/{$this->project->id}/schedules/walls")->assertOk()->json('rows');
        $row = array_values(array_filter($rows, static fn (array $r): bool => in_array($south, $r['elements'], true)))[0];
        // 12 000 × 7 800, and 3 000 × 450 on top
        self::assertContains(93600000.0 + 1350000.0, array_map(
            static fn (mixed $v): mixed => is_numeric($v) ? round((float) $v, 1) : $v, $row['values'],
        ));
        $this->edit('wall.edge', ['walls' => [$south], 'head' => null])->assertOk();
        self::assertNull(array_column($this->project()['walls'], null, 'id')[$south]['ring']);
    }
}
