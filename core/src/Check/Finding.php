<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

/** Something doubtful in a design, with its figure, its place and, where there is one, what puts it right. */
final readonly class Finding
{
    /**
     * @param  string  $rule  stable code
     * @param  list<string>  $elements  the one to act on first
     * @param  float  $figure  mm
     * @param  array{0: float, 1: float}  $at  (u, v) on its host
     */
    public function __construct(
        public string $rule,
        public string $host,
        public array $elements,
        public float $figure,
        public string $sentence,
        public array $at,
        public ?Remedy $remedy = null,
    ) {
    }

    /** What it is about: the same for as long as the rule finds the same elements. */
    public function key(): string
    {
        $elements = $this->elements;
        sort($elements);

        return $this->rule.' '.implode(' ', $elements);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'key' => $this->key(), 'rule' => $this->rule, 'host' => $this->host, 'elements' => $this->elements, 'figure' => $this->figure,
            'sentence' => $this->sentence, 'at' => $this->at, 'remedy' => $this->remedy?->toArray(),
        ];
    }
}
