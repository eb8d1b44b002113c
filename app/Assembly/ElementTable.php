<?php

declare(strict_types=1);

namespace App\Assembly;

use Isleward\Core\Design\Element;
use Isleward\Core\Design\Kind;
use Isleward\Core\Measure\Fields;

/** How a kind of element lies in its table: element value ⇄ column. */
final readonly class ElementTable
{
    /**
     * @param  array<string, string>  $columns  value → column
     * @param  list<string>  $json  values kept as JSON
     * @param  list<string>  $flags  values that are true or false
     */
    public function __construct(
        public Kind $kind,
        public string $table,
        public array $columns,
        public array $json = [],
        public array $flags = [],
    ) {
    }

    /** @param  array<string, mixed>  $row */
    public function element(array $row): Element
    {
        return $this->kind->make(new Fields($this->values($row)));
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed>
     */
    public function values(array $row): array
    {
        $values = [];
        foreach ($this->columns as $name => $column) {
            $values[$name] = $row[$column] ?? null;
        }
        foreach ($this->json as $name) {
            $values[$name] = is_string($values[$name]) ? json_decode($values[$name], true, 128, JSON_THROW_ON_ERROR) : null;
        }
        foreach ($this->flags as $name) {
            $values[$name] = (bool) $values[$name];
        }

        return $values;
    }

    /** @return array<string, mixed> */
    public function row(Element $element): array
    {
        $row = [];
        foreach ($element->toArray() as $name => $value) {
            $row[$this->columns[$name]] = match (true) {
                $value === null => null,
                in_array($name, $this->json, true) => json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                is_bool($value) => (int) $value,
                default => $value,
            };
        }

        return $row;
    }
}
