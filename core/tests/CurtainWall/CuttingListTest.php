<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\CurtainWall;

use Isleward\Core\CurtainWall\Bar;
use Isleward\Core\CurtainWall\CutPiece;
use Isleward\Core\CurtainWall\CuttingList;
use Isleward\Core\CurtainWall\Stock;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use PHPUnit\Framework\TestCase;

final class CuttingListTest extends TestCase
{
    /** Worked by hand: bars of 6 500 with 10 off each end and a saw of 4: 6 480 to cut from. */
    public function test_a_short_list_is_packed_as_by_hand(): void
    {
        $list = CuttingList::pack(
            [new CutPiece('M1', 3238.0, 4), new CutPiece('T1', 1150.0, 5), new CutPiece('T2', 700.0, 1)],
            Stock::of(4.0, 10.0, 6500.0),
        );
        // 3 238 + 4 + 3 238 = 6 480 fill a bar to the last; five of 1 150 with their cuts take 5 766 and leave 714: 700 fits after a cut
        self::assertSame(
            [[2, ['M1', 'M1'], 0.0], [1, ['T1', 'T1', 'T1', 'T1', 'T1', 'T2'], 10.0]],
            array_map(static fn (Bar $b): array => [$b->count, array_column($b->pieces, 0), round($b->left, 6)], $list->bars),
        );
        self::assertEqualsWithDelta(1 - (4 * 3238 + 5 * 1150 + 700) / 19500, $list->waste(), 1e-12);
    }

    public function test_a_bar_is_the_shortest_that_holds_its_pieces(): void
    {
        $list = CuttingList::pack([new CutPiece('A', 4000.0, 3)], Stock::of(0.0, 0.0, 6000.0, 4200.0, 8000.0));
        self::assertSame([[8000.0, 1], [4200.0, 1]], array_map(static fn (Bar $b): array => [$b->length, $b->count], $list->bars));
    }

    /** Laws: every piece is cut once, no bar is overfilled, and there are at most 11/9 of the lower bound and one bar more. */
    public function test_no_bar_is_overfilled_and_every_piece_is_cut_once(): void
    {
        mt_srand(60);
        for ($round = 0; $round < 60; $round++) {
            $stock = Stock::of(mt_rand(0, 60) / 10, mt_rand(0, 200) / 10, 6000.0, ...($round % 2 === 0 ? [] : [4500.0, 7200.0]));
            $pieces = [];
            for ($i = 0, $n = mt_rand(1, 60); $i < $n; $i++) {
                $pieces[] = new CutPiece("P$i", mt_rand(2000, 59000) / 10, mt_rand(1, 12));
            }
            $list = CuttingList::pack($pieces, $stock);
            $cut = [];
            foreach ($list->bars as $bar) {
                $takes = array_sum(array_column($bar->pieces, 1)) + $stock->kerf * (count($bar->pieces) - 1);
                self::assertEqualsWithDelta($bar->length, $takes + 2 * $stock->trim + $bar->left, 1e-6);
                self::assertGreaterThanOrEqual(0.0, $bar->left);
                foreach ($bar->pieces as [$mark]) {
                    $cut[$mark] = ($cut[$mark] ?? 0) + $bar->count;
                }
            }
            $wanted = array_combine(
                array_map(static fn (CutPiece $p): string => $p->mark, $pieces),
                array_map(static fn (CutPiece $p): int => $p->count, $pieces),
            );
            ksort($wanted);
            ksort($cut);
            self::assertSame($wanted, $cut);
            // ⌈Σ(piece + kerf) / (stock + kerf)⌉ (published.md), of the longest stock
            $least = ceil(array_sum(array_map(static fn (CutPiece $p): float => $p->count * ($p->length + $stock->kerf), $pieces))
                / ($stock->usable(max($stock->lengths)) + $stock->kerf));
            self::assertLessThanOrEqual(11 / 9 * max($least, self::halves($pieces, $stock)) + 1, $list->count());
        }
    }

    /** Against every way there is: of up to seven pieces the fewest bars are found by trying all. */
    public function test_short_lists_need_at_most_what_trying_every_way_allows(): void
    {
        mt_srand(61);
        $same = 0;
        for ($round = 0; $round < 60; $round++) {
            $stock = Stock::of(5.0, 0.0, 6000.0);
            $lengths = array_map(static fn (): float => (float) mt_rand(800, 4200), array_fill(0, mt_rand(2, 7), 0));
            $list = CuttingList::pack(
                array_map(static fn (int $i, float $mm): CutPiece => new CutPiece("P$i", $mm, 1), array_keys($lengths), $lengths),
                $stock,
            );
            $fewest = self::fewest($lengths, [], 6005.0, 5.0);
            self::assertGreaterThanOrEqual($fewest, $list->count());
            self::assertLessThanOrEqual(11 / 9 * $fewest + 6 / 9, $list->count());
            $same += $fewest === $list->count() ? 1 : 0;
        }
        self::assertGreaterThan(50, $same, 'nearly always it is the fewest');
    }

    public function test_what_is_longer_than_any_bar_is_named(): void
    {
        try {
            CuttingList::pack([new CutPiece('M4', 6600.0, 2), new CutPiece('T1', 900.0, 1)], Stock::of(4.0, 10.0, 6500.0));
            self::fail('It was packed.');
        } catch (Refusal $refusal) {
            self::assertSame('cutting.too_long', $refusal->reason);
            self::assertSame(
                'One piece is longer than any bar, which gives 6 480 at the most: M4 6 600.',
                str_replace("\u{202F}", ' ', $refusal->getMessage()),
            );
        }
        foreach ([[['lengths' => []], 'stock.lengths'], [['lengths' => [500.0], 'trim' => 250.0], 'stock.trim']] as [$values, $reason]) {
            try {
                Stock::from(new Fields($values));
                self::fail('It was taken.');
            } catch (Refusal $refusal) {
                self::assertSame($reason, $refusal->reason);
            }
        }
        self::assertSame(0.0, CuttingList::pack([], Stock::of(4.0, 10.0, 6500.0))->waste());
    }

    /**
     * Pieces over half a bar need one each.
     *
     * @param  list<CutPiece>  $pieces
     */
    private static function halves(array $pieces, Stock $stock): int
    {
        $half = $stock->usable(max($stock->lengths)) / 2;

        return array_sum(array_map(static fn (CutPiece $p): int => $p->length > $half ? $p->count : 0, $pieces));
    }

    /**
     * @param  list<float>  $lengths
     * @param  list<float>  $rooms
     */
    private static function fewest(array $lengths, array $rooms, float $bar, float $kerf): int
    {
        if ($lengths === []) {
            return count($rooms);
        }
        $length = array_shift($lengths) + $kerf;
        $best = self::fewest($lengths, [...$rooms, $bar - $length], $bar, $kerf);
        foreach ($rooms as $i => $room) {
            if ($room >= $length - 1e-6) {
                $with = $rooms;
                $with[$i] -= $length;
                $best = min($best, self::fewest($lengths, $with, $bar, $kerf));
            }
        }

        return $best;
    }
}
