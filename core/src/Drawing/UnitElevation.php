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
 * viewer (outward), dashed when away (inward). A pivoted sash has a pair of lines for each of its halves, the one that
 * comes outward full.
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
            array_push($shapes, ...self::opening($light));
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private static function opening(SolvedLight $light): array
    {
        $b = $light->box;
        [$mx, $my] = [($b->x0 + $b->x1) / 2, ($b->y0 + $b->y1) / 2];
        [$hinge, $free] = $light->hinge === HingeSide::Left ? [$b->x0, $b->x1] : [$b->x1, $b->x0];
        $inward = $light->light->opens === Opens::Inward;
        $line = static fn (bool $dashed, float ...$points): Shape => Shape::line(Layer::Operation, array_values($points), $dashed);
        $side = $line($inward, $free, $b->y0, $hinge, $my, $free, $b->y1);
        $bottom = $line($inward, $b->x0, $b->y1, $mx, $b->y0, $b->x1, $b->y1);

        return match ($light->light->operation) {
            Operation::Fixed => [],
            Operation::SideHung, Operation::HingedDoor => [$side],
            Operation::TopHung => [$line($inward, $b->x0, $b->y0, $mx, $b->y1, $b->x1, $b->y0)],
            Operation::BottomHung => [$bottom],
            Operation::TiltAndTurn => [$side, $bottom],
            // the foot comes outward, so that rain runs off it
            Operation::HorizontalPivot => [$line(false, $b->x0, $my, $mx, $b->y0, $b->x1, $my), $line(true, $b->x0, $my, $mx, $b->y1, $b->x1, $my)],
            Operation::VerticalPivot => [$line(true, $mx, $b->y0, $hinge, $my, $mx, $b->y1), $line(false, $mx, $b->y0, $free, $my, $mx, $b->y1)],
        };
    }
}
