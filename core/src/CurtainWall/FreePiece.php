<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Contour;

/** What of a free member stands in one cell. */
final readonly class FreePiece
{
    /**
     * @param  Contour  $between  what of the cell was there before, or of one that is not convex the strip the piece takes of it:
     *    straight-sided and convex; the piece ends at its sides
     * @param  list<Contour>  $seen  what the piece takes of the face, in (u, v)
     * @param  bool  $isStrip  its sides along the member are the member's own, and cut nothing
     */
    public function __construct(public FreeMember $member, public Contour $between, public array $seen, public bool $isStrip = false)
    {
    }
}
