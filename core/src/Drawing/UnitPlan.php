<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Unit\HingeSide;
use Isleward\Core\Unit\Opens;
use Isleward\Core\Unit\Role;
use Isleward\Core\Unit\SolvedLight;
use Isleward\Core\Unit\SolvedUnit;

/** A unit cut level at half its height: members, glass, and for a door its leaf standing open with the path of its edge. */
final class UnitPlan
{
    /**
     * @param  float  $setback  unit's outer side behind the wall's outer face, mm
     * @return list<Shape> x from the opening's left jamb, y the depth behind the wall's outer face
     */
    public static function shapes(SolvedUnit $unit, float $setback, bool $facesOut): array
    {
        $cut = $unit->height / 2;
        $shapes = [];
        $box = static function (Layer $layer, float $x0, float $x1, float $back, float $depth) use ($unit, $setback, $facesOut): Shape {
            if (! $facesOut) {
                [$x0, $x1, $back] = [$unit->width - $x1, $unit->width - $x0, $unit->depth - $back - $depth];
            }
            $y = $setback + $back;

            return Shape::area($layer, [[$x0, $y, $x1, $y, $x1, $y + $depth, $x0, $y + $depth]]);
        };
        foreach ($unit->panes as $pane) {
            if ($pane->box->y0 <= $cut && $pane->box->y1 >= $cut) {
                $shapes[] = $box(Layer::Glass, $pane->box->x0, $pane->box->x1, $pane->back, $pane->thickness);
            }
        }
        foreach ($unit->members as $member) {
            $upright = in_array($member->role, [Role::Jamb, Role::Mullion, Role::Stile, Role::Infill], true);
            if ($upright && $member->box->y0 <= $cut && $member->box->y1 >= $cut) {
                $shapes[] = $box($member->role->isSash() ? Layer::Sash : Layer::Frame, $member->box->x0, $member->box->x1, $member->back, $member->depth);
            }
        }
        foreach ($unit->lights as $light) {
            if ($light->light->operation->isDoor()) {
                array_push($shapes, ...self::swing($unit, $light, $setback, $facesOut));
            }
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private static function swing(SolvedUnit $unit, SolvedLight $light, float $setback, bool $facesOut): array
    {
        $b = $light->box;
        $outward = $light->light->opens === Opens::Outward;
        $hingeLeft = $light->hinge === HingeSide::Left;
        [$x0, $x1] = [$b->x0, $b->x1];
        if (! $facesOut) {
            [$x0, $x1, $hingeLeft, $outward] = [$unit->width - $b->x1, $unit->width - $b->x0, ! $hingeLeft, ! $outward];
        }
        $y = $setback + ($outward ? 0.0 : $unit->depth);
        $hinge = $hingeLeft ? $x0 : $x1;
        $width = $b->width();
        $towards = $outward ? -M_PI_2 : M_PI_2;
        $closed = $hingeLeft ? 0.0 : M_PI;
        $sweep = $hingeLeft ? $towards : -$towards;

        return [
            Shape::line(Layer::Sash, [$hinge, $y, $hinge, $y + ($outward ? -$width : $width)]),
            Shape::arc(Layer::Swing, $hinge, $y, $width, $closed, $sweep),
        ];
    }
}
