<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Design\Design;
use Isleward\Core\Schedule\Contributor;
use Isleward\Core\Schedule\Field;
use Isleward\Core\Schedule\Measured;
use Isleward\Core\Schedule\Row;

/** The faces of roofs: pitch, area as it lies and in plan. */
final class RoofSchedule implements Contributor
{
    public function name(): string
    {
        return 'roofs';
    }

    public function fields(Design $design): array
    {
        return [
            new Field('roof', 'Roof', Measured::Text), new Field('over', 'Over', Measured::Text),
            new Field('pitch', 'Pitch', Measured::Text), new Field('eaves', 'Eaves', Measured::Length, true),
            new Field('overhang', 'Overhang', Measured::Length), new Field('area', 'Area', Measured::Area, true),
            new Field('plan', 'Area in plan', Measured::Area, true), new Field('volume', 'Volume', Measured::Volume, true),
            new Field('count', 'Count', Measured::Count, true), new Field('finish', 'Finish', Measured::Text),
        ];
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $rows = [];
        $finishes = array_column($design->settings->finishes, 'name', 'id');
        $names = [];
        foreach ($frontages as $frontage) {
            $names += array_map(static fn (): string => $frontage->name, $frontage->walls);
        }
        foreach (Roofs::in($design)->all() as $roof) {
            foreach (Roofs::in($design)->find($roof)?->slopes() ?? [] as $side) {
                $rows[] = new Row([$roof->id, $side->wall], [
                    'roof' => $roof->name, 'over' => $names[$side->wall] ?? '', 'pitch' => round(rad2deg((float) $side->pitch), 2).'°',
                    'eaves' => array_sum(array_map(static fn (array $e): float => $e[0]->distanceTo($e[1]), $side->eaves())),
                    'overhang' => $side->overhang, 'area' => $side->area(),
                    'plan' => $side->planArea(), 'volume' => (new RoofFace($side, $roof->upright()))->volume(), 'count' => 1,
                    'finish' => $finishes[$roof->finish ?? ''] ?? '',
                ]);
            }
        }

        return $rows;
    }
}
