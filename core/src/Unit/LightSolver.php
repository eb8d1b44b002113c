<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Measure\Refusal;

/** Fills a region with its light: the leaves, what is in them, and how they move. */
final class LightSolver
{
    private function __construct(private readonly Solver $solver, private readonly Light $light, private readonly string $path)
    {
    }

    public static function solve(Solver $solver, Light $light, Contour $region, string $path): void
    {
        $self = new self($solver, $light, $path);
        $louvre = null;
        $leaves = [];
        match (true) {
            $light->operation === Operation::Open => null,
            $light->operation === Operation::Louvre => $louvre = Blades::fill(
                $solver,
                $light->louvre ?? throw new \LogicException('A louvre has blades.'),
                $region,
                $path,
            ),
            $light->operation === Operation::Fixed => $self->filling($region, null, $solver->tree->frame->depth, 0.0),
            default => $leaves = $self->leaves($region),
        };
        $solver->light(new SolvedLight($light, $path, $region, $light->hinge, $leaves, $louvre));
    }

    /** @return list<Leaf> */
    private function leaves(Contour $region): array
    {
        $light = $this->light;
        $sash = $light->sash ?? throw new \LogicException('A light that moves has a sash.');
        $depth = $this->solver->tree->frame->depth;
        $back = ($depth - $sash->depth) / 2;
        [$x0, $y0, $x1, $y1] = $region->bounds();
        $outward = $light->opens === Opens::Outward;
        // it turns about the face that it opens to, so that it clears what holds it
        $face = $outward ? $back : $back + $sash->depth;
        $turn = ($outward ? -1 : 1) * $light->reach();
        $hung = fn (Contour $c, HingeSide $side): Leaf => $this->leaf($c, $back, $sash, self::hung($c, $side, $face, $turn), $side);

        return match ($light->operation) {
            Operation::SideHung, Operation::TiltAndTurn, Operation::HingedDoor => [$hung($region, $light->hinge)],
            Operation::SideHungPair, Operation::DoorPair => [
                $hung($this->half($region, true, ($x0 + $x1) / 2, false), HingeSide::Left),
                $hung($this->half($region, true, ($x0 + $x1) / 2, true), HingeSide::Right),
            ],
            Operation::TopHung => [$this->leaf($region, $back, $sash, Motion::turning(false, $y1, $face, -$turn))],
            Operation::BottomHung => [$this->leaf($region, $back, $sash, Motion::turning(false, $y0, $face, $turn))],
            // the foot of a horizontally pivoted sash comes outward, so that rain runs off it; of a vertically pivoted one the free side
            Operation::HorizontalPivot => [
                $this->leaf($region, $back, $sash, Motion::turning(false, ($y0 + $y1) / 2, $depth / 2, $light->reach())),
            ],
            Operation::VerticalPivot => [
                $this->leaf(
                    $region,
                    $back,
                    $sash,
                    Motion::turning(true, ($x0 + $x1) / 2, $depth / 2, $light->reach() * ($light->hinge === HingeSide::Left ? -1 : 1)),
                    $light->hinge,
                ),
            ],
            Operation::Sliding, Operation::SlidingDoor => $this->sliding($region, $sash),
            Operation::VerticalSliding => $this->verticalSliding($region, $sash),
            Operation::Folding => $this->folding($region, $sash, $outward),
            default => [],
        };
    }

    private static function hung(Contour $c, HingeSide $side, float $face, float $turn): Motion
    {
        [$x0, , $x1] = $c->bounds();

        return $side === HingeSide::Left ? Motion::turning(true, $x0, $face, $turn) : Motion::turning(true, $x1, $face, -$turn);
    }

    /** @return list<Leaf> */
    private function sliding(Contour $region, Sash $sash): array
    {
        $this->requireLevel($region);
        [$x0, $y0, $x1, $y1] = $region->bounds();
        $slides = $this->light->leaves;
        $n = count($slides);
        $meets = static fn (int $i): bool => $slides[$i - 1] === Slides::Left && $slides[$i] === Slides::Right;
        $overlaps = 0;
        for ($i = 1; $i < $n; $i++) {
            $overlaps += $meets($i) ? 0 : 1;
        }
        $width = ($x1 - $x0 + $overlaps * $sash->face) / $n;
        if ($width < 2 * $sash->face + 1) {
            throw $this->noRoom('leaf', $width, $y1 - $y0);
        }
        $tracks = max($this->light->tracks, $overlaps > 0 ? 2 : 1);
        $depth = $this->solver->tree->frame->depth;
        $step = $tracks === 1 ? 0.0 : max(($depth - $sash->depth) / ($tracks - 1), $sash->depth);
        $first = $tracks === 1 ? ($depth - $sash->depth) / 2 : ($depth - $sash->depth - $step * ($tracks - 1)) / 2;
        $x = $x0;
        $track = 0;
        $leaves = [];
        foreach ($slides as $i => $slide) {
            if ($i > 0) {
                $overlap = ! $meets($i);
                $x += $width - ($overlap ? $sash->face : 0.0);
                $track = $overlap ? ($tracks === 2 ? 1 - $track : ($track + 1) % $tracks) : $track;
            }
            $leaves[] = $this->leaf(Contour::rectangle($x, $y0, $x + $width, $y1), $first + $track * $step, $sash,
                Motion::sliding(self::travel($slides, $i) * ($width - ($overlaps > 0 ? $sash->face : 0.0)), 0.0), null, $slide);
        }

        return $leaves;
    }

    /**
     * How many leaves far one slides: behind the next that stands still on its way, else behind the last; alone, along the wall.
     *
     * @param  list<Slides>  $slides
     */
    private static function travel(array $slides, int $i): int
    {
        if ($slides[$i] === Slides::Fixed) {
            return 0;
        }
        if (count($slides) === 1) {
            return $slides[0] === Slides::Left ? -1 : 1;
        }
        $step = $slides[$i] === Slides::Left ? -1 : 1;
        $on = $i + $step;
        while (isset($slides[$on + $step]) && $slides[$on] === $slides[$i]) {
            $on += $step;
        }
        // two that slide behind each other do not both: the second one does
        $towardsEachOther = isset($slides[$on]) && $slides[$on] !== Slides::Fixed && $slides[$on] !== $slides[$i];
        if (! isset($slides[$on]) || ($towardsEachOther && $slides[$i] === Slides::Right)) {
            return 0;
        }

        return $on - $i;
    }

    /** @return list<Leaf> */
    private function verticalSliding(Contour $region, Sash $sash): array
    {
        [, $y0, , $y1] = $region->bounds();
        $meeting = $y0 + ($y1 - $y0) * $this->light->split;
        $lower = $this->half($region, false, $meeting + $sash->topRail / 2, false);
        $upper = $this->half($region, false, $meeting - $sash->topRail / 2, true);
        $moving = $this->light->moving;
        $this->requireLevel($lower);
        if ($moving !== Moving::Lower) {
            $this->requireLevel($upper);
        }
        $depth = $this->solver->tree->frame->depth;
        $step = max($sash->depth, $depth - $sash->depth);
        $outer = ($depth - $sash->depth - $step) / 2;
        $half = $moving === Moving::Both ? 0.5 : 1.0;
        $up = $moving === Moving::Upper ? 0.0 : $half * ($upper->height() - $sash->topRail);
        $down = $moving === Moving::Lower ? 0.0 : -$half * ($lower->height() - $sash->topRail);

        return [
            $this->leaf($upper, $outer, $sash, Motion::sliding(0.0, $down), bottomRail: $sash->topRail),
            $this->leaf($lower, $outer + $step, $sash, Motion::sliding(0.0, $up)),
        ];
    }

    /** @return list<Leaf> */
    private function folding(Contour $region, Sash $sash, bool $outward): array
    {
        $this->requireLevel($region);
        [$x0, $y0, $x1, $y1] = $region->bounds();
        $n = $this->light->folds;
        $width = ($x1 - $x0) / $n;
        if ($width < 2 * $sash->face + 1) {
            throw $this->noRoom('leaf', $width, $y1 - $y0);
        }
        $left = $this->light->hinge === HingeSide::Left;
        $back = ($this->solver->tree->frame->depth - $sash->depth) / 2;
        $leaves = [];
        for ($i = 0; $i < $n; $i++) {
            $from = $x0 + $i * $width;
            $order = $left ? $i : $n - 1 - $i;
            $turn = ($outward === $left ? -1 : 1) * $this->light->reach();
            // leaves hang in pairs: one turns about its side towards the jamb, the next about the other
            $hinge = ($order % 2 === 0) === $left ? HingeSide::Left : HingeSide::Right;
            $leaves[] = $this->leaf(Contour::rectangle($from, $y0, $from + $width, $y1), $back, $sash,
                Motion::folding(
                    $order,
                    $left ? $x0 : $x1,
                    $left ? $width : -$width,
                    $sash->depth,
                    $outward ? $back : $back + $sash->depth,
                    $turn,
                ),
                $hinge);
        }

        return $leaves;
    }

    private function leaf(
        Contour $contour,
        float $back,
        Sash $sash,
        Motion $motion,
        ?HingeSide $hinge = null,
        ?Slides $slides = null,
        ?float $bottomRail = null,
    ): Leaf {
        $leaf = new Leaf($this->solver->nextLeaf(), $this->path, $contour, $back, $sash->depth, $motion, $hinge, $slides);
        $door = $this->light->operation->isDoor();
        if ($sash->style === LeafStyle::Flush) {
            $this->solver->member(new Member(Role::Panel, $contour, $back, $sash->depth, $this->path, $leaf->index, null, $door));

            return $leaf;
        }
        $bottom = $bottomRail ?? $sash->bottomRail;
        $inner = $this->solver->border($contour, [$bottom, $sash->face, $sash->topRail, $sash->face], [
            'roles' => [Role::Stile, Role::Rail, Role::Rail],
            'back' => $back,
            'depth' => $sash->depth,
            'mitred' => false,
            'leaf' => $leaf->index,
            'path' => $this->path,
            'door' => $door,
        ]);
        if ($inner === null) {
            throw $this->noRoom($door ? 'leaf' : 'sash', $contour->width(), $contour->height());
        }
        match ($sash->style) {
            LeafStyle::Panelled => $this->panels($inner, $leaf, $sash, $door),
            LeafStyle::PartGlazed => $this->partGlazed($inner, $leaf, $sash, $door),
            default => $this->filling($inner, $leaf, $sash->depth, $back),
        };

        return $leaf;
    }

    private function panels(Contour $inner, Leaf $leaf, Sash $sash, bool $door): void
    {
        [$x0, $y0, $x1, $y1] = $inner->bounds();
        $high = ($y1 - $y0 - ($sash->rows - 1) * $sash->innerRail) / $sash->rows;
        $wide = ($x1 - $x0 - ($sash->columns - 1) * $sash->innerRail) / $sash->columns;
        if ($high < 1 || $wide < 1) {
            throw Refusal::because(
                'unit.panels_no_room', sprintf(
                    '%d × %d panels with rails of %s between them leave no room for panels in a leaf %s × %s.', $sash->columns, $sash->rows,
                    UnitTree::mm($sash->innerRail),
                    UnitTree::mm($leaf->contour->width()),
                    UnitTree::mm($leaf->contour->height())), details: ['path' => $this->path, 'field' => 'innerRail']);
        }
        for ($row = 0; $row < $sash->rows; $row++) {
            $y = $y0 + $row * ($high + $sash->innerRail);
            foreach (Solver::strip($inner, false, $y, $y + $high) as $band) {
                for ($column = 0; $column < $sash->columns; $column++) {
                    $x = $x0 + $column * ($wide + $sash->innerRail);
                    foreach (Solver::strip($band, true, $x, $x + $wide) as $panel) {
                        $this->infill($panel, $leaf, Role::Panel, $sash->depth, $leaf->back, $door);
                    }
                    foreach ($column > 0 ? Solver::strip($band, true, $x - $sash->innerRail, $x) : [] as $muntin) {
                        $this->solver->member(
                            new Member(Role::Muntin, $muntin, $leaf->back, $sash->depth, $this->path, $leaf->index, null, $door),
                        );
                    }
                }
            }
            foreach ($row > 0 ? Solver::strip($inner, false, $y - $sash->innerRail, $y) : [] as $rail) {
                $this->solver->member(new Member(Role::Rail, $rail, $leaf->back, $sash->depth, $this->path, $leaf->index, null, $door));
            }
        }
    }

    private function partGlazed(Contour $inner, Leaf $leaf, Sash $sash, bool $door): void
    {
        [, $foot] = $leaf->contour->bounds();
        [, $y0, , $y1] = $inner->bounds();
        $glass = $foot + $sash->glazedFrom;
        if ($glass - $sash->innerRail < $y0 + 1 || $glass > $y1 - 1) {
            throw Refusal::because(
                'unit.part_glazed_no_room', sprintf(
                    'Glass from %s up leaves no room in a leaf %s high with rails of %s, %s and %s.', UnitTree::mm($sash->glazedFrom),
                    UnitTree::mm($leaf->contour->height()),
                    UnitTree::mm($sash->bottomRail), UnitTree::mm($sash->innerRail),
                    UnitTree::mm($sash->topRail)), details: ['path' => $this->path, 'field' => 'glazedFrom']);
        }
        foreach ($inner->clipped(false, $glass - $sash->innerRail, false) as $panel) {
            $this->infill($panel, $leaf, Role::Panel, $sash->depth, $leaf->back, $door);
        }
        foreach (Solver::strip($inner, false, $glass - $sash->innerRail, $glass) as $rail) {
            $this->solver->member(new Member(Role::Rail, $rail, $leaf->back, $sash->depth, $this->path, $leaf->index, null, $door));
        }
        foreach ($inner->clipped(false, $glass, true) as $pane) {
            $this->filling($pane, $leaf, $sash->depth, $leaf->back);
        }
    }

    /** Glass with its bars, or a solid infill. */
    private function filling(Contour $clear, ?Leaf $leaf, float $depth, float $back): void
    {
        if ($clear->width() < 1 || $clear->height() < 1) {
            throw $this->noRoom('light', $clear->width(), $clear->height());
        }
        $glazing = $this->light->glazing;
        if ($glazing->solid) {
            $this->infill($clear, $leaf, Role::Infill, $depth, $back, false);

            return;
        }
        $thick = $glazing->thickness();
        if ($thick > $depth) {
            throw Refusal::because(
                'unit.glass_thick',
                sprintf(
                    'Glass %s thick is thicker than the %s deep %s that holds it.',
                    UnitTree::mm($thick),
                    UnitTree::mm($depth),
                    $leaf === null ? 'frame' : 'sash',
                ),
                details: ['path' => $this->path, 'field' => 'glazing']);
        }
        $at = $glazing->at ?? $back + ($depth - $thick) / 2;
        if ($at < $back - 1e-6 || $at + $thick > $back + $depth + 1e-6) {
            throw Refusal::because(
                'unit.glass_place', sprintf(
                    'Glass from %s to %s deep lies outside the %s that holds it, %s to %s deep.', UnitTree::mm($at),
                    UnitTree::mm($at + $thick), $leaf === null ? 'frame' : 'sash',
                    UnitTree::mm($back), UnitTree::mm($back + $depth)), details: ['path' => $this->path, 'field' => 'glassAt']);
        }
        $bars = $this->light->bars;
        if ($bars === null || ($bars->upright === 0 && $bars->level === 0)) {
            $this->solver->pane(new Pane($clear, $at, $glazing, $this->path, $leaf?->index));

            return;
        }
        $this->barred($clear, $leaf, $bars, $at, [$back, $depth]);
    }

    /** @param  array{float, float}  $hold  back and depth of what holds the glass */
    private function barred(Contour $clear, ?Leaf $leaf, Bars $bars, float $at, array $hold): void
    {
        $glazing = $this->light->glazing;
        [$x0, $y0, $x1, $y1] = $clear->bounds();
        $wide = ($x1 - $x0 - $bars->upright * $bars->width) / ($bars->upright + 1);
        $high = ($y1 - $y0 - $bars->level * $bars->width) / ($bars->level + 1);
        if ($wide < 1 || $high < 1) {
            throw Refusal::because(
                'unit.bars_no_room',
                sprintf(
                    '%d × %d glazing bars %s wide leave no glass in a pane %s × %s.',
                    $bars->upright,
                    $bars->level,
                    UnitTree::mm($bars->width),
                    UnitTree::mm($x1 - $x0),
                    UnitTree::mm($y1 - $y0),
                ),
                details: ['path' => $this->path, 'field' => 'bars']);
        }
        if ($bars->onPane) {
            $this->solver->pane(new Pane($clear, $at, $glazing, $this->path, $leaf?->index));
        }
        // on the pane one bar on each of its faces, else one through it as deep as what holds the glass
        $layers = $bars->onPane
            ? array_values(
                array_filter(
                    [[$hold[0], $at - $hold[0]], [$at + $glazing->thickness(), $hold[0] + $hold[1] - $at - $glazing->thickness()]],
                    static fn (array $l): bool => $l[1] > 0.5,
                ),
            ) : [$hold];
        $bar = function (Contour $piece) use ($layers, $leaf): void {
            foreach ($layers as [$back, $depth]) {
                $this->solver->member(new Member(Role::Bar, $piece, $back, $depth, $this->path, $leaf?->index));
            }
        };
        for ($row = 0; $row <= $bars->level; $row++) {
            $y = $y0 + $row * ($high + $bars->width);
            foreach ($row > 0 ? Solver::strip($clear, false, $y - $bars->width, $y) : [] as $piece) {
                $bar($piece);
            }
            foreach (Solver::strip($clear, false, $y, $y + $high) as $band) {
                for ($column = 0; $column <= $bars->upright; $column++) {
                    $x = $x0 + $column * ($wide + $bars->width);
                    foreach ($column > 0 ? Solver::strip($band, true, $x - $bars->width, $x) : [] as $piece) {
                        $bar($piece);
                    }
                    foreach ($bars->onPane ? [] : Solver::strip($band, true, $x, $x + $wide) as $pane) {
                        $this->solver->pane(new Pane($pane, $at, $glazing, $this->path, $leaf?->index));
                    }
                }
            }
        }
    }

    private function infill(Contour $clear, ?Leaf $leaf, Role $role, float $depth, float $back, bool $door): void
    {
        $thick = min($this->light->glazing->thickness(), $depth);
        $this->solver->member(new Member($role, $clear, $back + ($depth - $thick) / 2, $thick, $this->path, $leaf?->index, null, $door));
    }

    /** The part of a region on one side of a line, which must be one piece. */
    private function half(Contour $region, bool $upright, float $at, bool $beyond): Contour
    {
        $pieces = $region->clipped($upright, $at, $beyond);
        if (count($pieces) !== 1) {
            throw $this->noRoom('sash', $region->width(), $region->height());
        }

        return $pieces[0];
    }

    private function requireLevel(Contour $region): void
    {
        if (! $region->isRectangle()) {
            throw Refusal::because(
                'unit.cannot_slide',
                sprintf(
                    'A %s light needs a straight sill, upright sides and a level head; put a transom under the slope or arch.',
                    $this->light->operation->label(),
                ),
                details: ['path' => $this->path, 'field' => 'operation']);
        }
    }

    private function noRoom(string $what, float $width, float $height): Refusal
    {
        return Refusal::because(
            'unit.no_room',
            sprintf('A %s %s wide and %s high leaves no room for glass.', $what, UnitTree::mm($width), UnitTree::mm($height)),
            details: ['path' => $this->path, 'field' => 'sashFace', 'width' => $width, 'height' => $height]);
    }
}
