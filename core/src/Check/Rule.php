<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

/** One thing that is looked for on a wall. */
interface Rule
{
    /** @return list<Finding> */
    public function check(WallInQuestion $wall): array;
}
