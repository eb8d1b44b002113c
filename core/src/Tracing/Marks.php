<?php

declare(strict_types=1);

namespace Isleward\Core\Tracing;

use Isleward\Core\Building\Body;
use Isleward\Core\Geometry\Vec2;

/**
 * What a tracing marks along a wall: lines across it, where jambs are, and the lines that run along its faces and within it. u on the
 * wall's outer face, mm.
 */
final readonly class Marks
{
    /** Lines within so much of square count as across or along (tangent of 8°). */
    private const SQUARE = 0.14;

    /** Lines nearer than this to each other are one mark, mm. */
    private const ONE = 4.0;

    /**
     * @param  list<float>  $across  u of lines across the wall, rising
     * @param  list<array{float, float}>  $outer  stretches covered along the outer face
     * @param  list<array{float, float}>  $inner  stretches covered along the inner face
     * @param  list<array{float, float}>  $within  stretches covered between the faces: panes and frames
     */
    private function __construct(public array $across, private array $outer, private array $inner, private array $within)
    {
    }

    /** @param  list<float>  $lines  in plan, x0, y0, x1, y1 … mm */
    public static function along(Body $body, array $lines): self
    {
        $t = $body->host->depth();
        $surface = $body->surface;
        $length = $body->length;
        $near = max(40.0, $t * 0.18);
        $across = $outer = $inner = $within = [];
        for ($i = 0, $count = count($lines); $i < $count; $i += 4) {
            [$a, $b] = [new Vec2($lines[$i], $lines[$i + 1]), new Vec2($lines[$i + 2], $lines[$i + 3])];
            [$d0, $d1] = [$surface->depth($a), $surface->depth($b)];
            if (($d0 < -$near && $d1 < -$near) || ($d0 > $t + $near && $d1 > $t + $near)) {
                continue;
            }
            [$u0, $u1] = [$surface->u($a), $surface->u($b)];
            [$du, $dd] = [abs($u1 - $u0), abs($d1 - $d0)];
            if (max($u0, $u1) < -$near || min($u0, $u1) > $length + $near) {
                continue;
            }
            if ($du <= self::SQUARE * $dd) {
                // across: it reaches over half of the thickness, and not far beyond the faces, as a wall that crosses would
                $over = min($t, max($d0, $d1)) - max(0.0, min($d0, $d1));
                if ($over >= $t * 0.5 && $dd <= $t * 3) {
                    // where it comes to the outer face: there jambs are measured, and on an arc they may slant
                    $across[] = $surface->isFlat() ? ($u0 + $u1) / 2 : $u0 + ($u1 - $u0) * $d0 / ($d0 - $d1);
                }
            } elseif ($dd <= self::SQUARE * $du) {
                $d = ($d0 + $d1) / 2;
                $stretch = [min($u0, $u1), max($u0, $u1)];
                if (abs($d) <= $near) {
                    $outer[] = $stretch;
                } elseif (abs($d - $t) <= $near) {
                    $inner[] = $stretch;
                } elseif ($d > 0 && $d < $t) {
                    $within[] = $stretch;
                }
            }
        }
        sort($across);
        $marks = [];
        foreach ($across as $u) {
            if ($marks === [] || $u - $marks[count($marks) - 1] > self::ONE) {
                $marks[] = $u;
            }
        }

        return new self($marks, $outer, $inner, $within);
    }

    /** Whether anything is drawn along the wall at all. */
    public function isDrawn(): bool
    {
        return $this->across !== [] || $this->outer !== [] || $this->inner !== [] || $this->within !== [];
    }

    /** The mark nearest to a place, or null when there is none. */
    public function nearest(float $u): ?float
    {
        $best = null;
        foreach ($this->across as $mark) {
            if ($best === null || abs($mark - $u) < abs($best - $u)) {
                $best = $mark;
            }
        }

        return $best;
    }

    /**
     * Stretches between neighbouring marks that look like openings: a face is not drawn there, or a pane is.
     *
     * @return list<array{float, float}>
     */
    public function openings(float $least = 250.0, float $most = 9000.0): array
    {
        $found = [];
        for ($i = 1, $n = count($this->across); $i < $n; $i++) {
            [$a, $b] = [$this->across[$i - 1], $this->across[$i]];
            if ($b - $a < $least || $b - $a > $most) {
                continue;
            }
            $solid = self::covered($this->outer, $a, $b) > 0.6 && self::covered($this->inner, $a, $b) > 0.6;
            $drawn = self::covered($this->outer, $a, $b) > 0.6 || self::covered($this->inner, $a, $b) > 0.6;
            if (self::covered($this->within, $a, $b) > 0.5 || (! $solid && ($drawn || $this->isWall($a, $b)))) {
                $found[] = [$a, $b];
            }
        }

        return $found;
    }

    /** Whether a wall is drawn on either side of a gap: else the gap is no opening but a place without a wall. */
    private function isWall(float $a, float $b): bool
    {
        return self::covered($this->outer, $a - 200, $a) > 0.4 || self::covered($this->outer, $b, $b + 200) > 0.4;
    }

    /** @param  list<array{float, float}>  $stretches */
    private static function covered(array $stretches, float $a, float $b): float
    {
        $inside = [];
        foreach ($stretches as [$from, $to]) {
            if ($to > $a && $from < $b) {
                $inside[] = [max($a, $from), min($b, $to)];
            }
        }
        sort($inside);
        $sum = 0.0;
        $reached = $a;
        foreach ($inside as [$from, $to]) {
            $sum += max(0.0, $to - max($from, $reached));
            $reached = max($reached, $to);
        }

        return $sum / max(1e-9, $b - $a);
    }
}
