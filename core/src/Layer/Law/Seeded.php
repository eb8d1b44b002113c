<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Anything between two limits, piece by piece, as a seed has it: the same on every machine, and of each piece whatever follows it. */
final class Seeded implements Form
{
    private const LARGEST = 999999999;

    /** @var list<float> shares so far */
    private array $drawn = [];

    private ?Pcg32 $numbers = null;

    private function __construct(private readonly float $from, private readonly float $to, private readonly int $seed)
    {
    }

    public static function from(Fields $f, Driven $driven): self
    {
        $seed = $f->has('seed') ? $f->int('seed') : 1;
        if ($seed < 0 || $seed > self::LARGEST) {
            throw Refusal::because('law.seed', sprintf('A seed is a whole number from 0 to %d.', self::LARGEST),
                details: ['field' => 'seed']);
        }

        return new self($driven->value($f, 'from'), $driven->value($f, 'to'), $seed);
    }

    public function at(float $t, int $n): float
    {
        $this->numbers ??= new Pcg32($this->seed);
        while (count($this->drawn) <= $n) {
            $this->drawn[] = $this->numbers->share();
        }

        return $this->from + ($this->to - $this->from) * $this->drawn[$n];
    }

    public function toArray(): array
    {
        return ['from' => $this->from, 'to' => $this->to, 'seed' => $this->seed];
    }

    public function handles(): array
    {
        return [new Handle('from', 0.0, $this->from, false), new Handle('to', 0.0, $this->to, false)];
    }

    public function dragged(string $handle, float $at, float $value): array
    {
        return $handle === 'from' || $handle === 'to' ? [...$this->toArray(), $handle => $value] : throw Handle::unknown($handle);
    }
}
