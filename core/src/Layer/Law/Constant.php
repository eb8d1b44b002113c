<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

use Isleward\Core\Measure\Fields;

/** The same everywhere. */
final readonly class Constant implements Form
{
    public function __construct(public float $value)
    {
    }

    public static function from(Fields $f, Driven $driven): self
    {
        return new self($driven->value($f, 'value'));
    }

    public function at(float $t, int $n): float
    {
        return $this->value;
    }

    public function toArray(): array
    {
        return ['value' => $this->value];
    }

    public function handles(): array
    {
        return [new Handle('value', 0.5, $this->value, false)];
    }

    public function dragged(string $handle, float $at, float $value): array
    {
        return $handle === 'value' ? ['value' => $value] : throw Handle::unknown($handle);
    }
}
