<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** Cuts a contour by an upright or level line that runs through it: its edges on one side, closed along the line. */
final class Cut
{
    /** @return list<Contour> what lies right of x = $at ($upright) or over y = $at; the other side when not $beyond */
    public static function apart(Contour $contour, bool $upright, float $at, bool $beyond): array
    {
        $halved = $contour->hasCurves() ? null : self::halved($contour, $upright, $at, $beyond);
        if ($halved !== null) {
            return $halved;
        }
        $chains = [];
        $chain = [];
        foreach ($contour->edges() as $edge) {
            $cuts = [0.0, ...$edge->crossings($upright, $at), 1.0];
            for ($i = 0, $n = count($cuts) - 1; $i < $n; $i++) {
                [$mx, $my] = $edge->at(($cuts[$i] + $cuts[$i + 1]) / 2);
                $off = ($upright ? $mx : $my) - $at;
                if ($beyond ? $off > 1e-7 : $off < -1e-7) {
                    $chain[] = $n === 1 ? $edge : $edge->part($cuts[$i], $cuts[$i + 1]);
                } elseif ($chain !== []) {
                    $chains[] = $chain;
                    $chain = [];
                }
            }
        }
        if ($chain !== []) {
            if ($chains !== [] && hypot(
                $chains[0][0]->x0 - $chain[count($chain) - 1]->x1,
                $chains[0][0]->y0 - $chain[count($chain) - 1]->y1,
            ) < 1e-6 && ! self::onLine($chains[0][0], $upright, $at)) {
                $chains[0] = [...$chain, ...$chains[0]];
            } else {
                $chains[] = $chain;
            }
        }

        return self::closed($chains, $upright, $at, $beyond);
    }

    /**
     * What is on a side of a line of a contour with straight edges, when that is one piece: when its outline leaves that side once.
     *
     * @return list<Contour>|null  null when it may be several
     */
    private static function halved(Contour $contour, bool $upright, float $at, bool $beyond): ?array
    {
        $sign = $beyond ? 1.0 : -1.0;
        $out = [];
        foreach ($contour->edges() as $e) {
            $a = $sign * (($upright ? $e->x0 : $e->y0) - $at);
            $b = $sign * (($upright ? $e->x1 : $e->y1) - $at);
            if ($a > -1e-7 && $b > -1e-7) {
                if ($a > 1e-7 || $b > 1e-7) {
                    $out[] = $e;
                }

                continue;
            }
            if ($a <= 1e-7 && $b <= 1e-7) {
                continue;
            }
            $share = $a / ($a - $b);
            [$x, $y] = $upright ? [$at, $e->y0 + $share * ($e->y1 - $e->y0)] : [$e->x0 + $share * ($e->x1 - $e->x0), $at];
            $out[] = $a > 0 ? Curve::straight($e->x0, $e->y0, $x, $y) : Curve::straight($x, $y, $e->x1, $e->y1);
        }
        $closed = [];
        $gaps = 0;
        $n = count($out);
        foreach ($out as $i => $e) {
            $closed[] = $e;
            $next = $out[($i + 1) % $n];
            if (abs($next->x0 - $e->x1) > 1e-7 || abs($next->y0 - $e->y1) > 1e-7) {
                if (++$gaps > 1) {
                    return null;
                }
                $closed[] = Curve::straight($e->x1, $e->y1, $next->x0, $next->y0);
            }
        }

        return count($closed) > 2 ? [Contour::of($closed)] : [];
    }

    private static function onLine(Curve $e, bool $upright, float $at): bool
    {
        return abs(($upright ? $e->x0 : $e->y0) - $at) < 1e-6;
    }

    /**
     * Closes chains whose ends lie on a line along it, with the inside on the left.
     *
     * @param  list<non-empty-list<Curve>>  $chains
     * @return list<Contour>
     */
    private static function closed(array $chains, bool $upright, float $at, bool $beyond): array
    {
        // along the line in the direction that has what is kept on its left
        $sign = $upright === $beyond ? -1.0 : 1.0;
        $ends = [];
        foreach ($chains as $i => $chain) {
            $first = $chain[0];
            $last = $chain[count($chain) - 1];
            $ends[] = [$sign * ($upright ? $last->y1 : $last->x1), 0, $i];
            $ends[] = [$sign * ($upright ? $first->y0 : $first->x0), 1, $i];
        }
        usort($ends, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $next = [];
        $open = $waiting = [];
        foreach ($ends as [, $isStart, $i]) {
            if ($isStart === 1 && $open !== []) {
                $next[array_shift($open)] = $i;
            } elseif ($isStart === 1) {
                $waiting[] = $i;
            } elseif ($waiting !== []) {
                $next[$i] = array_shift($waiting);
            } else {
                $open[] = $i;
            }
        }
        $out = [];
        $done = [];
        foreach (array_keys($chains) as $from) {
            if (isset($done[$from])) {
                continue;
            }
            $edges = [];
            for ($i = $from; ! isset($done[$i]); $i = $next[$i] ?? $from) {
                $done[$i] = true;
                array_push($edges, ...$chains[$i]);
                $last = $edges[count($edges) - 1];
                $to = $chains[$next[$i] ?? $from][0];
                if (hypot($to->x0 - $last->x1, $to->y0 - $last->y1) > 1e-7) {
                    $edges[] = Curve::straight($last->x1, $last->y1, $to->x0, $to->y0);
                }
            }
            $piece = $edges === [] ? null : Contour::of($edges);
            if ($piece !== null && $piece->area() > Tolerance::LENGTH) {
                $out[] = $piece;
            }
        }

        return $out;
    }
}
