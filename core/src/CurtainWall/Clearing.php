<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\HalfSpace;
use Isleward\Core\Geometry\LeaningPlane;

/** The part of a flat face in which nothing, however deep, is cut by a corner, a level foot or a level head; (u, v), mm. */
final readonly class Clearing
{
    private function __construct(private float $u0, private float $v0, private float $u1, private float $v1)
    {
    }

    /**
     * @param  list<HalfSpace>  $corners  that what lies in the face is cut by at its corners
     * @param  float  $slope  from foot to head along the face
     */
    public static function of(LeaningPlane $plane, GridRules $rules, ByHand $byHand, array $corners, float $slope): self
    {
        [$deepest, $foremost] = self::depths($rules, $byHand);
        $origin = $plane->point(0.0, 0.0);
        [$along, $up, $out] = [
            $plane->point(1.0, 0.0)->minus($origin), $plane->point(0.0, 1.0)->minus($origin), $plane->normal(0.0, 0.0),
        ];
        [$u0, $u1] = [-INF, INF];
        foreach ($corners as $half) {
            [$b, $c, $d] = [$half->normal->dot($along), $half->normal->dot($up), $half->normal->dot($out)];
            if (abs($b) < 1e-6) {
                return new self(0.0, 0.0, 0.0, 0.0);
            }
            $most = max(0.0, $c * $slope) + max(-$d * $deepest, $d * $foremost);
            $least = -($half->beyond($origin) + $most) / $b;
            [$u0, $u1] = $b > 0 ? [$u0, min($u1, $least)] : [max($u0, $least), $u1];
        }
        $margin = ($deepest + $foremost) * abs(tan($plane->lean));

        return $plane->lean === 0.0 ? new self($u0, -INF, $u1, INF) : new self($u0, $margin, $u1, $slope - $margin);
    }

    /**
     * How far what stands in a face reaches behind its glass line, and before it.
     *
     * @return array{float, float}
     */
    public static function depths(GridRules $rules, ByHand $byHand): array
    {
        $deepest = $foremost = 0.0;
        foreach ([...array_values($rules->profiles), ...array_column($byHand->members, 'profile')] as $profile) {
            if ($profile !== null) {
                $deepest = max($deepest, $profile->setback + $profile->depth);
                $foremost = max($foremost, $profile->capDepth, -$profile->setback);
            }
        }
        foreach ([...$rules->infills, ...$byHand->infills] as $one) {
            $deepest = max($deepest, $one->infill->thickness());
        }

        return [$deepest, $foremost];
    }

    /** Whether a box of the face lies in it. */
    public function holds(float $x0, float $y0, float $x1, float $y1): bool
    {
        return $x0 >= $this->u0 && $x1 <= $this->u1 && $y0 >= $this->v0 && $y1 <= $this->v1;
    }
}
