<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Geometry\Tolerance;

/**
 * An opening that is off its neighbours' line by so little that it is likely a slip: its head, or its sill, off that of
 * most on its storey, or its jambs off those of the nearest opening on the storey below.
 */
final class OffLine implements Rule
{
    /** More than this is meant, mm (common practice). */
    private const SLIP = 20.0;

    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        $byStorey = [];
        foreach ($wall->placed as $p) {
            $byStorey[$p->opening->storey][] = $p;
        }
        foreach ($byStorey as $row) {
            array_push($findings, ...$this->levels($wall, $row, 'head'), ...$this->levels($wall, $row, 'sill'));
        }
        $storeys = $wall->design->storeys;
        foreach ($byStorey as $storey => $row) {
            $below = ($storeys->all[$storeys->indexOf($storey) - 1] ?? null)?->id;
            foreach ($below === null ? [] : $row as $p) {
                $finding = $this->jambs($wall, $p, $byStorey[$below] ?? []);
                if ($finding !== null) {
                    $findings[] = $finding;
                }
            }
        }

        return $findings;
    }

    /**
     * @param  list<PlacedOpening>  $row
     * @param  'head'|'sill'  $edge
     * @return list<Finding>
     */
    private function levels(WallInQuestion $wall, array $row, string $edge): array
    {
        $counts = [];
        foreach ($row as $p) {
            $counts[(string) round($p->$edge, 2)] = ($counts[(string) round($p->$edge, 2)] ?? 0) + 1;
        }
        arsort($counts);
        $line = (float) array_key_first($counts);
        if (count($row) < 3 || ($counts[(string) round($line, 2)] ?? 0) * 2 <= count($row)) {
            return [];
        }
        $findings = [];
        foreach ($row as $p) {
            $off = $p->$edge - $line;
            // a door's sill is on the floor whatever the windows' is; where head and sill are off alike one finding is enough
            if (abs($off) <= Tolerance::LENGTH || abs($off) >= self::SLIP || ($edge === 'sill' && $wall->hasDoor($p))) {
                continue;
            }
            $findings[] = $wall->finding(
                "opening.off_line.$edge", $p, $off,
                sprintf('has its %s %s %s the line of its neighbours’', $edge, $wall->say($off), $off > 0 ? 'above' : 'under'),
                $wall->moveUp($p, -$off), [($p->left + $p->right) / 2, $p->$edge]);
        }

        return $findings;
    }

    /** @param  list<PlacedOpening>  $below */
    private function jambs(WallInQuestion $wall, PlacedOpening $p, array $below): ?Finding
    {
        foreach ($below as $other) {
            $left = $p->left - $other->left;
            $right = $p->right - $other->right;
            $off = abs($left) <= abs($right) ? $left : $right;
            if (abs($off) < self::SLIP) {
                return abs($off) <= Tolerance::LENGTH ? null : $wall->finding(
                    'opening.off_line.jamb', $p, $off,
                    sprintf(
                        'stands %s to the %s of the jamb of %s below',
                        $wall->say($off),
                        $off > 0 ? 'right' : 'left',
                        $wall->label($other),
                    ),
                    $wall->moveAside($p, -$off), [abs($left) <= abs($right) ? $p->left : $p->right, $p->sill]);
            }
        }

        return null;
    }
}
