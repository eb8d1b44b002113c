<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Naming;
use Isleward\Core\Design\Pattern;
use Isleward\Core\Design\Tie;
use Isleward\Core\Measure\Refusal;

/** Marks of grid types, and what must hold of one that is put on the rack. */
final class GridMark
{
    /** The next free one: "CW-01" … */
    public static function next(Design $design): string
    {
        $taken = array_map(static fn (Pattern $p): string => $p->mark(), $design->grids);
        $n = 1;
        while (in_array(sprintf('CW-%02d', $n), $taken, true)) {
            $n++;
        }

        return sprintf('CW-%02d', $n);
    }

    public static function lastPosition(Design $design): int
    {
        return max([-1, ...array_map(static fn (Pattern $p): int => $p->position(), array_values($design->grids))]);
    }

    /** @throws Refusal when another has its mark, or a unit in it is not on the rack */
    public static function require(Design $design, GridType $type): void
    {
        foreach ($design->grids as $other) {
            if ($other->id() !== $type->id() && $other->mark() === $type->mark()) {
                throw Refusal::because(
                    'grid.mark_taken',
                    sprintf('The mark %s is taken by %s.', $type->mark(), $other->name()),
                    [$other->id()],
                    ['field' => 'mark'],
                );
            }
        }
        self::requireUnits($design, $type->names());
    }

    /**
     * @param  list<Naming>  $names
     *
     * @throws Refusal
     */
    public static function requireUnits(Design $design, array $names): void
    {
        foreach ($names as $naming) {
            if ($naming->how === Tie::MadeOf && ! isset($design->types[$naming->to]) && ! isset($design->grids[$naming->to])) {
                throw Refusal::because(
                    'type.unknown',
                    'A unit type that is to fill cells is not in this project any more.',
                    [$naming->to],
                    ['field' => 'infills'],
                );
            }
        }
    }
}
