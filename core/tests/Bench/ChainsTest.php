<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Bench;

use Isleward\Core\Bench\Dimensions;
use Isleward\Core\Measure\Units as Measure;
use Isleward\Core\Tests\Support\Units;
use Isleward\Core\Unit\SolvedUnit;
use Isleward\Core\Unit\Stock;
use Isleward\Core\Unit\UnitTree;
use PHPUnit\Framework\TestCase;

/** Law: every chain of parts closes on the overall size, and stands outside of what it measures. */
final class ChainsTest extends TestCase
{
    public function test_chains_close_on_the_overall_size_in_the_stock_and_in_seeded_units(): void
    {
        mt_srand(61);
        $units = [];
        foreach (Stock::types() as $type) {
            $units[] = [
                \Isleward\Core\Unit\Solver::solve(
                    UnitTree::from(new \Isleward\Core\Measure\Fields($type['tree'])),
                    (float) $type['width'],
                    (float) $type['height'],
                ),
                $type['mark'],
            ];
        }
        for ($i = 0; $i < 60; $i++) {
            $units[] = [$this->seeded(), "seeded $i"];
        }
        $inner = 0;
        foreach ($units as [$unit, $name]) {
            $rows = [];
            foreach (Dimensions::of($unit) as $d) {
                self::assertNotSame('inside', $d['side'], $name);
                self::assertContains($d['side'], ['below', 'above', 'left', 'right', 'slope']);
                if ($d['kind'] === 'part' || $d['kind'] === 'between') {
                    self::assertEqualsWithDelta(
                        $d['to'] - $d['from'],
                        $d['value'],
                        1e-6,
                        "$name: a figure is the distance that it stands over",
                    );
                    $rows[$d['side'].$d['row']][] = $d;
                }
                $inner += (int) ($d['kind'] === 'between');
            }
            foreach ($rows as $key => $row) {
                usort($row, static fn (array $a, array $b): int => $a['from'] <=> $b['from']);
                $whole = $row[0]['axis'] === 'y' ? $unit->height : $unit->width;
                self::assertEqualsWithDelta($whole, array_sum(array_column($row, 'value')), 1e-6, "$name, $key");
                $at = 0.0;
                foreach ($row as $d) {
                    self::assertEqualsWithDelta($at, $d['from'], 0.0011, "$name, $key: each begins where the one before ends");
                    $at = $d['to'];
                }
            }
        }
        self::assertGreaterThan(100, $inner);
    }

    /** What was seen: 397.9 and 2000 beside 2300, of which the frame and the transom were left out. */
    public function test_frame_and_transom_have_their_figures(): void
    {
        $unit = Units::made(
            1200,
            2300,
            [['divide', ['path' => '', 'axis' => 'rows', 'sizes' => ['2000', ''], 'face' => 60]]],
            Measure::Millimetre,
        )->solved();
        $left = array_values(array_filter(Dimensions::of($unit), static fn (array $d): bool => $d['side'] === 'left'));
        usort($left, static fn (array $a, array $b): int => $a['from'] <=> $b['from']);
        self::assertEqualsWithDelta(2300.0, array_sum(array_column($left, 'value')), 1e-9);
        self::assertContains(2000.0, array_map(static fn (mixed $v): float => round((float) $v, 6), array_column($left, 'value')));
    }

    /** Three levels of columns and rows at random. */
    private function seeded(): SolvedUnit
    {
        $light = ['operation' => 'fixed', 'glass' => 28];
        $node = static function (int $depth) use (&$node, $light): array {
            if ($depth === 0 || mt_rand(0, 3) === 0) {
                return $light;
            }
            $parts = [];
            for ($i = 0, $n = mt_rand(2, 3); $i < $n; $i++) {
                $parts[] = ['share' => mt_rand(2, 3), 'node' => $node($depth - 1)];
            }

            return ['axis' => mt_rand(0, 1) === 0 ? 'columns' : 'rows', 'face' => mt_rand(40, 90), 'parts' => $parts];
        };
        $tree = [
            'frame' => ['jamb' => mt_rand(40, 80), 'head' => mt_rand(40, 80), 'sill' => mt_rand(40, 90), 'depth' => 70],
            'measure' => mt_rand(0, 1) === 0 ? 'faces' : 'centres', 'root' => $node(3),
        ];

        return \Isleward\Core\Unit\Solver::solve(
            UnitTree::from(new \Isleward\Core\Measure\Fields($tree)),
            (float) mt_rand(9000, 12000),
            (float) mt_rand(9000, 12000),
        );
    }
}
