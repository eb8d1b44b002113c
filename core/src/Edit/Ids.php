<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Kind;

/** Gives new elements their ids. */
interface Ids
{
    public function next(Kind $kind): string;
}
