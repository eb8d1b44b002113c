<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Contour;

/**
 * What a light leaves free when it stands open, geometrically: the clear opening seen square on, between what it is hung in
 * and its leaf as thick as it is; and the way for air round a hung leaf (the gap before its free edge and the two triangles
 * beside it, never more than the light itself). Of a shaped light the clear opening is what lies beyond the leaf's shadow.
 */
final readonly class FreeOpening
{
    /**
     * @param  float  $width  of the widest single way through, mm
     * @param  float  $height  mm
     * @param  float  $area  of all ways through, mm²
     * @param  float  $air  mm²
     */
    private function __construct(public float $width, public float $height, public float $area, public float $air)
    {
    }

    /** @param  float  $share  how far open, 0 to 1 */
    public static function of(SolvedLight $light, float $share): self
    {
        $c = $light->contour;
        [$x0, $y0, $x1, $y1] = $c->bounds();
        [$w, $h] = [$x1 - $x0, $y1 - $y0];
        $angle = $light->light->reach() * $share;
        $thick = $light->light->sash->depth ?? 0.0;

        return match ($light->light->operation) {
            Operation::Fixed => new self(0.0, 0.0, 0.0, 0.0),
            Operation::Open => new self($w, $h, $c->area(), $c->area()),
            Operation::Louvre => new self(0.0, 0.0, $light->louvre['free'] ?? 0.0, $light->louvre['free'] ?? 0.0),
            Operation::SideHung, Operation::TiltAndTurn,
            Operation::HingedDoor => self::hung($c, true, $light->hinge === HingeSide::Left, self::shadow($w, $thick, $angle), $angle),
            Operation::TopHung => self::hung($c, false, false, self::shadow($h, $thick, $angle), $angle),
            Operation::BottomHung => self::hung($c, false, true, self::shadow($h, $thick, $angle), $angle),
            Operation::SideHungPair, Operation::DoorPair => self::pair($c, self::shadow($w / 2, $thick, $angle), $angle),
            Operation::HorizontalPivot => self::pivoted($w, $h, $h, $thick, $angle, false),
            Operation::VerticalPivot => self::pivoted($w, $h, $w, $thick, $angle, true),
            Operation::Sliding, Operation::SlidingDoor, Operation::VerticalSliding => self::slid($light, $share),
            Operation::Folding => self::folded($w, $h, $light->light->folds, $thick, $angle),
        };
    }

    /** How much of its light a leaf $size wide and $thick hides, turned by $angle about the edge of the face it opens to. */
    private static function shadow(float $size, float $thick, float $angle): float
    {
        return $angle <= 0.0 ? $size : min($size, max(0.0, $size * cos($angle)) + $thick * sin($angle));
    }

    private static function hung(Contour $c, bool $upright, bool $low, float $shadow, float $angle): self
    {
        [$x0, $y0, $x1, $y1] = $c->bounds();
        [$from, $to] = $upright ? [$x0, $x1] : [$y0, $y1];
        $size = $to - $from;
        $free = $size - $shadow;
        $area = 0.0;
        foreach ($free > 1e-9 ? $c->clipped($upright, $low ? $from + $shadow : $to - $shadow, $low) : [] as $piece) {
            $area += $piece->area();
        }
        $free = max(0.0, $free);
        $across = $upright ? $y1 - $y0 : $x1 - $x0;

        return new self(
            $upright ? $free : ($free > 0 ? $across : 0.0),
            $upright ? ($free > 0 ? $across : 0.0) : $free,
            $area,
            min($c->area(), self::air($size, $across, $angle)),
        );
    }

    private static function air(float $size, float $across, float $angle): float
    {
        return $across * 2 * $size * sin($angle / 2) + $size * $size * sin(min($angle, M_PI_2));
    }

    private static function pair(Contour $c, float $shadow, float $angle): self
    {
        [$x0, , $x1] = $c->bounds();
        $middle = ($x0 + $x1) / 2;
        $width = $area = $air = $height = 0.0;
        foreach ([true, false] as $low) {
            foreach ($c->clipped(true, $middle, ! $low) as $half) {
                $one = self::hung($half, true, $low, $shadow, $angle);
                $width += $one->width;
                $area += $one->area;
                $air += $one->air;
                $height = max($height, $one->height);
            }
        }

        return new self($width, $height, $area, $air);
    }

    private static function pivoted(float $w, float $h, float $size, float $thick, float $angle, bool $upright): self
    {
        $half = $size / 2;
        $gap = max(0.0, $half - $half * cos($angle) - $thick / 2 * sin($angle));
        $across = $upright ? $h : $w;

        return new self(
            $upright ? $gap : ($gap > 0 ? $w : 0.0),
            $upright ? ($gap > 0 ? $h : 0.0) : $gap,
            2 * $gap * $across,
            min($w * $h, 2 * self::air($half, $across, $angle)),
        );
    }

    private static function slid(SolvedLight $light, float $share): self
    {
        $upright = $light->light->operation !== Operation::VerticalSliding;
        [$x0, $y0, $x1, $y1] = $light->contour->bounds();
        [$from, $to] = $upright ? [$x0, $x1] : [$y0, $y1];
        $widest = $total = 0.0;
        foreach (self::ways($light, $share) as $moved) {
            $covers = [];
            foreach ($light->leaves as $i => $leaf) {
                [$a, $b, $c, $d] = $leaf->contour->bounds();
                $covers[] = $upright ? [$a + $moved[$i], $c + $moved[$i]] : [$b + $moved[$i], $d + $moved[$i]];
            }
            sort($covers);
            $at = $from;
            $wide = $all = 0.0;
            foreach ([...$covers, [$to, $to]] as [$low, $high]) {
                $gap = min($low, $to) - $at;
                if ($gap > 1e-6) {
                    $wide = max($wide, $gap);
                    $all += $gap;
                }
                $at = max($at, $high);
            }
            if ($wide > $widest) {
                [$widest, $total] = [$wide, $all];
            }
        }
        $across = $upright ? $y1 - $y0 : $x1 - $x0;

        return new self(
            $upright ? $widest : ($widest > 0 ? $across : 0.0),
            $upright ? ($widest > 0 ? $across : 0.0) : $widest,
            $total * $across,
            $total * $across,
        );
    }

    /**
     * The ways its leaves can stand when it is open, of which the one that leaves most free counts: as they move together; and where both
     * sashes of a vertical sliding light go, which are shown half way each, either of them alone all the way.
     *
     * @return non-empty-list<array<int, float>> how far each leaf has slid, mm
     */
    private static function ways(SolvedLight $light, float $share): array
    {
        $upright = $light->light->operation !== Operation::VerticalSliding;
        $together = array_map(
            static fn (Leaf $leaf): float => $upright ? $leaf->motion->at($share)->dx : $leaf->motion->at($share)->dy,
            $light->leaves,
        );
        $ways = [$together];
        foreach (! $upright && $light->light->moving === Moving::Both ? $together : [] as $i => $half) {
            $ways[] = array_map(static fn (int $j): float => $j === $i ? 2 * $half : 0.0, array_keys($together));
        }

        return $ways;
    }

    private static function folded(float $w, float $h, int $leaves, float $thick, float $angle): self
    {
        $free = $angle <= 0.0 ? 0.0 : max(0.0, $w - $w * cos($angle) - $leaves * $thick * sin($angle));

        return new self($free, $free > 0 ? $h : 0.0, $free * $h, $free * $h);
    }
}
