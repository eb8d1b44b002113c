<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

use Isleward\Core\Building\Solved;
use Isleward\Core\Design\Contributors;
use Isleward\Core\Design\Design;

/** Every unit type, with how often it is placed: in openings, cells of curtain walls, cut-outs of screens and roofs. */
final class TypeSchedule implements Contributor
{
    public function name(): string
    {
        return 'types';
    }

    public function fields(Design $design): array
    {
        $fields = [
            new Field('mark', 'Mark', Measured::Text), new Field('name', 'Name', Measured::Text),
            new Field('operations', 'Operations', Measured::Text),
            new Field('width', 'Width', Measured::Length), new Field('height', 'Height', Measured::Length),
            new Field('sill', 'Usual sill', Measured::Length), new Field('lights', 'Lights', Measured::Count),
            new Field('count', 'Placed', Measured::Count, true),
        ];
        foreach ($design->storeys->all as $storey) {
            $fields[] = new Field('on:'.$storey->id, 'On '.$storey->name, Measured::Count, true);
        }
        array_push(
            $fields,
            new Field('areaEach', 'Area each', Measured::Area),
            new Field('glassEach', 'Glass each', Measured::Area),
            new Field('frameShare', 'Frame share', Measured::Share),
            new Field('weightEach', 'Weight each', Measured::Weight),
        );

        return $fields;
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $placed = [];
        foreach ($design->openings as $opening) {
            if ($opening->type !== null) {
                $placed[$opening->type][] = [$opening->storey, $opening->id, 1];
            }
        }
        foreach (Contributors::to(UnitSource::class) as $source) {
            foreach ($source->units($design, $frontages) as [$type, $storey, $element, $count]) {
                $placed[$type][] = [$storey, $element, $count];
            }
        }
        $rows = [];
        foreach ($design->types as $type) {
            $solved = Solved::of($type, $type->width, $type->height);
            $unit = UnitFigures::of($solved, $design);
            $values = [
                'mark' => $type->mark, 'name' => $type->name, 'operations' => $unit->operations, 'width' => $type->width,
                'height' => $type->height, 'sill' => $type->sill, 'lights' => count($solved->lights),
                'count' => array_sum(array_column($placed[$type->id] ?? [], 2)), 'areaEach' => $solved->outline->area(),
                'glassEach' => $unit->glass,
                'frameShare' => $solved->frameShare(), 'weightEach' => $unit->weight];
            foreach ($placed[$type->id] ?? [] as [$storey, , $count]) {
                $values['on:'.$storey] = (int) ($values['on:'.$storey] ?? 0) + $count;
            }
            $rows[] = new Row(array_values(array_unique(array_column($placed[$type->id] ?? [], 1))), $values);
        }

        return $rows;
    }
}
