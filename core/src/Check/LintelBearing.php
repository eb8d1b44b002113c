<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Geometry\Tolerance;

/** A head with less masonry beside it than a lintel bears on: 150 mm at each end (common practice; BS 5977-1, from memory). */
final class LintelBearing implements Rule
{
    private const BEARING = 150.0;

    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        foreach ($wall->inner ? [] : $wall->placed as $i => $p) {
            if ($p->isOff($wall->body)) {
                continue;
            }
            // an opening up to the wall's head has nothing over it to carry
            if ($p->head >= $wall->body->head - Tolerance::LENGTH) {
                continue;
            }
            $next = null;
            for ($j = $i + 1, $n = count($wall->placed); $j < $n; $j++) {
                $q = $wall->placed[$j];
                if ($q->left - $p->right >= self::BEARING) {
                    break;
                }
                // openings side by side without a pier have one lintel over both; beside the head: the neighbour reaches over it, or its
                // own lintel lies in the same course
                if ($q->left > $p->right + Tolerance::LENGTH && $q->sill < $p->head && $q->head > $p->head - 225) {
                    $next = $q;
                    break;
                }
            }
            if ($next !== null) {
                $gap = $next->left - $p->right;
                $findings[] = new Finding('lintel.bearing', $wall->body->host->id(), [$next->opening->id, $p->opening->id], $gap,
                    sprintf(
                        'Between %s and %s stand %s; a lintel bears on %s.',
                        $wall->label($p),
                        $wall->label($next),
                        $wall->say($gap),
                        $wall->say(self::BEARING),
                    ),
                    [($p->right + $next->left) / 2, $p->head], $wall->moveAside($next, self::BEARING - $gap));
            }
            foreach ([
                [$p->left - $wall->body->start(), $wall->body->left, 1.0],
                [$wall->body->end() - $p->right, $wall->body->right, -1.0],
            ] as [$gap, $end, $sign]) {
                if (! $end->joint->isCorner()
                                    && $end->meets === null
                                    && $gap >= -Tolerance::LENGTH
                                    && $gap < self::BEARING - Tolerance::LENGTH) {
                    $findings[] = $wall->finding(
                        'lintel.bearing', $p, $gap,
                        sprintf('has %s at the wall’s free end; a lintel bears on %s', $wall->say($gap), $wall->say(self::BEARING)),
                        $wall->moveAside($p, $sign * (self::BEARING - $gap)), [$sign > 0 ? $p->left : $p->right, $p->head]);
                }
            }
        }

        return $findings;
    }
}
