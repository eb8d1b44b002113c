<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Building;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\Meeting;
use Isleward\Core\Building\Mesher;
use Isleward\Core\Building\Places;
use Isleward\Core\Geometry\Mesh;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Walls whose neighbours differ from storey to storey: they fill their corner once, in every storey. */
final class CornersTest extends TestCase
{
    private const STOREY = 3000.0;

    /**
     * The south wall runs through two storeys; at its east end another wall stands in each, of thicknesses of their own.
     *
     * @return iterable<string, array{float, float, float, bool}>
     */
    public static function corners(): iterable
    {
        foreach ([true, false] as $convex) {
            $where = $convex ? 'outer corner' : 'inner corner';
            yield "$where, all alike" => [300, 300, 300, $convex];
            yield "$where, thicker above" => [300, 300, 500, $convex];
            yield "$where, thinner above" => [300, 300, 200, $convex];
            yield "$where, thicker in both" => [300, 400, 500, $convex];
            yield "$where, thinner in both" => [300, 200, 100, $convex];
            yield "$where, thicker below only" => [300, 450, 150, $convex];
        }
    }

    #[DataProvider('corners')]
    public function test_a_corner_is_filled_once_in_every_storey(float $through, float $below, float $above, bool $convex): void
    {
        $house = $this->corner($through, $below, $above, $convex);
        foreach ([0 => $below, 1 => $above] as $i => $thickness) {
            // what lies between the outer faces and the inner ones, by hand
            $wanted = $convex
                ? 10000 * $through + 7000 * $thickness - $through * $thickness
                : 10000 * $through + 7000 * $thickness + $through * $thickness;
            self::assertEqualsWithDelta($wanted, self::areaIn($house, $i), 0.01, "in storey $i");
        }
    }

    public function test_the_clear_face_ends_at_the_return_of_the_storey_one_stands_in(): void
    {
        $house = $this->corner(300, 400, 500, true);
        $body = $house->body();
        self::assertEqualsWithDelta(9600.0, Meeting::clearEnd($house->design, $body, 900.0, 2100.0, true), 1e-6);
        self::assertEqualsWithDelta(9500.0, Meeting::clearEnd($house->design, $body, 3900.0, 5100.0, true), 1e-6);
        // through both storeys: the thicker one
        self::assertEqualsWithDelta(9500.0, Meeting::clearEnd($house->design, $body, 2000.0, 4000.0, true), 1e-6);
    }

    public function test_every_solid_of_such_a_corner_is_closed_also_with_openings_near_it(): void
    {
        $house = House::box(12000, 8000, 300, [3000, 3000]);
        $house->do('wall.change', ['walls' => [$house->wall(1)->id], 'top' => $house->storey(0)]);
        $house->do('outline.draw', [
            'points' => [[12000, 0], [12000, 8000]], 'thickness' => 500, 'base' => $house->storey(1), 'top' => $house->storey(1),
            'closed' => false, 'outside' => 'right',
        ]);
        foreach ([0, 1] as $storey) {
            $house->place(['left' => 11400, 'width' => 300, 'height' => 1200, 'type' => null], 0, $storey);
        }
        $volume = 0.0;
        foreach (Bodies::of($house->design) as $body) {
            $holes = array_map(
                static fn ($o): array => Places::in($house->design)->of($o)->ring(),
                array_values($house->design->openingsOf($body->host->id())),
            );
            $mesh = Mesher::mesh($body, $holes);
            self::assertTrue(self::closed($mesh), $body->host->id());
            $volume += $mesh->volume();
        }
        $below = 12000 * 8000 - 11400 * 7400;
        $above = 12000 * 8000 - 11200 * 7400;
        self::assertEqualsWithDelta(($below + $above) * 3000 - 2 * 300 * 300 * 1200, $volume, 1.0);
    }

    private function corner(float $through, float $below, float $above, bool $convex): House
    {
        $house = new House;
        $house->do('storey.insert', ['name' => 'S0', 'height' => self::STOREY, 'above' => null]);
        $house->do('storey.insert', ['name' => 'S1', 'height' => self::STOREY, 'above' => $house->storey(0)]);
        $open = ['closed' => false, 'outside' => 'right'];
        $away = $convex ? 7000 : -7000;
        $draw = static fn (array $points, float $thickness, int $from, int $to) => $house->do(
            'outline.draw',
            ['points' => $points, 'thickness' => $thickness, 'base' => $house->storey($from), 'top' => $house->storey($to)] + $open,
        );
        $draw([[0, 0], [10000, 0]], $through, 0, 1);
        $draw([[10000, 0], [10000, $away]], $below, 0, 0);
        $draw([[10000, 0], [10000, $away]], $above, 1, 1);

        return $house;
    }

    /** What the walls of a storey cover in plan, each counted as often as it covers it. */
    private static function areaIn(House $house, int $storey): float
    {
        $level = ($storey + 0.5) * self::STOREY;
        $standing = array_filter(Bodies::of($house->design), static fn (Body $b): bool => $b->foot < $level && $level < $b->head);

        return array_sum(array_map(static fn (Body $b): float => abs($b->footprint()->area()), $standing));
    }

    private static function closed(Mesh $mesh): bool
    {
        $edges = [];
        for ($i = 0, $n = count($mesh->triangles); $i < $n; $i += 3) {
            foreach ([[0, 1], [1, 2], [2, 0]] as [$a, $b]) {
                [$p, $q] = array_map(static fn (int $k): string => implode(',', array_map(
                    static fn (float $x): string => (string) round($x, 3),
                    array_slice($mesh->positions, 3 * $mesh->triangles[$i + $k], 3),
                )), [$a, $b]);
                $edges["$p|$q"] = ($edges["$p|$q"] ?? 0) + 1;
                $edges["$q|$p"] = ($edges["$q|$p"] ?? 0) - 1;
            }
        }

        return array_filter($edges) === [];
    }
}
