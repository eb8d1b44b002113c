<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Geometry;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Crossing;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Overlay;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Vec2;
use PHPUnit\Framework\TestCase;

final class OverlayTest extends TestCase
{
    /** Lens of two circles: 2 r² acos(d/2r) − d/2 √(4r² − d²) (handbook formula, from memory); r = d = 1000. */
    public function test_two_circles_have_the_handbooks_lens_and_their_arcs_stay_arcs(): void
    {
        [$a, $b] = [self::circle(0, 0, 1000), self::circle(1000, 0, 1000)];
        $lens = 1e6 * (2 * M_PI / 3 - sqrt(3) / 2);
        $common = Overlay::intersection([$a], [$b]);
        self::assertCount(1, $common);
        self::assertEqualsWithDelta($lens, $common[0]->area(), 0.1);
        self::assertCount(2, array_filter($common[0]->outer->edges(), static fn (Curve $c): bool => $c->isCircular()));
        self::assertEqualsWithDelta(2 * M_PI * 1e6 - $lens, self::area(Overlay::union([$a], [$b])), 0.1);
        self::assertEqualsWithDelta(M_PI * 1e6 - $lens, self::area(Overlay::difference([$a], [$b])), 0.1);
        // the lens's sides: arcs of 120° each
        self::assertEqualsWithDelta(2 * 1000 * 2 * M_PI / 3, $common[0]->outer->perimeter(), 0.01);
    }

    public function test_what_lies_side_by_side_becomes_one_without_a_seam(): void
    {
        $united = Overlay::union([self::box(0, 0, 1000, 500)], [self::box(1000, 0, 2000, 500)]);
        self::assertCount(1, $united);
        self::assertEqualsWithDelta(1_000_000.0, $united[0]->area(), 1e-6);
        self::assertEqualsWithDelta(5000.0, $united[0]->outer->perimeter(), 1e-6);
        self::assertCount(4, $united[0]->outer->edges());
        // that touch in a corner only stay two, and share nothing
        self::assertCount(2, Overlay::union([self::box(0, 0, 1000, 500)], [self::box(1000, 500, 2000, 900)]));
        self::assertSame([], Overlay::intersection([self::box(0, 0, 1000, 500)], [self::box(1000, 0, 2000, 500)]));
    }

    public function test_the_same_twice_over_is_itself_and_less_itself_is_nothing(): void
    {
        foreach ([self::box(0, 0, 800, 600), self::circle(100, 50, 300), self::rounded(0, 0, 2000, 900, 200)] as $one) {
            self::assertEqualsWithDelta($one->area(), self::area(Overlay::union([$one], [$one])), 1e-3);
            self::assertEqualsWithDelta($one->area(), self::area(Overlay::intersection([$one], [$one])), 1e-3);
            self::assertSame([], Overlay::difference([$one], [$one]));
        }
    }

    public function test_what_is_cut_out_within_is_a_hole_and_what_is_put_in_a_hole_is_a_piece(): void
    {
        $ring = Overlay::difference([self::box(0, 0, 3000, 3000)], [self::circle(1500, 1500, 1000)]);
        self::assertCount(1, $ring);
        self::assertCount(1, $ring[0]->holes);
        self::assertEqualsWithDelta(9e6 - M_PI * 1e6, $ring[0]->area(), 1e-3);
        self::assertFalse($ring[0]->holds(1500, 1500));
        self::assertTrue($ring[0]->holds(100, 100));
        $island = Overlay::union($ring, [self::box(1400, 1400, 1600, 1600)]);
        self::assertCount(2, $island);
        self::assertEqualsWithDelta(9e6 - M_PI * 1e6 + 40000, self::area($island), 1e-3);
        // the hole filled again
        $filled = Overlay::union($ring, [self::circle(1500, 1500, 1000)]);
        self::assertSame([[], 9e6], [$filled[0]->holes, round($filled[0]->area(), 3)]);
    }

    public function test_two_cut_outs_joined_by_one_drawn_between_them_are_one(): void
    {
        $screen = [self::box(0, 0, 6000, 3000)];
        foreach ([self::box(500, 1000, 1500, 2000), self::box(4000, 1000, 5000, 2000)] as $cut) {
            $screen = Overlay::difference($screen, [$cut]);
        }
        self::assertCount(2, $screen[0]->holes);
        $screen = Overlay::difference($screen, [self::box(1500, 1400, 4000, 1600)]);
        self::assertCount(1, $screen[0]->holes);
        self::assertEqualsWithDelta(18e6 - 2e6 - 2500 * 200, $screen[0]->area(), 1e-3);
    }

    /** Laws over random pieces of every kind, turned at random: areas add up, and every point is told alike. */
    public function test_areas_add_up_and_every_point_is_told_alike(): void
    {
        mt_srand(20261126);
        $met = 0;
        for ($round = 0; $round < 400; $round++) {
            [$a, $b] = [[self::random()], [self::random()]];
            if (mt_rand(0, 3) === 0) {
                $a = Overlay::difference($a, [self::random()]);
            }
            $union = Overlay::union($a, $b);
            $common = Overlay::intersection($a, $b);
            $less = Overlay::difference($a, $b);
            $met += (int) ($common !== []);
            $slack = 2.0 + 0.002 * (self::perimeter($a) + self::perimeter($b));
            self::assertEqualsWithDelta(self::area($a) + self::area($b), self::area($union) + self::area($common), $slack, "round $round");
            self::assertEqualsWithDelta(self::area($a) - self::area($common), self::area($less), $slack, "round $round");
            foreach ([...$union, ...$common, ...$less] as $piece) {
                self::assertOnlyTheirSides($piece, [...$a, ...$b]);
            }
            for ($i = 0; $i < 12; $i++) {
                [$x, $y] = [mt_rand(-30000, 50000) / 10, mt_rand(-30000, 50000) / 10];
                if (self::isOnEdge([...$a, ...$b], $x, $y)) {
                    continue;
                }
                [$inA, $inB] = [self::holds($a, $x, $y), self::holds($b, $x, $y)];
                self::assertSame(
                    [$inA || $inB, $inA && $inB, $inA && ! $inB],
                    [self::holds($union, $x, $y), self::holds($common, $x, $y), self::holds($less, $x, $y)],
                    "round $round at $x, $y",
                );
            }
        }
        self::assertGreaterThan(100, $met);
    }

    /** @param  list<Profile>  $given every side lies on a side of theirs, arcs on the same circle */
    private static function assertOnlyTheirSides(Profile $piece, array $given): void
    {
        foreach ($piece->contours() as $contour) {
            foreach ($contour->edges() as $side) {
                [$x, $y] = $side->at(0.5);
                $on = false;
                foreach ($given as $profile) {
                    foreach ($profile->contours() as $c) {
                        foreach ($c->edges() as $e) {
                            $on = $on || ($e->isCurved() === $side->isCurved()
                                                            && Crossing::passes($e, $x, $y, 0.05)
                                                            && abs($e->rx - $side->rx) < 1e-6);
                        }
                    }
                }
                self::assertTrue($on);
            }
        }
    }

    private static function random(): Profile
    {
        [$x, $y] = [mt_rand(-2000, 2000) + mt_rand() / mt_getrandmax(), mt_rand(-2000, 2000) + mt_rand() / mt_getrandmax()];
        [$w, $h] = [mt_rand(300, 3000), mt_rand(300, 3000)];
        $made = match (mt_rand(0, 4)) {
            0 => self::box($x, $y, $x + $w, $y + $h),
            1 => self::circle($x, $y, $w / 2),
            2 => self::rounded($x, $y, $x + $w, $y + $h, min($w, $h) / 3),
            3 => new Profile(Contour::polygon([$x, $y, $x + $w, $y, $x + $w, $y + $h, $x + $w / 2, $y + $h / 3, $x, $y + $h])),
            // under an arc
            default => new Profile(Contour::of([
                Curve::line(new Vec2($x, $y), new Vec2($x + $w, $y)),
                Curve::overChord(new Vec2($x + $w, $y), new Vec2($x, $y), $w / 4),
            ])),
        };

        return new Profile($made->outer->turned(mt_rand(0, 5) === 0 ? 0.0 : mt_rand() / mt_getrandmax() * 6, new Vec2(0, 0)));
    }

    private static function box(float $x0, float $y0, float $x1, float $y1): Profile
    {
        return new Profile(Contour::rectangle($x0, $y0, $x1, $y1));
    }

    private static function circle(float $x, float $y, float $r): Profile
    {
        return new Profile(Contour::of([Curve::curved($x, $y, $r, $r, 0.0, M_PI), Curve::curved($x, $y, $r, $r, M_PI, M_PI)]));
    }

    private static function rounded(float $x0, float $y0, float $x1, float $y1, float $r): Profile
    {
        return new Profile(Contour::of([
            Curve::straight($x0 + $r, $y0, $x1 - $r, $y0), Curve::curved($x1 - $r, $y0 + $r, $r, $r, -M_PI_2, M_PI_2),
            Curve::straight($x1, $y0 + $r, $x1, $y1 - $r), Curve::curved($x1 - $r, $y1 - $r, $r, $r, 0.0, M_PI_2),
            Curve::straight($x1 - $r, $y1, $x0 + $r, $y1), Curve::curved($x0 + $r, $y1 - $r, $r, $r, M_PI_2, M_PI_2),
            Curve::straight($x0, $y1 - $r, $x0, $y0 + $r), Curve::curved($x0 + $r, $y0 + $r, $r, $r, M_PI, M_PI_2),
        ]));
    }

    /** @param  list<Profile>  $of */
    private static function area(array $of): float
    {
        return array_sum(array_map(static fn (Profile $p): float => $p->area(), $of));
    }

    /** @param  list<Profile>  $of */
    private static function perimeter(array $of): float
    {
        return array_sum(array_map(
            static fn (Profile $p): float => array_sum(array_map(static fn (Contour $c): float => $c->perimeter(), $p->contours())),
            $of,
        ));
    }

    /** @param  list<Profile>  $of */
    private static function holds(array $of, float $x, float $y): bool
    {
        return array_filter($of, static fn (Profile $p): bool => $p->holds($x, $y)) !== [];
    }

    /** @param  list<Profile>  $of */
    private static function isOnEdge(array $of, float $x, float $y): bool
    {
        foreach ($of as $profile) {
            foreach ($profile->contours() as $contour) {
                foreach ($contour->edges() as $side) {
                    if (Crossing::passes($side, $x, $y, 0.1)) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}
