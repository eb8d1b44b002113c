<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Refusal;

/** The storeys in order, lowest first, with the levels that follow from their heights (mm above the datum). */
final readonly class Storeys
{
    /** @var list<Storey> */
    public array $all;

    /** @var array<string, int> */
    private array $index;

    /** @var list<float> floor levels, and the level over the last storey */
    private array $levels;

    /** @param  array<string, Storey>  $storeys */
    public function __construct(array $storeys, float $baseLevel)
    {
        $all = array_values($storeys);
        usort($all, static fn (Storey $a, Storey $b): int => $a->position <=> $b->position);
        $index = [];
        $levels = [$baseLevel];
        foreach ($all as $i => $storey) {
            $index[$storey->id] = $i;
            $levels[] = $levels[$i] + $storey->height;
        }
        $this->all = $all;
        $this->index = $index;
        $this->levels = $levels;
    }

    public function has(string $id): bool
    {
        return isset($this->index[$id]);
    }

    public function get(string $id): Storey
    {
        return $this->all[$this->indexOf($id)];
    }

    /** Place from the bottom, from 0. */
    public function indexOf(string $id): int
    {
        return $this->index[$id] ?? throw Refusal::because('storey.unknown', 'That storey is not in this project any more.', [$id]);
    }

    /** Level of the storey's floor, mm above the datum. */
    public function floor(string $id): float
    {
        return $this->levels[$this->indexOf($id)];
    }

    /** Level of the floor above the storey, mm above the datum. */
    public function ceiling(string $id): float
    {
        return $this->levels[$this->indexOf($id) + 1];
    }

    /** Whether storey $id lies from storey $base up to storey $top, both included. */
    public function isWithin(string $id, string $base, string $top): bool
    {
        $i = $this->indexOf($id);

        return $i >= $this->indexOf($base) && $i <= $this->indexOf($top);
    }

    /**
     * A storey, those that lie between two levels, and the one under all of these.
     *
     * @return list<string>
     */
    public function around(string $id, float $from, float $to): array
    {
        $at = $this->indexOf($id);
        $low = $high = $at;
        foreach ($this->all as $i => $storey) {
            if ($this->levels[$i] < $to && $this->levels[$i + 1] > $from) {
                $low = min($low, $i);
                $high = max($high, $i);
            }
        }

        return array_map(static fn (Storey $s): string => $s->id, array_slice($this->all, max(0, $low - 1), $high - max(0, $low - 1) + 1));
    }
}
