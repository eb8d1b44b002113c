<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\Design;
use Isleward\Core\Schedule\Contributor;
use Isleward\Core\Schedule\Field;
use Isleward\Core\Schedule\Measured;
use Isleward\Core\Schedule\Row;

/** The joints of frameless glass: between panes where no member stands, and at corners of glass to glass; alike ones have one mark. */
final class JointSchedule implements Contributor
{
    public function name(): string
    {
        return 'joints';
    }

    public function fields(Design $design): array
    {
        return [
            new Field('mark', 'Mark', Measured::Text), new Field('what', 'Joint', Measured::Text), new Field('width', 'Width',
                Measured::Length),
            new Field('length', 'Length', Measured::Length), new Field('count', 'Count', Measured::Count, true),
            new Field('total', 'Total length', Measured::Length, true), new Field('run', 'Run', Measured::Text),
            new Field('type', 'Grid type', Measured::Text), new Field('frontage', 'Frontage', Measured::Text),
            new Field('facing', 'Facing', Measured::Text), new Field('storey', 'Storey', Measured::Text),
        ];
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $found = [];
        foreach (PlacedRun::all($design, $frontages) as $place) {
            foreach ($place->joints() as [$what, $width, $length]) {
                $found[] = [$what, round($width, 2), round($length, 2), $place];
            }
        }
        usort($found, static fn (array $a, array $b): int => [$a[0], -$a[1], -$a[2]] <=> [$b[0], -$b[1], -$b[2]]);
        $marks = $rows = [];
        foreach ($found as [$what, $width, $length, $place]) {
            $mark = $marks["$what $width $length"] ??= 'J'.(count($marks) + 1);
            $rows[] = new Row([$place->element], [
                'mark' => $mark, 'what' => $what, 'width' => $width, 'length' => $length, 'count' => 1, 'total' => $length,
                'run' => $place->run, 'type' => $place->grid->mark(), 'frontage' => $place->frontage->name,
                'facing' => $place->frontage->facing(), 'storey' => $place->storey,
            ]);
        }

        return $rows;
    }
}
