<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\CurtainWall;

use Isleward\Core\CurtainWall\ByHand;
use Isleward\Core\CurtainWall\CellUnit;
use Isleward\Core\CurtainWall\GridCell;
use Isleward\Core\CurtainWall\GridMember;
use Isleward\Core\CurtainWall\GridRules;
use Isleward\Core\CurtainWall\GridSolver;
use Isleward\Core\CurtainWall\Infill;
use Isleward\Core\CurtainWall\PathStretch;
use Isleward\Core\CurtainWall\Role;
use Isleward\Core\CurtainWall\Run;
use Isleward\Core\CurtainWall\RunDoubt;
use Isleward\Core\CurtainWall\RunDoubts;
use Isleward\Core\CurtainWall\RunLimits;
use Isleward\Core\CurtainWall\RunPath;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Unit\UnitTree;
use PHPUnit\Framework\TestCase;

/** What stands in cells, and what is doubtful about them. */
final class CellsTest extends TestCase
{
    /** Three bays of 1 200, a door in the second: 1 150 clear, from the very foot to the head's underside. By hand. */
    public function test_a_door_takes_out_the_foot_under_it_and_fills_its_cell_exactly(): void
    {
        $hand = self::door('0');
        $grid = GridSolver::solve(Sample::rules(['rows' => ['by' => 'count', 'count' => 1]]), 3600.0, 2400.0, [], $hand);
        self::assertSame(['The foot member of bay 2 is taken out for the door that stands there.'], $grid->notes);
        $feet = array_values(array_filter($grid->members, static fn (GridMember $m): bool => $m->role === Role::Foot));
        self::assertSame([[50.0, 1175.0], [2425.0, 3550.0]], array_map(static fn (GridMember $m): array => [$m->x0, $m->x1], $feet));
        $door = array_values(array_filter($grid->cells, static fn (GridCell $c): bool => $c->bay === 1))[0];
        self::assertSame([1225.0, 0.0, 2375.0, 2350.0], $door->contour()->bounds());
        $unit = CellUnit::in($door, self::tree())->unit;
        self::assertSame([1150.0, 2350.0], [$unit->width, $unit->height]);
        // and the face is filled still
        $all = array_sum(array_map(static fn (GridMember $m): float => $m->area(), $grid->members))
            + array_sum(array_map(static fn (GridCell $c): float => $c->daylight->area(), $grid->cells));
        self::assertEqualsWithDelta(3600.0 * 2400, $all, 1e-6);
    }

    public function test_a_door_higher_up_takes_nothing_out(): void
    {
        $hand = self::door('1');
        self::assertSame([], GridSolver::solve(Sample::rules(), 3600.0, 2400.0, [], $hand)->notes);
    }

    public function test_a_unit_that_its_cell_is_too_small_for_is_refused_with_the_cell(): void
    {
        $grid = GridSolver::solve(Sample::rules(['bays' => ['by' => 'module', 'size' => 150.0]]), 3600.0, 2400.0);
        try {
            CellUnit::in($grid->cells[2], self::tree());
            self::fail('It fitted.');
        } catch (Refusal $refusal) {
            self::assertSame('cell.unit_no_room', $refusal->reason);
            self::assertStringContainsString('The cell of bay 3, row 1 is 100 wide', $refusal->getMessage());
        }
    }

    public function test_what_is_doubtful_is_told_with_figures(): void
    {
        $hand = ByHand::from(new Fields(['lines' => [
            ['axis' => 'upright', 'done' => 'added', 'line' => '+1', 'from' => 'start', 'at' => 2645.0],
        ]]));
        $rules = Sample::rules([
            'bays' => ['by' => 'module', 'size' => 2600.0],
            'rows' => ['by' => 'module', 'size' => 3000.0, 'offset' => 90.0],
            'infills' => [['where' => 'everywhere', 'infill' => Infill::vision(12.0, 16.0, 12.0)->toArray()]],
        ], ['mullion' => ['shape' => 'rectangle', 'face' => 20.0, 'depth' => 150.0]]);
        $told = self::doubts($rules, 8000.0, 7000.0, $hand);
        // bays of 2 600, 45, 2 555, 2 600 and 200; rows of 90, 3 000, 3 000 and 910
        self::assertSame(
            [
                'run.bar' => true, 'run.infill_heavy' => true, 'run.infill_large' => true, 'run.line_near' => 1, 'run.offset' => 1,
                'run.sliver' => 2,
            ],
            array_combine(array_keys($told), array_map(static fn (string $rule): int|bool => in_array(
                $rule,
                ['run.line_near', 'run.offset', 'run.sliver'],
                true,
            ) ? $told[$rule] : $told[$rule] > 0, array_keys($told))),
        );
        self::assertSame([], self::doubts(Sample::rules(), 3600.0, 2400.0, ByHand::nothing()), 'where nothing is');
    }

    /** @return array<string, int> how many by rule */
    private static function doubts(GridRules $rules, float $length, float $height, ByHand $hand): array
    {
        $path = RunPath::of([new PathStretch(Curve::line(new Vec2(0.0, 0.0), new Vec2($length, 0.0)))], []);
        $run = Run::along($path, $rules, 0.0, $height, [], [$hand]);

        $rules = array_map(static fn (RunDoubt $d): string => $d->rule, RunDoubts::of($run, $rules, new RunLimits, [$hand]));
        sort($rules);

        return array_count_values($rules);
    }

    private static function door(string $foot): ByHand
    {
        $door = ['kind' => 'door', 'type' => 'ty-door'];

        return ByHand::from(new Fields(['infills' => [['left' => '1', 'foot' => $foot, 'infill' => $door]]]));
    }

    private static function tree(): UnitTree
    {
        return UnitTree::from(new Fields([
            'measure' => 'centres', 'frame' => ['jamb' => 55, 'head' => 55, 'sill' => 60, 'depth' => 90],
            'root' => ['operation' => 'fixed', 'glazing' => [6, 16, 6]],
        ]));
    }
}
