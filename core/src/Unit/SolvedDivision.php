<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** A division at its place: what its parts measure and where its dividers stand. */
final readonly class SolvedDivision
{
    /**
     * @param  array{float, float, float, float}  $box  x0, y0, x1, y1 that it divides, clear, mm
     * @param  array{float, float, float, float}  $grid  sides of the unit or middles of the dividers that bound it, mm
     * @param  list<array{from: float, to: float, size: float, fixed: bool, start: float, end: float}>  $parts  clear from and to; measured
     *    from start to end, whose distance is size
     */
    public function __construct(
        public string $path,
        public Axis $axis,
        public float $face,
        public array $box,
        public array $grid,
        public array $parts,
    ) {
    }
}
