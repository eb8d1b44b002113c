<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

/** What a piece of a screen, or a cut-out in it, is drawn as. */
enum ScreenForm: string
{
    /** Over the whole width of the screen, from one height to another. */
    case Whole = 'whole';
    case Rectangle = 'rectangle';
    case Round = 'round';
    case Polygon = 'polygon';
    /** Round openings, and with them. */
    case Openings = 'openings';
}
