<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Building\Solved;
use Isleward\Core\Geometry\Tolerance;

/**
 * A flat unit in a curved wall that bows past its reveal: where the wall is hollow, the unit stands out of the outer face at its middle;
 * where it bulges, out of the inner face.
 */
final class BowedReveal implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        foreach ($wall->body->surface->isFlat() ? [] : $wall->asked as $p) {
            $bow = $p->bow($wall->body->surface);
            if ($p->opening->type === null || $bow === 0.0) {
                continue;
            }
            $depth = Solved::in($wall->design->type($p->opening->type), $p->opening)->depth();
            $outer = $p->opening->setback;
            $inner = $wall->body->host->depth() - $depth - $outer;
            [$reveal, $face, $other] = $bow > 0 ? [$inner, 'inner', $outer] : [$outer, 'outer', $inner];
            $over = abs($bow) - $reveal;
            // a unit as deep as its wall stands out anyway; that is meant
            if ($over <= Tolerance::LENGTH || $reveal < 0.0) {
                continue;
            }
            $remedy = $other >= $over ? new Remedy(
                sprintf('Set it %s %s', $wall->say($over), $bow > 0 ? 'farther out' : 'farther back'),
                'opening.change',
                ['id' => $p->opening->id, 'setback' => $outer + ($bow > 0 ? -$over : $over)],
            ) : null;
            $findings[] = $wall->finding('unit.bow', $p, $over, sprintf(
                'stands %s out of the %s face at its middle: the wall bows %s there and its reveal is %s',
                $wall->say($over),
                $face,
                $wall->say($bow),
                $wall->say($reveal),
            ), $remedy);
        }

        return $findings;
    }
}
