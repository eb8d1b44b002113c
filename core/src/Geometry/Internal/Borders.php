<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry\Internal;

/** Upright lines that part a region into columns, by their places along it, rising. */
final readonly class Borders
{
    public int $columns;

    /** @param  non-empty-list<float>  $at  the first and the last at the ends of the region */
    public function __construct(public array $at)
    {
        $this->columns = count($at) - 1;
    }

    /**
     * So close together that a column is no wider than a step; at the upright sides of the region too, as long as those are few: then a
     * column has corners on its borders alone.
     *
     * @param  array<int|string, float>  $sides  places of upright sides, each once
     * @param  float  $apart  two that are nearer than this are one, mm
     */
    public static function of(float $low, float $high, float $step, array $sides, float $apart): self
    {
        $count = max(1, (int) ceil(($high - $low) / $step));
        if (count($sides) > 2 * $count + 64) {
            $sides = [];
        }
        sort($sides);
        $at = [$low];
        foreach ([...$sides, $high] as $next) {
            $from = $at[count($at) - 1];
            if ($next !== $high && ($next - $from < $apart || $high - $next < $apart)) {
                continue;
            }
            $n = max(1, (int) ceil(($next - $from) / $step - 1e-9));
            for ($i = 1; $i < $n; $i++) {
                $at[] = $from + ($next - $from) * $i / $n;
            }
            $at[] = $next;
        }

        return new self($at);
    }

    /** The column that a place lies in; of one on a border the one right of it. */
    public function column(float $u): int
    {
        [$low, $high] = [0, $this->columns];
        while ($high - $low > 1) {
            $middle = ($low + $high) >> 1;
            if ($this->at[$middle] <= $u) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    /** The border that a place lies on exactly; −1 for none. */
    public function on(float $u): int
    {
        $k = $this->column($u);

        return $this->at[$k] === $u ? $k : ($this->at[$k + 1] === $u ? $k + 1 : -1);
    }

    /** A place put onto the border that it is nearer to than so much. */
    public function snapped(float $u, float $apart): float
    {
        $k = $this->column($u);

        return match (true) {
            abs($this->at[$k] - $u) < $apart => $this->at[$k],
            abs($this->at[$k + 1] - $u) < $apart => $this->at[$k + 1],
            default => $u,
        };
    }

    /** @return list<float> borders strictly between two places, farther from them than so much */
    public function between(float $low, float $high, float $apart): array
    {
        $found = [];
        for ($k = $this->column($low); $k <= $this->columns && $this->at[$k] < $high - $apart; $k++) {
            if ($this->at[$k] > $low + $apart) {
                $found[] = $this->at[$k];
            }
        }

        return $found;
    }
}
