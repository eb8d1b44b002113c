<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\Building\Frontages;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\LineAxis;
use Isleward\Core\Design\Operation;
use Isleward\Core\Edit\Edits;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Revision\Difference;
use Isleward\Core\Revision\Folded;
use Isleward\Core\Tests\Support\AnyEdit;
use Isleward\Core\Tests\Support\House;
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
            $house->do(
                'outline.draw',
                ['points' => $points, 'thickness' => '300', 'base' => $house->storey(0), 'top' => $house->storey(0)],
            );
            $bearings = array_map(
                static fn ($f): int => (int) round($f->bearing),
                Frontages::of($house->design, \Isleward\Core\Building\Bodies::of($house->design)),
            );
            sort($bearings);
            self::assertSame([0, 90, 180, 270], $bearings);
            self::assertEqualsWithDelta(0.0, $house->body()->footprint()->bounds()[1] ?? -1, 1e-9, 'thickness grows inward');
        }
    }

    public function test_turning_an_outline_round_turns_its_outside_and_leaves_openings_where_they_are(): void
    {
        $house = House::box(heights: [3000]);
        $places = [];
        foreach ([
            ['left', 1000, 'near'],
            ['right', 700, 'centre'],
            ['middle', 300, 'near'],
            ['fraction', 0.3, 'far'],
        ] as [$from, $value, $to]) {
            $opening = $house->place(['type' => $house->type('W-02')->id, 'position' => ['from' => $from, 'value' => $value, 'to' => $to]]);
            $places[$opening->id] = $house->body()->surface->inPlan($house->placed($opening->id)->left);
        }
        $bearing = static fn (): float => Frontages::of($house->design, \Isleward\Core\Building\Bodies::of($house->design))[0]->bearing;
        $house->do('outline.turn', ['id' => $house->wall()->outline]);
        foreach ($places as $id => $place) {
            $wall = $house->design->opening($id)->host;
            $now = \Isleward\Core\Building\Bodies::of($house->design)[$wall]->surface->inPlan($house->placed($id)->right);
            self::assertTrue($now->isAt($place), 'its left jamb of before is its right jamb now, at the same place');
        }
        self::assertNotEqualsWithDelta(180.0, $bearing(), 1.0);
    }

    /** @param  array<string, mixed>  $args */
    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused_by_code(string $edit, array $args, string $code): void
    {
        $house = House::box(heights: [3000]);
        $args = json_decode(
            str_replace(['"S0"', '"OUTLINE"'], ['"'.$house->storey(0).'"', '"'.$house->wall()->outline.'"'], (string) json_encode($args)),
            true,
        );
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
        yield 'an outline that crosses itself' => [
            'outline.draw',
            ['points' => [[0, 0], [5000, 5000], [5000, 0], [0, 5000]]] + $wall,
            'outline.self_crossing',
        ];
        yield 'too sharp a corner' => ['outline.draw', ['points' => [[0, 0], [9000, 0], [0, 900]]] + $wall, 'outline.too_sharp'];
        yield 'two corners' => ['outline.draw', ['points' => [[0, 0], [9000, 0]]] + $wall, 'outline.too_few'];
        yield 'no thickness' => [
            'outline.draw',
            ['rectangle' => ['width' => 5000, 'depth' => 5000], 'thickness' => 0] + $wall,
            'size.too_small',
        ];
        yield 'thicker than it has room for' => [
            'outline.draw',
            ['rectangle' => ['width' => 500, 'depth' => 5000]] + $wall,
            'wall.too_short',
        ];
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
        for ($i = 0; $i < 3000 || ($i < 12000 && count(array_unique($done)) < count(Edits::names())); $i++) {
            // now and then one that chance has not come to yet
            $yet = $i % 10 === 0 ? array_values(array_diff(Edits::names(), $done))[0] ?? null : null;
            [$edit, $args] = AnyEdit::random($house, $yet);
            try {
                $change = $house->do($edit, $args);
            } catch (Refusal) {
                continue;
            }
            // as it lies in the log
            $operations = array_map(
                static fn (Operation $o): Operation => Operation::from(new Fields(json_decode((string) json_encode($o->toArray()), true))),
                $change->operations,
            );
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
                self::assertSame(
                    self::told($states[$i], $plain($design)),
                    self::told($plain($design), $states[$i]),
                    "undoing change $i: {$changes[$i]->summary}",
                );
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
            $folded = Folded::change(
                '',
                array_map(static fn (Change $c): array => $c->operations, array_slice($changes, $from, $to - $from)),
            );
            self::assertSame(
                self::told($states[$to], $plain($designs[$from]->after($folded))),
                self::told($plain($designs[$from]->after($folded)), $states[$to]),
            );
            self::assertSame(
                self::told($states[$from], $plain($designs[$to]->after($folded->inverse('')))),
                self::told($plain($designs[$to]->after($folded->inverse(''))), $states[$from]),
            );
            $rows = array_column(Difference::between($designs[$from], $designs[$to], $folded), null, 'element');
            foreach ($folded->operations as $operation) {
                $row = $rows[$operation->id] ?? self::fail("{$operation->kind->value} $operation->id is not told");
                self::assertSame(
                    [$operation->before === null, $operation->after === null],
                    [$row['what'] === 'added', $row['what'] === 'removed'],
                );
                self::assertStringEndsWith('.', $row['sentence']);
            }
        }
    }

    /** @return list<string> the elements of one state that are otherwise in another, and the whole when that is not it */
    private static function told(string $state, string $other): array
    {
        [$mine, $theirs] = array_map(static fn (string $s): array => (array) json_decode($s, true), [$state, $other]);
        $differing = array_filter(
            $mine,
            static fn (mixed $e, string $id): bool => json_encode($e) !== json_encode($theirs[$id] ?? null),
            ARRAY_FILTER_USE_BOTH,
        );

        return $differing === [] ? [$state] : array_map(static fn (mixed $e): string => (string) json_encode($e), array_values($differing));
    }

    /** Law: whatever was done, everything can still be drawn. */
    private static function assertAllHasAPlace(Design $design, string $when): void
    {
        try {
            foreach ($design->openings as $opening) {
                Places::in($design)->of($opening);
            }
            foreach ($design->lines as $line) {
                $line->axis === LineAxis::Upright ? Places::in($design)->line($line) : Places::in($design)->lineLevels($line);
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
}
