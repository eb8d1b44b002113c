<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\CutPrism;
use Isleward\Core\Geometry\HalfSpace;
use Isleward\Core\Geometry\Vec3;

/** The half of a corner's member that one of its two stretches gives. */
final class HalfPost
{
    /** Sections are drawn out past the edge by so many times their depth, to be cut at the plane that halves the corner. */
    private const OVER = 8.0;

    /**
     * @param  Vec3  $out  out of the face at the corner
     * @param  bool  $atLeft  whether the corner is at the left end of the stretch
     * @param  list<HalfSpace>  $within  that all of the stretch lies within
     * @return array{Axes, list<CutPrism>} axes along the edge: x in the face, the way u runs, y inward
     */
    public static function of(Meeting $meeting, Corner $corner, Vec3 $out, bool $atLeft, array $within): array
    {
        $profile = $corner->profile ?? throw new \LogicException('Glass meets glass there.');
        $axes = new Axes($meeting->foot, $meeting->across($out), $out->times(-1.0), $meeting->edge);
        $over = self::OVER * $profile->wholeDepth();
        $sections = [];
        foreach ($profile->contours() as $i => $contour) {
            [, $front, , $back] = $contour->bounds();
            $wide = $i === 0 ? $profile->face : $contour->width();
            $sections[] = $atLeft ? Contour::rectangle(-$over, $front, $wide, $back) : Contour::rectangle(-$wide, $front, $over, $back);
        }

        return [$axes, CutPrism::between($sections, $axes, $within)];
    }
}
