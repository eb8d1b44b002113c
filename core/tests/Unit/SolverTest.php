<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Unit;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\Units;
use Isleward\Core\Unit\HingeSide;
use Isleward\Core\Unit\Solver;
use Isleward\Core\Unit\Stock;
use Isleward\Core\Unit\UnitTree;
use PHPUnit\Framework\TestCase;

final class SolverTest extends TestCase
{
    /** W-03 by hand: frame 55/55/60, mullion 70, two sashes of 60 in 1200 × 1450. */
    public function test_a_side_hung_pair_by_hand(): void
    {
        $unit = Solver::solve(self::tree('W-03'), 1200, 1450);
        $light = (1200 - 2 * 55 - 70) / 2;
        $pane = ($light - 120) * (1450 - 55 - 60 - 120);
        self::assertCount(2, $unit->panes);
        self::assertEqualsWithDelta(2 * $pane, $unit->glassArea(), 1e-6);
        self::assertSame([HingeSide::Left, HingeSide::Right], array_map(static fn ($l): HingeSide => $l->hinge, $unit->lights));
        self::assertEqualsWithDelta(1 - 2 * $pane / (1200 * 1450), $unit->frameShare(), 1e-12);
    }

    public function test_handing_mirrors_everything(): void
    {
        $plain = Solver::solve(self::tree('D-01'), 1000, 2150);
        $mirrored = Solver::solve(self::tree('D-01'), 1000, 2150, true);
        self::assertSame(HingeSide::Left, $plain->lights[0]->hinge);
        self::assertSame(HingeSide::Right, $mirrored->lights[0]->hinge);
        self::assertTrue($plain->hasDoor());
    }

    public function test_fixed_parts_that_leave_no_room_are_refused_with_figures(): void
    {
        $this->expectException(Refusal::class);
        $this->expectExceptionMessageMatches('/take 1\s450 and 1\s315 is there between its dividers/u');
        Solver::solve(self::tree('W-07'), 1350, 1500);
    }

    public function test_a_tree_reads_back_as_it_was_written_and_may_not_be_endless(): void
    {
        foreach (Stock::types() as $type) {
            $tree = UnitTree::from(new Fields($type['tree']));
            self::assertEquals($tree, UnitTree::from(new Fields($tree->toArray())));
        }
        $node = ['operation' => 'fixed', 'glass' => 28];
        for ($i = 0; $i < 30; $i++) {
            $node = ['axis' => 'rows', 'face' => 10, 'parts' => [['node' => $node], ['node' => ['operation' => 'fixed', 'glass' => 28]]]];
        }
        $this->expectExceptionMessage('deep at the most');
        UnitTree::from(new Fields(['frame' => ['jamb' => 5, 'head' => 5, 'sill' => 5, 'depth' => 70], 'root' => $node]));
    }

    private static function tree(string $mark): UnitTree
    {
        return UnitTree::from(new Fields(Units::stock($mark)));
    }
}
