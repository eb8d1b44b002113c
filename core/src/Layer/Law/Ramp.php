<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

use Isleward\Core\Measure\Fields;

/** From one value at the start straight to another at the end. */
final readonly class Ramp implements Form
{
    private function __construct(private float $from, private float $to)
    {
    }

    public static function from(Fields $f, Driven $driven): self
    {
        return new self($driven->value($f, 'from'), $driven->value($f, 'to'));
    }

    public function at(float $t, int $n): float
    {
        return $this->from + ($this->to - $this->from) * $t;
    }

    public function toArray(): array
    {
        return ['from' => $this->from, 'to' => $this->to];
    }
}
