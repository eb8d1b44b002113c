<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Geometry\Tolerance;

/** That a flat frontage lies behind another of the same outline that faces the same way: in a recess, or where the plan steps. */
final readonly class SetBack
{
    /** Bearings this near each other are the same way, degrees. */
    private const SAME = 0.01;

    /**
     * @param  Frontage  $behind  the one that stands out farthest
     * @param  float  $by  mm, square to both
     */
    private function __construct(public Frontage $behind, public float $by)
    {
    }

    /**
     * @param  list<Frontage>  $all  of the building
     * @return self|null when it is the one that stands out farthest, is curved, or is an inner wall's
     */
    public static function of(Frontage $frontage, array $all): ?self
    {
        if ($frontage->inner || ! $frontage->surface->isFlat()) {
            return null;
        }
        $out = $frontage->surface->outward(0);
        $own = $frontage->surface->start()->dot($out);
        $found = null;
        foreach ($all as $other) {
            $turned = abs(fmod($other->bearing - $frontage->bearing + 540, 360) - 180);
            if ($other->inner || $other->outline !== $frontage->outline || ! $other->surface->isFlat() || $turned > self::SAME) {
                continue;
            }
            $by = $other->surface->start()->dot($out) - $own;
            if ($by > max(Tolerance::LENGTH, $found === null ? 0.0 : $found->by)) {
                $found = new self($other, $by);
            }
        }

        return $found;
    }
}
