<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Geometry\Tolerance;

/** An opening that runs across a floor: over the one above its storey, or under its own. */
final class AcrossFloor implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        $storeys = $wall->design->storeys;
        foreach ($wall->asked as $p) {
            foreach ($storeys->all as $storey) {
                $floor = $storeys->floor($storey->id);
                [$under, $over] = [$floor - $p->sill, $p->head - $floor];
                // where the wall stands or ends there is no floor across it
                if ($under <= Tolerance::LENGTH
                                    || $over <= Tolerance::LENGTH
                                    || $floor <= $wall->body->foot + Tolerance::LENGTH
                                    || $floor >= $wall->body->head - Tolerance::LENGTH) {
                    continue;
                }
                $down = $over <= $under;
                $by = $down ? $over : $under;
                $findings[] = $wall->finding('opening.across_floor', $p, $by, sprintf(
                    'runs across the floor of %s: its %s lies %s %s it',
                    $storey->name,
                    $down ? 'head' : 'sill',
                    $wall->say($by),
                    $down ? 'over' : 'under',
                ),
                    $wall->moveUp($p, $down ? -$by : $by), [($p->left + $p->right) / 2, $floor]);
            }
        }

        return $findings;
    }
}
