<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;

/**
 * A schedule as its layout asks for it: rows narrowed, made one where alike, sorted, grouped and added up.
 */
final readonly class Report
{
    /**
     * @param  list<array{field: Field, heading: string}>  $columns
     * @param  list<array{kind: 'row'|'group'|'sum', text: string, values: list<string|float|int|null>, elements: list<string>}>  $rows
     * @param  list<string|float|int|null>|null  $totals
     */
    private function __construct(public string $name, public array $columns, public array $rows, public ?array $totals, public Units $units)
    {
    }

    /** @throws Refusal when the layout asks for what the source has not */
    public static function of(Source $source, Layout $layout, Units $units): self
    {
        $field = static fn (string $key): ?Field => $source->fields[$key] ?? null;
        $columns = [];
        foreach ($layout->columns as $column) {
            $found = $field($column->key);
            // a storey's column goes with its storey
            if ($found === null && str_starts_with($column->key, 'on:')) {
                continue;
            }
            $found ?? throw Refusal::because(
                'schedule.column',
                sprintf('A schedule of %s has no column “%s”.', $source->name, $column->key),
            );
            $columns[] = ['field' => $found, 'heading' => (string) $column->name === '' ? $found->name : (string) $column->name];
        }
        $named = array_map(static fn (Sorting|Filter $by): string => $by->key, [...$layout->sort, ...$layout->filters]);
        foreach ([...$layout->groups, ...$named] as $key) {
            $field($key) ?? throw Refusal::because('schedule.column', sprintf('A schedule of %s has no column “%s”.', $source->name, $key));
        }
        $rows = $source->rows;
        foreach ($layout->filters as $i => $filter) {
            try {
                $test = $filter->passes($source->fields[$filter->key], $units);
            } catch (Refusal $refusal) {
                throw Refusal::because('schedule.value', $refusal->getMessage(), details: ['field' => "filters.$i"]);
            }
            $rows = array_values(array_filter($rows, $test));
        }
        if ($layout->merge) {
            $rows = self::merged($rows, $columns, $layout->groups, $source->fields);
        }
        $order = [...array_map(static fn (string $k): Sorting => new Sorting($k), $layout->groups), ...$layout->sort];
        if ($order !== []) {
            usort($rows, static function (Row $a, Row $b) use ($order, $source): int {
                foreach ($order as $by) {
                    $c = self::compare($a->value($by->key), $b->value($by->key), $source->fields[$by->key]->order);
                    if ($c !== 0) {
                        return $by->down ? -$c : $c;
                    }
                }

                return 0;
            });
        }
        $self = new self($layout->name, $columns, [], null, $units);
        $out = $layout->groups === []
                    ? array_map($self->row(...), $rows)
                    : $self->grouped($rows, $layout->groups, $source->fields, $layout->totals);

        return new self($layout->name, $columns, $out, $layout->totals && $rows !== [] ? $self->sums($rows) : null, $units);
    }

    /** Headings with their units, and real numbers in those units. */
    public function table(): Table
    {
        $headings = $formats = [];
        foreach ($this->columns as ['field' => $field, 'heading' => $heading]) {
            $unit = $field->measured->unit($this->units);
            $headings[] = $unit === '' ? $heading : "$heading ($unit)";
            $formats[] = $field->measured === Measured::Text ? null : $field->measured->decimals($this->units);
        }
        $rows = array_map(
            fn (array $r): array => $r['kind'] === 'group'
                            ? [$r['text'], ...array_fill(0, max(0, count($headings) - 1), null)]
                            : $this->numbers($r['values'], $r['kind'] === 'sum' ? $r['text'] : null),
            $this->rows,
        );

        return new Table($this->name, $headings, $formats, $rows, $this->totals === null ? null : $this->numbers($this->totals, 'Total'));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'columns' => array_map(
                static fn (array $c): array => [
                    'key' => $c['field']->key,
                    'heading' => $c['heading'],
                    'measured' => $c['field']->measured->value,
                ],
                $this->columns,
            ),
            'rows' => $this->rows, 'totals' => $this->totals,
        ];
    }

    /**
     * @param  list<string|float|int|null>  $values
     * @return list<string|float|int|null>
     */
    private function numbers(array $values, ?string $label): array
    {
        $out = [];
        foreach ($values as $i => $value) {
            $measured = $this->columns[$i]['field']->measured;
            $out[] = is_float($value) ? $measured->number($value, $this->units) : $value;
        }
        if ($label !== null && ($out === [] || $out[0] === null)) {
            $out[0] = $label;
        }

        return $out;
    }

    /**
     * @return array{kind: 'row', text: string, values: list<string|float|int|null>, elements: list<string>}
     */
    private function row(Row $row): array
    {
        return [
            'kind' => 'row',
            'text' => '',
            'values' => array_map(static fn (array $c): string|float|int|null => $row->value($c['field']->key), $this->columns),
            'elements' => $row->elements,
        ];
    }

    /**
     * @param  list<Row>  $rows  in order
     * @param  non-empty-list<string>  $keys
     * @param  array<string, Field>  $fields
     * @return list<array{kind: 'row'|'group'|'sum', text: string, values: list<string|float|int|null>, elements: list<string>}>
     */
    private function grouped(array $rows, array $keys, array $fields, bool $totals): array
    {
        $key = $keys[0];
        $rest = array_slice($keys, 1);
        $groups = [];
        foreach ($rows as $row) {
            $groups[(string) ($row->value($key) ?? '')][] = $row;
        }
        $out = [];
        foreach ($groups as $group) {
            $value = $group[0]->value($key);
            $said = is_float($value) && $fields[$key]->measured === Measured::Length
                            ? Length::format($value, $this->units)
                            : (string) $value;
            $name = $fields[$key]->name;
            $elements = array_merge(...array_map(static fn (Row $r): array => $r->elements, $group));
            $out[] = [
                'kind' => 'group',
                // "Storey: Quay", but not "Storey: Storey 1"
                'text' => stripos($said, $name) === 0 ? $said : $name.': '.($said === '' ? 'none' : $said),
                'values' => [],
                'elements' => $elements,
            ];
            array_push($out, ...($rest === [] ? array_map($this->row(...), $group) : $this->grouped($group, $rest, $fields, $totals)));
            if ($totals && count($group) > 1) {
                $out[] = [
                    'kind' => 'sum',
                    'text' => sprintf('%s, %d together', $said === '' ? 'None' : $said, count(array_unique($elements))),
                    'values' => $this->sums($group),
                    'elements' => [],
                ];
            }
        }

        return $out;
    }

    /**
     * @param  list<Row>  $rows
     * @return list<string|float|int|null>
     */
    private function sums(array $rows): array
    {
        return array_map(
            static fn (array $c): float|int|null => ! $c['field']->summed
                            ? null
                            : array_sum(array_map(static fn (Row $r): float|int => $r->figure($c['field']->key), $rows)),
            $this->columns,
        );
    }

    /**
     * @param  list<Row>  $rows
     * @param  list<array{field: Field, heading: string}>  $columns
     * @param  list<string>  $groups
     * @param  array<string, Field>  $fields
     * @return list<Row>
     */
    private static function merged(array $rows, array $columns, array $groups, array $fields): array
    {
        $keys = $groups;
        foreach ($columns as ['field' => $field]) {
            if (! $field->summed) {
                $keys[] = $field->key;
            }
        }
        $summed = array_keys(array_filter($fields, static fn (Field $f): bool => $f->summed));
        $out = [];
        foreach ($rows as $row) {
            $alike = '';
            foreach ($keys as $key) {
                $v = $row->value($key);
                $alike .= (is_float($v) ? (string) round($v, 2) : (string) $v)."\x1f";
            }
            $out[$alike] = isset($out[$alike]) ? $out[$alike]->with($row, $summed) : $row;
        }

        return array_values($out);
    }

    /** @param  array<string, int>  $order */
    private static function compare(string|float|int|null $a, string|float|int|null $b, array $order): int
    {
        if (isset($order[(string) $a], $order[(string) $b])) {
            return $order[(string) $a] <=> $order[(string) $b];
        }

        return is_string($a) || is_string($b) ? strnatcasecmp((string) $a, (string) $b) : ($a ?? 0) <=> ($b ?? 0);
    }
}
