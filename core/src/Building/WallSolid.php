<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Crossing;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Mesh;
use Isleward\Core\Geometry\Quadrature;
use Isleward\Core\Geometry\Solid;

/**
 * A wall as it stands, with its ends cut and its openings as voids. Of a plane one the mesh lies in (u, v, n), of any other from its left
 * end, x east and z south.
 */
final readonly class WallSolid implements Solid
{
    /** Of a curved wall under slopes the volume is that of its mesh, made of chords this near to the arc, mm. */
    private const SAGITTA = 0.02;

    /** @param  list<PlacedOpening>  $voids */
    public function __construct(public Body $body, public array $voids)
    {
    }

    /** With the openings that a design puts in it. */
    public static function of(Design $design, Body $body): self
    {
        $voids = [];
        foreach ($design->openingsOf($body->host->id()) as $opening) {
            $placed = Places::in($design)->of($opening);
            if (! $placed->isOff($body)) {
                $voids[] = $placed;
            }
        }

        return new self($body, $voids);
    }

    public function mesh(float $sagitta): Mesh
    {
        return Mesher::wall($this->body, $this->voids, $sagitta);
    }

    /**
     * What openings share is taken out once. Those that overlap in a curved wall count as cut towards its centre, as they are when it is
     * cut ({@see CurvedMesher}).
     */
    public function volume(): float
    {
        $taken = 0.0;
        foreach ($this->groups() as $group) {
            $taken += count($group) === 1 ? $this->one($group[0]) : $this->together($group);
        }

        return match (true) {
            $this->body->isLevel() => $this->body->footprint()->area() * $this->body->height() - $taken,
            $this->body->isPlane() => SlopedMesher::volume($this->body) - $taken,
            default => Mesher::wall($this->body, [], self::SAGITTA)->volume() - $taken,
        };
    }

    /** @return list<non-empty-list<PlacedOpening>> those that overlap, together */
    private function groups(): array
    {
        $groups = [];
        foreach ($this->voids as $void) {
            $with = [$void];
            foreach ($groups as $i => $group) {
                foreach ($group as $other) {
                    if ($void->overlaps($other)) {
                        array_push($with, ...$group);
                        unset($groups[$i]);
                        break;
                    }
                }
            }
            $groups[] = $with;
        }

        return array_values($groups);
    }

    private function one(PlacedOpening $void): float
    {
        $body = $this->body;
        $t = $body->host->depth();
        $whole = $this->clearOfEnds($void);
        if ($whole && $void->cut === null && $this->lies($void)) {
            return self::shape($void)->area() * $t;
        }
        $marks = self::marks(self::shape($void));
        $lines = $body->isLevel() ? [] : [
            ...$body->headLine($void->left, $void->right), ...$body->footLine($void->left, $void->right),
        ];
        foreach ($lines as [$u]) {
            $marks[] = max(0.0, min($void->opening->width, $u - $void->left));
        }
        foreach ($whole ? [] : $body->footprint()->edges() as $edge) {
            $x = $void->across($body->surface, $edge->start());
            $marks[] = max(0.0, min($void->opening->width, $x));
        }

        return Quadrature::between(fn (float $x): float => $this->height([$void], static fn (): float => $x) * match (true) {
            ! $whole => $this->wayIn($void->through($body->surface, $x, $t), $void, $x),
            $void->cut !== null => $void->cut->taken($x, $t),
            default => $t,
        }, $marks);
    }

    /** @param  non-empty-list<PlacedOpening>  $voids */
    private function together(array $voids): float
    {
        $surface = $this->body->surface;
        $marks = [];
        foreach ($voids as $void) {
            foreach (self::marks(self::shape($void)) as $x) {
                $marks[] = $void->left + ($void->cut?->along($x, 0.0) ?? $x);
            }
            foreach ($voids as $other) {
                array_push($marks, ...self::crossings($void, $other));
            }
        }
        [$low, $high] = $marks === [] ? [0.0, 0.0] : [min($marks), max($marks)];
        foreach ($this->body->footprint()->edges() as $edge) {
            $marks[] = max($low, min($high, $surface->u($edge->start())));
        }
        $t = $this->body->host->depth();

        return Quadrature::between(fn (float $u): float => $this->height(
            $voids,
            static fn (PlacedOpening $p): float => $p->cut?->placeOf($u - $p->left, 0.0) ?? $u - $p->left,
        ) * $this->wayIn(Curve::line($surface->inPlan($u, -1.0), $surface->inPlan($u, $t + 1.0)), null, $u), $marks);
    }

    /** Whether it keeps between foot and head all over its width. */
    private function lies(PlacedOpening $void): bool
    {
        $body = $this->body;
        if ($body->isLevel()) {
            return $void->sill >= $body->foot && $void->head <= $body->head;
        }
        foreach ([0.0, $body->host->depth()] as $depth) {
            if ($void->sill < max(array_column($body->footLine($void->left, $void->right, $depth), 1))
                || $void->head > min(array_column($body->headLine($void->left, $void->right, $depth), 1))) {
                return false;
            }
        }

        return true;
    }

    /** Whether it goes through the wall between its ends on both faces. */
    private function clearOfEnds(PlacedOpening $void): bool
    {
        [$from, $to] = $void->cut?->reach($this->body->host->depth()) ?? [0.0, $void->opening->width];
        [$left, $right] = [$this->body->left, $this->body->right];

        return $left->arc === null && $right->arc === null
            && $void->left + $from >= max($left->at, $left->inner)
            && $void->left + $to <= min($right->at, $right->inner);
    }

    /**
     * How much of an upright line over a place the voids take, each once.
     *
     * @param  non-empty-list<PlacedOpening>  $voids
     * @param  \Closure(PlacedOpening): float  $place  over the width of each
     */
    private function height(array $voids, \Closure $place): float
    {
        $spans = [];
        foreach ($voids as $void) {
            $x = $place($void);
            // an opening past a slope, which a finding tells, is taken as cut off at the middle of the wall
            [$foot, $head] = [$this->body->foot, $this->body->head];
            if (! $this->body->isLevel()) {
                $middle = $this->body->surface->inPlan($void->left + $x, $this->body->host->depth() / 2);
                [$foot, $head] = [$this->body->footAt($middle), $this->body->headAt($middle)];
            }
            foreach (self::shape($void)->spans(true, $x) as [$low, $high]) {
                $spans[] = [max($foot, $void->sill + $low), min($head, $void->sill + $high)];
            }
        }
        sort($spans);
        [$sum, $reached] = [0.0, -INF];
        foreach ($spans as [$low, $high]) {
            $sum += max(0.0, $high - max($low, $reached));
            $reached = max($reached, $high);
        }

        return $sum;
    }

    /**
     * What of a line through the wall lies in it, as plan area for a mm of width.
     *
     * @param  PlacedOpening|null  $void  whose line at $x it is; null for one square to the face at u = $x
     */
    private function wayIn(Curve $line, ?PlacedOpening $void, float $x): float
    {
        $surface = $this->body->surface;
        $at = [];
        foreach ($this->body->footprint()->edges() as $edge) {
            foreach (Crossing::endless($line, $edge) as [$px, $py]) {
                $share = $edge->shareOf($px, $py);
                if ($share >= 0.0 && $share <= 1.0 && $line->shareOf($px, $py) >= 0.0 && $line->shareOf($px, $py) <= 1.0) {
                    $at[] = $line->shareOf($px, $py) * $line->length();
                }
            }
        }
        sort($at);
        $sum = 0.0;
        for ($i = 1, $n = count($at); $i < $n; $i += 2) {
            // lines towards the centre lie closer there, evenly: the middle of a stretch stands for all of it
            $fromCentre = $surface->isFlat() ? 0.0
                : $line->pointAt(($at[$i] + $at[$i - 1]) / 2)->distanceTo($surface->foot->centre());
            $sum += ($at[$i] - $at[$i - 1]) * match (true) {
                $surface->isFlat() => 1.0,
                $void?->cut === null => $fromCentre / abs($surface->radius()),
                default => $void->cut->spread($x, $fromCentre),
            };
        }

        return $sum;
    }

    /** @return list<float> where the outline of a void turns, over its width */
    private static function marks(Contour $shape): array
    {
        $marks = [];
        foreach ($shape->edges() as $edge) {
            [$x0, , $x1] = $edge->bounds();
            array_push($marks, $edge->x0, $x0, $x1);
        }

        return $marks;
    }

    /** @return list<float> u where the outlines of two voids of a wall cross, curves as chords */
    private static function crossings(PlacedOpening $a, PlacedOpening $b): array
    {
        $found = [];
        [$mine, $theirs] = [Contour::polygon($a->ring())->edges(), Contour::polygon($b->ring())->edges()];
        foreach ($a === $b ? [] : $mine as $edge) {
            foreach ($theirs as $other) {
                $at = $edge->meetsLine($other);
                if ($at !== null && self::isOn($edge, $at->x, $at->y) && self::isOn($other, $at->x, $at->y)) {
                    $found[] = $at->x;
                }
            }
        }

        return $found;
    }

    private static function isOn(Curve $edge, float $x, float $y): bool
    {
        return $edge->shareOf($x, $y) >= 0.0 && $edge->shareOf($x, $y) <= 1.0;
    }

    private static function shape(PlacedOpening $void): Contour
    {
        return $void->outline ?? Contour::rectangle(0.0, 0.0, $void->opening->width, $void->opening->height);
    }
}
