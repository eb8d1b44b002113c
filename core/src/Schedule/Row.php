<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

/** One line of what a schedule is made from. */
final readonly class Row
{
    /**
     * @param  array<string, string|float|int|null>  $values  by the key of their column
     * @param  list<string>  $elements  ids of what it stands for
     */
    public function __construct(public array $elements, public array $values)
    {
    }

    public function value(string $key): string|float|int|null
    {
        return $this->values[$key] ?? null;
    }

    public function figure(string $key): float|int
    {
        $value = $this->value($key);

        return is_string($value) ? 0 : $value ?? 0;
    }

    /**
     * Both as one: the other's elements too, and of these columns the sums.
     *
     * @param  list<string>  $summed
     */
    public function with(self $other, array $summed): self
    {
        $values = $this->values;
        foreach ($summed as $key) {
            if (isset($values[$key]) || isset($other->values[$key])) {
                $values[$key] = $this->figure($key) + $other->figure($key);
            }
        }

        // many of one thing, one after the other, name it once
        $same = $other->elements === array_slice($this->elements, -count($other->elements));

        return new self($same ? $this->elements : [...$this->elements, ...$other->elements], $values);
    }
}
