<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Contour;

/** What of a free member stands in one cell. */
final readonly class FreePiece
{
    /**
     * @param  Contour  $between  what of the cell was there before: straight-sided and convex; the piece ends at its sides
     * @param  list<Contour>  $seen  what the piece takes of the face, in (u, v)
     */
    public function __construct(public FreeMember $member, public Contour $between, public array $seen)
    {
    }
}
