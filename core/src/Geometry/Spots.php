<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** Numbers points so that those within the tolerance of one another have one number. */
final class Spots
{
    /** @var array<string, list<array{float, float, int}>> by cell of a grid */
    private array $cells = [];

    private int $count = 0;

    public function at(float $x, float $y): int
    {
        $size = 4 * Tolerance::LENGTH;
        [$cx, $cy] = [(int) floor($x / $size), (int) floor($y / $size)];
        for ($i = -1; $i <= 1; $i++) {
            for ($j = -1; $j <= 1; $j++) {
                foreach ($this->cells[($cx + $i).','.($cy + $j)] ?? [] as [$px, $py, $number]) {
                    if (hypot($px - $x, $py - $y) <= 2 * Tolerance::LENGTH) {
                        return $number;
                    }
                }
            }
        }
        $this->cells["$cx,$cy"][] = [$x, $y, $this->count];

        return $this->count++;
    }
}
