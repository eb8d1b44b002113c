<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Building\Solved;
use Isleward\Core\Measure\Length;
use Isleward\Core\Unit\UnitChecks;

/**
 * What is doubtful about the units in a wall by themselves: leaves beyond their limits, low doors, clashing blades, stretched outlines; in
 * outer walls, rain that runs in.
 */
final class UnitDoubts implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        $known = [];
        foreach ($wall->asked as $p) {
            $o = $p->opening;
            if ($o->type === null) {
                continue;
            }
            $key = $o->type.'|'.$o->width.'|'.$o->height.'|'.($o->facesOut ? 1 : 0).'|'.($o->shape === null ? '' : implode(',', $o->shape));
            if (! isset($known[$key])) {
                $unit = Solved::in($wall->design->type($o->type), $o);
                $known[$key] = [
                    ...UnitChecks::of($unit, $wall->design->settings->unitRules),
                    ...($wall->inner ? [] : UnitChecks::rain($unit, $o->facesOut)),
                ];
            }
            $said = [];
            foreach ($known[$key] as $doubt) {
                // of several leaves alike one is said
                if (! isset($said[$doubt['rule']])) {
                    $said[$doubt['rule']] = true;
                    $findings[] = $wall->finding(
                        $doubt['rule'],
                        $p,
                        $doubt['figure'],
                        Length::said($doubt['what'], $wall->design->settings->units),
                        null,
                    );
                }
            }
        }

        return $findings;
    }
}
