<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

/** How two laws are combined. */
enum Together: string
{
    case Sum = 'sum';
    case Product = 'product';
    case Greater = 'greater';
}
