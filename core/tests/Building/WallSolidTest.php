<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Building;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\WallSolid;
use Isleward\Core\Design\Jambs;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Moved;
use Isleward\Core\Geometry\Prism;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Quadrature;
use Isleward\Core\Geometry\Shell;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Tests\Support\ClosedSolids;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

final class WallSolidTest extends TestCase
{
    use ClosedSolids;

    public function test_a_quarter_circle_and_a_half_moon_by_quadrature(): void
    {
        // ∫ √(1 − x²) over 0 to 1 is π/4; between two marks that run into it like roots on both sides π/2
        self::assertEqualsWithDelta(M_PI / 4, Quadrature::between(static fn (float $x): float => sqrt(1 - $x * $x), [1.0, 0.0]), 1e-12);
        self::assertEqualsWithDelta(M_PI / 2, Quadrature::between(static fn (float $x): float => sqrt(1 - $x * $x), [-1.0, 1.0]), 1e-12);
        self::assertEqualsWithDelta(
            1 / 3 + 7.0,
            Quadrature::between(static fn (float $x): float => $x < 1 ? $x * $x : 7.0, [0, 2, 1]),
            1e-12,
        );
    }

    public function test_a_prism_with_a_round_hole_along_each_axis_and_one_that_is_mirrored(): void
    {
        $profile = new Profile(Contour::rectangle(0.0, 0.0, 100.0, 60.0), [
            Contour::of([Curve::curved(50.0, 30.0, 20.0, 20.0, 0.0, -2 * M_PI)]),
        ]);
        $volume = (6000 - 400 * M_PI) * 250;
        foreach ([false, true] as $alongX) {
            $prism = new Prism($profile, -40.0, 250.0, $alongX);
            $mirrored = new Moved($prism, static fn (float $x, float $y, float $z): array => [500.0 - $x, $y, $z], mirrors: true);
            foreach ([$prism, $mirrored] as $solid) {
                self::assertEqualsWithDelta($volume, $solid->volume(), 1e-6);
                self::assertClosedUnwelded($mesh = $solid->mesh(0.001));
                self::assertEqualsWithDelta($volume, $mesh->volume(), $volume * 1e-4);
            }
            $reach = static fn (int $axis): array => [
                min($at = array_map(static fn (array $p): float => $p[$axis], array_chunk($prism->mesh(1.0)->positions, 3))), max($at),
            ];
            self::assertSame([-40.0, 210.0], $reach($alongX ? 0 : 2));
        }
    }

    public function test_a_shell_round_an_arc_is_as_large_as_its_middle_says(): void
    {
        // half a turn of radius 5 000: bulging, the sheet lies nearer to the centre; hollow, farther off
        foreach ([5000.0 => 4900.0, -5000.0 => 5100.0] as $rise => $middle) {
            $surface = Upright::over(Curve::overChord(new Vec2(0.0, 0.0), new Vec2(10000.0, 0.0), (float) $rise));
            $shell = new Shell($surface, new Profile(Contour::rectangle(0.0, 0.0, $surface->length, 300.0)), 0.0, 200.0);
            self::assertEqualsWithDelta(M_PI * $middle * 200 * 300, $shell->volume(), 1.0);
            self::assertClosedUnwelded($mesh = $shell->mesh(0.01));
            self::assertEqualsWithDelta($shell->volume(), $mesh->volume(), $shell->volume() * 1e-5);
        }
    }

    public function test_a_flat_wall_to_the_cubic_millimetre(): void
    {
        $house = House::box(heights: [3000]);
        $house->place(['left' => 700, 'width' => 1000, 'height' => 1200, 'sill' => ['from' => 'floor', 'height' => 900]]);
        // mitred at both ends: 12 000 outside, 11 400 inside, 300 thick
        self::assertEqualsWithDelta(11700 * 300 * 3000 - 1000 * 1200 * 300, $this->solid($house)->volume(), 0.01);
        // into the mitre by 200 of its 300, which takes half of 200 × 200 less of it
        $house->place(['left' => 100, 'width' => 300, 'height' => 500, 'sill' => ['from' => 'floor', 'height' => 2300]]);
        $wedge = (200 * 300 - 200 * 200 / 2 + 100 * 300) * 500;
        self::assertEqualsWithDelta(11700 * 300 * 3000 - 1000 * 1200 * 300 - $wedge, $this->solid($house)->volume(), 0.01);
        self::assertEqualsWithDelta($this->solid($house)->mesh(1.0)->volume(), $this->solid($house)->volume(), 1.0);
    }

    public function test_what_openings_share_is_taken_out_once(): void
    {
        $house = House::box(heights: [3000]);
        $house->place(['left' => 2000, 'width' => 1000, 'height' => 1000, 'sill' => ['from' => 'floor', 'height' => 900]]);
        $second = $house->place(['left' => 4000, 'width' => 1000, 'height' => 1000, 'sill' => ['from' => 'floor', 'height' => 900]]);
        $apart = $this->solid($house)->volume();
        $house->do('opening.change', ['id' => $second->id, 'position' => ['from' => 'left', 'value' => 2600, 'to' => 'near']]);
        self::assertEqualsWithDelta($apart + 400 * 1000 * 300, $this->solid($house)->volume(), 0.01);
    }

    public function test_any_wall_with_any_openings_is_as_large_as_its_finest_mesh(): void
    {
        mt_srand(20261126);
        for ($round = 0; $round < 24; $round++) {
            $house = House::box(heights: [3600]);
            $bent = $round % 4 !== 0;
            if ($bent) {
                $house->do('wall.bend', [
                    'wall' => $house->wall(0)->id, 'rise' => mt_rand(400, 3000) * ($round % 2 === 0 ? 1 : -1),
                ]);
            }
            $types = array_values(array_filter($house->design->types, static fn ($t): bool => $t->shaped && $t->width < 1600));
            self::assertNotSame([], $types);
            $u = mt_rand(600, 1500);
            foreach ([0, 1, 2] as $i) {
                $type = $i === 2 ? $types[array_rand($types)] : null;
                $house->do('opening.place', [
                    'host' => $house->wall(0)->id, 'storey' => $house->storey(0), 'width' => $width = $type->width ?? mt_rand(500, 1600),
                    'height' => $type->height ?? mt_rand(400, 1500), 'type' => $type?->id,
                    'sill' => ['from' => 'floor', 'height' => mt_rand(300, 1500)],
                    'position' => ['from' => 'left', 'value' => $u, 'to' => 'near'],
                    'jambs' => $bent ? (mt_rand(0, 1) === 0 ? Jambs::Radial : Jambs::Parallel)->value : null,
                    'shape' => $i === 1 ? [0, 0, 1, 0.1, 0.9, 0.8, 0.5, 1, 0, 0.7] : null,
                ]);
                $u += $width + mt_rand(200, 1200);
            }
            $solid = $this->solid($house);
            self::assertCount(3, $solid->voids);
            $mesh = $solid->mesh(0.01)->volume();
            self::assertEqualsWithDelta(1.0, $mesh / $solid->volume(), 2e-5, "round $round");
        }
    }

    private function solid(House $house): WallSolid
    {
        $body = $house->body();

        return new WallSolid($body, array_map(
            static fn ($o): PlacedOpening => $house->placed($o->id),
            $house->design->openingsOf($body->host->id()),
        ));
    }
}
