<?php

declare(strict_types=1);

namespace Isleward\Core\Wall;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Opening;

/** An opening where its rules put it: jambs in u from the wall's left end, sill and head as levels above the datum, mm. */
final readonly class PlacedOpening
{
    private function __construct(
        public Opening $opening,
        public float $left,
        public float $right,
        public float $sill,
        public float $head,
    ) {
    }

    public static function of(Design $design, Opening $opening, float $wallLength): self
    {
        $left = $opening->position->leftJamb($wallLength, $opening->width);
        $wall = $design->wall($opening->wall);
        $sill = $opening->sill->level($design->storeys->floor($opening->storey), $design->storeys->floor($wall->base));

        return new self($opening, $left, $left + $opening->width, $sill, $sill + $opening->height);
    }

    /**
     * The outline in (u, v), counter-clockwise.
     *
     * @return list<float>
     */
    public function ring(): array
    {
        return $this->opening->ring($this->left, $this->sill);
    }

    /** Whether it lies wholly beside, over or under the wall's face. */
    public function isOff(Body $body): bool
    {
        $slack = \Isleward\Core\Tolerance::LENGTH;

        return $this->right <= $slack || $this->left >= $body->length - $slack || $this->head <= $body->foot + $slack || $this->sill >= $body->head - $slack;
    }
}
