<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Unit\HingeSide;
use Isleward\Core\Unit\Opens;
use Isleward\Core\Unit\Operation;
use Isleward\Core\Unit\SolvedLight;
use Isleward\Core\Unit\SolvedUnit;

/**
 * A unit seen from outside. Lines that meet at the hinge side mark a light that opens: full when it opens towards the
 * viewer (outward), dashed when away (inward).
 */
final class UnitElevation
{
    /** @return list<Shape> from the unit's lower left corner */
    public static function shapes(SolvedUnit $unit): array
    {
        $shapes = [];
        foreach ($unit->panes as $pane) {
            $shapes[] = Shape::box(Layer::Glass, $pane->box);
        }
        foreach ($unit->members as $member) {
            $shapes[] = Shape::box($member->role->isSash() ? Layer::Sash : Layer::Frame, $member->box);
        }
        foreach ($unit->lights as $light) {
            if ($light->light->operation !== Operation::Fixed) {
                $shapes[] = self::opening($light);
            }
        }

        return $shapes;
    }

    private static function opening(SolvedLight $light): Shape
    {
        $b = $light->box;
        [$hinge, $free] = $light->hinge === HingeSide::Left ? [$b->x0, $b->x1] : [$b->x1, $b->x0];

        return Shape::line(Layer::Operation, [$free, $b->y0, $hinge, ($b->y0 + $b->y1) / 2, $free, $b->y1], $light->light->opens === Opens::Inward);
    }
}
