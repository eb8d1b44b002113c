<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Along;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Wall;

/** Openings and upright lines of a wall whose ends move along it, left where they stand, each measured the way it was. */
final class InPlace
{
    /** @return list<Operation> */
    public static function along(Design $design, Design $then, Wall $was, Wall $now): array
    {
        [$before, $after] = [Places::in($design), Places::in($then)];
        $u = static fn (float $u): float => $now->surface()->u($was->surface()->inPlan($u));
        $operations = [];
        foreach ($design->openingsOf($was->id) as $opening) {
            if ($opening->position->along->ref === null) {
                $rule = $after->positionAt($opening->position, $now, $opening, $u($before->of($opening)->left));
                $operations[] = Operation::alter($opening, $opening->withPosition($rule));
            }
        }
        foreach ($design->lines as $line) {
            if ($line->host === $was->id && $line->rule instanceof Along && $line->rule->ref === null) {
                $rule = $after->alongAt($line->rule, $now, $u($before->line($line)));
                $operations[] = Operation::alter($line, $line->withRule($rule));
            }
        }

        return $operations;
    }
}
