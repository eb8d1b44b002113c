<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Geometry;

use Isleward\Core\Geometry\ArcFigures;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\InvalidArc;
use Isleward\Core\Geometry\InvalidPath;
use Isleward\Core\Geometry\LeaningPlane;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Geometry\Vec3;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SurfacesTest extends TestCase
{
    /** @return iterable<string, array{Upright}> */
    public static function surfaces(): iterable
    {
        $from = new Vec2(1200, -300);
        $to = new Vec2(7300, 2500);
        yield 'flat' => [Upright::over(Curve::line($from, $to))];
        yield 'bulging' => [Upright::over(Curve::overChord($from, $to, 1100))];
        yield 'hollow' => [Upright::over(Curve::overChord($from, $to, -1100))];
        yield 'more than half round' => [Upright::over(Curve::overChord($from, $to, 6000))];
    }

    #[DataProvider('surfaces')]
    public function test_a_place_goes_there_and_back_and_outward_is_to_the_right(Upright $surface): void
    {
        mt_srand(5);
        for ($i = 0; $i < 200; $i++) {
            [$u, $v, $n] = [mt_rand(0, 1000) / 1000 * $surface->length, mt_rand(-500, 9000) * 1.0, mt_rand(-400, 400) * 1.0];
            $back = $surface->place($surface->point($u, $v, $n));
            self::assertEqualsWithDelta([$u, $v, $n], [$back->x, $back->y, $back->z], 1e-6);
            // n runs along the normal, and u a mm along the tangent is a mm along the face
            $step = $surface->point($u, $v, 1.0)->plus($surface->point($u, $v)->times(-1.0));
            self::assertEqualsWithDelta(1.0, $step->dot($surface->normal($u, $v)), 1e-9);
            $way = $surface->inPlan($u + 1e-3)->minus($surface->inPlan($u));
            self::assertEqualsWithDelta(1e-3, $way->dot($surface->tangent($u)), 1e-9);
            self::assertEqualsWithDelta(0.0, $surface->outward($u)->dot($surface->tangent($u)), 1e-12);
            self::assertGreaterThan(0.0, $surface->outward($u)->cross($surface->tangent($u)));
        }
        self::assertEqualsWithDelta([0.0, $surface->length], [
            $surface->u($surface->foot->start()), $surface->u($surface->foot->end()),
        ], 1e-6);
    }

    #[DataProvider('surfaces')]
    public function test_what_lies_behind_it_and_a_stretch_of_it_are_of_the_same_surface(Upright $surface): void
    {
        $behind = $surface->behind(300.0);
        self::assertEqualsWithDelta($behind->length(), $surface->lengthAt(0.0, $surface->length, 300.0), 1e-6);
        foreach ([0.0, 0.3, 1.0] as $share) {
            $p = new Vec2(...$behind->at($share));
            self::assertEqualsWithDelta([$share * $surface->length, 300.0], [$surface->u($p), $surface->depth($p)], 1e-6);
        }
        $part = $surface->stretch(1000.0, 3500.0);
        self::assertTrue($surface->isOneWith($part));
        self::assertFalse($surface->isOneWith(Upright::over($surface->foot->reversed())), 'it faces the other way');
        self::assertTrue($surface->liesIn(Upright::over($surface->foot->reversed())));
        self::assertEqualsWithDelta(0.0, $part->inPlan(250.0)->distanceTo($surface->inPlan(1250.0)), 1e-6);
        self::assertFalse($surface->isOneWith(Upright::over($surface->behind(1.0))));
    }

    /** published.md: a segment of chord 2000 and rise 500 has radius 1250 and arc 2318.2; an arc of 9000 over 80° is 12 566.37 long. */
    public function test_every_figure_of_an_arc_leads_to_its_rise(): void
    {
        self::assertEqualsWithDelta(500.0, ArcFigures::riseOfRadius(2000, 1250), 1e-9);
        self::assertEqualsWithDelta(2000.0, ArcFigures::riseOfRadius(2000, 1250, true), 1e-9);
        self::assertEqualsWithDelta(500.0, ArcFigures::riseOfLength(2000, 2318.238), 0.001);
        self::assertEqualsWithDelta(500.0, ArcFigures::riseOfAngle(2000, 2 * asin(2000 / 2 / 1250)), 1e-9);
        $chord = 2 * 9000 * sin(deg2rad(40));
        self::assertEqualsWithDelta(9000 * (1 - cos(deg2rad(40))), ArcFigures::riseOfLength($chord, 12566.370614), 1e-5);

        // through its crown, or any other of its points, either side
        $arc = Curve::overChord(new Vec2(0, 0), new Vec2(2000, 0), -500);
        foreach ([0.2, 0.5, 0.9] as $share) {
            self::assertEqualsWithDelta(-500.0, ArcFigures::riseThrough($arc->start(), $arc->end(), new Vec2(...$arc->at($share))), 1e-6);
        }
        self::assertEqualsWithDelta(-500.0, ArcFigures::riseTangent($arc->start(), $arc->directionAt(0.0), $arc->end()), 1e-6);
    }

    public function test_arcs_that_cannot_be_are_refused_with_figures(): void
    {
        foreach ([
            [static fn () => ArcFigures::riseOfRadius(2000, 900), 'under half the chord of 2 000'],
            [static fn () => ArcFigures::riseOfRise(2000, 0.0), 'no rise is straight'],
            [static fn () => ArcFigures::riseOfLength(2000, 1990), 'no longer than its chord'],
            [static fn () => ArcFigures::riseOfAngle(2000, 2 * M_PI), '360° was given'],
            [static fn () => ArcFigures::riseOfRise(2000, 1e6), 'at the most'],
            [static fn () => ArcFigures::riseThrough(new Vec2(0, 0), new Vec2(9, 0), new Vec2(4, 0)), 'on one line'],
            [static fn () => ArcFigures::riseTangent(new Vec2(0, 0), new Vec2(-1, 0), new Vec2(9, 0)), 'turn right back'],
        ] as [$do, $words]) {
            try {
                $do();
                self::fail("Nothing was refused with “{$words}”.");
            } catch (InvalidArc $e) {
                self::assertStringContainsString($words, str_replace("\u{202f}", ' ', str_replace("\u{a0}", ' ', $e->getMessage())));
            }
        }
    }

    public function test_a_cross_product_stands_square_on_both(): void
    {
        $a = new Vec3(1, 2, 3);
        $b = new Vec3(-2, 0.5, 4);
        $c = $a->cross($b);
        self::assertEqualsWithDelta([0.0, 0.0], [$a->dot($c), $b->dot($c)], 1e-12);
        self::assertEqualsWithDelta(sqrt($a->dot($a) * $b->dot($b) - $a->dot($b) ** 2), $c->length(), 1e-12);
    }

    public function test_a_leaning_plane_is_hinged_at_its_foot_and_true_to_size_up_its_slope(): void
    {
        mt_srand(6);
        $foot = Curve::line(new Vec2(1000, 2000), new Vec2(7000, 10000));
        foreach ([0.0, 0.6, -0.4] as $lean) {
            $surface = new LeaningPlane($foot, 3600.0, $lean);
            self::assertTrue($surface->isFlat());
            for ($i = 0; $i < 50; $i++) {
                $uvn = [mt_rand(0, 10000) * 1.0, mt_rand(-500, 9000) * 1.0, mt_rand(-400, 400) * 1.0];
                $there = $surface->point(...$uvn);
                $back = $surface->place($there);
                self::assertEqualsWithDelta($uvn, [$back->x, $back->y, $back->z], 1e-6);
                self::assertEqualsWithDelta($surface->level($uvn[1]), $surface->point($uvn[0], $uvn[1])->z, 1e-6);
            }
            $hinge = $surface->point(0.0, 0.0);
            self::assertEqualsWithDelta([1000.0, 2000.0, 3600.0], [$hinge->x, $hinge->y, $hinge->z], 1e-9);
            // leaning inward it faces up, and lies behind its foot
            self::assertSame($lean <=> 0.0, $surface->normal(0.0, 0.0)->z <=> 0.0);
            self::assertEqualsWithDelta(4000.0 * sin($lean), Upright::over($foot)->depth(self::inPlan($surface->point(0.0, 4000.0))), 1e-6);
        }
    }

    /** Figures of published.md: a hipped roof of one pitch over 18 000 × 11 400. */
    public function test_the_planes_of_a_hipped_roof_meet_as_is_published(): void
    {
        $lean = deg2rad(90 - 35);
        $south = new LeaningPlane(Curve::line(new Vec2(0, 0), new Vec2(18000, 0)), 0.0, $lean);
        $west = new LeaningPlane(Curve::line(new Vec2(0, 11400), new Vec2(0, 0)), 0.0, $lean);
        $north = new LeaningPlane(Curve::line(new Vec2(18000, 11400), new Vec2(0, 11400)), 0.0, $lean);
        $hip = $south->cutBy($west);
        $ridge = $south->cutBy($north);
        self::assertNotNull($hip);
        self::assertNotNull($ridge);
        $peak = $hip->meetsLine($ridge);
        self::assertNotNull($peak);
        $top = $south->point($peak->x, $peak->y);
        self::assertEqualsWithDelta(3991.18, $top->z, 0.005, 'the ridge is so high');
        self::assertEqualsWithDelta(6600.0, 18000 - 2 * $top->x, 0.005, 'and so long');
        self::assertEqualsWithDelta(8994.97, $top->length(), 0.005, 'a hip from its corner');
        self::assertEqualsWithDelta(26.34, rad2deg(asin($top->z / $top->length())), 0.005);
        $area = Contour::polygon([0.0, 0.0, 18000.0, 0.0, 18000.0 - $peak->x, $peak->y, $peak->x, $peak->y])->area()
            + Contour::polygon([0.0, 0.0, 11400.0, 0.0, 5700.0, $peak->y])->area();
        self::assertEqualsWithDelta(250.503, 2 * $area / 1e6, 0.0005);
        $alike = new LeaningPlane(Curve::line(new Vec2(0, -900), new Vec2(5000, -900)), 0.0, $lean);
        self::assertNull($south->cutBy($alike), 'they run alike');
    }

    /** By formula: on a cylinder a plane's level is a sine of the angle round it; its chords leave it by the sagitta that was asked for. */
    public function test_a_leaning_plane_cuts_an_arc_in_a_sine_and_a_flat_wall_in_a_line(): void
    {
        mt_srand(29);
        for ($i = 0; $i < 40; $i++) {
            $sweep = mt_rand(20, 300) / 100.0 * [1, -1][$i % 2];
            $arc = Upright::over(Curve::curved(mt_rand(-9000, 9000), mt_rand(-9000, 9000), 7000.0, 7000.0, mt_rand(0, 628) / 100, $sweep));
            $roof = new LeaningPlane(
                Curve::line(new Vec2(mt_rand(-9000, 0), 0), new Vec2(mt_rand(1000, 9000), mt_rand(-4000, 4000))),
                3000.0,
                mt_rand(20, 150) / 100.0 * [1, -1][intdiv($i, 2) % 2],
            );
            $sagitta = [0.5, 5.0, 50.0][$i % 3];
            $cut = $arc->cutBy($roof, 0.0, $arc->length, $sagitta);
            self::assertNotNull($cut);
            $off = static fn (float $u, float $v): float => $roof->place($arc->point($u, $v))->z;
            $most = 0.0;
            for ($at = 0; $at + 3 < count($cut); $at += 2) {
                [$u, $v, $next, $w] = array_slice($cut, $at, 4);
                self::assertEqualsWithDelta(0.0, $off($u, $v), 1e-6, 'its corners lie on both');
                $rise = $off($u, 1.0) - $off($u, 0.0);
                $most = max($most, abs($off(($u + $next) / 2, ($v + $w) / 2) / $rise));
            }
            self::assertLessThanOrEqual($sagitta + 1e-6, $most);
            // and no finer than it needs to be
            self::assertTrue(count($cut) === 4 || $most > $sagitta / 10, "$most of $sagitta");
            $flat = Upright::over(Curve::line(new Vec2(-2000, 500), new Vec2(6000, 900)));
            $line = $flat->cutBy($roof, 0.0, 8000.0);
            self::assertNotNull($line);
            self::assertCount(4, $line);
            self::assertEqualsWithDelta(0.0, $roof->place($flat->point(4000.0, ($line[1] + $line[3]) / 2))->z, 1e-6);
        }
        $upright = new LeaningPlane(Curve::line(new Vec2(0, 0), new Vec2(1000, 0)), 0.0, 0.0);
        self::assertNull(Upright::over(Curve::line(new Vec2(0, 0), new Vec2(0, 1000)))->cutBy($upright, 0.0, 1000.0));
    }

    public function test_a_curved_foot_or_a_lean_to_the_ground_is_no_hinge(): void
    {
        [$from, $to] = [new Vec2(0, 0), new Vec2(9000, 0)];
        foreach ([[Curve::overChord($from, $to, 900), 0.2], [Curve::line($from, $to), M_PI / 2]] as [$foot, $lean]) {
            try {
                new LeaningPlane($foot, 0.0, $lean);
                self::fail('It was made.');
            } catch (InvalidPath $refusal) {
                self::assertSame('path.no_hinge', $refusal->reason);
            }
        }
    }

    private static function inPlan(Vec3 $point): Vec2
    {
        return new Vec2($point->x, $point->y);
    }
}
