<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\CurtainWall\Grid;
use Isleward\Core\CurtainWall\GridCell;
use Isleward\Core\CurtainWall\LetIn;
use Isleward\Core\CurtainWall\Lost;
use Isleward\Core\CurtainWall\RunPart;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\CurtainWall\Stretch;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kind;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\Glazed;
use PHPUnit\Framework\TestCase;

final class CurtainHandTest extends TestCase
{
    use Glazed;

    public function test_lines_cells_and_members_are_changed_by_hand_and_reset(): void
    {
        $type = $this->grid(['bays' => ['by' => 'module', 'size' => 1180, 'remainder' => 'both']]);
        // an arc of radius 9000 over a chord of 12500: 13 817.7 long, so 11 modules and 418.8 at either end
        [$arc] = $this->drawn($type, [[20000, 0], ['x' => 32500, 'y' => 0, 'radius' => 9000]]);
        $hand = fn (array $args): Change => $this->house->do('curtain.hand', ['ids' => [$arc]] + $args);
        $bays = fn (): array => Runs::in($this->house->design)->of($arc)->run->stretches[0]->grid()->bays->at;
        $length = 2 * 9000 * asin(12500 / 18000);
        $left = ($length - 11 * 1180) / 2;
        self::assertEqualsWithDelta($left, $bays()[1], 1e-6);
        $hand(['lines' => [['axis' => 'upright', 'done' => 'moved', 'line' => '4', 'from' => 'before', 'at' => '1.75 m']]]);
        self::assertEqualsWithDelta($left + 2 * 1180 + 1750, $bays()[4], 1e-6, 'from its neighbour along the arc');
        $cells = fn (): int => count(Runs::in($this->house->design)->of($arc)->run->stretches[0]->grid()->cells);
        $all = $cells();
        $hand(['members' => [['axis' => 'upright', 'line' => '2', 'from' => '0', 'profile' => null]]]);
        self::assertSame($all - 1, $cells(), 'two cells are one');
        $hand(['lines' => [['axis' => 'upright', 'done' => 'added', 'from' => 'end', 'at' => 200]]]);
        self::assertEqualsWithDelta($length - 200, $bays()[count($bays()) - 2], 1e-6);
        $hand(['reset' => [['of' => 'lines', 'places' => [0]], ['of' => 'members', 'places' => [0]]]]);
        self::assertEqualsWithDelta($left + 3 * 1180, $bays()[4], 1e-6);
        $hand(['resetAll' => true]);
        self::assertSame([], $this->house->design->wall($arc)->curtain?->byHand);
        self::assertStringContainsString('none is drawn across a curved stretch', $this->refusal('curtain.hand', [
            'ids' => [$arc], 'free' => [['fromU' => 0, 'fromV' => 0, 'toU' => 1000, 'toV' => 1000]],
        ]));
        self::assertStringContainsString('cannot lean', $this->refusal('curtain.set', ['walls' => [$arc], 'lean' => 10]));
    }

    public function test_a_line_that_was_added_is_measured_from_the_line_beside_it_and_a_part_of_a_bay_is_joined_again(): void
    {
        [$wall] = $this->drawn($this->grid(), [[20000, 0], [24000, 0]]);
        $hand = fn (array $args): Change => $this->house->do('curtain.hand', ['ids' => [$wall]] + $args);
        $grid = fn (): Grid => Runs::in($this->house->design)->of($wall)->run->stretches[0]->grid();
        $before = count($grid()->cells);
        $hand(['lines' => [['axis' => 'upright', 'done' => 'added', 'at' => 300, 'from' => 'before', 'beside' => '1', 'within' => '0']]]);
        $at = static fn (Grid $g, string $line): float => $g->bays->at[$g->bays->place($line) ?? 99];
        self::assertEqualsWithDelta($at($grid(), '1') + 300.0, $at($grid(), '+1'), 1e-6);
        self::assertCount($before + 1, $grid()->cells);
        // moved from the line after it, it stays in its row and is measured from that one
        $hand(['lines' => [['axis' => 'upright', 'done' => 'moved', 'line' => '+1', 'at' => 400, 'from' => 'after']]]);
        self::assertEqualsWithDelta($at($grid(), '2') - 400.0, $at($grid(), '+1'), 1e-6);
        $kept = $this->house->design->wall($wall)->curtain->byHand['lines'] ?? [];
        self::assertSame(['0', '2'], [$kept[0]['within'] ?? null, $kept[0]['beside'] ?? null]);
        // the two parts of the bay are joined where they are parts, and the line is taken out again
        $hand(['join' => [['left' => '1', 'foot' => '0'], ['left' => '+1', 'foot' => '0']]]);
        self::assertCount($before, $grid()->cells);
        $hand(['lines' => [['axis' => 'upright', 'done' => 'removed', 'line' => '+1']]]);
        self::assertNull($grid()->bays->place('+1'));
        // of a line that is moved in one row alone, that place is moved on, and left out there
        $hand(['lines' => [['axis' => 'upright', 'done' => 'moved', 'line' => '1', 'at' => 900, 'within' => '0']]]);
        $hand(['lines' => [['axis' => 'upright', 'done' => 'moved', 'line' => '1@0', 'at' => 950]]]);
        self::assertEqualsWithDelta(950.0, $at($grid(), '1@0'), 1e-6);
        $hand(['lines' => [['axis' => 'upright', 'done' => 'removed', 'line' => '1@0']]]);
        self::assertNull($grid()->bays->place('1@0'));
        self::assertSame([['1', '0']], $grid()->bays->gaps);
    }

    public function test_free_members_are_mirrored_moved_and_copied(): void
    {
        [$stretch] = $this->drawn($this->grid(['bays' => ['by' => 'count', 'count' => 4]]), [[20000, 0], [26000, 0]]);
        $hand = fn (array $args): Change => $this->house->do('curtain.hand', ['ids' => [$stretch]] + $args);
        $free = fn (): array => Runs::byHand($this->house->design->wall($stretch)->curtain ?? throw new \LogicException)->free;
        $hand(['free' => [['fromU' => 0, 'fromV' => 0, 'toU' => 1500, 'toV' => 1800]]]);
        $hand(['mirror' => ['places' => [0]]]);
        self::assertEqualsWithDelta([4500.0, 1800.0, 6000.0, 0.0], [$free()[1]->from->x, $free()[1]->from->y, $free()[1]->to->x,
            $free()[1]->to->y], 1e-9);
        $hand(['move' => ['places' => [0], 'u' => 1500, 'copy' => true]]);
        self::assertCount(3, $free());
        self::assertSame(1500.0, $free()[2]->from->x);
    }

    /** Bays of 1 500 on two stretches of 6 m, two rows a storey: a cell by a line in it, through its stretch, or through the run. */
    public function test_a_cell_is_divided_in_its_bay_its_stretch_or_the_run(): void
    {
        [$a, $b] = $this->drawn($this->grid(['bays' => ['by' => 'count', 'count' => 4]]), [[20000, 0], [26000, 0], [26000, 6000]]);
        $divide = fn (array $how): Change => $this->house->do('curtain.hand', ['ids' => [$a, $b], 'divide' => [
            ['left' => '1', 'foot' => '0', 'element' => $a] + $how,
        ]]);
        $hand = fn (string $of): array => $this->house->design->wall($of)->curtain?->byHand ?? [];
        $cells = fn (): array => array_map(
            static fn (Stretch $s): int => count($s->grid()->cells),
            Runs::in($this->house->design)->of($a)->run->stretches,
        );
        $before = $cells();
        $divide(['axis' => 'upright']);
        self::assertSame([$before[0] + 1, $before[1]], $cells());
        self::assertEquals([[
            'axis' => 'upright', 'done' => 'added', 'line' => '+1', 'from' => 'before', 'at' => 750.0, 'within' => '0', 'beside' => '1',
        ]], $hand($a)['lines'], 'half way between its lines, kept as it was said');
        // of two cells of a row one line through the stretch is enough
        $this->house->do('curtain.hand', ['ids' => [$a], 'resetAll' => true]);
        $this->house->do('curtain.hand', ['ids' => [$a], 'divide' => [
            ['left' => '1', 'foot' => '0', 'at' => 400, 'through' => 'stretch'],
            ['left' => '2', 'foot' => '0', 'at' => 400, 'through' => 'stretch'],
        ]]);
        self::assertSame([$before[0] + 4, $before[1]], $cells());
        $this->house->do('curtain.hand', ['ids' => [$a], 'resetAll' => true]);
        $divide(['at' => 400, 'through' => 'run']);
        self::assertSame([$before[0] + 4, $before[1] + 4], $cells());
        $this->house->do('curtain.hand', ['ids' => [$a, $b], 'resetAll' => true]);
        // past its own head it is not the next one's to be divided
        $refused = $this->refusal('curtain.hand', ['ids' => [$a], 'divide' => [['left' => '1', 'foot' => '0', 'at' => 2500]]]);
        self::assertStringContainsString('2 500 lies past the end of the cell of bay 2, row 1, which is ', $refused);
        // one that was joined of two bays is divided by a member across both
        $this->house->do('curtain.hand', ['ids' => [$a], 'join' => [['left' => '1', 'foot' => '0'], ['left' => '2', 'foot' => '0']]]);
        $this->house->do('curtain.hand', ['ids' => [$a], 'divide' => [['left' => '1', 'foot' => '0']]]);
        self::assertSame([$before[0], $before[1]], $cells());
        self::assertCount(1, $hand($a)['free']);
    }

    public function test_cells_side_by_side_are_joined_also_where_the_opening_is_mirrored_or_the_arc_in_facets(): void
    {
        $type = $this->grid();
        [$wall] = $this->drawn($type, [[20000, 0], [26000, 0]]);
        [$arc] = $this->drawn($type, [[40000, 0], ['x' => 46000, 'y' => 0, 'rise' => 900]]);
        $opening = $this->letIn($type);
        $this->house->do('opening.mirror', ['ids' => [$opening->id], 'about' => 'middle', 'copy' => false]);
        $this->house->do('curtain.set', ['walls' => [$arc], 'faceted' => true]);
        $cells = fn (string $id): array => array_merge(...array_map(
            static fn (Stretch $s): array => $s->grid()->cells,
            Kind::Opening->isOf($id)
                ? LetIn::of($this->house->design, $this->house->placed($id))->stretches
                : array_map(
                    static fn (RunPart $p): Stretch => $p->stretch,
                    Runs::in($this->house->design)->of($id)->partsOf(0),
                ),
        ));
        foreach ([$wall, $opening->id] as $id) {
            $before = $cells($id);
            $ofFoot = array_values(array_filter($before, static fn (GridCell $c): bool => $c->row === 0 && $c->bay < 2));
            $this->house->do('curtain.hand', ['ids' => [$id], 'join' => array_map(
                static fn (GridCell $c): array => ['left' => $c->left, 'foot' => $c->foot],
                $ofFoot,
            )]);
            $after = $cells($id);
            self::assertCount(count($before) - 1, $after);
            $one = array_values(array_filter($after, static fn (GridCell $c): bool => $c->row === 0 && $c->bay === 0))[0];
            self::assertSame([2, 1], [$one->bays, $one->rows], 'the two that were named, and no others');
        }
        $before = $cells($arc);
        $this->house->do('curtain.hand', ['ids' => [$arc], 'join' => [['left' => '1', 'foot' => '0'], ['left' => '1', 'foot' => '1']]]);
        self::assertCount(count($before) - 1, $cells($arc));
        self::assertSame('Those cells do not lie side by side.', $this->refusal('curtain.hand', ['ids' => [$wall], 'join' => [
            ['left' => '0', 'foot' => '0'], ['left' => '3', 'foot' => '1'],
        ]]));
    }

    public function test_each_of_several_changes_is_for_the_stretch_it_names(): void
    {
        [$a, $b] = $this->drawn($this->grid(), [[20000, 0], [26000, 0], [26000, 6000]]);
        $void = static fn (string $element, string $left): array => [
            'element' => $element, 'left' => $left, 'foot' => '0', 'infill' => ['kind' => 'void'],
        ];
        $this->house->do('curtain.hand', ['ids' => [$a, $b], 'infills' => [$void($a, '1'), $void($b, '2')]]);
        $open = fn (string $id): array => array_column(
            Runs::byHand($this->house->design->wall($id)->curtain ?? throw new \LogicException)->toArray()['infills'],
            'left',
        );
        self::assertSame([['1'], ['2']], [$open($a), $open($b)]);
    }

    /** Law (seeded): what is given by hand is refused and changes nothing, or stands; it is never taken and then left out. */
    public function test_what_is_given_by_hand_stands_or_is_refused(): void
    {
        mt_srand(20261127);
        [$wall] = $this->drawn($this->grid(['bays' => ['by' => 'module', 'size' => 1100]]), [[20000, 0], [26000, 0]]);
        $refused = $done = 0;
        for ($n = 0; $n < 150; $n++) {
            $line = (string) mt_rand(0, 8);
            $axis = mt_rand(0, 2) === 0 ? 'level' : 'upright';
            $kind = ['lines', 'members', 'infills'][mt_rand(0, 2)];
            $given = match ($kind) {
                'lines' => [
                    'axis' => $axis, 'done' => ['moved', 'removed', 'added'][mt_rand(0, 2)], 'line' => $line,
                    'from' => ['start', 'end', 'before', 'after'][mt_rand(0, 3)], 'at' => mt_rand(-500, 7000),
                ],
                'members' => ['axis' => $axis, 'line' => $line, 'from' => (string) mt_rand(0, 3)],
                default => ['left' => $line, 'foot' => (string) mt_rand(0, 2), 'infill' => ['kind' => 'void']],
            };
            $before = $this->house->design;
            $lost = static fn (Design $d): array => Runs::in($d)->of($wall)->run->lost();
            try {
                $this->house->do('curtain.hand', ['ids' => [$wall], $kind => [$given]]);
                $done++;
                $more = Lost::since($lost($this->house->design), $lost($before));
                self::assertNotContains($kind, array_map(static fn (Lost $l): string => $l->of, $more), (string) json_encode($given));
            } catch (Refusal $refusal) {
                $refused++;
                self::assertSame($before, $this->house->design);
                self::assertStringEndsWith('.', $refusal->getMessage());
            }
            if ($n % 12 === 11) {
                $this->house->do('curtain.hand', ['ids' => [$wall], 'resetAll' => true]);
                self::assertSame([], $lost($this->house->design));
            }
        }
        self::assertGreaterThan(30, $refused);
        self::assertGreaterThan(30, $done);
    }

    public function test_a_change_that_takes_anothers_ground_away_is_done_and_tells_what_became_of_that(): void
    {
        [$wall] = $this->drawn($this->grid(), [[20000, 0], [26000, 0]]);
        $this->house->do('curtain.hand', ['ids' => [$wall], 'infills' => [
            ['left' => '2', 'foot' => '0', 'infill' => ['kind' => 'void']],
        ]]);
        $change = $this->house->do('curtain.hand', ['ids' => [$wall], 'lines' => [
            ['axis' => 'upright', 'done' => 'removed', 'line' => '2'],
        ]]);
        self::assertSame(['The cell at line 2 over line 0 is not there any more.'], $change->notes);
        // and another line may still be changed, though that cell stays lost
        self::assertSame([], $this->house->do('curtain.hand', ['ids' => [$wall], 'lines' => [
            ['axis' => 'upright', 'done' => 'moved', 'line' => '1', 'from' => 'start', 'at' => 1400],
        ]])->notes);
    }
}
