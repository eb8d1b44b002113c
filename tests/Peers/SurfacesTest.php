<?php

declare(strict_types=1);

namespace Tests\Peers;

use Isleward\Core\Geometry\ArcFigures;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;

/** What the interface draws under the pointer lies where the core puts it: walls, straight and curved, and arcs as they are drawn. */
final class SurfacesTest extends PeerCase
{
    public function test_the_interface_finds_its_way_along_walls_as_the_core_does(): void
    {
        mt_srand(88);
        $cases = $ours = [];
        for ($i = 0; $i < 200; $i++) {
            [$from, $to] = [new Vec2(mt_rand(-9000, 9000), mt_rand(-9000, 9000)), new Vec2(mt_rand(10000, 20000), mt_rand(-9000, 9000))];
            $chord = $from->distanceTo($to);
            $rise = $i % 5 === 0 ? 0.0 : $chord * mt_rand(-120, 120) / 100;
            $rise = abs($rise) < 1 ? 0.0 : $rise;
            $curve = $rise === 0.0 ? Curve::line($from, $to) : Curve::overChord($from, $to, $rise);
            $surface = Upright::over($curve);
            [$u, $depth] = [$surface->length * mt_rand(0, 1000) / 1000, mt_rand(-300, 400) * 1.0];
            $through = new Vec2(...Curve::overChord($from, $to, $chord * 0.3 * ($i % 2 === 0 ? 1 : -1))->at(mt_rand(20, 80) / 100));
            $direction = Vec2::atAngle($to->minus($from)->angle() + mt_rand(20, 120) / 100 * ($i % 2 === 0 ? 1 : -1));
            $at = $surface->inPlan($u, $depth);
            $cases[] = [
                'wall' => ['fromX' => $from->x, 'fromY' => $from->y, 'toX' => $to->x, 'toY' => $to->y, 'rise' => $rise, 'thickness' => 300],
                'u' => $u, 'depth' => $depth, 'through' => ['x' => $through->x, 'y' => $through->y],
                'direction' => ['x' => $direction->x, 'y' => $direction->y],
            ];
            $ours[] = [
                $surface->length, $at->x, $at->y, $u, $depth, $surface->tangent($u)->x, $surface->tangent($u)->y,
                ArcFigures::riseThrough($from, $to, $through), ArcFigures::riseTangent($from, $direction, $to),
            ];
        }
        foreach (self::ask('surfaces.mjs', $cases) as $i => $t) {
            $theirs = [
                $t['length'], $t['at']['x'], $t['at']['y'], $t['back']['along'], $t['back']['depth'], $t['along']['x'], $t['along']['y'],
                $t['through'], $t['on'],
            ];
            self::assertEqualsWithDelta($ours[$i], $theirs, 1e-5, (string) json_encode($cases[$i]));
        }
    }
}
