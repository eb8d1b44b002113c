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

    public function handles(): array
    {
        return [new Handle('from', 0.0, $this->from, false), new Handle('to', 1.0, $this->to, false)];
    }

    public function dragged(string $handle, float $at, float $value): array
    {
        return $handle === 'from' || $handle === 'to' ? [...$this->toArray(), $handle => $value] : throw Handle::unknown($handle);
    }
}
