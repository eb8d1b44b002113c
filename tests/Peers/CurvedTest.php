<?php

declare(strict_types=1);

namespace Tests\Peers;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Mesher;
use Isleward\Core\Building\Places;
use Isleward\Core\Building\WallSolid;
use Isleward\Core\Tests\Support\House;

/** Curved walls, held against a general solid kernel with exact curved surfaces and against a mesh library. */
final class CurvedTest extends PeerCase
{
    /** Chords leave arcs by so much, mm: so that they take less than a hundred-thousandth off a volume. */
    private const FINE = 0.01;

    public function test_curved_walls_with_openings_have_the_volume_a_solid_kernel_finds(): void
    {
        mt_srand(41);
        $cases = $ours = [];
        for ($i = 0; $i < 24; $i++) {
            [$house, $radius, $thickness, $half] = self::arc($i);
            $wall = array_values($house->design->walls)[4];
            $length = $wall->face()->length();
            $jambs = $i % 3 === 0 ? 'radial' : 'parallel';
            $openings = [];
            for ($at = 700.0; $at < $length - 2200; $at += mt_rand(1500, 3500)) {
                [$width, $sill, $height] = [mt_rand(600, 1300) * 1.0, mt_rand(0, 9) * 100.0, mt_rand(8, 20) * 100.0];
                $opening = $house->place([
                    'width' => $width, 'height' => $height, 'sill' => ['from' => 'floor', 'height' => $sill], 'jambs' => $jambs,
                    'left' => $at,
                ], 4);
                $placed = $house->placed($opening->id);
                $at = $placed->right;
                $openings[] = [
                    'jambs' => $jambs, 'width' => $width, 'sill' => $sill, 'height' => $height,
                    'middle' => -M_PI / 2 - $half + $placed->middle() / $radius, 'half' => asin($width / 2 / $radius),
                ];
            }
            $body = Bodies::of($house->design)[$wall->id];
            $all = array_map(Places::in($house->design)->of(...), $house->design->openingsOf($wall->id));
            $ours[] = new WallSolid($body, $all);
            $cases[] = [
                'kind' => 'arc', 'outer' => $radius, 'inner' => $radius - $thickness, 'from' => -M_PI / 2 - $half,
                'to' => -M_PI / 2 + $half,
                'height' => 3600, 'openings' => $openings,
            ];
        }
        foreach (self::ask('solidKernel.mjs', $cases) as $i => $theirs) {
            self::assertEqualsWithDelta(1.0, $ours[$i]->volume() / $theirs, 1e-6, "case $i, exact");
            self::assertEqualsWithDelta(1.0, $ours[$i]->mesh(self::FINE)->volume() / $theirs, 1e-4, "case $i, its mesh");
        }
    }

    public function test_arcs_mitred_with_straight_walls_have_the_volume_a_solid_kernel_finds(): void
    {
        mt_srand(43);
        $cases = $ours = [];
        for ($i = 0; $i < 24; $i++) {
            $chord = mt_rand(5000, 12000) * 1.0;
            $rise = $chord * mt_rand(8, 62) / 100;
            $thickness = mt_rand(10, 40) * 10.0;
            $house = House::box(12000, 8000, 300, [3600]);
            $house->do('outline.draw', [
                'points' => [[30000, 0], ['x' => 30000 + $chord, 'y' => 0, 'rise' => $rise]], 'thickness' => $thickness,
                'base' => $house->storey(0), 'top' => $house->storey(0),
            ]);
            $bodies = array_slice(array_values(Bodies::of($house->design)), 4);
            $ours[] = array_map(static fn ($b): WallSolid => new WallSolid($b, []), $bodies);
            $radius = $chord ** 2 / (8 * $rise) + $rise / 2;
            $cases[] = [
                'kind' => 'segment', 'chord' => $chord, 'radius' => $radius, 'centre' => $radius - $rise, 'thickness' => $thickness,
                'height' => 3600,
            ];
        }
        foreach (self::ask('solidKernel.mjs', $cases) as $i => $theirs) {
            $sum = static fn (\Closure $of): float => array_sum(array_map($of, $ours[$i]));
            self::assertEqualsWithDelta(1.0, $sum(static fn (WallSolid $w): float => $w->volume()) / $theirs, 1e-6, "case $i, exact");
            $fine = $sum(static fn (WallSolid $w): float => $w->mesh(self::FINE)->volume());
            self::assertEqualsWithDelta(1.0, $fine / $theirs, 1e-4, "case $i, their meshes");
        }
    }

    public function test_a_mesh_library_finds_every_curved_wall_closed_without_welding(): void
    {
        mt_srand(47);
        $walls = [];
        for ($i = 0; $i < 60; $i++) {
            [$house] = self::arc($i);
            foreach ([700, 2300] as $left) {
                $args = [
                    'width' => 1100,
                    'height' => mt_rand(9, 21) * 100,
                    'left' => $left,
                    'jambs' => ['parallel', 'radial', 'bent'][$i % 3],
                ];
                if (! $house->refuses('opening.place', $args + [
                    'host' => $house->wall(4)->id, 'storey' => $house->storey(0),
                    'position' => ['from' => 'left', 'value' => $left, 'to' => 'near'],
                ])) {
                    $house->place($args, 4);
                }
            }
            foreach (Bodies::of($house->design) as $id => $body) {
                $placed = array_map(Places::in($house->design)->of(...), $house->design->openingsOf($id));
                if ($body->isPlane()) {
                    continue;
                }
                $mesh = Mesher::wall($body, $placed);
                $walls[] = [
                    'positions' => $mesh->positions, 'triangles' => $mesh->triangles, 'box' => null, 'holes' => [], 'unwelded' => true,
                    'ours' => $mesh->volume(),
                ];
            }
        }
        foreach (self::ask('solids.mjs', $walls) as $i => $theirs) {
            self::assertSame('NoError', $theirs['status'], "wall $i is closed and manifold");
            self::assertEqualsWithDelta(1.0, $theirs['volume'] / $walls[$i]['ours'], 1e-5, "wall $i");
        }
    }

    /** @return array{House, float, float, float} an arc drawn about (20 000, 0) that bulges south: radius, thickness, half its turn */
    private static function arc(int $i): array
    {
        $radius = mt_rand(30, 120) * 100.0;
        $thickness = mt_rand(10, 45) * 10.0;
        $half = deg2rad(mt_rand(30, 80));
        $house = House::box(12000, 8000, 300, [3600]);
        $point = static fn (float $a): array => [20000 + $radius * sin($a), -$radius * cos($a)];
        $house->do('outline.draw', [
            'points' => [$point(-$half), ['x' => $point($half)[0], 'y' => $point($half)[1], 'through' => $point(0.0)]],
            'closed' => false, 'thickness' => $thickness, 'base' => $house->storey(0), 'top' => $house->storey(0),
        ]);

        return [$house, $radius, $thickness, $half];
    }
}
