<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Measure\Units;

/**
 * The unit types a new project's rack starts with. Sizes in mm; sills over the storey's floor. In projects of feet and inches they have
 * whole sizes of those: doors 3'-0" × 6'-8", heads of windows at 6'-8" too (common practice, both).
 */
final class Stock
{
    private const INCH = 25.4;

    /** Width, height, sill by mark, inches. */
    private const INCHES = [
        'W-01' => [36, 60, 20], 'W-02' => [30, 60, 20], 'W-03' => [60, 60, 20], 'W-05' => [84, 60, 20], 'W-07' => [54, 84, 12],
        'W-09' => [24, 24, 56], 'W-11' => [108, 60, 20], 'W-13' => [36, 36, 44], 'W-15' => [48, 66, 14], 'W-17' => [48, 24, 56],
        'W-19' => [42, 60, 20], 'W-21' => [42, 54, 26], 'W-23' => [36, 60, 20], 'W-25' => [36, 80, 0], 'W-27' => [48, 60, 20],
        'W-29' => [32, 60, 20], 'W-31' => [72, 60, 20], 'W-33' => [36, 66, 14], 'W-35' => [36, 36, 44], 'W-37' => [42, 60, 20],
        'W-39' => [36, 36, 44], 'W-41' => [36, 72, 24], 'W-43' => [64, 72, 24], 'W-45' => [36, 60, 20],
        'D-01' => [36, 80, 0], 'D-02' => [36, 98, 0], 'D-04' => [72, 80, 0], 'D-06' => [96, 80, 0], 'D-08' => [36, 80, 0],
        'D-10' => [36, 80, 0], 'D-12' => [36, 80, 0], 'D-14' => [144, 80, 0], 'D-16' => [96, 80, 0], 'D-18' => [154, 129, 0],
        'G-01' => [168, 120, 0],
    ];

    /** Lengths of a tree, by the names they have in it. */
    private const LENGTHS = [
        'jamb', 'head', 'sill', 'depth', 'face', 'sashFace', 'sashDepth', 'bottomRail', 'glass', 'fixed', 'rise', 'width',
    ];

    /** @return list<array<string, mixed>> values of unit types less id and position */
    public static function types(Units $units = Units::Millimetre): array
    {
        return $units === Units::FeetInches ? array_map(self::inInches(...), self::metric()) : self::metric();
    }

    /**
     * @param  array<string, mixed>  $type
     * @return array<string, mixed>
     */
    private static function inInches(array $type): array
    {
        [$width, $height, $sill] = self::INCHES[is_string($type['mark']) ? $type['mark'] : ''] ?? throw new \LogicException('Of no size.');
        $tree = is_array($type['tree']) ? $type['tree'] : [];
        // members to an eighth of an inch, places of theirs to a whole one
        array_walk_recursive($tree, static function (mixed &$mm, string|int $name): void {
            if (in_array($name, self::LENGTHS, true) && (is_int($mm) || is_float($mm))) {
                $step = $mm < 300 ? self::INCH / 8 : self::INCH;
                $mm = round($mm / $step) * $step;
            }
        });

        return [
            ...$type, 'width' => $width * self::INCH, 'height' => $height * self::INCH, 'sill' => $sill * self::INCH, 'tree' => $tree,
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function metric(): array
    {
        $fixed = ['operation' => 'fixed', 'glass' => 28];
        $sash = static fn (string $hinge): array => [
            'operation' => 'side-hung',
            'hinge' => $hinge,
            'opens' => 'inward',
            'sashFace' => 60,
            'sashDepth' => 78,
            'glass' => 28,
        ];
        $hung = static fn (string $operation, array $more): array => [
            'operation' => $operation,
            'sashFace' => 60,
            'sashDepth' => 78,
            'glass' => 28,
        ] + $more;
        $solid = ['operation' => 'fixed', 'glass' => 40, 'solid' => true];
        $leaf = static fn (string $hinge, string $opens = 'inward'): array => [
            'operation' => 'hinged-door',
            'hinge' => $hinge,
            'opens' => $opens,
            'sashFace' => 95,
            'bottomRail' => 220,
            'sashDepth' => 68,
            'glass' => 28,
        ];
        $columns = static fn (array ...$nodes): array => [
            'axis' => 'columns',
            'face' => 70,
            'parts' => array_map(static fn (array $n): array => ['share' => 1, 'node' => $n], array_values($nodes)),
        ];
        $under = static fn (float $height, array $low, array $high): array => [
            'axis' => 'rows',
            'face' => 70,
            'parts' => [['fixed' => $height, 'node' => $low], ['share' => 1, 'node' => $high]],
        ];
        $window = ['jamb' => 55, 'head' => 55, 'sill' => 60, 'depth' => 70];
        $door = ['jamb' => 60, 'head' => 60, 'sill' => 0, 'depth' => 70];
        $type = static fn (
            string $mark,
            string $name,
            float $width,
            float $height,
            float $sill,
            array $frame,
            array $root,
            array $more = [],
        ): array => [
            'mark' => $mark, 'name' => $name, 'width' => $width, 'height' => $height, 'sill' => $sill,
            'tree' => ['frame' => $frame, 'root' => $root] + $more,
        ];
        $arch = static fn (string $form, array $more = []): array => ['outline' => ['kind' => 'arch', 'form' => $form] + $more];
        $bars = static fn (int $upright, int $level, bool $onPane = false): array => [
            'bars' => ['upright' => $upright, 'level' => $level, 'width' => 22, 'onPane' => $onPane],
        ];
        $slider = ['jamb' => 55, 'head' => 55, 'sill' => 45, 'depth' => 160];

        return [
            $type('W-01', 'fixed light', 900, 1450, 900, $window, $fixed),
            $type('W-02', 'side-hung light', 700, 1450, 900, $window, $sash('left')),
            $type('W-03', 'side-hung pair', 1200, 1450, 900, $window, $columns($sash('left'), $sash('right'))),
            $type('W-05', 'three lights', 2000, 1450, 900, $window, $columns($sash('left'), $fixed, $sash('right'))),
            $type('W-07', 'pair under a toplight', 1350, 2100, 250, $window, $under(1450, $columns($sash('left'), $sash('right')), $fixed)),
            $type('W-09', 'small light', 600, 600, 1500, $window, $sash('right')),
            $type('W-11', 'four lights', 2700, 1450, 900, $window, $columns($sash('left'), $fixed, $fixed, $sash('right'))),
            $type('W-13', 'top-hung light', 900, 900, 1450, $window, $hung('top-hung', ['opens' => 'outward'])),
            $type(
                'W-15',
                'top-hung over a fixed light',
                1200,
                1650,
                700,
                $window,
                $under(950, $fixed, $hung('top-hung', ['opens' => 'outward'])),
            ),
            $type('W-17', 'bottom-hung light', 1200, 600, 1750, $window, $hung('bottom-hung', ['opens' => 'inward'])),
            $type(
                'W-19',
                'tilt-and-turn light',
                1000,
                1450,
                900,
                $window,
                $hung('tilt-and-turn', ['hinge' => 'left', 'opens' => 'inward']),
            ),
            $type('W-21', 'horizontally pivoted light', 1100, 1300, 1050, $window, $hung('horizontal-pivot', [])),
            $type('W-23', 'vertically pivoted light', 900, 1450, 900, $window, $hung('vertical-pivot', ['hinge' => 'left'])),
            $type('W-25', 'side-hung over a solid infill', 900, 2350, 0, $window, $under(800, $solid, $sash('left'))),
            $type('W-27', 'pair without a mullion', 1200, 1450, 900, $window, ['operation' => 'side-hung-pair'] + $sash('right')),
            $type('W-29', 'side-hung light of six panes', 800, 1450, 900, $window, $sash('right') + $bars(1, 2)),
            $type('W-31', 'sliding light', 1800, 1450, 900, $slider, $hung('sliding', ['leaves' => ['fixed', 'left']])),
            $type(
                'W-33',
                'vertical sliding pair',
                900,
                1700,
                650,
                ['depth' => 160] + $window,
                $hung('vertical-sliding', ['moving' => 'both']) + $bars(1, 0, true),
            ),
            $type('W-35', 'louvre', 900, 900, 1450, $window, ['operation' => 'louvre']),
            $type(
                'W-37',
                'light under a flat arch',
                1100,
                1500,
                850,
                ['mitred' => true] + $window,
                $fixed,
                $arch('segmental', ['riseShare' => 0.15]),
            ),
            $type(
                'W-39',
                'round light',
                900,
                900,
                1450,
                ['jamb' => 55, 'head' => 55, 'sill' => 55, 'depth' => 70, 'mitred' => true],
                $fixed + $bars(1, 1),
                ['outline' => ['kind' => 'round']],
            ),
            $type('W-41', 'pointed light', 900, 1800, 600, ['mitred' => true] + $window, $fixed + $bars(2, 3), $arch('pointed')),
            $type(
                'W-43',
                'light under a slope',
                1600,
                1800,
                600,
                $window,
                $columns($fixed, $fixed),
                ['outline' => ['kind' => 'profile', 'head' => [['share' => 1, 'rise' => 400]], 'sill' => []]],
            ),
            $type(
                'W-45',
                'top-hung over a louvre',
                900,
                1450,
                900,
                $window,
                $under(450, ['operation' => 'louvre', 'louvre' => ['profile' => 'z']], $hung('top-hung', ['opens' => 'outward'])),
            ),
            $type('D-01', 'glazed door', 1000, 2150, 0, $door, $leaf('left')),
            $type('D-02', 'door under a toplight', 1000, 2700, 0, $door, $under(2090, $leaf('right', 'outward'), $fixed)),
            $type('D-04', 'pair of doors', 1800, 2300, 0, $door, ['operation' => 'door-pair'] + $leaf('right', 'outward')),
            $type('D-06', 'door between sidelights', 2600, 2400, 0, $door, $columns($fixed, $leaf('left'), $fixed)),
            $type('D-08', 'flush door', 900, 2100, 0, $door, ['solid' => true] + $leaf('left')),
            $type('D-10', 'panelled door', 950, 2150, 0, $door, ['style' => 'panelled', 'columns' => 2, 'rows' => 3] + $leaf('left')),
            $type('D-12', 'part-glazed door', 1000, 2150, 0, $door, ['style' => 'part-glazed'] + $leaf('right')),
            $type(
                'D-14',
                'folding door of four leaves',
                3600,
                2300,
                0,
                $door,
                [
                    'operation' => 'folding',
                    'folds' => 4,
                    'hinge' => 'left',
                    'opens' => 'outward',
                    'sashFace' => 75,
                    'sashDepth' => 68,
                    'glass' => 28,
                ],
            ),
            $type(
                'D-16',
                'sliding door',
                2800,
                2300,
                0,
                ['sill' => 45] + $slider,
                ['operation' => 'sliding-door', 'leaves' => ['left', 'fixed'], 'sashFace' => 80, 'sashDepth' => 68, 'glass' => 28],
            ),
            self::front(),
            $type(
                'G-01',
                'glazed front, two rows',
                4200,
                3000,
                0,
                $window,
                $under(2200, $columns($fixed, $fixed, $fixed, $fixed), $columns($fixed, $fixed, $fixed, $fixed)),
            ),
        ];
    }

    /**
     * @return array<string, mixed> one unit of many kinds of light under a head that rises: a door, vents, a sliding light, a louvre and
     *    toplights
     */
    private static function front(): array
    {
        $glass = ['glazing' => [6, 16, 6]];
        $sash = ['sashFace' => 60, 'sashDepth' => 68] + $glass;
        $fixed = ['operation' => 'fixed'] + $glass;
        $parts = static fn (string $axis, array ...$parts): array => ['axis' => $axis, 'face' => 55, 'parts' => array_map(
            static fn (array $p): array => ($p[0] === null ? ['share' => 1] : ['fixed' => $p[0]]) + ['node' => $p[1]],
            array_values($parts))];

        return ['mark' => 'D-18', 'name' => 'front under a rising head', 'width' => 3900, 'height' => 3270, 'sill' => 0, 'tree' => [
            'outline' => [
                'kind' => 'profile',
                'head' => [['length' => 650, 'rise' => 0], ['length' => 1500, 'rise' => 420], ['share' => 1, 'rise' => 0]],
                'sill' => [],
            ],
            'frame' => ['jamb' => 55, 'head' => 55, 'sill' => 60, 'depth' => 160],
            'measure' => 'centres',
            'finishes' => ['frame-outside' => 'deep-tide', 'frame-inside' => 'chalk'],
            'root' => $parts('rows',
                [2400, $parts('columns',
                    [
                        650,
                        $parts(
                            'rows',
                            [1400, ['operation' => 'fixed', 'solid' => true, 'glass' => 40]],
                            [null, ['operation' => 'bottom-hung', 'opens' => 'inward'] + $sash],
                        ),
                    ],
                    [1500, ['operation' => 'sliding', 'leaves' => ['fixed', 'left']] + $sash],
                    [
                        750,
                        $parts(
                            'rows',
                            [450, ['operation' => 'louvre']],
                            [null, ['operation' => 'vertical-sliding', 'moving' => 'both'] + $sash],
                        ),
                    ],
                    [
                        null,
                        $parts(
                            'rows',
                            [
                                2100,
                                [
                                    'operation' => 'hinged-door',
                                    'hinge' => 'right',
                                    'opens' => 'inward',
                                    'bottomRail' => 220,
                                    'style' => 'part-glazed',
                                    'sashFace' => 95,
                                ] + $sash,
                            ],
                            [null, ['operation' => 'top-hung', 'opens' => 'outward'] + $sash],
                        ),
                    ],
                )],
                [null, $parts('columns', [650, $fixed], [1500, $fixed], [null, $fixed])],
            ),
        ]];
    }
}
