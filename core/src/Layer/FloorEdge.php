<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

/** How the outer edge of a floor band is shaped. */
enum FloorEdge: string
{
    case Square = 'square';
    case Chamfered = 'chamfered';
    case Rounded = 'rounded';
    case Drawn = 'drawn';
}
