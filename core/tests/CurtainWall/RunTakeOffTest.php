<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\CurtainWall;

use Isleward\Core\CurtainWall\Corner;
use Isleward\Core\CurtainWall\CuttingList;
use Isleward\Core\CurtainWall\MemberProfile;
use Isleward\Core\CurtainWall\MemberRow;
use Isleward\Core\CurtainWall\PathStretch;
use Isleward\Core\CurtainWall\Run;
use Isleward\Core\CurtainWall\RunMember;
use Isleward\Core\CurtainWall\RunPath;
use Isleward\Core\CurtainWall\RunTakeOff;
use Isleward\Core\CurtainWall\Shares;
use Isleward\Core\CurtainWall\Stock;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Vec2;
use PHPUnit\Framework\TestCase;

final class RunTakeOffTest extends TestCase
{
    /** 3 600 × 2 400 in bays and rows of 1 200, members 50 × 150, twice: by hand. */
    public function test_alike_members_and_infills_are_one_row(): void
    {
        $runs = [self::straight(), self::straight()];
        $rows = RunTakeOff::members($runs);
        self::assertSame([
            // foot and head of the middle bays, then of the two outer ones
            ['F1', 1150.0, 2], ['F2', 1125.0, 4], ['H1', 1150.0, 2], ['H2', 1125.0, 4],
            // two mullions and two sides each, all as high as the run; transoms as the head
            ['M1', 2400.0, 8], ['T1', 1150.0, 2], ['T2', 1125.0, 4],
        ], array_map(static fn (MemberRow $r): array => [$r->mark, round($r->length, 6), $r->count], $rows));
        self::assertSame([[90.0, 90.0], [90.0, 90.0]], $rows[0]->ends);
        $infills = RunTakeOff::infills($runs, 15.0);
        // 1 150 × 1 125 and 1 125 × 1 125 seen, 30 more each way as cut; two panes of 6 weigh 30 kg a m² (EN 572-1; from memory)
        self::assertSame(
            [['G1', 1180.0, 1155.0, 4], ['G2', 1155.0, 1155.0, 8]],
            array_map(static fn ($r): array => [$r->mark, round($r->width, 6), round($r->height, 6), $r->count], $infills),
        );
        self::assertEqualsWithDelta(1.180 * 1.155 * 30, $infills[0]->weight, 1e-9);
    }

    /** What is cut from bars is what stands: every straight member, and none that is bent. */
    public function test_the_cutting_list_has_every_straight_member(): void
    {
        $arc = Curve::curved(0.0, 0.0, 6000.0, 6000.0, deg2rad(-120), deg2rad(60));
        $end = $arc->end();
        $run = Run::along(
            RunPath::of(
                [new PathStretch($arc), new PathStretch(Curve::line($end, $end->plus(new Vec2(5000.0, 1000.0))))],
                [Corner::post(MemberProfile::rectangle(160.0, 160.0))],
            ),
            BentTest::rules(),
            0.0,
            6000.0,
            [0.0, 3000.0],
        );
        $rows = RunTakeOff::members([$run]);
        $straight = array_filter($run->members(), static fn (RunMember $m): bool => $m->radius === null);
        $bent = array_filter($rows, static fn (MemberRow $r): bool => $r->radius !== null);
        self::assertNotEmpty($bent);
        $radii = array_map(static fn (MemberRow $r): float => round($r->radius ?? 0.0, 6), $bent);
        self::assertSame([6000.0], array_values(array_unique($radii)));
        $cut = 0.0;
        foreach (RunTakeOff::pieces($rows) as $pieces) {
            $cut += CuttingList::pack($pieces, Stock::of(4.0, 20.0, 6500.0))->pieceLength();
        }
        // rows are of members alike to a tenth
        $stands = array_sum(array_map(static fn (RunMember $m): float => $m->length, $straight));
        self::assertEqualsWithDelta($stands, $cut, 0.1 * count($straight));
    }

    public function test_shares_are_of_the_whole_face(): void
    {
        $shares = Shares::of(self::straight());
        self::assertEqualsWithDelta(3600.0 * 2400, $shares->face(), 1e-6);
        // 2 · (1 125 + 1 150 + 1 125) · 1 125 of glass
        self::assertEqualsWithDelta(2 * 3400.0 * 1125, $shares->glass, 1e-6);
        self::assertEqualsWithDelta(3600.0 * 2400 - 2 * 3400.0 * 1125, $shares->frame, 1e-6);
        self::assertSame([0.0, 0.0], [$shares->opaque, $shares->open]);
        // leaning by 15° and 12° over a right angle the first face is a trapezium
        $leaning = Sample::two(90.0, [15.0, 12.0], Corner::glass(0.0), 6000.0, Sample::glassOnly());
        $of = Shares::of($leaning);
        self::assertEqualsWithDelta($leaning->faceArea(), $of->glass, 1.0);
    }

    private static function straight(): Run
    {
        return Run::along(
            RunPath::of([new PathStretch(Curve::line(new Vec2(0.0, 0.0), new Vec2(3600.0, 0.0)))], []),
            Sample::rules(),
            0.0,
            2400.0,
        );
    }
}
