<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Unit\Opens;
use Isleward\Core\Unit\Operation;
use Isleward\Core\Unit\Solved;

/** A top-hung light sheds rain only when it opens outward; a bottom-hung one that opens outward catches it (common practice). */
final class RainIn implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        foreach ($wall->inner ? [] : $wall->asked as $p) {
            if ($p->opening->type === null) {
                continue;
            }
            $unit = Solved::in($wall->design->type($p->opening->type), $p->opening);
            foreach ($unit->lights as $light) {
                $outward = ($light->light->opens === Opens::Outward) === $p->opening->facesOut;
                $operation = $light->light->operation;
                if (($operation === Operation::TopHung && ! $outward) || ($operation === Operation::BottomHung && $outward)) {
                    $findings[] = $wall->finding('unit.rain_in', $p, $light->contour->width(), sprintf('has a %s light %s wide that opens %s: rain runs in',
                        $operation->value, $wall->say($light->contour->width()), $outward ? 'outward' : 'inward'), null);
                    break;
                }
            }
        }

        return $findings;
    }
}
