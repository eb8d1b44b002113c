<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Design\Design;
use Isleward\Core\Schedule\Contributor;
use Isleward\Core\Schedule\Field;
use Isleward\Core\Schedule\Measured;
use Isleward\Core\Schedule\Row;

/** Eaves, ridges, hips, valleys and verges: their lengths as they lie and in plan, and how steep they are. */
final class RoofLineSchedule implements Contributor
{
    public function name(): string
    {
        return 'roof-lines';
    }

    public function fields(Design $design): array
    {
        return [
            new Field('roof', 'Roof', Measured::Text), new Field('line', 'Line', Measured::Text),
            new Field('length', 'Length', Measured::Length, true), new Field('plan', 'In plan', Measured::Length, true),
            new Field('slope', 'Slope', Measured::Text), new Field('count', 'Count', Measured::Count, true),
        ];
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $rows = [];
        foreach (Roofs::in($design)->all() as $roof) {
            foreach (Roofs::in($design)->find($roof)->lines ?? [] as [$what, $p, $q]) {
                $plan = hypot($q[0] - $p[0], $q[1] - $p[1]);
                $rows[] = new Row([$roof->id], [
                    'roof' => $roof->name, 'line' => $what->value, 'length' => hypot($plan, $q[2] - $p[2]), 'plan' => $plan,
                    'slope' => round(rad2deg(atan2(abs($q[2] - $p[2]), $plan)), 2).'°', 'count' => 1,
                ]);
            }
        }

        return $rows;
    }
}
