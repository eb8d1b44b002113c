<?php

declare(strict_types=1);

namespace App\Demo;

use App\Models\Opening;

/**
 * The demo's wind screen: before the north side at the quay, clear of the windows and the door behind it, with round and slotted cut-outs
 * between them and level slats in the wide ones; its edges and cut-outs are closed back to the wall.
 */
final readonly class Screens
{
    /**
     * @param  \Closure(string, array<string, mixed>): list<string>  $run  an edit, answered with what it chose
     * @param  array<string, string>  $storeys  name → id
     */
    public function __construct(private \Closure $run, private array $storeys)
    {
    }

    public function make(string $north): void
    {
        $quay = $this->storeys['Quay'];
        [$screen] = ($this->run)('screen.add', [
            'name' => 'Wind screen', 'walls' => [$north], 'storey' => $quay, 'gap' => 420, 'thick' => 12, 'height' => 4200,
            'finish' => 'sea', 'edges' => true, 'reveals' => true,
        ]);
        $behind = Opening::query()->where('host_id', $north)->where('storey_id', $quay)->orderBy('id')->pluck('id')->all();
        $cut = fn (array $shape): array => ($this->run)('screen.draw', [
            'id' => $screen, 'cut' => true, 'wall' => $north, 'shape' => $shape,
        ]);
        $cut(['form' => 'openings', 'around' => $behind, 'grow' => 150]);
        // number 3 and 4, each copied along between the windows
        $cut(['form' => 'round', 'u' => 2500, 'v' => 2900, 'width' => 760]);
        $cut(['form' => 'rectangle', 'u' => 2240, 'v' => 420, 'width' => 1280, 'height' => 320, 'radius' => 160]);
        ($this->run)('screen.copy', ['id' => $screen, 'parts' => [3, 4], 'du' => 2280, 'times' => 4]);
        // a wide one at the stair, filled with level slats
        $cut(['form' => 'rectangle', 'u' => 14300, 'v' => 2900, 'width' => 2900, 'height' => 760, 'radius' => 120]);
        ($this->run)('field.fill', [
            'name' => 'Stair slats', 'screen' => $screen, 'cut' => 13, 'angle' => 90, 'wide' => 45, 'deep' => 30, 'turn' => 0,
            'out' => 405, 'battens' => ['by' => 'fit', 'size' => 55],
        ]);
    }
}
