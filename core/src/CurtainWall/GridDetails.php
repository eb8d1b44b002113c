<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Bounds;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Refusal;

/** The three details a fabricator looks at: a corner and a mullion cut level, a transom at a floor cut upright. One scale, mm. */
final class GridDetails
{
    /** How much of what goes on beside a member is drawn, mm. */
    private const BESIDE = 170.0;

    /**
     * @return list<array{name: string, shapes: list<Shape>, bounds: array{float, float, float, float}}> the outside below, or
     * at the left
     */
    public static function of(Design $design, GridRules $rules, Corner $corner, float $angle = 90.0): array
    {
        $out = [];
        foreach ([
            sprintf('Corner, %.0f°', $angle) => static fn (): array => self::corner($design, $rules, $corner, $angle),
            'Mullion' => static fn (): array => self::mullion($rules),
            'Transom at a floor' => static fn (): array => self::transom($design, $rules),
        ] as $name => $draw) {
            $shapes = $draw();
            if ($shapes !== []) {
                $out[] = ['name' => $name, 'shapes' => $shapes, 'bounds' => Bounds::of($shapes)];
            }
        }

        return $out;
    }

    /** @return list<Shape> */
    private static function corner(Design $design, GridRules $rules, Corner $corner, float $angle): array
    {
        $leg = max($corner->takes(), $corner->kind->isSquare() ? $corner->profile->depth ?? 0.0 : 0.0) + self::BESIDE;
        $turn = deg2rad(180.0 - $angle);
        $path = RunPath::of([
            new PathStretch(Curve::line(new Vec2(-$leg, 0.0), new Vec2(0.0, 0.0))),
            new PathStretch(Curve::line(new Vec2(0.0, 0.0), new Vec2($leg * cos($turn), $leg * sin($turn)))),
        ], [$corner]);
        try {
            $run = Run::along($path, $rules->plain(), 0.0, 1000.0);
        } catch (Refusal) {
            return []; // its own members are wider than a leg: the stretch tells of it
        }
        $cut = new LevelCut($design, 500.0);

        return [...$cut->along($path, $run, 0.0, 0), ...$cut->along($path, $run, 0.0, 1)];
    }

    /** @return list<Shape> */
    private static function mullion(GridRules $rules): array
    {
        $profile = $rules->profile(Role::Mullion);
        $thick = $rules->infills[0]->infill->thickness();
        $edge = $profile === null ? $rules->joint / 2 : max(0.0, $profile->face / 2 - $rules->cover);
        $far = ($profile === null ? 0.0 : $profile->face / 2) + self::BESIDE;
        $shapes = $thick <= 0.0 ? [] : [
            Shape::area(Layer::Glass, [[-$far, 0.0, -$edge, 0.0, -$edge, $thick, -$far, $thick]]),
            Shape::area(Layer::Glass, [[$edge, 0.0, $far, 0.0, $far, $thick, $edge, $thick]]),
        ];
        foreach ($profile?->contours() ?? [] as $contour) {
            $shapes[] = Shape::contour(Layer::Cut, $contour);
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private static function transom(Design $design, GridRules $rules): array
    {
        $profile = $rules->profile(Role::Transom) ?? $rules->profile(Role::Head);
        $infill = $rules->infills[count($rules->infills) - 1]->infill;
        $under = $rules->infills[0]->infill->thickness();
        $over = $infill->thickness() > 0.0 ? $infill->thickness() : $under;
        $edge = $profile === null ? $rules->joint / 2 : max(0.0, $profile->face / 2 - $rules->cover);
        $far = ($profile === null ? 0.0 : $profile->face / 2) + self::BESIDE;
        $slab = min($design->settings->slab, self::BESIDE);
        $back = ($profile === null ? $under : $profile->setback + $profile->depth) + 30.0;
        $shapes = [
            Shape::area(Layer::Glass, [[0.0, $edge, $over, $edge, $over, $far, 0.0, $far]]),
            Shape::area(Layer::Glass, [[0.0, -$far, $under, -$far, $under, -$edge, 0.0, -$edge]]),
            Shape::area(Layer::Cut, [[$back, -$slab, $back + self::BESIDE, -$slab, $back + self::BESIDE, 0.0, $back, 0.0]]),
        ];
        foreach ($profile?->contours() ?? [] as $contour) {
            // x of a level member's section runs down
            $shapes[] = Shape::area(Layer::Cut, [self::lain($contour->ring(0.2))]);
        }

        return $shapes;
    }

    /**
     * @param  list<float>  $ring
     * @return list<float>
     */
    private static function lain(array $ring): array
    {
        $out = [];
        for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
            array_push($out, $ring[$i + 1], -$ring[$i]);
        }

        return $out;
    }
}
