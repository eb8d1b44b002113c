<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\Design;
use Isleward\Core\Schedule\Contributor;
use Isleward\Core\Schedule\Field as Column;
use Isleward\Core\Schedule\Measured;
use Isleward\Core\Schedule\Row;

/** Every screen before every wall: how large it is, how much is cut out of it, what it is made of. */
final class ScreenSchedule implements Contributor
{
    public function name(): string
    {
        return 'screens';
    }

    public function fields(Design $design): array
    {
        return [
            new Column('screen', 'Screen', Measured::Text), new Column('width', 'Width', Measured::Length),
            new Column('height', 'Height', Measured::Length), new Column('area', 'Area', Measured::Area, true),
            new Column('cuts', 'Cut-outs', Measured::Count, true), new Column('thick', 'Thickness', Measured::Length),
            new Column('gap', 'Before the wall', Measured::Length), new Column('returns', 'Closed back', Measured::Area, true),
            new Column('volume', 'Volume', Measured::Volume, true), new Column('finish', 'Finish', Measured::Text),
            new Column('frontage', 'Frontage', Measured::Text), new Column('facing', 'Facing', Measured::Text),
            new Column('storey', 'Storey', Measured::Text), new Column('count', 'Count', Measured::Count, true),
        ];
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $rows = [];
        $finishes = array_column($design->settings->finishes, 'name', 'id');
        foreach ($frontages as $frontage) {
            foreach (array_keys($frontage->walls) as $wall) {
                foreach (Screens::in($design)->on($wall) as $face) {
                    $screen = $face->screen;
                    [$x0, $y0, $x1, $y1] = $face->bounds();
                    $back = ScreenRegion::area($face->returns()) * ($screen->gap - $face->behind) / $screen->thick;
                    $rows[] = new Row([$screen->id], [
                        'screen' => $screen->name, 'width' => $x1 - $x0, 'height' => $y1 - $y0, 'area' => $face->area(),
                        'cuts' => count($face->cuts), 'thick' => $screen->thick, 'gap' => $screen->gap, 'returns' => $back,
                        'volume' => $face->volume(), 'finish' => $finishes[$screen->finish ?? ''] ?? '', 'frontage' => $frontage->name,
                        'facing' => $frontage->facing(), 'storey' => $design->storeys->get($screen->storey)->name, 'count' => 1,
                    ]);
                }
            }
        }

        return $rows;
    }
}
