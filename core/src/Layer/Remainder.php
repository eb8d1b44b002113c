<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

/** Where what a pitch leaves over goes. */
enum Remainder: string
{
    case Start = 'start';
    case End = 'end';
    case Both = 'both';
}
