<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Spot;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Tolerance;

/** An opening where its rules put it: jambs in u from the wall's left end, sill and head as levels above the datum, mm. */
final readonly class PlacedOpening
{
    private const SAGITTA = 0.05;

    public float $right;

    public float $head;

    /** @param  Contour|null  $outline  as seen from outside the wall, from its left jamb and sill; null for a rectangle */
    public function __construct(public Opening $opening, public float $left, public float $sill, public ?Contour $outline = null)
    {
        $this->right = $left + $opening->width;
        $this->head = $sill + $opening->height;
    }

    /**
     * The outline in (u, v), counter-clockwise; curves as chords that leave them by 0.05 mm at the most.
     *
     * @return list<float>
     */
    public function ring(): array
    {
        return $this->outline === null
            ? [$this->left, $this->sill, $this->right, $this->sill, $this->right, $this->head, $this->left, $this->head]
            : $this->outline->shifted($this->left, $this->sill)->ring(self::SAGITTA);
    }

    /** What it takes out of the wall, mm². */
    public function area(): float
    {
        return $this->outline?->area() ?? $this->opening->width * $this->opening->height;
    }

    public function spot(): Spot
    {
        return new Spot(
            $this->opening->wall,
            $this->opening->storey,
            $this->left,
            $this->sill,
            $this->opening->width,
            $this->opening->height,
        );
    }

    /** Whether it lies wholly beside, over or under the wall's face. */
    public function isOff(Body $body): bool
    {
        $slack = Tolerance::LENGTH;

        return $this->right <= $body->start() + $slack
                    || $this->left >= $body->end() - $slack
                    || $this->head <= $body->foot + $slack
                    || $this->sill >= $body->head - $slack;
    }

    /** Whether the two share some of the wall. */
    public function overlaps(self $other): bool
    {
        $slack = Tolerance::LENGTH;
        if ($other->left >= $this->right - $slack
                    || $other->right <= $this->left + $slack
                    || $other->sill >= $this->head - $slack
                    || $other->head <= $this->sill + $slack) {
            return false;
        }
        if ($this->outline === null && $other->outline === null) {
            return true;
        }

        return Region::polygon($this->ring())->intersection(Region::polygon($other->ring()))->area() > Tolerance::LENGTH;
    }
}
