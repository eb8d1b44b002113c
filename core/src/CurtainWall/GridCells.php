<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** Cells between the members of a grid, one place each or several that are joined, and what fills them. */
final class GridCells
{
    /** @var array<int, array<int, array<int, bool>>> by rule, row and rows: whether it is for them */
    private array $banded = [];

    private readonly bool $byRow;

    /** @var array<int, array<int, Infill>> by row, and how many rows it spans */
    private array $ofRow = [];

    /** @var list<int> of each row its place in its storey: how many lie between it and the floor line under it */
    private readonly array $ofStorey;

    /** @var list<int> by place: which bay it is of */
    private readonly array $bays;

    /** @var list<int> by place: which row it is of */
    private readonly array $rows;

    /** @var list<Lost> changes that could not be kept */
    public array $lost = [];

    /**
     * @param  list<InfillChange>  $changes
     * @param  list<float>  $floors  levels of all floors over the foot
     */
    public function __construct(private readonly Pieces $pieces, private readonly array $changes, private readonly array $floors)
    {
        $this->bays = $pieces->bays->numbers();
        $this->rows = $pieces->rows->numbers();
        $begins = 0;
        $of = [];
        for ($j = 0; $j < $pieces->ny; $j++) {
            foreach ($floors as $floor) {
                if (abs($floor - $pieces->rows->at[$j]) <= Tolerance::LENGTH) {
                    $begins = $this->rows[$j];
                }
            }
            $of[] = $this->rows[$j] - $begins;
        }
        $this->ofStorey = $of;
        $this->byRow = array_filter($pieces->rules->infills, static fn (InfillRule $r): bool => ! $r->where->isByRow()) === [];
    }

    /**
     * @param  list<GridMember>  $members
     * @return list<GridCell>
     */
    public function between(array $members): array
    {
        $changed = [];
        foreach ($this->changes as $change) {
            [$i, $j] = [$this->pieces->bays->place($change->left), $this->pieces->rows->place($change->foot)];
            if ($i === null || $j === null || $i === $this->pieces->nx || $j === $this->pieces->ny) {
                $this->lost[] = new Lost(
                    Lost::INFILLS,
                    sprintf('The cell at line %s over line %s is not there any more.', $change->left, $change->foot),
                );

                continue;
            }
            $changed[$i][$j] = $change->infill;
        }
        $cells = [];
        if ($this->pieces->uniform && $this->changes === []) {
            return $this->ruled();
        }
        foreach (Joined::groups($this->pieces->upright, $this->pieces->level, $this->pieces->nx, $this->pieces->ny) as $places) {
            [$bay, $row, $bays, $rows] = Joined::extent($places);
            $daylight = $this->daylight($places, $bay, $row, $bays, $rows, $members);
            $infill = null;
            foreach ($changed === [] ? [] : $places as [$i, $j]) {
                $infill ??= $changed[$i][$j] ?? null;
            }
            $infill ??= $this->infill($bay, $row, $rows);
            $cells[] = $this->cell($bay, $row, $bays, $rows, $daylight, $infill);
        }

        return $cells;
    }

    /** @return list<GridCell> where nothing was changed by hand, so that every place is a cell between members of its lines */
    private function ruled(): array
    {
        $cells = $xs = $ys = [];
        foreach ([[Axis::Upright, $this->pieces->bays->at], [Axis::Level, $this->pieces->rows->at]] as [$axis, $at]) {
            $sides = [];
            foreach ($at as $line => $place) {
                [$low, $high] = $this->pieces->band($this->pieces->role($axis, $line));
                $sides[] = [$place + $low, $place + $high];
            }
            [$xs, $ys] = $axis === Axis::Upright ? [$sides, $ys] : [$xs, $sides];
        }
        [$across, $up] = [$this->pieces->bays->names, $this->pieces->rows->names];
        for ($j = 0; $j < $this->pieces->ny; $j++) {
            [$y0, $y1, $foot, $head, $row] = [$ys[$j][1], $ys[$j + 1][0], $up[$j], $up[$j + 1], $this->rows[$j]];
            for ($i = 0; $i < $this->pieces->nx; $i++) {
                [$x0, $x1] = [$xs[$i][1], $xs[$i + 1][0]];
                if ($x1 - $x0 <= Tolerance::LENGTH || $y1 - $y0 <= Tolerance::LENGTH) {
                    throw $this->tooSmall($i, $j, $x1 - $x0, $y1 - $y0);
                }
                $daylight = new Profile(Contour::rectangle($x0, $y0, $x1, $y1));
                $infill = $this->byRow ? $this->ofRow[$j][1] ?? $this->infill($i, $j, 1) : $this->infill($i, $j, 1);
                $cells[] = new GridCell($across[$i], $foot, $this->bays[$i], $row, 1, 1, $daylight, $infill, $across[$i + 1], $head);
            }
        }

        return $cells;
    }

    private function cell(int $bay, int $row, int $bays, int $rows, Profile $daylight, Infill $infill): GridCell
    {
        [$across, $up] = [$this->pieces->bays->names, $this->pieces->rows->names];

        return new GridCell(
            $across[$bay],
            $up[$row],
            $this->bays[$bay],
            $this->rows[$row],
            $this->bays[$bay + $bays - 1] - $this->bays[$bay] + 1,
            $this->rows[$row + $rows - 1] - $this->rows[$row] + 1,
            $daylight,
            $infill,
            $across[$bay + $bays],
            $up[$row + $rows],
        );
    }

    public function infill(int $bay, int $row, int $rows): Infill
    {
        // where no rule looks at bays, a row is filled alike
        return $this->byRow
            ? $this->ofRow[$row][$rows] ??= $this->ruledInfill($bay, $row, $rows)
            : $this->ruledInfill($bay, $row, $rows);
    }

    private function ruledInfill(int $bay, int $row, int $rows): Infill
    {
        $middle = ($this->pieces->rows->at[$row] + $this->pieces->rows->at[$row + $rows]) / 2;
        for ($i = count($this->pieces->rules->infills) - 1; $i > 0; $i--) {
            $rule = $this->pieces->rules->infills[$i];
            $where = [$this->bays[$bay], $this->rows[$row], $middle, $this->ofStorey[$row], $this->floors];
            // a band is by rows alone
            $holds = $rule->where === Where::Band
                ? $this->banded[$i][$row][$rows] ??= $rule->holds(...$where)
                : $rule->holds(...$where);
            if ($holds) {
                return $rule->infill;
            }
        }

        return $this->pieces->rules->infills[0]->infill;
    }

    /**
     * @param  non-empty-list<array{int, int}>  $places
     * @param  list<GridMember>  $members
     */
    private function daylight(array $places, int $bay, int $row, int $bays, int $rows, array $members): Profile
    {
        if (count($places) === $bays * $rows) {
            $sides = $this->sides($bay, $row, $bays, $rows);
            if ($sides !== null) {
                [$x0, $y0, $x1, $y1] = $sides;
                if ($x1 - $x0 <= Tolerance::LENGTH || $y1 - $y0 <= Tolerance::LENGTH) {
                    throw $this->tooSmall($bay, $row, $x1 - $x0, $y1 - $y0);
                }

                return new Profile(Contour::rectangle($x0, $y0, $x1, $y1));
            }
        }

        return $this->left($places, $bay, $row, $members);
    }

    /**
     * The rectangle between the members round a block of places; null where they are not one line each.
     *
     * @return array{float, float, float, float}|null
     */
    private function sides(int $bay, int $row, int $bays, int $rows): ?array
    {
        for ($i = $bay; $i < $bay + $bays; $i++) {
            for ($j = $row; $j < $row + $rows; $j++) {
                if (($i > $bay && $this->pieces->upright[$i][$j] !== false) || ($j > $row && $this->pieces->level[$j][$i] !== false)) {
                    return null;
                }
            }
        }
        $inset = function (Axis $axis, int $line, int $from, int $count): ?float {
            $pieces = array_slice($axis === Axis::Upright ? $this->pieces->upright[$line] : $this->pieces->level[$line], $from, $count);
            $edge = $this->pieces->role($axis, $line)->isPerimeter();
            $widths = array_unique(array_map(fn (MemberProfile|null|false $p): float => $this->pieces->width($p, $edge), $pieces));

            return count($widths) === 1 ? $widths[0] * ($edge ? 1.0 : 0.5) : null;
        };
        $left = $inset(Axis::Upright, $bay, $row, $rows);
        $right = $inset(Axis::Upright, $bay + $bays, $row, $rows);
        $foot = $inset(Axis::Level, $row, $bay, $bays);
        $head = $inset(Axis::Level, $row + $rows, $bay, $bays);

        if ($left === null || $right === null || $foot === null || $head === null) {
            return null;
        }
        $box = [
            $this->pieces->bays->at[$bay] + $left, $this->pieces->rows->at[$row] + $foot,
            $this->pieces->bays->at[$bay + $bays] - $right, $this->pieces->rows->at[$row + $rows] - $head,
        ];

        return ! $this->pieces->uniform && $this->reachesIn($bay, $row, $bays, $rows, $box) ? null : $box;
    }

    /**
     * Whether a crossing on the edge of a block of places reaches into the rectangle between its members: it may where all four pieces
     * that meet there differ.
     *
     * @param  array{float, float, float, float}  $box
     */
    private function reachesIn(int $bay, int $row, int $bays, int $rows, array $box): bool
    {
        for ($i = $bay; $i <= $bay + $bays; $i++) {
            for ($j = $row; $j <= $row + $rows; $j++) {
                [$x0, $y0, $x1, $y1, $meets] = $this->pieces->crossing($i, $j);
                if ($meets !== null && min($x1, $box[2]) - max($x0, $box[0]) > Tolerance::GRID
                    && min($y1, $box[3]) - max($y0, $box[1]) > Tolerance::GRID) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * What members leave of places that are no rectangle together.
     *
     * @param  non-empty-list<array{int, int}>  $places
     * @param  list<GridMember>  $members
     */
    private function left(array $places, int $bay, int $row, array $members): Profile
    {
        $whole = Region::empty();
        foreach ($places as [$i, $j]) {
            $whole = $whole->union(Region::rectangle(
                $this->pieces->bays->at[$i],
                $this->pieces->rows->at[$j],
                $this->pieces->bays->at[$i + 1],
                $this->pieces->rows->at[$j + 1],
            ));
        }
        [$x0, $y0, $x1, $y1] = $whole->bounds() ?? throw new \LogicException('There is a place.');
        $in = array_filter(
            $members,
            static fn (GridMember $m): bool => $m->x1 > $x0 && $m->x0 < $x1 && $m->y1 > $y0 && $m->y0 < $y1,
        );
        $left = $whole->cut(array_values(array_map(
            static fn (GridMember $m): array => [$m->x0, $m->y0, $m->x1, $m->y0, $m->x1, $m->y1, $m->x0, $m->y1],
            $in,
        )));
        $outer = $holes = [];
        foreach ($left->rings as $ring) {
            if (Region::signedArea($ring) > 0) {
                $outer[] = Contour::polygon($ring);
            } else {
                $holes[] = Contour::polygon($ring);
            }
        }
        if (count($outer) !== 1) {
            throw $this->tooSmall($bay, $row, $x1 - $x0, $y1 - $y0);
        }

        return new Profile($outer[0], $holes);
    }

    private function tooSmall(int $bay, int $row, float $width, float $height): Refusal
    {
        return Refusal::because(
            'grid.cell_no_room',
            sprintf(
                'The cell of bay %d, row %d would be %s wide and %s high between its members.',
                $bay + 1,
                $row + 1,
                Length::mark(max(0.0, $width)),
                Length::mark(max(0.0, $height)),
            ),
            details: ['bay' => $bay + 1, 'row' => $row + 1, 'width' => $width, 'height' => $height],
        );
    }
}
