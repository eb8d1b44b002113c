<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Tolerance;

/** An opening that comes nearer to a corner than the project's margin. */
final class NearCorner implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        foreach ($wall->placed as $p) {
            if ($p->isOff($wall->body)) {
                continue;
            }
            foreach ([[$p->left, false, 1.0], [$wall->body->length - $p->right, true, -1.0]] as [$gap, $atRight, $sign]) {
                $short = $wall->margin($atRight) - $gap;
                if ($gap >= -Tolerance::LENGTH && $short > Tolerance::LENGTH) {
                    $findings[] = new Finding(
                        'opening.near_corner', $wall->body->wall->id, [$p->opening->id], $gap,
                        sprintf('%s comes to %s from the %s corner; the project keeps %s.', ucfirst($wall->label($p)), $wall->say($gap), $atRight ? 'right' : 'left', $wall->say($wall->margin($atRight))),
                        [$atRight ? $p->right : $p->left, ($p->sill + $p->head) / 2],
                        $wall->moveAside($p, $sign * $short),
                    );
                }
            }
        }

        return $findings;
    }
}
