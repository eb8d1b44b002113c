<?php

declare(strict_types=1);

namespace Tests\Feature;

/** Screens through the API: what the desk is told, what is tried, fetched again, scheduled and taken back. */
final class ScreensTest extends ProjectCase
{
    private function screen(): string
    {
        return $this->edit('screen.add', [
            'walls' => [$this->wall(0)], 'storey' => $this->storey(0), 'gap' => '150 mm', 'thick' => 20, 'height' => 3000,
        ])->assertOk()->json('chosen.0');
    }

    /** @param  array<string, mixed>  $shape */
    private function cut(string $id, array $shape): void
    {
        $this->edit('screen.draw', ['id' => $id, 'cut' => true, 'wall' => $this->wall(0), 'shape' => $shape])->assertOk();
    }

    private function url(string $at = ''): string
    {
        return "/api/projects/{$this->project->id}".($at === '' ? '' : "/$at");
    }

    public function test_the_desk_is_told_what_was_drawn_and_how_it_stands(): void
    {
        $id = $this->screen();
        $this->cut($id, ['form' => 'rectangle', 'u' => 1000, 'v' => 500, 'width' => '1.5 m', 'height' => 800]);
        $screen = $this->getJson($this->url())->json('screens.0');
        self::assertSame([[$this->wall(0)], 2], [$screen['before'], count($screen['parts'])]);
        self::assertSame('1 500 × 800', str_replace("\u{202f}", ' ', $screen['parts'][1]['says']));
        $placed = array_values(array_filter($this->elevation()['bands'], static fn (array $b): bool => $b['element'] === $id))[0];
        self::assertSame('screen', $placed['what']);
        self::assertCount(2, $placed['screen']['shapes'][0]['rings'], 'its outer edge and a hole');
        // what is typed is told before it is done, and nothing is changed by it
        $tried = $this->postJson($this->url('edits?try=1'), [
            'edit' => 'screen.draw', 'base' => $this->project->refresh()->change_number,
            'args' => ['id' => $id, 'n' => 2, 'shape' => ['width' => 2000]],
        ])->assertOk()->json('bands.0.screen.area');
        self::assertEqualsWithDelta($placed['screen']['area'] - 500.0 * 800.0, $tried, 1.0);
        self::assertEquals(1500, $this->getJson($this->url())->json('screens.0.parts.1.shape.width'));
    }

    public function test_a_cut_out_that_takes_nothing_is_refused_by_its_reason_and_nothing_is_kept(): void
    {
        $id = $this->screen();
        $refused = $this->edit('screen.draw', ['id' => $id, 'cut' => true, 'wall' => $this->wall(0), 'shape' => [
            'form' => 'round', 'u' => 1000, 'v' => 9000, 'width' => 500,
        ]]);
        $this->assertProblem($refused, 422, 'screen.outside');
        self::assertCount(1, $this->getJson($this->url())->json('screens.0.parts'));
    }

    public function test_a_moved_opening_takes_the_cut_out_round_it_along_and_undo_brings_both_back(): void
    {
        $opening = $this->place(1000, ['width' => 900, 'height' => 1200]);
        $id = $this->screen();
        $this->edit('screen.draw', ['id' => $id, 'cut' => true, 'shape' => ['form' => 'openings', 'around' => [$opening], 'grow' => 100]]);
        $left = function () use ($id): float {
            $bands = array_column($this->elevation()['bands'], null, 'element');
            $ring = array_values(array_filter($bands[$id]['screen']['parts'], static fn (array $p): bool => $p['cut']))[0]['ring'];

            return min(array_filter($ring, static fn (int $i): bool => $i % 2 === 0, ARRAY_FILTER_USE_KEY));
        };
        $before = $left();
        $this->edit('opening.change', ['id' => $opening, 'by' => ['u' => 700]])->assertOk();
        self::assertEqualsWithDelta($before + 700.0, $left(), 0.01);
        $this->postJson($this->url('undo'))->assertOk();
        self::assertEqualsWithDelta($before, $left(), 0.01);
    }

    public function test_a_changed_type_is_seen_in_the_screens_it_stands_in_and_is_not_removed_from_under_them(): void
    {
        $id = $this->screen();
        $type = $this->type('W-03');
        $this->cut($id, ['form' => 'rectangle', 'u' => 1000, 'v' => 500, 'width' => 1200, 'height' => 1300]);
        $this->edit('screen.draw', ['id' => $id, 'n' => 2, 'type' => $type])->assertOk();
        $units = fn (): string => (string) json_encode(array_column($this->elevation()['bands'], null, 'element')[$id]['screen']['units']);
        $before = $units();
        self::assertStringContainsString('"glass"', $before);
        $tree = $this->getJson($this->url("types/$type"))->assertOk()->json('type.tree');
        $tree['frame']['jamb'] = 95;
        $tree['frame']['head'] = 95;
        $touched = $this->edit('type.change', ['id' => $type, 'tree' => $tree])->assertOk()->json('touched.walls');
        self::assertContains($this->wall(0), $touched);
        self::assertNotSame($before, $units());
        $this->assertProblem($this->edit('type.remove', ['id' => $type]), 422, 'type.in_cells');
    }

    public function test_schedules_and_findings_tell_of_screens(): void
    {
        $id = $this->screen();
        $this->cut($id, ['form' => 'round', 'u' => 1000, 'v' => 500, 'width' => 600]);
        foreach (['screens', 'cut-outs'] as $of) {
            $rows = $this->getJson($this->url("schedules/$of"))->assertOk()->json('rows');
            $rows = array_values(array_filter($rows, static fn (array $r): bool => $r['kind'] === 'row'));
            self::assertSame([[$id]], array_column($rows, 'elements'), $of);
        }
        $rules = fn (): array => array_column($this->elevation()['findings'], 'rule');
        self::assertContains('screen.unheld', $rules(), 'nothing holds it');
        $this->edit('screen.change', ['id' => $id, 'edges' => true])->assertOk();
        self::assertNotContains('screen.unheld', $rules());
        $this->place(3000, ['width' => 900, 'height' => 1200]);
        self::assertContains('layer.covers', $rules(), 'an opening behind it is covered');
        // limits are the project's own; whose opening is covered by a part only is not told any more
        $this->edit('screen.draw', ['id' => $id, 'cut' => true, 'wall' => $this->wall(), 'shape' => [
            'form' => 'rectangle', 'u' => 3000, 'v' => 900, 'width' => 300, 'height' => 1200,
        ]])->assertOk();
        self::assertContains('layer.covers', $rules());
        $this->edit('settings.change', ['layerRules' => ['covered' => 0.99, 'apart' => '12 mm', 'short' => 60]])->assertOk();
        self::assertNotContains('layer.covers', $rules());
        self::assertSame(
            ['covered' => 0.99, 'apart' => 12, 'short' => 60],
            $this->getJson("/api/projects/{$this->project->id}")->json('settings.layerRules'),
        );
        $this->assertProblem($this->edit('settings.change', ['layerRules' => ['covered' => 1.2]]), 422, 'settings.layer_rules');
    }

    public function test_what_is_measured_from_a_line_or_an_opening_goes_with_it_and_only_its_drawings_are_fetched_again(): void
    {
        $opening = $this->place(1000, ['width' => 900, 'height' => 1200]);
        $this->edit('line.add', [
            'host' => $this->wall(0), 'axis' => 'upright', 'name' => 'A',
            'rule' => ['from' => 'opening', 'ref' => $opening, 'point' => 'right', 'value' => 500],
        ])->assertOk();
        $line = array_column($this->elevation()['lines'], 'id', 'name')['A'];
        $id = $this->screen();
        $this->edit('screen.draw', [
            'id' => $id, 'cut' => true, 'wall' => $this->wall(0), 'shape' => ['form' => 'rectangle', 'width' => 600, 'height' => '0.8 m'],
            'position' => ['from' => 'line', 'ref' => $line, 'value' => '10 cm', 'to' => 'near'],
            'sill' => ['from' => 'opening', 'ref' => $opening, 'point' => 'head', 'edge' => 'head', 'height' => 0],
        ])->assertOk();
        $box = function () use ($id): array {
            $bands = array_column($this->elevation()['bands'], null, 'element');
            $ring = array_values(array_filter($bands[$id]['screen']['parts'], static fn (array $p): bool => $p['cut']))[0]['ring'];
            $of = static fn (int $odd): array => array_filter($ring, static fn (int $i): bool => $i % 2 === $odd, ARRAY_FILTER_USE_KEY);

            return [min($of(0)), max($of(1))];
        };
        [$left, $head] = $box();
        $frontages = array_column($this->getJson($this->url())->json('frontages'), 'id');
        $tags = array_map(fn (string $f): string => (string) $this->getJson($this->url("elevations/$f"))->headers->get('ETag'), $frontages);
        // the opening moves: its line with it, and what hangs on both; of the drawings that of its frontage alone
        $touched = $this->edit('opening.change', ['id' => $opening, 'by' => ['u' => 700, 'v' => 150]])->assertOk()->json('touched.walls');
        self::assertContains($this->wall(0), $touched);
        self::assertEqualsWithDelta([$left + 700.0, $head + 150.0], $box(), 0.01);
        foreach ($frontages as $i => $frontage) {
            $this->getJson($this->url("elevations/$frontage"), ['If-None-Match' => $tags[$i]])->assertStatus($i === 0 ? 200 : 304);
        }
        // the plan cut through it knows it where only the openings of its storey are read
        $this->getJson($this->url('plans/'.$this->storey(1)))->assertOk();
        $refused = $this->edit('line.remove', ['ids' => [$line]]);
        $this->assertProblem($refused, 422, 'hanging');
        self::assertStringContainsString('1 screen', (string) $refused->getContent());
        $this->edit('line.remove', ['ids' => [$line], 'keepFigures' => true])->assertOk();
        self::assertEqualsWithDelta([$left + 700.0, $head + 150.0], $box(), 0.01);
        self::assertSame('left', $this->getJson($this->url())->json('screens.0.parts.1.position.from'));
        $this->postJson($this->url('undo'))->assertOk();
        self::assertSame('line', $this->getJson($this->url())->json('screens.0.parts.1.position.from'));
    }
}
