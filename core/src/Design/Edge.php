<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** An opening's level edges. */
enum Edge: string
{
    case Sill = 'sill';
    case Head = 'head';
}
