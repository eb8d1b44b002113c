<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

/** A line to catch on: where it is, what it is and of what, and how it is called for people. */
final readonly class CatchLine
{
    /**
     * @param  float  $at  u from the wall's left end, or a level, mm
     * @param  string  $name  for people; nothing is decided by it
     * @param  string|null  $element  the opening, wall or setting-out line it belongs to
     * @param  'left'|'right'|null  $side  of what it belongs to, as seen from outside
     */
    public function __construct(
        public float $at,
        public string $name,
        public CatchKind $kind,
        public ?string $element = null,
        public ?string $side = null,
    ) {
    }

    /** @return array{at: float, name: string, kind: string, element: string|null, side: string|null} */
    public function toArray(): array
    {
        return ['at' => $this->at, 'name' => $this->name, 'kind' => $this->kind->value, 'element' => $this->element, 'side' => $this->side];
    }
}
