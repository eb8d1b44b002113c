<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\CurtainRules;

/** From where on something of a run is doubtful. */
final readonly class RunLimits
{
    /**
     * @param  float  $sliver  narrower bays are doubtful, mm (common practice)
     * @param  float  $weight  of one infill, kg
     * @param  float  $area  of one infill, mm²
     * @param  float  $bar  the longest member that can be had, mm
     * @param  float  $apart  a line that was placed by hand and lies nearer to another is doubtful, mm
     */
    public function __construct(
        public float $sliver = 300.0,
        public float $weight = 250.0,
        public float $area = 6.0e6,
        public float $bar = 6500.0,
        public float $apart = 50.0,
    ) {
    }

    public static function from(CurtainRules $rules): self
    {
        return new self($rules->sliver, $rules->weight, $rules->area, max($rules->bars) - 2 * $rules->trim, $rules->apart);
    }
}
