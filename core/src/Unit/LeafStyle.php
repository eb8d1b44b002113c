<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** What is between, or in place of, the stiles and rails of a sash or leaf. */
enum LeafStyle: string
{
    case Glazed = 'glazed';
    case Flush = 'flush';
    case Panelled = 'panelled';
    case PartGlazed = 'part-glazed';
}
