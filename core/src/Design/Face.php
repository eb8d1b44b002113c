<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** Along which of a wall's faces one measures: the two differ at corners by what the walls that meet there are thick. */
enum Face: string
{
    case Outer = 'outer';
    case Inner = 'inner';
}
