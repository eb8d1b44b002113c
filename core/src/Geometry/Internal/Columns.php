<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry\Internal;

/**
 * Triangles of a region, none of which reaches over the border of an upright column: sides of the region must have points wherever they
 * pass one. Columns share the points on the border between them, so the triangles of neighbours share whole edges.
 */
final class Columns
{
    /** @var list<array<int, int>> by column: point → the point that follows it in a side of the region */
    private array $next = [];

    /** @var list<array<int, true>> by column: points that sides of it end at */
    private array $ends = [];

    /** @var list<list<int>> by border: its points from the lowest up */
    private array $points = [];

    /** @var list<int> by point: the border it lies on, −1 for none */
    private array $on = [];

    /**
     * @param  list<float>  $us
     * @param  list<float>  $vs
     */
    private function __construct(private readonly array $us, private readonly array $vs, private readonly Borders $borders)
    {
    }

    /**
     * @param  list<list<int>>  $loops  numbers of points, with the inside on their left
     * @param  list<float>  $us
     * @param  list<float>  $vs
     * @return list<int> numbers of points in threes, counter-clockwise
     */
    public static function triangles(array $loops, array $us, array $vs, Borders $borders): array
    {
        $self = new self($us, $vs, $borders);
        $self->sort($loops);
        $out = [];
        for ($column = 0; $column < $borders->columns; $column++) {
            foreach ($self->column($column) as $corner) {
                $out[] = $corner;
            }
        }

        return $out;
    }

    /** @param  list<list<int>>  $loops */
    private function sort(array $loops): void
    {
        $count = $this->borders->columns;
        $this->next = $this->ends = array_fill(0, $count, []);
        $on = array_fill(0, $count + 1, []);
        $known = [];
        foreach ($this->us as $u) {
            // those that are nearer to a border than this lie on it
            $this->on[] = $known[(int) ($u * 10000)] ??= $this->borders->on($u);
        }
        foreach ($loops as $loop) {
            $a = $loop[count($loop) - 1];
            foreach ($loop as $b) {
                [$ka, $kb] = [$this->on[$a], $this->on[$b]];
                if ($ka >= 0) {
                    $on[$ka][$a] = $this->vs[$a];
                }
                $column = $ka >= 0 && $ka === $kb
                    ? ($this->vs[$b] > $this->vs[$a] ? $ka - 1 : $ka)
                    : $this->borders->column(($this->us[$a] + $this->us[$b]) / 2);
                $column = $column < 0 ? 0 : ($column < $count ? $column : $count - 1);
                $this->next[$column][$a] = $b;
                $this->ends[$column][$b] = true;
                $a = $b;
            }
        }
        foreach ($on as $k => $vs) {
            asort($vs);
            $this->points[$k] = array_keys($vs);
        }
    }

    /** @return list<int> */
    private function column(int $column): array
    {
        $next = $this->next[$column];
        $links = $this->links($column, $column + 1, true) + $this->links($column, $column, false);
        $rings = [];
        while ($next !== []) {
            $ring = [];
            $p = $first = array_key_first($next);
            do {
                if (isset($next[$p])) {
                    $ring[] = $p;
                    $to = $next[$p];
                    unset($next[$p]);
                    $p = $to;
                } elseif (isset($links[$p])) {
                    array_push($ring, $p, ...array_slice($links[$p], 0, -1));
                    $to = $links[$p][count($links[$p]) - 1];
                    unset($links[$p]);
                    $p = $to;
                } else {
                    throw new \LogicException('A side of a column ends nowhere.');
                }
            } while ($p !== $first);
            $rings[] = $ring;
        }
        $out = [];
        foreach ($rings as $ring) {
            $zipped = $this->zipped($ring, $column);
            if ($zipped === null) {
                return $this->swept($rings);
            }
            foreach ($zipped as $corner) {
                $out[] = $corner;
            }
        }

        return $out;
    }

    /**
     * A ring whose corners all lie on the two borders of its column, with one side at its foot and one at its head: from border to border.
     *
     * @param  list<int>  $ring
     * @return list<int>|null  null for any other ring
     */
    private function zipped(array $ring, int $column): ?array
    {
        $n = count($ring);
        $foot = $head = null;
        $before = $this->on[$ring[$n - 1]];
        foreach ($ring as $i => $p) {
            $border = $this->on[$p];
            if ($border !== $column && $border !== $column + 1) {
                return null;
            }
            if ($border > $before) {
                $foot = $foot === null ? $i : -1;
            } elseif ($border < $before) {
                $head = $head === null ? $i : -1;
            }
            $before = $border;
        }
        if ($foot === null || $head === null || $foot < 0 || $head < 0) {
            return null;
        }
        $right = $left = [];
        for ($i = $foot; $this->on[$ring[$i % $n]] === $column + 1; $i++) {
            $right[] = $ring[$i % $n];
        }
        for ($i = $head + $n - ($head > $foot ? $n : 0), $end = $i + $n - count($right); $i < $end; $i++) {
            $left[] = $ring[$i % $n];
        }
        $left = array_reverse($left);
        $out = [];
        [$i, $j, $lefts, $rights] = [0, 0, count($left) - 1, count($right) - 1];
        while ($i < $lefts || $j < $rights) {
            $out[] = $left[$i];
            $out[] = $right[$j];
            if ($j < $rights && ($i === $lefts || $this->vs[$right[$j + 1]] <= $this->vs[$left[$i + 1]])) {
                $out[] = $right[++$j];
            } else {
                $out[] = $left[++$i];
            }
        }

        return $out;
    }

    /**
     * @param  list<list<int>>  $rings
     * @return list<int>
     */
    private function swept(array $rings): array
    {
        $flat = $ids = [];
        foreach ($rings as $ring) {
            $line = [];
            foreach ($ring as $p) {
                $line[] = $this->us[$p];
                $line[] = $this->vs[$p];
                $ids[] = $p;
            }
            $flat[] = $line;
        }

        return array_map(static fn (int $i): int => $ids[$i], SweepTriangulator::triangulate($flat)[1]);
    }

    /**
     * Along a border of a column, what runs from where a side ends to where the next one begins, with the inside on its left.
     *
     * @param  bool  $up  the column lies left of the border
     * @return array<int, non-empty-list<int>> from a point the points that follow
     */
    private function links(int $column, int $border, bool $up): array
    {
        $points = $up ? $this->points[$border] : array_reverse($this->points[$border]);
        $links = $passed = [];
        $from = null;
        foreach ($points as $p) {
            $arrives = isset($this->ends[$column][$p]) && ! isset($this->next[$column][$p]);
            $leaves = isset($this->next[$column][$p]) && ! isset($this->ends[$column][$p]);
            if ($from !== null) {
                $passed[] = $p;
            }
            if ($leaves && $from !== null) {
                $links[$from] = $passed;
                $from = null;
            } elseif ($arrives) {
                $from = $p;
                $passed = [];
            }
        }

        return $links;
    }
}
