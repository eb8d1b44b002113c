<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** A piece to be cut from stock: so many alike. */
final readonly class CutPiece
{
    /**
     * @param  string  $mark  by which the bar says which it is
     * @param  float  $length  as cut, mm
     */
    public function __construct(public string $mark, public float $length, public int $count)
    {
    }
}
