<?php

declare(strict_types=1);

namespace Isleward\Core\Measure;

/**
 * What one argument of an edit may be. {@see Fields} reads them; this says the same ahead, as JSON Schema (draft 2020-12), so that whoever
 * sends an edit can be held to it.
 */
final readonly class Argument
{
    /** @param  array<string, mixed>  $schema */
    private function __construct(private array $schema, public bool $isRequired = false)
    {
    }

    public static function text(): self
    {
        return new self(['type' => 'string']);
    }

    /** @param  class-string<\BackedEnum>|list<string>  $of */
    public static function choice(string|array $of): self
    {
        $values = is_array($of) ? $of : array_map(static fn (\BackedEnum $case): string => (string) $case->value, $of::cases());

        return new self(['type' => 'string', 'enum' => $values]);
    }

    public static function flag(): self
    {
        return new self(['type' => 'boolean']);
    }

    public static function number(): self
    {
        return new self(['type' => 'number']);
    }

    /** A number in mm, or a text in people's units. */
    public static function length(): self
    {
        return new self(['type' => ['number', 'string'], 'description' => 'mm, or a text in people’s units']);
    }

    public static function count(): self
    {
        return new self(['type' => ['integer', 'string']]);
    }

    public static function list(self $of, int $least = 0): self
    {
        return new self(['type' => 'array', 'items' => $of->schema] + ($least > 0 ? ['minItems' => $least] : []));
    }

    public static function ids(): self
    {
        return self::list(self::text());
    }

    /** East and north, mm. */
    public static function point(): self
    {
        return self::list(self::length(), 2);
    }

    /** @param  array<string, self>  $fields  all that it may have */
    public static function object(array $fields): self
    {
        return new self(self::closed($fields));
    }

    /** Of any shape: what it may be is said elsewhere. */
    public static function open(string $what): self
    {
        return new self(['type' => 'object', 'additionalProperties' => true, 'description' => $what]);
    }

    public static function either(self ...$of): self
    {
        return new self(['anyOf' => array_map(static fn (self $a): array => $a->schema, array_values($of))]);
    }

    public function orNull(): self
    {
        return new self(['anyOf' => [$this->schema, ['type' => 'null']]], $this->isRequired);
    }

    public function required(): self
    {
        return new self($this->schema, true);
    }

    public function says(string $what): self
    {
        return new self([...$this->schema, 'description' => $what], $this->isRequired);
    }

    /**
     * @param  array<string, self>  $fields
     * @return array<string, mixed>
     */
    public static function closed(array $fields): array
    {
        $required = array_keys(array_filter($fields, static fn (self $a): bool => $a->isRequired));

        return [
            'type' => 'object',
            'properties' => array_map(static fn (self $a): array => $a->schema, $fields),
            'additionalProperties' => false,
        ] + ($required === [] ? [] : ['required' => $required]);
    }
}
