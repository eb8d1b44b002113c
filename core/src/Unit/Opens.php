<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

enum Opens: string
{
    case Inward = 'inward';
    case Outward = 'outward';
}
