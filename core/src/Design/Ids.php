<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** Gives new elements their ids. */
interface Ids
{
    public function next(Kind $kind): string;
}
