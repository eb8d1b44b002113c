<?php

declare(strict_types=1);

namespace Isleward\Core\Wall;

use Isleward\Core\Design\Opening;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Tolerance;

/** An opening where its rules put it: jambs in u from the wall's left end, sill and head as levels above the datum, mm. */
final readonly class PlacedOpening
{
    public float $right;

    public float $head;

    public function __construct(public Opening $opening, public float $left, public float $sill)
    {
        $this->right = $left + $opening->width;
        $this->head = $sill + $opening->height;
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
        $slack = Tolerance::LENGTH;

        return $this->right <= $body->start() + $slack || $this->left >= $body->end() - $slack || $this->head <= $body->foot + $slack || $this->sill >= $body->head - $slack;
    }

    /** Whether the two share some of the wall. */
    public function overlaps(self $other): bool
    {
        $slack = Tolerance::LENGTH;
        if ($other->left >= $this->right - $slack || $other->right <= $this->left + $slack || $other->sill >= $this->head - $slack || $other->head <= $this->sill + $slack) {
            return false;
        }
        if ($this->opening->shape === null && $other->opening->shape === null) {
            return true;
        }

        return Region::polygon($this->ring())->intersection(Region::polygon($other->ring()))->area() > Tolerance::LENGTH;
    }
}
