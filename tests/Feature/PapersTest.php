<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Role;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;

/** Others' schedules, and our own in layouts. */
final class PapersTest extends ProjectCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake(config()->string('isleward.files_disk'));
    }

    public function test_a_schedule_is_read_in_kept_held_against_the_model_and_its_remedies_done(): void
    {
        $this->place(1000);
        $reading = $this->upload(
            "Mark;Type;Width;Height;Count;Quay\nW-03;pair;1200;1500;2;2\nW-90;steel door;900;2100;1;1\n",
            'from them.csv',
        )
            ->assertOk()
            ->assertJsonPath('lineCount', 2)->assertJsonPath('columns.5.role', 'on-storey')->assertJsonPath('problem', null);
        $this->assertProblem(
            $this->postJson(
                $this->at('readings'),
                ['file' => $reading->json('file'), 'sheet' => 0, 'header' => 0, 'columns' => [['role' => 'mark'], ['role' => 'mark']]],
            )->assertOk()->json('problem') === 'Two columns are said to state the mark: columns 1 and 2.'
            ? $this->postJson($this->at('readings'), ['file' => 'nothing.json']) : $reading, 422, 'file.unknown');
        $id = $this->edit(
            'given.keep',
            ['name' => 'Theirs', 'file' => $reading->json('file'), 'sheet' => 0, 'header' => 0, 'columns' => $reading->json('columns')],
        )->assertOk()->json('chosen.0');
        $held = $this->getJson($this->at("givens/$id/held"))->assertOk();
        self::assertSame(
            ['size W-03', 'missing W-03', 'missing W-90'],
            array_map(static fn (array $d): string => $d['what'].' '.$d['mark'], $held->json('found')),
        );
        $this->edit($held->json('found.0.remedy.edit'), $held->json('found.0.remedy.args'))->assertOk();
        $this->edit('type.from-lines', ['lines' => $held->json('fresh')])->assertOk();
        self::assertSame(['missing', 'missing'], array_column($this->getJson($this->at("givens/$id/held"))->json('found'), 'what'));
        $this->postJson($this->at('undo'))->assertOk();
        $this->edit('given.remove', ['id' => $id])->assertOk();
        $this->getJson($this->at("givens/$id/held"))->assertNotFound();
        $this->postJson($this->at('undo'))->assertOk();
        $this->getJson($this->at("givens/$id/held"))->assertOk()->assertJsonPath('lines', 2);
    }

    public function test_what_is_no_schedule_is_said_and_keeps_nothing(): void
    {
        $this->assertProblem($this->upload("\x00\x01\x02", 'x.csv'), 422, 'table.unreadable');
        $this->assertProblem($this->upload('  ', 'x.csv'), 422, 'table.empty');
        $this->assertProblem($this->upload("\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1...", 'x.xls'), 422, 'table.protected');
        $this->assertProblem($this->upload("PK\x03\x04 broken", 'x.xlsx'), 422, 'table.unreadable');
        $this->assertProblem($this->upload("Mark,Width,Height\n".str_repeat("A,1,2\n", 20_000), 'x.csv'), 422, 'table.too_long');
        $this->upload("Colour\nred\n", 'x.csv')->assertOk()->assertJsonPath('problem', 'No column states the marks. Say which one does.');
        config()->set('isleward.largest_upload', 10_000);
        $this->assertProblem($this->upload(str_repeat('x', 10_001), 'x.csv'), 413, 'request.too_large');
        $this->actingAs($this->member(Role::Viewer));
        $this->upload("Mark,Width,Height\nA,900,900\n", 'x.csv')->assertForbidden();
    }

    public function test_a_layout_is_tried_kept_and_taken_along_as_a_workbook(): void
    {
        $this->place(1000);
        $this->place(4000);
        $layout = [
            'name' => 'For the maker',
            'source' => 'openings',
            'columns' => [['key' => 'mark', 'name' => 'Ref.'], ['key' => 'width'], ['key' => 'count']],
            'merge' => true,
            'groups' => [],
            'sort' => [],
            'filters' => [['key' => 'width', 'test' => 'above', 'value' => '1 m']],
            'totals' => true,
        ];
        $this->postJson($this->at('schedules'), $layout)
            ->assertOk()
            ->assertJsonPath('columns.0.heading', 'Ref.')
            ->assertJsonPath('rows.0.values', ['W-03', 1200, 2]);
        $this->assertProblem(
            $this->postJson($this->at('schedules'), ['filters' => [['key' => 'width', 'test' => 'above', 'value' => 'wide']]] + $layout),
            422,
            'schedule.value',
        );
        $this->assertProblem($this->postJson($this->at('schedules'), ['columns' => []] + $layout), 422, 'schedule.no_columns');
        $id = $this->edit('layout.keep', $layout)->assertOk()->json('chosen.0');
        $this->assertProblem($this->edit('layout.keep', $layout), 422, 'layout.name_taken');
        $this->get($this->at("exports/schedules/$id.csv"))
            ->assertOk()
            ->assertContent("Ref.,Width (mm),Count\r\nW-03,1200,2\r\nTotal,,2\r\n");
        self::assertStringStartsWith('PK', (string) $this->get($this->at("exports/schedules/$id.xlsx"))->assertOk()->getContent());
        $this->get($this->at('exports/schedules/la-none.xlsx'))->assertNotFound();
        $this->postJson($this->at('exports/schedule.csv'), ['totals' => false] + $layout)
            ->assertOk()
            ->assertContent("Ref.,Width (mm),Count\r\nW-03,1200,2\r\n");
        self::assertStringStartsWith(
            '%PDF',
            (string) $this->postJson($this->at('exports/schedule.pdf'), $layout)->assertOk()->getContent(),
        );
    }

    public function test_a_section_is_cut_along_a_kept_line_points_or_an_opening_and_answers_304_while_it_is_the_same(): void
    {
        $id = $this->place(1000);
        $first = $this->getJson($this->at("sections?opening=$id"))->assertOk()->assertJsonPath('openings.0.id', $id);
        $this->getJson($this->at("sections?opening=$id"), ['If-None-Match' => (string) $first->headers->get('ETag')])->assertStatus(304);
        $line = $this->edit('section.keep', ['name' => 'A', 'fromX' => '1.6 m', 'fromY' => -1000, 'toX' => 1600, 'toY' => 9000])
            ->assertOk()
            ->json('chosen.0');
        $this->getJson($this->at("sections?line=$line"))->assertOk()->assertJsonPath('openings.0.sill', 900);
        $this->getJson($this->at('sections?points=0,0,0,50'))->assertJsonPath('code', 'section.too_short');
        $this->getJson($this->at('sections?points=a,b'))->assertStatus(422);
        $this->getJson($this->at('sections?line=sl-none'))->assertNotFound();
        $this->assertProblem(
            $this->edit('section.keep', ['name' => 'B', 'fromX' => 5, 'fromY' => 5, 'toX' => 5, 'toY' => 5]),
            422,
            'section.too_short',
        );
    }

    public function test_sheets_are_arranged_kept_drawn_and_taken_along_with_those_of_the_units(): void
    {
        $this->place(1000);
        $this->postJson($this->at('revisions'), ['note' => ''])->assertCreated();
        $sheet = ['name' => 'Quay side', 'number' => 'A-01', 'paper' => 'A2'];
        $drawn = $this->postJson(
            $this->at('sheet-plans'),
            $sheet + ['items' => [['kind' => 'elevation', 'ref' => 'outside'], ['kind' => 'schedule', 'ref' => 'each']]],
        )->assertOk()->assertJsonPath('blocks.1.problem', null);
        self::assertStringContainsString('>A</text>', $drawn->json('pages.0'), 'the letter of the latest revision');
        $id = $this->edit('sheet.keep', $sheet + ['items' => $drawn->json('plan.items')])->assertOk()->json('chosen.0');
        $this->assertProblem($this->edit('sheet.keep', $sheet + ['items' => []]), 422, 'sheet.name_taken');
        $this->assertProblem(
            $this->edit('sheet.keep', ['number' => 'A-02', 'items' => [['scale' => 0] + $drawn->json('plan.items.0')]] + $sheet),
            422,
            'sheet.scale',
        );
        self::assertStringStartsWith('%PDF', (string) $this->get($this->at("exports/sheet-plans/$id.pdf"))->assertOk()->getContent());
        self::assertStringStartsWith('%PDF', (string) $this->get($this->at('exports/schedules/by-type.pdf'))->assertOk()->getContent());
        $this->get($this->at("exports/sheet-plans/$id.svg?page=2"))->assertNotFound();
        $task = $this->postJson($this->at('sheets'), ['paper' => 'A3', 'format' => 'zip', 'ids' => [$id, $this->type('W-03')]])
            ->assertStatus(202)
            ->json('id');
        \Illuminate\Support\Facades\Artisan::call('queue:work', ['--queue' => 'edits,files', '--stop-when-empty' => true]);
        $this->getJson($this->at("tasks/$task"))->assertOk()->assertJsonPath('file.sheets', 2);
    }

    /** Sheets of types that fill nothing are written on request alone. */
    public function test_all_as_one_file_is_what_is_used(): void
    {
        $none = $this->postJson($this->at('sheets'), ['paper' => 'A3', 'format' => 'zip'])->assertStatus(202)->json('id');
        \Illuminate\Support\Facades\Artisan::call('queue:work', ['--queue' => 'edits,files', '--stop-when-empty' => true]);
        self::assertStringContainsString('no type fills anything', (string) json_encode($this->getJson($this->at("tasks/$none"))->json()));
        $this->place(1000);
        $unused = $this->getJson($this->at('unused-types'))->assertOk()->json();
        self::assertCount(count($this->project()['types']) + count($this->project()['grids']) - 1, $unused);
        self::assertNotContains('W-03', array_column($unused, 'mark'));
        self::assertSame([false], array_values(array_unique(array_column($unused, 'madeToFit'))));
        $sheets = function (array $ids): int {
            $task = $this->postJson($this->at('sheets'), ['paper' => 'A3', 'format' => 'zip'] + $ids)->assertStatus(202)->json('id');
            \Illuminate\Support\Facades\Artisan::call('queue:work', ['--queue' => 'edits,files', '--stop-when-empty' => true]);

            return $this->getJson($this->at("tasks/$task"))->assertOk()->json('file.sheets');
        };
        self::assertSame(1, $sheets([]));
        self::assertSame(2, $sheets(['ids' => [$this->type('W-03'), $this->type('W-05')]]));
    }

    public function test_a_schedule_given_anew_says_what_it_changes_and_comes_in_the_place_of_the_one_before(): void
    {
        $first = $this->upload("Mark;Width;Height;Count;Storey\nW-01;1000;1200;2;Deck\nW-02;80;9;x;Deck\n", 'Doors.csv')->assertOk();
        $first->assertJsonPath('revised', null);
        // the second line has three problems, and is one line; the storey of another name is asked for
        $first->assertJsonPath('unreadLines', 2)->assertJsonPath('storeyNames', [['text' => 'Deck', 'storey' => null]]);
        self::assertCount(5, $first->json('unread'));
        $columns = $first->json('columns');
        $columns[4]['storeys'] = ['Deck' => $this->storey(0)];
        $read = $this->postJson($this->at('readings'), ['file' => $first->json('file'), 'sheet' => 0, 'header' => 0, 'columns' => $columns])
            ->assertOk()->assertJsonPath('unreadLines', 1)->assertJsonPath('storeyNames.0.storey', $this->storey(0));
        $values = fn (TestResponse $r): array => array_intersect_key($r->json(), array_flip(['file', 'sheet', 'header', 'columns']));
        $given = $this->edit('given.keep', ['name' => 'Doors'] + $values($read))->json('chosen.0');
        self::assertSame(['Deck' => $this->storey(0)], $this->project()['givens'][0]['columns'][4]['storeys']);

        $again = $this->upload("Mark;Width;Height;Count\nW-01;1100;1200;2\nW-03;900;900;1\n", 'doors.csv')->assertOk();
        $again->assertJsonPath('revised.given', $given)->assertJsonPath('revised.new.0.mark', 'W-03')
            ->assertJsonPath('revised.gone.0.mark', 'W-02')->assertJsonPath('revised.same', 0);
        self::assertStringContainsString("width 1\u{202F}000 → 1\u{202F}100", $again->json('revised.changed.0.what'));
        // what was said of storeys holds under other headings, and all that was said under the same
        self::assertSame(['Deck' => $this->storey(0)], $this->upload("Ref;Width;Height;Level\nW-01;1100;1200;Deck\n", 'Doors.csv')
            ->assertJsonPath('unreadLines', 0)->json('columns.3.storeys'));
        $this->upload("Mark;Width;Height;Count;Storey\nW-01;1100;1200;2;Deck\n", 'Doors.csv')->assertJsonPath('columns', $columns);
        // by itself it says nothing of it, and its name is taken
        $this->postJson($this->at('readings'), ['file' => $again->json('file')])->assertOk()->assertJsonPath('revised', null);
        $this->edit('given.keep', ['name' => 'Doors'] + $values($again))->assertStatus(422)->assertJsonPath('code', 'given.name_taken');
        $this->edit('given.keep', ['id' => $given] + $values($again))->assertOk();
        self::assertSame([['Doors', $again->json('file')]], array_map(
            static fn (array $g): array => [$g['name'], $g['file']], $this->project()['givens'],
        ));
    }

    private function upload(string $content, string $name): TestResponse
    {
        return $this->call(
            'POST',
            $this->at('uploads/schedule?name='.urlencode($name)),
            server: ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'],
            content: $content,
        );
    }

    private function at(string $path): string
    {
        return "/api/projects/{$this->project->id}/$path";
    }
}
