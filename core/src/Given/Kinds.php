<?php

declare(strict_types=1);

namespace Isleward\Core\Given;

use Isleward\Core\Unit\Stock;

/** Which ready type a schedule's words for a kind mean. */
final class Kinds
{
    /** The mark of the ready type that the words mean; null when they say none that is known. */
    public static function like(string $words): ?string
    {
        $plain = trim((string) preg_replace('/[^\pL\d]+/u', ' ', mb_strtolower($words)));

        return KindWords::mark($plain);
    }

    /**
     * Every ready type that a kind can be taken for.
     *
     * @return list<array{mark: string, name: string}>
     */
    public static function all(): array
    {
        return array_map(
            static fn (array $t): array => [
                'mark' => is_string($t['mark']) ? $t['mark'] : '',
                'name' => is_string($t['name']) ? $t['name'] : '',
            ],
            Stock::types(),
        );
    }

    /**
     * The ready type of a mark, or null.
     *
     * @return array<string, mixed>|null values of a unit type less id and position
     */
    public static function ready(string $mark): ?array
    {
        foreach (Stock::types() as $type) {
            if ($type['mark'] === $mark) {
                return $type;
            }
        }

        return null;
    }
}
