<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

enum SpacedBy: string
{
    /** so far from middle to middle */
    case Pitch = 'pitch';
    /** so many */
    case Count = 'count';
    /** evenly, no farther apart than so much */
    case Greatest = 'greatest';
}
