<?php

declare(strict_types=1);

namespace App\Derived;

use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Layer\Field;
use Isleward\Core\Layer\FieldPieces;
use Isleward\Core\Layer\FieldsOn;
use OpenApi\Attributes as OA;

/** Fields of battens as the desk shows them on a wall, and what their battens come to. */
#[OA\Schema(schema: 'Field', required: [
    'id', 'name', 'position', 'outline', 'wall', 'storey', 'opening', 'region', 'angle', 'shape', 'wide', 'deep', 'turn', 'out', 'battens',
    'finish', 'screen', 'cut', 'cell', 'web', 'profile', 'frameWide', 'frameDeep', 'turnLaw',
], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'position', type: 'integer'),
    new OA\Property(property: 'outline', type: 'string'),
    new OA\Property(property: 'wall', type: 'string'),
    new OA\Property(property: 'storey', type: 'string'),
    new OA\Property(property: 'opening', type: 'string', nullable: true, description: 'That it fills; none where its region is drawn'),
    new OA\Property(property: 'region', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'angle', type: 'number', description: 'Degrees from upright'),
    new OA\Property(property: 'shape', type: 'string', enum: ['flat', 'round', 'ellipse', 'tee', 'drawn']),
    new OA\Property(property: 'screen', type: 'string', nullable: true, description: 'Whose cut-out it fills'),
    new OA\Property(property: 'cut', type: 'integer', nullable: true),
    new OA\Property(property: 'cell', type: 'string', nullable: true, description: 'Of curtain wall, of its opening or its wall'),
    new OA\Property(property: 'web', type: 'number', description: 'How thick a tee is'),
    new OA\Property(property: 'profile', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'frameWide', type: 'number', description: 'Of a frame round them; nothing for none'),
    new OA\Property(property: 'frameDeep', type: 'number'),
    new OA\Property(property: 'wide', type: 'number'),
    new OA\Property(property: 'deep', type: 'number'),
    new OA\Property(property: 'turn', type: 'number', description: 'Degrees'),
    new OA\Property(property: 'turnLaw', description: 'That drives it instead, from the first batten to the last', anyOf: [
        new OA\Schema(ref: '#/components/schemas/Law'), new OA\Schema(type: 'null'),
    ]),
    new OA\Property(property: 'out', type: 'number', description: 'Of their backs from the outer face; negative behind it'),
    new OA\Property(property: 'battens', required: ['by', 'size', 'count', 'ends', 'left'], properties: [
        new OA\Property(property: 'by', type: 'string', enum: ['pitch', 'gap', 'count', 'fit']),
        new OA\Property(property: 'size', type: 'number'),
        new OA\Property(property: 'count', type: 'integer'),
        new OA\Property(property: 'ends', type: 'boolean', description: 'A batten lies at both ends; else a gap'),
        new OA\Property(property: 'left', type: 'string', enum: ['shared', 'start', 'end', 'both']),
    ], type: 'object'),
    new OA\Property(property: 'finish', type: 'string', nullable: true),
])]
final class FieldView
{
    /** @return list<array<string, mixed>> as bands come */
    public static function of(Design $design, Frontage $frontage): array
    {
        $out = [];
        foreach (array_keys($frontage->walls) as $wall) {
            foreach (FieldsOn::in($design)->on($wall) as $pieces) {
                $out[] = self::on($pieces);
            }
        }

        return $out;
    }

    /** @return list<array<string, mixed>> the fields that a change touches as they would lie */
    public static function tried(Design $after, Change $change): array
    {
        $out = [];
        foreach ($change->operations as $operation) {
            $pieces = $operation->after instanceof Field ? FieldsOn::in($after)->find($operation->after) : null;
            if ($pieces !== null) {
                $out[] = self::on($pieces);
            }
        }

        return $out;
    }

    /** @return array<string, mixed> */
    private static function on(FieldPieces $pieces): array
    {
        $boxes = $rings = [];
        foreach ($pieces->pieces as $i => $piece) {
            if ($piece->isRectangle()) {
                array_push($boxes, $i, ...array_map(static fn (float $c): float => round($c, 2), $piece->bounds()));
            } else {
                $rings[] = [$i, ...array_map(static fn (float $c): float => round($c, 2), $piece->ring(0.5))];
            }
        }
        foreach ($pieces->frame?->contours() ?? [] as $contour) {
            $rings[] = [-1, ...array_map(static fn (float $c): float => round($c, 2), $contour->ring(0.5))];
        }
        $region = abs($pieces->region->area());

        return [
            'element' => $pieces->field->id, 'host' => $pieces->field->wall, 'what' => 'field', 'boxes' => $boxes, 'rings' => $rings,
            'along' => [], 'curves' => [], 'graph' => [], 'bounds' => $pieces->region->bounds(),
            'said' => [
                'count' => count($pieces->pieces), 'gap' => $pieces->gap, 'total' => array_sum($pieces->lengths),
                'least' => min($pieces->lengths), 'most' => max($pieces->lengths), 'clear' => $pieces->freeArea() / $region,
                'region' => $region,
            ],
        ];
    }
}
