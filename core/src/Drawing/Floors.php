<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Design\Design;

/** Who knows which outlines have slabs that were made; where there is none a section shows a floor. Named in contributors.php. */
interface Floors
{
    public function isFloorOf(Design $design, string $outline, string $storey): bool;
}
