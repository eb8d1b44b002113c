<?php

declare(strict_types=1);

namespace Tests\Feature;

/** Storey slabs within the walls of an outline, and openings in them. */
final class SlabsTest extends ProjectCase
{
    public function test_slabs_stand_at_all_storeys_and_get_openings(): void
    {
        $url = "/api/projects/{$this->project->id}";
        $id = $this->edit('floor-band.add', [
            'outline' => $this->project()['outlines'][0]['id'], 'storey' => $this->storey(0), 'top' => $this->storey(1),
            'depth' => null, 'inner' => true, 'height' => '0.25 m',
        ])->assertOk()->json('chosen.0');
        $slab = fn (): array => array_column($this->project()['floorBands'], null, 'id')[$id];
        self::assertCount(2, $slab()['rows']);
        self::assertSame([], $slab()['holes']);
        $whole = $slab()['volume'];
        $this->edit('floor-band.change', ['id' => $id, 'hole' => [
            'points' => [[2000, 2000], [3000, 2000], [3000, 4000], [2000, 4000]],
        ]])->assertOk();
        self::assertEqualsWithDelta([['area' => 2e6, 'width' => 1000, 'depth' => 2000]], $slab()['holes'], 1e-6);
        // through both storeys
        self::assertEqualsWithDelta($whole - 2 * 2e6 * 250, $slab()['volume'], 1.0);
        $rows = array_filter(
            $this->getJson("$url/schedules/floor-bands")->assertOk()->json('rows'), static fn (array $r): bool => $r['kind'] === 'row',
        );
        self::assertNotSame([], $rows);
        $plan = $this->getJson("$url/plans/".$this->storey(1))->assertOk()->json("openings.$id");
        self::assertCount(6, $plan, 'its four sides, and what crosses it');
        // its walls stand before it: nothing of it is drawn on them
        $elevation = $this->getJson("$url/elevations/fr-".substr($this->wall(0), 3))->assertOk();
        self::assertNotContains($id, array_column($elevation->json('bands'), 'element'));
        $this->assertProblem($this->edit('floor-band.change', ['id' => $id, 'hole' => [
            'rectangle' => ['x' => -500, 'y' => 1000, 'width' => 2000, 'depth' => 1000],
        ]]), 422, 'floor-band.hole_past');
        $this->assertProblem($this->edit('floor-band.change', ['id' => $id, 'withoutHole' => 4]), 422, 'floor-band.hole_unknown');
        $this->postJson("$url/undo")->assertOk();
        self::assertSame([], $slab()['holes']);
        self::assertEqualsWithDelta($whole, $slab()['volume'], 1e-3);
    }
}
