<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\LeaningPlane;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Geometry\Vec3;

/** What corners leave of something on a flat face, in its (u, v), mm. */
final readonly class FaceTrim
{
    private Vec3 $out;

    /**
     * @param  array{Meeting, Corner}|null  $left
     * @param  array{Meeting, Corner}|null  $right
     */
    public function __construct(
        private LeaningPlane $plane,
        private ?array $left,
        private ?array $right,
        private ?SlopedHead $head = null,
    ) {
        $this->out = $plane->normal(0.0, 0.0);
    }

    /**
     * @param  bool  $under  of the head as well, where that slopes
     * @return list<Contour> what lies clear of what stands at the corners
     */
    public function of(Contour $contour, bool $under = true): array
    {
        $left = [$contour];
        foreach ([[$this->left, 1.0], [$this->right, -1.0]] as [$at, $way]) {
            if ($at !== null) {
                $left = $this->beside($left, $at, $way, $at[1]->takes(), true);
            }
        }

        return $under && $this->head !== null ? $this->head->cut($left) : $left;
    }

    /** @return list<array{bool, Contour}> what stands at its corners takes of a face, and whether that is at its left */
    public function taken(Contour $face): array
    {
        $out = [];
        foreach ([[$this->left, 1.0], [$this->right, -1.0]] as [$at, $way]) {
            if ($at !== null && $at[1]->takes() > 0.0) {
                foreach ($this->beside([$face], $at, $way, $at[1]->takes(), false) as $taken) {
                    $out[] = [$way > 0, $taken];
                }
            }
        }

        return $out;
    }

    /**
     * @param  list<Contour>  $contours
     * @param  array{Meeting, Corner}  $at
     * @param  float  $way  1 at its left end, −1 at its right end
     * @param  bool  $clear  of what stands there; else what that takes
     * @return list<Contour>
     */
    private function beside(array $contours, array $at, float $way, float $takes, bool $clear): array
    {
        $foot = $at[0]->foot->plus($at[0]->across($this->out)->times($way * $takes));
        $on = $this->plane->place($foot);
        $next = $this->plane->place($foot->plus($at[0]->edge));
        // of the left edge what lies right of it, of the right edge what lies left
        [$a, $b] = ($way > 0) === $clear ? [$next, $on] : [$on, $next];
        $cut = [];
        foreach ($contours as $contour) {
            array_push($cut, ...$contour->leftOf(new Vec2($a->x, $a->y), new Vec2($b->x, $b->y)));
        }

        return array_values(array_filter($cut, static fn (Contour $c): bool => $c->area() > 1.0));
    }
}
