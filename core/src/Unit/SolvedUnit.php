<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** A unit of a given size, worked out. */
final readonly class SolvedUnit
{
    /**
     * @param  list<Member>  $members
     * @param  list<Pane>  $panes
     * @param  list<SolvedLight>  $lights
     */
    public function __construct(
        public float $width,
        public float $height,
        public float $depth,
        public array $members,
        public array $panes,
        public array $lights,
    ) {
    }

    /** Clear glass, mm². */
    public function glassArea(): float
    {
        return array_sum(array_map(static fn (Pane $p): float => $p->box->area(), $this->panes));
    }

    /** Share of the unit's face that is not glass, 0 to 1. */
    public function frameShare(): float
    {
        return 1 - $this->glassArea() / ($this->width * $this->height);
    }

    public function hasDoor(): bool
    {
        foreach ($this->lights as $light) {
            if ($light->light->operation->isDoor()) {
                return true;
            }
        }

        return false;
    }
}
