<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\CutPrism;
use Isleward\Core\Geometry\HalfSpace;
use Isleward\Core\Geometry\LeaningPlane;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec3;

/** What fills the cells of a flat stretch, cut by whatever cuts it there; alike ones share their solids. */
final readonly class FlatPanes
{
    private Vec3 $along;

    private Vec3 $up;

    private Vec3 $out;

    private FaceTrim $trim;

    /** Whether it stands upright, and so do the edges at its corners: where the next stretch leans they do not. */
    private bool $upright;

    /**
     * @param  \Closure(float, float, float, float): bool  $clear  whether nothing cuts what lies in a box of the face
     * @param  list<HalfSpace>  $within  that all of the stretch lies within, foot and head first
     * @param  array{Meeting, Corner}|null  $left
     * @param  array{Meeting, Corner}|null  $right
     */
    public function __construct(
        private LeaningPlane $plane,
        private Grid $grid,
        private \Closure $clear,
        private array $within,
        private ?array $left,
        private ?array $right,
        private ?SlopedHead $head = null,
    ) {
        $origin = $plane->point(0.0, 0.0);
        $this->along = $plane->point(1.0, 0.0)->minus($origin);
        $this->up = $plane->point(0.0, 1.0)->minus($origin);
        $this->out = $plane->normal(0.0, 0.0);
        $this->trim = new FaceTrim($plane, $left, $right, $head);
        $this->upright = $head === null && Meeting::allUpright($plane, $left, $right);
    }

    /** @return list<RunPane> of cells that something of is left */
    public function all(): array
    {
        $out = $made = [];
        foreach ($this->grid->cells as $cell) {
            $t = $cell->infill->thickness();
            if (! $cell->contour()->isRectangle() || $cell->daylight->holes !== []) {
                array_push($out, ...$this->shaped($cell, $t));

                continue;
            }
            [$x0, $y0, $x1, $y1] = $cell->contour()->bounds();
            $high = $y1 - $y0;
            if (($this->clear)($x0, $y0, $x1, $y1)) {
                $wide = $x1 - $x0;
                $pieces = $made["$wide|$high|$t"] ??= $t === 0.0
                    ? []
                    : [CutPrism::square(Contour::rectangle(0.0, 0.0, $wide, $high), -$t, 0.0)];
                $out[] = new RunPane($cell, [$cell->contour()], $this->faceAxes($x0, $y0), $pieces, null, $x0, $y0);
            } elseif ($this->upright) {
                // corners cut alike in every row
                $x0 = max($x0, $this->left === null ? $x0 : $this->left[1]->takes());
                $x1 = min($x1, $this->right === null ? $x1 : $this->plane->foot->length() - $this->right[1]->takes());
                if ($x1 - $x0 <= Tolerance::LENGTH) {
                    continue;
                }
                $axes = $this->faceAxes(0.0, $y0);
                $pieces = $made["$x0|$x1|$high|$t"] ??= $t === 0.0
                    ? []
                    : CutPrism::between([Contour::rectangle($x0, 0.0, $x1, $high)], $axes, [
                        ...array_slice($this->within, 2), ...$this->thick($t),
                    ]);
                $out[] = new RunPane($cell, [Contour::rectangle($x0, $y0, $x1, $y1)], $axes, $pieces, null, 0.0, $y0);
            } else {
                array_push($out, ...$this->shaped($cell, $t));
            }
        }

        return $out;
    }

    /** @return list<RunPane> of a cell of any shape, cut by whatever cuts it */
    private function shaped(GridCell $cell, float $t): array
    {
        $profiles = $this->trim->of($cell->contour());
        $axes = $this->faceAxes(0.0, 0.0);

        return $profiles === [] ? [] : [new RunPane(
            $cell,
            $profiles,
            $axes,
            $t === 0.0 ? [] : CutPrism::between($profiles, $axes, [
                ...$this->within, ...$this->head?->within($this->plane, true) ?? [], ...$this->thick($t),
            ]),
        )];
    }

    /** @return list<HalfSpace> between the glass line and so much behind it */
    private function thick(float $t): array
    {
        $on = $this->plane->point(0.0, 0.0);

        return [HalfSpace::behind($on, $this->out), HalfSpace::behind($on->plus($this->out->times(-$t)), $this->out->times(-1.0))];
    }

    /** x along, y up, z outward, from a place of the face on. */
    private function faceAxes(float $u, float $v): Axes
    {
        return new Axes($this->plane->point($u, $v), $this->along, $this->up, $this->out);
    }
}
