<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Support;

use Isleward\Core\Design\Opening;
use Isleward\Core\Measure\Refusal;

/** A house of 12 × 8 m and two storeys, and curtain walls for it. */
trait Glazed
{
    private House $house;

    protected function setUp(): void
    {
        $this->house = House::box(12000, 8000, 300, [3600, 3600]);
    }

    /** @param  array<string, mixed>  $rules */
    private function grid(array $rules = [], float $face = 50, float $depth = 150): string
    {
        $values = GridSample::values($rules);
        $values['rules']['profiles'] = array_map(
            static fn (): array => ['shape' => 'rectangle', 'face' => $face, 'depth' => $depth],
            $values['rules']['profiles'],
        );

        return $this->house->do('grid.add', ['name' => 'test'] + $values)->chosen[0];
    }

    /**
     * @param  list<list<float|int>|array<string, mixed>>  $points
     * @param  array<string, mixed>  $more
     * @return list<string> stretches
     */
    private function drawn(string $grid, array $points, array $more = []): array
    {
        return $this->house->do('outline.draw', $more + [
            'points' => $points, 'closed' => false, 'grid' => $grid, 'base' => $this->house->storey(0), 'top' => $this->house->storey(0),
        ])->chosen;
    }

    /** @param  array<string, mixed>  $more */
    private function letIn(string $grid, array $more = []): Opening
    {
        $id = $this->house->do('opening.place', $more + [
            'host' => $this->house->wall()->id, 'storey' => $this->house->storey(0), 'type' => null, 'grid' => $grid,
            'width' => 4400, 'height' => 2600, 'position' => ['from' => 'left', 'value' => 900, 'to' => 'near'],
            'sill' => ['from' => 'floor', 'height' => 0],
        ])->chosen[0];

        return $this->house->design->opening($id);
    }

    /** @param  array<string, mixed>  $args */
    private function refusal(string $edit, array $args): string
    {
        try {
            $this->house->try($edit, $args)->requireDoable();
        } catch (Refusal $e) {
            return str_replace(["\u{202f}", "\u{a0}"], ' ', $e->said($this->house->design->settings->units));
        }
        self::fail("$edit was not refused.");
    }
}
