<?php

declare(strict_types=1);

namespace App\Derived;

use Isleward\Core\Design\Design;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\FinSchedule;
use Isleward\Core\Layer\Posed;
use Isleward\Core\Layer\Quantity;
use OpenApi\Attributes as OA;

/** What is to be said of each band as a whole, with its laws as they were given. */
#[OA\Schema(schema: 'Law', description: 'What drives a size along a run; the guide says what each kind’s figures are', required: [
    'kind', 'shift', 'mirrored', 'scale',
], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: [
        'constant', 'ramp', 'wave', 'bump', 'steps', 'drawn', 'seeded', 'combined',
    ]),
    new OA\Property(property: 'shift', type: 'number', description: '% of the run'),
    new OA\Property(property: 'mirrored', type: 'boolean'),
    new OA\Property(property: 'scale', type: 'number'),
    new OA\Property(property: 'value', type: 'number'),
    new OA\Property(property: 'from', type: 'number'),
    new OA\Property(property: 'to', type: 'number'),
    new OA\Property(property: 'waves', type: 'number'),
    new OA\Property(property: 'phase', type: 'number', description: '% of a wave'),
    new OA\Property(property: 'place', type: 'number', description: '% of the run'),
    new OA\Property(property: 'width', type: 'number', description: '% of the run'),
    new OA\Property(property: 'sharpness', type: 'number'),
    new OA\Property(property: 'values', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'points', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'smooth', type: 'boolean'),
    new OA\Property(property: 'seed', type: 'integer'),
    new OA\Property(property: 'how', type: 'string', enum: ['sum', 'product', 'greater']),
    new OA\Property(property: 'first', ref: '#/components/schemas/Law'),
    new OA\Property(property: 'second', ref: '#/components/schemas/Law'),
])]
#[OA\Schema(schema: 'Band', required: [
    'id', 'name', 'position', 'outline', 'walls', 'line', 'gap', 'storey', 'foot', 'stand', 'shape', 'profile', 'spaced', 'laws',
    'finish', 'pinned', 'why', 'before', 'count', 'run', 'total', 'area', 'spread', 'corners',
], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'position', type: 'integer'),
    new OA\Property(property: 'outline', type: 'string', nullable: true),
    new OA\Property(property: 'walls', type: 'array', items: new OA\Items(type: 'string'), description: 'Of its outline; none for all'),
    new OA\Property(property: 'line', description: 'Of its own', anyOf: [
        new OA\Schema(type: 'object', additionalProperties: true), new OA\Schema(type: 'null'),
    ]),
    new OA\Property(property: 'gap', type: 'number'),
    new OA\Property(property: 'storey', type: 'string'),
    new OA\Property(property: 'foot', type: 'number', description: 'Over the floor of its storey'),
    new OA\Property(property: 'stand', type: 'string', enum: ['standing', 'lying', 'reaching']),
    new OA\Property(property: 'shape', type: 'string', enum: ['flat', 'round', 'ellipse', 'drawn']),
    new OA\Property(property: 'profile', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'spaced', required: ['by', 'size', 'count', 'start', 'end', 'remainder', 'corners', 'clear'], properties: [
        new OA\Property(property: 'by', type: 'string', enum: ['pitch', 'count', 'greatest']),
        new OA\Property(property: 'size', type: 'number'),
        new OA\Property(property: 'count', type: 'integer'),
        new OA\Property(property: 'start', type: 'number'),
        new OA\Property(property: 'end', type: 'number'),
        new OA\Property(property: 'remainder', type: 'string', enum: ['start', 'end', 'both']),
        new OA\Property(property: 'corners', type: 'string', enum: ['through', 'on', 'clear']),
        new OA\Property(property: 'clear', type: 'number'),
    ], type: 'object'),
    new OA\Property(
        property: 'laws', type: 'object', description: 'By what they drive',
        additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/Law'),
    ),
    new OA\Property(property: 'finish', type: 'string', nullable: true),
    new OA\Property(property: 'pinned', type: 'array', items: new OA\Items(type: 'object', additionalProperties: true)),
    new OA\Property(property: 'why', type: 'string', nullable: true, description: 'Why it cannot stand'),
    new OA\Property(property: 'before', type: 'array', items: new OA\Items(type: 'string'), description: 'Walls it stands before'),
    new OA\Property(property: 'count', type: 'integer'),
    new OA\Property(property: 'run', type: 'number', description: 'Length of its line'),
    new OA\Property(property: 'corners', type: 'integer', description: 'How many corners its line has'),
    new OA\Property(property: 'total', type: 'number', description: 'Length of all pieces'),
    new OA\Property(property: 'area', type: 'number', description: 'Of their sides, mm²'),
    new OA\Property(
        property: 'spread', type: 'object', description: 'Least and greatest of every size',
        additionalProperties: new OA\AdditionalProperties(
            type: 'array', items: new OA\Items(type: 'number'),
        ),
    ),
])]
final class BandsView
{
    /** @return list<array<string, mixed>> */
    public static function all(Design $design): array
    {
        $bands = Bands::in($design);

        return array_map(static function (Band $band) use ($bands): array {
            $fins = $bands->find($band);
            $total = $area = 0.0;
            foreach ($fins->n ?? [] as $i => $n) {
                $posed = Posed::of($fins ?? throw new \LogicException('It stands.'), $i);
                $total += FinSchedule::cutLength($posed);
                $area += $posed->girth();
            }
            $spread = [];
            foreach (Quantity::cases() as $quantity) {
                $spread[$quantity->value] = $fins?->spread($quantity) ?? [0.0, 0.0];
            }

            return [
                ...$band->toArray(), 'why' => $bands->why($band), 'before' => $bands->wallsOf($band), 'count' => $fins?->count() ?? 0,
                'run' => $fins->line->length ?? 0.0, 'corners' => count($fins?->line->corners() ?? []), 'total' => $total,
                'area' => $area, 'spread' => $spread,
            ];
        }, $bands->all());
    }
}
