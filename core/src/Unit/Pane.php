<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** A glazing unit as seen: its clear size between frame or sash. */
final readonly class Pane
{
    public function __construct(public Box $box, public float $back, public float $thickness)
    {
    }
}
