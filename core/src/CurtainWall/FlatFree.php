<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\CutPrism;
use Isleward\Core\Geometry\HalfSpace;
use Isleward\Core\Geometry\LeaningPlane;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;

/** Free members of a flat face as they stand: one for every cell that they cross, cut by what holds its ends. */
final class FlatFree
{
    /**
     * @param  list<FreePiece>  $pieces
     * @param  list<HalfSpace>  $within  that all of the stretch lies within
     * @return list<RunMember>
     */
    public static function members(LeaningPlane $plane, array $pieces, array $within): array
    {
        [$origin, $out] = [$plane->point(0.0, 0.0), $plane->normal(0.0, 0.0)];
        [$right, $up, $inward] = [$plane->point(1.0, 0.0)->minus($origin), $plane->point(0.0, 1.0)->minus($origin), $out->times(-1.0)];
        $made = [];
        foreach ($pieces as $piece) {
            $along = $piece->member->along();
            [$from, $profile] = [$piece->member->from, $piece->member->profile];
            $axis = $right->times($along->x)->plus($up->times($along->y));
            $axes = new Axes($plane->point($from->x, $from->y), $inward->cross($axis), $inward, $axis);
            $between = [];
            $ring = $piece->between->ring();
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                [$u0, $v0, $u1, $v1] = [$ring[$i], $ring[$i + 1], $ring[($i + 2) % $n], $ring[($i + 3) % $n]];
                // its own sides do not cut it: a cap may be wider
                $side = (new Vec2($u1 - $u0, $v1 - $v0))->unit();
                $off = abs((new Vec2($u0, $v0))->minus($from)->cross($along)) - $profile->face / 2;
                if (! $piece->isStrip || abs($side->cross($along)) > 1e-9 || abs($off) > Tolerance::LENGTH) {
                    $between[] = self::leftOf($plane, $u0, $v0, $u1, $v1);
                }
            }
            $solids = CutPrism::between($profile->contours(), $axes, [...$within, ...$between]);
            if ($solids !== []) {
                $made[] = RunMember::straight('free member', $profile, $axes, $solids, $piece->member);
            }
        }

        return $made;
    }

    /** What lies left of a line of the face, from (u, v) to (u, v) seen from outside, through its whole depth. */
    public static function leftOf(LeaningPlane $plane, float $u0, float $v0, float $u1, float $v1): HalfSpace
    {
        $a = $plane->point($u0, $v0);

        return HalfSpace::behind($a, $plane->point($u1, $v1)->minus($a)->cross($plane->normal(0.0, 0.0)));
    }
}
