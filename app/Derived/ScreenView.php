<?php

declare(strict_types=1);

namespace App\Derived;

use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Layer\ScreenFace;
use Isleward\Core\Layer\ScreenPart;
use Isleward\Core\Layer\ScreenPlaces;
use Isleward\Core\Layer\Screens;
use Isleward\Core\Layer\ScreensDrawn;
use Isleward\Core\Measure\Length;
use OpenApi\Attributes as OA;

/** Screens as the desk shows them: as they were put in, and before each wall. */
#[OA\Schema(schema: 'ScreenShape', required: ['form'], properties: [
    new OA\Property(property: 'form', type: 'string', enum: ['whole', 'rectangle', 'round', 'polygon', 'openings']),
    new OA\Property(property: 'u', type: 'number', description: 'Of its left, from the wall’s left end'),
    new OA\Property(property: 'v', type: 'number', description: 'Of its foot, over the floor'),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'points', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')),
        description: 'u, v and the rise of the side that leads on from there'),
    new OA\Property(property: 'radius', type: 'number'),
    new OA\Property(property: 'grow', type: 'number'),
    new OA\Property(property: 'around', type: 'array', items: new OA\Items(type: 'string'), description: 'Openings'),
])]
#[OA\Schema(schema: 'ScreenPart', required: ['n', 'cut', 'wall', 'shape', 'type', 'mirrored', 'position', 'sill', 'says'], properties: [
    new OA\Property(property: 'n', type: 'integer'),
    new OA\Property(property: 'cut', type: 'boolean'),
    new OA\Property(property: 'wall', type: 'string', nullable: true),
    new OA\Property(property: 'shape', ref: '#/components/schemas/ScreenShape'),
    new OA\Property(property: 'type', type: 'string', nullable: true, description: 'Of the unit that fills a cut-out'),
    new OA\Property(property: 'mirrored', type: 'boolean'),
    new OA\Property(property: 'position', ref: '#/components/schemas/Position', nullable: true,
        description: 'By which it lies along its wall; null where its shape says it'),
    new OA\Property(property: 'sill', ref: '#/components/schemas/Sill', nullable: true,
        description: 'By which it has its level; null where its shape says it'),
    new OA\Property(property: 'says', type: 'string'),
])]
#[OA\Schema(schema: 'Screen', required: [
    'id', 'name', 'position', 'outline', 'walls', 'storey', 'gap', 'thick', 'parts', 'edges', 'reveals', 'finish', 'before', 'area',
], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'position', type: 'integer'),
    new OA\Property(property: 'outline', type: 'string'),
    new OA\Property(property: 'walls', type: 'array', items: new OA\Items(type: 'string'), description: 'None for all of the outline'),
    new OA\Property(property: 'storey', type: 'string'),
    new OA\Property(property: 'gap', type: 'number'),
    new OA\Property(property: 'thick', type: 'number'),
    new OA\Property(property: 'parts', type: 'array', items: new OA\Items(ref: '#/components/schemas/ScreenPart')),
    new OA\Property(property: 'edges', type: 'boolean', description: 'Its edges are closed back'),
    new OA\Property(property: 'reveals', type: 'boolean', description: 'Its cut-outs are closed back'),
    new OA\Property(property: 'finish', type: 'string', nullable: true),
    new OA\Property(property: 'before', type: 'array', items: new OA\Items(type: 'string'), description: 'Walls it stands before'),
    new OA\Property(
        property: 'area', type: 'number', nullable: true,
        description: 'Where no openings are followed, mm²; null where it cannot stand',
    ),
])]
#[OA\Schema(schema: 'PlacedScreen', required: ['shapes', 'units', 'parts', 'area'], properties: [
    new OA\Property(property: 'shapes', type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape'),
        description: 'x from the wall’s left end, y the level'),
    new OA\Property(property: 'units', type: 'array', description: 'In its cut-outs',
        items: new OA\Items(ref: '#/components/schemas/Shape')),
    new OA\Property(property: 'parts', type: 'array', items: new OA\Items(required: ['n', 'cut', 'ring'], properties: [
        new OA\Property(property: 'n', type: 'integer'),
        new OA\Property(property: 'cut', type: 'boolean'),
        new OA\Property(property: 'ring', type: 'array', items: new OA\Items(type: 'number')),
    ], type: 'object')),
    new OA\Property(property: 'area', type: 'number', description: 'mm²'),
])]
final class ScreenView
{
    /** @return list<array<string, mixed>> */
    public static function all(Design $design): array
    {
        $screens = Screens::in($design);
        $units = $design->settings->units;

        return array_map(static fn (Screen $s): array => [
            ...$s->toArray(),
            'parts' => array_map(static fn (ScreenPart $p): array => [
                ...$p->toArray(), 'says' => Length::said(Screens::words($p), $units),
            ], $s->parts),
            'before' => $screens->wallsOf($s), 'area' => $screens->find($s)?->area(),
        ], $screens->all());
    }

    /** @return list<array<string, mixed>> as bands come */
    public static function of(Design $design, Frontage $frontage): array
    {
        $out = [];
        foreach (array_keys($frontage->walls) as $wall) {
            foreach (Screens::in($design)->on($wall) as $face) {
                $out[] = self::before($design, $face);
            }
        }

        return $out;
    }

    /** @return list<array<string, mixed>> the screens that a change touches as they would stand */
    public static function tried(Design $after, Change $change): array
    {
        $out = [];
        foreach ($change->operations as $operation) {
            $stands = $operation->after instanceof Screen ? Screens::in($after)->find($operation->after) : null;
            foreach ($stands->faces ?? [] as $face) {
                $out[] = self::before($after, $face);
            }
        }

        return $out;
    }

    /** @return array<string, mixed> */
    private static function before(Design $design, ScreenFace $face): array
    {
        $floor = $design->storeys->floor($face->screen->storey);
        $parts = [];
        foreach ($face->screen->parts as $part) {
            $contours = $face->cuts[$part->n] ?? ($part->wall === $face->wall
                ? [ScreenPlaces::shape($design, $face->screen, $part)->contour()->shifted(0.0, $floor)] : []);
            foreach ($contours as $contour) {
                $ring = array_map(static fn (float $c): float => round($c, 2), $contour->ring(0.5));
                $parts[] = ['n' => $part->n, 'cut' => $part->cut, 'ring' => $ring];
            }
        }

        return [
            'element' => $face->screen->id, 'host' => $face->wall, 'what' => 'screen', 'boxes' => [], 'rings' => [], 'along' => [],
            'curves' => [], 'graph' => [], 'bounds' => $face->bounds(),
            'screen' => [
                'shapes' => array_map(static fn ($p): array => Shape::profile(Layer::Screen, $p)->toArray(), $face->region),
                'units' => array_map(static fn (Shape $s): array => $s->toArray(), ScreensDrawn::units($face)),
                'parts' => $parts, 'area' => $face->area(),
            ],
        ];
    }
}
