<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\CurtainWall;

use Isleward\Core\CurtainWall\ByHand;
use Isleward\Core\CurtainWall\FreeMember;
use Isleward\Core\CurtainWall\FreePiece;
use Isleward\Core\CurtainWall\Grid;
use Isleward\Core\CurtainWall\GridCell;
use Isleward\Core\CurtainWall\GridMember;
use Isleward\Core\CurtainWall\GridRules;
use Isleward\Core\CurtainWall\GridSolver;
use Isleward\Core\CurtainWall\Lost;
use Isleward\Core\CurtainWall\Role;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class GridTest extends TestCase
{
    /** 3 600 × 2 400 in bays and rows of 1 200, all members 50: worked by hand. */
    public function test_a_grid_of_six_cells_is_as_reckoned_by_hand(): void
    {
        $grid = GridSolver::solve(Sample::rules(), 3600.0, 2400.0);
        self::assertCount(6, $grid->cells);
        // sides and mullions run through, head, foot and transoms stand between them
        $lengths = static fn (Role $role): array => array_map(
            static fn (GridMember $m): float => $m->length(),
            array_values(array_filter($grid->members, static fn (GridMember $m): bool => $m->role === $role)),
        );
        self::assertSame([2400.0, 2400.0], $lengths(Role::Mullion));
        self::assertSame([2400.0], $lengths(Role::Left));
        // from 50 to 1 175, from 1 225 to 2 375, from 2 425 to 3 550
        foreach ([Role::Head, Role::Foot, Role::Transom] as $role) {
            self::assertSame([1125.0, 1150.0, 1125.0], $lengths($role));
        }
        // 50 to 1 175 by 50 to 1 175, 1 225 to 2 375 by the same …
        self::assertSame(
            [1125.0 * 1125.0, 1150.0 * 1125.0, 1125.0 * 1125.0],
            array_map(static fn (GridCell $c): float => $c->daylight->area(), array_slice($grid->cells, 0, 3)),
        );
        self::assertSame('bay 2, row 1', $grid->cells[1]->name());
    }

    /** 3 600 × 2 400, sides of 50, head and foot of 80: each runs to the corner, cut from there to where their inner edges meet. */
    public function test_the_corners_of_the_frame_may_be_mitred(): void
    {
        $section = static fn (float $face): array => ['shape' => 'rectangle', 'face' => $face, 'depth' => 150.0];
        $rules = Sample::rules(['mitre' => true], ['head' => $section(80.0), 'foot' => $section(80.0)]);
        $grid = GridSolver::solve($rules, 3600.0, 2400.0);
        $of = static fn (Role $role): array => array_values(array_filter(
            $grid->members,
            static fn (GridMember $m): bool => $m->role === $role,
        ));
        self::assertSame([0.0, 0.0, 50.0, 80.0, 50.0, 2320.0, 0.0, 2400.0], self::from($of(Role::Left)[0]->contour()->ring()));
        self::assertSame([0.0, 0.0, 1175.0, 0.0, 1175.0, 80.0, 50.0, 80.0], self::from($of(Role::Foot)[0]->contour()->ring()));
        self::assertSame([3550.0, 80.0, 3600.0, 0.0, 3600.0, 2400.0, 3550.0, 2320.0], self::from($of(Role::Right)[0]->contour()->ring()));
        // what they take together is what they take when they butt
        $butt = GridSolver::solve(Sample::rules([], ['head' => $section(80.0), 'foot' => $section(80.0)]), 3600.0, 2400.0);
        $sum = static fn (Grid $g): float => array_sum(array_map(static fn (GridMember $m): float => $m->area(), $g->members));
        self::assertEqualsWithDelta($sum($butt), $sum($grid), 1e-6);
        // where a door stands in the first bay there is no foot to mitre the side to: it stands on the ground
        $door = GridSolver::solve($rules, 3600.0, 2400.0, [], ByHand::from(new Fields(['infills' => [
            ['left' => '0', 'foot' => '0', 'infill' => ['kind' => 'door', 'type' => 'ty-door']],
        ]])));
        $left = array_values(array_filter($door->members, static fn (GridMember $m): bool => $m->role === Role::Left))[0];
        self::assertCount(1, $left->cuts, 'at the head alone');
        self::assertSame(0.0, $left->y0);
    }

    /**
     * @param  list<float>  $ring
     * @return list<float> the same from its lowest corner at the left on
     */
    private static function from(array $ring): array
    {
        $ring = array_map(static fn (float $c): float => round($c, 6) + 0.0, $ring);
        $best = 0;
        for ($i = 2, $n = count($ring); $i < $n; $i += 2) {
            if ([$ring[$i], $ring[$i + 1]] < [$ring[$best], $ring[$best + 1]]) {
                $best = $i;
            }
        }

        return [...array_slice($ring, $best), ...array_slice($ring, 0, $best)];
    }

    public function test_what_runs_through_is_as_the_type_says(): void
    {
        $grid = GridSolver::solve(
            Sample::rules(['order' => ['head', 'foot', 'transom', 'left', 'right', 'mullion']]),
            3600.0,
            2400.0,
        );
        $of = static fn (Role $role): array => array_values(
            array_map(
                static fn (GridMember $m): array => [$m->x0, $m->y0, $m->x1, $m->y1],
                array_filter($grid->members, static fn (GridMember $m): bool => $m->role === $role),
            ),
        );
        self::assertSame([[0.0, 2350.0, 3600.0, 2400.0]], $of(Role::Head));
        self::assertSame([[0.0, 1175.0, 3600.0, 1225.0]], $of(Role::Transom));
        self::assertSame([[0.0, 50.0, 50.0, 1175.0], [0.0, 1225.0, 50.0, 2350.0]], $of(Role::Left));
        self::assertSame([1175.0, 50.0, 1225.0, 1175.0], $of(Role::Mullion)[0]);
    }

    public function test_a_member_that_is_taken_away_joins_its_cells_and_what_crossed_it_runs_on(): void
    {
        $hand = ByHand::from(new Fields(['members' => [['axis' => 'upright', 'line' => '1', 'from' => '0']]]));
        $grid = GridSolver::solve(Sample::rules(), 3600.0, 2400.0, [], $hand);
        self::assertCount(5, $grid->cells);
        self::assertSame('bays 1 to 2, row 1', $grid->cells[0]->name());
        // 50 to 2 375 by 50 to 1 175
        self::assertEqualsWithDelta(2325.0 * 1125.0, $grid->cells[0]->daylight->area(), 1e-6);
        $transoms = array_values(array_filter($grid->members, static fn (GridMember $m): bool => $m->role === Role::Transom));
        self::assertSame([2325.0, 1125.0], array_map(static fn (GridMember $m): float => $m->length(), $transoms));
        $mullion = array_values(array_filter($grid->members, static fn (GridMember $m): bool => $m->role === Role::Mullion))[0];
        self::assertSame([1225.0, 2400.0], [$mullion->y0, $mullion->y1], 'it stands on the transom now');
    }

    public function test_frameless_glass_has_joints_in_place_of_members(): void
    {
        $none = array_fill_keys(array_column(Role::cases(), 'value'), null);
        $grid = GridSolver::solve(Sample::rules(['joint' => 12.0], $none), 3600.0, 2400.0);
        // 12 × 2 400 twice, and 12 × 3 600 less the two crossings
        self::assertEqualsWithDelta(2 * 12.0 * 2400 + 12.0 * (3600 - 24), array_sum(array_map(
            static fn (GridMember $m): float => $m->area(),
            $grid->members,
        )), 1e-6);
        self::assertSame([null], array_unique(array_column($grid->members, 'profile')));
        self::assertEqualsWithDelta(1194.0 * 1194.0, $grid->cells[0]->daylight->area(), 1e-6);
    }

    /** Law: members, joints and cells fill the face, and none lies over another, whatever the rules and whatever was done by hand. */
    public function test_members_and_cells_tile_the_face(): void
    {
        $joined = $shaped = $partly = 0;
        for ($seed = 1; $seed <= 160; $seed++) {
            $grid = Sample::any($seed);
            $areas = [
                ...array_map(static fn (GridMember $m): float => $m->area(), $grid->members),
                ...array_map(static fn (GridCell $c): float => $c->daylight->area(), $grid->cells),
            ];
            $face = $grid->width * $grid->height;
            self::assertEqualsWithDelta($face, array_sum($areas), 0.5, "areas of $seed");
            $all = Region::empty();
            foreach ($seed % 5 === 0 ? self::rings($grid) : [] as $rings) {
                $all = $all->union(Region::fromRings($rings));
            }
            self::assertEqualsWithDelta($seed % 5 === 0 ? $face : 0.0, $all->area(), 0.5, "together of $seed");
            foreach ($grid->cells as $cell) {
                $joined += $cell->bays * $cell->rows > 1 ? 1 : 0;
                $shaped += $cell->contour()->isRectangle() ? 0 : 1;
            }
            $partly += count([...$grid->bays->only, ...$grid->rows->only, ...$grid->bays->gaps, ...$grid->rows->gaps]);
        }
        self::assertGreaterThan(60, $partly, 'lines that stand in one bay or row only');
        self::assertGreaterThan(50, $joined);
        self::assertGreaterThan(10, $shaped, 'some that are no rectangle');
    }

    /** Where nothing is changed members are made line by line, else piece by piece: a change that changes nothing shows that both agree. */
    public function test_members_are_the_same_whichever_way_they_are_made(): void
    {
        mt_srand(5);
        for ($i = 0; $i < 40; $i++) {
            $profiles = [];
            foreach (Role::cases() as $role) {
                $size = ['face' => (float) mt_rand(40, 120), 'depth' => 100.0];
                $profiles[$role->value] = mt_rand(0, 3) === 0 ? null : ['shape' => 'rectangle'] + $size;
            }
            $order = array_column(Role::cases(), 'value');
            shuffle($order);
            $rules = Sample::rules(['order' => $order, 'joint' => (float) mt_rand(0, 1) * 12.0], $profiles);
            $nothing = ['axis' => 'upright', 'line' => '1', 'from' => '0', 'profile' => $profiles['mullion'] ?? $profiles['head']];
            if ($profiles['mullion'] === null) {
                continue; // a member in place of a joint would be a change
            }
            $boxes = static function (Grid $grid): array {
                $all = array_map(static fn (GridMember $m): array => [
                    $m->role->value, $m->line, $m->from, round($m->x0, 6), round($m->y0, 6), round($m->x1, 6), round($m->y1, 6),
                ], $grid->members);
                sort($all);

                return [$all, array_map(
                    static fn (GridCell $c): array => [$c->name(), $c->left, $c->head, ...$c->contour()->bounds()],
                    $grid->cells,
                )];
            };
            self::assertEquals(
                $boxes(GridSolver::solve($rules, 4600.0, 3300.0, [], ByHand::from(new Fields(['members' => [$nothing]])))),
                $boxes(GridSolver::solve($rules, 4600.0, 3300.0)),
                "rules $i",
            );
        }
    }

    public function test_lines_changed_by_hand_hold_while_they_can_and_are_told_when_they_cannot(): void
    {
        $hand = ByHand::from(new Fields(['lines' => [
            ['axis' => 'upright', 'done' => 'moved', 'line' => '2', 'from' => 'before', 'at' => 1750.0],
            ['axis' => 'upright', 'done' => 'removed', 'line' => '4'],
            ['axis' => 'level', 'done' => 'added', 'line' => '+1', 'from' => 'end', 'at' => 400.0],
        ]]));
        $grid = GridSolver::solve(Sample::rules(), 7200.0, 2400.0, [], $hand);
        self::assertSame(['0', '1', '2', '3', '5', 'end'], $grid->bays->names);
        self::assertSame([0.0, 1200.0, 2950.0, 3600.0, 6000.0, 7200.0], $grid->bays->at);
        self::assertSame([0.0, 1200.0, 2000.0, 2400.0], $grid->rows->at);
        self::assertSame([], $grid->lost);
        // with two bays of 2 400 there are no lines 2 and 4 any more
        $wide = GridSolver::solve(Sample::rules(['bays' => ['by' => 'module', 'size' => 3600.0]]), 7200.0, 2400.0, [], $hand);
        self::assertSame(['0', '1', 'end'], $wide->bays->names);
        self::assertSame(
            [
                'The upright line 2 that was moved is not there any more: the rule sets out 1.',
                'The upright line 4 that was removed is not there any more: the rule sets out 1.',
            ],
            Lost::says($wide->lost),
        );
        self::assertEquals($hand, ByHand::from(new Fields($hand->toArray())));
    }

    /** 3 600 × 2 400 in bays and rows of 1 200: a level line 500 over the foot in the second bay, an upright one right of line 2 above. */
    public function test_a_line_may_stand_in_one_bay_or_row_only(): void
    {
        $lines = [
            ['axis' => 'level', 'done' => 'added', 'line' => '+1', 'at' => 500.0, 'within' => '1'],
            ['axis' => 'upright', 'done' => 'added', 'line' => '+2', 'from' => 'before', 'beside' => '2', 'at' => 600.0, 'within' => '1'],
        ];
        $solve = static fn (array $lines, array $more = [], array $rules = []): Grid => GridSolver::solve(
            Sample::rules($rules), 3600.0, 2400.0, [], ByHand::from(new Fields(['lines' => $lines] + $more)),
        );
        $grid = $solve($lines);
        $boxes = array_map(static fn (GridCell $c): array => [$c->name(), ...$c->contour()->bounds()], $grid->cells);
        self::assertSame([
            ['bay 1, row 1', 50.0, 50.0, 1175.0, 1175.0],
            ['bay 2, row 1', 1225.0, 50.0, 2375.0, 475.0],
            ['bay 3, row 1', 2425.0, 50.0, 3550.0, 1175.0],
            ['bay 2, row 1', 1225.0, 525.0, 2375.0, 1175.0],
            ['bay 1, row 2', 50.0, 1225.0, 1175.0, 2350.0],
            ['bay 2, row 2', 1225.0, 1225.0, 2375.0, 2350.0],
            ['bay 3, row 2', 2425.0, 1225.0, 2975.0, 2350.0],
            ['bay 3, row 2', 3025.0, 1225.0, 3550.0, 2350.0],
        ], $boxes);
        $members = array_map(
            static fn (GridMember $m): array => [$m->x0, $m->y0, $m->x1, $m->y1],
            array_filter($grid->members, static fn (GridMember $m): bool => str_starts_with($m->line, '+')),
        );
        self::assertSame([[2975.0, 1225.0, 3025.0, 2400.0], [1225.0, 475.0, 2375.0, 525.0]], array_values($members));
        // rules count whole bays and rows: the second row stays the second
        $second = $solve($lines, [], ['infills' => [
            ['where' => 'everywhere', 'infill' => ['kind' => 'vision', 'layers' => [6.0]]],
            ['where' => 'rows', 'numbers' => [2], 'infill' => ['kind' => 'solid', 'layers' => [40.0]]],
        ]]);
        self::assertSame(
            [...array_fill(0, 4, 'vision'), ...array_fill(0, 4, 'solid')],
            array_map(static fn (GridCell $c): string => $c->infill->kind->value, $second->cells),
        );
        // a member is taken out from one line that crosses it to the next that does: +2 stands above, so not the foot of its bay
        $out = $solve($lines, ['members' => [['axis' => 'level', 'line' => '1', 'from' => '0']]]);
        self::assertSame('bay 1, rows 1 to 2', $out->cells[0]->name());
        // where the rule has no second bay any more that is told, and the others stay
        $wide = $solve($lines, [], ['bays' => ['by' => 'count', 'count' => 1]]);
        self::assertSame([
            'The upright line +2 that was added was measured from line 2, which is not there any more.',
            'The bay at line 1, in which level line +1 was changed, is not there any more.',
        ], Lost::says($wide->lost));
        self::assertCount(2, $wide->cells);
    }

    public function test_a_line_of_the_rule_moves_or_is_left_out_in_one_bay_only(): void
    {
        $of = static fn (array $line): Grid => GridSolver::solve(
            Sample::rules(), 3600.0, 2400.0, [],
            ByHand::from(new Fields(['lines' => [$line + ['axis' => 'level', 'line' => '1', 'within' => '1']]])),
        );
        $heads = static fn (Grid $grid): array => array_map(
            static fn (GridCell $c): float => $c->contour()->bounds()[3],
            array_slice($grid->cells, 0, 3),
        );
        $moved = $of(['done' => 'moved', 'from' => 'after', 'at' => 900.0]);
        self::assertSame([1175.0, 1475.0, 1175.0], $heads($moved));
        self::assertSame(['0', '1', '1@1', 'end'], $moved->rows->names);
        $removed = $of(['done' => 'removed']);
        self::assertSame([1175.0, 2350.0, 1175.0], $heads($removed));
        self::assertCount(5, $removed->cells);
    }

    public function test_infills_are_as_the_last_rule_for_a_cell_says_and_single_cells_as_they_were_changed(): void
    {
        $glass = ['kind' => 'vision', 'layers' => [6.0, 16.0, 6.0]];
        $solid = ['kind' => 'solid', 'layers' => [40.0], 'density' => 600.0];
        $rules = Sample::rules([
            'rows' => ['by' => 'sizes', 'sizes' => [900.0, 2400.0], 'after' => 'again'],
            'infills' => [
                ['where' => 'everywhere', 'infill' => $glass],
                ['where' => 'band', 'below' => 300.0, 'above' => 900.0, 'infill' => ['kind' => 'spandrel', 'layers' => [8.0]]],
                ['where' => 'every-bay', 'every' => 3, 'first' => 2, 'infill' => $solid],
            ],
        ]);
        $hand = ByHand::from(new Fields(['infills' => [['left' => '0', 'foot' => '1', 'infill' => ['kind' => 'void']]]]));
        // storeys of 3 300: rows 900, 2 400, 900, 2 400; middles 450, 2 100, 3 750, 5 400 over the foot
        $grid = GridSolver::solve($rules, 4800.0, 6600.0, [0.0, 3300.0, 6600.0], $hand);
        $kinds = array_map(static fn (GridCell $c): string => $c->infill->kind->value, $grid->cells);
        self::assertSame([
            'spandrel', 'solid', 'spandrel', 'spandrel',
            'void', 'solid', 'vision', 'vision',
            'spandrel', 'solid', 'spandrel', 'spandrel',
            'vision', 'solid', 'vision', 'vision',
        ], $kinds);
        // 12 mm of glass 30 kg, 40 mm at 600 kg/m³ 24 kg (EN 572-1: 2 500 kg/m³; from memory)
        self::assertEqualsWithDelta([30.0, 24.0], [$grid->cells[6]->infill->weight(), $grid->cells[1]->infill->weight()], 1e-9);
        self::assertEquals($rules, GridRules::from(new Fields($rules->toArray())));
    }

    /** One from the foot's middle to the head's over one bay of 1 150 by 2 300 clear, 60 wide: by hand. */
    public function test_a_free_member_splits_the_cell_it_crosses(): void
    {
        $hand = ByHand::from(new Fields(['free' => [self::free(575.0, 25.0, 1150.0, 2375.0)]]));
        $grid = GridSolver::solve(
            Sample::rules(['bays' => ['by' => 'count', 'count' => 1], 'rows' => ['by' => 'count', 'count' => 1]]),
            1250.0,
            2400.0,
            [],
            $hand,
        );
        self::assertCount(2, $grid->cells);
        $slope = hypot(575.0, 2350.0);
        // between foot and head, 2 300 apart, a strip 60 wide takes 60 · 2 300 / cos of its angle from upright
        $strip = 60.0 * 2300.0 * $slope / 2350.0;
        self::assertEqualsWithDelta($strip, self::sum($grid->free[0]->seen), 1e-6);
        self::assertEqualsWithDelta(1150.0 * 2300.0 - $strip, $grid->cells[0]->daylight->area() + $grid->cells[1]->daylight->area(), 1e-6);
    }

    /**
     * Three of four cells of 1 150 × 1 150 joined to an L, members 50: one across its lower arm takes a strip of that, one from the
     * inner corner's side to the foot too; one over the corner that turns inward is refused, and so is what lies in it.
     */
    public function test_a_free_member_crosses_a_joined_cell_clear_of_its_inward_corner(): void
    {
        $rules = Sample::rules(['bays' => ['by' => 'count', 'count' => 2], 'rows' => ['by' => 'count', 'count' => 2]]);
        $out = ['members' => [
            ['axis' => 'upright', 'line' => '1', 'from' => '0', 'profile' => null],
            ['axis' => 'level', 'line' => '1', 'from' => '0', 'profile' => null],
        ]];
        $solve = static fn (array $free): Grid => GridSolver::solve($rules, 2450.0, 2450.0, [], ByHand::from(new Fields(
            $out + ['free' => [$free]],
        )));
        $plain = GridSolver::solve($rules, 2450.0, 2450.0, [], ByHand::from(new Fields($out)));
        self::assertCount(2, $plain->cells);
        $whole = array_sum(array_map(static fn (GridCell $c): float => $c->daylight->area(), $plain->cells));
        // upright through the lower arm, from the foot to the transom over it
        $grid = $solve(self::free(1900.0, 50.0, 1900.0, 1200.0));
        self::assertCount(1, $grid->free);
        self::assertTrue($grid->free[0]->isStrip);
        self::assertCount(3, $grid->cells);
        $cells = array_sum(array_map(static fn (GridCell $c): float => $c->daylight->area(), $grid->cells));
        self::assertEqualsWithDelta($whole, $cells + self::sum($grid->free[0]->seen), 1e-6);
        [$x0, $y0, $x1, $y1] = $grid->free[0]->seen[0]->bounds();
        self::assertEqualsWithDelta([1870.0, 1930.0, 60.0], [$x0, $x1, $x1 - $x0], 1e-6);
        self::assertEqualsWithDelta($plain->cells[0]->contour()->bounds()[1], $y0, 1e-6);
        self::assertLessThan(1250.0, $y1);
        foreach ([self::free(0.0, 2400.0, 2400.0, 0.0), self::free(1225.0, 0.0, 1225.0, 1300.0)] as $free) {
            try {
                $solve($free);
                self::fail('It was drawn.');
            } catch (Refusal $refusal) {
                self::assertContains($refusal->reason, ['free.shape', 'free.unheld']);
            }
        }
    }

    /** Law: with free members drawn from edge to edge at any angle, and their mirror images, the face is still filled. */
    public function test_cells_strips_and_members_tile_the_face(): void
    {
        mt_srand(77);
        $pieces = 0;
        for ($i = 0; $i < 60; $i++) {
            $free = [];
            for ($k = mt_rand(1, 4); $k > 0; $k--) {
                $one = self::free(mt_rand(0, 7200) / 1.0, 0.0, mt_rand(0, 7200) / 1.0, 3600.0);
                $free[] = $one;
                $mirrored = FreeMember::from(new Fields($one))->mirrored(3600.0)->toArray();
                $free[] = mt_rand(0, 1) === 0 ? $mirrored : self::free(0.0, mt_rand(0, 3600) / 1.0, 7200.0, mt_rand(0, 3600) / 1.0);
            }
            $grid = GridSolver::solve(Sample::rules(), 7200.0, 3600.0, [], ByHand::from(new Fields(['free' => $free])));
            $areas = [
                ...array_map(static fn (GridMember $m): float => $m->area(), $grid->members),
                ...array_map(static fn (GridCell $c): float => $c->daylight->area(), $grid->cells),
                ...array_map(static fn (FreePiece $p): float => self::sum($p->seen), $grid->free),
            ];
            self::assertEqualsWithDelta(7200.0 * 3600.0, array_sum($areas), 0.5, "round $i");
            $pieces += count($grid->free);
        }
        self::assertGreaterThan(300, $pieces);
    }

    /**
     * @param  array<string, mixed>  $with
     * @param  array<string, mixed>  $hand
     */
    #[DataProvider('refused')]
    public function test_what_cannot_be_is_refused_with_figures(array $with, array $hand, string $reason, string $says): void
    {
        try {
            GridSolver::solve(Sample::rules($with), 3600.0, 2400.0, [], ByHand::from(new Fields($hand)));
            self::fail('It was solved.');
        } catch (Refusal $refusal) {
            self::assertSame($reason, $refusal->reason);
            self::assertStringContainsString($says, str_replace("\u{202F}", ' ', $refusal->getMessage()));
        }
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string, string}> */
    public static function refused(): iterable
    {
        yield 'members wider than their cells' => [
            ['bays' => ['by' => 'module', 'size' => 40.0]], [], 'grid.no_room', 'it would be −35 long',
        ];
        yield 'an end that nothing holds' => [
            [],
            ['members' => [
                ['axis' => 'upright', 'line' => '1', 'from' => '0'], ['axis' => 'level', 'line' => '1', 'from' => '0'],
                ['axis' => 'level', 'line' => '1', 'from' => '1'],
            ]],
            'grid.member_unheld', 'at 1 200 along and 1 200 up',
        ];
        yield 'a free member that ends in a cell' => [
            [], ['free' => [self::free(0.0, 0.0, 600.0, 600.0)]], 'free.unheld', 'ends 600 along and 600 up, in the middle of bay 1, row 1',
        ];
        yield 'one along a mullion' => [
            [], ['free' => [self::free(1200.0, 0.0, 1200.0, 2400.0)]], 'free.crosses_nothing', 'lies along',
        ];
        yield 'one of no length' => [[], ['free' => [self::free(0.0, 0.0, 0.0, 0.0)]], 'free.no_length', 'one place'];
        yield 'an order with one left out' => [['order' => ['head']], [], 'grid.order', 'all six'];
        yield 'bays by storey' => [['bays' => ['by' => 'count', 'count' => 2, 'perStorey' => true]], [], 'grid.bays_by_storey', 'Only'];
        yield 'no rule for every cell' => [['infills' => []], [], 'grid.infills', 'The first rule'];
        yield 'glass of two figures' => [
            ['infills' => [['where' => 'everywhere', 'infill' => ['kind' => 'vision', 'layers' => [6.0, 16.0]]]]], [],
            'infill.layers', '2 figures were given',
        ];
    }

    /** @param  list<Contour>  $contours */
    private static function sum(array $contours): float
    {
        return array_sum(array_map(static fn (Contour $c): float => $c->area(), $contours));
    }

    /** @return array<string, mixed> */
    private static function free(float $u0, float $v0, float $u1, float $v1): array
    {
        return [
            'profile' => ['shape' => 'rectangle', 'face' => 60.0, 'depth' => 120.0],
            'fromU' => $u0, 'fromV' => $v0, 'toU' => $u1, 'toV' => $v1,
        ];
    }

    /** @return iterable<list<list<float>>> */
    private static function rings(Grid $grid): iterable
    {
        foreach ($grid->members as $m) {
            yield [$m->contour()->ring()];
        }
        foreach ($grid->cells as $cell) {
            yield array_map(static fn ($contour): array => $contour->ring(), $cell->daylight->contours());
        }
    }
}
