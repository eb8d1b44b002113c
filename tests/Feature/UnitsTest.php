<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Role;
use App\Models\UnitType;
use Illuminate\Support\Facades\Artisan;
use Isleward\Core\Unit\Stock;

/** Unit types over the API: the bench, what is kept of it, documents and sheets. */
final class UnitsTest extends ProjectCase
{
    private const DRAFT = [
        'width' => 1800,
        'height' => 1500,
        'tree' => [
            'measure' => 'centres',
            'frame' => ['jamb' => 55, 'head' => 55, 'sill' => 60, 'depth' => 90],
            'root' => ['operation' => 'fixed', 'glazing' => [6, 16, 6]],
        ],
    ];

    public function test_steps_at_the_bench_are_shown_and_what_they_cannot_do_is_said_with_its_place(): void
    {
        $bench = fn (array $steps) => $this->postJson($this->url('bench'), ['draft' => self::DRAFT, 'steps' => $steps]);
        $divide = ['step' => 'divide', 'args' => ['path' => '', 'axis' => 'columns', 'sizes' => ['600', null]]];
        $bench([$divide, ['step' => 'light', 'args' => ['paths' => ['1'], 'values' => ['operation' => 'sliding']]]])->assertOk()
            ->assertJsonPath('lights.0.box', fn (array $box): bool => abs($box[2] - 572.5) < 1e-9)
            ->assertJsonPath('lights.1.operation', 'sliding')->assertJsonPath('lights.1.free.area', fn (float $mm2): bool => $mm2 > 0.7e6)
            ->assertJsonPath('tree.root.parts.0.fixed', fn (float|int $mm): bool => $mm == 600)
            ->assertJsonPath('dimensions.0.field', 'size');
        $refused = $bench([$divide, ['step' => 'divide', 'args' => ['path' => '1', 'axis' => 'rows', 'sizes' => ['900', '900']]]]);
        $this->assertProblem($refused, 422, 'unit.division_no_room');
        self::assertSame('1', $refused->json('details.path'));
        $this->edit('settings.change', ['units' => 'ft-in'])->assertOk();
        self::assertSame(
            'The parts of this division take 8\' 0" and ≈5\' 10 7/8" is there.',
            $bench([['step' => 'divide', 'args' => ['path' => '', 'axis' => 'columns', 'sizes' => ["4'", "4'", null]]]])->json('title'),
            'in the project’s units',
        );
        self::assertStringStartsWith(
            'glTF',
            (string) $this->postJson($this->url('bench/solid'), ['draft' => self::DRAFT, 'ajar' => 0.5])->assertOk()->getContent(),
        );
    }

    public function test_a_type_is_kept_changed_followed_and_taken_back(): void
    {
        $type = $this->edit('type.add', ['mark' => '', 'name' => 'quay light', 'sill' => 900] + self::DRAFT)->assertOk()->json('chosen.0');
        $a = $this->place(1000, ['type' => $type]);
        $this->place(3000, ['type' => $type]);
        $this->getJson($this->url("types/$type"))->assertOk()->assertJsonPath('openings', 2)->assertJsonPath('type.name', 'quay light');
        $before = $this->rows();
        $try = $this->edit('type.change', ['id' => $type, 'width' => 2100], query: '?try=1')->assertOk();
        self::assertCount(1, $try->json('misfits'), 'the first would run into the second');
        self::assertSame($before, $this->rows(), 'a try changes nothing');
        $this->edit('type.change', ['id' => $type, 'width' => 2100, 'fit' => 'fitting'])->assertOk();
        self::assertSame(
            count(Stock::types()) + 2,
            UnitType::query()->where('project_id', $this->project->id)->count(),
            'the second keeps what it had, as a type of its own',
        );
        $this->postJson($this->url('undo'))->assertOk();
        self::assertSame($before, $this->rows());
        $this->assertProblem($this->edit('type.remove', ['id' => $type]), 422, 'type.in_use');
        $this->edit('opening.own-type', ['ids' => [$a]])->assertOk();
        $this->getJson($this->url("types/$type"))->assertJsonPath('openings', 1);
    }

    public function test_types_go_from_one_project_to_another_in_a_document(): void
    {
        $document = json_decode(
            (string) $this->get($this->url('exports/types.json'))
                ->assertOk()
                ->assertHeader('Content-Type', 'application/json')
                ->getContent(),
            true,
        );
        self::assertCount(count(Stock::types()), $document['types']);
        $one = $this->type('W-39');
        self::assertCount(1, json_decode((string) $this->get($this->url("exports/types.json?ids=$one"))->getContent(), true)['types']);
        $this->project = $this->makeProject($this->owner);
        $brought = $this->edit('type.import', ['document' => $document, 'marks' => ['W-39', 'D-18']])->assertOk();
        $brought->assertJsonCount(2, 'chosen')->assertJsonCount(2, 'notes');
        $this->assertProblem($this->edit('type.import', ['document' => ['type' => 'Feature']]), 422, 'import.foreign');
        self::assertGreaterThanOrEqual(24, count(Stock::types()));
        $words = collect($this->getJson($this->url(''))->json('types'))->pluck('words')->flatten()->unique();
        self::assertSame(
            [],
            array_values(array_diff(
                [
                    'fixed',
                    'side-hung',
                    'top-hung',
                    'bottom-hung',
                    'tilt-and-turn',
                    'sliding',
                    'vertical sliding',
                    'folding',
                    'louvre',
                    'hinged door',
                    'pair of doors',
                    'sliding door',
                ],
                $words->all(),
            )),
            'the stock is over all operations, and found by them',
        );
    }

    public function test_sheets_are_drawn_one_by_one_and_all_in_one_file_as_a_task(): void
    {
        $this->place(1000, ['type' => $this->type('W-03')]);
        $this->place(1000, ['type' => $this->type('W-03'), 'storey' => $this->storey(1)]);
        $sheet = $this->getJson($this->url('types/'.$this->type('W-03').'/sheet?paper=A4'))->assertOk()->json('pages.0');
        self::assertStringContainsString('width="297mm" height="210mm"', $sheet);
        self::assertStringContainsString('>Altogether</text>', $sheet);
        $this->get($this->url('exports/sheets/'.$this->type('W-03').'.svg'))->assertOk()->assertHeader('Content-Type', 'image/svg+xml');
        self::assertStringStartsWith(
            '%PDF',
            (string) $this->get($this->url('exports/sheets/'.$this->type('D-18').'.pdf'))->assertOk()->getContent(),
        );
        $this->assertProblem($this->getJson($this->url('types/'.$this->type('W-03').'/sheet?paper=A9')), 422, 'sheets.paper');
        $this->assertProblem($this->getJson($this->url('types/ty-none/sheet')), 404, 'not_found');

        // one who may only look may draw them too
        $this->actingAs($this->member(Role::Viewer));
        $task = $this->postJson(
            $this->url('sheets'),
            ['paper' => 'A3', 'format' => 'pdf', 'ids' => [$this->type('W-03'), $this->type('D-18')]],
        )
            ->assertStatus(202)
            ->json('id');
        $this->assertProblem($this->getJson($this->url("tasks/$task/file")), 404, 'not_found');
        Artisan::call('queue:work', ['--queue' => 'edits,files', '--stop-when-empty' => true]);
        $this->getJson($this->url("tasks/$task"))
            ->assertOk()
            ->assertJsonPath('state', 'done')
            ->assertJsonPath('done', 3)
            ->assertJsonPath('file.name', 'test-house-sheets.pdf')
            ->assertJsonPath('file.sheets', 3)
            ->assertJsonPath('outcome', null);
        self::assertStringStartsWith(
            '%PDF',
            (string) file_get_contents(
                $this->get($this->url("tasks/$task/file"))
                    ->assertOk()
                    ->assertDownload('test-house-sheets.pdf')->baseResponse
                    ->getFile()
                    ->getPathname(),
            ),
        );
        $this->assertProblem($this->postJson($this->url('sheets'), ['paper' => 'A3', 'format' => 'docx']), 422, 'sheets.format');
        $this->edit('type.add', ['mark' => 'X', 'name' => 'x', 'sill' => 0] + self::DRAFT)->assertForbidden();
        $this->actingAs($this->owner);
        $this->assertProblem($this->getJson($this->url("tasks/$task")), 404, 'not_found');
    }

    private function url(string $path): string
    {
        return rtrim("/api/projects/{$this->project->id}/$path", '/');
    }
}
