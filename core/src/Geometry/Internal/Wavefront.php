<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry\Internal;

use Isleward\Core\Geometry\InvalidPath;

/**
 * Sides of a polygon moving inward, from one time at which corners meet something to the next. A corner stays where the lines of its two
 * sides meet, so that its place is worked out from them at any time and no error adds up. At a time at which several corners and sides come
 * to one point, all of them are taken apart there and what arrives is joined with what leaves next to it; sides that come to lie on one
 * another (a ridge) are closed along it at once.
 */
final class Wavefront
{
    /** Points nearer than that are one, mm. */
    private const NEAR = 1e-5;

    /** Directions that differ by less are one, radians. */
    private const ALIKE = 1e-9;

    /** @var list<array{float, float, float}> x, y, when */
    private array $nodes = [];

    /** @var list<array{int, int, int, int}> from, to, side before, side after */
    private array $arcs = [];

    /** @var list<array{int, int}> nodes */
    private array $sides = [];

    /** @var list<array{float, float, float, float, float}> of every side: direction x and y, inward · where it begins, speed, length */
    private array $lines = [];

    // Of corners, by number: side before, side after, node where it came to be, neighbours, and where it would have been at 0 and its speed

    /** @var array<int, int> */
    private array $before = [];

    /** @var array<int, int> */
    private array $after = [];

    /** @var array<int, int> */
    private array $born = [];

    /** @var array<int, int> */
    private array $prev = [];

    /** @var array<int, int> */
    private array $next = [];

    /** @var array<int, array{float, float, float, float}> x, y, dx, dy */
    private array $way = [];

    /** @var array<int, float> when the side after it has shrunk to nothing */
    private array $shrunk = [];

    /** @var array<int, true> corners that point inward */
    private array $inward = [];

    /** @var array<int, float> until when it was looked for what a corner that points inward comes onto */
    private array $seen = [];

    /** @var array<int, array{float, int}> of corners that point inward: when they come onto a side, and the corner it begins at */
    private array $hits = [];

    private float $now = 0.0;

    private int $made = 0;

    /**
     * @param  list<list<array{float, float}>>  $rings
     * @param  list<float>  $speeds
     */
    public function __construct(array $rings, array $speeds)
    {
        foreach ($rings as $ring) {
            $first = count($this->nodes);
            $n = count($ring);
            foreach ($ring as $i => [$x, $y]) {
                [$bx, $by] = $ring[($i + 1) % $n];
                $length = hypot($bx - $x, $by - $y);
                if ($length < self::NEAR) {
                    throw InvalidPath::noLength();
                }
                [$dx, $dy] = [($bx - $x) / $length, ($by - $y) / $length];
                $this->lines[] = [$dx, $dy, -$dy * $x + $dx * $y, $speeds[$first + $i], $length];
                $this->nodes[] = [$x, $y, 0.0];
                $this->sides[] = [$first + $i, $first + ($i + 1) % $n];
            }
            for ($i = 0; $i < $n; $i++) {
                $corner = $this->corner($first + ($i + $n - 1) % $n, $first + $i, $first + $i);
                $this->prev[$corner] = $first + ($i + $n - 1) % $n;
                $this->next[$corner] = $first + ($i + 1) % $n;
            }
        }
        foreach (array_keys($this->before) as $i) {
            $this->shrunk[$i] = $this->shrinks($i);
        }
        foreach (array_keys($this->before) as $i) {
            $this->look($i);
        }
    }

    /** @return array{list<array{float, float, float}>, list<array{int, int, int, int}>, list<array{int, int}>} nodes, arcs, sides */
    public function run(): array
    {
        $most = 40 * count($this->sides) + 200;
        while ($this->before !== []) {
            [$when, $corner, $hits] = $this->soonest();
            if ($corner === null || $this->made > $most) {
                throw InvalidPath::neverMeets();
            }
            if ($hits && ! $this->stillHits($corner, $when)) {
                $this->now = max($this->now, min($this->now, $when));
                $this->look($corner);

                continue;
            }
            $this->now = max($this->now, $when);
            $this->meet($this->at($corner, $this->now), []);
        }

        return [$this->nodes, $this->arcs, $this->sides];
    }

    /** @return array{float, int|null, bool} when something meets next, the corner, and whether it comes onto a side */
    private function soonest(): array
    {
        $best = INF;
        $corner = null;
        foreach ($this->shrunk as $i => $when) {
            if ($when < $best) {
                [$best, $corner] = [$when, $i];
            }
        }
        $hits = false;
        foreach ($this->hits as $i => [$when]) {
            if ($when < $best) {
                [$best, $corner, $hits] = [$when, $i, true];
            }
        }

        return [$best, $corner, $hits];
    }

    /**
     * What comes to one point now is taken apart, and joined with what lies next to it.
     *
     * @param  array{float, float}  $point
     * @param  list<int>  $forced  corners that come to it along a ridge
     */
    private function meet(array $point, array $forced): void
    {
        [$px, $py] = $point;
        $t = $this->now;
        $here = array_fill_keys($forced, true);
        foreach ($this->way as $i => $way) {
            $off = $way[0] + $way[2] * $t - $px;
            if ($off < self::NEAR && $off > -self::NEAR && abs($way[1] + $way[3] * $t - $py) < self::NEAR) {
                $here[$i] = true;
            }
        }
        // sides that run through the point between two corners: those that corners which are here now come onto
        $through = [];
        foreach ($here as $i => $_) {
            $j = $this->hits[$i][1] ?? null;
            if ($j === null || ! isset($this->after[$j]) || isset($here[$j]) || isset($here[$this->next[$j]])) {
                continue;
            }
            [$dx, $dy, $c, $speed] = $this->lines[$this->after[$j]];
            if (abs(-$dy * $px + $dx * $py - $c - $speed * $t) < self::NEAR && $this->within($i, $j, $t)) {
                $through[$j] = $j;
            }
        }
        $node = $this->node($px, $py);
        $in = $out = [];
        foreach (array_keys($here) as $i) {
            if (! isset($here[$this->prev[$i]])) {
                $in[] = [$this->before[$i], $this->prev[$i]];
            }
            if (! isset($here[$this->next[$i]])) {
                $out[] = [$this->after[$i], $this->next[$i]];
            }
        }
        foreach ($through as $j) {
            $in[] = [$this->after[$j], $j];
            $out[] = [$this->after[$j], $this->next[$j]];
        }
        foreach (array_keys($here) as $i) {
            $this->die($i, $node);
        }
        $ridges = $changed = [];
        foreach ($this->pairs($in, $out) as [$k, $l, $flat]) {
            [$a, $from] = $in[$k];
            [$b, $to] = $out[$l];
            $flat = $flat || ($t > 0.0 && $this->overtakes($a, $b));
            $corner = $this->corner($a, $b, $node, $flat);
            $this->prev[$corner] = $from;
            $this->next[$from] = $corner;
            $this->next[$corner] = $to;
            $this->prev[$to] = $corner;
            if ($flat) {
                $ridges[] = $corner;
            } else {
                array_push($changed, $from, $corner);
            }
        }
        $this->changed($changed);
        foreach ($ridges as $corner) {
            if (isset($this->before[$corner])) {
                $this->close($corner);
            }
        }
    }

    /** The node at a point now; where a ridge comes round to where it began there is one. */
    private function node(float $x, float $y): int
    {
        for ($i = count($this->nodes) - 1; $i >= 0 && $this->nodes[$i][2] === $this->now; $i--) {
            if (abs($this->nodes[$i][0] - $x) < self::NEAR && abs($this->nodes[$i][1] - $y) < self::NEAR) {
                return $i;
            }
        }
        $this->nodes[] = [$x, $y, $this->now];

        return count($this->nodes) - 1;
    }

    /** Whether two sides lie in one line now, of which one moves faster: it goes on alone, over all that there is of the other. */
    private function overtakes(int $a, int $b): bool
    {
        [[$ax, $ay, , $as], [$bx, $by, , $bs]] = [$this->lines[$a], $this->lines[$b]];

        return abs($ax * $by - $ay * $bx) <= self::ALIKE && $ax * $bx + $ay * $by > 0.0 && abs($as - $bs) >= 1e-9;
    }

    /**
     * Two sides lie on one another from a corner on: a ridge, to the nearer of their other ends. Or they lie in one line: then the slower
     * one ends there, along all of it.
     */
    private function close(int $corner): void
    {
        [$before, $after] = [$this->before[$corner], $this->after[$corner]];
        if ($this->overtakes($before, $after)) {
            $end = $this->lines[$before][3] > $this->lines[$after][3] ? $this->next[$corner] : $this->prev[$corner];
            $this->meet($this->at($end, $this->now), [$corner]);

            return;
        }
        [$x, $y] = [$this->nodes[$this->born[$corner]][0], $this->nodes[$this->born[$corner]][1]];
        $ends = [$this->at($this->prev[$corner], $this->now), $this->at($this->next[$corner], $this->now)];
        $far = array_map(static fn (array $p): float => hypot($p[0] - $x, $p[1] - $y), $ends);
        $this->meet($ends[$far[0] <= $far[1] ? 0 : 1], [$corner]);
    }

    /**
     * What arrives at a point with what leaves next to it, clockwise from where it came: between them lies what is still inside.
     *
     * @param  list<array{int, int}>  $in  side, and the corner it comes from
     * @param  list<array{int, int}>  $out  side, and the corner it goes to
     * @return list<array{int, int, bool}> of both lists, and whether they lie on one another
     */
    private function pairs(array $in, array $out): array
    {
        $pairs = [];
        foreach ($in as $k => [$a]) {
            foreach ($out as $l => [$b]) {
                $turn = fmod(
                    atan2(-$this->lines[$a][1], -$this->lines[$a][0]) - atan2($this->lines[$b][1], $this->lines[$b][0]) + 4 * M_PI,
                    2 * M_PI,
                );
                $pairs[] = [$turn > 2 * M_PI - self::ALIKE ? 0.0 : $turn, $k, $l];
            }
        }
        sort($pairs);
        $done = $used = $gone = [];
        foreach ($pairs as [$turn, $k, $l]) {
            if (! isset($used[$k]) && ! isset($gone[$l])) {
                $used[$k] = $gone[$l] = true;
                $done[] = [$k, $l, $turn < self::ALIKE];
            }
        }

        return $done;
    }

    private function corner(int $before, int $after, int $node, bool $flat = false): int
    {
        $i = $this->made++;
        $this->before[$i] = $before;
        $this->after[$i] = $after;
        $this->born[$i] = $node;
        [$ax, $ay, $ac, $as] = $this->lines[$before];
        [$bx, $by, $bc, $bs] = $this->lines[$after];
        $det = $ax * $by - $ay * $bx;
        if ($det < -self::ALIKE) {
            $this->inward[$i] = true;
        }
        if (abs($det) > self::ALIKE) {
            // where −ay·x + ax·y = ac + as·t and the same of b
            $this->way[$i] = [
                ($ac * $bx - $bc * $ax) / $det, ($ac * $by - $bc * $ay) / $det,
                ($as * $bx - $bs * $ax) / $det, ($as * $by - $bs * $ay) / $det,
            ];
        } elseif ($flat || $ax * $bx + $ay * $by < 0) {
            $this->way[$i] = [$this->nodes[$node][0], $this->nodes[$node][1], 0.0, 0.0]; // it is closed at once
        } elseif (abs($as - $bs) < 1e-9) {
            [$x, $y] = $this->nodes[$node];
            $this->way[$i] = [$x + $ay * $as * $this->now, $y - $ax * $as * $this->now, -$ay * $as, $ax * $as];
        } else {
            throw InvalidPath::sidesInLine();
        }

        return $i;
    }

    private function die(int $i, int $node): void
    {
        if ($this->born[$i] !== $node) {
            $this->arcs[] = [$this->born[$i], $node, $this->before[$i], $this->after[$i]];
        }
        unset($this->before[$i], $this->after[$i], $this->way[$i], $this->shrunk[$i], $this->hits[$i], $this->inward[$i], $this->seen[$i]);
    }

    /** @return array{float, float} */
    private function at(int $i, float $t): array
    {
        [$x, $y, $dx, $dy] = $this->way[$i];

        return [$x + $dx * $t, $y + $dy * $t];
    }

    /** When the side after a corner has shrunk to nothing. */
    private function shrinks(int $i): float
    {
        $j = $this->next[$i];
        [$dx, $dy] = $this->lines[$this->after[$i]];
        [$ax, $ay, $avx, $avy] = $this->way[$i];
        [$bx, $by, $bvx, $bvy] = $this->way[$j];
        $rate = $dx * ($bvx - $avx) + $dy * ($bvy - $avy);
        if ($rate > -1e-12) {
            return INF;
        }

        return max($this->now, -($dx * ($bx - $ax) + $dy * ($by - $ay)) / $rate);
    }

    /**
     * Finds the first side that a corner which points inward comes onto, before one of its own has shrunk to nothing: then it is gone.
     */
    private function look(int $i): void
    {
        unset($this->hits[$i]);
        if (! isset($this->inward[$i])) {
            return;
        }
        $best = $this->seen[$i] = $this->lasts($i);
        [$x, $y, $vx, $vy] = $this->way[$i];
        [$own, $other] = [$this->before[$i], $this->after[$i]];
        $lines = $this->lines;
        $since = $this->now - 1e-6;
        foreach ($this->after as $j => $side) {
            $line = $lines[$side];
            $rate = $line[0] * $vy - $line[1] * $vx - $line[3];
            $off = $line[1] * $x - $line[0] * $y + $line[2];
            // it comes onto its line after off / rate, of which both are less than nothing when that lies ahead
            if ($rate > -1e-12 || $off <= $best * $rate || $off >= $since * $rate || $side === $own || $side === $other) {
                continue;
            }
            $when = $off / $rate;
            if ($this->within($i, $j, $when)) {
                $best = max($when, $this->now);
                $this->hits[$i] = [$best, $j];
            }
        }
    }

    /** Keeps for every corner that points inward when it comes onto the side after corner $j, if that is sooner than all others. */
    private function lookFrom(int $j): void
    {
        $side = $this->after[$j];
        [$dx, $dy, $c, $speed] = $this->lines[$side];
        $since = $this->now - 1e-6;
        $ways = $this->way;
        foreach ($this->inward as $i => $_) {
            $way = $ways[$i];
            $rate = $dx * $way[3] - $dy * $way[2] - $speed;
            $off = $dy * $way[0] - $dx * $way[1] + $c;
            if ($rate > -1e-12 || $off >= $since * $rate) {
                continue;
            }
            $when = $off / $rate;
            if ($when < ($this->hits[$i][0] ?? $this->lasts($i)) && $side !== $this->before[$i]
                && $side !== $this->after[$i] && $this->within($i, $j, $when)) {
                $this->hits[$i] = [max($when, $this->now), $j];
            }
        }
    }

    /** How long a corner lasts at the most. */
    private function lasts(int $i): float
    {
        return min($this->shrunk[$i] ?? INF, $this->shrunk[$this->prev[$i]] ?? INF) + 1e-6;
    }

    /** Whether a corner lies between the ends of the side after another. */
    private function within(int $i, int $j, float $when): bool
    {
        [$dx, $dy] = $this->lines[$this->after[$j]];
        [$x, $y] = $this->at($i, $when);
        [$ax, $ay] = $this->at($j, $when);
        [$bx, $by] = $this->at($this->next[$j], $when);
        $along = $dx * $x + $dy * $y;

        return $along > $dx * $ax + $dy * $ay - self::NEAR && $along < $dx * $bx + $dy * $by + self::NEAR;
    }

    private function stillHits(int $i, float $when): bool
    {
        $j = $this->hits[$i][1];

        return isset($this->after[$j]) && $this->within($i, $j, $when);
    }

    /** @param  list<int>  $corners  whose sides after them have other ends than before */
    private function changed(array $corners): void
    {
        $corners = array_values(array_filter(array_unique($corners), fn (int $i): bool => isset($this->after[$i])));
        $again = [];
        foreach ($corners as $i) {
            $this->shrunk[$i] = $this->shrinks($i);
        }
        foreach ($corners as $i) {
            foreach ([$i, $this->next[$i]] as $end) {
                // it was not looked for what comes after it would have been gone
                if (! isset($this->hits[$end]) && $this->lasts($end) > ($this->seen[$end] ?? -INF)) {
                    $again[$end] = true;
                }
            }
        }
        // one that comes onto a side which has changed or gone is looked at again when its time comes, if it lives so long
        foreach ($again as $i => $_) {
            $this->look($i);
        }
        foreach ($corners as $j) {
            $this->lookFrom($j);
        }
    }
}
