<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\UnitSection;
use Isleward\Core\Geometry\Contour;

/** A stretch of curtain wall cut upright, square to its foot. */
final class UprightCut
{
    /**
     * @param  float  $u  where it is cut, from its left end, mm
     * @param  float  $lean  radians, positive inward
     * @return list<Shape> x the depth behind its glass line at its foot, y over its foot; straight ones only
     */
    public static function of(Design $design, Stretch $stretch, float $u, float $lean): array
    {
        $place = static fn (Shape $s): Shape => $s->straight(0.2)->mapped(
            static fn (float $d, float $v): array => [$v * sin($lean) + $d * cos($lean), $v * cos($lean) - $d * sin($lean)],
        );
        $shapes = [];
        $drawn = $stretch->drawn();
        foreach ($drawn->cells as [$cell, $seen]) {
            [$x0, $y0, $x1] = $seen->bounds();
            if ($u <= $x0 || $u >= $x1) {
                continue;
            }
            $type = $design->types[$cell->infill->type ?? ''] ?? null;
            if ($type !== null && $seen === $cell->contour()) {
                foreach (UnitSection::shapes(CellUnit::in($cell, $type->tree())->unit, $u - $x0) as $shape) {
                    $shapes[] = $place($shape->straight(0.2)->mapped(static fn (float $d, float $y): array => [$d, $y0 + $y]));
                }
            }
            $thick = $cell->infill->thickness();
            foreach ($thick > 0.0 ? $seen->spans(true, $u) : [] as [$from, $to]) {
                $shapes[] = $place(Shape::area(
                    $cell->infill->kind->isGlass() ? Layer::Glass : Layer::Infill,
                    [[0.0, $from, $thick, $from, $thick, $to, 0.0, $to]],
                ));
            }
        }
        foreach ($drawn->members as [$member, $seen]) {
            [$x0, , $x1] = $seen->bounds();
            if ($member->profile === null || $u <= $x0 || $u >= $x1) {
                continue;
            }
            foreach ($member->profile->contours() as $section) {
                foreach (self::cut($member, $section, $seen, $u) as $ring) {
                    $shapes[] = $place(Shape::area(Layer::Cut, [$ring]));
                }
            }
        }

        return $shapes;
    }

    /** @return list<list<float>> x the depth, y up the face */
    private static function cut(GridMember $member, Contour $section, Contour $seen, float $u): array
    {
        if ($member->role->isUpright()) {
            $out = [];
            foreach ($section->spans(true, $u - $member->axis()) as [$near, $far]) {
                foreach ($seen->spans(true, $u) as [$from, $to]) {
                    $out[] = [$near, $from, $far, $from, $far, $to, $near, $to];
                }
            }

            return $out;
        }
        // x of a level member's section runs down
        $ring = [];
        $drawn = $section->ring(0.2);
        for ($i = 0, $n = count($drawn); $i < $n; $i += 2) {
            array_push($ring, $drawn[$i + 1], $member->axis() - $drawn[$i]);
        }

        return [$ring];
    }
}
