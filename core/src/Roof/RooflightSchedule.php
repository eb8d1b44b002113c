<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Design\Design;
use Isleward\Core\Schedule\Contributor;
use Isleward\Core\Schedule\Field;
use Isleward\Core\Schedule\Measured;
use Isleward\Core\Schedule\Row;
use Isleward\Core\Schedule\UnitFigures;

/** Rooflights, row by row: type, size, where they stand in their face, glass and weight. */
final class RooflightSchedule implements Contributor
{
    public function name(): string
    {
        return 'rooflights';
    }

    public function fields(Design $design): array
    {
        return [
            new Field('number', 'No.', Measured::Text), new Field('roof', 'Roof', Measured::Text),
            new Field('over', 'Over', Measured::Text),
            new Field('type', 'Type', Measured::Text), new Field('operations', 'Operation', Measured::Text),
            new Field('width', 'Width', Measured::Length), new Field('height', 'Height', Measured::Length),
            new Field('pitch', 'Pitch', Measured::Text), new Field('foot', 'Level of foot', Measured::Length),
            new Field('head', 'Level of head', Measured::Length), new Field('count', 'Count', Measured::Count, true),
            new Field('area', 'Area', Measured::Area, true), new Field('glass', 'Glass', Measured::Area, true),
            new Field('weight', 'Weight', Measured::Weight, true),
        ];
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $rows = [];
        $names = [];
        foreach ($frontages as $frontage) {
            $names += array_map(static fn (): string => $frontage->name, $frontage->walls);
        }
        foreach (Roofs::in($design)->all() as $roof) {
            $shape = Roofs::in($design)->find($roof);
            foreach ($shape === null ? [] : Rooflights::of($design, $shape) as $placed) {
                if ($placed->index > 0) {
                    continue; // its row is told with the first
                }
                $light = $placed->light;
                $unit = UnitFigures::of($placed->unit, $design);
                $levels = array_map(static fn ($c): float => $c->z, $placed->corners());
                $rows[] = new Row([$roof->id, $light->wall], [
                    'number' => (string) $light->n, 'roof' => $roof->name, 'over' => $names[$light->wall] ?? '',
                    'type' => $placed->type->mark, 'operations' => $unit->operations, 'width' => $light->width, 'height' => $light->height,
                    'pitch' => round(rad2deg((float) $placed->face->side->pitch), 2).'°', 'foot' => min($levels), 'head' => max($levels),
                    'count' => $light->count, 'area' => $light->count * $placed->unit->outline->area(),
                    'glass' => $light->count * $unit->glass, 'weight' => $light->count * $unit->weight,
                ]);
            }
        }

        return $rows;
    }
}
