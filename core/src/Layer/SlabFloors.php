<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Floors;

/** Whole slabs that follow an outline are its floors. */
final class SlabFloors implements Floors
{
    public function isFloorOf(Design $design, string $outline, string $storey): bool
    {
        return FloorBands::in($design)->isFloorOf($outline, $storey);
    }
}
