<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Length;
use Isleward\Core\Schedule\Contributor;
use Isleward\Core\Schedule\Field as Column;
use Isleward\Core\Schedule\Measured;
use Isleward\Core\Schedule\Row;

/** Every cut-out of every screen, as it was drawn, whole; those of one shape and size are alike. */
final class CutOutSchedule implements Contributor
{
    public function name(): string
    {
        return 'cut-outs';
    }

    public function fields(Design $design): array
    {
        return [
            new Column('screen', 'Screen', Measured::Text), new Column('number', 'Number', Measured::Count),
            new Column('shape', 'Shape', Measured::Text), new Column('width', 'Width', Measured::Length),
            new Column('height', 'Height', Measured::Length), new Column('area', 'Area', Measured::Area, true),
            new Column('edge', 'Edge', Measured::Length, true), new Column('foot', 'Foot over the floor', Measured::Length),
            new Column('unit', 'Unit', Measured::Text),
            new Column('frontage', 'Frontage', Measured::Text), new Column('storey', 'Storey', Measured::Text),
            new Column('count', 'Count', Measured::Count, true),
        ];
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $rows = [];
        $units = $design->settings->units;
        foreach ($frontages as $frontage) {
            foreach (array_keys($frontage->walls) as $wall) {
                foreach (Screens::in($design)->on($wall) as $face) {
                    $floor = $design->storeys->floor($face->screen->storey);
                    foreach ($face->cuts as $n => $contours) {
                        foreach ($contours as $contour) {
                            [$x0, $y0, $x1, $y1] = $contour->bounds();
                            $rows[] = new Row([$face->screen->id], [
                                'screen' => $face->screen->name, 'number' => $n,
                                'shape' => Length::said(Screens::words($face->screen->part($n)), $units), 'width' => $x1 - $x0,
                                'height' => $y1 - $y0, 'area' => $contour->area(), 'edge' => $contour->perimeter(), 'foot' => $y0 - $floor,
                                'unit' => ($design->types[$face->screen->part($n)->type ?? ''] ?? null)->mark ?? '',
                                'frontage' => $frontage->name, 'storey' => $design->storeys->get($face->screen->storey)->name, 'count' => 1,
                            ]);
                        }
                    }
                }
            }
        }

        return $rows;
    }
}
