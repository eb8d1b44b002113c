<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Geometry\Vec2;

/** The plane a wall's end is cut by: at depth d behind the outer face it lies at u = at + slope · d (mm). */
final readonly class End
{
    /**
     * @param  string|null  $meets  the wall it makes its corner with
     * @param  list<string>  $others  further walls that end there, in this storey or another
     */
    public function __construct(
        public float $at,
        public float $slope,
        public Joint $joint,
        public ?string $meets = null,
        public array $others = [],
    ) {
    }

    /** @param  list<string>  $others */
    public function beside(array $others): self
    {
        return new self($this->at, $this->slope, $this->joint, $this->meets, $others);
    }

    public static function square(float $at, Joint $joint = Joint::Free, ?string $meets = null): self
    {
        return new self($at, 0.0, $joint, $meets);
    }

    /** Cut along the plan line through $point in direction $line. */
    public static function along(Surface $surface, Vec2 $point, Vec2 $line, Joint $joint, string $meets): self
    {
        $across = $surface->along->cross($line);
        $start = $surface->origin->minus($point);
        $at = -$start->cross($line) / $across;
        $slope = $surface->outward()->cross($line) / $across;

        return new self($at, $slope, $joint, $meets);
    }

    public function atDepth(float $depth): float
    {
        return $this->at + $this->slope * $depth;
    }
}
