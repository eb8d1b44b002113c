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
    /** one post, square to the stretch at its left as seen from outside; the other one ends beside it */
    case SquareLeft = 'square-left';
    /** the same, square to the stretch at its right */
    case SquareRight = 'square-right';

    /** Whether it is square to one of the two, and not fitted between them. */
    public function isSquare(): bool
    {
        return $this === self::SquareLeft || $this === self::SquareRight;
    }
}
