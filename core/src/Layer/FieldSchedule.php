<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units;
use Isleward\Core\Schedule\Contributor;
use Isleward\Core\Schedule\Field as Column;
use Isleward\Core\Schedule\Measured;
use Isleward\Core\Schedule\Row;

/** Every batten of every field; those of one section and length, to a tenth of a mm, are alike. */
final class FieldSchedule implements Contributor
{
    public function name(): string
    {
        return 'battens';
    }

    public function fields(Design $design): array
    {
        return [
            new Column('field', 'Field', Measured::Text), new Column('section', 'Section', Measured::Text),
            new Column('length', 'Longest side', Measured::Length), new Column('cut', 'Cut', Measured::Text),
            new Column('count', 'Count', Measured::Count, true), new Column('total', 'Total length', Measured::Length, true),
            new Column('area', 'Seen area', Measured::Area, true), new Column('volume', 'Volume', Measured::Volume, true),
            new Column('finish', 'Finish', Measured::Text), new Column('frontage', 'Frontage', Measured::Text),
            new Column('facing', 'Facing', Measured::Text), new Column('storey', 'Storey', Measured::Text),
        ];
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $rows = [];
        $units = $design->settings->units;
        $finishes = array_column($design->settings->finishes, 'name', 'id');
        foreach ($frontages as $frontage) {
            foreach (array_keys($frontage->walls) as $wall) {
                foreach (FieldsOn::in($design)->on($wall) as $pieces) {
                    $field = $pieces->field;
                    $where = [
                        'finish' => $finishes[$field->finish ?? ''] ?? '', 'frontage' => $frontage->name, 'facing' => $frontage->facing(),
                        'storey' => $design->storeys->get($field->storey)->name,
                    ];
                    if ($pieces->frame !== null) {
                        $round = $pieces->frame->outer->perimeter();
                        $rows[] = new Row([$field->id], [
                            'field' => $field->name, 'length' => round($round, 1), 'cut' => 'frame, along its outer edge', 'count' => 1,
                            'section' => Length::format($field->frameWide, $units).' × '.Length::format($field->frameDeep, $units),
                            'total' => $round, 'area' => $pieces->frame->area(), 'volume' => $pieces->frame->area() * $field->frameDeep,
                        ] + $where);
                    }
                    foreach ($pieces->pieces as $i => $piece) {
                        $square = $piece->turned(-deg2rad($field->angle), new Vec2(0.0, 0.0))->isRectangle();
                        $rows[] = new Row([$field->id], [
                            'field' => $field->name, 'section' => self::section($field, $units),
                            'length' => round($pieces->lengths[$i], 1), 'count' => 1,
                            'cut' => ($square ? 'square' : 'to the region').($pieces->isBent() ? ', bent' : ''),
                            'total' => $pieces->lengths[$i], 'area' => abs($piece->area()),
                            'volume' => FieldSolids::batten($pieces, $i)->volume(),
                        ] + $where);
                    }
                }
            }
        }

        return $rows;
    }

    private static function section(Field $field, Units $units): string
    {
        $wide = Length::format($field->wide, $units);
        $size = $wide.' × '.Length::format($field->deep, $units);

        return match ($field->shape) {
            BattenShape::Round => "Ø $wide",
            BattenShape::Flat => $size,
            BattenShape::Tee => 'T '.$size.' × '.Length::format($field->web, $units),
            BattenShape::Ellipse, BattenShape::Drawn => $field->shape->value.' '.$size,
        };
    }
}
