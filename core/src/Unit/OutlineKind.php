<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

enum OutlineKind: string
{
    case Rectangle = 'rectangle';
    case Profile = 'profile';
    case Arch = 'arch';
    case Round = 'round';
    case Polygon = 'polygon';
}
