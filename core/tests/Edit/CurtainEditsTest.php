<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\FaceArea;
use Isleward\Core\Building\Places;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Findings;
use Isleward\Core\CurtainWall\LetIn;
use Isleward\Core\CurtainWall\RunMember;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Curtain;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\SectionLine;
use Isleward\Core\Design\Wall;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Section;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Scene\Part;
use Isleward\Core\Scene\Scene;
use Isleward\Core\Tests\Support\Glazed;
use Isleward\Core\Tests\Support\GridSample;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CurtainEditsTest extends TestCase
{
    use Glazed;

    public function test_a_glazed_room_of_three_sides_stands_against_a_wall_with_its_outside_out(): void
    {
        $type = $this->grid(['bays' => ['by' => 'greatest', 'size' => 1200]], 60, 140);
        $this->house->do('grid.change', ['id' => $type, 'corner' => [
            'kind' => 'post', 'profile' => ['shape' => 'rectangle', 'face' => 140, 'depth' => 140],
        ]]);
        // the south face of the house lies on y = 0
        $room = $this->drawn($type, [[2000, 0], [2000, -3200], [6600, -3200], [6600, 0]], ['height' => 2250]);
        $standing = Runs::in($this->house->design)->of($room[1]);
        self::assertSame($room, array_map(static fn (Wall $w): string => $w->id, $standing->walls));
        self::assertSame([0.0, 0.0, 0.0], $standing->starts);
        self::assertEqualsWithDelta((3200 + 4600 + 3200) * 2250.0, $standing->run->faceArea(), 1.0);
        // a post fitted to 90° and 140 along either face is a square of 140
        self::assertCount(2, $standing->run->corners);
        foreach ($standing->run->corners as $post) {
            self::assertSame('corner post', $post->what);
            self::assertEqualsWithDelta(140.0 * 140 * 2250, $post->volume(), 1.0);
        }
        foreach ($room as $i => $id) {
            $out = $this->house->design->wall($id)->surface()->outward(1.0);
            self::assertEqualsWithDelta([[-1.0, 0.0], [0.0, -1.0], [1.0, 0.0]][$i], [$out->x, $out->y], 1e-9);
        }
        self::assertSame(140.0, $this->house->design->wall($room[0])->thickness, 'as deep as its type makes it');
        // turned round it faces into the room: told once, with what puts it right
        $outline = $this->house->design->wall($room[0])->outline;
        $facing = fn (): array => array_values(array_filter(
            array_merge(...array_map(
                fn (string $id): array => Findings::of(
                    $this->house->design,
                    Bodies::one($this->house->design, $this->house->design->wall($id)),
                ),
                $room,
            )),
            static fn (Finding $f): bool => $f->rule === 'run.faces_in',
        ));
        self::assertSame([], $facing());
        $this->house->do('outline.turn', ['id' => $outline]);
        self::assertCount(1, $facing());
        $remedy = $facing()[0]->remedy;
        $this->house->do($remedy->edit ?? '', $remedy->args ?? []);
        self::assertSame([], $facing());
    }

    public function test_a_run_that_is_drawn_into_a_wall_stops_at_its_face(): void
    {
        $room = $this->drawn($this->grid(), [[2000, 200], [2000, -3000], [6000, -3000], [6000, 200]]);
        $standing = Runs::in($this->house->design)->of($room[0]);
        self::assertSame(200.0, $standing->starts[0]);
        self::assertEqualsWithDelta(3000.0, $standing->path->stretches[0]->curve->length(), 1e-6);
        self::assertEqualsWithDelta(3000.0, $standing->path->stretches[2]->curve->length(), 1e-6);
    }

    public function test_a_foot_is_measured_from_its_floor_or_from_the_datum(): void
    {
        $at = [[20000, 0], [24000, 0]];
        [$wall] = $this->drawn($this->grid(), $at, ['base' => $this->house->storey(1), 'top' => $this->house->storey(1)]);
        $foot = fn (): float => Runs::in($this->house->design)->of($wall)->foot;
        $this->house->do('curtain.set', ['walls' => [$wall], 'foot' => 200]);
        self::assertSame(3800.0, $foot());
        $this->house->do('curtain.set', ['walls' => [$wall], 'footFrom' => 'datum']);
        self::assertSame([3800.0, 3800.0], [$foot(), $this->house->design->wall($wall)->curtain?->foot], 'it stays where it is');
        // a storey below that grows takes those along that stand on its floors, not those that stand over the datum
        $this->house->do('storey.change', ['id' => $this->house->storey(0), 'height' => 3700]);
        self::assertSame(3800.0, $foot());
        $body = Bodies::one($this->house->design, $this->house->design->wall($wall));
        $off = array_values(array_filter(
            Findings::of($this->house->design, $body),
            static fn (Finding $f): bool => $f->rule === 'run.off_floor',
        ));
        self::assertSame([100.0], array_map(static fn (Finding $f): float => $f->figure, $off));
        $this->house->do($off[0]->remedy->edit ?? '', $off[0]->remedy->args ?? []);
        self::assertSame(3700.0, $foot());
    }

    /** A house of 12 × 8 m: glass 600 before its south and east walls meets round the corner, and all round it is 13.2 × 9.2 m. */
    public function test_a_run_is_drawn_before_walls_of_an_outline(): void
    {
        $type = $this->grid();
        $walls = array_keys($this->house->design->walls);
        [$south, $east] = $this->house->do('curtain.before', ['walls' => [$walls[1], $walls[0]], 'grid' => $type, 'offset' => 600])->chosen;
        $run = Runs::in($this->house->design)->of($south);
        self::assertSame([$south, $east], array_map(static fn (Wall $w): string => $w->id, $run->walls));
        $south = $this->house->design->wall($south);
        self::assertEqualsWithDelta([0.0, -600.0, 12600.0, -600.0], [$south->from->x, $south->from->y, $south->to->x, $south->to->y], 1e-6);
        $east = $this->house->design->wall($east);
        self::assertEqualsWithDelta([12600.0, 8000.0], [$east->to->x, $east->to->y], 1e-6);
        self::assertSame([$this->house->storey(0), $this->house->storey(1)], [$south->base, $south->top], 'on all storeys of the walls');
        $round = $this->house->do('curtain.before', [
            'walls' => $walls, 'grid' => $type, 'offset' => '600', 'base' => $this->house->storey(1), 'top' => $this->house->storey(1),
        ])->chosen;
        self::assertCount(4, $round);
        self::assertEqualsWithDelta(2 * (13200.0 + 9200.0) * 3600.0, Runs::in($this->house->design)->of($round[0])->run->faceArea(), 1.0);
        foreach ([
            [['walls' => [$walls[0], $walls[2]], 'offset' => 600], 'follow one another'],
            [['walls' => [$walls[0]], 'offset' => 50], 'stand 150 behind its glass: 50 before a wall'],
        ] as [$args, $says]) {
            self::assertStringContainsString($says, $this->refusal('curtain.before', ['grid' => $type] + $args));
        }
    }

    public function test_curtain_wall_is_let_into_a_wall_and_mirrored_about_its_middle(): void
    {
        $door = $this->house->type('D-01')->id;
        $first = $this->letIn($this->grid(['bays' => ['by' => 'sizes', 'sizes' => [1300, 1000], 'after' => 'rest']]));
        $change = $this->house->do('curtain.hand', ['ids' => [$first->id], 'infills' => [
            ['left' => '1', 'foot' => '0', 'infill' => ['kind' => 'door', 'type' => $door]],
        ]]);
        self::assertSame(['The foot member of bay 2 is taken out for the door that stands there.'], $change->notes);
        $copy = $this->house->do('opening.mirror', ['ids' => [$first->id], 'about' => 'middle', 'copy' => true])->chosen[0];
        $design = $this->house->design;
        $area = FaceArea::of($design, $this->house->body());
        self::assertEqualsWithDelta(2 * 4400.0 * 2600, $area->cutOut(), 1.0, 'the wall opens for both');
        [$one, $other] = array_map(
            static fn (string $id): array => LetIn::of($design, Places::in($design)->opening($id))->stretches[0]->grid()->bays->at,
            [$first->id, $copy],
        );
        self::assertEqualsWithDelta([0.0, 1300.0, 2300.0, 4400.0], $one, 1e-9);
        self::assertEqualsWithDelta([0.0, 2100.0, 3100.0, 4400.0], $other, 1e-9);
        self::assertEqualsWithDelta(12000.0, Places::in($design)->opening($first->id)->left + Places::in(
            $design)->opening($copy)->right, 1e-6);
        // made smaller, the wall closes round it; the list no longer fits below 2300
        $this->house->do('opening.change', ['id' => $copy, 'width' => 3000]);
        self::assertEqualsWithDelta((4400.0 + 3000) * 2600, FaceArea::of($this->house->design, $this->house->body())->cutOut(), 1.0);
        self::assertStringContainsString('come to 2 300', $this->refusal('opening.change', ['id' => $copy, 'width' => 2000]));
    }

    public function test_a_wall_becomes_curtain_wall_on_one_of_its_storeys_and_keeps_what_lies_on_the_other(): void
    {
        $grid = $this->grid();
        $wall = $this->house->wall();
        $place = fn (int $storey): string => $this->house->do('opening.place', [
            'host' => $wall->id, 'storey' => $this->house->storey($storey), 'type' => $this->house->type('W-03')->id,
            'position' => ['from' => 'left', 'value' => 2000, 'to' => 'near'],
            'sill' => $storey === 1 ? ['from' => 'foot', 'height' => 4500] : ['from' => 'floor', 'height' => 900],
        ])->chosen[0];
        [$below, $above] = [$place(0), $place(1)];
        $level = Places::in($this->house->design)->opening($above)->sill;
        $args = ['walls' => [$wall->id], 'grid' => $grid, 'base' => $this->house->storey(0), 'top' => $this->house->storey(0)];
        self::assertStringContainsString('1 opening lies where the curtain wall would stand',
            strtolower($this->refusal('curtain.set', $args)));
        $this->house->do('curtain.set', $args + ['withContents' => true]);
        $design = $this->house->design;
        self::assertArrayNotHasKey($below, $design->openings);
        $rest = $design->wall($design->opening($above)->host);
        self::assertSame([$this->house->storey(1), $this->house->storey(1)], [$rest->base, $rest->top]);
        self::assertSame(300.0, $rest->thickness);
        self::assertEqualsWithDelta($level, Places::in($design)->opening($above)->sill, 1e-9, 'it stays where it was');
        self::assertSame($grid, $design->wall($wall->id)->curtain?->grid);
        self::assertStringContainsString('curtain wall: windows and doors fill its cells', $this->refusal('opening.place', [
            'host' => $wall->id, 'storey' => $this->house->storey(0), 'type' => null,
            'position' => ['from' => 'left', 'value' => 2000, 'to' => 'near'],
        ]));
        $this->house->do('curtain.set', ['walls' => [$wall->id], 'grid' => null, 'thickness' => 250]);
        self::assertNull($this->house->design->wall($wall->id)->curtain);
        self::assertSame(250.0, $this->house->design->wall($wall->id)->thickness);
    }

    public function test_a_types_change_reaches_all_its_places_and_those_it_does_not_fit_keep_it_as_it_was(): void
    {
        $type = $this->grid(['bays' => ['by' => 'module', 'size' => 1200]]);
        [$long] = $this->drawn($type, [[20000, 0], [30000, 0]]);
        $narrow = $this->letIn($type, ['width' => 1500]);
        $this->house->do('curtain.hand', ['ids' => [$long], 'lines' => [
            ['axis' => 'upright', 'done' => 'moved', 'line' => '5', 'from' => 'before', 'at' => 700],
        ]]);
        $rules = GridSample::values(['bays' => ['by' => 'module', 'size' => 2600]])['rules'];
        $tried = $this->house->try('grid.change', ['id' => $type, 'rules' => $rules]);
        self::assertSame([$narrow->id], array_column($tried->misfits, 'element'));
        self::assertSame(2, $tried->wanted);
        self::assertCount(1, $tried->notes, 'line 5 is not there any more');
        self::assertStringContainsString('line 5 that was moved is not there any more: the rule sets out 3', $tried->notes[0]);
        $this->refusal('grid.change', ['id' => $type, 'rules' => $rules]);
        $this->house->do('grid.change', ['id' => $type, 'rules' => $rules, 'fit' => 'fitting']);
        $kept = $this->house->design->opening($narrow->id)->curtain?->grid ?? '';
        self::assertNotSame($type, $kept);
        self::assertSame(1200.0, Runs::type($this->house->design, $kept)->rules()->bays->size);
        self::assertSame(2600.0, Runs::type($this->house->design, $type)->rules()->bays->size);
        self::assertStringContainsString('stands in 1 run', $this->refusal('grid.remove', ['id' => $type]));
        $own = $this->house->do('grid.own', ['ids' => [$long]]);
        self::assertNotSame($type, $this->house->design->wall($long)->curtain?->grid);
        self::assertCount(2, $own->operations);
        $this->house->do('grid.remove', ['id' => $type]);
        self::assertArrayNotHasKey($type, $this->house->design->grids);
    }

    public function test_a_deeper_type_makes_its_stretches_deeper(): void
    {
        $type = $this->grid();
        [$stretch] = $this->drawn($type, [[20000, 0], [26000, 0]]);
        $values = GridSample::values();
        $values['rules']['profiles']['mullion']['depth'] = 210;
        $this->house->do('grid.change', ['id' => $type] + $values);
        self::assertSame(210.0, $this->house->design->wall($stretch)->thickness);
    }

    public function test_stretches_of_two_types_make_one_run_with_a_corner_between(): void
    {
        [$a, $b] = $this->drawn($this->grid(), [[20000, 0], [26000, 0], [26000, 6000]]);
        $this->house->do('curtain.set', ['walls' => [$b], 'grid' => $this->grid(['bays' => ['by' => 'count', 'count' => 2]])]);
        $this->house->do('curtain.set', ['walls' => [$b], 'corner' => ['kind' => 'glass', 'joint' => 12]]);
        $standing = Runs::in($this->house->design)->of($a);
        self::assertCount(2, $standing->walls);
        self::assertSame([], $standing->run->corners);
        self::assertCount(3, $standing->run->stretches[1]->grid()->bays->at);
        // another foot parts them
        $this->house->do('curtain.set', ['walls' => [$b], 'foot' => 150]);
        self::assertCount(1, Runs::in($this->house->design)->of($a)->walls);
    }

    /** A right angle cut off a post no deeper than its face would leave a square of its face (50 of 50 × 150). */
    public function test_a_usual_corner_is_as_wide_as_its_mullions_are_deep(): void
    {
        [$a] = $this->drawn($this->grid(), [[20000, 0], [26000, 0], [26000, 6000]]);
        $post = array_values(array_filter(
            Runs::in($this->house->design)->of($a)->run->members(),
            static fn (RunMember $m): bool => $m->what === 'corner post',
        ))[0];
        // 150 × 150 over the storey's 3600
        self::assertEqualsWithDelta(150.0 * 150 * 3600, $post->volume(), 1.0);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function impossible(): iterable
    {
        yield 'a module over the length' => ['grid.add', GridSample::values(['bays' => ['by' => 'module',
            'size' => 0]]) + ['name' => 'x'], 'at least 1'];
        yield 'a section that crosses itself' => ['grid.add', [
            'name' => 'x', 'rules' => ['profiles' => ['mullion' => [
                'shape' => 'polygon', 'points' => [0, 0, 50, 100, 50, 0, 0, 100],
            ]]] + GridSample::values()['rules'],
        ], 'crosses itself'];
        yield 'a unit that is not there' => ['grid.add', [
            'name' => 'x', 'rules' => ['infills' => [['where' => 'everywhere', 'infill' => ['kind' => 'unit', 'type' => 'ty-none']]]]
                + GridSample::values()['rules'],
        ], 'not in this project'];
        yield 'too steep' => ['curtain.set', ['walls' => ['WALL'], 'lean' => 60], '30° was given, which leans 60° from upright'];
        yield 'a side that vanishes' => ['curtain.set', ['walls' => ['WALL', 'NEXT'], 'lean' => 44, 'height' => 9000], 'wide at its head'];
        yield 'a member wider than its cells' => ['curtain.hand', ['ids' => ['WALL'], 'members' => [[
            'axis' => 'upright', 'line' => '1', 'from' => '0', 'profile' => ['shape' => 'rectangle', 'face' => 3000, 'depth' => 100],
        ]]], 'no room'];
        yield 'a line past the end' => ['curtain.hand', ['ids' => ['WALL'], 'lines' => [
            ['axis' => 'upright', 'done' => 'moved', 'line' => '1', 'from' => 'start', 'at' => '99 m'],
        ]], 'past the end'];
        yield 'a line on another' => ['curtain.hand', ['ids' => ['WALL'], 'lines' => [
            ['axis' => 'upright', 'done' => 'moved', 'line' => '1', 'from' => 'before', 'at' => 3000],
        ]], 'would lie on line 2'];
        yield 'a line that no rule sets out' => ['curtain.hand', ['ids' => ['WALL'], 'lines' => [
            ['axis' => 'level', 'done' => 'removed', 'line' => '7'],
        ]], 'the rule sets out 1'];
        yield 'a member where no line is' => ['curtain.hand', ['ids' => ['WALL'], 'members' => [
            ['axis' => 'upright', 'line' => '40', 'from' => '0'],
        ]], 'is not there'];
        yield 'a cell where none is' => ['curtain.hand', ['ids' => ['WALL'], 'infills' => [
            ['left' => '40', 'foot' => '0', 'infill' => ['kind' => 'void']],
        ]], 'is not there'];
        yield 'a free member that touches nothing' => ['curtain.hand', ['ids' => ['WALL'], 'free' => [
            ['fromU' => 20000, 'fromV' => 0, 'toU' => 21000, 'toV' => 500],
        ]], 'touches'];
        yield 'a door in a cell too small' => ['curtain.hand', ['ids' => ['WALL'], 'lines' => [
            ['axis' => 'upright', 'done' => 'added', 'at' => 180],
        ], 'infills' => [['left' => '0', 'foot' => '0', 'infill' => ['kind' => 'door', 'type' => 'DOOR']]]], 'too small for its unit'];
        yield 'what is no curtain wall' => ['curtain.hand', ['ids' => ['HOUSE'], 'resetAll' => true], 'no curtain wall'];
        yield 'a unit and curtain wall' => ['opening.place', [
            'host' => 'HOUSE', 'storey' => 'STOREY', 'type' => 'DOOR', 'grid' => 'GRID',
            'position' => ['from' => 'left', 'value' => 900, 'to' => 'near'],
        ], 'not with both'];
    }

    /** @param  array<string, mixed>  $args */
    #[DataProvider('impossible')]
    public function test_what_cannot_be_built_is_refused_with_its_reason(string $edit, array $args, string $says): void
    {
        $grid = $this->grid();
        [$wall, $next] = $this->drawn($grid, [[20000, 0], [26000, 0], [26000, 5000], [20000, 5000]], ['closed' => true]);
        $ids = [
            'WALL' => $wall, 'NEXT' => $next, 'HOUSE' => $this->house->wall()->id, 'DOOR' => $this->house->type('D-01')->id,
            'GRID' => $grid,
            'STOREY' => $this->house->storey(0),
        ];
        array_walk_recursive($args, static function (mixed &$value) use ($ids): void {
            $value = is_string($value) ? $ids[$value] ?? $value : $value;
        });
        $before = $this->house->design;
        self::assertStringContainsString($says, $this->refusal($edit, $args));
        self::assertSame($before, $this->house->design);
    }

    public function test_a_unit_that_fills_cells_stays_on_the_rack(): void
    {
        $unit = $this->house->type('W-03');
        $type = $this->grid();
        $this->house->do('grid.change', ['id' => $type] + GridSample::values(['infills' => [
            ['where' => 'everywhere', 'infill' => ['kind' => 'vision']],
            ['where' => 'bays', 'numbers' => [1], 'infill' => ['kind' => 'unit', 'type' => $unit->id]],
        ]]));
        self::assertStringContainsString(
            'fills cells of curtain walls, cut-outs of screens or rooflights (CW-01)',
            $this->refusal('type.remove', ['id' => $unit->id]),
        );
    }

    public function test_a_room_stands_on_a_slab_of_its_own(): void
    {
        $room = $this->drawn($this->grid(), [[2000, 0], [2000, -3200], [6600, -3200], [6600, 0]]);
        $outline = $this->house->design->wall($room[0])->outline;
        $this->house->do('outline.change', ['id' => $outline, 'slab' => '15 cm']);
        $bodies = Bodies::of($this->house->design);
        $scene = Scene::of('slab', $this->house->design, [$bodies[$room[0]], $bodies[$room[1]]]);
        $slabs = array_values(array_filter($scene->parts, static fn (Part $p): bool => $p->geometry === 'slab '.$outline));
        self::assertCount(1, $slabs);
        $mesh = array_values($scene->geometries[$slabs[0]->geometry]->meshes)[0];
        self::assertEqualsWithDelta(3200.0 * 4600 * 150, $mesh->volume(), 10.0);
        self::assertSame(0.0, $slabs[0]->z, 'its top is the floor');
        $line = SectionLine::from(new Fields([
            'id' => 'sl-1', 'name' => 'A', 'fromX' => 3000, 'fromY' => -6000, 'toX' => 3000, 'toY' => 4000,
        ]));
        $cut = array_filter(
            Section::of($this->house->design, $bodies, $line)[0]->shapes,
            static fn (Shape $s): bool => $s->layer === Layer::Cut && $s->rings[0][1] === -150.0,
        );
        self::assertCount(1, $cut);
        $this->house->do('outline.change', ['id' => $outline, 'slab' => null]);
        self::assertNull($this->house->design->outline($outline)->slab);
    }

    public function test_a_storey_that_goes_lets_go_what_was_in_line_with_a_wall_on_it_and_lowers_it_in_one(): void
    {
        [$above] = $this->drawn($this->grid(), [[20000, 9000], [26000, 9000]], [
            'base' => $this->house->storey(1), 'top' => $this->house->storey(1),
        ]);
        [$wall] = $this->drawn($this->grid(), [[20000, 0], [26000, 0]]);
        $this->house->do('curtain.set', ['walls' => [$wall], 'bays' => ['walls' => [$above], 'to' => 'grid']]);
        self::assertTrue($this->house->design->wall($wall)->curtain?->isAligned());
        $before = $this->house->design;
        $change = $this->house->do('storey.remove', ['id' => $this->house->storey(1), 'withContents' => true]);
        $after = $this->house->design->wall($wall);
        self::assertSame([false, $after->base], [$after->curtain?->isAligned(), $after->top]);
        self::assertSame($wall, Runs::in($this->house->design)->of($wall)->id());
        self::assertEquals($before->elements(), $this->house->design->after($change->inverse(''))->elements());
    }

    /** What cannot be built is a finding; it does not keep what stands elsewhere from being changed, nor itself from being put right. */
    public function test_a_run_that_cannot_stand_keeps_no_other_wall_from_being_moved(): void
    {
        [$wall] = $this->drawn($this->grid(), [[20000, 0], [26000, 0]]);
        $this->house->do('storey.change', ['id' => $this->house->storey(0), 'height' => 3600]);
        $broken = $this->house->design->wall($wall);
        // as a type or an opening that it is in line with may leave it
        $curtain = Curtain::from(new Fields(['foot' => 7190.0] + ($broken->curtain?->toArray() ?? [])));
        $this->house->design = $this->house->design->after(new Change('', [
            Operation::alter($broken, $broken->withCurtain($curtain, $broken->thickness)),
        ]));
        self::assertNotNull(Runs::in($this->house->design)->whyNot($wall));
        $this->house->do('wall.move', ['wall' => $this->house->wall(1)->id, 'by' => 400]);
        self::assertTrue($this->house->refuses('curtain.set', ['walls' => [$wall], 'foot' => 7150]), 'it cannot stand so either');
        $this->house->do('curtain.set', ['walls' => [$wall], 'foot' => 100]);
        self::assertNull(Runs::in($this->house->design)->whyNot($wall));
    }
}
