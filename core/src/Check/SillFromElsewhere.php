<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Design\SillDatum;
use Isleward\Core\Geometry\Tolerance;

/**
 * A sill measured from the wall's foot or the site datum on a storey whose floor is neither: it stays behind when storeys change, and
 * copies of it land on one floor.
 */
final class SillFromElsewhere implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        foreach ($wall->asked as $p) {
            $rule = $p->opening->sill;
            $from = match ($rule->from) {
                SillDatum::Foot => $wall->body->foot,
                SillDatum::Datum => 0.0,
                default => null,
            };
            if ($from === null || abs($from - $wall->floor($p)) <= Tolerance::LENGTH) {
                continue;
            }
            $findings[] = $wall->finding(
                'opening.sill_datum', $p, $rule->height, sprintf('has its %s measured %s from %s, not from the floor of %s',
                    $rule->edge->value, $wall->say($rule->height), $rule->from === SillDatum::Foot ? 'the wall’s foot' : 'the site datum',
                    $wall->design->storeys->get($p->opening->storey)->name),
                new Remedy('Measure it from the storey’s floor', 'opening.change', ['id' => $p->opening->id, 'sillFrom' => 'floor']),
                [($p->left + $p->right) / 2, $p->sill]);
        }

        return $findings;
    }
}
