<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Length;
use Isleward\Core\Schedule\Contributor;
use Isleward\Core\Schedule\Field;
use Isleward\Core\Schedule\Measured;
use Isleward\Core\Schedule\Row;

/** Everything that fills cells of curtain walls, as it is cut; alike ones have one mark. */
final class InfillSchedule implements Contributor
{
    public function name(): string
    {
        return 'infills';
    }

    public function fields(Design $design): array
    {
        return [
            new Field('mark', 'Mark', Measured::Text), new Field('kind', 'Kind', Measured::Text), new Field('what', 'Infill',
                Measured::Text),
            new Field('shape', 'Shape', Measured::Text), new Field('width', 'Width', Measured::Length),
            new Field('height', 'Height', Measured::Length), new Field('radius', 'Radius', Measured::Length),
            new Field('count', 'Count', Measured::Count, true), new Field('areaEach', 'Area each', Measured::Area),
            new Field('area', 'Area', Measured::Area, true), new Field('weightEach', 'Weight each', Measured::Weight),
            new Field('weight', 'Weight', Measured::Weight, true), new Field('volume', 'Volume', Measured::Volume, true),
            new Field('finish', 'Finish', Measured::Text),
            new Field('run', 'Run', Measured::Text), new Field('type', 'Grid type', Measured::Text),
            new Field('frontage', 'Frontage', Measured::Text), new Field('facing', 'Facing', Measured::Text),
            new Field('storey', 'Storey', Measured::Text),
        ];
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $panes = $of = $covers = [];
        foreach (PlacedRun::all($design, $frontages) as $place) {
            foreach ($place->panes as $pane) {
                $panes[] = $pane;
                $of[] = $place;
                $covers[] = $place->grid->rules()->cover;
            }
        }
        $rows = [];
        foreach (RunTakeOff::infillRows($panes, $covers) as [$i, $row]) {
            $place = $of[$i];
            $rows[] = new Row([$place->element], [
                'finish' => FinishOf::infill($row->infill->kind)?->in($place->grid->rules(), $design->settings)->name ?? '',
                'mark' => $row->mark, 'kind' => $row->infill->kind->value,
                'what' => Length::said(HandWords::infill($design, $row->infill), $design->settings->units), 'shape' => $row->shape,
                'width' => round($row->width, 2), 'height' => round($row->height, 2),
                'radius' => $row->radius === null ? null : round($row->radius, 2), 'count' => 1,
                'areaEach' => $row->area, 'area' => $row->area, 'weightEach' => $row->weight, 'weight' => $row->weight,
                'volume' => $row->area * $row->infill->thickness(), 'run' => $place->run, 'type' => $place->grid->mark(),
                'frontage' => $place->frontage->name, 'facing' => $place->frontage->facing(), 'storey' => $place->storey,
            ]);
        }

        return $rows;
    }
}
