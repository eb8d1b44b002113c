<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\CurtainWall;

use Isleward\Core\CurtainWall\ByHand;
use Isleward\Core\CurtainWall\Corner;
use Isleward\Core\CurtainWall\GridRules;
use Isleward\Core\CurtainWall\Meeting;
use Isleward\Core\CurtainWall\MemberProfile;
use Isleward\Core\CurtainWall\PathStretch;
use Isleward\Core\CurtainWall\Run;
use Isleward\Core\CurtainWall\RunMember;
use Isleward\Core\CurtainWall\RunPane;
use Isleward\Core\CurtainWall\RunPath;
use Isleward\Core\CurtainWall\Stretch;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Geometry\Vec3;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RunTest extends TestCase
{
    /**
     * A glazed room 3 200 × 4 600, 2 250 high, three sides against a wall, all members 60 × 140, posts 140 × 140: by hand.
     */
    public function test_a_glazed_room_is_as_reckoned_by_hand(): void
    {
        $room = self::room();
        self::assertCount(2, $room->corners);
        foreach ($room->corners as $post) {
            self::assertSame('corner post', $post->what);
            self::assertEqualsWithDelta(140.0 * 140 * 2250, $post->volume(), 1e-3, 'a square post, as high as the room');
            self::assertEqualsWithDelta(2250.0, $post->length, 1e-9);
        }
        $lengths = [];
        foreach ($room->members() as $member) {
            $lengths[$member->what][] = round($member->length, 6);
        }
        // sides at the wall and posts run through; head and foot of the front from post to post: 3 200 − 2 · 140
        self::assertSame([2250.0, 2250.0], [$lengths['left side'][0], $lengths['right side'][0]]);
        self::assertContains(2920.0, $lengths['head']);
        // and of the flanks from the side at the wall to the post: 4 600 − 60 − 140
        self::assertSame(2, count(array_keys($lengths['head'], 4400.0, true)));
        $glass = array_sum(array_map(static fn (RunPane $p): float => $p->area(), $room->panes()));
        self::assertEqualsWithDelta((2920.0 + 2 * 4400) * (2250 - 120), $glass, 1e-3);
    }

    /** Figures of published.md: two sides leaning alike by 18° over a right angle, and by 15° and 12°. */
    #[DataProvider('edges')]
    public function test_the_edge_of_two_leaning_sides_is_as_published(float $a, float $b, float $lean): void
    {
        $run = Sample::two(90.0, [$a, $b], Corner::mitred(MemberProfile::rectangle(60.0, 120.0)));
        self::assertEqualsWithDelta($lean, $run->meetings[0]->lean(), 0.005);
        // it is n₁ × n₂, and the members along it are as long as it is between the level foot and head, and a little for their ends
        $edge = $run->meetings[0]->edge;
        $rise = 2400.0 / $edge->z;
        foreach ($run->corners as $member) {
            self::assertGreaterThan($rise - 1e-6, $member->length);
            self::assertLessThan($rise + 200.0, $member->length);
        }
    }

    /** @return iterable<string, array{float, float, float}> */
    public static function edges(): iterable
    {
        yield 'alike' => [18.0, 18.0, 24.68];
        yield 'leaning out alike' => [-18.0, -18.0, 24.68];
        yield '15 and 12' => [15.0, 12.0, 18.88];
    }

    /** By trigonometry: ends of mullions lean as the wall does, those of transoms follow the edge. */
    public function test_ends_are_cut_at_their_true_angles(): void
    {
        $run = Sample::two(90.0, [18.0, 18.0], Corner::mitred(MemberProfile::rectangle(60.0, 120.0)));
        $of = static fn (string $what): array => array_values(
            array_filter($run->members(), static fn (RunMember $m): bool => $m->what === $what),
        );
        // foot and head are level, so a mullion leaning by 18° is cut at 72° over its depth, and square across its face
        foreach ($of('mullion') as $mullion) {
            if (abs($mullion->ends[0][0] - 90.0) < 1e-6 && abs($mullion->ends[1][0] - 90.0) < 1e-6) {
                self::assertEqualsWithDelta([[90.0, 72.0], [90.0, 72.0]], $mullion->ends, 1e-6);
                $whole = true;
            }
        }
        self::assertTrue($whole ?? false, 'one that no corner cuts');
        // in the face the edge stands from the slope by atan(u per v): tan = sin 18° for a right angle
        $across = array_merge(...array_map(static fn (RunMember $m): array => array_column($m->ends, 0), $of('transom')));
        self::assertEqualsWithDelta(90.0 - rad2deg(atan(sin(deg2rad(18)))), min($across), 1e-6);
    }

    /** A side that leans in by 14° takes from an upright one at a right angle to it by tan 14° for every mm up: each row by its height. */
    public function test_what_is_level_beside_a_leaning_stretch_is_cut_row_by_row(): void
    {
        $run = Sample::two(90.0, [0.0, 14.0], Corner::glass(0.0), 6000.0, Sample::rules(['rows' => ['by' => 'count', 'count' => 4]]));
        $last = [];
        foreach ($run->stretches[0]->members() as $member) {
            $last[$member->what === 'transom' ? (string) round($member->axes->origin->z) : ''][] = $member->length;
        }
        unset($last['']);
        ksort($last, SORT_NUMERIC);
        $lengths = array_map(static fn (array $row): float => array_sum($row), array_values($last));
        self::assertCount(3, $lengths);
        self::assertEqualsWithDelta(600.0 * tan(deg2rad(14.0)), $lengths[0] - $lengths[1], 1e-6);
        self::assertEqualsWithDelta(600.0 * tan(deg2rad(14.0)), $lengths[1] - $lengths[2], 1e-6);
    }

    /** A head of 60 × 140 on a face that leans in by 20°: square to it every mullion is a prism as long as the slope, at right angles. */
    public function test_foot_and_head_are_level_or_square_to_the_face(): void
    {
        $slope = 2400.0 / cos(deg2rad(20.0));
        $of = static fn (bool $square): array => array_values(array_filter(
            Sample::two(180.0, [20.0, 20.0], Corner::glass(0.0), square: $square)->stretches[0]->members(),
            static fn (RunMember $m): bool => $m->what === 'mullion',
        ));
        $square = $of(true)[1];
        self::assertEqualsWithDelta($slope, $square->length, 1e-6);
        self::assertEqualsWithDelta([[90.0, 90.0], [90.0, 90.0]], $square->ends, 1e-6);
        self::assertEqualsWithDelta(50.0 * 150.0 * $slope, $square->volume(), 1e-3);
        // cut level at both ends it is longer by its depth times the tangent, and its ends stand at 70° in depth
        $level = $of(false)[1];
        self::assertEqualsWithDelta($slope + 150.0 * tan(deg2rad(20.0)), $level->length, 1e-6);
        self::assertEqualsWithDelta(70.0, min(array_merge(...$level->ends)), 1e-6);
    }

    /**
     * A post 60 × 140 square to one side: a prism of that section. The other side, of members 150 deep that stand square to their face,
     * begins where all of its depth is clear of the post and of the mullions of 150 beside it.
     */
    #[DataProvider('squares')]
    public function test_a_post_square_to_one_side_is_its_section_and_the_other_side_ends_beside_it(float $angle, float $clear): void
    {
        foreach (['square-left' => 0, 'square-right' => 1] as $kind => $own) {
            $profile = ['shape' => 'rectangle', 'face' => 60.0, 'depth' => 140.0];
            $run = Sample::two($angle, [0.0, 0.0], Corner::from(new Fields(['kind' => $kind, 'profile' => $profile])));
            self::assertCount(1, $run->corners);
            self::assertEqualsWithDelta(60.0 * 140.0 * 2400.0, $run->corners[0]->volume(), 1.0, "$kind at $angle");
            foreach ($run->stretches as $i => $stretch) {
                $taken = array_sum(array_map(static fn (array $c): float => $c[1]->area(), $stretch->drawn()->corners)) / 2400.0;
                self::assertEqualsWithDelta($i === $own ? 60.0 : $clear, $taken, 1e-6, "$kind at $angle, side $i");
            }
        }
    }

    /** @return iterable<string, array{float, float}> */
    public static function squares(): iterable
    {
        yield 'a right angle: behind what is deepest, the mullions of 150' => [90.0, 150.0];
        yield 'straight on' => [180.0, 0.0];
        yield 'outward at a right angle' => [270.0, 0.0];
        // behind their backs its own front is the last to be clear; beyond the edge its backs would take 150 · tan 60°, which is more
        yield '120°' => [120.0, 150.0 / sin(deg2rad(60.0))];
        // there it is beyond the edge that takes less
        yield '150°' => [150.0, 150.0 * tan(deg2rad(30.0))];
        // the backs of a side that runs back over the post at 45° stand nearer to it: (150 + 150 cos 45°) / sin 45°
        yield '45°' => [45.0, (150.0 + 150.0 * cos(deg2rad(45.0))) / sin(deg2rad(45.0))];
    }

    /** Law: however a face leans, sides, head and foot are together as much mitred as when one runs through, wedges of their ends too. */
    public function test_mitred_members_are_together_as_much_as_those_that_butt(): void
    {
        $all = static function (bool $mitre, float $lean, bool $square): array {
            $rules = Sample::rules(['mitre' => $mitre, 'rows' => ['by' => 'count', 'count' => 2]]);
            $run = Sample::two(135.0, [$lean, $lean], Corner::glass(20.0), rules: $rules, square: $square);
            $volumes = array_map(static fn (RunMember $m): float => $m->volume(), $run->stretches[0]->members());
            $ends = array_merge(...array_map(static fn (RunMember $m): array => array_column($m->ends, 0), $run->stretches[0]->members()));

            return [array_sum($volumes), min($ends)];
        };
        foreach ([0.0, 8.0, -12.0, 25.0] as $lean) {
            foreach ($lean === 0.0 ? [false] : [false, true] as $square) {
                [$mitred, $sharpest] = $all(true, $lean, $square);
                self::assertEqualsWithDelta($all(false, $lean, $square)[0], $mitred, 1e-3, "leaning $lean");
                self::assertEqualsWithDelta(45.0, $sharpest, 1e-6, 'members as wide as each other meet at 45°');
            }
        }
    }

    /** Law: of frameless glass what is seen is the whole face, a trapezium where the edge leans in it, less the strip along the corner. */
    public function test_glass_fills_the_face_whatever_the_angle_and_the_lean(): void
    {
        foreach ([30.0, 75.0, 90.0, 135.0, 180.0, 225.0, 300.0, 330.0] as $angle) {
            foreach ($angle === 180.0 ? [[0.0, 0.0], [9.0, 9.0]] : [
                [0.0, 0.0], [12.0, 20.0], [-15.0, 10.0], [-30.0, -30.0], [0.0, 14.0], [-11.0, 0.0],
            ] as $leans) {
                $run = Sample::two($angle, $leans, Corner::glass(24.0), 9000.0, Sample::glassOnly());
                foreach ($run->stretches as $i => $stretch) {
                    $slope = 2400.0 / cos(deg2rad($leans[$i]));
                    $along = $stretch->plane->point(1.0, 0.0)->minus($stretch->plane->point(0.0, 0.0));
                    $up = $stretch->plane->point(0.0, 1.0)->minus($stretch->plane->point(0.0, 0.0));
                    $drift = ($i === 0 ? 1 : -1) * $run->meetings[0]->edge->dot($along) / $run->meetings[0]->edge->dot($up);
                    $face = (9000.0 + $drift * $slope / 2) * $slope - 12.0 * $slope * hypot(1.0, $drift);
                    $seen = array_sum(array_map(static fn (RunPane $p): float => $p->area(), $stretch->panes()));
                    self::assertEqualsWithDelta($face, $seen, 1.0, "stretch $i at $angle, leaning ".implode(' and ', $leans));
                }
            }
        }
    }

    /**
     * @param  array{float, float}  $leans
     */
    #[DataProvider('refused')]
    public function test_what_cannot_stand_is_refused_with_figures(
        float $angle,
        array $leans,
        float $length,
        string $reason,
        string $says,
    ): void {
        try {
            Sample::two($angle, $leans, Corner::mitred(MemberProfile::rectangle(60.0, 120.0)), $length);
            self::fail('It stood.');
        } catch (Refusal $refusal) {
            self::assertSame($reason, $refusal->reason);
            self::assertStringContainsString($says, str_replace("\u{202F}", ' ', $refusal->getMessage()));
        }
    }

    /** @return iterable<string, array{float, array{float, float}, float, string, string}> */
    public static function refused(): iterable
    {
        yield 'too sharp' => [20.0, [0.0, 0.0], 6000.0, 'run.corner_too_sharp', '20.0° on its inside'];
        yield 'in line and leaning differently' => [180.0, [10.0, 20.0], 6000.0, 'run.no_edge', 'corner 1'];
        yield 'a side that vanishes' => [90.0, [40.0, 40.0], 1500.0, 'run.side_vanishes', '1 500 long at its foot'];
    }

    /** Round three sides of 4 000, 3 000 and 4 000 at 1 200: the pattern runs on through the corners. By hand. */
    public function test_bays_are_set_out_round_the_whole_run_where_the_type_says_so(): void
    {
        $at = [new Vec2(0, 4000), new Vec2(0, 0), new Vec2(3000, 0), new Vec2(3000, 4000)];
        $path = RunPath::of(
            array_map(static fn (int $i): PathStretch => new PathStretch(Curve::line($at[$i], $at[$i + 1])), [0, 1, 2]),
            [Corner::glass(0.0), Corner::glass(0.0)],
        );
        $rules = static fn (bool $through): GridRules => Sample::rules([
            'bays' => ['by' => 'module', 'size' => 1200.0, 'through' => $through], 'rows' => ['by' => 'count', 'count' => 1],
        ]);
        $lines = static fn (Run $run): array => array_map(
            static fn (Stretch $s): array => array_slice($s->grid()->bays->at, 1, -1),
            $run->stretches,
        );
        self::assertEqualsWithDelta(
            [[1200.0, 2400.0, 3600.0], [800.0, 2000.0], [200.0, 1400.0, 2600.0, 3800.0]],
            $lines(Run::along($path, $rules(true), 0.0, 3000.0)),
            1e-6,
        );
        self::assertEqualsWithDelta(
            [[1200.0, 2400.0, 3600.0], [1200.0, 2400.0], [1200.0, 2400.0, 3600.0]],
            $lines(Run::along($path, $rules(false), 0.0, 3000.0)),
            1e-6,
        );
    }

    /** A closed run round a rectangle has a corner at each of its four. */
    public function test_a_run_may_close(): void
    {
        $at = [new Vec2(0, 0), new Vec2(5000, 0), new Vec2(5000, 4000), new Vec2(0, 4000), new Vec2(0, 0)];
        $stretches = array_map(static fn (int $i): PathStretch => new PathStretch(Curve::line($at[$i], $at[$i + 1])), [0, 1, 2, 3]);
        $post = Corner::post(MemberProfile::rectangle(100.0, 100.0));
        $run = Run::along(
            RunPath::of($stretches, array_fill(0, 4, $post)),
            Sample::rules(['rows' => ['by' => 'count', 'count' => 1], 'bays' => ['by' => 'greatest', 'size' => 1500.0]]),
            0.0,
            2500.0,
        );
        self::assertCount(4, $run->corners);
        self::assertEqualsWithDelta(4 * 100.0 * 100 * 2500, array_sum(array_map(
            static fn (RunMember $m): float => $m->volume(),
            $run->corners,
        )), 1e-3);
        self::assertSame(180.0 * 2, array_sum(array_map(static fn (Meeting $m): float => round($m->angle, 6), $run->meetings)));
    }

    /** @param  list<PathStretch>  $stretches */
    #[DataProvider('paths')]
    public function test_paths_that_cannot_be_are_refused(array $stretches, int $corners, string $reason): void
    {
        try {
            RunPath::of($stretches, array_fill(0, $corners, Corner::glass(0.0)));
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame($reason, $refusal->reason);
        }
    }

    /** @return iterable<string, array{list<PathStretch>, int, string}> */
    public static function paths(): iterable
    {
        $line = static fn (float $x0, float $y0, float $x1, float $y1): PathStretch => new PathStretch(
            Curve::line(new Vec2($x0, $y0), new Vec2($x1, $y1)),
        );
        yield 'none' => [[], 0, 'run.path_empty'];
        yield 'a gap' => [[$line(0, 0, 1000, 0), $line(1010, 0, 2000, 900)], 1, 'run.path_broken'];
        yield 'too few corners' => [[$line(0, 0, 1000, 0), $line(1000, 0, 2000, 900), $line(2000, 900, 0, 900)], 1, 'run.corners'];
        yield 'one that crosses itself' => [
            [$line(0, 0, 4000, 0), $line(4000, 0, 4000, 3000), $line(4000, 3000, 2000, -1000)], 2, 'run.path_crosses',
        ];
    }

    /** A mullion that a corner takes wholly takes no other with it: at 100, 1 300 … of 1 200 beside a strip of 180, at a sharp corner. */
    public function test_a_member_a_corner_takes_leaves_its_neighbours(): void
    {
        $rules = static fn (float $depth): GridRules => Sample::rules(
            ['bays' => ['by' => 'sizes', 'sizes' => [100.0, 120.0, 1200.0], 'after' => 'rest'], 'rows' => ['by' => 'count', 'count' => 1]],
            ['mullion' => ['shape' => 'rectangle', 'face' => 50.0, 'depth' => $depth]],
        );
        $corner = Corner::post(MemberProfile::rectangle(180.0, 150.0));
        $run = Sample::two(60.0, [0.0, 0.0], $corner, 6000.0, $rules(150.0));
        // of the second stretch the first mullion lies in the strip, the other two stand
        $mullions = array_filter($run->stretches[1]->members(), static fn (RunMember $m): bool => $m->what === 'mullion');
        self::assertCount(2, $mullions);
    }

    /** Law: however deep a member that was changed by hand, it ends where its corner is halved. */
    public function test_members_changed_by_hand_are_cut_at_corners_too(): void
    {
        $profile = ['shape' => 'rectangle', 'face' => 50.0, 'depth' => 1500.0];
        $deep = ['axis' => 'upright', 'line' => '1', 'from' => '0', 'profile' => $profile];
        $hand = ByHand::from(new Fields(['members' => [$deep]]));
        $run = Sample::two(45.0, [0.0, 0.0], Corner::glass(0.0), 6000.0, null, [1 => $hand]);
        $cut = false;
        foreach ($run->stretches[1]->members() as $member) {
            foreach ($member->solids() as $solid) {
                foreach (array_chunk($solid->mesh(0.1)->positions, 3) as [$x, $y, $z]) {
                    self::assertLessThan(1e-6, $run->meetings[0]->after()->beyond(new Vec3($x, $y, $z)));
                }
            }
            $cut = $cut || ($member->profile->depth === 1500.0 && $member->volume() < 50.0 * 1500 * 1000);
        }
        self::assertTrue($cut, 'a part of it is cut away');
    }

    public function test_a_corner_is_a_rectangle(): void
    {
        $this->expectExceptionMessage('What stands at a corner is a rectangle');
        Corner::from(new Fields(['kind' => 'post', 'profile' => ['shape' => 'round', 'face' => 80.0]]));
    }

    private static function room(): Run
    {
        $sixty = ['shape' => 'rectangle', 'face' => 60.0, 'depth' => 140.0];
        $at = [new Vec2(0, 4600), new Vec2(0, 0), new Vec2(3200, 0), new Vec2(3200, 4600)];

        return Run::along(
            RunPath::of(
                [
                    new PathStretch(Curve::line($at[0], $at[1])), new PathStretch(Curve::line($at[1], $at[2])),
                    new PathStretch(Curve::line($at[2], $at[3])),
                ],
                array_fill(0, 2, Corner::post(MemberProfile::rectangle(140.0, 140.0))),
            ),
            Sample::rules(
                ['bays' => ['by' => 'count', 'count' => 1], 'rows' => ['by' => 'count', 'count' => 1]],
                array_fill_keys(['mullion', 'transom', 'left', 'right', 'head', 'foot'], $sixty),
            ),
            150.0,
            2250.0,
        );
    }
}
