<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** So many bars of stock that are cut alike. */
final readonly class Bar
{
    /**
     * @param  float  $length  of the stock, mm
     * @param  list<array{string, float}>  $pieces  mark and length of each, in the order they are cut
     * @param  float  $left  over at the end, less cuts and trimmed ends, mm
     */
    public function __construct(public float $length, public array $pieces, public float $left, public int $count)
    {
    }
}
