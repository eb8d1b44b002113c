<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** What stretches of curtain wall are made by, as far as the design has to know it: a grid type. */
interface Pattern extends Element
{
    /** What it is called on drawings, unlike any other's. */
    public function mark(): string;

    public function name(): string;

    /** Its place on the rack. */
    public function position(): int;

    /** How deep what it makes is behind its glass line, mm. */
    public function depth(): float;
}
