<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Profile;

/** A stretch of curtain wall worked out: its lines, its members and joints, its cells. Together they fill its face. */
final readonly class Grid
{
    /**
     * @param  list<GridMember>  $members  joints among them
     * @param  list<GridCell>  $cells
     * @param  list<Lost>  $lost  changes by hand that could not be kept
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

    /** Left and right changed places; what was named keeps its name. */
    public function mirrored(): self
    {
        $w = $this->width;
        $shape = static fn (Profile $p): Profile => new Profile(
            $p->outer->mirrored($w),
            array_map(static fn (Contour $hole): Contour => $hole->mirrored($w), $p->holes),
        );
        $role = static fn (Role $r): Role => match ($r) {
            Role::Left => Role::Right,
            Role::Right => Role::Left,
            default => $r,
        };

        return new self(
            $w,
            $this->height,
            $this->bays->mirrored($w),
            $this->rows,
            array_map(static fn (GridMember $m): GridMember => new GridMember(
                $role($m->role), $m->profile, $m->line, $m->from, $w - $m->x1, $m->y0, $w - $m->x0, $m->y1,
                array_map(static fn (array $c): array => [$w - $c[2], $c[3], $w - $c[0], $c[1]], $m->cuts),
            ), $this->members),
            array_map(static fn (GridCell $c): GridCell => $c->turnedRound($shape($c->daylight)), $this->cells),
            $this->lost,
            $this->notes,
            array_map(static fn (FreePiece $f): FreePiece => new FreePiece(
                $f->member->turnedRound($w),
                $f->between->mirrored($w),
                array_map(static fn (Contour $c): Contour => $c->mirrored($w), $f->seen),
                $f->isStrip,
            ), $this->free),
        );
    }

    /**
     * @param  list<GridCell>  $cells
     * @param  list<FreePiece>  $free
     * @param  list<Lost>  $lost  what more could not be kept
     */
    public function with(array $cells, array $free, array $lost = []): self
    {
        $lost = [...$this->lost, ...$lost];

        return new self($this->width, $this->height, $this->bays, $this->rows, $this->members, $cells, $lost, $this->notes, $free);
    }
}
