<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Unit\HingeSide;
use Isleward\Core\Unit\Leaf;
use Isleward\Core\Unit\Motion;
use Isleward\Core\Unit\Operation;
use Isleward\Core\Unit\Pose;
use Isleward\Core\Unit\Role;
use Isleward\Core\Unit\SolvedLight;
use Isleward\Core\Unit\SolvedUnit;

/**
 * A unit cut level: members, glass, leaves as far open as they stand. A hinged leaf that is shut shows where it goes: standing
 * open with the path of its edge; a folding one half folded. What is over the cut is not shown.
 */
final class UnitPlan
{
    private function __construct(
        private readonly SolvedUnit $unit,
        private readonly float $setback,
        private readonly bool $facesOut,
        private readonly ?float $ajar,
    ) {
    }

    /**
     * @param  float  $setback  unit's outer side behind the wall's outer face, mm
     * @param  float|null  $ajar  how far its lights stand open; null as their type shows them
     * @param  float|null  $cut  height over the unit's foot, mm; null for half its height
     * @return list<Shape> x from the opening's left jamb, y the depth behind the wall's outer face
     */
    public static function shapes(SolvedUnit $unit, float $setback, bool $facesOut, ?float $ajar = null, ?float $cut = null): array
    {
        return (new self($unit, $setback, $facesOut, $ajar))->at($cut ?? $unit->height / 2);
    }

    /** @return list<Shape> */
    private function at(float $cut): array
    {
        $shapes = [];
        $poses = $ajar = [];
        foreach ($this->unit->lights as $light) {
            foreach ($light->leaves as $leaf) {
                $ajar[$leaf->index] = $this->ajar ?? $light->light->ajar;
                $poses[$leaf->index] = $leaf->motion->at($ajar[$leaf->index]);
            }
        }
        foreach ($this->unit->panes as $pane) {
            $pose = self::turning($pane->leaf, $poses);
            foreach ($pane->contour->spans(false, $pose === null ? $cut : $cut - $pose->dy) as [$x0, $x1]) {
                $shapes[] = $this->box(Layer::Glass, $x0, $x1, $pane->back, $pane->thickness(), $pose);
            }
        }
        foreach ($this->unit->members as $member) {
            if ($member->section !== null || $member->role === Role::Trim || $member->role === Role::Cill) {
                continue;
            }
            $pose = self::turning($member->leaf, $poses);
            foreach ($member->contour->spans(false, $pose === null ? $cut : $cut - $pose->dy) as [$x0, $x1]) {
                $shapes[] = $this->box(UnitElevation::layer($member->role), $x0, $x1, $member->back, $member->depth, $pose);
            }
        }
        foreach ($this->unit->lights as $light) {
            $bounds = $light->contour->bounds();
            $cutThrough = $bounds[1] <= $cut && $bounds[3] >= $cut;
            $shown = $light->light->operation->isDoor() || ($cutThrough && ($this->ajar ?? $light->light->ajar) > 0);
            foreach ($shown ? $light->leaves : [] as $leaf) {
                array_push($shapes, ...$this->path($light, $leaf, $ajar[$leaf->index]));
            }
        }

        return $shapes;
    }

    /**
     * How the leaf of a piece stands when that moves it over the plan. Of one that has slid up or down the cut meets what has come there;
     * of a tilted one its foot, drawn as it lies.
     *
     * @param  array<int, Pose>  $poses
     */
    private static function turning(?int $leaf, array $poses): ?Pose
    {
        return $leaf !== null && $poses[$leaf]->upright ? $poses[$leaf] : null;
    }

    private function box(Layer $layer, float $x0, float $x1, float $back, float $depth, ?Pose $pose): Shape
    {
        $behind = $back + $depth;
        if ($pose === null) {
            // nearly every piece stands as it was made
            [$near, $far] = $this->facesOut
                ? [$this->setback + $back, $this->setback + $behind]
                : [$this->setback + $this->unit->depth() - $back, $this->setback + $this->unit->depth() - $behind];
            [$from, $to] = $this->facesOut ? [$x0, $x1] : [$this->unit->width - $x0, $this->unit->width - $x1];

            return Shape::area($layer, [[$from, $near, $to, $near, $to, $far, $from, $far]]);
        }
        $ring = [];
        foreach ([[$x0, $back], [$x1, $back], [$x1, $behind], [$x0, $behind]] as [$x, $z]) {
            [$x, , $z] = $pose->of($x, 0.0, $z);
            $point = $this->point($x, $z);
            $ring[] = $point[0];
            $ring[] = $point[1];
        }

        return Shape::area($layer, [$ring]);
    }

    /** @return array{float, float} */
    private function point(float $x, float $z): array
    {
        return $this->facesOut ? [$x, $this->setback + $z] : [$this->unit->width - $x, $this->setback + $this->unit->depth() - $z];
    }

    /** @return list<Shape> where a leaf goes */
    private function path(SolvedLight $light, Leaf $leaf, float $ajar): array
    {
        [$x0, , $x1] = $leaf->contour->bounds();
        $motion = $leaf->motion;
        if ($light->light->operation === Operation::Folding) {
            if ($ajar > 0) {
                return [];
            }
            $pose = $motion->at(0.5);
            [$ax, , $az] = $pose->of($x0, 0.0, $motion->z);
            [$bx, , $bz] = $pose->of($x1, 0.0, $motion->z);

            return [Shape::line(Layer::Swing, [...$this->point($ax, $az), ...$this->point($bx, $bz)], true)];
        }
        if (! $motion->upright || $motion->angle === 0.0 || $light->light->operation === Operation::VerticalPivot) {
            return [];
        }

        return $this->swing($leaf, $motion, $ajar, $x1 - $x0);
    }

    /** @return list<Shape> */
    private function swing(Leaf $leaf, Motion $motion, float $ajar, float $width): array
    {
        [$x0, , $x1] = $leaf->contour->bounds();
        $free = $leaf->hinge === HingeSide::Left ? $x1 : $x0;
        [$cx, $cy] = $this->point($motion->at, $motion->z);
        [$fx, $fy] = $this->point($free, $motion->z);
        $pose = $motion->at($ajar > 0 ? $ajar : 1.0);
        [$ox, , $oz] = $pose->of($free, 0.0, $motion->z);
        [$ex, $ey] = $this->point($ox, $oz);
        $start = atan2($fy - $cy, $fx - $cx);
        $sweep = atan2(sin(atan2($ey - $cy, $ex - $cx) - $start), cos(atan2($ey - $cy, $ex - $cx) - $start));
        $arc = Shape::arc(Layer::Swing, $cx, $cy, $width, $start, $sweep);

        return $ajar > 0 ? [$arc] : [Shape::line(Layer::Sash, [$cx, $cy, $ex, $ey]), $arc];
    }
}
