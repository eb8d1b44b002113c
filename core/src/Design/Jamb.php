<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/**
 * What of an opening a position is measured to. The near jamb is the one the measuring direction meets first; from the
 * middle or a fraction of the wall one measures to the right, so the near jamb is the left one.
 */
enum Jamb: string
{
    case Near = 'near';
    case Far = 'far';
    case Centre = 'centre';
}
