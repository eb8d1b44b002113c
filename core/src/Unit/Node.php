<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** A region of a unit: a {@see Division} of it or the {@see Light} that fills it. */
interface Node
{
    /** @return array<string, mixed> */
    public function toArray(): array;
}
