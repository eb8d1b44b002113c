<?php

declare(strict_types=1);

namespace App\Demo;

use App\Models\Opening;
use App\Models\Wall;

/**
 * The demo's fins: two bands before the lookout's curved face, turned to the weather as a wave runs round it, the upper one shifted by half
 * of that, with a ledge between them; and before the watch room's south side one whose lengths are varied by a seed.
 */
final readonly class Fins
{
    /**
     * @param  \Closure(string, array<string, mixed>): list<string>  $run  an edit, answered with what it chose
     * @param  array<string, string>  $storeys  name → id
     */
    public function __construct(private \Closure $run, private array $storeys)
    {
    }

    /** Before the lookout's curved wall and a wall of the watch room; and battens before an opening of the workshop's wall. */
    public function make(string $lookout, string $watch, string $workshop): void
    {
        [$lower] = ($this->run)('band.add', [
            'name' => 'Weather fins', 'walls' => [$lookout], 'storey' => $this->storeys['Quay'], 'gap' => 180, 'foot' => 150,
            'spaced' => ['by' => 'greatest', 'size' => 240, 'start' => 120, 'end' => 120],
            'laws' => [
                'thickness' => 24, 'length' => 3900,
                'reach' => ['kind' => 'wave', 'from' => 140, 'to' => 340, 'waves' => 2, 'phase' => 10],
                'turn' => ['kind' => 'ramp', 'from' => -12, 'to' => 12],
            ],
        ]);
        [$upper] = ($this->run)('band.carry', ['id' => $lower, 'storeys' => [$this->storeys['Charts']], 'shift' => 25]);
        ($this->run)('band.change', ['ids' => [$upper], 'foot' => 0, 'laws' => ['length' => 3450]]);
        ($this->run)('floor-band.add', [
            'name' => 'Ledge', 'outline' => Wall::query()->where('id', $lookout)->value('outline_id'), 'storey' => $this->storeys['Charts'],
            'height' => 150, 'out' => 560, 'depth' => 540, 'edge' => 'rounded', 'edgeSize' => 60,
        ]);
        ($this->run)('band.add', [
            'name' => 'Reeds', 'walls' => [$watch], 'storey' => $this->storeys['Watch'], 'gap' => 60, 'foot' => 60, 'shape' => 'round',
            'spaced' => ['by' => 'pitch', 'size' => 150, 'start' => 75, 'end' => 75, 'remainder' => 'both'],
            'laws' => ['thickness' => 40, 'length' => ['kind' => 'seeded', 'from' => 300, 'to' => 780, 'seed' => 11]],
        ]);
        ($this->run)('field.fill', [
            'name' => 'Plant slats', 'opening' => Opening::query()->where('host_id', $workshop)->value('id'),
            'angle' => 90, 'wide' => 30, 'deep' => 80, 'turn' => 35, 'out' => 20, 'battens' => ['by' => 'fit', 'size' => 70],
        ]);
    }
}
