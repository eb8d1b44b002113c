<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Host;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Upright;

/** A wall as it stands: its face, its foot and head, and how its ends are cut. */
final readonly class Body
{
    /**
     * @param  float  $length  along the outer face, corner to corner, mm
     * @param  float  $foot  level, mm above the datum
     * @param  float  $head  level, mm above the datum
     */
    public function __construct(
        public Host $host,
        public Upright $surface,
        public float $length,
        public float $foot,
        public float $head,
        public End $left,
        public End $right,
    ) {
    }

    public function height(): float
    {
        return $this->head - $this->foot;
    }

    /** u at which the face begins: at the corner, or at the face of the wall it stops at. */
    public function start(): float
    {
        return $this->left->joint === Joint::Tee ? $this->left->at : 0.0;
    }

    /** u at which the face ends. */
    public function end(): float
    {
        return $this->right->joint === Joint::Tee ? $this->right->at : $this->length;
    }

    /** The outer face, corner to corner, in (u, v). */
    public function face(): Region
    {
        return Region::rectangle($this->start(), $this->foot, $this->end(), $this->head);
    }

    /** Whether its faces are flat and its ends are cut by planes. */
    public function isPlane(): bool
    {
        return $this->surface->isFlat() && $this->left->arc === null && $this->right->arc === null;
    }

    /** The wall cut level, in plan: along its outer face, along its right end, back along its inner face and its left end. */
    public function footprint(): Contour
    {
        $t = $this->host->depth();
        [$left, $right] = [$this->left, $this->right];
        $corners = [
            $this->surface->inPlan($left->at),
            $this->surface->inPlan($right->at),
            $this->surface->inPlan($right->inner, $t),
            $this->surface->inPlan($left->inner, $t),
        ];
        $flat = $this->surface->isFlat();
        $sides = [];
        foreach ([
            $flat ? null : $this->surface->stretch($left->at, $right->at)->foot,
            $right->arc,
            $flat ? null : $this->surface->behind($t)->part($left->inner / $this->length, $right->inner / $this->length)->reversed(),
            $left->arc?->reversed(),
        ] as $i => $curve) {
            [$a, $b] = [$corners[$i], $corners[($i + 1) % 4]];
            if ($curve !== null || ! $a->isAt($b)) {
                $sides[] = $curve?->between($a->x, $a->y, $b->x, $b->y) ?? Curve::straight($a->x, $a->y, $b->x, $b->y);
            }
        }

        return Contour::of($sides === [] ? throw new \LogicException('A wall has a length.') : $sides);
    }
}
