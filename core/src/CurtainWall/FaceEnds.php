<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** How the face of a stretch ends: free, with a side member of its type, or at a corner, where the corner's own members stand. */
final readonly class FaceEnds
{
    /**
     * @param  float  $before  how far it reaches past the start of its foot, where a leaning corner widens it, mm
     * @param  float  $after  how far it reaches past the end
     * @param  bool  $bent  whether it is an arc, whose members butt and are not mitred
     */
    public function __construct(
        public float $before = 0.0,
        public float $after = 0.0,
        public bool $leftIsCorner = false,
        public bool $rightIsCorner = false,
        public bool $bent = false,
    ) {
    }
}
