<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry\Internal;

use Isleward\Core\Geometry\Tolerance;

/**
 * Triangulates rings with the inside on their left in one sweep from left to right.
 *
 * After Hertel and Mehlhorn, "Fast triangulation of simple polygons" (FCT 1983): every stretch of inside that the sweep
 * line meets keeps the chain of corners at its left that still lack triangles. The chain bulges to the right, so a new
 * corner sees a run of it at one end; a corner that splits a stretch sees its rightmost corner; a corner that merges two
 * joins their chains. Only the rings' own corners are used. n corners take O(n log n) time.
 *
 * Chains are doubly linked lists of nodes, a node being one use of a corner.
 *
 * @internal
 */
final class SweepTriangulator
{
    /** @var list<float> */
    private array $x = [];

    /** @var list<float> */
    private array $y = [];

    /** @var array<int, int> corner before and after on the ring */
    private array $prev = [];

    /** @var array<int, int> */
    private array $next = [];

    /** @var array<int, int> place in the sweep: x, then y, on the grid */
    private array $key = [];

    /** @var array<int, int> node → corner, node below, node above (−1: none) */
    private array $corner = [];

    /** @var array<int, int> */
    private array $below = [];

    /** @var array<int, int> */
    private array $above = [];

    /**
     * @var array<int, int> region → corner where its lower edge starts, where its upper edge starts, bottom node, top node, rightmost node
     */
    private array $lower = [];

    /** @var array<int, int> */
    private array $upper = [];

    /** @var array<int, int> */
    private array $bottom = [];

    /** @var array<int, int> */
    private array $top = [];

    /** @var array<int, int> */
    private array $rightmost = [];

    /** @var array<int, int> edge (by the corner it starts at) → region above it / below it */
    private array $regionOver = [];

    /** @var array<int, int> */
    private array $regionUnder = [];

    /** @var list<int> regions the sweep line meets, bottom to top */
    private array $status = [];

    /** @var list<int> */
    private array $triangles = [];

    /**
     * @param  list<list<float>>  $rings
     * @return array{list<float>, list<int>} coordinates and corner numbers in threes
     */
    public static function triangulate(array $rings): array
    {
        $sweep = new self;
        $sweep->load($rings);
        foreach ($sweep->order() as $v => $_) {
            $sweep->visit($v);
        }
        $coordinates = [];
        foreach ($rings as $ring) {
            array_push($coordinates, ...$ring);
        }

        return [$coordinates, $sweep->triangles];
    }

    /** @param  list<list<float>>  $rings */
    private function load(array $rings): void
    {
        $scale = 1 / Tolerance::GRID;
        $count = 0;
        foreach ($rings as $ring) {
            $first = $count;
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                $this->x[] = $ring[$i];
                $this->y[] = $ring[$i + 1];
                $this->key[] = (((int) round($ring[$i] * $scale) + 0x40000000) << 31) + (int) round($ring[$i + 1] * $scale) + 0x40000000;
                $this->prev[] = $count - 1;
                $this->next[] = $count + 1;
                $count++;
            }
            $this->prev[$first] = $count - 1;
            $this->next[$count - 1] = $first;
        }
    }

    /** @return array<int, int> corner → key, in sweep order; of corners on one point those that end something come first */
    private function order(): array
    {
        $order = $this->key;
        asort($order);
        $last = null;
        $shared = false;
        foreach ($order as $key) {
            if ($key === $last) {
                $shared = true;
                break;
            }
            $last = $key;
        }
        if ($shared) {
            uksort(
                $order,
                fn (int $v, int $w): int => [$this->key[$v], $this->startsHere($v), $v] <=> [$this->key[$w], $this->startsHere($w), $w],
            );
        }

        return $order;
    }

    /** How many of a corner's two edges lie after it: 0, 1 or 2. */
    private function startsHere(int $v): int
    {
        return ($this->key[$this->prev[$v]] > $this->key[$v] ? 1 : 0) + ($this->key[$this->next[$v]] > $this->key[$v] ? 1 : 0);
    }

    private function visit(int $v): void
    {
        $p = $this->prev[$v];
        $n = $this->next[$v];
        $key = $this->key[$v];
        $fromLeft = $this->key[$p] < $key;
        $toRight = $this->key[$n] > $key;
        if ($fromLeft && $toRight) {
            $r = $this->regionOver[$p];
            $this->lower[$r] = $v;
            $this->regionOver[$v] = $r;
            $this->addBelow($r, $v);
        } elseif (! $fromLeft && ! $toRight) {
            $r = $this->regionUnder[$v];
            $this->upper[$r] = $p;
            $this->regionUnder[$p] = $r;
            $this->addAbove($r, $v);
        } elseif ($toRight) {
            $this->isConvex($p, $v, $n) ? $this->start($p, $v, $n) : $this->split($p, $v, $n);
        } elseif (($this->regionOver[$p] ?? -1) === ($this->regionUnder[$v] ?? -2)) {
            $this->end($this->regionOver[$p], $v);
        } else {
            $this->merge($this->regionUnder[$v], $this->regionOver[$p], $v);
        }
    }

    private function isConvex(int $a, int $b, int $c): bool
    {
        return ($this->x[$b] - $this->x[$a]) * ($this->y[$c] - $this->y[$b])
            - ($this->y[$b] - $this->y[$a]) * ($this->x[$c] - $this->x[$b]) > 0;
    }

    private function start(int $p, int $v, int $n): void
    {
        $node = $this->node($v);
        $r = $this->region($v, $p, $node, $node, $node);
        array_splice($this->status, $this->regionsBelow($v, $n), 0, [$r]);
    }

    private function split(int $p, int $v, int $n): void
    {
        $place = $this->regionsBelow($v, $n) - 1;
        $r = $this->status[$place];
        $hinge = $this->rightmost[$r];
        $twin = $this->node($this->corner[$hinge]);
        $over = $this->above[$hinge];
        $this->above[$twin] = $over;
        if ($over >= 0) {
            $this->below[$over] = $twin;
        }
        $this->above[$hinge] = -1;
        $s = $this->region($v, $this->upper[$r], $twin, $this->top[$r] === $hinge ? $twin : $this->top[$r], $twin);
        $this->top[$r] = $hinge;
        $this->upper[$r] = $p;
        $this->regionUnder[$p] = $r;
        $this->addAbove($r, $v);
        $this->addBelow($s, $v);
        array_splice($this->status, $place + 1, 0, [$s]);
    }

    private function merge(int $r, int $s, int $v): void
    {
        $this->addAbove($r, $v);
        $this->addBelow($s, $v);
        $node = $this->top[$r];
        $over = $this->above[$this->bottom[$s]];
        $this->above[$node] = $over;
        if ($over >= 0) {
            $this->below[$over] = $node;
            $this->top[$r] = $this->top[$s];
        }
        $this->rightmost[$r] = $node;
        $this->upper[$r] = $this->upper[$s];
        $this->regionUnder[$this->upper[$r]] = $r;
        $this->forget($s);
    }

    private function end(int $r, int $v): void
    {
        for ($b = $this->bottom[$r], $a = $this->above[$b]; $a >= 0; $b = $a, $a = $this->above[$a]) {
            $this->emit($this->corner[$b], $v, $this->corner[$a]);
        }
        $this->forget($r);
    }

    /** A new corner at the bottom of a chain: it sees the run of corners that turn towards it. */
    private function addBelow(int $r, int $v): void
    {
        $vx = $this->x[$v];
        $vy = $this->y[$v];
        $b = $this->bottom[$r];
        while (($a = $this->above[$b]) >= 0) {
            $i = $this->corner[$b];
            $j = $this->corner[$a];
            if (($vx - $this->x[$i]) * ($this->y[$j] - $vy) - ($vy - $this->y[$i]) * ($this->x[$j] - $vx) <= 0) {
                break;
            }
            $this->emit($i, $v, $j);
            $b = $a;
        }
        $node = $this->node($v);
        $this->above[$node] = $b;
        $this->below[$b] = $node;
        $this->bottom[$r] = $node;
        $this->rightmost[$r] = $node;
    }

    private function addAbove(int $r, int $v): void
    {
        $vx = $this->x[$v];
        $vy = $this->y[$v];
        $t = $this->top[$r];
        while (($a = $this->below[$t]) >= 0) {
            $i = $this->corner[$t];
            $j = $this->corner[$a];
            if (($vx - $this->x[$j]) * ($this->y[$i] - $vy) - ($vy - $this->y[$j]) * ($this->x[$i] - $vx) <= 0) {
                break;
            }
            $this->emit($j, $v, $i);
            $t = $a;
        }
        $node = $this->node($v);
        $this->below[$node] = $t;
        $this->above[$t] = $node;
        $this->top[$r] = $node;
        $this->rightmost[$r] = $node;
    }

    private function emit(int $a, int $b, int $c): void
    {
        $this->triangles[] = $a;
        $this->triangles[] = $b;
        $this->triangles[] = $c;
    }

    private function node(int $corner): int
    {
        $this->corner[] = $corner;
        $this->below[] = -1;
        $this->above[] = -1;

        return count($this->corner) - 1;
    }

    private function region(int $lower, int $upper, int $bottom, int $top, int $rightmost): int
    {
        $r = count($this->lower);
        $this->lower[] = $lower;
        $this->upper[] = $upper;
        $this->bottom[] = $bottom;
        $this->top[] = $top;
        $this->rightmost[] = $rightmost;
        $this->regionOver[$lower] = $r;
        $this->regionUnder[$upper] = $r;

        return $r;
    }

    private function forget(int $r): void
    {
        array_splice($this->status, (int) array_search($r, $this->status, true), 1);
    }

    /** How many of the regions the sweep line meets have their lower edge below a corner; $n settles a corner on that edge. */
    private function regionsBelow(int $v, int $n): int
    {
        $low = 0;
        $high = count($this->status);
        while ($low < $high) {
            $mid = ($low + $high) >> 1;
            $a = $this->lower[$this->status[$mid]];
            $b = $this->next[$a];
            $ax = $this->x[$a];
            $ay = $this->y[$a];
            $dx = $this->x[$b] - $ax;
            $dy = $this->y[$b] - $ay;
            $side = $dx * ($this->y[$v] - $ay) - $dy * ($this->x[$v] - $ax);
            if ($side === 0.0) {
                $side = $dx * ($this->y[$n] - $ay) - $dy * ($this->x[$n] - $ax);
            }
            if ($side > 0) {
                $low = $mid + 1;
            } else {
                $high = $mid;
            }
        }

        return $low;
    }
}
