<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Unit\SolvedUnit;

/** A unit that fills a cut-out of a screen, its outer side in the plane of the screen's front. */
final readonly class ScreenUnit
{
    /**
     * @param  int  $n  the cut-out's number
     * @param  float  $u  of its left side, along the wall
     * @param  float  $level  of its foot
     */
    public function __construct(public int $n, public string $type, public float $u, public float $level, public SolvedUnit $unit)
    {
    }
}
