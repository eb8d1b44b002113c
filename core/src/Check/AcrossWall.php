<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Geometry\Tolerance;

/** An opening that opens into the end of a wall that meets its own, from either side. */
final class AcrossWall implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        foreach ($wall->asked as $p) {
            foreach ($wall->abutments as $a) {
                $reach = $a->reach($p);
                if ($reach <= Tolerance::LENGTH) {
                    continue;
                }
                // the shorter way off it that is clear
                $ways = [$a->to - $p->left, $a->from - $p->right];
                usort($ways, static fn (float $x, float $y): int => abs($x) <=> abs($y));
                $off = [];
                foreach ($ways as $way) {
                    $keeps = $wall->inner && $wall->hasDoor($p) ? $wall->design->settings->nib : 0.0;
                    $off[] = $wall->moveAside($p, $way + ($way > 0 ? $keeps : -$keeps));
                }
                $findings[] = $wall->finding(
                    'opening.across_wall', $p, $reach, sprintf(
                        'opens into the end of %s, which meets this wall at %s to %s from its left end, on the %s',
                        $wall->named($a->wall), $wall->say($a->from - $wall->body->start()), $wall->say($a->to - $wall->body->start()),
                        $a->inside ? 'inside' : 'outside'),
                    $off[0] ?? $off[1] ?? null, [(max($a->from, $p->left) + min($a->to, $p->right)) / 2, ($p->sill + $p->head) / 2]);
            }
        }

        return $findings;
    }
}
