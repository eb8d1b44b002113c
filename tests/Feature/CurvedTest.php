<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Role;

/** Curved walls over the API: what is told of them, and that nobody's undo leaves an opening that does not go through its wall. */
final class CurvedTest extends ProjectCase
{
    public function test_a_bent_wall_tells_its_arc_and_its_frontage_from_where_to_where_it_faces(): void
    {
        $this->edit('wall.bend', ['wall' => $this->wall(), 'radius' => '10 m'])->assertOk()->assertJsonPath('touched.structure', true);
        $wall = $this->getJson("/api/projects/{$this->project->id}")->assertOk()->json('walls.0');
        self::assertEqualsWithDelta([10000.0, 12000.0], [$wall['arc']['radius'], $wall['arc']['chord']], 1e-6);
        // by hand: r·θ at the middle of 300; between mitres the inner face is what its corners leave of it
        self::assertEqualsWithDelta((10000 - 150) * 2 * asin(0.6), $wall['arc']['centreLine'], 1e-6);
        self::assertEqualsWithDelta(9700 * 2 * asin(5700 / 9700), $wall['arc']['innerFace'], 1e-6);
        $this->edit('wall.bend', ['wall' => $this->wall(), 'keeps' => 'radius'])->assertOk();
        self::assertSame('radius', $this->getJson("/api/projects/{$this->project->id}")->json('walls.0.keeps'));
        $frontage = $this->getJson("/api/projects/{$this->project->id}")->json('frontages.0');
        $half = rad2deg(asin(0.6));
        self::assertEqualsWithDelta([180 + $half, 180 - $half], $frontage['bearings'], 0.01);
        self::assertEqualsWithDelta(2 * 10000 * asin(0.6), $frontage['width'], 1e-6);

        // an opening of 1200 takes a little more of the face, and its wall bows over it
        $this->place(2000);
        $opening = $this->getJson("/api/projects/{$this->project->id}/elevations/{$frontage['id']}")->assertOk()->json('openings.0');
        self::assertEqualsWithDelta(2 * 10000 * asin(0.06), $opening['span'], 1e-6);
        self::assertEqualsWithDelta(10000 * (1 - cos(asin(0.06))), $opening['bow'], 1e-6);
        self::assertNull($opening['jambs']);
    }

    public function test_a_try_of_an_arc_tells_how_the_walls_would_stand_and_what_cannot_be_is_refused_with_its_field(): void
    {
        $this->edit('wall.bend', ['wall' => $this->wall(), 'rise' => 900], query: '?try=1')
            ->assertOk()
            ->assertJsonPath('walls.0.rise', 900);
        $this->assertProblem($this->edit('wall.bend', ['wall' => $this->wall(), 'radius' => 5000]), 422, 'arc.radius');
        $this->assertProblem($this->edit('wall.bend', ['wall' => $this->wall(), 'angle' => 360]), 422, 'arc.angle');
        self::assertSame(0, $this->number());
    }

    public function test_an_undo_that_would_leave_an_opening_too_wide_for_its_arc_is_refused(): void
    {
        // an arc whose inner face is narrow, made thinner by one person; another puts in what only goes through the thin one
        $this->edit('wall.bend', ['wall' => $this->wall(), 'radius' => 6000])->assertOk();
        $this->edit('wall.change', ['walls' => [$this->wall()], 'thickness' => 3600])->assertOk();
        $this->edit('wall.change', ['walls' => [$this->wall()], 'thickness' => 300])->assertOk();
        $this->actingAs($this->member(Role::Editor));
        $this->edit('opening.place', [
            'host' => $this->wall(), 'storey' => $this->storey(), 'width' => 6000, 'height' => 2000,
            'position' => ['from' => 'middle', 'value' => 0, 'to' => 'centre'],
        ])->assertOk();
        $this->actingAs($this->owner);
        $this->assertProblem($this->postJson("/api/projects/{$this->project->id}/undo"), 422, 'opening.wider_than_arc');
        $frontage = $this->getJson("/api/projects/{$this->project->id}")->json('frontages.0.id');
        $this->getJson("/api/projects/{$this->project->id}/elevations/$frontage")->assertOk()->assertJsonCount(1, 'openings');
    }
}
