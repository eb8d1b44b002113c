<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** A stretch of curtain wall worked out: its lines, its members and joints, its cells. Together they fill its face. */
final readonly class Grid
{
    /**
     * @param  list<GridMember>  $members  joints among them
     * @param  list<GridCell>  $cells
     * @param  list<string>  $lost  changes by hand that could not be kept, as sentences
     * @param  list<string>  $notes  what was done of itself, as sentences
     * @param  list<FreePiece>  $free  what free members take of the cells they cross
     */
    public function __construct(
        public float $width,
        public float $height,
        public Lines $bays,
        public Lines $rows,
        public array $members,
        public array $cells,
        public array $lost,
        public array $notes = [],
        public array $free = [],
    ) {
    }

    /**
     * @param  list<GridCell>  $cells
     * @param  list<FreePiece>  $free
     */
    public function with(array $cells, array $free): self
    {
        return new self($this->width, $this->height, $this->bays, $this->rows, $this->members, $cells, $this->lost, $this->notes, $free);
    }
}
