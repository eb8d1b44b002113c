<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Margin;
use Isleward\Core\Geometry\Overlay;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** A screen as it stands before one wall: what of the wall's face it covers, in the wall's (u, level), mm. */
final readonly class ScreenFace
{
    /**
     * @param  Upright  $surface  the wall's outer face
     * @param  array{ScreenEnd, ScreenEnd}  $ends
     * @param  list<Profile>  $region  out to its ends
     * @param  float  $behind  how far out lies what its returns run back to, mm
     * @param  list<ScreenUnit>  $units  that fill cut-outs
     * @param  array<int, non-empty-list<Contour>>  $cuts  by number: its cut-outs as they lie, whole
     */
    public function __construct(
        public Screen $screen,
        public string $wall,
        public Upright $surface,
        public array $ends,
        public array $region,
        public float $behind,
        public array $cuts,
        public array $units = [],
    ) {
    }

    /** Seen square on, mm². */
    public function area(): float
    {
        return ScreenRegion::area($this->region);
    }

    /**
     * What of it stands square to the wall: without the wedges at mitred corners.
     *
     * @return list<Profile>
     */
    public function sheet(): array
    {
        $region = $this->region;
        foreach ($this->ends as $right => $end) {
            if ($region !== [] && abs($end->outermost() - $end->square((bool) $right)) > 1e-6) {
                $region = Overlay::difference($region, [new Profile($end->beyond((bool) $right, $this->bounds()))]);
            }
        }

        return $region;
    }

    /** @return array{float, float, float, float} u, level, u, level of all of it */
    public function bounds(): array
    {
        $boxes = array_map(static fn (Profile $p): array => $p->outer->bounds(), $this->region);

        return [
            min([INF, ...array_column($boxes, 0)]), min([INF, ...array_column($boxes, 1)]),
            max([-INF, ...array_column($boxes, 2)]), max([-INF, ...array_column($boxes, 3)]),
        ];
    }

    /**
     * The wedges at its mitred corners: in plan x east, y north, and from one level to another.
     *
     * @return list<array{Contour, float, float}>
     */
    public function wedges(): array
    {
        $out = [];
        foreach ($this->ends as $right => $end) {
            $wedge = $end->wedge((bool) $right, $this->surface, $this->screen->gap, $this->screen->front());
            if ($wedge === null) {
                continue;
            }
            $beside = $end->square((bool) $right) + ($right === 1 ? -0.02 : 0.02);
            foreach (ScreenRegion::spans($this->region, true, $beside) as [$low, $high]) {
                $out[] = [$wedge, $low, $high];
            }
        }

        return $out;
    }

    /**
     * What is closed back to what lies behind it, as it is seen square on: as thick as the sheet, along its edges, its cut-outs or both.
     *
     * @return list<Profile>
     *
     * @throws Refusal when a piece is too narrow for them
     */
    public function returns(): array
    {
        $screen = $this->screen;
        if ($this->behind >= $screen->gap - 1e-6 || (! $screen->edges && ! $screen->reveals)) {
            return [];
        }
        $out = [];
        foreach ($this->region as $profile) {
            $inner = $screen->edges ? $this->within($profile->outer) : $profile->outer;
            $holes = [];
            foreach ($profile->holes as $hole) {
                $plain = $hole->reversed();
                $holes[] = $screen->reveals ? ScreenShape::grown($plain, $screen->thick) : $plain;
            }
            // where none of them meet they are rings by themselves
            [$left] = ScreenRegion::without([new Profile($inner)], $holes);
            $rings = [];
            if (count($left) === 1 && count($left[0]->holes) === count($holes)) {
                if ($screen->edges) {
                    $rings[] = new Profile($profile->outer, [$inner->reversed()]);
                }
                foreach ($screen->reveals ? $profile->holes : [] as $i => $hole) {
                    $rings[] = new Profile($holes[$i], [$hole]);
                }
            } else {
                $rings = Overlay::difference([$profile], $left);
            }
            array_push($out, ...$rings);
        }

        return $out;
    }

    /** An edge that the next stretch goes on from has no return. */
    private function within(Contour $outer): Contour
    {
        $widths = [];
        foreach ($outer->edges() as $edge) {
            $open = false;
            foreach ($this->ends as $end) {
                $at = $end->outermost();
                $open = $open || ($end->joined && abs($edge->x0 - $at) < 0.1 && abs($edge->x1 - $at) < 0.1);
            }
            $widths[] = $open ? 0.0 : $this->screen->thick;
        }

        return Margin::inside($outer, $widths)->inner ?? throw Refusal::because('screen.returns', sprintf(
            'A piece of %s, %s by %s, is too narrow to be closed back with sheet %s thick.', $this->screen->name,
            Length::mark($outer->width()), Length::mark($outer->height()), Length::mark($this->screen->thick),
        ), [$this->screen->id], ['field' => 'edges']);
    }

    /** Its sheet, its wedges and its returns, mm³. */
    public function volume(): float
    {
        $volume = 0.0;
        foreach (ScreenSolid::of($this) as $solid) {
            $volume += $solid->volume();
        }

        return $volume;
    }
}
