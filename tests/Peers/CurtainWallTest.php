<?php

declare(strict_types=1);

namespace Tests\Peers;

use Isleward\Core\CurtainWall\ByHand;
use Isleward\Core\CurtainWall\Corner;
use Isleward\Core\CurtainWall\GridRules;
use Isleward\Core\CurtainWall\MemberProfile;
use Isleward\Core\CurtainWall\PathStretch;
use Isleward\Core\CurtainWall\Run;
use Isleward\Core\CurtainWall\RunPath;
use Isleward\Core\Geometry\BentPrism;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\HalfSpace;
use Isleward\Core\Geometry\UprightCylinder;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Geometry\Vec3;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Tests\CurtainWall\BentTest;
use Isleward\Core\Tests\CurtainWall\Sample;

/** Members of curtain walls, read by manifold-3d: no two of them share any volume, whatever the angle and the lean. */
final class CurtainWallTest extends PeerCase
{
    public function test_the_sum_of_all_members_is_their_union(): void
    {
        $cases = $ours = [];
        $leans = [[0.0, 0.0], [18.0, 18.0], [-30.0, -30.0], [30.0, -12.0], [-8.0, 25.0], [0.0, 14.0], [-16.0, 0.0]];
        foreach (range(30, 330, 15) as $n => $angle) {
            $these = $angle === 180 ? [[0.0, 0.0], [14.0, 14.0]] : [$leans[0], $leans[1 + $n % 6], $leans[1 + ($n + 2) % 6]];
            foreach ($these as $k => $lean) {
                $profile = MemberProfile::from(new Fields([
                    'shape' => 'rectangle', 'face' => [60.0, 140.0, 180.0][($n + $k) % 3], 'depth' => 140.0, 'setback' => 28.0,
                    'capWidth' => 50.0, 'capDepth' => 20.0,
                ]));
                $free = ['profile' => $profile->toArray(), 'toV' => 2400.0 / cos(deg2rad($lean[0]))];
                $run = Sample::two(
                    (float) $angle,
                    $lean,
                    [Corner::post($profile), Corner::mitred($profile), Corner::glass(20.0), ...self::squares($profile)][($n + 2 * $k) % 5],
                    7000.0,
                    self::rules($lean === [0.0, 0.0]),
                    $n % 2 === 0 ? [] : [ByHand::from(new Fields(['free' => [
                        ['fromU' => 600.0, 'fromV' => 0.0, 'toU' => 3300.0] + $free,
                        ['fromU' => 4200.0, 'fromV' => 0.0, 'toU' => 2100.0] + $free,
                    ]]))],
                    $n % 3 === 0,
                );
                $ours["$angle, ".implode(' and ', $lean)] = self::volumes($run);
                $cases[] = self::solids($run);
            }
        }
        $answers = self::ask('runs.mjs', $cases);
        foreach (array_keys($ours) as $i => $which) {
            self::assertSame(['NoError'], $answers[$i]['status'], $which);
            foreach ($ours[$which] as $k => $volume) {
                // ours are exact, theirs in single precision over 7 m
                self::assertEqualsWithDelta($volume, $answers[$i]['volumes'][$k], max(40.0, $volume * 2e-4), "solid $k of $which");
            }
            $sum = array_sum($answers[$i]['volumes']);
            self::assertEqualsWithDelta($sum, $answers[$i]['union'], $sum * 2e-5, "the sum is the union at $which");
        }
        self::assertGreaterThan(55, count($ours));
    }

    /** Heads that rise and fall beside stretches with level ones, round corners of any angle, with members drawn freely under them. */
    public function test_the_sum_of_members_under_slopes_is_their_union(): void
    {
        $cases = $ours = [];
        foreach ([
            [[0.0, 2400.0], [3000.0, 4400.0], [6000.0, 2400.0]], [[0.0, 2400.0], [2000.0, 3900.0], [4500.0, 3900.0], [6000.0, 2400.0]],
            [[0.0, 1900.0], [6000.0, 5200.0]],
            [[0.0, 2400.0], [800.0, 3600.0], [3000.0, 4700.0], [5200.0, 3600.0], [6000.0, 2100.0]],
        ] as $n => $head) {
            foreach ([45, 90, 150, 200, 270] as $k => $angle) {
                $profile = MemberProfile::from(new Fields([
                    'shape' => 'rectangle', 'face' => [60.0, 140.0][($n + $k) % 2], 'depth' => 140.0, 'setback' => 28.0,
                    'capWidth' => 50.0, 'capDepth' => 20.0,
                ]));
                $turn = deg2rad(180.0 - $angle);
                $run = Run::along(
                    RunPath::of([
                        new PathStretch(Curve::line(new Vec2(-6000.0, 0.0), new Vec2(0.0, 0.0)), head: [$head]),
                        new PathStretch(Curve::line(new Vec2(0.0, 0.0), new Vec2(5000.0 * cos($turn), 5000.0 * sin($turn)))),
                    ], [[Corner::post($profile), Corner::mitred($profile), Corner::glass(20.0)][($n + $k) % 3]]),
                    self::rules(true), 300.0, 2400.0, [],
                    [ByHand::from(new Fields(['free' => [
                        ['fromU' => 700.0, 'fromV' => 0.0, 'toU' => 3600.0, 'toV' => max(array_column($head, 1)) + 1000.0,
                            'profile' => $profile->toArray()],
                    ]]))],
                );
                $ours["head $n, $angle"] = self::volumes($run);
                $cases[] = self::solids($run);
            }
        }
        $answers = self::ask('runs.mjs', $cases);
        foreach (array_keys($ours) as $i => $which) {
            self::assertSame(['NoError'], $answers[$i]['status'], $which);
            foreach ($ours[$which] as $k => $volume) {
                self::assertEqualsWithDelta($volume, $answers[$i]['volumes'][$k], max(40.0, $volume * 2e-4), "solid $k of $which");
            }
            $sum = array_sum($answers[$i]['volumes']);
            self::assertEqualsWithDelta($sum, $answers[$i]['union'], $sum * 2e-5, "the sum is the union at $which");
        }
    }

    /** Curved runs, bulging and hollow, that meet straight ones at any angle. */
    public function test_the_sum_of_bent_members_is_their_union(): void
    {
        $cases = $ours = [];
        foreach ([[9000.0, 80.0], [-6000.0, 60.0], [3500.0, 120.0], [-12000.0, 35.0]] as $n => [$radius, $sweep]) {
            foreach ([0.0, 40.0, -55.0, 110.0, -130.0] as $k => $turn) {
                $sign = $radius > 0 ? 1.0 : -1.0;
                $arc = Curve::curved(0.0, 0.0, abs($radius), abs($radius), deg2rad(-100), $sign * deg2rad($sweep));
                $on = $arc->directionAt($arc->length())->angle() + deg2rad($turn);
                $end = $arc->end();
                $profile = MemberProfile::rectangle(160.0, 150.0, 30.0);
                $run = Run::along(
                    RunPath::of(
                        [
                            new PathStretch($arc, 0.0, $k === 4),
                            new PathStretch(Curve::line($end, $end->plus((new Vec2(cos($on), sin($on)))->times(4000.0)))),
                        ],
                        [[Corner::post($profile), Corner::mitred($profile), Corner::glass(30.0)][($n + $k) % 3]],
                    ),
                    BentTest::rules(),
                    200.0,
                    5200.0,
                    [-200.0, 3400.0],
                );
                $ours["$radius, $turn"] = self::volumes($run);
                $cases[] = self::solids($run, 0.05);
            }
        }
        $answers = self::ask('runs.mjs', $cases);
        foreach (array_keys($ours) as $i => $which) {
            self::assertSame(['NoError'], $answers[$i]['status'], $which);
            foreach ($ours[$which] as $k => $volume) {
                // a chord of 0.05 mm on both sides of something 28 thick whose ends are cut slanted
                self::assertEqualsWithDelta($volume, $answers[$i]['volumes'][$k], max(500.0, $volume * 1e-3), "solid $k of $which");
            }
            // chords of neighbours leave their arc by as much as the sagitta, either way
            $sum = array_sum($answers[$i]['volumes']);
            self::assertEqualsWithDelta($sum, $answers[$i]['union'], $sum * 2e-5, "the sum is the union at $which");
        }
    }

    /** Bent members and glass, bulging and hollow, their ends at any upright planes, one or two at each: by a kernel of exact solids. */
    public function test_bent_pieces_have_the_volume_a_solid_kernel_finds(): void
    {
        mt_srand(56);
        $cases = $ours = [];
        for ($i = 0; $i < 30; $i++) {
            $r = (float) mt_rand(2000, 12000);
            $sign = $i % 2 === 0 ? 1.0 : -1.0;
            $surface = new UprightCylinder(Curve::curved(0.0, 0.0, $r, $r, mt_rand(0, 628) / 100, $sign * mt_rand(20, 90) / 100));
            $ends = [];
            foreach ([[120.0, -1.0], [$surface->length - 120.0, 1.0]] as [$u, $way]) {
                $tangent = $surface->tangent($u);
                $out = $surface->outward($u);
                $planes = [];
                for ($k = mt_rand(1, 2); $k > 0; $k--) {
                    [$by, $lean] = [mt_rand(-40, 40), mt_rand(-70, 70) / 100];
                    $planes[] = HalfSpace::behind(
                        $surface->point($u, 0.0)->plus(new Vec3($tangent->x * $by, $tangent->y * $by, 0.0)),
                        new Vec3($way * $tangent->x + $lean * $out->x, $way * $tangent->y + $lean * $out->y, 0.0),
                    );
                }
                $ends[] = $planes;
            }
            $ours[] = array_sum(array_map(
                static fn (BentPrism $p): float => $p->volume(),
                BentPrism::between($surface, 0.0, 55.0, 30.0, 160.0, ...$ends),
            ));
            $middle = $surface->outward($surface->length / 2);
            $cases[] = [
                'kind' => 'ring', 'near' => $r - $sign * 30.0, 'far' => $r - $sign * 160.0, 'height' => 55.0,
                'within' => array_map(
                    static fn (HalfSpace $h): array => [$h->normal->x, $h->normal->y, $h->reach],
                    [...$ends[0], ...$ends[1], HalfSpace::behind(
                        new Vec3(0.0, 0.0, 0.0),
                        // the ring goes on behind the axis, where no end is
                        new Vec3(-$sign * $middle->x, -$sign * $middle->y, 0.0),
                    )],
                ),
            ];
        }
        foreach (self::ask('solidKernel.mjs', $cases) as $i => $theirs) {
            self::assertEqualsWithDelta(1.0, $ours[$i] / $theirs, 1e-6, "case $i");
        }
    }

    /** @return array{Corner, Corner} a post square to the one side, and to the other */
    private static function squares(MemberProfile $profile): array
    {
        return [
            Corner::from(new Fields(['kind' => 'square-left', 'profile' => $profile->toArray()])),
            Corner::from(new Fields(['kind' => 'square-right', 'profile' => $profile->toArray()])),
        ];
    }

    /** @param  bool  $mitre  faces that both lie in one plane askew are more than single precision keeps apart: of upright ones only */
    private static function rules(bool $mitre = false): GridRules
    {
        $capped = ['shape' => 'rectangle', 'face' => 50.0, 'depth' => 140.0, 'setback' => 28.0, 'capWidth' => 50.0, 'capDepth' => 20.0];

        return Sample::rules(
            ['bays' => ['by' => 'greatest', 'size' => 1500.0], 'rows' => ['by' => 'count', 'count' => 3], 'mitre' => $mitre],
            ['mullion' => ['shape' => 'tee', 'face' => 50.0, 'depth' => 120.0, 'setback' => 28.0, 'flange' => 10.0, 'web' => 12.0],
                'transom' => $capped, 'left' => $capped, 'right' => $capped, 'head' => $capped, 'foot' => $capped],
        );
    }

    /** @return list<array{positions: list<float>, triangles: list<int>}> */
    private static function solids(Run $run, float $sagitta = 0.1): array
    {
        $out = [];
        foreach ([...$run->members(), ...$run->panes()] as $one) {
            foreach ($one->solids() as $solid) {
                $mesh = $solid->mesh($sagitta);
                $out[] = ['positions' => $mesh->positions, 'triangles' => $mesh->triangles];
            }
        }

        return $out;
    }

    /** @return list<float> */
    private static function volumes(Run $run): array
    {
        $out = [];
        foreach ([...$run->members(), ...$run->panes()] as $one) {
            foreach ($one->solids() as $solid) {
                $out[] = $solid->volume();
            }
        }

        return $out;
    }
}
