<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Layer\Law\Driven;

/** What of a piece a law may drive. */
enum Quantity: string
{
    /** along the line, of lying pieces upright */
    case Thickness = 'thickness';
    /** outward from its back */
    case Reach = 'reach';
    /** upright, of lying pieces along the line */
    case Length = 'length';
    /** about its own axis */
    case Turn = 'turn';
    /** of its axis: a standing piece outward at its head, a lying one up at its right, a reaching one up at its front */
    case Lean = 'lean';

    public function driven(): Driven
    {
        return $this === self::Turn || $this === self::Lean ? Driven::Angle : Driven::Length;
    }

    /** @return array{float, float} what a value may be: least and greatest, mm or degrees */
    public function limits(): array
    {
        return match ($this) {
            self::Turn => [-180.0, 180.0],
            self::Lean => [-75.0, 75.0],
            default => [1.0, 50000.0],
        };
    }

    public function usual(): float
    {
        return match ($this) {
            self::Thickness => 30.0,
            self::Reach => 200.0,
            self::Length => 2400.0,
            self::Turn, self::Lean => 0.0,
        };
    }
}
