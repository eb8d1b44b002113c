<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

enum BladeProfile: string
{
    case Flat = 'flat';
    case Z = 'z';
    case Ellipse = 'ellipse';
}
