<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Geometry\Tolerance;

/**
 * A left-over offset: a door whose foot is off the floor of its storey (one that is meant to be there, a hatch or a loading door, is
 * accepted with a note), or a unit that stands out of its wall altogether.
 */
final class Floating implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        foreach ($wall->asked as $p) {
            $type = $p->opening->type;
            if ($type === null) {
                continue;
            }
            $off = $p->sill - $wall->floor($p);
            if ($wall->hasDoor($p) && abs($off) > Tolerance::LENGTH) {
                $findings[] = $wall->finding(
                    'door.floating', $p, $off,
                    sprintf('%s %s %s the floor', $off > 0 ? 'floats' : 'is sunk', $wall->say($off), $off > 0 ? 'above' : 'under'),
                    $wall->moveUp($p, -$off), [($p->left + $p->right) / 2, $p->sill]);
            }
            $depth = $wall->design->type($type)->tree()->frame->depth;
            $front = -$p->opening->setback - $depth;
            $behind = $p->opening->setback - $wall->body->host->depth();
            $gap = max($front, $behind);
            if ($gap > Tolerance::LENGTH) {
                $findings[] = $wall->finding(
                    'unit.floating', $p, $gap,
                    sprintf('floats %s %s its wall', $wall->say($gap), $front > $behind ? 'in front of' : 'behind'),
                    new Remedy('Put it at the outer face', 'opening.change', ['id' => $p->opening->id, 'setback' => 0]));
            }
        }

        return $findings;
    }
}
