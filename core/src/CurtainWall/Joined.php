<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** Places of a grid that are one cell, because the pieces between them were taken away. */
final class Joined
{
    /**
     * @param  array<int, array<int, MemberProfile|null|false>>  $upright  by line and row; false where nothing stands
     * @param  array<int, array<int, MemberProfile|null|false>>  $level  by line and bay
     * @return iterable<non-empty-list<array{int, int}>> bay and row of the places of each cell, row by row from the lower left
     */
    public static function groups(array $upright, array $level, int $nx, int $ny): iterable
    {
        $seen = [];
        for ($j = 0; $j < $ny; $j++) {
            for ($i = 0; $i < $nx; $i++) {
                if (isset($seen[$j * $nx + $i])) {
                    continue;
                }
                $seen[$j * $nx + $i] = true;
                $places = [[$i, $j]];
                for ($next = 0; $next < count($places); $next++) {
                    [$x, $y] = $places[$next];
                    foreach ([
                        [$x + 1, $y, $x + 1 < $nx && $upright[$x + 1][$y] === false],
                        [$x - 1, $y, $x > 0 && $upright[$x][$y] === false],
                        [$x, $y + 1, $y + 1 < $ny && $level[$y + 1][$x] === false],
                        [$x, $y - 1, $y > 0 && $level[$y][$x] === false],
                    ] as [$a, $b, $open]) {
                        if ($open && ! isset($seen[$b * $nx + $a])) {
                            $seen[$b * $nx + $a] = true;
                            $places[] = [$a, $b];
                        }
                    }
                }
                yield $places;
            }
        }
    }

    /**
     * @param  non-empty-list<array{int, int}>  $places
     * @return array{int, int, int, int}  bay and row of the lower left corner of the block they lie in, and how many bays and rows that is
     */
    public static function extent(array $places): array
    {
        $bays = array_column($places, 0);
        $rows = array_column($places, 1);

        return [min($bays), min($rows), max($bays) - min($bays) + 1, max($rows) - min($rows) + 1];
    }
}
