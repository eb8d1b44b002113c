<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\UnitSection;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;

/** A stretch of curtain wall cut upright, square to its foot. */
final class UprightCut
{
    /**
     * @param  float  $u  where it is cut, from its left end, mm
     * @param  float  $lean  radians, positive inward
     * @param  bool  $level  its foot and head are cut level; else square to its face
     * @return list<Shape> x the depth behind its glass line at its foot, y over its foot; straight ones only
     */
    public static function of(Design $design, Stretch $stretch, float $u, float $lean, bool $level = true): array
    {
        $stands = static fn (float $d, float $v): array => [$v * sin($lean) + $d * cos($lean), $v * cos($lean) - $d * sin($lean)];
        $place = static fn (Shape $s): Shape => $s->straight(0.2)->mapped($stands);
        $high = $stretch->grid()->height;
        // what leans and is cut level is drawn past foot and head, and cut there
        $levelled = $level && $lean !== 0.0;
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
                $past = $levelled ? 2.0 * $member->profile->wholeDepth() : 0.0;
                foreach (self::cut($member, $section, $seen, $u, $high, $past) as $ring) {
                    $standing = $place(Shape::area(Layer::Cut, [$ring]));
                    array_push($shapes, ...$levelled ? self::levelled($standing, $high * cos($lean)) : [$standing]);
                }
            }
        }

        return $shapes;
    }

    /** @return list<Shape> what of a shape lies between a level foot at 0 and a level head */
    private static function levelled(Shape $shape, float $head): array
    {
        $out = [];
        foreach ($shape->rings as $ring) {
            foreach (Contour::polygon($ring)->leftOf(new Vec2(0.0, 0.0), new Vec2(1.0, 0.0)) as $over) {
                foreach ($over->leftOf(new Vec2(1.0, $head), new Vec2(0.0, $head)) as $between) {
                    $out[] = Shape::area($shape->layer, [$between->ring()]);
                }
            }
        }

        return $out;
    }

    /**
     * @param  float  $high  up the face
     * @param  float  $past  how far what reaches foot or head is drawn past it
     * @return list<list<float>> x the depth, y up the face
     */
    private static function cut(GridMember $member, Contour $section, Contour $seen, float $u, float $high, float $past): array
    {
        if ($member->role->isUpright()) {
            $out = [];
            foreach ($section->spans(true, $u - $member->axis()) as [$near, $far]) {
                foreach ($seen->spans(true, $u) as [$from, $to]) {
                    $from -= $from < Tolerance::LENGTH ? $past : 0.0;
                    $to += $to > $high - Tolerance::LENGTH ? $past : 0.0;
                    $out[] = [$near, $from, $far, $from, $far, $to, $near, $to];
                }
            }

            return $out;
        }
        [$x0, $y0, $x1, $y1] = $section->bounds();
        if ($member->role === Role::Head && ! $seen->isRectangle()) {
            // along a slope it is cut aslant
            return array_map(static fn (array $span): array => [$y0, $span[0], $y1, $span[0], $y1, $span[1], $y0, $span[1]],
                $seen->spans(true, $u));
        }
        // x of a level member's section runs down
        $drawn = match (true) {
            $past === 0.0 || $member->profile?->shape !== SectionShape::Rectangle => $section->ring(0.2),
            $member->role === Role::Head => Contour::rectangle($x0 - $past, $y0, $x1, $y1)->ring(),
            $member->role === Role::Foot => Contour::rectangle($x0, $y0, $x1 + $past, $y1)->ring(),
            default => $section->ring(0.2),
        };
        $ring = [];
        for ($i = 0, $n = count($drawn); $i < $n; $i += 2) {
            array_push($ring, $drawn[$i + 1], $member->axis() - $drawn[$i]);
        }

        return [$ring];
    }
}
