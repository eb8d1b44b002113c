<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** A piece of frame, divider or sash. */
final readonly class Member
{
    /** @param  float  $back depth behind the unit's outer side, mm, at which it begins */
    public function __construct(public Role $role, public Box $box, public float $back, public float $depth)
    {
    }
}
