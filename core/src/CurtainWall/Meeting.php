<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\HalfSpace;
use Isleward\Core\Geometry\LeaningPlane;
use Isleward\Core\Geometry\Vec3;
use Isleward\Core\Measure\Refusal;

/**
 * Where two stretches meet: the edge that both their planes share, which runs along n₁ × n₂, and the plane through it that halves the
 * angle between them. What belongs to the one lies on one side of that, what belongs to the other on the other side, so that nothing
 * of the two can lie in one place.
 */
final readonly class Meeting
{
    /** Stretches that meet at less than this, or at more than a full turn less this, leave no room for anything; degrees. */
    private const SHARPEST = 30.0;

    /**
     * @param  Vec3  $foot  where the edge begins, on the foot line
     * @param  Vec3  $edge  unit direction of it, upward
     * @param  float  $angle  between the two in plan, on the inside, degrees
     * @param  HalfSpace  $before  where what belongs to the first stretch lies
     */
    private function __construct(public Vec3 $foot, public Vec3 $edge, public float $angle, public HalfSpace $before)
    {
    }

    /** @throws Refusal when they meet too sharply, or lean so that they share no edge that rises */
    public static function of(LeaningPlane $before, LeaningPlane $after, int $number): self
    {
        $a = $before->foot->directionAt(0.0);
        $b = $after->foot->directionAt(0.0);
        // turning left, toward the inside, makes the angle smaller than a half turn
        $angle = 180.0 - rad2deg(atan2($a->cross($b), $a->dot($b)));
        if ($angle < self::SHARPEST - 1e-6 || $angle > 360.0 - self::SHARPEST + 1e-6) {
            throw Refusal::because(
                'run.corner_too_sharp',
                sprintf('Corner %d has %.1f° on its inside; curtain walls meet at 30° to 330°.', $number, $angle),
                details: ['corner' => $number, 'angle' => $angle],
            );
        }
        $foot = $after->point(0.0, 0.0);
        [$n1, $n2] = [$before->normal(0.0, 0.0), $after->normal(0.0, 0.0)];
        $edge = $n1->cross($n2);
        if ($edge->length() < 1e-6) {
            // in one plane: the first ends square
            $along = $before->point(1.0, 0.0)->minus($before->point(0.0, 0.0));

            return new self($foot, $before->point(0.0, 1.0)->minus($before->point(0.0, 0.0)), $angle, HalfSpace::behind($foot, $along));
        }
        $edge = $edge->times($edge->z < 0 ? -1.0 : 1.0)->unit();
        if ($edge->z < 1e-3) {
            throw Refusal::because(
                'run.no_edge',
                sprintf('The stretches at corner %d lean so that they share no edge that rises.', $number),
                details: ['corner' => $number],
            );
        }
        $half = HalfSpace::behind($foot, $n2->minus($n1));
        $inside = $before->point(0.0, 0.0);

        return new self($foot, $edge, $angle, $half->beyond($inside) > 0 ? $half->opposite() : $half);
    }

    /**
     * The same for one of the two stretches, that ends at another plane than the one which halves the angle.
     *
     * @param  HalfSpace  $half  where what belongs to that stretch lies
     * @param  bool  $isBefore  whether it is the one before the corner
     */
    public function halvedBy(HalfSpace $half, bool $isBefore): self
    {
        return new self($this->foot, $this->edge, $this->angle, $isBefore ? $half : $half->opposite());
    }

    public function after(): HalfSpace
    {
        return $this->before->opposite();
    }

    /** Square to the edge in a face that looks out, the way u runs there. */
    public function across(Vec3 $out): Vec3
    {
        return $this->edge->cross($out)->unit();
    }

    /**
     * Whether a stretch stands upright, and so do the edges at its corners.
     *
     * @param  array{self, Corner}|null  $left
     * @param  array{self, Corner}|null  $right
     */
    public static function allUpright(LeaningPlane $plane, ?array $left, ?array $right): bool
    {
        return $plane->lean === 0.0 && ($left === null || $left[0]->lean() < 1e-5) && ($right === null || $right[0]->lean() < 1e-5);
    }

    /** How far the edge leans from upright, degrees. */
    public function lean(): float
    {
        return rad2deg(acos(min(1.0, $this->edge->z)));
    }
}
