<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Geometry\Tolerance;

/**
 * An opening that comes nearer to a corner than the project's margin, seen from inside the return where that is nearer, or that reaches
 * into
 * the return; or a door in an inner wall with too short a nib, to its end or to a wall that meets it.
 */
final class NearCorner implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        foreach ($wall->asked as $p) {
            if ($p->isOff($wall->body)) {
                continue;
            }
            foreach ([[false, 1.0], [true, -1.0]] as [$atRight, $sign]) {
                [$stop, $margin, $abutment] = $wall->stop($p, $atRight);
                $gap = $atRight ? $stop - $p->right : $p->left - $stop;
                $side = $atRight ? 'right' : 'left';
                $at = [$atRight ? $p->right : $p->left, ($p->sill + $p->head) / 2];
                $remedy = $wall->moveAside($p, $sign * ($margin - $gap));
                $within = $atRight ? $wall->body->end() - $p->right : $p->left - $wall->body->start();
                if ($gap < -Tolerance::LENGTH && $within >= -Tolerance::LENGTH) {
                    $findings[] = $wall->finding(
                        'opening.in_return',
                        $p,
                        -$gap,
                        sprintf('has its %s jamb %s inside the wall that returns there', $side, $wall->say($gap)),
                        $remedy,
                        $at,
                    );
                } elseif ($gap >= -Tolerance::LENGTH && $margin - $gap > Tolerance::LENGTH) {
                    $what = $wall->inner
                        ? sprintf(
                            'leaves a nib of %s at its %s%s; the project’s is %s',
                            $wall->say($gap),
                            $side,
                            $abutment === null ? '' : ', to '.$wall->named($abutment->wall),
                            $wall->say($margin),
                        )
                        : sprintf(
                            'comes to %s from the %s corner%s; the project keeps %s',
                            $wall->say($gap),
                            $side,
                            abs($within - $gap) > Tolerance::LENGTH ? ', inside its return' : '',
                            $wall->say($margin),
                        );
                    $findings[] = $wall->finding($wall->inner ? 'door.nib' : 'opening.near_corner', $p, $gap, $what, $remedy, $at);
                }
            }
        }

        return $findings;
    }
}
