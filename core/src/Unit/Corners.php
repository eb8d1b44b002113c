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
        $edges = $margin->outer->edges;
        $n = count($edges);
        // what a neighbour changes of a piece: its inner ends where it runs through, its outer ones where it stops
        $innerStart = $innerEnd = $outerStart = $outerEnd = [];
        for ($b = 0; $b < $n && ! $mitred; $b++) {
            $a = ($b + $n - 1) % $n;
            if ($widths[$a] <= 0 || $widths[$b] <= 0 || $sides[$a]->isJamb() === $sides[$b]->isJamb() || $margin->lines[$a] === null || $margin->lines[$b] === null
                || $edges[$a]->isCurved() || $edges[$b]->isCurved()) {
                continue;
            }
            [$ax, $ay] = $edges[$a]->direction(1.0);
            [$bx, $by] = $edges[$b]->direction(0.0);
            if ($ax * $by - $ay * $bx < 1e-6) {
                continue; // tangent, or a corner that points inward
            }
            [$through, $stops] = $sides[$a]->isJamb() ? [$a, $b] : [$b, $a];
            $x = $margin->lines[$through]?->meets($edges[$stops], $edges[$b]->x0, $edges[$b]->y0);
            if ($x === null) {
                continue;
            }
            if ($through === $a) {
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
            $piece = $margin->piece($i, [$outerStart[$i] ?? [$e->x0, $e->y0], $outerEnd[$i] ?? [$e->x1, $e->y1]], [$innerStart[$i] ?? $start, $innerEnd[$i] ?? $end]);
            if ($piece !== null) {
                $pieces[] = [$i, $piece];
            }
        }

        return $pieces;
    }
}
