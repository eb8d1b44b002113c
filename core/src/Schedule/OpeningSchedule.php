<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Storey;
use Isleward\Core\Drawing\Symbols;

/** Every opening. */
final class OpeningSchedule implements Contributor
{
    public function name(): string
    {
        return 'openings';
    }

    public function fields(Design $design): array
    {
        $fields = [
            new Field('number', 'Opening mark', Measured::Text), new Field('mark', 'Mark', Measured::Text),
            new Field('name', 'Name', Measured::Text),
            new Field('operations', 'Operations', Measured::Text), new Field('handing', 'Handing', Measured::Text),
            new Field(
                'storey',
                'Storey',
                Measured::Text,
                order: array_flip(array_map(static fn (Storey $s): string => $s->name, $design->storeys->all)),
            ),
            new Field('frontage', 'Frontage', Measured::Text), new Field('outline', 'Outline', Measured::Text),
            new Field('width', 'Width', Measured::Length), new Field('height', 'Height', Measured::Length),
            new Field('jambs', 'In a curved wall', Measured::Text),
            new Field('sill', 'Sill over floor', Measured::Length), new Field('head', 'Head over floor', Measured::Length),
            new Field('sillLevel', 'Sill level', Measured::Length),
            new Field('fromLeft', 'From left end', Measured::Length), new Field('setback', 'Set back', Measured::Length),
            new Field('count', 'Count', Measured::Count, true),
        ];
        foreach ($design->storeys->all as $storey) {
            $fields[] = new Field('on:'.$storey->id, 'On '.$storey->name, Measured::Count, true);
        }
        array_push(
            $fields, new Field('areaEach', 'Area each', Measured::Area), new Field('area', 'Area', Measured::Area, true),
            new Field('glassEach', 'Glass each', Measured::Area), new Field('glass', 'Glass', Measured::Area, true),
            new Field('weightEach', 'Weight each', Measured::Weight), new Field('weight', 'Weight', Measured::Weight, true));

        return $fields;
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $frontageOf = $solved = [];
        foreach ($frontages as $frontage) {
            foreach ($frontage->walls as $wall => $u) {
                $frontageOf[$wall] = $frontage->name;
            }
        }
        $rows = [];
        foreach ($design->openings as $opening) {
            $placed = Places::in($design)->of($opening);
            $floor = $design->storeys->floor($opening->storey);
            $type = $opening->type === null ? null : $design->type($opening->type);
            $solved[Symbols::key($opening)] ??= UnitFigures::of(Symbols::solved($design, $opening), $design);
            $unit = $solved[Symbols::key($opening)];
            $area = $placed->area();
            $rows[] = new Row([$opening->id], [
                'number' => $opening->mark ?? '', 'mark' => $type->mark ?? ($opening->isBare() ? 'bare' : $design->label($opening)),
                'name' => $type->name ?? ($opening->curtain === null ? 'Bare opening' : $design->grid($opening->curtain->grid)->name()),
                'operations' => $unit->operations,
                'handing' => ($opening->mirrored ? 'as drawn, mirrored' : 'as drawn').($opening->facesOut ? '' : ', outside in'),
                'storey' => $design->storeys->get($opening->storey)->name,
                'frontage' => $frontageOf[$opening->host] ?? '',
                'outline' => $design->outlines[$design->host($opening->host)->outline()]->name ?? '',
                'jambs' => $placed->cut?->jambs->label() ?? '',
                'width' => $opening->width, 'height' => $opening->height, 'sill' => $placed->sill - $floor,
                'head' => $placed->head - $floor, 'sillLevel' => $placed->sill,
                'fromLeft' => $placed->left - (($bodies[$opening->host] ?? null)?->start() ?? 0.0), 'setback' => $opening->setback,
                'count' => 1, 'on:'.$opening->storey => 1,
                'areaEach' => $area, 'area' => $area, 'glassEach' => $unit->glass, 'glass' => $unit->glass,
                'weightEach' => $unit->weight, 'weight' => $unit->weight,
            ]);
        }

        return $rows;
    }
}
