<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Contributor;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\SectionCut;
use Isleward\Core\Drawing\SeenFace;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\Symbols;
use Isleward\Core\Drawing\UnitElevation;
use Isleward\Core\Drawing\UnitPlan;
use Isleward\Core\Drawing\UnitSection;
use Isleward\Core\Geometry\Profile;

/** Screens before walls: seen square on, cut in plan and section with what closes them back. */
final class ScreensDrawn implements Contributor
{
    /** A plan cuts so far over its floor, mm (common practice). */
    private const CUT = 1200.0;

    private const SAGITTA = 0.5;

    public function elevation(Design $design, Body $body, Symbols $symbols): array
    {
        $shapes = [];
        foreach (Screens::in($design)->on($body->host->id()) as $face) {
            foreach ($face->region as $profile) {
                $shapes[] = Shape::profile(Layer::Screen, $profile);
            }
            array_push($shapes, ...self::units($face));
        }

        return $shapes;
    }

    /** @return list<Shape> the units in its cut-outs, as they are seen square on */
    public static function units(ScreenFace $face): array
    {
        $shapes = [];
        foreach ($face->units as $unit) {
            foreach (UnitElevation::shapes($unit->unit) as $shape) {
                $shapes[] = $shape->placed($unit->u, $unit->level, 0.0)->before();
            }
        }

        return $shapes;
    }

    public function plan(Design $design, Body $body, string $storey, float $letters): array
    {
        [$floor, $ceiling] = [$design->storeys->floor($storey), $design->storeys->ceiling($storey)];
        $drawn = [];
        foreach (Screens::in($design)->on($body->host->id()) as $face) {
            $screen = $face->screen;
            $level = self::level($face, $floor, $ceiling);
            foreach ($level === null ? [] : [
                [$face->sheet(), $screen->gap, $screen->front()], [$face->returns(), $face->behind, $screen->gap],
            ] as [$region, $near, $far]) {
                foreach (ScreenRegion::spans($region, false, (float) $level) as [$from, $to]) {
                    $shape = Shape::area(Layer::Screen, [[$from, -$near, $to, -$near, $to, -$far, $from, -$far]]);
                    $drawn[$screen->id][] = $face->surface->isFlat()
                        ? $shape->mapped(static function (float $u, float $depth) use ($face): array {
                            $at = $face->surface->inPlan($u, $depth);

                            return [$at->x, $at->y];
                        })
                        : $shape->bent($face->surface);
                }
            }
            foreach ($level === null ? [] : $face->units as $unit) {
                if ($level > $unit->level && $level < $unit->level + $unit->unit->outline->height()) {
                    foreach (UnitPlan::shapes($unit->unit, -$screen->front(), true, null, $level - $unit->level) as $shape) {
                        $at = $face->surface->inPlan($unit->u);
                        $drawn[$screen->id][] = $shape->straight(self::SAGITTA)->placed($at->x, $at->y, $face->surface->angle());
                    }
                }
            }
            foreach ($level === null ? [] : $face->wedges() as [$wedge, $low, $high]) {
                if ($low < $level && $high > $level) {
                    $drawn[$screen->id][] = Shape::contour(Layer::Screen, $wedge);
                }
            }
        }

        return $drawn;
    }

    /** Where a plan of a storey cuts it: at its usual height, or where it has something nearest to that; null where it has nothing. */
    private static function level(ScreenFace $face, float $floor, float $ceiling): ?float
    {
        $cut = $floor + self::CUT;
        if (ScreenRegion::spans($face->region, false, $cut) !== []) {
            return $cut;
        }
        [, $low, , $high] = $face->bounds();
        if ($high <= $floor + 1.0 || $low >= $ceiling - 1.0) {
            return null;
        }

        return $low > $cut ? $low + 1.0 : ($high < $cut ? $high - 1.0 : null);
    }

    public function section(SectionCut $cut): array
    {
        $shapes = [];
        $surface = $cut->body->surface;
        $u = $surface->u($cut->view->at(($cut->s0 + $cut->s1) / 2));
        foreach (Screens::in($cut->design)->on($cut->body->host->id()) as $face) {
            $screen = $face->screen;
            foreach ([
                [$face->region, $screen->gap, $screen->front()], [$face->returns(), $face->behind, $screen->gap],
            ] as [$region, $near, $far]) {
                $s = array_map(static fn (float $out): float => $cut->view->s($surface->inPlan($u, -$out)), [$near, $far]);
                foreach (ScreenRegion::spans($region, true, $u) as [$low, $high]) {
                    $shapes[] = Shape::area(Layer::Cut, [[$s[0], $low, $s[1], $low, $s[1], $high, $s[0], $high]]);
                }
            }
            foreach ($face->units as $unit) {
                $x = $u - $unit->u;
                if ($x <= 0.0 || $x >= $unit->unit->outline->width()) {
                    continue;
                }
                [$s0, $s1] = array_map(
                    static fn (float $out): float => $cut->view->s($surface->inPlan($u, -$out)), [$screen->front(), $screen->front() - 1.0],
                );
                foreach (UnitSection::shapes($unit->unit, $x) as $shape) {
                    $shapes[] = $shape->straight(self::SAGITTA)->mapped(
                        static fn (float $d, float $y): array => [$s0 + ($s1 - $s0) * $d, $unit->level + $y],
                    );
                }
            }
        }

        return $shapes;
    }

    public function seen(SeenFace $face): array
    {
        if ($face->depth > 0.0) {
            return []; // from inside the wall stands before them
        }
        $shapes = [];
        foreach (Screens::in($face->design)->on($face->body->host->id()) as $screen) {
            [$u0, , $u1] = $screen->bounds();
            if ($u1 <= $face->from || $u0 >= $face->to) {
                continue;
            }
            foreach ($screen->region as $profile) {
                $shapes[] = Shape::area($face->afar ? Layer::Beyond : Layer::Screen, self::on($face, $profile));
            }
            foreach (self::units($screen) as $shape) {
                if ($shape->kind !== 'text') {
                    $on = $face->afar && $shape->layer !== Layer::Glass ? $shape->on(Layer::Beyond) : $shape;
                    $shapes[] = $on->straight(self::SAGITTA)->mapped(static fn (float $x, float $y): array => [$face->s($x), $y]);
                }
            }
        }

        return $shapes;
    }

    /** @return list<list<float>> */
    private static function on(SeenFace $face, Profile $profile): array
    {
        $rings = [];
        foreach ($profile->contours() as $contour) {
            $ring = $contour->ring(self::SAGITTA);
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                $ring[$i] = $face->s($ring[$i]);
            }
            $rings[] = array_values($ring);
        }

        return $rings;
    }
}
