<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Role;

/**
 * Bands of fins through the API: where they stand, what is fetched again, what is tried, schedules, solid, sections, revisions, two
 * people.
 */
final class BandsTest extends ProjectCase
{
    private function url(string $at = ''): string
    {
        return "/api/projects/{$this->project->id}".($at === '' ? '' : "/$at");
    }

    /** @param  array<string, mixed>  $args */
    private function stood(array $args = []): string
    {
        return $this->edit('band.add', $args + [
            'walls' => [$this->wall(0)], 'storey' => $this->storey(0), 'gap' => '0.1 m', 'spaced' => ['size' => 500],
            'laws' => ['reach' => ['kind' => 'ramp', 'from' => 100, 'to' => '0.5 m']],
        ])->assertOk()->json('chosen.0');
    }

    /** @return array<string, mixed> */
    private function frontage(int $wall = 0): array
    {
        $id = $this->wall($wall);

        return array_values(array_filter(
            $this->getJson($this->url())->json('frontages'),
            static fn (array $f): bool => isset($f['walls'][$id]),
        ))[0];
    }

    public function test_a_band_is_told_with_its_figures_and_stands_before_its_frontage(): void
    {
        $id = $this->stood();
        $band = $this->getJson($this->url())->assertOk()->json('bands.0');
        $length = $this->frontage()['width'];
        $count = (int) floor($length / 500) + 1;
        self::assertSame([$id, 'Band 1', $count, null], [$band['id'], $band['name'], $band['count'], $band['why']]);
        self::assertEqualsWithDelta($length, $band['run'], 1e-6);
        self::assertSame([$this->wall(0)], $band['before']);
        $placed = $this->getJson($this->url('elevations/'.$this->frontage()['id']))->assertOk()->json('bands');
        self::assertCount(1, $placed);
        self::assertCount(5 * $count, $placed[0]['boxes']);
        self::assertEquals([1, 485, 0], array_slice($placed[0]['boxes'], 5, 3), 'the second, 30 thick about 500');
        $curve = array_values(array_filter($placed[0]['curves'], static fn (array $c): bool => $c['of'] === 'reach'))[0];
        self::assertSame(['from', 'to'], array_column($curve['handles'], 'name'));
        self::assertEqualsWithDelta([0, $length], array_column($curve['handles'], 'u'), 0.01);
        self::assertEquals([100, 500], array_column($curve['handles'], 'value'));
        // the drawing of the elevation comes without them, that of a sheet with them
        $shapes = $this->getJson($this->url('elevations/'.$this->frontage()['id']))->json('drawing.shapes');
        self::assertNotContains('fin', array_column($shapes, 'layer'));
        self::assertSame($count, substr_count((string) $this->get($this->url('exports/elevation.svg'))->assertOk()->getContent(),
            'class="fin"'));
    }

    public function test_a_change_makes_only_what_it_stands_before_be_fetched_again(): void
    {
        $id = $this->stood();
        $tags = static fn (self $t): array => array_map(
            static fn (array $f): string => (string) $t->getJson($t->url("elevations/{$f['id']}"))->headers->get('ETag'),
            $t->getJson($t->url())->json('frontages'),
        );
        $before = $tags($this);
        $outcome = $this->edit('band.change', ['ids' => [$id], 'laws' => ['thickness' => 44]])->assertOk()->json();
        self::assertFalse($outcome['touched']['structure']);
        self::assertSame([$this->wall(0)], $outcome['touched']['walls']);
        $after = $tags($this);
        self::assertSame(1, count(array_filter($before, static fn (string $tag, int $i): bool => $tag !== $after[$i],
            ARRAY_FILTER_USE_BOTH)));
        // moved to another wall, both are told
        $outcome = $this->edit('band.change', ['ids' => [$id], 'walls' => [$this->wall(1)]])->assertOk()->json();
        self::assertEqualsCanonicalizing([$this->wall(0), $this->wall(1)], $outcome['touched']['walls']);
    }

    public function test_a_drag_is_tried_and_answers_with_the_band_as_it_would_be(): void
    {
        $id = $this->stood();
        $args = ['id' => $id, 'of' => 'reach', 'handle' => 'to', 'at' => 1, 'value' => 900];
        $tried = $this->edit('band.draw', $args, query: '?try=1')->assertOk()->json('bands');
        self::assertSame([$id, $this->wall(0)], [$tried[0]['element'], $tried[0]['host']]);
        $curve = array_values(array_filter($tried[0]['curves'], static fn (array $c): bool => $c['of'] === 'reach'))[0];
        self::assertEqualsWithDelta(900.0, end($curve['points']), 1e-6);
        self::assertEqualsWithDelta(500.0, $this->getJson($this->url())->json('bands.0.spread.reach.1'), 1e-6, 'nothing is written');
        // what cannot be is refused with its figure, and nothing is lost
        $refused = $this->edit('band.draw', ['value' => 0] + $args)->assertStatus(422)->json();
        self::assertSame('band.reach', $refused['code']);
        self::assertStringContainsString('may be 1 to 50', $refused['title']);
        $this->edit('band.draw', $args)->assertOk();
        $this->postJson($this->url('undo'))->assertOk();
        self::assertEqualsWithDelta(500.0, $this->getJson($this->url())->json('bands.0.spread.reach.1'), 1e-6);
    }

    public function test_fins_are_scheduled_cut_and_in_the_solid_as_instances(): void
    {
        $id = $this->stood(['laws' => ['length' => 1500], 'spaced' => ['by' => 'count', 'count' => 21]]);
        $this->edit('band.pin', ['id' => $id, 'pieces' => [3], 'length' => 900])->assertOk();
        $report = $this->getJson($this->url('schedules/fins'))->assertOk()->json();
        $count = array_search('count', array_column($report['columns'], 'key'), true);
        $rows = array_values(array_filter($report['rows'], static fn (array $r): bool => $r['kind'] === 'row'));
        self::assertSame([20, 1], array_map(static fn (array $r): int => (int) $r['values'][$count], $rows));
        $this->getJson($this->url('schedules/fin-cutting'))->assertOk();
        $csv = (string) $this->get($this->url('exports/schedules/fin-classes.csv'))->assertOk()->getContent();
        self::assertStringContainsString('1500 to 1750', str_replace(["\u{202f}", ' to'], ['', ' to'], $csv));
        $glb = (string) $this->get($this->url('scenes/'.$this->frontage()['id']))->assertOk()->getContent();
        $json = json_decode(substr($glb, 20, unpack('V', $glb, 12)[1]), true, 64, JSON_THROW_ON_ERROR);
        $fins = array_values(array_filter($json['nodes'], static fn (array $n): bool => str_starts_with($n['name'], 'fin ')));
        self::assertCount(1, $fins, 'one geometry for all of a section');
        self::assertSame([[$id], [21]], [$fins[0]['extras']['elements'], $fins[0]['extras']['counts']]);
        $attributes = $fins[0]['extensions']['EXT_mesh_gpu_instancing']['attributes'];
        self::assertEqualsCanonicalizing(['TRANSLATION', 'ROTATION', 'SCALE'], array_keys($attributes));
    }

    public function test_revisions_say_what_became_of_a_band_and_a_viewer_changes_nothing(): void
    {
        $id = $this->stood();
        $this->postJson($this->url('revisions'), ['note' => 'with fins'])->assertSuccessful();
        $this->edit('band.change', ['ids' => [$id], 'laws' => ['reach' => ['kind' => 'seeded', 'from' => 100, 'to' => 300]],
            'gap' => 250])->assertOk();
        $said = str_replace("\u{202f}", ' ', implode(' ', array_column(
            $this->getJson($this->url('revisions/A/difference'))->assertOk()->json('rows'),
            'sentence',
        )));
        self::assertStringContainsString('stands 250 before its line instead of 100', $said);
        self::assertStringContainsString('its reach is varied by a seed instead of a ramp', $said);
        $this->actingAs($this->member(Role::Viewer));
        $this->edit('band.remove', ['ids' => [$id]])->assertForbidden();
    }

    public function test_a_floor_band_stands_at_its_storeys_before_every_wall_and_in_schedule_and_solid(): void
    {
        $outline = $this->getJson($this->url())->json('outlines.0.id');
        $id = $this->edit('floor-band.add', [
            'outline' => $outline, 'storey' => $this->storey(0), 'top' => $this->storey(1), 'height' => '0.2 m', 'depth' => 500,
            'out' => ['kind' => 'ramp', 'from' => 100, 'to' => 300], 'edge' => 'chamfered', 'edgeSize' => 40,
        ])->assertOk()->json('chosen.0');
        $band = $this->getJson($this->url())->assertOk()->json('floorBands.0');
        self::assertSame([$id, null, 4], [$band['id'], $band['why'], count($band['before'])]);
        self::assertEquals([[0, 100], [4200, 300]], array_map(static fn (array $r): array => [$r['top'], $r['out']], $band['rows']));
        $placed = $this->getJson($this->url('elevations/'.$this->frontage(1)['id']))->assertOk()->json('bands.0');
        self::assertSame(['floor', $id], [$placed['what'], $placed['element']]);
        // the east wall is 8 000 long: at the second floor the edge reaches 300 beyond it at both ends
        self::assertEquals([1, -300, 4000, 8300, 4200], array_slice($placed['boxes'], 5));
        $svg = (string) $this->get($this->url('exports/elevation.svg'))->assertOk()->getContent();
        self::assertSame(4 * 2 * 3, substr_count($svg, 'class="floor"'), 'on four sides two bands, each with two arrises');
        $report = $this->getJson($this->url('schedules/floor-bands'))->assertOk()->json();
        self::assertCount(2, array_filter($report['rows'], static fn (array $r): bool => $r['kind'] === 'row'));
        $tried = $this->edit('floor-band.change', ['id' => $id, 'out' => 250], query: '?try=1')->assertOk()->json('bands');
        self::assertCount(4, $tried);
        // an edge cannot be more than half the height
        $refused = $this->edit('floor-band.change', ['id' => $id, 'edgeSize' => 120])->assertStatus(422)->json();
        self::assertSame(['floor-band.edge', 'edgeSize'], [$refused['code'], $refused['details']['field']]);
        $section = $this->getJson($this->url('sections?points=6000,-2000,6000,10000'))->assertOk()->json('drawing.shapes');
        $cut = array_filter($section, static fn (array $s): bool => $s['layer'] === 'wall-cut' && min(array_column(
            array_chunk($s['rings'][0], 2), 1,
        )) > 3990 && max(array_column(array_chunk($s['rings'][0], 2), 1)) < 4210);
        self::assertCount(2, $cut, 'its section on both sides of the house at the second floor');
        $this->edit('floor-band.remove', ['ids' => [$id]])->assertOk();
        $this->postJson($this->url('undo'))->assertOk();
        self::assertCount(2, $this->getJson($this->url())->json('floorBands.0.rows'));
    }

    public function test_a_field_fills_an_opening_follows_it_and_is_told_when_that_is_gone(): void
    {
        $opening = $this->place(1000); // W-03
        $id = $this->edit('field.fill', [
            'opening' => $opening, 'angle' => 90, 'wide' => '30 mm', 'deep' => 50, 'battens' => ['by' => 'count', 'count' => 9],
        ])->assertOk()->json('chosen.0');
        $on = fn (): array => $this->getJson($this->url('elevations/'.$this->frontage()['id']))->assertOk()->json('bands');
        [$placed] = $on();
        self::assertSame(['field', $id, 9], [$placed['what'], $placed['element'], $placed['said']['count']]);
        $left = $placed['boxes'][1];
        self::assertEqualsWithDelta(1000.0, $left, 1e-6);
        $tag = $this->getJson($this->url('elevations/'.$this->frontage()['id']))->headers->get('ETag');
        $this->edit('opening.change', ['id' => $opening, 'by' => ['u' => 250]])->assertOk();
        self::assertEqualsWithDelta(1250.0, $on()[0]['boxes'][1], 1e-6);
        self::assertNotSame($tag, $this->getJson($this->url('elevations/'.$this->frontage()['id']))->headers->get('ETag'));
        $this->assertProblem($this->edit('field.change', ['id' => $id, 'battens' => ['by' => 'pitch', 'size' => 20]]), 422, 'field.pitch');
        $this->edit('field.change', ['id' => $id, 'battens' => ['by' => 'fit', 'size' => 35, 'ends' => true]])->assertOk();
        $report = $this->getJson($this->url('schedules/battens'))->assertOk()->json();
        self::assertNotSame([], $report['rows']);
        $plan = $this->getJson($this->url('plans/'.$this->storey()))->assertOk()->json('openings');
        self::assertArrayHasKey($id, $plan);
        // gone with its opening, it is a finding, with what puts that right
        $this->edit('opening.remove', ['ids' => [$opening]])->assertOk();
        $finding = array_values(array_filter(
            $this->getJson($this->url('elevations/'.$this->frontage()['id']))->json('findings'),
            static fn (array $f): bool => $f['rule'] === 'field.cannot',
        ))[0];
        self::assertSame('field.remove', $finding['remedy']['edit']);
        $this->edit($finding['remedy']['edit'], $finding['remedy']['args'])->assertOk();
        self::assertSame([], $this->getJson($this->url())->json('fields'));
    }
}
