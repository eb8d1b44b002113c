<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** A light at its place; for one that opens, the box of its sash or leaf. */
final readonly class SolvedLight
{
    public function __construct(public Light $light, public Box $box, public HingeSide $hinge)
    {
    }
}
