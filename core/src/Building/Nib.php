<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Tolerance;

/** What is left of a wall beside an opening: to the nearest wall that meets it there, or to where its clear face ends. */
final readonly class Nib
{
    /**
     * @param  float  $at  u where it ends, mm
     * @param  Abutment|null  $wall  that meets it there; null at its end
     */
    private function __construct(public float $at, public ?Abutment $wall)
    {
    }

    /** @param  list<Abutment>  $abutments  walls that end against it */
    public static function beside(Design $design, Body $body, array $abutments, PlacedOpening $p, bool $atRight): self
    {
        $nib = new self(Meeting::clearEnd($design, $body, $p->sill, $p->head, $atRight), null);
        foreach ($abutments as $a) {
            $at = $atRight ? $a->from : $a->to;
            $beside = $atRight ? $at >= $p->right - Tolerance::LENGTH && $at < $nib->at
                : $at <= $p->left + Tolerance::LENGTH && $at > $nib->at;
            $nib = $beside && $a->isBeside($p) ? new self($at, $a) : $nib;
        }

        return $nib;
    }

    /** How wide it is, mm; less than nothing where the opening reaches past it. */
    public function width(PlacedOpening $p, bool $atRight): float
    {
        return $atRight ? $this->at - $p->right : $p->left - $this->at;
    }

    /** Where the left jamb lies when it is so wide, u in mm. */
    public function leftJamb(PlacedOpening $p, bool $atRight, float $width): float
    {
        return $atRight ? $this->at - $width - ($p->right - $p->left) : $this->at + $width;
    }
}
