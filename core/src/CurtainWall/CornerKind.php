<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** How two stretches meet. */
enum CornerKind: string
{
    /** one post whose section is fitted to the angle; over a right angle a square one is square */
    case Post = 'post';
    /** two members, each cut along its length where they meet */
    case Mitred = 'mitred';
    /** glass to glass with a joint */
    case Glass = 'glass';
}
