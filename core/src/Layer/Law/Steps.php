<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** One value after the other, each over an equal part of the run. */
final readonly class Steps implements Form
{
    private const MOST = 100;

    /** @param  non-empty-list<float>  $values */
    private function __construct(private array $values)
    {
    }

    public static function from(Fields $f, Driven $driven): self
    {
        $given = array_values($f->array('values'));
        if ($given === [] || count($given) > self::MOST) {
            throw Refusal::because('law.steps', sprintf('Steps are 1 to %d values; %d were given.', self::MOST, count($given)), details: [
                'field' => 'values',
            ]);
        }

        return new self(array_map(
            static fn (mixed $value): float => $driven->value(new Fields(['value' => $value], $f->units()), 'value'),
            $given,
        ));
    }

    public function at(float $t, int $n): float
    {
        $count = count($this->values);

        return $this->values[max(0, min($count - 1, (int) floor($t * $count + 1e-9)))];
    }

    public function toArray(): array
    {
        return ['values' => $this->values];
    }

    public function handles(): array
    {
        $count = count($this->values);

        return array_map(
            static fn (int $i, float $value): Handle => new Handle("step $i", ($i + 0.5) / $count, $value, false),
            array_keys($this->values), $this->values,
        );
    }

    public function dragged(string $handle, float $at, float $value): array
    {
        $i = str_starts_with($handle, 'step ') ? (int) substr($handle, 5) : -1;

        return isset($this->values[$i]) ? ['values' => array_replace($this->values, [$i => $value])] : throw Handle::unknown($handle);
    }
}
