<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

use Isleward\Core\Building\FaceArea;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Building\WallSolid;
use Isleward\Core\Design\Design;

/** Every wall: areas over the outer face, corner to corner; overlaps of openings counted once. */
final class WallSchedule implements Contributor
{
    public function name(): string
    {
        return 'walls';
    }

    public function fields(Design $design): array
    {
        return [
            new Field('name', 'Wall', Measured::Text), new Field('outline', 'Outline', Measured::Text),
            new Field('frontage', 'Frontage', Measured::Text), new Field('facing', 'Facing', Measured::Text),
            new Field('bearing', 'Bearing', Measured::Text),
            new Field('place', 'Outer or inner', Measured::Text), new Field('from', 'From storey', Measured::Text),
            new Field('to', 'To storey', Measured::Text),
            new Field('length', 'Length', Measured::Length, true),
            new Field('centreLine', 'Centre line', Measured::Length, true), new Field('radius', 'Radius', Measured::Length),
            new Field('height', 'Height', Measured::Length),
            new Field('thickness', 'Thickness', Measured::Length), new Field('openings', 'Openings', Measured::Count, true),
            new Field('gross', 'Gross', Measured::Area, true), new Field('cutOut', 'Openings', Measured::Area, true),
            new Field('net', 'Net', Measured::Area, true), new Field('volume', 'Volume', Measured::Volume, true),
            new Field('share', 'Opening share', Measured::Share),
            new Field('count', 'Count', Measured::Count, true),
        ];
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $rows = [];
        foreach ($frontages as $frontage) {
            foreach (array_keys($frontage->walls) as $i => $id) {
                $body = $bodies[$id];
                if ($body->host->curtain() !== null) {
                    continue; // it is of the schedule of runs
                }
                $area = FaceArea::of($design, $body);
                $rows[] = new Row([$id], [
                    'name' => $frontage->name.($i > 0 ? ', part '.($i + 1) : ''),
                    'outline' => $design->outlines[$body->host->outline()]->name ?? '', 'frontage' => $frontage->name,
                    'facing' => $frontage->facing(), 'bearing' => self::bearing($frontage),
                    'place' => $frontage->inner ? 'inner' : 'outer', 'from' => $design->storeys->get($body->host->base())->name,
                    'to' => $design->storeys->get($body->host->top())->name,
                    'length' => $body->length,
                    'centreLine' => $body->surface->lengthAt(0.0, $body->length, $body->host->depth() / 2),
                    'radius' => $body->surface->isFlat() ? null : $body->surface->radius(), 'height' => $body->height(),
                    'thickness' => $body->host->depth(),
                    'openings' => $area->openings, 'gross' => $area->gross, 'cutOut' => $area->cutOut(), 'net' => $area->net,
                    'share' => $area->share(), 'volume' => WallSolid::of($design, $body)->volume(), 'count' => 1,
                ]);
            }
        }

        return $rows;
    }

    /** Degrees clockwise from north; of a curved one from its left end to its right end. */
    private static function bearing(Frontage $frontage): string
    {
        return implode(' to ', array_map(
            static fn (float $b): string => (round($b) % 360).'°',
            $frontage->bearings ?? [$frontage->bearing],
        ));
    }
}
