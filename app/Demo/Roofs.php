<?php

declare(strict_types=1);

namespace App\Demo;

use App\Models\Wall;

/**
 * Slabs with openings for the stairs; a hipped roof over the main house, cut round the watch room; a flat one over that, whose parapet
 * steps; the boat workshop's roof of two pitches between gables with its rooflights, and the raised strip with high windows on it.
 */
final readonly class Roofs
{
    /**
     * @param  \Closure(string, array<string, mixed>): list<string>  $run
     * @param  array<string, string>  $storeys
     * @param  array<string, string>  $types
     */
    public function __construct(private \Closure $run, private array $storeys, private array $types)
    {
    }

    /**
     * @param  list<string>  $main  its walls: south, east, north, west; so of the others
     * @param  list<string>  $watch
     * @param  list<string>  $workshop
     */
    public function make(array $main, array $watch, array $workshop): void
    {
        $outline = Wall::query()->whereKey($main[0])->value('outline_id');
        $slab = ['outline' => $outline, 'depth' => null, 'inner' => true, 'height' => 300];
        ($this->run)('floor-band.add', ['name' => 'Ground slab', 'storey' => $this->storeys['Quay']] + $slab);
        ($this->run)('floor-band.add', [
            'name' => 'Floors', 'storey' => $this->storeys['Charts'], 'top' => $this->storeys['Office'],
            'hole' => ['rectangle' => ['x' => 15600, 'y' => 7700, 'width' => 1900, 'depth' => 3000]],
        ] + $slab);
        $tower = Wall::query()->whereKey($watch[0])->value('outline_id');
        ($this->run)('floor-band.add', [
            'name' => 'Watch floor', 'outline' => $tower, 'storey' => $this->storeys['Watch'],
            'hole' => ['rectangle' => ['x' => 16100, 'y' => 3200, 'width' => 1200, 'depth' => 1600]],
        ] + $slab);
        $hipped = ($this->run)('roof.add', [
            'name' => 'Main roof', 'outline' => $outline, 'pitch' => 10, 'overhang' => 450, 'thick' => 220,
        ])[0];
        ($this->run)('roof.change', ['id' => $hipped, 'through' => [$tower]]);
        ($this->run)('wall.edge', ['walls' => $main, 'head' => ['roof' => $hipped]]);
        $this->flat('Watch roof', $watch, ['level' => -550, 'thick' => 200, 'pitch' => '2 %']);
        ($this->run)('wall.edge', ['walls' => [$watch[0]], 'head' => ['points' => [
            ['along' => 0, 'over' => -300], ['along' => 2400, 'over' => -300], ['along' => 2400, 'over' => 0],
            ['along' => 4800, 'over' => 0], ['along' => 4800, 'over' => -300], ['along' => 7200, 'over' => -300],
        ]]]);
        $roof = $this->over('Workshop roof', $workshop, ['pitch' => 35, 'overhang' => 350, 'thick' => 240]);
        ($this->run)('roof.change', ['id' => $roof, 'edge' => ['wall' => $workshop[2], 'pitch' => 28]]);
        ($this->run)('wall.edge', ['walls' => $workshop, 'head' => ['roof' => $roof]]);
        ($this->run)('roof.light', [
            'id' => $roof, 'type' => $this->types['W-21'], 'wall' => $workshop[0], 'width' => 940, 'height' => 1180, 'from' => 'middle',
            'rise' => 900, 'count' => 3, 'gap' => 1600, 'proud' => 60,
        ]);
        ($this->run)('roof.light', [
            'id' => $roof, 'type' => $this->types['W-01'], 'wall' => $workshop[2], 'width' => 780, 'height' => 1400, 'along' => 2200,
            'up' => 'middle', 'proud' => 60,
        ]);

        $drawn = ($this->run)('outline.draw', [
            'name' => 'High windows', 'points' => [[-12100, 5500], [-2900, 5500], [-2900, 7300], [-12100, 7300]], 'thickness' => 200,
            'base' => $this->storeys['Charts'], 'top' => $this->storeys['Charts'],
        ])[0];
        $strip = Wall::query()->where('outline_id', $drawn)->orderBy('position')->pluck('id')->all();
        ($this->run)('wall.edge', ['walls' => $strip, 'foot' => ['roof' => $roof]]);
        // open to the workshop under it
        ($this->run)('roof.change', [
            'id' => $roof, 'through' => [Wall::query()->whereKey($strip[0])->value('outline_id')],
        ]);
        $lid = $this->over('Raised roof', $strip, ['pitch' => 12, 'overhang' => 250, 'thick' => 180, 'level' => -100]);
        ($this->run)('wall.edge', ['walls' => $strip, 'head' => ['roof' => $lid]]);
        $first = ($this->run)('opening.place', [
            'host' => $strip[0], 'storey' => $this->storeys['Charts'], 'type' => $this->types['W-01'], 'width' => 1800, 'height' => 700,
            'position' => ['from' => 'left', 'value' => 500, 'to' => 'near'], 'sill' => ['from' => 'floor', 'height' => 2500],
        ]);
        ($this->run)('opening.mirror', ['ids' => $first, 'about' => 'middle', 'copy' => true]);
    }

    /**
     * @param  list<string>  $walls
     * @param  array<string, mixed>  $figures
     */
    private function flat(string $name, array $walls, array $figures): void
    {
        ($this->run)('roof.add', [
            'name' => $name, 'outline' => Wall::query()->whereKey($walls[0])->value('outline_id'), 'within' => true, ...$figures,
        ]);
    }

    /**
     * @param  list<string>  $walls  of a rectangle: the second and the fourth get gables
     * @param  array<string, mixed>  $figures
     */
    private function over(string $name, array $walls, array $figures): string
    {
        $roof = ($this->run)('roof.add', [
            'name' => $name, 'outline' => Wall::query()->whereKey($walls[0])->value('outline_id'), ...$figures,
        ])[0];
        foreach ([1, 3] as $i) {
            ($this->run)('roof.change', ['id' => $roof, 'edge' => ['wall' => $walls[$i], 'gable' => true]]);
        }

        return $roof;
    }
}
