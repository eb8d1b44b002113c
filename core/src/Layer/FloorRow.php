<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Curve;

/** A floor band as it stands at one storey. */
final readonly class FloorRow
{
    /**
     * @param  int  $n  its number, from 0, upwards
     * @param  float  $top  level, mm
     * @param  float  $out  of its outer edge from the line, mm
     * @param  list<Curve>  $edge  its outer edge in plan, its outside to the right
     */
    public function __construct(
        public FloorBand $band,
        public BandLine $line,
        public int $n,
        public string $storey,
        public float $top,
        public float $out,
        public array $edge,
    ) {
    }

    public function foot(): float
    {
        return $this->top - $this->band->height;
    }

    public function solid(): FloorSolid
    {
        return new FloorSolid($this->band, $this->line, $this->out);
    }

    /** Round its outer edge, mm. */
    public function length(): float
    {
        return array_sum(array_map(static fn (Curve $c): float => $c->length(), $this->edge));
    }
}
