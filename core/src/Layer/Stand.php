<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

/** Which way the pieces of a band run: upright, level along its line, or out from it. */
enum Stand: string
{
    case Standing = 'standing';
    case Lying = 'lying';
    case Reaching = 'reaching';
}
