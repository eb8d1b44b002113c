<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Role;
use Isleward\Core\Revision\Folded;

/** Lettered states: kept, compared, gone back to. */
final class RevisionsTest extends ProjectCase
{
    public function test_a_revision_is_compared_with_today_and_gone_back_to_as_one_undoable_step(): void
    {
        $moved = $this->place(1000);
        $gone = $this->place(4000);
        $before = $this->rows();
        $this->postJson($this->url('revisions'), ['note' => 'First round'])
            ->assertCreated()
            ->assertJsonPath('letter', 'A')
            ->assertJsonPath('person', 'Runa Vell');
        $this->assertProblem($this->postJson($this->url('revisions'), ['note' => 'again']), 422, 'revision.same');
        $this->getJson($this->url('revisions/A/difference'))->assertOk()->assertJsonCount(0, 'rows');

        $this->edit('opening.change', ['id' => $moved, 'value' => 1120])->assertOk();
        $this->edit('opening.change', ['id' => $moved, 'width' => 1000])->assertOk();
        $this->edit('opening.remove', ['ids' => [$gone]])->assertOk();
        $came = $this->place(7000);
        $passing = $this->place(9500);
        $this->edit('opening.remove', ['ids' => [$passing]])->assertOk();
        $this->edit('storey.change', ['id' => $this->storey(1), 'height' => 3800])->assertOk();
        $rows = collect($this->getJson($this->url('revisions/A/difference'))->assertOk()->json('rows'))->keyBy('element');
        self::assertSame(
            ['moved', 'removed', 'added', 'changed'],
            [$rows[$moved]['what'], $rows[$gone]['what'], $rows[$came]['what'], $rows[$this->storey(1)]['what']],
        );
        self::assertMatchesRegularExpression(
            '/^W-03, Quay: moved 120 to the right, 1\s000 wide instead of 1\s200\.$/u',
            $rows[$moved]['sentence'],
        );
        self::assertMatchesRegularExpression('/Charts is 3\s800 high instead of 3\s600\.$/u', $rows[$this->storey(1)]['sentence']);
        self::assertEqualsWithDelta([1000.0, 1120.0], [$rows[$moved]['then']['left'], $rows[$moved]['now']['left']], 1e-9);
        self::assertNull($rows[$gone]['now']);
        self::assertArrayNotHasKey($passing, $rows->all(), 'what came and went is not told');

        $this->postJson($this->url('revisions'), ['note' => ''])->assertCreated()->assertJsonPath('letter', 'B');
        $this->getJson($this->url('revisions/B/difference?to=A'))->assertOk()->assertJsonCount(count($rows), 'rows');
        $changed = $this->rows();
        $this->assertProblem($this->postJson($this->url('revisions/A/restore'), ['base' => 1]), 422, 'revision.changed_since');
        $this->postJson($this->url('revisions/A/restore'), ['base' => $this->number()])
            ->assertOk()
            ->assertJsonPath('summary', 'Went back to revision A')
            ->assertJsonPath('undo', 'Went back to revision A');
        self::assertSame($before, $this->rows());
        $this->assertProblem($this->postJson($this->url('revisions/A/restore'), ['base' => $this->number()]), 422, 'revision.same');
        $this->postJson($this->url('undo'))->assertOk();
        self::assertSame($changed, $this->rows(), 'going back is undone like any step');
        $this->getJson($this->url('revisions/B/difference'))->assertJsonCount(0, 'rows');
        $this->assertProblem($this->getJson($this->url('revisions/Q/difference')), 404, 'not_found');
    }

    public function test_those_who_may_only_look_see_revisions_and_keep_none(): void
    {
        $this->place(1000);
        $this->postJson($this->url('revisions'), ['note' => 'x'])->assertCreated();
        $this->assertProblem($this->postJson($this->url('revisions'), ['note' => str_repeat('x', 301)]), 422, 'revision.note');
        $this->actingAs($this->member(Role::Viewer));
        $this->getJson($this->url('revisions'))->assertOk()->assertJsonCount(1, 'revisions');
        $this->getJson($this->url('revisions/A/difference'))->assertOk();
        $this->postJson($this->url('revisions'), ['note' => ''])->assertForbidden();
        $this->postJson($this->url('revisions/A/restore'), ['base' => $this->number()])->assertForbidden();
        self::assertSame(['A', 'Z', 'AA', 'AZ', 'BA'], array_map(Folded::letter(...), [0, 25, 26, 51, 52]));
    }

    private function url(string $path): string
    {
        return "/api/projects/{$this->project->id}/$path";
    }
}
