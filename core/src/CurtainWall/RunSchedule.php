<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\Design;
use Isleward\Core\Schedule\Contributor;
use Isleward\Core\Schedule\Field;
use Isleward\Core\Schedule\Measured;
use Isleward\Core\Schedule\Row;

/** Every stretch of curtain wall, and every one that is let in: what it shows of glass, of what is opaque and of members. */
final class RunSchedule implements Contributor
{
    public function name(): string
    {
        return 'runs';
    }

    public function fields(Design $design): array
    {
        return [
            new Field('run', 'Run', Measured::Text), new Field('type', 'Grid type', Measured::Text),
            new Field('frontage', 'Frontage', Measured::Text), new Field('facing', 'Facing', Measured::Text),
            new Field('storey', 'From storey', Measured::Text), new Field('length', 'Length', Measured::Length, true),
            new Field('height', 'Height', Measured::Length), new Field('face', 'Face', Measured::Area, true),
            new Field('glass', 'Glass', Measured::Area, true), new Field('opaque', 'Opaque', Measured::Area, true),
            new Field('open', 'Open', Measured::Area, true), new Field('frame', 'Frame', Measured::Area, true),
            new Field('glassShare', 'Glass share', Measured::Share), new Field('opaqueShare', 'Opaque share', Measured::Share),
            new Field('frameShare', 'Frame share', Measured::Share), new Field('cells', 'Cells', Measured::Count, true),
            new Field('members', 'Members', Measured::Count, true), new Field('count', 'Count', Measured::Count, true),
        ];
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        return array_map(static function (PlacedRun $place): Row {
            $shares = Shares::over($place->panes, $place->face);

            return new Row([$place->element], [
                'run' => $place->run, 'type' => $place->grid->mark(), 'frontage' => $place->frontage->name,
                'facing' => $place->frontage->facing(), 'storey' => $place->storey, 'length' => round($place->length, 2),
                'height' => round($place->height, 2), 'face' => $place->face, 'glass' => $shares->glass, 'opaque' => $shares->opaque,
                'open' => $shares->open, 'frame' => $shares->frame, 'glassShare' => $shares->glass / $place->face,
                'opaqueShare' => $shares->opaque / $place->face, 'frameShare' => $shares->frame / $place->face,
                'cells' => count($place->panes), 'members' => count($place->members), 'count' => 1,
            ]);
        }, PlacedRun::all($design, $frontages));
    }
}
