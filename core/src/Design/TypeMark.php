<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Refusal;

/** Marks of unit types: letters for the kind, a hyphen, and the lowest free number of two figures or more. */
final class TypeMark
{
    /** @param  array<array-key, UnitType>  $types */
    public static function next(array $types, string $like): string
    {
        $taken = [];
        foreach ($types as $type) {
            $taken[$type->mark] = true;
        }
        $letter = preg_match('/^(\pL+)/u', $like, $m) === 1 ? $m[1] : 'U';
        $n = 1;
        while (isset($taken[sprintf('%s-%02d', $letter, $n)])) {
            $n++;
        }

        return sprintf('%s-%02d', $letter, $n);
    }

    /**
     * @param  array<array-key, UnitType>  $types
     *
     * @throws Refusal when another type has its mark
     */
    public static function requireFree(array $types, UnitType $type): void
    {
        foreach ($types as $other) {
            if ($other->id !== $type->id && $other->mark === $type->mark) {
                throw Refusal::because(
                    'type.mark_taken',
                    sprintf('The mark %s is taken by %s.', $type->mark, $other->name),
                    [$other->id],
                    ['field' => 'mark'],
                );
            }
        }
    }
}
