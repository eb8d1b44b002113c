<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Region;

/** A wall as it stands: its face, its foot and head, and the planes its ends are cut by. */
final readonly class Body
{
    /**
     * @param  float  $length  along the outer face, corner to corner, mm
     * @param  float  $foot  level, mm above the datum
     * @param  float  $head  level, mm above the datum
     */
    public function __construct(
        public Wall $wall,
        public Surface $surface,
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

    /** The wall cut level, in (u, depth). */
    public function footprint(): Region
    {
        $t = $this->wall->thickness;

        return Region::polygon([
            $this->left->atDepth(0.0), 0.0, $this->right->atDepth(0.0), 0.0,
            $this->right->atDepth($t), $t, $this->left->atDepth($t), $t,
        ]);
    }
}
