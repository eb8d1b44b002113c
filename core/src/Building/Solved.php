<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Opening;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Unit\SolvedUnit;
use Isleward\Core\Unit\Solver;

/** Units worked out once for each type, size and handing. */
final class Solved
{
    private const MOST = 2000;

    /** @var array<string, SolvedUnit> */
    private static array $units = [];

    /**
     * @param  list<float>|null  $shape  of the opening, {@see Opening::$shape}
     *
     * @throws \Isleward\Core\Measure\Refusal when the size leaves no room for what is in it
     */
    public static function of(UnitType $type, float $width, float $height, bool $mirrored = false, ?array $shape = null): SolvedUnit
    {
        // the tree's values, not its identity: an object's id is given away again
        $key = $type->treeHash.'|'.round($width, 3).'x'.round($height, 3).($mirrored
                    ? 'm'
                    : '').($shape === null
                    ? ''
                    : implode(',', $shape));
        if (count(self::$units) > self::MOST) {
            self::$units = [];
        }

        return self::$units[$key] ??= Solver::solve($type->tree(), $width, $height, $mirrored, $shape);
    }

    public static function in(UnitType $type, Opening $opening, bool $mirrored = false): SolvedUnit
    {
        return self::of($type, $opening->width, $opening->height, $mirrored, $opening->shape);
    }
}
