<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

/** A unit in an outer wall whose outside faces in. */
final class FacingIn implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        foreach ($wall->inner ? [] : $wall->asked as $p) {
            if (! $p->opening->isBare() && ! $p->opening->facesOut) {
                $findings[] = $wall->finding(
                    'unit.facing_in', $p, $p->opening->setback, 'faces in: its outside is on the inside of the wall',
                    new Remedy('Turn it to face out', 'opening.change', ['id' => $p->opening->id, 'facesOut' => true]));
            }
        }

        return $findings;
    }
}
