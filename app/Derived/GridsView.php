<?php

declare(strict_types=1);

namespace App\Derived;

use App\Assembly\Ties;
use App\Models\Project;
use Isleward\Core\CurtainWall\FaceShapes;
use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\CurtainWall\Typical;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Pattern;
use Isleward\Core\Design\Tie;
use Isleward\Core\Design\Wall;
use Isleward\Core\Drawing\Drawing;
use OpenApi\Attributes as OA;

/** The grid types of a project as its rack shows them, and its runs. */
#[OA\Schema(schema: 'Alignment', description: 'What lines are in line with', required: ['walls', 'to'], properties: [
    new OA\Property(property: 'walls', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'to', type: 'string', enum: ['lines', 'sides', 'middles', 'grid']),
])]
#[OA\Schema(schema: 'Curtain', description: 'What makes a stretch, or fills an opening, with curtain wall', required: [
    'grid', 'lean', 'foot', 'height', 'corner', 'faceted',
], properties: [
    new OA\Property(property: 'grid', type: 'string'),
    new OA\Property(property: 'lean', type: 'number', description: 'Degrees from upright, inward'),
    new OA\Property(property: 'foot', type: 'number', description: 'Over the floor of its storey'),
    new OA\Property(property: 'height', type: 'number', nullable: true, description: 'Of its own'),
    new OA\Property(property: 'corner', description: 'What stands at its left end', anyOf: [
        new OA\Schema(type: 'object', additionalProperties: true),
        new OA\Schema(type: 'null'),
    ]),
    new OA\Property(property: 'faceted', type: 'boolean'),
    new OA\Property(property: 'footFrom', type: 'string', enum: ['datum'], description: 'Its foot is measured from the datum'),
    new OA\Property(property: 'square', type: 'boolean', description: 'Foot and head are cut square to a leaning face; else level'),
    new OA\Property(property: 'bays', ref: '#/components/schemas/Alignment', description: 'None as its type sets them out'),
    new OA\Property(property: 'rows', ref: '#/components/schemas/Alignment'),
])]
#[OA\Schema(schema: 'RackGrid', required: ['id', 'mark', 'name', 'depth', 'hash', 'runs', 'openings', 'sample', 'corner', 'rules'],
    properties: [
        new OA\Property(property: 'id', type: 'string'),
        new OA\Property(property: 'mark', type: 'string'),
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'depth', type: 'number', description: 'Behind its glass line'),
        new OA\Property(property: 'hash', type: 'string', description: 'Equal for equal rules'),
        new OA\Property(property: 'runs', type: 'integer', description: 'In how many runs it stands'),
        new OA\Property(property: 'openings', type: 'integer', description: 'How many openings it fills'),
        new OA\Property(property: 'corner', type: 'object', additionalProperties: true),
        new OA\Property(property: 'rules', type: 'object', additionalProperties: true),
        new OA\Property(property: 'sample', description: 'A small stretch of it; null where no size fits it', anyOf: [
            new OA\Schema(required: ['width', 'height', 'shapes'], properties: [
                new OA\Property(property: 'width', type: 'number'),
                new OA\Property(property: 'height', type: 'number'),
                new OA\Property(property: 'shapes', type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
            ], type: 'object'),
            new OA\Schema(type: 'null'),
        ]),
    ])]
#[OA\Schema(schema: 'RunPlace', required: ['id', 'walls', 'length'], properties: [
    new OA\Property(property: 'id', type: 'string', description: 'Of its first stretch'),
    new OA\Property(property: 'walls', type: 'array', items: new OA\Items(type: 'string'), description: 'Its stretches in order'),
    new OA\Property(property: 'length', type: 'number'),
])]
final class GridsView
{
    /** @return list<array<string, mixed>> */
    public static function of(Project $project, Design $design): array
    {
        $grids = array_values($design->grids);
        usort($grids, static fn (Pattern $a, Pattern $b): int => $a->position() <=> $b->position());
        $ties = new Ties;

        return array_map(static function (Pattern $p) use ($project, $design, $ties): array {
            $type = Runs::type($design, $p->id());

            return [
                ...$type->toArray(), 'depth' => $type->depth(), 'hash' => substr(hash('xxh128', serialize($type->toArray())), 0, 12),
                'runs' => count(Runs::in($design)->chainsBy($p->id())),
                'openings' => count($ties->naming($project, [$p->id()], Tie::MadeOf, Kind::Opening)),
                'sample' => self::sample($design, $type),
            ];
        }, $grids);
    }

    /** @return list<array<string, mixed>> */
    public static function runs(Design $design): array
    {
        return array_map(static fn (array $walls): array => [
            'id' => $walls[0]->id,
            'walls' => array_map(static fn (Wall $w): string => $w->id, $walls),
            'length' => array_sum(array_map(static fn (Wall $w): float => $w->face()->length(), $walls)),
        ], Runs::in($design)->chains());
    }

    /** @return array<string, mixed>|null */
    private static function sample(Design $design, GridType $type): ?array
    {
        $small = Typical::small($type->rules());

        return $small === null ? null : [
            'width' => $small->width,
            'height' => $small->height,
            'shapes' => Drawing::plain(FaceShapes::of($design, $small->stretch->drawn())),
        ];
    }
}
