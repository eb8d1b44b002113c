<?php

declare(strict_types=1);

namespace App\Demo;

use App\Models\Wall;

/**
 * The demo's curtain walls, north of the house: a lobby with two shopfronts let into its front, mirrored about its middle, and a glass
 * partition within; a prow of two leaning sides with free members; a sea gallery bent to a radius of 9 m; and a louvred band round a plant
 * room on the lobby's roof.
 */
final readonly class GlassHouses
{
    /**
     * @param  \Closure(string, array<string, mixed>): list<string>  $run  an edit, answered with what it chose
     * @param  array<string, string>  $storeys  name → id
     * @param  array<string, string>  $types  mark → id
     */
    public function __construct(private \Closure $run, private array $storeys, private array $types)
    {
    }

    public function make(): void
    {
        $shopfront = $this->grid('shopfront with doors', [
            'bays' => ['by' => 'greatest', 'size' => 1250],
            'rows' => ['by' => 'sizes', 'sizes' => [2300], 'after' => 'rest'],
        ], 60, 120);
        $prow = $this->grid('leaning glass', [
            'bays' => ['by' => 'module', 'size' => 900, 'remainder' => 'both'],
            'rows' => ['by' => 'module', 'size' => 1200, 'remainder' => 'end'],
        ], 50, 120, perimeter: false, corner: ['kind' => 'post', 'profile' => ['shape' => 'rectangle', 'face' => 90, 'depth' => 180]]);
        $gallery = $this->grid('storey high, bent', [
            'bays' => ['by' => 'module', 'size' => 1180, 'remainder' => 'both'],
            'rows' => ['by' => 'sizes', 'sizes' => [900], 'after' => 'rest', 'perStorey' => true],
            'infills' => [
                ['where' => 'everywhere', 'infill' => ['kind' => 'vision', 'layers' => [6, 16, 6]]],
                ['where' => 'storey-rows', 'numbers' => [1], 'infill' => ['kind' => 'spandrel', 'layers' => [6, 16, 6]]],
            ],
        ], 55, 130);
        $louvres = $this->grid('louvred band', [
            'bays' => ['by' => 'count', 'count' => 4],
            'rows' => ['by' => 'count', 'count' => 1],
            'infills' => [['where' => 'everywhere', 'infill' => ['kind' => 'louvre', 'layers' => [50], 'density' => 120]]],
        ], 80, 140);
        $this->lobby($shopfront, $louvres);
        $this->prow($prow);
        $this->gallery($gallery);
    }

    private function lobby(string $shopfront, string $louvres): void
    {
        $walls = ($this->run)('outline.draw', [
            'name' => 'Lobby', 'points' => [[1000, 16000], [13000, 16000], [13000, 23000], [1000, 23000]], 'thickness' => 300,
            'base' => $this->storeys['Quay'], 'top' => $this->storeys['Quay'],
        ]);
        $front = $this->wallsOf($walls[0])[0];
        ($this->run)('roof.add', [
            'name' => 'Lobby roof', 'outline' => Wall::query()->whereKey($front)->value('outline_id'), 'pitch' => 22, 'overhang' => 450,
            'thick' => 240,
        ]);
        $opening = ($this->run)('opening.place', [
            'host' => $front, 'storey' => $this->storeys['Quay'], 'type' => null, 'grid' => $shopfront, 'width' => 4400, 'height' => 3200,
            'position' => ['from' => 'left', 'value' => 900, 'to' => 'near'], 'sill' => ['from' => 'floor', 'height' => 0],
        ]);
        ($this->run)('curtain.hand', ['ids' => $opening, 'infills' => [
            ['left' => '1', 'foot' => '0', 'infill' => ['kind' => 'door', 'type' => $this->types['D-01']]],
        ]]);
        ($this->run)('opening.mirror', ['ids' => $opening, 'about' => 'middle', 'copy' => true]);
        ($this->run)('outline.draw', [
            'name' => 'Glass partition', 'points' => [[7000, 16300], [7000, 22700]], 'closed' => false, 'inner' => true,
            'grid' => $shopfront, 'base' => $this->storeys['Quay'], 'top' => $this->storeys['Quay'],
        ]);
        ($this->run)('outline.draw', [
            'name' => 'Plant screen', 'points' => [[3000, 18000], [11000, 18000], [11000, 22000], [3000, 22000]],
            'grid' => $louvres, 'height' => 1800, 'base' => $this->storeys['Charts'], 'top' => $this->storeys['Charts'],
        ]);
    }

    private function prow(string $grid): void
    {
        $stretches = ($this->run)('outline.draw', [
            'name' => 'Prow', 'points' => [[19000, 22000], [22600, 16600], [26200, 22000]], 'closed' => false,
            'grid' => $grid, 'height' => 4800, 'base' => $this->storeys['Quay'], 'top' => $this->storeys['Charts'],
        ]);
        ($this->run)('curtain.set', ['walls' => [$stretches[0]], 'lean' => 18]);
        ($this->run)('curtain.set', ['walls' => [$stretches[1]], 'lean' => 10]);
        ($this->run)('curtain.hand', ['ids' => [$stretches[0]], 'free' => [
            ['fromU' => 1500, 'fromV' => 1200, 'toU' => 2400, 'toV' => 3600],
        ]]);
        ($this->run)('curtain.hand', ['ids' => [$stretches[0]], 'mirror' => ['places' => [0]]]);
    }

    private function gallery(string $grid): void
    {
        $arc = ($this->run)('outline.draw', [
            'name' => 'Sea gallery', 'points' => [[34000, 20000], ['x' => 46500, 'y' => 20000, 'radius' => 9000]], 'closed' => false,
            'grid' => $grid, 'base' => $this->storeys['Quay'], 'top' => $this->storeys['Charts'],
        ]);
        ($this->run)('curtain.hand', ['ids' => $arc, 'lines' => [
            ['axis' => 'upright', 'done' => 'moved', 'line' => '4', 'from' => 'before', 'at' => 1750],
        ]]);
    }

    /**
     * @param  array<string, mixed>  $rules
     * @param  array<string, mixed>|null  $corner
     */
    private function grid(string $name, array $rules, float $face, float $depth, bool $perimeter = true, ?array $corner = null): string
    {
        $member = ['shape' => 'rectangle', 'face' => $face, 'depth' => $depth];
        $edge = $perimeter ? $member : null;

        return ($this->run)('grid.add', ['name' => $name, ...($corner === null ? [] : ['corner' => $corner]), 'rules' => $rules + [
            'profiles' => [
                'mullion' => $member, 'transom' => $member, 'left' => $edge, 'right' => $edge, 'head' => $edge, 'foot' => $edge,
            ],
            'infills' => [['where' => 'everywhere', 'infill' => ['kind' => 'vision', 'layers' => [6, 16, 6]]]],
        ]])[0];
    }

    /** @return list<string> */
    private function wallsOf(string $outline): array
    {
        return array_values(Wall::query()->where('outline_id', $outline)->orderBy('position')->pluck('id')->all());
    }
}
