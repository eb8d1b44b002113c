<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Tolerance;

/** The room left in bars laid side by side, as a tree of the most in each half: finds the first bar that takes a length in log n steps. */
final class RoomTree
{
    /** @var array<int, float> a heap: the most room under every node, the bars themselves from on */
    private array $most;

    private int $leaves = 1;

    /** @param  int  $bars  there can be, all empty */
    public function __construct(int $bars, float $room)
    {
        while ($this->leaves < $bars) {
            $this->leaves *= 2;
        }
        $this->most = array_fill(0, 2 * $this->leaves, $room);
    }

    /** Takes a length from the first bar that has it, and tells which that is; the caller has seen to it that an empty bar has. */
    public function take(float $length): int
    {
        $need = $length - Tolerance::LENGTH;
        $node = 1;
        while ($node < $this->leaves) {
            $node *= 2;
            if ($this->most[$node] < $need) {
                $node++;
            }
        }
        $bar = $node - $this->leaves;
        $this->most[$node] -= $length;
        for ($above = intdiv($node, 2); $above >= 1; $above = intdiv($above, 2)) {
            $this->most[$above] = max($this->most[2 * $above], $this->most[2 * $above + 1]);
        }

        return $bar;
    }
}
