<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Margin;
use Isleward\Core\Geometry\Side;

/** Cuts the pieces of a margin at its corners: mitred, or with jambs that run through to the outer edge of the head or sill they meet. */
final class Corners
{
    /**
     * @param  list<Side>  $sides
     * @param  list<float>  $widths
     * @return list<array{int, Contour}> edge and its piece
     */
    public static function pieces(Margin $margin, array $sides, array $widths, bool $mitred): array
    {
        $edges = $margin->outer->edges();
        $n = count($edges);
        $through = $mitred ? [] : self::through($margin, $sides, $widths);
        // what a neighbour changes of a piece: its inner ends where it runs through, its outer ones where it stops
        $innerStart = $innerEnd = $outerStart = $outerEnd = [];
        foreach ($through as $b => [$afterStops, $x]) {
            $a = ($b + $n - 1) % $n;
            if ($afterStops) {
                $innerEnd[$a] = $outerStart[$b] = $x;
            } else {
                $innerStart[$b] = $outerEnd[$a] = $x;
            }
        }
        $pieces = [];
        for ($i = 0; $i < $n; $i++) {
            if ($widths[$i] <= 0) {
                continue;
            }
            $e = $edges[$i];
            [$start, $end] = $margin->inside[$i];
            $piece = $margin->piece(
                $i,
                [$outerStart[$i] ?? [$e->x0, $e->y0], $outerEnd[$i] ?? [$e->x1, $e->y1]],
                [$innerStart[$i] ?? $start, $innerEnd[$i] ?? $end],
            );
            if ($piece !== null) {
                $pieces[] = [$i, $piece];
            }
        }

        return $pieces;
    }

    /**
     * Corners at which a jamb runs through and a head or sill stops at its inner line. Where the jambs on both sides would meet
     * before they reach the edge between them, neither runs through.
     *
     * @param  list<Side>  $sides
     * @param  list<float>  $widths
     * @return array<int, array{bool, array{float, float}}> by the edge after the corner: whether that one stops, and where
     */
    private static function through(Margin $margin, array $sides, array $widths): array
    {
        $edges = $margin->outer->edges();
        $n = count($edges);
        $jamb = [];
        foreach ($sides as $side) {
            $jamb[] = $side === Side::Left || $side === Side::Right;
        }
        $through = [];
        for ($b = 0; $b < $n; $b++) {
            $a = $b === 0 ? $n - 1 : $b - 1;
            if ($jamb[$a] === $jamb[$b]
                            || $widths[$a] <= 0
                            || $widths[$b] <= 0
                            || $margin->lines[$a] === null
                            || $margin->lines[$b] === null
                            || $edges[$a]->rx > 0.0 || $edges[$b]->rx > 0.0) {
                continue;
            }
            [$ax, $ay] = $edges[$a]->direction(1.0);
            [$bx, $by] = $edges[$b]->direction(0.0);
            if ($ax * $by - $ay * $bx < 1e-6) {
                continue; // tangent, or a corner that points inward
            }
            [$runs, $stops] = $jamb[$a] ? [$a, $b] : [$b, $a];
            $x = $margin->lines[$runs]?->meets($edges[$stops], $edges[$b]->x0, $edges[$b]->y0);
            if ($x !== null) {
                $through[$b] = [$runs === $a, $x];
            }
        }
        foreach ($through === [] ? [] : $edges as $i => $e) {
            $next = ($i + 1) % $n;
            if ($e->isCurved() || ! isset($through[$i]) && ! isset($through[$next])) {
                continue;
            }
            [$dx, $dy] = $e->direction(0.0);
            $start = isset($through[$i]) && $through[$i][0] ? $through[$i][1] : [$e->x0, $e->y0];
            $end = isset($through[$next]) && ! $through[$next][0] ? $through[$next][1] : [$e->x1, $e->y1];
            if (($end[0] - $start[0]) * $dx + ($end[1] - $start[1]) * $dy < 1e-6) {
                unset($through[$i], $through[$next]);
            }
        }

        return $through;
    }
}
