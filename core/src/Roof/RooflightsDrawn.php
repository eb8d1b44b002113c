<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\UnitElevation;
use Isleward\Core\Drawing\View;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Vec3;

/** Rooflights as drawings show them: seen over a wall, over a plan, cut. Their leaves are shut. */
final class RooflightsDrawn
{
    /** Curves are chords that leave them by so much at the most, mm. */
    private const SAGITTA = 0.5;

    /** A section looks for what it cuts from so far under a roof to so far over it, mm. */
    private const BEYOND = 1000.0;

    /**
     * As it is seen level.
     *
     * @param  callable(float, float): float  $across  where a place in plan lies along what is drawn
     * @return list<Shape>
     */
    public static function seen(PlacedRooflight $light, callable $across): array
    {
        $shapes = [];
        foreach (UnitElevation::shapes($light->unit) as $shape) {
            $shapes[] = $shape->straight(self::SAGITTA)->mapped(static function (float $x, float $y) use ($light, $across): array {
                $at = $light->face->axes->point($light->u + $x, $light->v + $y, $light->light->proud);

                return [$across($at->x, $at->y), $at->z];
            });
        }

        return $shapes;
    }

    /** Its outline over a plan: it lies over what is cut. */
    public static function over(PlacedRooflight $light): Shape
    {
        $ring = $light->contour()->ring();
        $points = [];
        for ($i = 0, $n = count($ring); $i <= $n; $i += 2) {
            $at = $light->face->axes->point($ring[$i % $n], $ring[$i % $n + 1], 0.0);
            array_push($points, $at->x, $at->y);
        }

        return Shape::line(Layer::Roof, $points, true);
    }

    /**
     * What it takes out of a roof where a section's line runs through it.
     *
     * @return list<float> ring of place along the line and level; none where the line passes it
     */
    public static function hole(View $view, PlacedRooflight $light): array
    {
        return self::cut($view, $light, $light->contour(), -$light->face->through - 1.0, 1.0);
    }

    /** @return list<Shape> what of its unit a section's line cuts */
    public static function section(View $view, PlacedRooflight $light): array
    {
        $shapes = [];
        $pieces = [];
        foreach ($light->unit->panes as $pane) {
            $pieces[] = [Layer::Glass, $pane->contour, $pane->back, $pane->thickness()];
        }
        foreach ($light->unit->members as $member) {
            $pieces[] = [UnitElevation::layer($member->role), $member->contour, $member->back, $member->depth];
        }
        foreach ($pieces as [$layer, $contour, $back, $deep]) {
            $out = $light->light->proud - $back;
            $ring = self::cut($view, $light, $contour->shifted($light->u, $light->v), $out - $deep, $out);
            if ($ring !== []) {
                $shapes[] = Shape::area($layer, [$ring]);
            }
        }

        return $shapes;
    }

    /**
     * Where a section's line cuts what stands square to a face, between two distances from its upper side.
     *
     * @param  Contour  $contour  that bulges nowhere inward, in (u, v)
     * @return list<float>
     */
    private static function cut(View $view, PlacedRooflight $light, Contour $contour, float $low, float $high): array
    {
        $levels = array_map(static fn (Vec3 $c): float => $c->z, $light->corners());
        [$foot, $head] = [min($levels) - self::BEYOND, max($levels) + self::BEYOND];
        $ring = [0.0, $foot, $view->length, $foot, $view->length, $head, 0.0, $head];
        $place = static function (float $s, float $z) use ($view, $light): Vec3 {
            $at = $view->at($s);

            return $light->face->axes->place(new Vec3($at->x, $at->y, $z));
        };
        $ring = Clip::ring($ring, static fn (float $s, float $z): float => $high - $place($s, $z)->z);
        $ring = Clip::ring($ring, static fn (float $s, float $z): float => $place($s, $z)->z - $low);
        $sides = $contour->ring(self::SAGITTA);
        for ($i = 0, $n = count($sides); $i < $n && $ring !== []; $i += 2) {
            [$x0, $y0, $x1, $y1] = [$sides[$i], $sides[$i + 1], $sides[($i + 2) % $n], $sides[($i + 3) % $n]];
            $ring = Clip::ring($ring, static function (float $s, float $z) use ($place, $x0, $y0, $x1, $y1): float {
                $at = $place($s, $z);

                return ($x1 - $x0) * ($at->y - $y0) - ($y1 - $y0) * ($at->x - $x0);
            });
        }

        return $ring;
    }
}
