<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\LineAxis;
use Isleward\Core\Edit\Change;
use Isleward\Core\Edit\Edits;
use Isleward\Core\Edit\Operation;
use Isleward\Core\Fields;
use Isleward\Core\Refusal;
use Isleward\Core\Revision\Difference;
use Isleward\Core\Revision\Folded;
use Isleward\Core\Tests\Support\House;
use Isleward\Core\Wall\Frontages;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BuildingEditsTest extends TestCase
{
    public function test_storeys_are_inserted_and_what_stands_above_moves_up(): void
    {
        $house = House::box(heights: [4200, 3600]);
        $id = $house->place(['left' => 1000, 'type' => $house->type('W-03')->id], storey: 1)->id;
        $house->do('storey.insert', ['above' => $house->storey(0), 'name' => 'Mezzanine', 'height' => 2400]);
        self::assertSame(['S0', 'Mezzanine', 'S1'], array_map(static fn ($s): string => $s->name, $house->design->storeys->all));
        self::assertEqualsWithDelta(4200 + 2400 + 900, $house->placed($id)->sill, 1e-9);
        self::assertEqualsWithDelta(10200.0, $house->body()->head, 1e-9);
    }

    public function test_a_storey_that_carries_things_says_what_would_go_first(): void
    {
        $house = House::box(heights: [4200, 3600]);
        $house->place(['left' => 1000, 'type' => $house->type('W-03')->id], storey: 1);
        $before = $house->design;
        try {
            $house->do('storey.remove', ['id' => $house->storey(1)]);
            self::fail('It went without a word.');
        } catch (Refusal $refusal) {
            self::assertSame('storey.carries', $refusal->reason);
            self::assertStringContainsString('1 opening', $refusal->getMessage());
        }
        self::assertSame($before, $house->design);
        $house->do('storey.remove', ['id' => $house->storey(1), 'withContents' => true]);
        self::assertCount(0, $house->design->openings);
        self::assertEqualsWithDelta(4200.0, $house->body()->head, 1e-9);
    }

    public function test_an_outline_has_its_outside_outside_however_it_is_drawn(): void
    {
        foreach ([[[0, 0], [9000, 0], [9000, 6000], [0, 6000]], [[0, 0], [0, 6000], [9000, 6000], [9000, 0]]] as $points) {
            $house = House::box(heights: [3000]);
            $house->do('outline.remove', ['id' => $house->wall()->outline]);
            $house->do('outline.draw', ['points' => $points, 'thickness' => '300', 'base' => $house->storey(0), 'top' => $house->storey(0)]);
            $bearings = array_map(static fn ($f): int => (int) round($f->bearing), Frontages::of($house->design, \Isleward\Core\Wall\Bodies::of($house->design)));
            sort($bearings);
            self::assertSame([0, 90, 180, 270], $bearings);
            self::assertEqualsWithDelta(0.0, $house->body()->footprint()->bounds()[1] ?? -1, 1e-9, 'thickness grows inward');
        }
    }

    public function test_turning_an_outline_round_turns_its_outside_and_leaves_openings_where_they_are(): void
    {
        $house = House::box(heights: [3000]);
        $places = [];
        foreach ([['left', 1000, 'near'], ['right', 700, 'centre'], ['middle', 300, 'near'], ['fraction', 0.3, 'far']] as [$from, $value, $to]) {
            $opening = $house->place(['type' => $house->type('W-02')->id, 'position' => ['from' => $from, 'value' => $value, 'to' => $to]]);
            $places[$opening->id] = $house->body()->surface->inPlan($house->placed($opening->id)->left);
        }
        $bearing = static fn (): float => Frontages::of($house->design, \Isleward\Core\Wall\Bodies::of($house->design))[0]->bearing;
        $house->do('outline.turn', ['id' => $house->wall()->outline]);
        foreach ($places as $id => $place) {
            $wall = $house->design->opening($id)->wall;
            $now = \Isleward\Core\Wall\Bodies::of($house->design)[$wall]->surface->inPlan($house->placed($id)->right);
            self::assertTrue($now->isAt($place), 'its left jamb of before is its right jamb now, at the same place');
        }
        self::assertNotEqualsWithDelta(180.0, $bearing(), 1.0);
    }

    /** @param  array<string, mixed>  $args */
    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused_by_code(string $edit, array $args, string $code): void
    {
        $house = House::box(heights: [3000]);
        $args = json_decode(str_replace(['"S0"', '"OUTLINE"'], ['"'.$house->storey(0).'"', '"'.$house->wall()->outline.'"'], (string) json_encode($args)), true);
        try {
            $house->do($edit, is_array($args) ? $args : []);
            self::fail('It was done.');
        } catch (Refusal $refusal) {
            self::assertSame($code, $refusal->reason, $refusal->getMessage());
        }
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function nonsense(): iterable
    {
        $wall = ['thickness' => 300, 'base' => 'S0', 'top' => 'S0'];
        yield 'an edit there is not' => ['wall.explode', [], 'edit.unknown'];
        yield 'a storey of height 0' => ['storey.insert', ['above' => 'S0', 'name' => 'Flat', 'height' => 0], 'size.too_small'];
        yield 'a storey without a name' => ['storey.change', ['id' => 'S0', 'name' => '  '], 'field.name'];
        yield 'the last storey' => ['storey.remove', ['id' => 'S0', 'withContents' => true], 'storey.last'];
        yield 'a wall of no length' => ['outline.draw', ['points' => [[0, 0], [0, 0], [5000, 5000]]] + $wall, 'outline.no_length'];
        yield 'an outline that crosses itself' => ['outline.draw', ['points' => [[0, 0], [5000, 5000], [5000, 0], [0, 5000]]] + $wall, 'outline.self_crossing'];
        yield 'too sharp a corner' => ['outline.draw', ['points' => [[0, 0], [9000, 0], [0, 900]]] + $wall, 'outline.too_sharp'];
        yield 'two corners' => ['outline.draw', ['points' => [[0, 0], [9000, 0]]] + $wall, 'outline.too_few'];
        yield 'no thickness' => ['outline.draw', ['rectangle' => ['width' => 5000, 'depth' => 5000], 'thickness' => 0] + $wall, 'size.too_small'];
        yield 'thicker than it has room for' => ['outline.draw', ['rectangle' => ['width' => 500, 'depth' => 5000]] + $wall, 'wall.too_short'];
        yield 'a corner that is none' => ['outline.draw', ['points' => [[0, 0], ['a', 0], [1, 1]]] + $wall, 'outline.point'];
        yield 'a negative margin' => ['settings.change', ['cornerMargin' => -1], 'settings.margin'];
        yield 'a bearing beyond the circle' => ['settings.change', ['north' => 400], 'settings.north'];
        yield 'units there are not' => ['settings.change', ['units' => 'cubits'], 'field.invalid'];
        yield 'nothing chosen' => ['opening.remove', ['ids' => []], 'opening.none'];
    }

    /** Law: undoing any run of edits gives back exactly the design there was, and redoing it the design there came to be. */
    public function test_undo_restores_exactly(): void
    {
        mt_srand(20261124);
        $house = House::box(heights: [3600, 3000, 3000]);
        $plain = static fn (Design $d): string => json_encode(self::sorted($d), JSON_THROW_ON_ERROR);
        $states = [$plain($house->design)];
        $designs = [$house->design];
        $changes = $done = [];
        for ($i = 0; $i < 3000; $i++) {
            [$edit, $args] = self::randomEdit($house);
            try {
                $change = $house->do($edit, $args);
            } catch (Refusal) {
                continue;
            }
            // as it lies in the log
            $operations = array_map(static fn (Operation $o): Operation => Operation::from(new Fields(json_decode((string) json_encode($o->toArray()), true))), $change->operations);
            $changes[] = new Change($change->summary, $operations);
            $states[] = $plain($house->design);
            $designs[] = $house->design;
            $done[] = $edit;
            self::assertAllHasAPlace($house->design, "after $i: {$change->summary}");
        }
        self::assertGreaterThan(1200, count($changes));
        $missing = array_diff(Edits::names(), $done);
        self::assertSame([], array_values($missing), 'every edit there is has been done');
        $design = $house->design;
        for ($i = count($changes) - 1; $i >= 0; $i--) {
            $design = $design->after($changes[$i]->inverse(''));
            if ($states[$i] !== $plain($design)) {
                self::assertSame(self::told($states[$i], $plain($design)), self::told($plain($design), $states[$i]), "undoing change $i: {$changes[$i]->summary}");
            }
        }
        foreach ($changes as $i => $change) {
            $design = $design->after($change);
        }
        self::assertSame(md5($states[count($changes)]), md5($plain($design)));
        self::assertStretchesFold($changes, $states, $designs, $plain);
    }

    /**
     * Law: a stretch of changes folded into one makes the later state of the earlier one, and its inverse the earlier of the later;
     * what differs between them is told for every opening that came, went or changed.
     *
     * @param  list<Change>  $changes
     * @param  list<string>  $states
     * @param  list<Design>  $designs
     * @param  \Closure(Design): string  $plain
     */
    private static function assertStretchesFold(array $changes, array $states, array $designs, \Closure $plain): void
    {
        for ($n = 0; $n < 80; $n++) {
            $from = mt_rand(0, count($changes) - 2);
            $to = min(count($changes), $from + mt_rand(1, 60));
            $folded = Folded::change('', array_map(static fn (Change $c): array => $c->operations, array_slice($changes, $from, $to - $from)));
            self::assertSame(self::told($states[$to], $plain($designs[$from]->after($folded))), self::told($plain($designs[$from]->after($folded)), $states[$to]));
            self::assertSame(self::told($states[$from], $plain($designs[$to]->after($folded->inverse('')))), self::told($plain($designs[$to]->after($folded->inverse(''))), $states[$from]));
            $rows = array_column(Difference::between($designs[$from], $designs[$to], $folded), null, 'element');
            foreach ($folded->operations as $operation) {
                $row = $rows[$operation->id] ?? self::fail("{$operation->kind->value} $operation->id is not told");
                self::assertSame([$operation->before === null, $operation->after === null], [$row['what'] === 'added', $row['what'] === 'removed']);
                self::assertStringEndsWith('.', $row['sentence']);
            }
        }
    }

    /** @return list<string> the elements of one state that are otherwise in another, and the whole when that is not it */
    private static function told(string $state, string $other): array
    {
        [$mine, $theirs] = array_map(static fn (string $s): array => (array) json_decode($s, true), [$state, $other]);
        $differing = array_filter($mine, static fn (mixed $e, string $id): bool => json_encode($e) !== json_encode($theirs[$id] ?? null), ARRAY_FILTER_USE_BOTH);

        return $differing === [] ? [$state] : array_map(static fn (mixed $e): string => (string) json_encode($e), array_values($differing));
    }

    /** Law: whatever was done, everything can still be drawn. */
    private static function assertAllHasAPlace(Design $design, string $when): void
    {
        try {
            foreach ($design->openings as $opening) {
                $design->places->of($opening);
            }
            foreach ($design->lines as $line) {
                $line->axis === LineAxis::Upright ? $design->places->line($line) : $design->places->lineLevels($line);
            }
        } catch (Refusal $refusal) {
            self::fail("$when: {$refusal->getMessage()}");
        }
    }

    /** @return array<string, mixed> */
    private static function sorted(Design $design): array
    {
        $elements = array_map(static fn ($e): array => $e->toArray(), $design->elements());
        ksort($elements);

        return $elements;
    }

    /** @return array{string, array<string, mixed>} one of all the edits there are */
    private static function randomEdit(House $house): array
    {
        $design = $house->design;
        $pick = static fn (array $of): mixed => $of === [] ? null : array_values($of)[mt_rand(0, count($of) - 1)];
        $some = static fn (array $of, int $most): array => array_values(array_unique(array_filter(array_map(static fn (): ?string => $pick($of)?->id, range(1, $most)))));
        $storey = $pick($design->storeys->all)->id;
        $wall = $pick($design->walls)?->id;
        $opening = $pick($design->openings)?->id ?? 'op-none';
        $openings = $some($design->openings, 4);
        $edit = mt_rand(0, 3) === 0 ? $pick(['opening.place', 'opening.change']) : $pick(Edits::names());
        $along = static fn (): array => match ($r = $pick(['left', 'right', 'middle', 'fraction', 'point', 'line', 'opening'])) {
            'fraction' => ['from' => $r, 'value' => mt_rand(0, 100) / 100],
            'point' => ['from' => $r, 'at' => mt_rand(0, 9000), 'value' => mt_rand(-300, 300) / 7],
            'line' => ['from' => $r, 'ref' => $pick($design->lines)?->id, 'value' => mt_rand(-900, 900) / 7],
            'opening' => ['from' => $r, 'ref' => $opening, 'point' => $pick(['left', 'centre', 'right']), 'value' => mt_rand(-2000, 4000) / 7],
            default => ['from' => $r, 'value' => mt_rand(0, 12000) / 7, 'face' => $pick(['outer', 'inner'])],
        };
        $sill = static fn (): array => match ($r = $pick(['floor', 'floor', 'foot', 'datum', 'line', 'opening'])) {
            'line' => ['from' => $r, 'ref' => $pick($design->lines)?->id, 'height' => 10, 'edge' => $pick(['sill', 'head'])],
            'opening' => ['from' => $r, 'ref' => $opening, 'point' => $pick(['sill', 'head']), 'edge' => $pick(['sill', 'head']), 'height' => mt_rand(-90, 90) / 7],
            default => ['from' => $r, 'height' => mt_rand(0, 2000) / 3],
        };
        $kept = static fn (Kind $kind, string $none = 'none'): string => $pick(array_filter($design->kept, static fn ($k): bool => $k->kind() === $kind))?->id() ?? $none;
        $fit = ['fit' => $pick(['all', 'fitting', 'fitting'])];

        return [$edit, match ($edit) {
            'settings.change' => ['cornerMargin' => mt_rand(0, 300), 'north' => mt_rand(0, 359), 'units' => $pick(['mm', 'm', 'ft-in']), 'nib' => mt_rand(0, 300), 'module' => $pick([null, ['length' => 200, 'height' => 100, 'joint' => 8]]), 'slab' => mt_rand(100, 400), 'setting' => mt_rand(0, 50)],
            'storey.insert' => ['above' => mt_rand(0, 3) === 0 ? null : $storey, 'name' => 'N'.mt_rand(), 'height' => mt_rand(24, 48) * 100 + 0.1],
            'storey.change' => ['id' => $storey, 'name' => 'R'.mt_rand(), 'height' => mt_rand(24, 48) * 100],
            'storey.remove' => ['id' => $storey, 'withContents' => count($design->storeys->all) > 4],
            'outline.draw' => mt_rand(0, 1) === 0
                ? ['rectangle' => ['x' => mt_rand(0, 50) * 1000, 'width' => mt_rand(3, 30) * 1000, 'depth' => 7000 / 3], 'thickness' => mt_rand(100, 400), 'base' => $storey, 'top' => $storey]
                : ['points' => [[$x = mt_rand(1, 11) * 1000, 200], [$x, 7800]], 'closed' => false, 'inner' => true, 'thickness' => 100, 'base' => $storey, 'top' => $storey],
            'outline.turn' => ['id' => $pick($design->outlines)?->id],
            'outline.remove' => ['id' => $pick($design->outlines)?->id, 'withContents' => count($design->outlines) > 3],
            'outline.recess' => ['wall' => $wall, 'from' => 0, 'to' => mt_rand(5, 40) * 100, 'depth' => mt_rand(3, 12) * 100],
            'wall.change' => ['walls' => [$wall], 'thickness' => mt_rand(100, 500), 'top' => $storey],
            'wall.move' => ['wall' => $wall, 'by' => mt_rand(-900, 900) / 7],
            'wall.turn' => ['wall' => $wall, 'degrees' => mt_rand(-60, 60) / 7, 'about' => $pick(['left', 'middle', 'right'])],
            'wall.stack' => ['walls' => [$wall], 'from' => $design->walls[$wall]->base ?? $storey, 'storeys' => [$storey]] + $fit,
            'line.add' => ['wall' => $wall] + $pick([['axis' => 'upright', 'rule' => $along()], ['axis' => 'level', 'rule' => ['edge' => 'sill'] + $sill(), 'storey' => $pick([null, $storey])], ['axis' => 'upright', 'parts' => mt_rand(2, 4)], ['axis' => 'upright', 'percentages' => [12.5, 99]]]),
            'line.across' => ['id' => $pick($design->lines)?->id ?? 'li-none', 'side' => $pick(['left', 'right'])],
            'line.change' => ['id' => $pick($design->lines)?->id ?? 'li-none', 'by' => mt_rand(-700, 700) / 7, 'name' => 'M'.mt_rand()],
            'line.remove' => ['ids' => $some($design->lines, 2), 'keepFigures' => true],
            'opening.place' => ['wall' => $wall, 'storey' => $storey, 'type' => $pick([...array_values($design->types), null])?->id, 'position' => $along() + ['to' => $pick(['near', 'far', 'centre'])], 'sill' => $sill()],
            'opening.change' => mt_rand(0, 3) === 0 ? ['ids' => $openings, 'width' => $pick(['+10', '-10', '900']), 'keep' => $pick(['sill', 'head']), 'head' => '+5'] + $fit : ['id' => $opening] + $pick([
                ['by' => ['u' => mt_rand(-500, 500) / 3]], ['by' => ['v' => 10]], ['width' => mt_rand(600, 2000)], ['head' => 2400], ['facesOut' => false], ['mirrored' => true],
                ['setback' => mt_rand(0, 200)], ['measure' => $along() + ['to' => 'centre']], ['measureSill' => $sill()], ['type' => null], ['ajar' => $pick([null, 0.25, 1.0])],
            ]),
            'opening.remove' => ['ids' => array_slice($openings, 0, 2), 'keepFigures' => true],
            'opening.repeat' => ['ids' => [$opening]] + $pick([['pitch' => mt_rand(-3000, 3000), 'count' => mt_rand(1, 4)], ['by' => 'ends', 'count' => mt_rand(1, 4)], ['by' => 'fit', 'pier' => mt_rand(900, 3000)]]) + $fit,
            'opening.space' => ['ids' => $openings, 'between' => $pick(['outer', 'ends']), 'by' => $pick(['gaps', 'centres'])] + $fit,
            'opening.copy' => ['ids' => array_slice($openings, 0, 2)] + $pick([['walls' => $some($design->walls, 2)], ['walls' => 'opposite'], ['pick' => ['opening' => $openings[0] ?? 'op-none', 'point' => 'centre'], 'put' => ['wall' => $wall, 'storey' => $storey, 'from' => 'middle', 'value' => 0]]]) + $fit,
            'opening.stack' => ['ids' => array_slice($openings, 0, 2), 'storeys' => $pick([[$storey], 'all'])] + $fit,
            'opening.mirror' => ['ids' => $openings, 'about' => $pick(['middle', 'outline']), 'copy' => (bool) mt_rand(0, 1), 'along' => (bool) mt_rand(0, 1)] + $fit,
            'opening.align' => ['ids' => $openings, 'edge' => $pick(['head', 'sill', 'left', 'right', 'centre']), 'to' => $pick(['below', $openings[0] ?? 'below']), 'hold' => (bool) mt_rand(0, 1)] + $fit,
            'opening.carry' => ['from' => $opening, 'ids' => $openings, 'settings' => $pick([['type', 'width'], ['sill', 'head'], ['height', 'facing', 'handing'], ['setback', 'shape'], ['ajar']])] + $fit,
            'opening.fill' => ['ids' => array_keys($design->openings) ?: ['op-none'], 'door' => $pick($design->types)->id, 'window' => $pick($design->types)->id],
            'opening.empty' => ['ids' => $openings],
            'type.change' => ['id' => $pick($design->types)?->id, 'fit' => $pick(['all', 'fitting'])] + $pick([['name' => 'renamed '.mt_rand()], ['width' => mt_rand(600, 3000), 'height' => mt_rand(600, 3000)],
                ['tree' => $pick($design->types)?->tree()->toArray()], ['tree' => ['outline' => ['kind' => 'arch', 'form' => 'semicircular']] + ($pick($design->types)?->tree()->toArray() ?? [])]]),
            'type.remove' => ['id' => $pick($design->types)?->id, 'instead' => $pick([null, $pick($design->types)?->id])],
            'type.import' => ['document' => json_decode(\Isleward\Core\Exchange\TypesJson::write($design->settings, [$pick($design->types)]), true)],
            'opening.own-type' => ['ids' => [$opening]],
            'set.keep' => ['name' => 'S'.mt_rand(), 'members' => [...$openings, $wall]],
            'given.keep' => ['name' => 'G'.mt_rand(), 'file' => md5((string) mt_rand()).'.json', 'sheet' => 0, 'header' => $pick([null, 2]), 'columns' => [['role' => 'mark'], ['role' => 'width', 'unit' => $pick(['mm', 'ft'])], ['role' => 'on-storey', 'storey' => $storey]]],
            'given.remove' => ['id' => $kept(Kind::Given)],
            'layout.keep' => ['source' => 'openings', 'name' => 'L'.mt_rand(), 'columns' => [['key' => 'mark', 'name' => $pick([null, 'Ref'])]], 'merge' => (bool) mt_rand(0, 1)] + $pick([[], ['id' => $kept(Kind::Layout)]]),
            'layout.remove' => ['id' => $kept(Kind::Layout)],
            'section.keep' => ['name' => 'X'.mt_rand(), 'fromX' => mt_rand(-900, 900) / 7, 'fromY' => -1000, 'toX' => mt_rand(0, 9000), 'toY' => 9000],
            'section.remove' => ['id' => $kept(Kind::Section)],
            'sheet.keep' => ['name' => 'T', 'number' => 'A'.mt_rand(), 'paper' => $pick(['A3', 'ANSI-D']), 'items' => [['kind' => 'plan', 'ref' => $storey, 'scale' => $pick([50, 96]), 'x' => mt_rand(0, 900) / 7, 'y' => 20]]],
            'sheet.remove' => ['id' => $kept(Kind::Sheet)],
            'tracing.keep' => ['name' => 'T'.mt_rand(), 'storeys' => [$storey], 'file' => md5('x').$pick(['.json', '.png']), 'width' => 800, 'height' => 600.5, 'x' => 0, 'y' => mt_rand(-900, 900) / 7, 'scale' => mt_rand(1, 900) / 7, 'locked' => mt_rand(0, 3) === 0],
            'tracing.remove' => ['id' => $kept(Kind::Tracing)],
            'tracing.place' => ['id' => $kept(Kind::Tracing), 'a' => [mt_rand(0, 900) / 7, 10]] + $pick([['b' => [2000, 20], 'distance' => '3.2 m'], ['to' => [100, 200.5]], ['to' => [100, 200.5], 'b' => [3000, 40], 'towards' => [mt_rand(0, 900) / 7, 9000]]]),
            'picture.keep' => ['name' => 'P'.mt_rand(), 'file' => md5('x').'.png'],
            'picture.remove' => ['id' => $kept(Kind::Picture)],
            'opening.from-marks' => ['storey' => $storey, 'marks' => [['wall' => $wall, 'from' => $from = mt_rand(0, 60000) / 7, 'to' => $from + mt_rand(300, 2000)]], 'rounded' => (bool) mt_rand(0, 1), 'type' => $pick([null, $pick($design->types)?->id])],
            'opening.number' => ['text' => $pick(['{storey}.{n}', '{type}/{n}', '']), 'order' => $pick(['storey', 'along']), 'start' => mt_rand(0, 9)] + $pick([[], ['ids' => $openings], ['keep' => true]]),
            'type.from-lines' => ['fit' => 'fitting', 'lines' => [['mark' => 'G-'.mt_rand(0, 9), 'kind' => $pick(['pair of doors', 'fixed', 'tilt and turn', 'xyz']), 'width' => 900.5, 'height' => mt_rand(500, 2500), 'sill' => $pick([null, 100])]]],
            'set.remove' => ['id' => $kept(Kind::Set, 'se-none')],
            'finding.accept' => ['wall' => $wall, 'finding' => 'opening.overlap '.$opening, 'figure' => mt_rand(0, 100) / 3, 'note' => 'n'],
            'finding.reopen' => ['id' => $pick($design->acceptances)?->id ?? 'ac-none'],
            'type.add' => ['mark' => 'T-'.mt_rand()] + \Isleward\Core\Unit\Stock::types()[mt_rand(0, 11)],
            default => throw new \LogicException("The random run knows nothing to try with $edit."),
        }];
    }
}
