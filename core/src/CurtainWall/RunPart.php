<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** A stretch as it stands, and which of its run's path it is: of an arc in facets each facet is one. */
final readonly class RunPart
{
    /**
     * @param  int  $path  the stretch of the path, from 0
     * @param  float  $u  where it begins along that, by arc length, mm
     * @param  string|null  $line  of a facet: the upright line it begins at
     * @param  int  $bay  of a facet: which, from 0
     */
    public function __construct(
        public Stretch $stretch,
        public int $path,
        public float $u = 0.0,
        public ?string $line = null,
        public int $bay = 0,
    ) {
    }
}
