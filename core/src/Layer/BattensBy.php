<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

/** How battens are spaced over what they fill. */
enum BattensBy: string
{
    /** so far from middle to middle */
    case Pitch = 'pitch';
    /** so far clear between them */
    case Gap = 'gap';
    case Count = 'count';
    /** as many as fit with at least so much clear between them */
    case Fit = 'fit';
}
