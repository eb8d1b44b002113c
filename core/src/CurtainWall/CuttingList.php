<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * Pieces packed into bars by first-fit decreasing: the longest first, each into the first bar that still takes it. That needs at most
 * 11/9 of the fewest bars and 6/9 of one more (Dósa 2007; from memory). A bar is opened at the longest stock and, when all is packed,
 * becomes the shortest that holds what is in it.
 *
 * The first bar that takes a piece is found in a tree of the room left (Johnson 1973; from memory), so that twenty thousand pieces take
 * hardly longer each than two thousand.
 */
final readonly class CuttingList
{
    /** @param  list<Bar>  $bars  fullest first, alike ones together */
    private function __construct(public array $bars, public Stock $stock)
    {
    }

    /**
     * @param  list<CutPiece>  $pieces
     *
     * @throws Refusal naming the pieces that are longer than any bar
     */
    public static function pack(array $pieces, Stock $stock): self
    {
        $lengths = array_map(static fn (CutPiece $p): float => $p->length, $pieces);
        $marks = array_map(static fn (CutPiece $p): string => $p->mark, $pieces);
        array_multisort($lengths, SORT_DESC, SORT_NUMERIC, $marks, SORT_ASC, SORT_STRING, $pieces);
        $longest = $stock->lengths[count($stock->lengths) - 1];
        $room = $stock->usable($longest);
        self::requireShortEnough($pieces, $room);
        // every piece is followed by a cut, so a bar is as good as one kerf longer: its last piece may need none
        $whole = $room + $stock->kerf;
        $tree = new RoomTree(array_sum(array_map(static fn (CutPiece $p): int => $p->count, $pieces)), $whole);
        $packed = [];
        foreach ($pieces as $piece) {
            for ($i = 0; $i < $piece->count; $i++) {
                $packed[$tree->take($piece->length + $stock->kerf)][] = [$piece->mark, $piece->length];
            }
        }

        return new self(self::alike($packed, $stock), $stock);
    }

    /** How many bars there are, of all lengths. */
    public function count(): int
    {
        return array_sum(array_map(static fn (Bar $b): int => $b->count, $this->bars));
    }

    /** Of all bars together, mm. */
    public function stockLength(): float
    {
        return array_sum(array_map(static fn (Bar $b): float => $b->count * $b->length, $this->bars));
    }

    /** Of all pieces together, mm. */
    public function pieceLength(): float
    {
        return array_sum(array_map(static fn (Bar $b): float => $b->count * array_sum(array_column($b->pieces, 1)), $this->bars));
    }

    /** Share of the stock that becomes no piece: cuts, trimmed ends and what is left over. */
    public function waste(): float
    {
        return $this->bars === [] ? 0.0 : 1 - $this->pieceLength() / $this->stockLength();
    }

    /** @param  list<CutPiece>  $pieces  longest first */
    private static function requireShortEnough(array $pieces, float $room): void
    {
        $long = array_values(array_filter($pieces, static fn (CutPiece $p): bool => $p->length > $room + Tolerance::LENGTH));
        if ($long === []) {
            return;
        }
        throw Refusal::because(
            'cutting.too_long',
            sprintf(
                '%s %s longer than any bar, which gives %s at the most: %s.',
                count($long) === 1 ? 'One piece' : count($long).' pieces',
                count($long) === 1 ? 'is' : 'are',
                Length::mark($room),
                implode(', ', array_map(
                    static fn (CutPiece $p): string => $p->mark.' '.Length::mark($p->length),
                    array_slice($long, 0, 5),
                )).(count($long) > 5 ? ' …' : ''),
            ),
            details: ['marks' => array_map(static fn (CutPiece $p): string => $p->mark, $long), 'room' => $room],
        );
    }

    /**
     * @param  array<int, non-empty-list<array{string, float}>>  $packed
     * @return list<Bar>
     */
    private static function alike(array $packed, Stock $stock): array
    {
        $bars = $counts = [];
        foreach ($packed as $pieces) {
            $takes = array_sum(array_column($pieces, 1)) + $stock->kerf * (count($pieces) - 1);
            $holding = array_filter(
                $stock->lengths,
                static fn (float $bar): bool => $takes <= $stock->usable($bar) + Tolerance::LENGTH,
            );
            $length = min($holding === [] ? $stock->lengths : $holding);
            $left = max(0.0, $stock->usable($length) - $takes);
            $key = $length.'|'.implode('|', array_map(static fn (array $p): string => $p[0].' '.$p[1], $pieces));
            $counts[$key] = ($counts[$key] ?? 0) + 1;
            $bars[$key] ??= [$length, $pieces, $left];
        }
        $out = [];
        foreach ($bars as $key => [$length, $pieces, $left]) {
            $out[] = new Bar($length, $pieces, $left, $counts[$key]);
        }

        return $out;
    }
}
