<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Two laws together: their sum, the greater of both, or the first times the second, which is in % then. */
final readonly class Combined implements Form
{
    private function __construct(private Together $how, private Law $first, private Law $second)
    {
    }

    public static function from(Fields $f, Driven $driven): self
    {
        $how = $f->choice('how', Together::class, Together::Sum);
        $first = Law::from($f->fields('first'), $driven);
        $second = Law::from($f->fields('second'), $how === Together::Product ? Driven::Share : $driven);
        if ($first->kind === LawKind::Combined || $second->kind === LawKind::Combined) {
            throw Refusal::because('law.nested', 'Two laws are combined, not more: neither may be of two itself.');
        }

        return new self($how, $first, $second);
    }

    public function at(float $t, int $n): float
    {
        [$a, $b] = [$this->first->at($t, $n), $this->second->at($t, $n)];

        return match ($this->how) {
            Together::Sum => $a + $b,
            Together::Product => $a * $b / 100,
            Together::Greater => max($a, $b),
        };
    }

    public function toArray(): array
    {
        return ['how' => $this->how->value, 'first' => $this->first->toArray(), 'second' => $this->second->toArray()];
    }

    public function handles(): array
    {
        return []; // either has its own; what both make together is nowhere held
    }

    public function dragged(string $handle, float $at, float $value): array
    {
        throw Handle::unknown($handle);
    }
}
