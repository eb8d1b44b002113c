<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Profile;

/** What lies between the members of a stretch, seen square on, in (u, v), mm: one place of the grid, or several that are joined. */
final readonly class GridCell
{
    /**
     * @param  string  $left  the line at its left
     * @param  string  $foot  the line under it
     * @param  int  $bay  of its lower left place, from 0; part of one where a line stands in one row only
     * @param  int  $row  of the same
     * @param  int  $bays  how many it is wide
     * @param  int  $rows  how many it is high
     * @param  string  $right  the line at its right
     * @param  string  $head  the line over it
     * @param  Profile  $daylight  what is seen of it between its members
     */
    public function __construct(
        public string $left,
        public string $foot,
        public int $bay,
        public int $row,
        public int $bays,
        public int $rows,
        public Profile $daylight,
        public Infill $infill,
        public string $right,
        public string $head,
    ) {
    }

    /** A part of it, as a free member leaves it. */
    public function with(Profile $daylight): self
    {
        return $this->made($daylight, $this->infill);
    }

    /** Where left and right of its grid changed places. */
    public function turnedRound(Profile $daylight): self
    {
        return $this->made($daylight, $this->infill->turnedRound());
    }

    private function made(Profile $daylight, Infill $infill): self
    {
        return new self(
            $this->left, $this->foot, $this->bay, $this->row, $this->bays, $this->rows, $daylight, $infill, $this->right, $this->head,
        );
    }

    public function contour(): Contour
    {
        return $this->daylight->outer;
    }

    /** "bay 3, row 2", or "bays 3 to 4, row 2" of joined ones. */
    public function name(): string
    {
        $say = static fn (string $one, int $from, int $count): string => $count === 1
            ? sprintf('%s %d', $one, $from + 1)
            : sprintf('%ss %d to %d', $one, $from + 1, $from + $count);

        return $say('bay', $this->bay, $this->bays).', '.$say('row', $this->row, $this->rows);
    }
}
