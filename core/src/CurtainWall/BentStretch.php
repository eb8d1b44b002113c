<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\BentPrism;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\CutPrism;
use Isleward\Core\Geometry\HalfSpace;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\UprightCylinder;
use Isleward\Core\Geometry\Vec3;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * A truly curved stretch of a run, upright: glass and level members are bent to its arc, uprights stand straight and square to it.
 * Everything runs by arc length at the glass line. What is bent ends at the flat sides of the uprights it butts to, so that nothing
 * overlaps and nothing gapes.
 */
final class BentStretch implements Stretch
{
    private ?Grid $grid = null;

    /** @var \Closure(): Grid asked when the grid is first needed */
    private readonly \Closure $solve;

    /** @var list<HalfSpace> that all of it lies within, foot and head first */
    private array $within;

    /** @var list<HalfSpace> that bound it at its left */
    private array $leftOf = [];

    /** @var list<HalfSpace> that bound it at its right */
    private array $rightOf = [];

    /**
     * @param  float  $foot  level, mm
     * @param  array{Meeting, Corner}|null  $left  where it meets the stretch before it
     * @param  array{Meeting, Corner}|null  $right
     * @param  list<float>  $floors  levels of all floors over the foot
     * @param  list<float>|null  $bays  upright lines that were set out round the whole run
     *
     * @throws Refusal when rules do not fit, or members cannot be bent to the arc
     */
    public function __construct(
        private readonly UprightCylinder $surface,
        GridRules $rules,
        private readonly float $foot,
        private readonly float $height,
        private readonly ?array $left,
        private readonly ?array $right,
        array $floors,
        ByHand $byHand,
        ?array $bays,
        bool $mirrored = false,
    ) {
        $this->requireBendable($rules);
        if ($byHand->free !== []) {
            throw Refusal::because('run.bent_free', 'A free member is straight: none is drawn across a curved stretch.');
        }
        $this->within = [
            HalfSpace::behind(new Vec3(0.0, 0.0, $foot), new Vec3(0.0, 0.0, -1.0)),
            HalfSpace::behind(new Vec3(0.0, 0.0, $foot + $height), new Vec3(0.0, 0.0, 1.0)),
        ];
        if ($left !== null) {
            $along = $this->along(0.0);
            $this->within[] = $left[0]->after();
            $side = $left[0]->foot->plus($along->times($left[1]->takes()));
            $this->leftOf = [$left[0]->after(), HalfSpace::behind($side, $along->times(-1.0))];
        }
        if ($right !== null) {
            $along = $this->along($surface->length);
            $this->within[] = $right[0]->before;
            $side = $right[0]->foot->plus($along->times(-$right[1]->takes()));
            $this->rightOf = [$right[0]->before, HalfSpace::behind($side, $along)];
        }
        $this->solve = static function () use ($rules, $surface, $height, $floors, $byHand, $bays, $mirrored, $left, $right): Grid {
            $grid = GridSolver::solve(
                $rules,
                $surface->length,
                $height,
                $floors,
                $byHand,
                $bays,
                new FaceEnds(0.0, 0.0, $left !== null, $right !== null, true),
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
        return $this->surface->length * $this->height;
    }

    public function members(): array
    {
        $out = [];
        foreach ($this->grid()->members as $member) {
            if ($member->profile === null) {
                continue;
            }
            $made = $member->role->isUpright() ? $this->straight($member, $member->profile) : $this->bent($member, $member->profile);
            if ($made !== null) {
                $out[] = $made;
            }
        }

        return $out;
    }

    public function drawn(): Drawn
    {
        [$from, $to] = [$this->left === null ? 0.0 : $this->left[1]->takes(), $this->right === null ? 0.0 : $this->right[1]->takes()];
        [$length, $high] = [$this->surface->length, $this->height];
        $corners = [];
        if ($from > 0.0) {
            $corners[] = [true, Contour::rectangle(0.0, 0.0, $from, $high)];
        }
        if ($to > 0.0) {
            $corners[] = [false, Contour::rectangle($length - $to, 0.0, $length, $high)];
        }
        $within = static fn (float $x0, float $y0, float $x1, float $y1): ?Contour => min($x1, $length - $to) - max($x0, $from) < 0.1
            ? null
            : Contour::rectangle(max($x0, $from), $y0, min($x1, $length - $to), $y1);
        $members = $joints = $cells = [];
        foreach ($this->grid()->members as $member) {
            $seen = $within($member->x0, $member->y0, $member->x1, $member->y1);
            if ($seen !== null && $member->profile !== null) {
                $members[] = [$member, $seen];
            } elseif ($seen !== null) {
                $joints[] = [$member, $seen];
            }
        }
        foreach ($this->grid()->cells as $cell) {
            $seen = $within(...$cell->contour()->bounds());
            if ($seen !== null) {
                $cells[] = [$cell, $seen];
            }
        }

        return new Drawn(Contour::rectangle(0.0, 0.0, $length, $high), $corners, $members, [], $cells, $joints);
    }

    public function panes(): array
    {
        $out = [];
        foreach ($this->grid()->cells as $cell) {
            $t = $cell->infill->thickness();
            [$x0, $y0, $x1, $y1] = $cell->contour()->bounds();
            if (! $cell->contour()->isRectangle()) {
                throw Refusal::because(
                    'run.bent_shape',
                    sprintf('The cell of %s is no rectangle: what is bent is one.', $cell->name()),
                    details: ['cell' => $cell->name()],
                );
            }
            $pieces = BentPrism::between(
                $this->surface,
                $this->foot + $y0,
                $this->foot + $y1,
                0.0,
                max($t, 1.0),
                $this->bounds($x0, false),
                $this->bounds($x1, true),
                $x0,
                $x1,
            );
            if ($pieces !== []) {
                $seen = Contour::rectangle($pieces[0]->start(0.0), $y0, $pieces[0]->end(0.0), $y1);
                $out[] = new RunPane($cell, [$seen], null, $t > 0.0 ? $pieces : [], $this->surface->radius());
            }
        }

        return $out;
    }

    public function half(bool $atLeft): array
    {
        [$meeting, $corner] = ($atLeft ? $this->left : $this->right) ?? throw new \LogicException('No corner stands there.');

        return HalfPost::of($meeting, $corner, $this->surface->normal($atLeft ? 0.0 : $this->surface->length, 0.0), $atLeft, $this->within);
    }

    private function straight(GridMember $member, MemberProfile $profile): ?RunMember
    {
        $u = $member->axis();
        $axes = new Axes(
            $this->surface->point($u, 0.0),
            $this->along($u),
            $this->surface->normal($u, 0.0)->times(-1.0),
            new Vec3(0.0, 0.0, 1.0),
        );
        $pieces = CutPrism::between($profile->contours(), $axes, [
            ...$this->within,
            ...array_slice($this->leftOf, 1),
            ...array_slice($this->rightOf, 1),
            HalfSpace::behind(new Vec3(0.0, 0.0, $this->foot + $member->y0), new Vec3(0.0, 0.0, -1.0)),
            HalfSpace::behind(new Vec3(0.0, 0.0, $this->foot + $member->y1), new Vec3(0.0, 0.0, 1.0)),
        ]);

        return $pieces === [] ? null : RunMember::straight($member->role->word(), $profile, $axes, $pieces, $member);
    }

    private function bent(GridMember $member, MemberProfile $profile): ?RunMember
    {
        $pieces = [];
        foreach ($profile->contours() as $section) {
            [$x0, $front, $x1, $back] = $section->bounds();
            array_push($pieces, ...BentPrism::between(
                $this->surface,
                $this->foot + $member->axis() + $x0,
                $this->foot + $member->axis() + $x1,
                $front,
                $back,
                $this->bounds($member->x0, false),
                $this->bounds($member->x1, true),
                $member->x0,
                $member->x1,
            ));
        }

        return $pieces === [] ? null : RunMember::bent($member->role->word(), $profile, $pieces, $member);
    }

    /**
     * What bounds something bent that ends at u of the grid: a side of the upright that stands there, an end of the stretch, a corner.
     *
     * @return non-empty-list<HalfSpace>
     */
    private function bounds(float $u, bool $atRight): array
    {
        $corner = $atRight ? $this->rightOf : $this->leftOf;
        $end = $atRight ? $this->surface->length : 0.0;
        if (abs($u - $end) <= Tolerance::LENGTH && $corner !== []) {
            return $corner;
        }
        // an upright is square to the arc at its middle: its side stands half its face from there
        foreach ($this->grid()->members as $member) {
            $side = $atRight ? $member->x0 : $member->x1;
            if ($member->role->isUpright() && abs($side - $u) <= Tolerance::LENGTH) {
                $axis = $member->axis();
                $along = $this->along($axis)->times($atRight ? 1.0 : -1.0);

                $side = $this->surface->point($axis, 0.0)->plus($along->times(($member->x0 - $member->x1) / 2));

                return [...$corner, HalfSpace::behind($side, $along)];
            }
        }

        return [...$corner, HalfSpace::behind($this->surface->point($u, 0.0), $this->along($u)->times($atRight ? 1.0 : -1.0))];
    }

    private function along(float $u): Vec3
    {
        $tangent = $this->surface->tangent($u);

        return new Vec3($tangent->x, $tangent->y, 0.0);
    }

    /** Level members are bent, which only rectangles are; and nothing reaches the axis of a hollow side. */
    private function requireBendable(GridRules $rules): void
    {
        $deepest = 0.0;
        foreach ($rules->profiles as $role => $profile) {
            if ($profile === null) {
                continue;
            }
            $deepest = max($deepest, $profile->setback + $profile->depth);
            if (! Role::from($role)->isUpright() && $profile->shape !== SectionShape::Rectangle) {
                throw Refusal::because(
                    'run.bent_section',
                    sprintf('A %s that follows an arc is bent, and only a rectangle is; this one is %s.', $role, $profile->name()),
                    details: ['field' => $role],
                );
            }
        }
        if ($this->surface->radius() > 0 && $deepest >= $this->surface->radius()) {
            throw Refusal::because(
                'run.radius',
                sprintf(
                    'Members %s deep do not fit inside a radius of %s.',
                    Length::mark($deepest),
                    Length::mark($this->surface->radius()),
                ),
                details: ['deep' => $deepest, 'radius' => $this->surface->radius()],
            );
        }
    }
}
