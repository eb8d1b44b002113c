<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\FaceArea;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Building\Places;
use Isleward\Core\Building\Solved;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Storey;
use Isleward\Core\Drawing\Symbols;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Unit\SolvedLight;
use Isleward\Core\Unit\SolvedUnit;
use Isleward\Core\Unit\Weight;

/** What schedules are made from: every opening, every unit type, or every wall as a row of values with the elements it stands for. */
final readonly class Source
{
    public const NAMES = ['openings', 'types', 'walls'];

    /**
     * @param  array<string, Field>  $fields
     * @param  list<array{values: array<string, string|float|int|null>, elements: list<string>}>  $rows
     */
    private function __construct(public string $name, public array $fields, public array $rows)
    {
    }

    /**
     * @param  array<string, Body>  $bodies
     * @param  list<Frontage>  $frontages
     */
    public static function of(string $name, Design $design, array $bodies, array $frontages): self
    {
        return match ($name) {
            'openings' => new self($name, self::openingFields($design), self::openings($design, $bodies, $frontages)),
            'types' => new self($name, self::typeFields($design), self::types($design)),
            'walls' => new self($name, self::wallFields(), self::walls($design, $bodies, $frontages)),
            default => throw Refusal::because(
                'schedule.source',
                sprintf('There is no schedule of “%s”; there are %s.', mb_substr($name, 0, 30), implode(', ', self::NAMES)),
            ),
        };
    }

    /** @return array<string, Field> */
    private static function openingFields(Design $design): array
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

        return self::keyed($fields);
    }

    /**
     * @param  array<string, Body>  $bodies
     * @param  list<Frontage>  $frontages
     * @return list<array{values: array<string, string|float|int|null>, elements: list<string>}>
     */
    private static function openings(Design $design, array $bodies, array $frontages): array
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
            $solved[Symbols::key($opening)] ??= self::unit(Symbols::solved($design, $opening), $design);
            $unit = $solved[Symbols::key($opening)];
            $area = $placed->area();
            $rows[] = ['elements' => [$opening->id], 'values' => [
                'number' => $opening->mark ?? '', 'mark' => $type->mark ?? 'bare', 'name' => $type->name ?? 'Bare opening',
                'operations' => $unit['operations'],
                'handing' => ($opening->mirrored ? 'as drawn, mirrored' : 'as drawn').($opening->facesOut ? '' : ', outside in'),
                'storey' => $design->storeys->get($opening->storey)->name,
                'frontage' => $frontageOf[$opening->host] ?? '',
                'outline' => $design->outlines[$design->host($opening->host)->outline()]->name ?? '',
                'jambs' => $placed->cut?->jambs->label() ?? '',
                'width' => $opening->width, 'height' => $opening->height, 'sill' => $placed->sill - $floor,
                'head' => $placed->head - $floor, 'sillLevel' => $placed->sill,
                'fromLeft' => $placed->left - (($bodies[$opening->host] ?? null)?->start() ?? 0.0), 'setback' => $opening->setback,
                'count' => 1, 'on:'.$opening->storey => 1,
                'areaEach' => $area, 'area' => $area, 'glassEach' => $unit['glass'], 'glass' => $unit['glass'],
                'weightEach' => $unit['weight'], 'weight' => $unit['weight'],
            ]];
        }

        return $rows;
    }

    /** @return array<string, Field> */
    private static function typeFields(Design $design): array
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

        return self::keyed($fields);
    }

    /** @return list<array{values: array<string, string|float|int|null>, elements: list<string>}> */
    private static function types(Design $design): array
    {
        $placed = [];
        foreach ($design->openings as $opening) {
            if ($opening->type !== null) {
                $placed[$opening->type][] = $opening;
            }
        }
        $rows = [];
        foreach ($design->types as $type) {
            $solved = Solved::of($type, $type->width, $type->height);
            $unit = self::unit($solved, $design);
            $values = [
                'mark' => $type->mark, 'name' => $type->name, 'operations' => $unit['operations'], 'width' => $type->width,
                'height' => $type->height, 'sill' => $type->sill, 'lights' => count($solved->lights),
                'count' => count($placed[$type->id] ?? []), 'areaEach' => $solved->outline->area(), 'glassEach' => $unit['glass'],
                'frameShare' => $solved->frameShare(), 'weightEach' => $unit['weight']];
            foreach ($placed[$type->id] ?? [] as $opening) {
                $values['on:'.$opening->storey] = (int) ($values['on:'.$opening->storey] ?? 0) + 1;
            }
            $rows[] = ['elements' => array_map(static fn ($o): string => $o->id, $placed[$type->id] ?? []), 'values' => $values];
        }

        return $rows;
    }

    /** @return array<string, Field> */
    private static function wallFields(): array
    {
        return self::keyed([
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
            new Field('net', 'Net', Measured::Area, true), new Field('share', 'Opening share', Measured::Share),
            new Field('count', 'Count', Measured::Count, true),
        ]);
    }

    /**
     * Areas over the outer face, corner to corner; overlaps of openings counted once.
     *
     * @param  array<string, Body>  $bodies
     * @param  list<Frontage>  $frontages
     * @return list<array{values: array<string, string|float|int|null>, elements: list<string>}>
     */
    private static function walls(Design $design, array $bodies, array $frontages): array
    {
        $rows = [];
        foreach ($frontages as $frontage) {
            foreach (array_keys($frontage->walls) as $i => $id) {
                $body = $bodies[$id];
                $area = FaceArea::of($design, $body);
                $rows[] = ['elements' => [$id], 'values' => [
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
                    'share' => $area->share(), 'count' => 1,
                ]];
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

    /** @return array{operations: string, glass: float, weight: float} */
    private static function unit(?SolvedUnit $unit, Design $design): array
    {
        if ($unit === null) {
            return ['operations' => '', 'glass' => 0.0, 'weight' => 0.0];
        }
        $words = [];
        foreach ($unit->lights as $light) {
            $words[self::word($light)] = true;
        }

        return [
            'operations' => implode(', ', array_keys($words)),
            'glass' => $unit->glassArea(),
            'weight' => Weight::of($unit, $design->settings->unitRules)['total'],
        ];
    }

    private static function word(SolvedLight $light): string
    {
        return $light->light->glazing->solid
                    && ! $light->light->operation->moves()
                    && $light->louvre === null ? 'solid infill' : $light->light->operation->label();
    }

    /**
     * @param  list<Field>  $fields
     * @return array<string, Field>
     */
    private static function keyed(array $fields): array
    {
        return array_combine(array_map(static fn (Field $f): string => $f->key, $fields), $fields);
    }
}
