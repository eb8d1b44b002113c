<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** Something kept under a name beside the building: nothing is placed from it, and of a kind no two have one name. */
interface Kept extends Element
{
    public function called(): string;
}
