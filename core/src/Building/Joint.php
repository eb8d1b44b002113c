<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

/** How a wall ends. */
enum Joint: string
{
    /** Nothing meets it. */
    case Free = 'free';
    /** Runs on into a wall in the same plane. */
    case Flush = 'flush';
    case Mitre = 'mitre';
    /** Runs past the wall it meets. */
    case Through = 'through';
    /** Stops at the face of the wall it meets. */
    case Butt = 'butt';

    /** Stops at the face of a wall it meets somewhere along that wall. */
    case Tee = 'tee';

    public function isCorner(): bool
    {
        return $this !== self::Free && $this !== self::Flush;
    }
}
