<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Tolerance;

/** An opening that comes nearer to a corner than the project's margin, or a door in an inner wall with too short a nib. */
final class NearCorner implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        foreach ($wall->asked as $p) {
            if ($p->isOff($wall->body)) {
                continue;
            }
            foreach ([[$p->left - $wall->body->start(), false, 1.0], [$wall->body->end() - $p->right, true, -1.0]] as [$gap, $atRight, $sign]) {
                $margin = $wall->margin($p, $atRight);
                if ($gap < -Tolerance::LENGTH || $margin - $gap <= Tolerance::LENGTH) {
                    continue;
                }
                $side = $atRight ? 'right' : 'left';
                $what = $wall->inner
                    ? sprintf('leaves a nib of %s at its %s; the project’s is %s', $wall->say($gap), $side, $wall->say($margin))
                    : sprintf('comes to %s from the %s corner; the project keeps %s', $wall->say($gap), $side, $wall->say($margin));
                $findings[] = $wall->finding($wall->inner ? 'door.nib' : 'opening.near_corner', $p, $gap, $what, $wall->moveAside($p, $sign * ($margin - $gap)),
                    [$atRight ? $p->right : $p->left, ($p->sill + $p->head) / 2]);
            }
        }

        return $findings;
    }
}
