<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** What a place along a wall is measured from, as seen from outside. */
enum Reference: string
{
    case Left = 'left';
    case Right = 'right';
    case Middle = 'middle';
    /** A share of the wall's length from its left end. */
    case Fraction = 'fraction';
    /** A spot that was picked on the wall, kept as its distance from the left end. */
    case Point = 'point';
    /** An upright setting-out line of the same frontage. */
    case Line = 'line';
    /** A jamb or the centre of another opening of the same frontage. */
    case Opening = 'opening';
    /** A setting-out line of the next frontage, brought across the corner between the two. Only lines are. */
    case Across = 'across';

    /** Whether it names another element. */
    public function isOther(): bool
    {
        return $this === self::Line || $this === self::Opening || $this === self::Across;
    }
}
