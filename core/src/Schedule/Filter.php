<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;

/** What rows are narrowed by; its value as it was typed. */
final readonly class Filter
{
    private const TESTS = ['is', 'is-not', 'holds', 'above', 'below'];

    /** @throws Refusal */
    public function __construct(public string $key, public string $test, public string $value)
    {
        if (! in_array($test, self::TESTS, true)) {
            throw Refusal::because('schedule.test', sprintf('Rows cannot be narrowed by “%s”.', $test));
        }
    }

    /**
     * @param  Field  $field  the column of its key
     * @return \Closure(Row): bool
     *
     * @throws Refusal when it asks a figure for what is none
     */
    public function passes(Field $field, Units $units): \Closure
    {
        return $field->measured === Measured::Text ? $this->text($field->key) : $this->figure($field, $units);
    }

    /** @return array{key: string, test: string, value: string} */
    public function toArray(): array
    {
        return ['key' => $this->key, 'test' => $this->test, 'value' => $this->value];
    }

    /** @return \Closure(Row): bool */
    private function text(string $key): \Closure
    {
        $wanted = mb_strtolower(trim($this->value));

        return function (Row $row) use ($key, $wanted): bool {
            $text = mb_strtolower((string) ($row->value($key) ?? ''));

            return match ($this->test) {
                'is' => $text === $wanted,
                'is-not' => $text !== $wanted,
                'holds' => $wanted === '' || str_contains($text, $wanted),
                'above' => strnatcmp($text, $wanted) > 0,
                default => strnatcmp($text, $wanted) < 0,
            };
        };
    }

    /** @return \Closure(Row): bool */
    private function figure(Field $field, Units $units): \Closure
    {
        $typed = str_replace(',', '.', trim($this->value));
        $number = match (true) {
            $field->measured === Measured::Length => Length::parse($this->value, $units),
            is_numeric($typed) => (float) $typed / $field->measured->number(1.0, $units),
            default => throw Refusal::because(
                'schedule.value',
                sprintf('“%s” is no figure to narrow %s by.', mb_substr($this->value, 0, 30), mb_strtolower($field->name)),
            ),
        };

        return function (Row $row) use ($field, $number): bool {
            $v = (float) ($row->value($field->key) ?? 0);

            return match ($this->test) {
                'is', 'holds' => abs($v - $number) < 0.05,
                'is-not' => abs($v - $number) >= 0.05,
                'above' => $v > $number + 1e-9,
                default => $v < $number - 1e-9,
            };
        };
    }
}
