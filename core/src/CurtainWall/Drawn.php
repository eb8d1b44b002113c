<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Contour;

/** A stretch as it is seen square on: what each thing of it takes of its face, in (u, v), mm. */
final readonly class Drawn
{
    /**
     * @param  Contour  $face  between its corners' edges
     * @param  list<array{bool, Contour}>  $corners  what stands at its corners takes of it, and whether that is at its left
     * @param  list<array{GridMember, Contour}>  $members  joints are none
     * @param  list<array{FreeMember, Contour}>  $free
     * @param  list<array{GridCell, Contour}>  $cells  what corners leave of them; one that they cut in two is there twice
     * @param  list<array{GridMember, Contour}>  $joints  between infills where no member stands
     */
    public function __construct(
        public Contour $face,
        public array $corners,
        public array $members,
        public array $free,
        public array $cells,
        public array $joints = [],
    ) {
    }
}
