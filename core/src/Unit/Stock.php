<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** The unit types a new project's rack starts with. Sizes in mm; sills over the storey's floor (common practice). */
final class Stock
{
    /** @return list<array<string, mixed>> values of {@see \Isleward\Core\Design\UnitType} less id and position */
    public static function types(): array
    {
        $fixed = ['operation' => 'fixed', 'glass' => 28];
        $sash = static fn (string $hinge): array => ['operation' => 'side-hung', 'hinge' => $hinge, 'opens' => 'inward', 'sashFace' => 60, 'sashDepth' => 78, 'glass' => 28];
        $hung = static fn (string $operation, array $more): array => ['operation' => $operation, 'sashFace' => 60, 'sashDepth' => 78, 'glass' => 28] + $more;
        $solid = ['operation' => 'fixed', 'glass' => 40, 'solid' => true];
        $leaf = static fn (string $hinge, string $opens = 'inward'): array => ['operation' => 'hinged-door', 'hinge' => $hinge, 'opens' => $opens, 'sashFace' => 95, 'bottomRail' => 220, 'sashDepth' => 68, 'glass' => 28];
        $columns = static fn (array ...$nodes): array => ['axis' => 'columns', 'face' => 70, 'parts' => array_map(static fn (array $n): array => ['share' => 1, 'node' => $n], array_values($nodes))];
        $under = static fn (float $height, array $low, array $high): array => ['axis' => 'rows', 'face' => 70, 'parts' => [['fixed' => $height, 'node' => $low], ['share' => 1, 'node' => $high]]];
        $window = ['jamb' => 55, 'head' => 55, 'sill' => 60, 'depth' => 70];
        $door = ['jamb' => 60, 'head' => 60, 'sill' => 0, 'depth' => 70];
        $type = static fn (string $mark, string $name, float $width, float $height, float $sill, array $frame, array $root): array => [
            'mark' => $mark, 'name' => $name, 'width' => $width, 'height' => $height, 'sill' => $sill, 'tree' => ['frame' => $frame, 'root' => $root],
        ];

        return [
            $type('W-01', 'fixed light', 900, 1450, 900, $window, $fixed),
            $type('W-02', 'side-hung light', 700, 1450, 900, $window, $sash('left')),
            $type('W-03', 'side-hung pair', 1200, 1450, 900, $window, $columns($sash('left'), $sash('right'))),
            $type('W-05', 'three lights', 2000, 1450, 900, $window, $columns($sash('left'), $fixed, $sash('right'))),
            $type('W-07', 'pair under a toplight', 1350, 2100, 250, $window, $under(1450, $columns($sash('left'), $sash('right')), $fixed)),
            $type('W-09', 'small light', 600, 600, 1500, $window, $sash('right')),
            $type('W-11', 'four lights', 2700, 1450, 900, $window, $columns($sash('left'), $fixed, $fixed, $sash('right'))),
            $type('W-13', 'top-hung light', 900, 900, 1450, $window, $hung('top-hung', ['opens' => 'outward'])),
            $type('W-15', 'top-hung over a fixed light', 1200, 1650, 700, $window, $under(950, $fixed, $hung('top-hung', ['opens' => 'outward']))),
            $type('W-17', 'bottom-hung light', 1200, 600, 1750, $window, $hung('bottom-hung', ['opens' => 'inward'])),
            $type('W-19', 'tilt-and-turn light', 1000, 1450, 900, $window, $hung('tilt-and-turn', ['hinge' => 'left', 'opens' => 'inward'])),
            $type('W-21', 'horizontally pivoted light', 1100, 1300, 1050, $window, $hung('horizontal-pivot', [])),
            $type('W-23', 'vertically pivoted light', 900, 1450, 900, $window, $hung('vertical-pivot', ['hinge' => 'left'])),
            $type('W-25', 'side-hung over a solid infill', 900, 2350, 0, $window, $under(800, $solid, $sash('left'))),
            $type('D-01', 'glazed door', 1000, 2150, 0, $door, $leaf('left')),
            $type('D-02', 'door under a toplight', 1000, 2700, 0, $door, $under(2090, $leaf('right', 'outward'), $fixed)),
            $type('D-04', 'pair of doors', 1800, 2300, 0, $door, $columns($leaf('left', 'outward'), $leaf('right', 'outward'))),
            $type('D-06', 'door between sidelights', 2600, 2400, 0, $door, $columns($fixed, $leaf('left'), $fixed)),
            $type('D-08', 'flush door', 900, 2100, 0, $door, ['solid' => true] + $leaf('left')),
            $type('G-01', 'glazed front, two rows', 4200, 3000, 0, $window, $under(2200, $columns($fixed, $fixed, $fixed, $fixed), $columns($fixed, $fixed, $fixed, $fixed))),
        ];
    }
}
