<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\Design;
use Isleward\Core\Schedule\Contributor;
use Isleward\Core\Schedule\Field;
use Isleward\Core\Schedule\Measured;
use Isleward\Core\Schedule\Row;

/** Floor bands, storey by storey. */
final class FloorSchedule implements Contributor
{
    public function name(): string
    {
        return 'floor-bands';
    }

    public function fields(Design $design): array
    {
        return [
            new Field('band', 'Floor band', Measured::Text), new Field('storey', 'Storey', Measured::Text),
            new Field('top', 'Level of its top', Measured::Length), new Field('out', 'Outset', Measured::Length),
            new Field('height', 'Height', Measured::Length), new Field('depth', 'Depth', Measured::Length),
            new Field('edge', 'Edge', Measured::Text), new Field('count', 'Count', Measured::Count, true),
            new Field('length', 'Outer edge', Measured::Length, true), new Field('area', 'Area from above', Measured::Area, true),
            new Field('volume', 'Volume', Measured::Volume, true), new Field('finish', 'Finish', Measured::Text),
        ];
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $rows = [];
        $finishes = array_column($design->settings->finishes, 'name', 'id');
        foreach (FloorBands::in($design)->all() as $band) {
            foreach (FloorBands::in($design)->find($band) as $row) {
                $solid = $row->solid();
                $rows[] = new Row([$band->id], [
                    'band' => $band->name, 'storey' => $design->storeys->get($row->storey)->name, 'top' => $row->top,
                    'out' => round($row->out, 2), 'height' => $band->height, 'depth' => $band->depth, 'edge' => $band->edge->value,
                    'count' => 1, 'length' => $row->length(), 'area' => $solid->area(), 'volume' => $solid->volume(),
                    'finish' => $finishes[$band->finish ?? ''] ?? '',
                ]);
            }
        }

        return $rows;
    }
}
