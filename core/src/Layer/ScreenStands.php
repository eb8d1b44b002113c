<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

/** A screen as it stands before all its walls. */
final readonly class ScreenStands
{
    /**
     * @param  array<string, ScreenFace>  $faces  by wall; none where nothing of it is left
     * @param  list<int>  $idle  numbers of pieces that lie nowhere, and of cut-outs that take nothing
     */
    public function __construct(public Screen $screen, public array $faces, public array $idle)
    {
    }

    /** mm² */
    public function area(): float
    {
        return array_sum(array_map(static fn (ScreenFace $f): float => $f->area(), $this->faces));
    }
}
