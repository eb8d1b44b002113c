<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Unit\SolvedUnit;
use Isleward\Core\Unit\Solver;
use Isleward\Core\Unit\UnitTree;

/** A unit as it stands in a cell: exactly as large as what is clear between its members. */
final readonly class CellUnit
{
    private function __construct(public GridCell $cell, public SolvedUnit $unit)
    {
    }

    /** @throws Refusal when the cell is no rectangle, or too small for what is in the unit */
    public static function in(GridCell $cell, UnitTree $tree): self
    {
        if (! $cell->contour()->isRectangle() || $cell->daylight->holes !== []) {
            throw self::noRectangle($cell);
        }
        [$width, $height] = [$cell->contour()->width(), $cell->contour()->height()];
        try {
            return new self($cell, Solver::solve($tree, $width, $height, $cell->infill->mirrored));
        } catch (Refusal $refusal) {
            throw Refusal::because(
                'cell.unit_no_room',
                sprintf(
                    'The cell of %s is %s wide and %s high, which is too small for its unit: %s',
                    $cell->name(),
                    Length::mark($width),
                    Length::mark($height),
                    $refusal->getMessage(),
                ),
                details: ['cell' => $cell->name(), 'width' => $width, 'height' => $height] + $refusal->details,
            );
        }
    }

    public static function noRectangle(GridCell $cell): Refusal
    {
        return Refusal::because(
            'cell.unit_shape',
            sprintf('The cell of %s is no rectangle: no unit fits into it exactly.', $cell->name()),
            details: ['cell' => $cell->name()],
        );
    }
}
