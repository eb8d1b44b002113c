<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

/** What a line is that is caught on. */
enum CatchKind: string
{
    /** An end of the wall's face. */
    case End = 'end';
    /** The middle of the wall. */
    case Middle = 'middle';
    /** A face of a wall that meets this one. */
    case Face = 'face';
    /** As far beside a wall that meets as a nib is wide. */
    case Nib = 'nib';
    /** Where the margin at a corner ends. */
    case Margin = 'margin';
    case Jamb = 'jamb';
    /** The centre of another opening. */
    case Centre = 'centre';
    case Sill = 'sill';
    case Head = 'head';
    /** A setting-out line. */
    case Line = 'line';
}
