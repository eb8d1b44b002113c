<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\CurtainWall;

use Isleward\Core\CurtainWall\ByHand;
use Isleward\Core\CurtainWall\GridRules;
use Isleward\Core\CurtainWall\Lost;
use Isleward\Core\CurtainWall\PathStretch;
use Isleward\Core\CurtainWall\Run;
use Isleward\Core\CurtainWall\RunMember;
use Isleward\Core\CurtainWall\RunPane;
use Isleward\Core\CurtainWall\RunPath;
use Isleward\Core\Geometry\BentPrism;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\HalfSpace;
use Isleward\Core\Geometry\UprightCylinder;
use Isleward\Core\Geometry\Vec3;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BentTest extends TestCase
{
    /** By formula, between planes through the axis: (r² − (r − t)²) / 2 · θ · h (published.md). */
    #[DataProvider('sides')]
    public function test_a_bent_rectangle_between_radial_ends_is_a_ring_sector(float $sign): void
    {
        $surface = self::cylinder(9000.0, 80.0, $sign);
        $length = 9000 * deg2rad(80);
        [$piece] = BentPrism::between(
            $surface,
            100.0,
            155.0,
            0.0,
            130.0,
            [HalfSpace::behind($surface->point(0.0, 0.0), self::along($surface, 0.0)->times(-1.0))],
            [HalfSpace::behind($surface->point($length, 0.0), self::along($surface, $length))],
        );
        $inner = 9000.0 - $sign * 130.0;
        self::assertEqualsWithDelta(abs(9000.0 ** 2 - $inner ** 2) / 2 * deg2rad(80) * 55, $piece->volume(), 1e-2);
        self::assertEqualsWithDelta([0.0, $length], [$piece->start(65.0), $piece->end(65.0)], 1e-6);
    }

    /** @return iterable<string, array{float}> */
    public static function sides(): iterable
    {
        yield 'bulging' => [1.0];
        yield 'hollow' => [-1.0];
    }

    /** Against Simpson's rule over the depth, of ends at any upright planes, one or two at each end. */
    public function test_volumes_between_any_planes_agree_with_adding_up_thin_shells(): void
    {
        mt_srand(55);
        for ($i = 0; $i < 80; $i++) {
            $surface = self::cylinder((float) mt_rand(1500, 12000), 60.0, $i % 2 === 0 ? 1.0 : -1.0);
            $ends = static function (float $u, float $way) use ($surface): array {
                $planes = [];
                for ($k = mt_rand(1, 2); $k > 0; $k--) {
                    $t = self::along($surface, $u);
                    $n = $surface->normal($u, 0.0);
                    $planes[] = HalfSpace::behind(
                        $surface->point($u, 0.0)->plus($t->times(mt_rand(-40, 40) / 1.0)),
                        $t->times($way)->plus($n->times(mt_rand(-70, 70) / 100)),
                    );
                }

                return $planes;
            };
            [$left, $right] = [$ends(150.0, -1.0), $ends($surface->length - 150.0, 1.0)];
            $pieces = BentPrism::between($surface, 0.0, 60.0, 20.0, 160.0, $left, $right);
            $shells = 0.0;
            for ($step = 0; $step < 4000; $step++) {
                $depth = 20.0 + 140.0 * ($step + 0.5) / 4000;
                $piece = $pieces[0];
                foreach ($pieces as $one) {
                    $piece = $one->near <= $depth && $one->far >= $depth ? $one : $piece;
                }
                $shells += $surface->lengthAt($piece->start($depth), $piece->end($depth), $depth) * 60.0 * 140.0 / 4000;
            }
            $volume = array_sum(array_map(static fn (BentPrism $p): float => $p->volume(), $pieces));
            self::assertEqualsWithDelta($shells, $volume, $volume * 2e-5, "round $i");
            foreach ([...$left, ...$right] as $half) {
                foreach ($pieces as $one) {
                    $middle = ($one->near + $one->far) / 2;
                    foreach ([$one->start($middle), $one->end($middle)] as $u) {
                        self::assertLessThan(1e-6, $half->beyond($surface->point($u, 0.0, -$middle)), "round $i: within every plane");
                    }
                }
            }
        }
    }

    /**
     * Radius 9 000 over two storeys, mullions 1 180 apart by arc length, one 1 750 from its neighbour, bent transoms 55 × 130: by hand.
     */
    public function test_a_curved_run_is_set_out_by_arc_length(): void
    {
        $run = Run::along(
            RunPath::of([new PathStretch(Curve::curved(0.0, 0.0, 9000.0, 9000.0, deg2rad(-130), deg2rad(80)))], []),
            self::rules(),
            0.0,
            6800.0,
            [0.0, 3600.0],
            [ByHand::from(new Fields(['lines' => [
                ['axis' => 'upright', 'done' => 'moved', 'line' => '5', 'from' => 'before', 'at' => 1750.0],
            ]]))],
        );
        $at = $run->stretches[0]->grid()->bays->at;
        self::assertEqualsWithDelta([1180.0, 2360.0, 3540.0, 4720.0, 6470.0, 7080.0], array_slice($at, 1, 6), 1e-6);
        // 80° of 9 000 are 12 566.37: ten of 1 180 and 766.37 are left
        self::assertEqualsWithDelta(766.3706, $at[11] - $at[10], 1e-4);
        $transoms = array_values(array_filter($run->members(), static fn (RunMember $m): bool => $m->what === 'transom'));
        // between mullions 60 wide, at the front, 30 behind the glass line: each half of a mullion spans asin(30 / 8 970) there
        $span = 8970.0 * (1180.0 / 9000 - 2 * asin(30 / 8970));
        self::assertEqualsWithDelta($span, $transoms[1]->length, 1e-6);
        self::assertEqualsWithDelta(9000.0, (float) $transoms[1]->radius, 1e-9);
        $mullions = array_filter($run->members(), static fn (RunMember $m): bool => $m->what === 'mullion');
        foreach ($mullions as $mullion) {
            self::assertEqualsWithDelta(60.0 * 150 * 6800, $mullion->volume(), 1e-3, 'straight and whole');
        }
        $glass = array_sum(array_map(static fn (RunPane $p): float => $p->area(), $run->panes()));
        self::assertLessThan(9000 * deg2rad(80) * 6800, $glass);
    }

    /** The same arc in facets: eleven chords, mullions 60 wide fitted to the kinks, chords of 1 180 by 2 r sin(s / 2 r). */
    public function test_an_arc_may_be_faceted(): void
    {
        $arc = Curve::curved(0.0, 0.0, 9000.0, 9000.0, deg2rad(-130), deg2rad(80));
        $hand = ByHand::from(new Fields(['infills' => [['left' => '3', 'foot' => '0', 'infill' => ['kind' => 'void']]]]));
        $run = Run::along(RunPath::of([new PathStretch($arc, 0.0, true)], []), self::rules(), 0.0, 6800.0, [0.0, 3600.0], [$hand]);
        self::assertSame([], $run->lost());
        self::assertCount(11, $run->stretches);
        self::assertCount(10, $run->corners);
        $chord = 18000 * sin(1180 / 18000);
        self::assertEqualsWithDelta($chord, $run->stretches[4]->grid()->width, 1e-6);
        // inside a bulge facets meet at a little less than a half turn: 180° less 1 180 / 9 000
        self::assertEqualsWithDelta(180.0 - rad2deg(1180 / 9000), $run->meetings[4]->angle, 1e-6);
        $void = array_filter($run->panes(), static fn (RunPane $p): bool => $p->pieces === []);
        self::assertCount(1, $void);
        foreach ($run->members() as $member) {
            self::assertNull($member->radius, 'nothing is bent');
        }
        // between kinks a transom is a chord less half a mullion at either end
        $transoms = array_values(array_filter($run->members(), static fn (RunMember $m): bool => $m->what === 'transom'));
        self::assertEqualsWithDelta($chord - 60.0, $transoms[4]->length, 1e-6);
    }

    public function test_facets_tell_what_they_cannot_keep_and_refuse_what_cannot_be_fitted(): void
    {
        $arc = new PathStretch(Curve::curved(0.0, 0.0, 9000.0, 9000.0, 0.0, 1.0), 0.0, true);
        $box = ['shape' => 'rectangle', 'face' => 50.0, 'depth' => 90.0];
        $free = ['profile' => $box, 'fromU' => 0, 'fromV' => 0, 'toU' => 900, 'toV' => 3000];
        $hand = ByHand::from(new Fields(['free' => [$free]]));
        $run = Run::along(RunPath::of([$arc], []), self::rules(), 0.0, 3000.0, [], [$hand]);
        self::assertSame(['Free member 1 lies across kinks: none is drawn on facets.'], Lost::says($run->lost()));
        $this->expectExceptionMessage('A mullion at a kink is fitted to it');
        $tee = ['shape' => 'tee', 'face' => 50.0, 'depth' => 100.0, 'flange' => 8.0, 'web' => 8.0];
        Run::along(RunPath::of([$arc], []), Sample::rules(['rows' => ['by' => 'count', 'count' => 1]], ['mullion' => $tee]), 0.0, 3000.0);
    }

    /** @param  array<string, mixed>  $profiles */
    #[DataProvider('refused')]
    public function test_what_cannot_be_bent_is_refused_with_the_reason(array $profiles, float $radius, float $lean, string $reason): void
    {
        try {
            Run::along(
                RunPath::of([new PathStretch(Curve::curved(0.0, 0.0, $radius, $radius, 0.0, 3.0), $lean)], []),
                Sample::rules(['rows' => ['by' => 'count', 'count' => 2]], $profiles),
                0.0,
                3000.0,
            );
            self::fail('It stood.');
        } catch (Refusal $refusal) {
            self::assertSame($reason, $refusal->reason);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, float, float, string}> */
    public static function refused(): iterable
    {
        yield 'a leaning arc' => [[], 9000.0, 0.1, 'run.leaning_arc'];
        yield 'a bent tee' => [
            ['transom' => ['shape' => 'tee', 'face' => 50.0, 'depth' => 100.0, 'flange' => 8.0, 'web' => 8.0]],
            9000.0, 0.0, 'run.bent_section',
        ];
        yield 'members as deep as the radius' => [
            ['mullion' => ['shape' => 'rectangle', 'face' => 60.0, 'depth' => 900.0]], 900.0, 0.0, 'run.radius',
        ];
    }

    public static function rules(): GridRules
    {
        $box = static fn (float $face, float $depth): array => [
            'shape' => 'rectangle', 'face' => $face, 'depth' => $depth, 'setback' => 30.0,
        ];

        return Sample::rules(
            ['bays' => ['by' => 'module', 'size' => 1180.0], 'rows' => ['by' => 'count', 'count' => 2, 'perStorey' => true]],
            ['mullion' => $box(60.0, 150.0), 'transom' => $box(55.0, 130.0), 'left' => $box(60.0, 150.0), 'right' => $box(60.0, 150.0),
                'head' => $box(55.0, 130.0), 'foot' => $box(55.0, 130.0)],
        );
    }

    private static function cylinder(float $radius, float $degrees, float $sign): UprightCylinder
    {
        return new UprightCylinder(Curve::curved(300.0, -200.0, $radius, $radius, 0.7, $sign * deg2rad($degrees)));
    }

    private static function along(UprightCylinder $surface, float $u): Vec3
    {
        $t = $surface->tangent($u);

        return new Vec3($t->x, $t->y, 0.0);
    }
}
