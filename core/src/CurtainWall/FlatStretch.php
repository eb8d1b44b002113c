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
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * A flat stretch of a run, upright or leaning, as it stands between its corners: its grid, cut by the planes of its foot, its head and
 * its corners. Foot and head are level, or square to the face; at a corner everything ends at the plane that halves it, and what is of
 * the face also ends at what the corner's members take. (u, v) of the stretch: u along its foot from the left end, v up the slope; mm.
 */
final class FlatStretch implements Stretch
{
    /** Sections are drawn out past an edge by so many times their depth, to be cut there. */
    private const OVER = 8.0;

    /** Under a head that slopes the grid goes on so far over its top, so that what stands there is cut by the head alone, mm. */
    private const BEYOND = 1000.0;

    private readonly float $length;

    private readonly float $slope;

    private readonly Vec3 $along;

    private readonly Vec3 $up;

    private readonly Vec3 $out;

    private readonly Vec3 $inward;

    private readonly Vec3 $down;

    private ?Grid $grid = null;

    /** @var \Closure(): Grid asked when the grid is first needed */
    private readonly \Closure $solve;

    private readonly Clearing $clearing;

    /** @var list<HalfSpace> that all of it lies within */
    private array $within;

    /** @var list<HalfSpace> that what is of the face lies within too */
    private array $clear = [];

    /**
     * @param  float  $height  from its foot to its head, upright
     * @param  array{Meeting, Corner}|null  $left  where it meets the stretch before it
     * @param  array{Meeting, Corner}|null  $right
     * @param  list<float>  $floors  levels of all floors over the foot, upright
     * @param  list<float>|null  $bays  upright lines that were set out round the whole run
     * @param  bool  $square  its foot and head are cut square to its face; else level
     * @param  SlopedHead|null  $head  what it ends under, where that is not level; it stands upright then, as high as that at the most
     *
     * @throws Refusal when rules do not fit, or its sides run into one another
     */
    public function __construct(
        public readonly LeaningPlane $plane,
        GridRules $rules,
        float $height,
        private readonly ?array $left,
        private readonly ?array $right,
        array $floors,
        ByHand $byHand,
        ?array $bays,
        bool $mirrored = false,
        private readonly bool $square = false,
        private readonly ?SlopedHead $head = null,
    ) {
        $this->length = $plane->foot->length();
        $this->slope = $height / cos($plane->lean);
        $this->along = $plane->point(1.0, 0.0)->minus($plane->point(0.0, 0.0));
        $this->up = $plane->point(0.0, 1.0)->minus($plane->point(0.0, 0.0));
        $this->out = $plane->normal(0.0, 0.0);
        [$this->inward, $this->down] = [$this->out->times(-1.0), $this->up->times(-1.0)];
        $top = $plane->level + $height;
        $this->within = $square
            ? [HalfSpace::behind($plane->point(0.0, 0.0), $this->down), HalfSpace::behind($plane->point(0.0, $this->slope), $this->up)]
            : [
                HalfSpace::behind(new Vec3(0.0, 0.0, $plane->level), new Vec3(0.0, 0.0, -1.0)),
                HalfSpace::behind(new Vec3(0.0, 0.0, $top), new Vec3(0.0, 0.0, 1.0)),
            ];
        if ($left !== null) {
            $this->within[] = $left[0]->after();
            $this->clear[] = $this->side($left, 1.0);
        }
        if ($right !== null) {
            $this->within[] = $right[0]->before;
            $this->clear[] = $this->side($right, -1.0);
        }
        $this->clearing = Clearing::of($plane, $rules, $byHand, [...array_slice($this->within, 2), ...$this->clear], $this->slope);
        array_push($this->clear, ...$head?->within($plane, true) ?? []);
        [$low, $high] = [$this->drift($left) * $this->slope, $this->drift($right) * $this->slope];
        $this->requireTop($low, $this->length + $high);
        $stretched = static fn (float $level): float => $level / cos($plane->lean);
        [$length, $slope] = [$this->length, $this->slope];
        $ends = new FaceEnds(max(0.0, -$low), max(0.0, $high), $left !== null, $right !== null);
        $levels = array_map($stretched, $floors);
        $this->solve = static function () use ($rules, $length, $slope, $levels, $byHand, $bays, $mirrored, $ends, $head): Grid {
            $between = array_values(array_filter(
                $levels,
                static fn (float $f): bool => $f > Tolerance::LENGTH && $f < $slope - Tolerance::LENGTH,
            ));
            $grid = GridSolver::solve(
                $head === null ? $rules : $rules->laidOut(null, SettingOut::at($rules->rows->up($slope, $between))),
                $length,
                $slope + ($head === null ? 0.0 : self::BEYOND),
                $levels,
                $byHand,
                $bays,
                $ends,
            );

            return $mirrored ? $grid->mirrored() : $grid;
        };
    }

    public function grid(): Grid
    {
        return $this->grid ??= ($this->solve)();
    }

    public function faceArea(): float
    {
        return $this->head === null
            ? ($this->length + ($this->drift($this->right) - $this->drift($this->left)) * $this->slope / 2) * $this->slope
            : $this->face()->area();
    }

    public function members(): array
    {
        $out = $cut = $square = [];
        foreach ($this->grid()->members as $member) {
            if ($member->profile === null || $this->isReplaced($member)) {
                continue;
            }
            $upright = $member->role->isUpright();
            $profile = $member->profile;
            if ($member->cuts === [] && $this->isClear($member->x0, $member->y0, $member->x1, $member->y1)) {
                $length = $member->length();
                $axes = $upright ? $this->axes($member, 0.0, $member->y0) : $this->axes($member, $member->x0, 0.0);
                $square[spl_object_id($profile).'|'.$length] ??= RunMember::squared($profile, $length);
                $pieces = $square[spl_object_id($profile).'|'.$length];
                $out[] = RunMember::square($member->role->word(), $profile, $axes, $pieces, $length, $member);

                continue;
            }
            $axes = $this->axes($member, 0.0, 0.0);
            // where it and the edges at its corners are upright, what is level is cut alike in every row
            $alike = $upright || $member->cuts !== [] || ! $this->isUpright()
                ? null
                : spl_object_id($profile).'|'.$member->x0.'|'.$member->x1;
            $pieces = $alike === null ? $this->cut($member, $axes) : $cut[$alike] ??= $this->cut($member, $axes);
            if ($pieces !== []) {
                $out[] = RunMember::straight($member->role->word(), $profile, $axes, $pieces, $member);
            }
        }

        return [
            ...$out,
            ...$this->head?->members($this->plane, $this->headEnds()) ?? [],
            ...FlatFree::members($this->plane, $this->grid()->free, [...$this->within, ...$this->clear]),
        ];
    }

    /**
     * Whether its head cuts a cell, where that slopes.
     *
     * @return bool|null null for one of which it leaves nothing
     */
    public function cuts(GridCell $cell): ?bool
    {
        [$x0, , $x1, $y1] = $cell->contour()->bounds();
        if ($this->head === null || $this->head->clears($x0, $x1, $y1)) {
            return false;
        }

        return $this->head->cut([$cell->contour()]) === [] ? null : true;
    }

    /** Of its grid, members along its level head, where others stand along its slopes. */
    private function isReplaced(GridMember $member): bool
    {
        return $this->head !== null && $member->role === Role::Head;
    }

    /** Whether nothing cuts what lies in a box of its face. */
    private function isClear(float $x0, float $y0, float $x1, float $y1): bool
    {
        return $this->clearing->holds($x0, $y0, $x1, $y1) && $this->head?->clears($x0, $x1, $y1) !== false;
    }

    /** @return list<HalfSpace> in which members along its slopes lie: clear of its corners, or from its left end to its right */
    private function headEnds(): array
    {
        $ends = array_slice($this->within, 2);
        foreach ([[$this->left, 0.0, 1.0], [$this->right, $this->length, -1.0]] as [$at, $u, $way]) {
            $ends[] = $at !== null ? $this->side($at, $way) : HalfSpace::behind($this->plane->point($u, 0.0), $this->along->times(-$way));
        }

        return $ends;
    }

    private function face(): Contour
    {
        [$low, $high] = [$this->drift($this->left) * $this->slope, $this->drift($this->right) * $this->slope];
        $face = Contour::polygon([0.0, 0.0, $this->length, 0.0, $this->length + $high, $this->slope, $low, $this->slope]);

        return $this->head?->cut([$face], true)[0] ?? $face;
    }

    /** Whether it stands upright, and so do the edges at its corners: where the next stretch leans they do not. */
    private function isUpright(): bool
    {
        return $this->head === null && Meeting::allUpright($this->plane, $this->left, $this->right);
    }

    /** @return list<CutPrism> what is left of a member in its axes */
    private function cut(GridMember $member, Axes $axes): array
    {
        $mitres = array_map(fn (array $cut): HalfSpace => FlatFree::leftOf($this->plane, ...$cut), $member->cuts);

        return CutPrism::between(
            $this->section($member),
            $axes,
            [...$this->within, ...$this->clear, ...$this->ends($member), ...$mitres],
        );
    }

    /** Axes of a member: z along it, from u or v on, x across it, y inward. */
    private function axes(GridMember $member, float $u, float $v): Axes
    {
        return $member->role->isUpright()
            ? new Axes($this->plane->point($member->axis(), $v), $this->along, $this->inward, $this->up)
            : new Axes($this->plane->point($u, $member->axis()), $this->down, $this->inward, $this->along);
    }

    public function drawn(): Drawn
    {
        $face = $this->face();
        $trim = new FaceTrim($this->plane, $this->left, $this->right, $this->head);
        $members = $joints = $free = $cells = [];
        foreach ($this->head?->seen() ?? [] as [$member, $whole]) {
            foreach ($trim->of($whole, false) as $contour) {
                $members[] = [$member, $contour];
            }
        }
        foreach ($this->grid()->members as $member) {
            if ($this->isReplaced($member)) {
                continue;
            }
            $whole = $member->contour();
            $clear = $this->isClear($member->x0, $member->y0, $member->x1, $member->y1);
            foreach ($clear ? [$whole] : $trim->of($whole) as $contour) {
                if ($member->profile !== null) {
                    $members[] = [$member, $contour];
                } else {
                    $joints[] = [$member, $contour];
                }
            }
        }
        foreach ($this->grid()->free as $piece) {
            foreach ($piece->seen as $seen) {
                foreach ($trim->of($seen) as $contour) {
                    $free[] = [$piece->member, $contour];
                }
            }
        }
        foreach ($this->grid()->cells as $cell) {
            [$x0, $y0, $x1, $y1] = $cell->contour()->bounds();
            foreach ($this->isClear($x0, $y0, $x1, $y1) ? [$cell->contour()] : $trim->of($cell->contour()) as $contour) {
                $cells[] = [$cell, $contour];
            }
        }

        return new Drawn($face, $trim->taken($face), $members, $free, $cells, $joints);
    }

    public function panes(): array
    {
        return (new FlatPanes(
            $this->plane, $this->grid(), $this->isClear(...), $this->within, $this->left, $this->right, $this->head,
        ))->all();
    }

    public function half(bool $atLeft): array
    {
        [$meeting, $corner] = ($atLeft ? $this->left : $this->right) ?? throw new \LogicException('No corner stands there.');

        return HalfPost::of($meeting, $corner, $this->out, $atLeft, [...$this->within, ...$this->head?->within($this->plane, false) ?? []]);
    }

    /** @param  array{Meeting, Corner}  $at */
    private function side(array $at, float $way): HalfSpace
    {
        $across = $at[0]->across($this->out)->times($way);

        return HalfSpace::behind($at[0]->foot->plus($across->times($at[1]->takes())), $across->times(-1.0));
    }

    /**
     * By how much u of an edge changes for a mm up the slope.
     *
     * @param  array{Meeting, Corner}|null  $at
     */
    private function drift(?array $at): float
    {
        return $at === null ? 0.0 : $at[0]->edge->dot($this->along) / $at[0]->edge->dot($this->up);
    }

    private function requireTop(float $low, float $high): void
    {
        $takes = ($this->left === null ? 0.0 : $this->left[1]->takes()) + ($this->right === null ? 0.0 : $this->right[1]->takes());
        foreach ([['foot', $this->length], ['head', $high - $low]] as [$where, $there]) {
            if ($there - $takes <= Tolerance::LENGTH) {
                throw Refusal::because(
                    'run.side_vanishes',
                    sprintf(
                        'A stretch %s long at its foot is %s wide at its %s, and its corners take %s of that.',
                        Length::mark($this->length),
                        Length::mark(max(0.0, $there)),
                        $where,
                        Length::mark($takes),
                    ),
                    details: ['there' => $there, 'takes' => $takes],
                );
            }
        }
    }

    /**
     * A member's section in its own axes. One along a leaning foot or head is drawn on past it, to be cut level.
     *
     * @return non-empty-list<Contour>
     */
    private function section(GridMember $member): array
    {
        $profile = $member->profile ?? throw new \LogicException('A joint has no section.');
        $sections = $profile->contours();
        if ($this->square || $this->plane->lean === 0.0 || $profile->shape !== SectionShape::Rectangle || ! $this->isOnEdge($member)) {
            return $sections;
        }
        $over = self::OVER * $profile->wholeDepth();

        // x of a level member runs down
        return array_map(static function (Contour $section) use ($member, $over): Contour {
            [$x0, $y0, $x1, $y1] = $section->bounds();

            return $member->role === Role::Foot
                ? Contour::rectangle($x0, $y0, $x1 + $over, $y1)
                : Contour::rectangle($x0 - $over, $y0, $x1, $y1);
        }, $sections);
    }

    private function isOnEdge(GridMember $member): bool
    {
        return $member->role === Role::Foot || $member->role === Role::Head;
    }

    /** @return list<HalfSpace> its own ends, where they are not the foot, the head or a corner */
    private function ends(GridMember $member): array
    {
        $square = fn (float $u, float $v, Vec3 $way): HalfSpace => HalfSpace::behind($this->plane->point($u, $v), $way);
        $out = [];
        if ($member->role->isUpright()) {
            if ($member->y0 > Tolerance::LENGTH) {
                $out[] = $square(0.0, $member->y0, $this->up->times(-1.0));
            }
            if ($member->y1 < $this->slope - Tolerance::LENGTH) {
                $out[] = $square(0.0, $member->y1, $this->up);
            }

            return $out;
        }
        if ($this->left === null || $member->x0 > $this->grid()->bays->at[0] + Tolerance::LENGTH) {
            $out[] = $square($member->x0, 0.0, $this->along->times(-1.0));
        }
        if ($this->right === null || $member->x1 < $this->grid()->bays->at[count($this->grid()->bays->at) - 1] - Tolerance::LENGTH) {
            $out[] = $square($member->x1, 0.0, $this->along);
        }

        return $out;
    }
}
