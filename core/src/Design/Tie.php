<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** How one element names another. */
enum Tie: string
{
    /** A wall stands in its outline and storeys, an opening in its wall and storey. */
    case StandsIn = 'stands in';
    /** Its place or level is counted from it. */
    case MeasuredFrom = 'measured from';
    /** An opening of the unit type that fills it. */
    case MadeOf = 'made of';
    /** It only lists it: a set its members, a sheet what is drawn on it. It does without when that goes. */
    case Lists = 'lists';

    /** Whether what is named so may not be taken away while what names it stays. */
    public function holds(): bool
    {
        return $this !== self::Lists;
    }
}
