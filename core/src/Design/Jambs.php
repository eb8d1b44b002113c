<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** How an opening is cut into a curved wall, and so how its unit stands there. */
enum Jambs: string
{
    /** Square to the chord between its jambs; the unit stands flat. */
    case Parallel = 'parallel';
    /** Towards the centre of the arc; the unit stands flat. */
    case Radial = 'radial';
    /** Towards the centre, and the unit is bent to the wall: its width is an arc length. */
    case Bent = 'bent';

    public function label(): string
    {
        return match ($this) {
            self::Parallel => 'parallel jambs',
            self::Radial => 'radial jambs',
            self::Bent => 'bent to the wall',
        };
    }
}
