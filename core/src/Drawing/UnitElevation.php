<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Unit\HingeSide;
use Isleward\Core\Unit\Leaf;
use Isleward\Core\Unit\Opens;
use Isleward\Core\Unit\Operation;
use Isleward\Core\Unit\Role;
use Isleward\Core\Unit\Slides;
use Isleward\Core\Unit\SolvedLight;
use Isleward\Core\Unit\SolvedUnit;

/**
 * A unit seen square on, its leaves shut. Lines that meet at the hinge side mark a light that opens: full when it opens
 * towards the viewer, dashed when away. A pivoted sash has a pair of lines for each of its halves, the one that comes
 * outward full. An arrow marks the way a leaf slides.
 */
final class UnitElevation
{
    /**
     * @param  bool  $fromOutside  the viewer sees its outside; what comes outward comes to the viewer
     * @return list<Shape> from the unit's lower left corner
     */
    public static function shapes(SolvedUnit $unit, bool $fromOutside = true): array
    {
        // what lies deeper is drawn first: leaves stand behind each other
        $pieces = $depths = $frame = [];
        foreach ($unit->panes as $pane) {
            $pieces[] = Shape::contour(Layer::Glass, $pane->contour);
            $depths[] = $pane->back + $pane->thickness() / 2;
        }
        $trim = $unit->tree->frame->trim;
        foreach ($unit->members as $member) {
            $role = $member->role;
            if ($role === Role::Trim ? $trim?->isOn($fromOutside) === true : $role !== Role::Cill || $fromOutside) {
                $shape = Shape::contour(self::layer($role), $member->contour);
                if ($member->leaf === null && $role !== Role::Trim && ! $role->isFilling() && $role !== Role::Bar && $role !== Role::Cill) {
                    $frame[] = $shape;
                } else {
                    $pieces[] = $shape;
                    $depths[] = $role === Role::Trim ? -INF : $member->back;
                }
            }
        }
        $fromOutside ? arsort($depths) : asort($depths);
        $shapes = $fromOutside ? $frame : [];
        foreach ($depths as $i => $_) {
            $shapes[] = $pieces[$i];
        }
        array_push($shapes, ...($fromOutside ? [] : $frame));
        foreach ($unit->lights as $light) {
            array_push($shapes, ...self::opening($light, $fromOutside));
        }

        return $shapes;
    }

    public static function layer(Role $role): Layer
    {
        return match ($role) {
            Role::Stile, Role::Rail, Role::Muntin, Role::Panel => Layer::Sash,
            Role::Blade, Role::Bar => Layer::Bar,
            Role::Infill => Layer::Infill,
            default => Layer::Frame,
        };
    }

    /** @return list<Shape> */
    private static function opening(SolvedLight $light, bool $fromOutside): array
    {
        $away = ($light->light->opens === Opens::Inward) === $fromOutside;
        $line = static fn (bool $dashed, float ...$points): Shape => Shape::line(Layer::Operation, array_values($points), $dashed);
        $shapes = [];
        foreach ($light->leaves as $leaf) {
            [$x0, $y0, $x1, $y1] = $leaf->contour->bounds();
            [$mx, $my] = [($x0 + $x1) / 2, ($y0 + $y1) / 2];
            [$hinge, $free] = $leaf->hinge === HingeSide::Right ? [$x1, $x0] : [$x0, $x1];
            array_push($shapes, ...match ($light->light->operation) {
                Operation::SideHung, Operation::HingedDoor, Operation::SideHungPair, Operation::DoorPair,
                Operation::Folding => [$line($away, $free, $y0, $hinge, $my, $free, $y1)],
                Operation::TopHung => [$line($away, $x0, $y0, $mx, $y1, $x1, $y0)],
                Operation::BottomHung => [$line($away, $x0, $y1, $mx, $y0, $x1, $y1)],
                Operation::TiltAndTurn => [$line($away, $free, $y0, $hinge, $my, $free, $y1), $line($away, $x0, $y1, $mx, $y0, $x1, $y1)],
                // the foot comes outward, so that rain runs off it
                Operation::HorizontalPivot => [
                    $line(! $fromOutside, $x0, $my, $mx, $y0, $x1, $my),
                    $line($fromOutside, $x0, $my, $mx, $y1, $x1, $my),
                ],
                Operation::VerticalPivot => [
                    $line($fromOutside, $mx, $y0, $hinge, $my, $mx, $y1),
                    $line(! $fromOutside, $mx, $y0, $free, $my, $mx, $y1),
                ],
                Operation::Sliding, Operation::SlidingDoor, Operation::VerticalSliding => self::arrow($leaf),
                default => [],
            });
        }
        if ($light->light->operation === Operation::Folding && $light->leaves !== []) {
            [$x0, $y0, $x1, $y1] = $light->contour->bounds();
            array_push(
                $shapes,
                ...self::arrowAlong($x0, $x1, $y0 + ($y1 - $y0) * 0.12, $light->hinge === HingeSide::Left ? -1.0 : 1.0, false),
            );
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private static function arrow(Leaf $leaf): array
    {
        [$x0, $y0, $x1, $y1] = $leaf->contour->bounds();
        if ($leaf->slides !== null) {
            return $leaf->slides === Slides::Fixed
                            ? []
                            : self::arrowAlong($x0, $x1, ($y0 + $y1) / 2, $leaf->slides === Slides::Left ? -1.0 : 1.0, false);
        }
        $dy = $leaf->motion->dy;

        return $dy === 0.0 ? [] : self::arrowAlong($y0, $y1, ($x0 + $x1) / 2, $dy > 0 ? 1.0 : -1.0, true);
    }

    /** @return list<Shape> an arrow over the middle third of a stretch, and its head */
    private static function arrowAlong(float $from, float $to, float $across, float $way, bool $upright): array
    {
        $half = ($to - $from) / 6;
        $head = min(80.0, $half);
        $tip = ($from + $to) / 2 + $way * $half;
        $place = static fn (float $along, float $off): array => $upright ? [$across + $off, $along] : [$along, $across + $off];

        return [
            Shape::line(Layer::Operation, [...$place($tip - 2 * $way * $half, 0.0), ...$place($tip, 0.0)]),
            Shape::line(
                Layer::Operation,
                [...$place($tip - $way * $head, $head / 2), ...$place($tip, 0.0), ...$place($tip - $way * $head, -$head / 2)],
            ),
        ];
    }
}
