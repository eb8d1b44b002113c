<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

/**
 * Seeded numbers that are the same on every machine: PCG32, XSH RR 64/32 (O'Neill, "PCG: A Family of Simple Fast Space-Efficient
 * Statistically Good Algorithms for Random Number Generation", 2014). Its 64-bit state is kept in two halves, since PHP's whole numbers
 * are signed.
 */
final class Pcg32
{
    private const MASK = 0xFFFFFFFF;

    /** The multiplier 6364136223846793005. */
    private const HIGH = 0x5851F42D;

    private const LOW = 0x4C957F2D;

    private int $high = 0;

    private int $low = 0;

    private readonly int $incrementHigh;

    private readonly int $incrementLow;

    /** @param  int  $stream  one of the sequences there are for a seed */
    public function __construct(int $seed, int $stream = 54)
    {
        $this->incrementHigh = ($stream >> 31) & self::MASK;
        $this->incrementLow = (($stream << 1) | 1) & self::MASK;
        $this->step();
        $low = $this->low + ($seed & self::MASK);
        $this->low = $low & self::MASK;
        $this->high = ($this->high + (($seed >> 32) & self::MASK) + ($low >> 32)) & self::MASK;
        $this->step();
    }

    /** The next one, 0 to 2³² − 1. */
    public function next(): int
    {
        [$high, $low] = [$this->high, $this->low];
        $this->step();
        // ((state >> 18) ^ state) >> 27, of which 32 bits are kept
        $xHigh = ($high >> 18) ^ $high;
        $xLow = ((($high << 14) & self::MASK) | ($low >> 18)) ^ $low;
        $word = (($xHigh << 5) | ($xLow >> 27)) & self::MASK;
        $turn = $high >> 27;

        return ($word >> $turn | $word << ((32 - $turn) & 31)) & self::MASK;
    }

    /** The next one as a share, 0 to less than 1. */
    public function share(): float
    {
        return $this->next() / 4294967296.0;
    }

    private function step(): void
    {
        // low × LOW is built of 16-bit halves, so that no product leaves 63 bits
        $a = $this->low * (self::LOW & 0xFFFF);
        $b = $this->low * (self::LOW >> 16) + ($a >> 16);
        $low = (($b & 0xFFFF) << 16) | ($a & 0xFFFF);
        $high = ($b >> 16) + self::low($this->low, self::HIGH) + self::low($this->high, self::LOW);
        $low += $this->incrementLow;
        $this->low = $low & self::MASK;
        $this->high = ($high + $this->incrementHigh + ($low >> 32)) & self::MASK;
    }

    /** The lower 32 bits of a product of two 32-bit numbers. */
    private static function low(int $a, int $b): int
    {
        return ($a * ($b & 0xFFFF) + ((($a * ($b >> 16)) & 0xFFFF) << 16)) & self::MASK;
    }
}
