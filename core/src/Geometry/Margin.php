<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/**
 * A margin of its own width along each edge inside a contour: what it leaves, and the pieces it is made of. The pieces meet
 * along the line from outer to inner corner, which between two of one width is the mitre; they and what is left fill the
 * contour exactly.
 */
final readonly class Margin
{
    /**
     * @param  Contour|null  $inner  what is left, or null when nothing is
     * @param  array<int, array{array{float, float}, array{float, float}}>  $inside  by edge: the inner points at its start and its end
     * @param  array<int, Curve|null>  $lines  by edge: its inner line; null when it has vanished
     * @param  list<float>  $widths  by edge
     * @param  array<int, array{float, float}>  $steps  by edge: where the line before it ends, when they do not meet and a step joins them
     * @param  bool  $plain  all its edges are straight, have a width, and keep some of their inner line
     */
    private function __construct(
        public Contour $outer,
        public ?Contour $inner,
        public array $inside,
        public array $lines,
        private array $widths,
        private array $steps = [],
        private bool $plain = false,
    ) {
    }

    /** @param  list<float>  $widths  by edge of the contour, mm; none is negative */
    public static function inside(Contour $contour, array $widths): self
    {
        return self::along($contour, $widths);
    }

    /** The band of one width outside a contour. */
    public static function outside(Contour $contour, float $width): self
    {
        return self::along($contour, array_fill(0, count($contour->edges()), -$width));
    }

    /** @param  list<float>  $widths */
    private static function along(Contour $contour, array $widths): self
    {
        $plain = $contour->hasCurves() ? null : self::ofStraight($contour, $widths);
        if ($plain !== null) {
            return $plain;
        }
        $edges = $contour->edges();
        $lines = [];
        $active = [];
        foreach ($edges as $i => $edge) {
            $lines[] = $edge->moved($widths[$i]);
            if ($lines[$i] !== null) {
                $active[] = $i;
            }
        }
        do {
            $n = count($active);
            if ($n < 2) {
                return new self($contour, null, [], $lines, $widths);
            }
            $corners = [];
            for ($k = 0; $k < $n; $k++) {
                $corners[$k] = self::corner($edges, $lines, $widths, $active[($k + $n - 1) % $n], $active[$k]);
            }
            $worst = self::vanishing($edges, $lines, $active, $corners);
            if ($worst >= 0) {
                array_splice($active, $worst, 1);
            }
        } while ($worst >= 0);

        $inner = $inside = $steps = [];
        foreach ($active as $k => $i) {
            [$from, $start] = $corners[$k];
            if ($from !== $start) {
                $inner[] = Curve::straight($from[0], $from[1], $start[0], $start[1]);
                $steps[$i] = $from;
            }
            $end = $corners[($k + 1) % $n][0];
            $inner[] = ($lines[$i] ?? throw new \LogicException('An active edge has a line.'))->between(
                $start[0],
                $start[1],
                $end[0],
                $end[1],
            );
            $inside[$i] = [$start, $end];
            for ($gone = ($i + 1) % count($edges); $gone !== $active[($k + 1) % $n]; $gone = ($gone + 1) % count($edges)) {
                $inside[$gone] = [$end, $end];
                $lines[$gone] = null;
            }
        }
        $inner = Contour::of($inner);

        return new self($contour, $inner->area() > 1.0 && ! $inner->crossesItself() ? $inner : null, $inside, $lines, $widths, $steps);
    }

    /**
     * The margin of a contour of straight edges none of which goes on into the next or loses its inner line, which is nearly every one.
     *
     * @param  list<float>  $widths
     */
    private static function ofStraight(Contour $contour, array $widths): ?self
    {
        $edges = $contour->edges();
        $ways = $moved = $corners = [];
        foreach ($edges as $i => $edge) {
            if ($widths[$i] === 0.0) {
                return null;
            }
            [$dx, $dy] = $ways[] = $edge->direction(0.0);
            $moved[] = [$edge->x0 - $dy * $widths[$i], $edge->y0 + $dx * $widths[$i]];
        }
        $last = count($edges) - 1;
        foreach ($ways as $i => [$bx, $by]) {
            $before = $i === 0 ? $last : $i - 1;
            [$ax, $ay] = $ways[$before];
            $cross = $ax * $by - $ay * $bx;
            if (abs($cross) < 1e-6) {
                return null;
            }
            [$x, $y] = $moved[$before];
            $along = (($moved[$i][0] - $x) * $by - ($moved[$i][1] - $y) * $bx) / $cross;
            $corners[] = [$x + $ax * $along, $y + $ay * $along];
        }
        $inner = $inside = [];
        foreach ($corners as $i => $start) {
            $end = $corners[$i === $last ? 0 : $i + 1];
            [$dx, $dy] = $ways[$i];
            if (($end[0] - $start[0]) * $dx + ($end[1] - $start[1]) * $dy < 1e-6) {
                return null;
            }
            $inner[] = Curve::straight($start[0], $start[1], $end[0], $end[1]);
            $inside[] = [$start, $end];
        }
        $left = Contour::of($inner);

        return new self($contour, $left->area() > 1.0 && ! $left->crossesItself() ? $left : null, $inside, $inner, $widths, [], true);
    }

    /**
     * Which of the lines still there has to go next: the one most of which its neighbours have passed, or the shorter of two that
     * pass each other by, since what lay between them is gone; -1 for none.
     *
     * @param  list<Curve>  $edges
     * @param  array<int, Curve|null>  $lines
     * @param  list<int>  $active
     * @param  array<int, array{array{float, float}, array{float, float}}>  $corners  by place in $active
     */
    private static function vanishing(array $edges, array $lines, array $active, array $corners): int
    {
        $n = count($active);
        $worst = -1;
        $least = 1e-6;
        for ($k = 0; $k < $n; $k++) {
            $before = ($k + $n - 1) % $n;
            if (($active[$before] + 1) % count($edges) !== $active[$k] && $corners[$k][0] !== $corners[$k][1]) {
                return $edges[$active[$before]]->length() < $edges[$active[$k]]->length() ? $before : $k;
            }
            $left = self::left(
                $lines[$active[$k]] ?? throw new \LogicException('An active edge has a line.'),
                $edges[$active[$k]],
                $corners[$k][1],
                $corners[($k + 1) % $n][0],
            );
            if ($left < $least) {
                $least = $left;
                $worst = $k;
            }
        }

        return $worst;
    }

    /**
     * @param  list<Curve>  $edges
     * @param  array<int, Curve|null>  $lines
     * @param  list<float>  $widths
     * @return array{array{float, float}, array{float, float}} where the line before ends and where the next begins: one point, or two with
     *    a step between them
     */
    private static function corner(array $edges, array $lines, array $widths, int $a, int $b): array
    {
        $before = $lines[$a] ?? throw new \LogicException('An active edge has a line.');
        $after = $lines[$b] ?? throw new \LogicException('An active edge has a line.');
        [$ax, $ay] = $edges[$a]->direction(1.0);
        [$bx, $by] = $edges[$b]->direction(0.0);
        $tangent = abs($ax * $by - $ay * $bx) < 1e-6 && $ax * $bx + $ay * $by > 0;
        if (! $tangent || ($a + 1) % count($edges) !== $b) {
            $meets = $before->meets($after, $after->x0, $after->y0);
            if ($meets !== null) {
                return [$meets, $meets];
            }
        }
        $from = [$before->x1, $before->y1];
        $to = [$after->x0, $after->y0];

        return hypot($to[0] - $from[0], $to[1] - $from[1]) < 1e-6 ? [$from, $from] : [$from, $to];
    }

    /**
     * How much of an inner line is left, in its own direction; less than nothing when its neighbours cross before it begins.
     *
     * @param  array{float, float}  $start
     * @param  array{float, float}  $end
     */
    private static function left(Curve $line, Curve $edge, array $start, array $end): float
    {
        if (! $line->isCurved()) {
            [$dx, $dy] = $edge->direction(0.0);

            return ($end[0] - $start[0]) * $dx + ($end[1] - $start[1]) * $dy;
        }
        $piece = $line->between($start[0], $start[1], $end[0], $end[1]);

        return abs($piece->sweep) > abs($line->sweep) + M_PI ? -abs($piece->sweep - 2 * M_PI) * $line->rx : abs($piece->sweep) * $line->rx;
    }

    /**
     * The piece along an edge; $through lets it run on to the outer edge at its start or end, or makes it stop at the inner
     * line of a neighbour that does. Null where the margin has no width.
     *
     * @param  array{array{float, float}, array{float, float}}|null  $outerEnds  when they are not the edge's own
     * @param  array{array{float, float}, array{float, float}}|null  $innerEnds
     */
    public function piece(int $i, ?array $outerEnds = null, ?array $innerEnds = null): ?Contour
    {
        if ($this->widths[$i] === 0.0 || $this->belongs($i) !== 0) {
            return null;
        }
        $edge = $this->outer->edges()[$i];
        [$p, $q] = $outerEnds ?? [[$edge->x0, $edge->y0], [$edge->x1, $edge->y1]];
        [$r, $s] = $innerEnds ?? $this->inside[$i];
        if ($this->plain) {
            return self::filled(self::round([$p, $q, $s, $r]));
        }
        $edges = [$edge->between($p[0], $p[1], $q[0], $q[1])];
        array_push($edges, ...$this->inward($i, $q, $s));
        $line = $this->lines[$i];
        if ($line !== null && $line->isCurved()) {
            $edges[] = $line->between($r[0], $r[1], $s[0], $s[1])->reversed();
        } else {
            array_push($edges, ...self::joined($s, $r));
        }
        array_push($edges, ...$this->outward($i, $r, $p));

        return self::filled($edges);
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @return list<Curve> the straight edges from each to the next, where they are two
     */
    private static function round(array $points): array
    {
        $edges = [];
        $from = $points[count($points) - 1];
        foreach ($points as $to) {
            if (abs($to[0] - $from[0]) > 1e-7 || abs($to[1] - $from[1]) > 1e-7) {
                $edges[] = Curve::straight($from[0], $from[1], $to[0], $to[1]);
            }
            $from = $to;
        }

        return $edges;
    }

    /** @param  list<Curve>  $edges */
    private static function filled(array $edges): ?Contour
    {
        $piece = count($edges) < 3 ? null : Contour::of($edges);

        return $piece !== null && $piece->area() > 1e-3 ? $piece : null;
    }

    /**
     * From the outer end of an edge's piece to its inner one, with what it takes of the next edge.
     *
     * @param  array{float, float}  $q
     * @param  array{float, float}  $s
     * @return list<Curve>
     */
    private function inward(int $i, array $q, array $s): array
    {
        $j = ($i + 1) % count($this->outer->edges());
        $next = $this->outer->edges()[$j];
        if ($this->lines[$j] === null && $this->belongs($j) === -1) {
            return [$next, ...self::joined([$next->x1, $next->y1], $s)];
        }
        if ($this->widths[$j] === 0.0 && $this->lines[$j] !== null) {
            $to = $this->inside[$j][0];

            return hypot($to[0] - $q[0], $to[1] - $q[1]) > 1e-7
                            ? [$next->between($q[0], $q[1], $to[0], $to[1]), ...self::joined($to, $s)]
                            : self::joined($q, $s);
        }

        return self::joined($q, $s);
    }

    /**
     * From the inner start of an edge's piece to its outer one, with what it takes of the edge before.
     *
     * @param  array{float, float}  $r
     * @param  array{float, float}  $p
     * @return list<Curve>
     */
    private function outward(int $i, array $r, array $p): array
    {
        $j = ($i + count($this->outer->edges()) - 1) % count($this->outer->edges());
        $before = $this->outer->edges()[$j];
        if ($this->lines[$j] === null && $this->belongs($j) === 1) {
            return [...self::joined($r, [$before->x0, $before->y0]), $before];
        }
        $step = $r === $this->inside[$i][0] ? $this->steps[$i] ?? $r : $r;
        if (abs(($step[0] - $r[0]) * ($p[1] - $r[1]) - ($step[1] - $r[1]) * ($p[0] - $r[0])) < 1e-6 * hypot($p[0] - $r[0], $p[1] - $r[1])) {
            $step = $r; // along the line to the outer end: no corner of the piece
        }
        if ($this->widths[$j] === 0.0 && $this->lines[$j] !== null && hypot($step[0] - $p[0], $step[1] - $p[1]) > 1e-7) {
            return [...self::joined($r, $step), $before->between($step[0], $step[1], $p[0], $p[1])];
        }

        return [...self::joined($r, $step), ...self::joined($step, $p)];
    }

    /**
     * Whose the room along an edge is whose inner line has vanished: its own (0), or a part of the piece after it (1) or before
     * it (-1), where it has no width or its neighbours' lines cross outside it.
     */
    private function belongs(int $i): int
    {
        if ($this->lines[$i] !== null) {
            return 0;
        }
        if ($this->widths[$i] === 0.0) {
            return 1;
        }
        $edge = $this->outer->edges()[$i];
        [$px, $py] = $this->inside[$i][0];
        if (Contour::of(
            [$edge, ...self::joined([$edge->x1, $edge->y1], [$px, $py]), ...self::joined([$px, $py], [$edge->x0, $edge->y0])],
        )->area() >= 0) {
            return 0;
        }
        $j = ($i + 1) % count($this->outer->edges());
        $next = $this->outer->edges()[$j];
        [$rx, $ry] = $this->inside[$j][1];
        $ring = [$next->x0, $next->y0, $next->x1, $next->y1, $rx, $ry, $px, $py];
        $within = true;
        for ($k = 0; $k < 8; $k += 2) {
            [$dx, $dy] = [$ring[($k + 2) % 8] - $ring[$k], $ring[($k + 3) % 8] - $ring[$k + 1]];
            $within = $within && $dx * ($edge->y0 - $ring[$k + 1]) - $dy * ($edge->x0 - $ring[$k]) > -1e-6;
        }

        return $within ? 1 : -1;
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return list<Curve> the straight edge between two points, when they are two
     */
    private static function joined(array $from, array $to): array
    {
        return hypot($from[0] - $to[0], $from[1] - $to[1]) > 1e-7 ? [Curve::straight($from[0], $from[1], $to[0], $to[1])] : [];
    }
}
