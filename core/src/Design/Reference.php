<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** What an opening's position along its wall is measured from, as seen from outside. */
enum Reference: string
{
    case Left = 'left';
    case Right = 'right';
    case Middle = 'middle';
    case Fraction = 'fraction';
}
