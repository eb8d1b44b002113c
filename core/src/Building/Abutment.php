<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Tolerance;

/** Where another wall ends against a wall's face, on either side of it. */
final readonly class Abutment
{
    /**
     * @param  Wall  $wall  the one that ends there
     * @param  float  $from  u of the side of it that is met first, mm from the left end of the wall it meets
     * @param  float  $foot  level, mm above the datum
     * @param  bool  $inside  against the inner face
     */
    public function __construct(
        public Wall $wall,
        public float $from,
        public float $to,
        public float $foot,
        public float $head,
        public bool $inside,
    ) {
    }

    /** Whether it stands at the height of an opening. */
    public function isBeside(PlacedOpening $p): bool
    {
        return $this->foot < $p->head - Tolerance::LENGTH && $this->head > $p->sill + Tolerance::LENGTH;
    }

    /** How far an opening reaches over it along the wall, mm; 0 when it does not. */
    public function reach(PlacedOpening $p): float
    {
        return $this->isBeside($p) ? max(0.0, min($this->to, $p->right) - max($this->from, $p->left)) : 0.0;
    }
}
