<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

/** How a value runs along: a pure function of the share of the run, 0 at its start and 1 at its end. */
interface Form
{
    /** @param  int  $n  number of the piece there, from 0: only what is seeded asks for it */
    public function at(float $t, int $n): float;

    /** @return array<string, mixed> its figures, as they were given */
    public function toArray(): array;
}
