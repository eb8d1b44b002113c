<?php

declare(strict_types=1);

namespace Isleward\Core\Measure;

/**
 * Reads named values out of loosely typed data (an edit's arguments, a stored row) and refuses, by name, what is missing
 * or of the wrong kind. Lengths may be numbers in mm or text in people's units.
 */
final readonly class Fields
{
    /** Of any number: far beyond every size, angle, weight or scale, and far below where reckoning with it runs out. */
    private const LARGEST = 1e12;

    /** @param  array<array-key, mixed>  $values */
    public function __construct(private array $values, private Units $units = Units::Millimetre)
    {
    }

    public function units(): Units
    {
        return $this->units;
    }

    public function has(string $name): bool
    {
        return array_key_exists($name, $this->values) && $this->values[$name] !== null;
    }

    public function string(string $name, ?string $default = null): string
    {
        $value = $this->values[$name] ?? $default;
        if (! is_string($value)) {
            throw $this->missing($name, 'a text');
        }

        return $value;
    }

    public function stringOrNull(string $name): ?string
    {
        return $this->has($name) ? $this->string($name) : null;
    }

    /** A name for people to read: not blank, at most 80 characters. */
    public function name(string $name): string
    {
        $text = trim($this->string($name));
        if ($text === '' || mb_strlen($text) > 80) {
            throw Refusal::because('field.name', sprintf('“%s” needs a name of 1 to 80 characters.', $name), details: ['field' => $name]);
        }

        return $text;
    }

    /** A remark of up to 500 characters; may be blank. */
    public function text(string $name): string
    {
        $text = trim($this->string($name, ''));
        if (mb_strlen($text) > 500) {
            throw Refusal::because('field.text', sprintf('“%s” may have 500 characters at the most.', $name), details: ['field' => $name]);
        }

        return $text;
    }

    public function bool(string $name, bool $default = false): bool
    {
        $value = $this->values[$name] ?? $default;
        if (! is_bool($value)) {
            throw $this->missing($name, 'true or false');
        }

        return $value;
    }

    public function int(string $name): int
    {
        $value = $this->values[$name] ?? null;
        if (! is_int($value)) {
            throw $this->missing($name, 'a whole number');
        }

        return $value;
    }

    public function number(string $name): float
    {
        $value = $this->values[$name] ?? null;
        if ((! is_int($value) && ! is_float($value)) || ! (abs((float) $value) <= self::LARGEST)) {
            throw $this->missing($name, 'a number that can be reckoned with');
        }

        return Zero::plain($value); // there is no negative nothing: a log in JSON would not keep it
    }

    /** A number from 0 to 1; null when it is not given. */
    public function shareOrNull(string $name): ?float
    {
        $share = $this->has($name) ? $this->number($name) : null;
        if ($share !== null && ($share < 0 || $share > 1)) {
            throw $this->missing($name, 'a share from 0 to 1');
        }

        return $share;
    }

    /** A length in mm, of any sign. */
    public function length(string $name): float
    {
        $value = $this->values[$name] ?? null;
        if (is_string($value)) {
            return Length::parse($value, $this->units);
        }

        return Length::within($this->number($name));
    }

    /**
     * A length, whose text is taken as a difference when it begins with + or −.
     *
     * @return array{float, bool} mm, and whether it is a difference
     */
    public function lengthOrDifference(string $name): array
    {
        $value = $this->values[$name] ?? null;
        $difference = is_string($value) && preg_match('/^\s*[+\-−]/u', $value) === 1;

        return [
            $difference ? Length::parse((string) preg_replace('/^\s*\+/', '', $value), $this->units) : $this->length($name),
            $difference,
        ];
    }

    /** A whole number, at least $least and at most $most. */
    public function count(string $name, string $what, int $least, int $most): int
    {
        $value = $this->values[$name] ?? null;
        if (is_string($value) && preg_match('/^\s*\d+\s*$/', $value) === 1) {
            $value = (int) $value;
        }
        if (! is_int($value)) {
            throw Refusal::because('count.not_whole', sprintf('%s must be a whole number.', $what), details: ['field' => $name]);
        }
        if ($value < $least || $value > $most) {
            throw Refusal::because(
                'count.out_of_range',
                sprintf('%s runs from %d to %d; %d was given.', $what, $least, $most, $value),
                details: ['field' => $name],
            );
        }

        return $value;
    }

    /** A length in mm that is at least $least. */
    public function size(string $name, string $what, float $least = 1.0): float
    {
        $length = $this->length($name);
        if ($length < $least) {
            throw Refusal::because(
                'size.too_small',
                sprintf(
                    '%s must be at least %s; %s was given.',
                    $what,
                    Length::format($least, $this->units),
                    Length::format($length, $this->units),
                ),
                details: ['field' => $name, 'given' => $length, 'least' => $least],
            );
        }

        return $length;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @param  T|null  $default
     * @return T
     */
    public function choice(string $name, string $enum, ?\BackedEnum $default = null): \BackedEnum
    {
        $value = $this->values[$name] ?? $default?->value;
        $found = is_string($value) ? $enum::tryFrom($value) : null;
        if ($found === null) {
            $known = implode(', ', array_map(static fn (\BackedEnum $case): string => (string) $case->value, $enum::cases()));
            throw $this->missing($name, 'one of '.$known);
        }

        return $found;
    }

    public function fields(string $name): self
    {
        return new self($this->array($name), $this->units);
    }

    /** @return array<array-key, mixed> */
    public function array(string $name): array
    {
        $value = $this->values[$name] ?? null;
        if (! is_array($value)) {
            throw $this->missing($name, 'a list or a group of values');
        }

        return $value;
    }

    /** @return list<self> */
    public function list(string $name): array
    {
        $out = [];
        foreach ($this->array($name) as $item) {
            if (! is_array($item)) {
                throw $this->missing($name, 'a list of groups');
            }
            $out[] = new self($item, $this->units);
        }

        return $out;
    }

    /** @return list<string> */
    public function strings(string $name): array
    {
        $out = [];
        foreach ($this->array($name) as $item) {
            if (! is_string($item)) {
                throw $this->missing($name, 'a list of texts');
            }
            $out[] = $item;
        }

        return $out;
    }

    /** @return list<int> */
    public function counts(string $name): array
    {
        $out = [];
        foreach ($this->array($name) as $item) {
            if (! is_int($item)) {
                throw $this->missing($name, 'a list of whole numbers');
            }
            $out[] = $item;
        }

        return $out;
    }

    /** @return array<array-key, mixed> */
    public function all(): array
    {
        return $this->values;
    }

    private function missing(string $name, string $kind): Refusal
    {
        return Refusal::because('field.invalid', sprintf('“%s” must be %s.', $name, $kind), details: ['field' => $name]);
    }
}
