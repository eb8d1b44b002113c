<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Role;
use Illuminate\Support\Facades\Artisan;
use Isleward\Core\Tests\Support\GridSample;

final class CurtainWallsTest extends ProjectCase
{
    /** @param  array<string, mixed>  $rules */
    private function grid(array $rules = []): string
    {
        return $this->edit('grid.add', ['name' => 'test'] + GridSample::values($rules))->assertOk()->json('chosen.0');
    }

    /** @return list<string> */
    private function drawn(string $grid): array
    {
        return $this->edit('outline.draw', [
            'name' => 'Lobby', 'points' => [[60000, 0], [66000, 0], [66000, 5000]], 'closed' => false, 'grid' => $grid,
            'base' => $this->storey(0), 'top' => $this->storey(0),
        ])->assertOk()->json('chosen');
    }

    private function url(string $at = ''): string
    {
        return "/api/projects/{$this->project->id}".($at === '' ? '' : "/$at");
    }

    public function test_a_run_has_frontages_with_cells_and_what_was_changed_by_hand(): void
    {
        $grid = $this->grid(['bays' => ['by' => 'count', 'count' => 4]]);
        [$first] = $this->drawn($grid);
        $view = $this->getJson($this->url())->assertOk()->json();
        self::assertSame([1, 0], [$view['grids'][0]['runs'], $view['grids'][0]['openings']]);
        self::assertNotNull($view['grids'][0]['sample']);
        self::assertCount(2, $view['runs'][0]['walls']);
        $frontage = array_values(array_filter($view['frontages'], static fn (array $f): bool => isset($f['walls'][$first])))[0];
        $cell = ['left' => '1', 'foot' => '1', 'infill' => ['kind' => 'spandrel']];
        $this->edit('curtain.hand', ['ids' => [$first], 'infills' => [$cell]])->assertOk();
        $this->edit('curtain.hand', ['ids' => [$first], 'lines' => [
            ['axis' => 'upright', 'done' => 'moved', 'line' => '3', 'from' => 'end', 'at' => '1.2 m'],
        ]])->assertOk();
        $elevation = $this->getJson($this->url("elevations/{$frontage['id']}"))->assertOk()->json();
        $shown = $elevation['grids'][0];
        self::assertSame(8, count($shown['cells']));
        self::assertEqualsWithDelta([0, 1500, 3000, 4800, 6000], array_column($shown['bays'], 'at'), 0.01);
        $says = static fn (array $c): string => $shown['infills'][$c['infill']]['says'];
        self::assertSame(['spandrel 6-16-6'], array_map($says, array_values(array_filter(
            $shown['cells'],
            static fn (array $c): bool => $c['left'] === '1' && $c['foot'] === '1',
        ))));
        self::assertSame(
            ['Upright line 3 moved to 1 200 from the right end', 'Cell right of line 1, over line 1: spandrel 6-16-6'],
            array_map(static fn (array $b): string => str_replace("\u{202f}", ' ', $b['says']), $shown['byHand']),
        );
        self::assertEqualsWithDelta($shown['area'], array_sum(array_map(
            static fn (array $c): float => ($c['box'][2] - $c['box'][0]) * ($c['box'][3] - $c['box'][1]),
            $shown['cells'],
        )), 100.0);
    }

    public function test_changing_a_grid_type_makes_only_what_is_made_of_it_be_fetched_again(): void
    {
        $one = $this->grid();
        [$stretch] = $this->drawn($this->grid());
        $opening = $this->edit('opening.place', [
            'host' => $this->wall(1), 'storey' => $this->storey(0), 'type' => null, 'grid' => $one, 'width' => 1800, 'height' => 2400,
            'position' => ['from' => 'left', 'value' => 900, 'to' => 'near'], 'sill' => ['from' => 'floor', 'height' => 0],
        ])->assertOk()->json('chosen.0');
        $frontages = $this->getJson($this->url())->json('frontages');
        $of = static fn (string $wall): string => array_values(array_filter(
            $frontages,
            static fn (array $f): bool => isset($f['walls'][$wall]),
        ))[0]['id'];
        $tags = fn (): array => array_map(
            fn (string $wall): string => (string) $this->getJson($this->url('elevations/'.$of($wall)))->assertOk()->headers->get('ETag'),
            ['run' => $stretch, 'let in' => $this->wall(1), 'plain' => $this->wall(2)],
        );
        $before = $tags();
        $this->edit('grid.change', ['id' => $one] + GridSample::values(['bays' => ['by' => 'count', 'count' => 3]]))->assertOk();
        self::assertSame(['let in'], array_keys(array_diff_assoc($tags(), $before)));
        self::assertNotSame('', $opening);
    }

    public function test_bays_in_line_with_openings_follow_them_in_every_view(): void
    {
        [$stretch] = $this->drawn($this->grid());
        $place = fn (float $left): string => $this->edit('opening.place', [
            'host' => $this->wall(0), 'storey' => $this->storey(0), 'type' => null, 'width' => 1000, 'height' => 1000,
            'position' => ['from' => 'left', 'value' => $left, 'to' => 'near'], 'sill' => ['from' => 'floor', 'height' => 900],
        ])->assertOk()->json('chosen.0');
        $moved = $place(2000);
        $this->edit('curtain.set', ['walls' => [$stretch], 'rows' => ['walls' => [$this->wall(0)], 'to' => 'sides']])->assertOk();
        $frontage = array_values(array_filter(
            $this->getJson($this->url())->json('frontages'),
            static fn (array $f): bool => isset($f['walls'][$stretch]),
        ))[0]['id'];
        $rows = fn (): array => array_column($this->getJson($this->url("elevations/$frontage"))->assertOk()->json('grids.0.rows'), 'at');
        $before = $rows();
        self::assertEqualsWithDelta([900, 1900], array_slice($before, 1, -1), 0.01);
        $tag = $this->getJson($this->url("elevations/$frontage"))->headers->get('ETag');
        $outcome = $this->edit('opening.change', ['id' => $moved, 'by' => ['v' => 100]])->assertOk();
        self::assertContains($stretch, $outcome->json('touched.walls'));
        self::assertEqualsWithDelta([1000, 2000], array_slice($rows(), 1, -1), 0.01);
        self::assertNotSame($tag, $this->getJson($this->url("elevations/$frontage"))->headers->get('ETag'));
        // an edit of the stretch that loads no opening of that wall by itself sees them all the same
        $this->edit('curtain.hand', ['ids' => [$stretch], 'lines' => [
            ['axis' => 'level', 'done' => 'added', 'at' => 100, 'from' => 'before', 'beside' => '2'],
        ]])->assertOk();
        self::assertEqualsWithDelta([1000, 2000, 2100], array_slice($rows(), 1, -1), 0.01);
        $this->edit('opening.remove', ['ids' => [$moved]])->assertOk();
        self::assertSame(['The level line +1 that was added was measured from line 2, which is not there any more.'],
            $this->getJson($this->url("elevations/$frontage"))->json('grids.0.lost'));
    }

    public function test_a_set_keeps_cells_and_members_and_goes_on_without_what_they_are_of(): void
    {
        [$wall] = $this->drawn($this->grid());
        $parts = [['element' => $wall, 'part' => 'cell 1 0'], ['element' => $wall, 'part' => 'upright 1 0']];
        $this->edit('set.keep', ['name' => 'Of one bay', 'members' => [], 'parts' => $parts])->assertOk();
        $sets = fn (): mixed => $this->getJson("/api/projects/{$this->project->id}")->json('sets');
        self::assertSame([$parts, []], [$sets()[0]['parts'], $sets()[0]['members']]);
        $none = $this->edit('set.keep', ['name' => 'Wrong', 'parts' => [['element' => $wall, 'part' => 'pane 1 0']]]);
        $this->assertProblem($none, 422, 'part.unknown');
        $this->assertProblem($this->edit('set.keep', ['name' => 'None', 'parts' => []]), 422, 'set.empty');
        $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
        self::assertSame([], $sets());
    }

    public function test_what_is_let_in_is_gathered_by_its_grid_type_and_is_not_bare(): void
    {
        $grid = $this->grid();
        $place = fn (?string $of, float $left): string => $this->edit('opening.place', [
            'host' => $this->wall(0), 'storey' => $this->storey(0), 'type' => null, 'width' => 1800, 'height' => 2400,
            'position' => ['from' => 'left', 'value' => $left, 'to' => 'near'], 'sill' => ['from' => 'floor', 'height' => 0],
        ] + ($of === null ? [] : ['grid' => $of]))->assertOk()->json('chosen.0');
        [$letIn, $bare] = [$place($grid, 500), $place(null, 3000)];
        $gathered = fn (string $by): array => $this->getJson($this->url("gather?$by"))->assertOk()->json('ids');
        self::assertSame([$letIn], $gathered("type=$grid"));
        self::assertSame([$letIn], $gathered('mark=CW-01'));
        self::assertSame([$bare], $gathered('type=bare'));
        self::assertEqualsCanonicalizing([$letIn, $bare], $gathered("type=bare,$grid&width=1800"));
    }

    public function test_two_people_work_on_one_run_and_neither_overwrites_what_they_did_not_see(): void
    {
        [$one, $two] = $this->drawn($grid = $this->grid());
        $seen = $this->number();
        $void = static fn (string $of, string $left): array => [
            'ids' => [$of], 'infills' => [['left' => $left, 'foot' => '0', 'infill' => ['kind' => 'void']]],
        ];
        $this->edit('curtain.hand', $void($one, '0'), $seen)->assertOk();
        $other = $this->member(Role::Editor);
        $this->actingAs($other);
        // another stretch of the same run is no one's meanwhile; the same one is
        $this->edit('curtain.hand', $void($two, '0'), $seen)->assertOk();
        $this->assertProblem($this->edit('curtain.hand', $void($one, '1'), $seen), 409, 'edit.conflict');
        $this->assertProblem($this->edit('curtain.set', ['walls' => [$one], 'lean' => 5], $seen), 409, 'edit.conflict');
        $this->edit('curtain.hand', $void($one, '1'), $this->number())->assertOk();
        // what is under both is their type's: it changes, and what either did by hand stays
        $this->edit('grid.change', ['id' => $grid] + GridSample::values(['bays' => ['by' => 'count', 'count' => 5]]))->assertOk();
        $frontage = array_values(array_filter(
            $this->getJson($this->url())->json('frontages'),
            static fn (array $f): bool => isset($f['walls'][$one]),
        ))[0]['id'];
        $shown = $this->getJson($this->url("elevations/$frontage"))->assertOk()->json('grids.0');
        self::assertCount(2, $shown['byHand']);
        self::assertCount(6, $shown['bays']);
        // the first takes back what was theirs only as long as nobody changed it since
        $this->actingAs($this->owner);
        $this->assertProblem($this->postJson($this->url('undo')), 422, 'undo.changed_since');
    }

    public function test_schedules_and_the_cutting_list_come_on_screen_and_as_files(): void
    {
        $this->drawn($this->grid());
        $counts = ['runs' => 2, 'members' => null, 'infills' => null, 'joints' => 0, 'cutting' => null, 'shares' => 2];
        foreach ($counts as $layout => $count) {
            $report = $this->getJson($this->url("schedules/$layout"))->assertOk()->json();
            self::assertSame($count === 0, $report['rows'] === [], $layout);
            if ($count !== null) {
                self::assertCount($count, array_filter($report['rows'], static fn (array $r): bool => $r['kind'] === 'row'), $layout);
            }
        }
        $this->edit('settings.change', ['curtainRules' => ['bars' => ['6 m', '7 m'], 'kerf' => 4, 'trim' => 0]])->assertOk();
        $bars = $this->getJson($this->url('schedules/cutting'))->json('rows');
        $lengths = array_unique(array_filter(array_map(static fn (array $r): mixed => $r['values'][0] ?? null, $bars)));
        self::assertSame([], array_diff($lengths, [6000, 7000]));
        foreach (['csv', 'xlsx', 'pdf'] as $format) {
            $file = $this->get($this->url("exports/schedules/cutting.$format"))->assertOk();
            self::assertGreaterThan(200, strlen((string) $file->getContent()));
        }
        $this->assertProblem($this->edit('settings.change', ['curtainRules' => ['bars' => [100], 'trim' => 60]]), 422, 'settings.trim');
    }

    public function test_the_bench_answers_with_what_a_value_makes_and_says_at_which_one_it_cannot(): void
    {
        $first = $this->postJson($this->url('grid-bench'), [])->assertOk()->json();
        self::assertSame(2, $first['storeys']);
        $set = static fn (string $path, mixed $value): array => [
            'draft' => $first['draft'], 'set' => [['path' => $path, 'value' => $value]], 'width' => 7404,
        ];
        $next = $this->postJson($this->url('grid-bench'), $set('rules.bays.size', '1350'))->assertOk()->json();
        self::assertEqualsWithDelta([327, 1350, 1350, 1350, 1350, 1350, 327], array_column($next['chains']['bays'], 'size'), 0.001);
        $this->assertProblem($this->postJson($this->url('grid-bench'), $set('rules.bays.size', '9 m')), 422,
            'setting_out.module_too_large');
        $this->postJson($this->url('grid-bench'), ['width' => 'wide'])->assertStatus(422);
    }

    public function test_a_type_of_another_project_is_none_of_this_one(): void
    {
        $this->assertProblem($this->edit('outline.draw', [
            'points' => [[60000, 0], [66000, 0]], 'closed' => false, 'grid' => 'gt-elsewhere', 'base' => $this->storey(0),
            'top' => $this->storey(0),
        ]), 422, 'grid.unknown');
    }

    public function test_a_grid_type_has_a_sheet_that_tells_where_it_stands(): void
    {
        $grid = $this->grid();
        $this->drawn($grid);
        $this->edit('opening.place', [
            'host' => $this->wall(), 'storey' => $this->storey(0), 'type' => null, 'grid' => $grid, 'width' => 3000, 'height' => 2400,
            'position' => ['from' => 'left', 'value' => 900, 'to' => 'near'], 'sill' => ['from' => 'floor', 'height' => 0],
        ])->assertOk();
        $sheet = $this->getJson($this->url("types/$grid/sheet?paper=A3"))->assertOk()->json('pages.0');
        foreach (['Lobby', '2 stretches', 'Let into walls', 'CW-01 1 of 1'] as $there) {
            self::assertStringContainsString(">$there</text>", $sheet);
        }
        self::assertStringStartsWith('%PDF', (string) $this->get($this->url("exports/sheets/$grid.pdf"))->assertOk()->getContent());
        $task = $this->postJson($this->url('sheets'), ['paper' => 'A3', 'format' => 'zip', 'ids' => [$grid]])
            ->assertStatus(202)
            ->json('id');
        Artisan::call('queue:work', ['--queue' => 'edits,files', '--stop-when-empty' => true]);
        $this->getJson($this->url("tasks/$task"))->assertOk()->assertJsonPath('file.sheets', 1);
    }

    /** Two sides that lean by 20°: heights count along their slope, and what the corner cuts off a cell is not clear. */
    public function test_what_is_clear_of_a_cell_is_told_in_its_own_plane(): void
    {
        $both = $this->drawn($this->grid(['rows' => ['by' => 'count', 'count' => 1], 'bays' => ['by' => 'count', 'count' => 3]]));
        [$first] = $both;
        $this->edit('curtain.set', ['walls' => $both, 'lean' => 20])->assertOk();
        $project = $this->getJson($this->url())->assertOk()->json();
        $frontage = array_values(array_filter($project['frontages'], static fn (array $f): bool => isset($f['walls'][$first])))[0];
        $cells = $this->getJson($this->url("elevations/{$frontage['id']}"))->assertOk()->json('grids.0.cells');
        $wall = array_values(array_filter($project['walls'], static fn (array $w): bool => $w['id'] === $first))[0];
        $slope = ($wall['head'] - $wall['foot']) / cos(deg2rad(20));
        // foot and head members are 50 wide in the plane of the face
        self::assertEqualsWithDelta($slope - 100, $cells[1]['clear'][1], 0.02);
        $sides = $cells[1]['clear'][0] * $cells[1]['clear'][1];
        self::assertEqualsWithDelta($sides, $cells[1]['clear'][2], 50.0, 'as far as its sides are rounded');
        self::assertEqualsWithDelta(($cells[1]['box'][3] - $cells[1]['box'][1]) / cos(deg2rad(20)), $cells[1]['clear'][1], 0.03);
        $cut = $cells[2];
        self::assertArrayHasKey('ring', $cut);
        self::assertLessThan($cut['clear'][0] * $cut['clear'][1] - 1000, $cut['clear'][2]);
        // what is drawn of it, by the surveyor's formula, laid back into its plane
        $twice = 0.0;
        for ($i = 0, $n = count($cut['ring']); $i < $n; $i += 2) {
            [$x, $y, $u, $v] = [$cut['ring'][$i], $cut['ring'][$i + 1], $cut['ring'][($i + 2) % $n], $cut['ring'][($i + 3) % $n]];
            $twice += $x * $v - $u * $y;
        }
        self::assertEqualsWithDelta(abs($twice) / 2 / cos(deg2rad(20)), $cut['clear'][2], 60.0);
    }
}
