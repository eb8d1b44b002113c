<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Region;

/** A stretch of a face of what stands, seen square on over a line in plan. */
final readonly class SeenFace
{
    /**
     * @param  float  $depth  of the face behind the outer one, mm
     * @param  float  $from  u at which it comes into sight
     * @param  bool  $afar  beyond a section, where little of it is drawn
     */
    public function __construct(
        public Design $design,
        public Body $body,
        public View $view,
        public float $depth,
        public float $from,
        public float $to,
        public bool $afar,
    ) {
    }

    /** Where u lies along the line. */
    public function s(float $u): float
    {
        return $this->view->s($this->body->surface->inPlan($u, $this->depth));
    }

    /** @return array{float, float, float, float} x0, y0, x1, y1 */
    public function box(): array
    {
        [$a, $b] = [$this->s($this->from), $this->s($this->to)];

        return [min($a, $b), $this->body->foot, max($a, $b), $this->body->head];
    }

    /** @return list<float> what of it is seen, counter-clockwise from its lower left */
    public function ring(): array
    {
        return $this->ofFace($this->body->faceBetween($this->from, $this->to, $this->depth)->rings[0] ?? []);
    }

    /**
     * @param  list<float>  $face  a ring in (u, level) of it
     * @return list<float> as it is seen, counter-clockwise
     */
    public function ofFace(array $face): array
    {
        $ring = [];
        foreach (array_chunk($face, 2) as [$u, $v]) {
            array_push($ring, $this->s($u), $v);
        }

        return Region::signedArea($ring) < 0.0 ? Region::reverse($ring) : $ring;
    }

    /** @return list<PlacedOpening> those that are wholly in sight */
    public function openings(): array
    {
        $placed = array_map(Places::in($this->design)->of(...), $this->design->openingsOf($this->body->host->id()));

        return array_values(array_filter(
            $placed,
            fn (PlacedOpening $p): bool => $p->left >= $this->from - 1 && $p->right <= $this->to + 1,
        ));
    }
}
