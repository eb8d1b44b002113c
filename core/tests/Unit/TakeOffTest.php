<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Unit;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Tests\Support\Units;
use Isleward\Core\Unit\Solver;
use Isleward\Core\Unit\TakeOff;
use Isleward\Core\Unit\UnitRules;
use Isleward\Core\Unit\UnitTree;
use Isleward\Core\Unit\Weight;
use PHPUnit\Framework\TestCase;

/** What units are made of and weigh, worked by hand. */
final class TakeOffTest extends TestCase
{
    /** 900 × 1450, frame 55/55/60 × 70, sash 60 × 78 in it, glass 6-16-6 with 15 mm of edge cover. */
    public function test_a_side_hung_light_by_hand(): void
    {
        $unit = Units::solve(
            [
                'frame' => ['jamb' => 55, 'head' => 55, 'sill' => 60, 'depth' => 70],
                'root' => [
                    'operation' => 'side-hung',
                    'hinge' => 'left',
                    'opens' => 'inward',
                    'sashFace' => 60,
                    'sashDepth' => 78,
                    'glazing' => [6, 16, 6],
                ],
            ],
            900,
            1450,
        );
        $rows = array_map(
            static fn (array $m): array => [$m['what'], $m['face'], $m['depth'], $m['length'], $m['count']],
            TakeOff::members($unit),
        );
        self::assertEqualsWithDelta([
            ['jamb', 55.0, 70.0, 1450.0, 2], ['head', 55.0, 70.0, 790.0, 1], ['sill', 60.0, 70.0, 790.0, 1],
            ['stile', 60.0, 78.0, 1335.0, 2], ['rail', 60.0, 78.0, 670.0, 2],
        ], $rows, 1e-9);
        [$pane] = TakeOff::panes($unit);
        self::assertEqualsWithDelta(
            [700.0, 1245.0, 700 * 1245.0, 2 * (700 + 1245.0)],
            [$pane['width'], $pane['height'], $pane['area'], $pane['perimeter']],
            1e-6,
        );
        // two panes of 6 mm: 12 × 2.5 kg/m² (EN 572-1: 2500 kg/m³; from memory)
        self::assertEqualsWithDelta(0.7 * 1.245 * 30, $pane['weight'], 1e-9);
        self::assertSame(['hinge' => 2, 'window handle' => 1], TakeOff::hardware($unit));
        $weight = Weight::of($unit, UnitRules::usual());
        $frame = (2 * 1450 * 55 + 790 * 55 + 790 * 60) * 70 + (2 * 1335 * 60 + 2 * 670 * 60) * 78;
        self::assertEqualsWithDelta([0.7 * 1.245 * 30, $frame * 500e-9], [$weight['glass'], $weight['frame']], 1e-6);
        self::assertEqualsWithDelta($weight['glass'] + $weight['frame'] + $weight['infill'], $weight['total'], 1e-9);
        self::assertLessThan($weight['total'], Weight::of($unit, UnitRules::usual(), 0)['total'], 'its leaf is a part of it');
    }

    public function test_hardware_by_operation_and_height(): void
    {
        $hardware = static fn (array $light, float $w, float $h): array => TakeOff::hardware(Units::bare($light + Units::SASH, $w, $h));
        $hand = ['hinge' => 'left', 'opens' => 'inward'];
        self::assertSame(3, $hardware(['operation' => 'side-hung'] + $hand, 700, 1600)['hinge']);
        self::assertSame(
            ['door hinge' => 6, 'door lock' => 1, 'flush bolt' => 2],
            $hardware(['operation' => 'door-pair'] + $hand, 1600, 2100),
        );
        self::assertSame(
            ['roller' => 2, 'sliding lock' => 1],
            $hardware(['operation' => 'sliding', 'leaves' => ['fixed', 'left']], 1800, 1400),
        );
        self::assertSame(
            ['sash balance' => 2, 'sash fastener' => 1],
            $hardware(['operation' => 'vertical-sliding', 'moving' => 'lower'], 900, 1700),
        );
        self::assertSame([], TakeOff::hardware(Units::bare(Units::GLASS, 900, 900)));
    }

    /** Law: handed the other way a unit takes as much of everything, and weighs the same. */
    public function test_the_other_hand_takes_as_much(): void
    {
        foreach (['D-18', 'W-43', 'W-41', 'D-14', 'D-16', 'D-10'] as $mark) {
            $type = array_column(\Isleward\Core\Unit\Stock::types(), null, 'mark')[$mark];
            $solve = static fn (bool $mirrored) => Solver::solve(
                UnitTree::from(new Fields(Units::stock($mark))),
                (float) $type['width'],
                (float) $type['height'],
                $mirrored,
            );
            $plain = static function (array $rows): array {
                sort($rows);

                return $rows;
            };
            [$as, $other] = [$solve(false), $solve(true)];
            self::assertEqualsWithDelta(
                $plain(array_map(static fn (array $m): array => [$m['what'], $m['length'], $m['count']], TakeOff::members($as))),
                $plain(array_map(static fn (array $m): array => [$m['what'], $m['length'], $m['count']], TakeOff::members($other))),
                1e-6,
                $mark,
            );
            self::assertEquals(TakeOff::hardware($as), TakeOff::hardware($other));
            self::assertEqualsWithDelta(
                Weight::of($as, UnitRules::usual())['total'],
                Weight::of($other, UnitRules::usual())['total'],
                1e-9,
            );
        }
    }
}
