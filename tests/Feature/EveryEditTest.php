<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Assembly\Assembly;
use App\Assembly\Tables;
use App\Assembly\Ties;
use Illuminate\Support\Facades\DB;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Element;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Kinds;
use Isleward\Core\Design\Misfit;
use Isleward\Core\Design\Operation;
use Isleward\Core\Edit\Arguments;
use Isleward\Core\Edit\Edits;
use Isleward\Core\Edit\Scope;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Tests\Support\Described;
use Tests\Support\Spoiled;

/** Laws over every edit there is: it comes to the same on what is loaded for it as on the whole design, and an undo restores exactly. */
final class EveryEditTest extends FurnishedCase
{
    public function test_what_is_loaded_for_an_edit_comes_to_what_the_whole_design_does(): void
    {
        $assembly = $this->app->make(Assembly::class);
        $project = $this->project->refresh();
        $units = $project->settings()->units;
        mt_srand(12);
        $compared = $refused = 0;
        foreach ($this->furnished->edits() as $name => $args) {
            // as it is right, and with one thing of it spoiled
            for ($i = 0; $i < 12; $i++) {
                $given = $i === 0 ? $args : Spoiled::args($args);
                try {
                    $edit = Edits::make($name, new Fields($given, $units));
                    $scope = $edit->scope();
                } catch (Refusal $unread) {
                    self::assertGreaterThan(0, $i, $name.': '.$unread->getMessage());

                    continue;
                }
                $loaded = self::outcome(static fn (): Change => $edit->apply($assembly->design($project, $scope), self::ids()));
                $whole = self::outcome(static fn (): Change => $edit->apply($assembly->design($project, Scope::everything()), self::ids()));
                self::assertFalse($i === 0 && isset($whole['refusal']), $name.': '.($whole['said'] ?? ''));
                self::assertSame($whole, $loaded, $name.' '.json_encode($given, JSON_THROW_ON_ERROR | JSON_PARTIAL_OUTPUT_ON_ERROR));
                $compared++;
                $refused += (int) isset($whole['refusal']);
            }
        }
        self::assertGreaterThan(count(Edits::names()), $compared - $refused, 'of the spoiled ones too some can be done');
        self::assertGreaterThan(20, $refused);
    }

    public function test_every_edit_is_asked_as_it_is_described_and_with_nothing_else(): void
    {
        $edits = $this->furnished->edits();
        self::assertEqualsCanonicalizing(array_keys(Arguments::all()), array_keys($edits));
        self::assertEqualsCanonicalizing(Edits::names(), array_keys($edits));
        foreach ($edits as $name => $args) {
            self::assertNull(Described::only()->faultOfArguments($name, $args));
            self::assertNotNull(Described::only()->faultOfArguments($name, $args + ['walll' => 1]), $name);
            try {
                Edits::make($name, new Fields($args + ['walll' => 1]));
                self::fail("$name took what it has not.");
            } catch (Refusal $refusal) {
                self::assertSame('edit.argument', $refusal->reason);
                self::assertStringContainsString("$name has no “walll”", $refusal->getMessage());
            }
        }
        $this->edit('opening.remove', ['ids' => [$this->furnished->ids['first']], 'keepFigure' => true])->assertStatus(422)
            ->assertJsonPath('code', 'edit.argument')->assertJsonPath('details.field', 'keepFigure');
    }

    public function test_an_undo_of_any_edit_restores_every_row_exactly_and_a_redo_what_it_had_done(): void
    {
        $done = [];
        foreach ($this->furnished->edits() as $name => $args) {
            $before = $this->everyRow();
            $this->edit($name, $args)->assertOk();
            $this->requireTied($name);
            $after = $this->everyRow();
            if ($before === $after) {
                continue;
            }
            $done[] = $name;
            $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
            self::assertSame($before, $this->everyRow(), "$name, undone");
            $this->requireTied("$name, undone");
            $this->postJson("/api/projects/{$this->project->id}/redo")->assertOk();
            self::assertSame($after, $this->everyRow(), "$name, redone");
            $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
            self::assertSame($before, $this->everyRow(), "$name, undone again");
        }
        // each edit there is was done, and changed something
        self::assertEqualsCanonicalizing(Edits::names(), $done);
    }

    /**
     * @param  \Closure(): Change  $do
     * @return array<string, mixed>
     */
    private static function outcome(\Closure $do): array
    {
        try {
            $change = $do();
        } catch (Refusal $refusal) {
            return ['refusal' => $refusal->reason, 'said' => $refusal->getMessage()];
        }
        $operations = array_map(static fn (Operation $o): array => $o->toArray(), $change->operations);
        usort($operations, static fn (array $a, array $b): int => [$a['kind'], $a['id']] <=> [$b['kind'], $b['id']]);

        return ['summary' => $change->summary, 'operations' => $operations, 'chosen' => $change->chosen, 'notes' => $change->notes,
            'misfits' => array_map(static fn (Misfit $m): array => $m->toArray(), $change->misfits)];
    }

    private static function ids(): Ids
    {
        return new class implements Ids
        {
            private int $count = 0;

            public function next(Kind $kind): string
            {
                return $kind->id('new'.++$this->count);
            }
        };
    }

    /** The table of who names whom says what the elements say themselves. */
    private function requireTied(string $when): void
    {
        $assembly = $this->app->make(Assembly::class);
        $ties = static fn (): array => DB::table('ties')->orderBy('from_id')->orderBy('how')->orderBy('to_id')->get()->all();
        $kept = $ties();
        $project = $this->project->refresh();
        $design = $assembly->design($project, Scope::everything())->elements();
        $this->app->make(Ties::class)->rebuild($project, $design);
        self::assertEquals($ties(), $kept, $when);
        self::assertNotSame([], $kept);
        // the structure an edit takes from where it is kept ready is what the tables hold
        foreach (Kinds::bearing() as $kind) {
            $stored = $assembly->elements([$kind->value => $assembly->rows($kind, $project)]);
            foreach ($stored as $element) {
                self::assertEquals($element->toArray(), $design[$element->id()]->toArray(), $when);
            }
            $ids = array_map(static fn (Element $e): string => $e->id(), $stored);
            $ofKind = array_filter($design, static fn (Element $e): bool => $e->kind() === $kind);
            self::assertEqualsCanonicalizing($ids, array_map(strval(...), array_keys($ofKind)), $when);
        }
    }

    /** @return array<string, list<array<string, mixed>>> of every kind, but for what counts changes */
    private function everyRow(): array
    {
        $rows = [];
        foreach (Kind::cases() as $kind) {
            $query = Tables::model($kind)::query()->toBase();
            $query = $kind === Kind::Settings ? $query->where('id', $this->project->id) : $query->where('project_id', $this->project->id);
            $rows[$kind->value] = $query->orderBy('id')->get()->map(static fn (\stdClass $row): array => array_diff_key(
                (array) $row,
                ['change_number' => 1, 'structure_version' => 1, 'updated_at' => 1, 'created_at' => 1],
            ))->all();
        }

        return $rows;
    }
}
