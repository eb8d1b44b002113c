<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

/** What a band does at corners of its line. */
enum Corners: string
{
    /** It goes on as if there were none. */
    case Through = 'through';
    /** One piece stands on each, and between them they are even. */
    case On = 'on';
    /** None stands nearer to one than a stated distance. */
    case Clear = 'clear';
}
