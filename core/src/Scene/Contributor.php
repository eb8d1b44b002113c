<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;

/** Who puts parts into the solid model. */
interface Contributor
{
    /** @return iterable<Part> what there is of, and in, one that stands */
    public function parts(Design $design, Body $body): iterable;
}
