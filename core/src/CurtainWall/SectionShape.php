<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** What a member's section looks like. */
enum SectionShape: string
{
    case Rectangle = 'rectangle';
    case Tee = 'tee';
    case Round = 'round';
    /** drawn */
    case Polygon = 'polygon';
}
