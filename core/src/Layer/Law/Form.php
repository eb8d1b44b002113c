<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

use Isleward\Core\Measure\Refusal;

/** How a value runs along: a pure function of the share of the run, 0 at its start and 1 at its end. */
interface Form
{
    /** @param  int  $n  number of the piece there, from 0: only what is seeded asks for it */
    public function at(float $t, int $n): float;

    /** @return array<string, mixed> its figures, as they were given */
    public function toArray(): array;

    /** @return list<Handle> points of its curve that can be dragged; none where there is nothing to drag */
    public function handles(): array;

    /**
     * Its figures with a handle dragged elsewhere.
     *
     * @param  float  $at  share of the run, 0 to 1
     * @return array<string, mixed>
     *
     * @throws Refusal when it has no such handle
     */
    public function dragged(string $handle, float $at, float $value): array;
}
