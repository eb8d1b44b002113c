<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Contour;

/** A piece of frame, divider, sash or filling, seen from outside from the unit's lower left corner. */
final readonly class Member
{
    /**
     * @param  float  $back  depth behind the unit's outer side, mm, at which it begins; less than nothing when it stands out of it
     * @param  string  $path  of the region it belongs to
     * @param  int|null  $leaf  number of the leaf that it moves with
     * @param  list<float>|null  $section  of a blade: its outline [y, depth behind the outer side, …], mm
     */
    public function __construct(
        public Role $role,
        public Contour $contour,
        public float $back,
        public float $depth,
        public string $path = '',
        public ?int $leaf = null,
        public ?array $section = null,
        public bool $door = false,
    ) {
    }

    public function part(): FinishPart
    {
        return match ($this->role) {
            Role::Stile, Role::Rail, Role::Muntin => $this->door ? FinishPart::Leaf : FinishPart::Sash,
            Role::Panel => $this->door ? FinishPart::Leaf : FinishPart::Infill,
            Role::Infill => FinishPart::Infill,
            Role::Bar => FinishPart::Bars,
            Role::Blade, Role::LouvreFrame => FinishPart::Louvre,
            default => FinishPart::FrameOutside,
        };
    }

    public function mirrored(float $width): self
    {
        return new self(
            $this->role,
            $this->contour->mirrored($width),
            $this->back,
            $this->depth,
            $this->path,
            $this->leaf,
            $this->section,
            $this->door,
        );
    }
}
