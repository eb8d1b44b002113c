<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Role;
use Illuminate\Support\Facades\DB;

/** What was answered since the latest change is told again without reading what it was made of; after a change it is looked at anew. */
final class KnownTest extends ProjectCase
{
    /** @return list<string> tables that were read while something was asked for */
    private function read(\Closure $ask): array
    {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $ask();
        DB::disableQueryLog();
        preg_match_all('/from `(\w+)`/', implode(' ', array_column(DB::getQueryLog(), 'query')), $tables);

        return array_values(array_unique($tables[1]));
    }

    public function test_drawings_are_told_again_without_reading_rows_until_something_changes(): void
    {
        $id = $this->place(1000, ['type' => $this->type('W-03')]);
        $frontage = 'fr-'.substr($this->wall(), 3);
        foreach (["elevations/$frontage", "scenes/$frontage", 'plans/'.$this->storey(0)] as $at) {
            $url = "/api/projects/{$this->project->id}/$at";
            $first = $this->get($url)->assertOk();
            $tag = (string) $first->headers->get('ETag');
            $tables = $this->read(fn () => $this->get($url, ['If-None-Match' => $tag])->assertStatus(304));
            self::assertSame([], array_intersect(['openings', 'walls', 'unit_types'], $tables), $at);
            // whoever has not seen it gets the same, and that without reading too
            $tables = $this->read(fn () => self::assertSame($first->getContent(), $this->get($url)->assertOk()->getContent()));
            self::assertSame([], array_intersect(['openings', 'walls', 'unit_types'], $tables), $at);
            $this->edit('opening.change', ['id' => $id, 'by' => ['u' => 10]])->assertOk();
            $after = $this->get($url, ['If-None-Match' => $tag])->assertOk();
            self::assertNotSame($tag, $after->headers->get('ETag'), $at);
            $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
            self::assertSame($tag, $this->get($url)->headers->get('ETag'), 'as it was, under its old name');
        }
    }

    public function test_a_project_is_told_again_without_reading_rows_but_to_each_what_is_theirs(): void
    {
        $this->place(1000, ['type' => $this->type('W-03')]);
        $url = "/api/projects/{$this->project->id}";
        $mine = $this->get($url)->assertOk();
        $guest = $this->member(Role::Viewer);
        $tables = $this->read(function () use ($url, $mine, $guest): void {
            $theirs = $this->actingAs($guest)->get($url)->assertOk()->json();
            self::assertEquals(['role' => 'viewer', 'undo' => null] + $mine->json(), $theirs);
        });
        self::assertSame([], array_intersect(['openings', 'walls', 'unit_types'], $tables));
        $this->actingAs($this->owner)->edit('storey.change', ['id' => $this->storey(0), 'height' => 3100])->assertOk();
        self::assertSame(3100, $this->get($url)->json('storeys.0.height'));
    }
}
