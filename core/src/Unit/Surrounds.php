<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Margin;

/** What lies outside a unit's outline: the cill under it and the trim round it. Their depth is worked out where they are placed. */
final class Surrounds
{
    /** @return list<Member> */
    public static function members(Frame $frame, Contour $outline, float $width): array
    {
        $members = [];
        if ($frame->trim !== null && ($frame->trim->outside || $frame->trim->inside)) {
            $around = Margin::outside($outline, $frame->trim->face)->inner;
            $back = $around === null ? null : Margin::inside($around, array_fill(0, count($around->edges()), $frame->trim->face));
            foreach ($back?->inner !== null ? array_keys($back->outer->edges()) : [] as $i) {
                $piece = $back?->piece($i);
                if ($piece !== null) {
                    $members[] = new Member(Role::Trim, $piece, 0.0, $frame->trim->proud);
                }
            }
        }
        if ($frame->cill !== null) {
            $cill = $frame->cill;
            $shape = Contour::rectangle(-$cill->horns, 0.0, $width + $cill->horns, $cill->height);
            $members[] = new Member(Role::Cill, $shape, -$cill->projection, $cill->projection);
        }

        return $members;
    }
}
