<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Unit\Member;
use Isleward\Core\Unit\Pane;
use Isleward\Core\Unit\Role;
use Isleward\Core\Unit\SolvedUnit;

/** A unit cut upright, the outside on the left: members, glass, blades, leaves as far open as they stand, cill and trim. */
final class UnitSection
{
    /**
     * @param  float  $cut  x from the unit's left side, mm
     * @param  float  $setback  unit's outer side behind the wall's outer face, mm; the cill reaches over it
     * @param  float|null  $ajar  how far its lights stand open; null as their type shows them
     * @return list<Shape> x the depth behind the unit's outer side, y up from its foot
     */
    public static function shapes(SolvedUnit $unit, float $cut, float $setback = 0.0, ?float $ajar = null): array
    {
        $poses = [];
        foreach ($unit->lights as $light) {
            foreach ($light->leaves as $leaf) {
                $poses[$leaf->index] = $leaf->motion->at($ajar ?? $light->light->ajar);
            }
        }
        $shapes = [];
        foreach ([...$unit->panes, ...$unit->members] as $piece) {
            $member = $piece instanceof Member;
            if ($member && $piece->section !== null) {
                if ($piece->contour->spans(true, $cut) !== []) {
                    $shapes[] = Shape::area(UnitElevation::layer($piece->role), [self::turned($piece->section)]);
                }

                continue;
            }
            $pose = $piece->leaf === null ? null : $poses[$piece->leaf];
            if (($member && $piece->role === Role::Trim) || ($pose !== null && $pose->upright && $pose->angle !== 0.0)) {
                continue; // a leaf turned about an upright axis is no longer where the cut is
            }
            $spans = $piece->contour->spans(true, $pose !== null && $pose->upright ? $cut - $pose->dx : $cut);
            if ($spans === []) {
                continue;
            }
            $layer = $member ? UnitElevation::layer($piece->role) : Layer::Glass;
            [$back, $deep] = $piece instanceof Pane ? [$piece->back, $piece->thickness()] : [$piece->back, $piece->depth];
            if ($piece instanceof Member && $piece->role === Role::Cill) {
                [$back, $deep] = [$back - $setback, $deep + $setback];
            }
            foreach ($spans as [$y0, $y1]) {
                if ($pose === null) {
                    $behind = $back + $deep;
                    $shapes[] = Shape::area($layer, [[$back, $y0, $behind, $y0, $behind, $y1, $back, $y1]]);

                    continue;
                }
                $ring = [];
                foreach ([[$back, $y0], [$back + $deep, $y0], [$back + $deep, $y1], [$back, $y1]] as [$z, $y]) {
                    [, $y, $z] = $pose->of($cut, $y, $z);
                    $ring[] = $z;
                    $ring[] = $y;
                }
                $shapes[] = Shape::area($layer, [$ring]);
            }
        }

        return $shapes;
    }

    /**
     * @param  list<float>  $section  [y, depth, …]
     * @return list<float> [depth, y, …]
     */
    private static function turned(array $section): array
    {
        $out = [];
        for ($i = 0, $n = count($section); $i < $n; $i += 2) {
            array_push($out, $section[$i + 1], $section[$i]);
        }

        return $out;
    }
}
