<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\Design;

/** Where units stand besides the openings of walls. */
interface UnitSource
{
    /**
     * @param  list<Frontage>  $frontages
     * @return list<array{string, string, string, int}> the unit type, the storey, what it stands in, and how many
     */
    public function units(Design $design, array $frontages): array;
}
