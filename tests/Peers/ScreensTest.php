<?php

declare(strict_types=1);

namespace Tests\Peers;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Layer\ScreenRegion;
use Isleward\Core\Layer\ScreenShape;
use Isleward\Core\Measure\Fields;

/** Regions of screens against polygon-clipping: pieces and cut-outs in any order and shape, over each other. */
final class ScreensTest extends PeerCase
{
    private const SAGITTA = 0.002;

    public function test_what_is_left_of_random_pieces_and_cut_outs_is_what_another_library_finds(): void
    {
        mt_srand(20261127);
        $cases = $ours = $slack = [];
        for ($case = 0; $case < 400; $case++) {
            $region = $waiting = $steps = [];
            $round = 0.0;
            for ($i = 0; $i < 14; $i++) {
                $cut = $i > 0 && mt_rand(0, 3) > 0;
                $contour = self::shape($i === 0);
                $round += $contour->hasCurves() ? $contour->perimeter() : 0.0;
                $steps[] = [$cut, array_map(static fn (float $c): float => round($c, 4), $contour->ring(self::SAGITTA))];
                if ($cut) {
                    $waiting[] = $contour;
                } else {
                    $region = ScreenRegion::with(ScreenRegion::without($region, $waiting)[0], $contour);
                    $waiting = [];
                }
            }
            $ours[] = ScreenRegion::area(ScreenRegion::without($region, $waiting)[0]);
            $cases[] = ['steps' => $steps];
            // chords leave every round side by the sagitta at the most
            $slack[] = 1.0 + $round * self::SAGITTA;
        }
        foreach (self::ask('regions.mjs', $cases) as $i => $theirs) {
            self::assertEqualsWithDelta($theirs, $ours[$i], $slack[$i], "case $i");
        }
    }

    private static function shape(bool $whole): Contour
    {
        [$u, $v, $wide, $high] = [mt_rand(0, 5000), mt_rand(0, 2500), mt_rand(300, 1900), mt_rand(300, 900)];
        $shape = match ($whole ? 4 : mt_rand(0, 3)) {
            0 => ['form' => 'rectangle', 'u' => $u, 'v' => $v, 'width' => $wide, 'height' => $high],
            1 => ['form' => 'rectangle', 'u' => $u, 'v' => $v, 'width' => $wide, 'height' => $high, 'radius' => mt_rand(10, 150)],
            2 => ['form' => 'round', 'u' => $u, 'v' => $v, 'width' => $wide],
            3 => ['form' => 'polygon', 'points' => [
                [$u, $v], [$u + $wide, $v + mt_rand(-200, 200)], [$u + $wide, $v + $high, mt_rand(20, 140)],
                [$u + mt_rand(-99, 99), $v + $high],
            ]],
            default => ['form' => 'rectangle', 'u' => 0, 'v' => 0, 'width' => 6000, 'height' => 3000],
        };

        return ScreenShape::from(new Fields($shape))->contour();
    }
}
