<?php

declare(strict_types=1);

namespace Tests\Peers;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Mesher;
use Isleward\Core\Exchange\Glb;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Overlay;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Scene\Scene;
use Isleward\Core\Tests\Support\House;
use Isleward\Core\Tests\Support\Units;

/** Our geometry and files held against libraries that are not ours. */
final class PeersTest extends PeerCase
{
    public function test_net_areas_agree_with_polygon_clipping_jsts_and_earcut(): void
    {
        mt_srand(17);
        $cases = [];
        for ($i = 0; $i < 400; $i++) {
            $outline = $i % 4 === 0
                            ? [0.0, 0.0, 12000.0, 0.0, 12000.0, 3000.0, 6000.0, 5200.0, 0.0, 3000.0]
                            : [0.0, 0.0, 12000.0, 0.0, 12000.0, 4000.0, 0.0, 4000.0];
            $holes = self::holes($i % 2 === 0 ? 250 : 1, mt_rand(0, 20));
            $cases[] = ['outline' => $outline, 'holes' => $holes, 'result' => Region::polygon($outline)->cut($holes)->rings];
        }
        $lost = 0;
        foreach (self::ask('polygons.mjs', $cases) as $i => $theirs) {
            $area = Region::fromRings($cases[$i]['result'])->area();
            $lost += $theirs['earcut'] === null ? 1 : 0;
            foreach (array_filter($theirs, static fn ($v): bool => $v !== null) as $library => $value) {
                // 1 mm² on up to 60 m²: rounding crossings to 0.001 mm over edges metres long
                self::assertEqualsWithDelta($value, $area, 60.0, "case $i, $library");
            }
            self::assertEqualsWithDelta(0.0, abs($theirs['jsts'] - $area) / 48e6, 1e-6, "case $i");
        }
        self::assertLessThan(20, $lost, 'cases in which earcut itself reports a deviation');
    }

    public function test_curved_pieces_laid_over_one_another_are_as_large_as_others_find_their_chords(): void
    {
        mt_srand(31);
        $cases = $ours = $slack = [];
        for ($i = 0; $i < 120; $i++) {
            $pieces = array_map(static fn (): Contour => Units::random()->outline->turned(mt_rand(0, 6283) / 1000, new Vec2(1000, 900))
                ->shifted(mt_rand(-900, 900), mt_rand(-900, 900)), [0, 1]);
            [$p, $q] = $pieces;
            if (($p->hasEllipses() && $q->hasCurves()) || ($q->hasEllipses() && $p->hasCurves())) {
                continue; // refused: only straight sides and circles are laid over one another exactly
            }
            [$a, $b] = array_map(static fn (Contour $c): array => [new Profile($c)], $pieces);
            $ours[] = array_map(
                static fn (array $made): float => array_sum(array_map(static fn (Profile $p): float => $p->area(), $made)),
                [Overlay::union($a, $b), Overlay::intersection($a, $b), Overlay::difference($a, $b)],
            );
            $cases[] = ['a' => $pieces[0]->ring(0.005), 'b' => $pieces[1]->ring(0.005)];
            // the stated sagitta along both outlines, and points within a hundredth of a millimetre being one
            $slack[] = 0.02 * ($pieces[0]->perimeter() + $pieces[1]->perimeter());
        }
        self::assertGreaterThan(70, count($cases));
        $curved = 0;
        foreach (self::ask('overlay.mjs', $cases) as $i => $theirs) {
            $curved += (int) (count($cases[$i]['a']) > 40);
            self::assertEqualsWithDelta($theirs['polygonClipping'], $ours[$i], $slack[$i], "case $i, polygon-clipping");
            self::assertEqualsWithDelta($theirs['jsts'], $ours[$i], $slack[$i], "case $i, jsts");
        }
        self::assertGreaterThan(20, $curved);
    }

    public function test_cut_walls_are_solids_to_manifold_with_the_volume_it_finds_itself(): void
    {
        mt_srand(23);
        $house = House::box(12000, 8000, 300, [4000]);
        $mitred = $house->body();
        $square = new \Isleward\Core\Building\Body(
            $mitred->host,
            $mitred->surface,
            12000,
            0,
            4000,
            \Isleward\Core\Building\End::square(0),
            \Isleward\Core\Building\End::square(12000),
        );
        $walls = [];
        for ($i = 0; $i < 60; $i++) {
            $holes = self::holes($i % 2 === 0 ? 250 : 1, mt_rand(0, 12));
            $mesh = Mesher::mesh($square, $holes);
            $walls[] = [
                'positions' => $mesh->positions,
                'triangles' => $mesh->triangles,
                'box' => [0, 0, 12000, 4000, 300],
                'holes' => $holes,
                'ours' => $mesh->volume(),
            ];
            $inMitre = Mesher::mesh(
                $mitred,
                [[mt_rand(20, 280) + 0.0, 500.0, 900.0, 500.0, 900.0, 1500.0, mt_rand(20, 280) + 0.0, 1500.0]],
            );
            $walls[] = [
                'positions' => $inMitre->positions,
                'triangles' => $inMitre->triangles,
                'box' => null,
                'holes' => [],
                'ours' => $inMitre->volume(),
            ];
        }
        foreach (self::ask('solids.mjs', $walls) as $i => $theirs) {
            self::assertSame('NoError', $theirs['status'], "wall $i is closed and manifold");
            self::assertEqualsWithDelta(1.0, $theirs['volume'] / $walls[$i]['ours'], 1e-5, "wall $i");
            if ($theirs['theirs'] !== null) {
                self::assertEqualsWithDelta(1.0, $theirs['theirs'] / $walls[$i]['ours'], 1e-4, "wall $i cut by manifold");
            }
        }
    }

    public function test_glb_has_no_errors_and_no_warnings_and_grows_with_sizes_not_openings(): void
    {
        $bytes = [];
        foreach ([1, 6] as $rows) {
            $house = House::box(12000, 8000, 300, array_fill(0, 6, 3600));
            for ($row = 0; $row < $rows; $row++) {
                foreach ([1000, 4000, 7000] as $i => $left) {
                    $house->place(
                        [
                            'left' => $left,
                            'type' => $house->type(['W-03', 'D-01', 'W-11'][$i])->id,
                            'facesOut' => $row !== 3,
                            'mirrored' => $row === 4,
                        ],
                        storey: $row,
                    );
                }
            }
            $house->place(['left' => 50, 'type' => $house->type('W-09')->id, 'sill' => ['from' => 'floor', 'height' => 1200]]);
            $glb = Glb::write(Scene::of('Test', $house->design, Bodies::of($house->design)));
            $report = self::validate($glb);
            self::assertSame(
                [0, 0],
                [$report['issues']['numErrors'], $report['issues']['numWarnings']],
                (string) json_encode($report['issues']['messages']),
            );
            $bytes[] = strlen($glb);
        }
        // 15 more openings in 3 more variants of facing and handing: walls carry 8 points and 32 triangles more for each
        self::assertLessThan(15 * 700 + 3 * 3 * 4000, $bytes[1] - $bytes[0]);
        self::assertSame(0, self::validate(Glb::write(Scene::of('Empty', (new House)->design, [])))['issues']['numErrors']);
    }

    public function test_glb_of_curved_walls_has_normals_and_no_errors(): void
    {
        $house = House::box(12000, 8000, 300, [3600]);
        $house->do('wall.bend', ['wall' => $house->wall(2)->id, 'radius' => 9000]);
        $house->place(['left' => 2000, 'type' => $house->type('W-03')->id], 2);
        $house->place(['left' => 5000, 'type' => $house->type('W-01')->id, 'jambs' => 'bent'], 2);
        $glb = Glb::write(Scene::of('Test', $house->design, Bodies::of($house->design)));
        $report = self::validate($glb);
        self::assertSame(
            [0, 0],
            [$report['issues']['numErrors'], $report['issues']['numWarnings']],
            (string) json_encode($report['issues']),
        );
        self::assertStringContainsString('"NORMAL"', $glb);
    }

    /** @return array{issues: array{numErrors: int, numWarnings: int, messages: list<mixed>}} */
    private static function validate(string $glb): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'glb');
        file_put_contents($file, $glb);

        return self::node('gltf.mjs', $file);
    }

    /** @return list<list<float>> upright and slanted, on a grid that makes many touch, some past the edge */
    private static function holes(int $grid, int $count): array
    {
        $holes = [];
        for ($i = 0; $i < $count; $i++) {
            $x = (float) (intdiv(mt_rand(-600, 11800), $grid) * $grid);
            $y = (float) (intdiv(mt_rand(-400, 3600), $grid) * $grid);
            $w = (float) (max(1, intdiv(mt_rand(200, 2400), $grid)) * $grid);
            $h = (float) (max(1, intdiv(mt_rand(200, 2000), $grid)) * $grid);
            $s = mt_rand(0, 3) === 0 ? $w / 4 : 0.0;
            $holes[] = [$x, $y, $x + $w, $y, $x + $w - $s, $y + $h, $x + $s, $y + $h];
        }

        return $holes;
    }
}
