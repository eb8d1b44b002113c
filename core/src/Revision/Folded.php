<?php

declare(strict_types=1);

namespace Isleward\Core\Revision;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Operation;

/** Several changes, one after the other, as one: of every element what it was before the first and what it is after the last. */
final class Folded
{
    /** @param  iterable<list<Operation>>  $changes  their operations, oldest first */
    public static function change(string $summary, iterable $changes): Change
    {
        $first = $last = [];
        foreach ($changes as $operations) {
            foreach ($operations as $operation) {
                $key = $operation->kind->value.' '.$operation->id;
                $first[$key] ??= $operation;
                $last[$key] = $operation;
            }
        }
        $folded = [];
        foreach ($first as $key => $operation) {
            [$before, $after] = [$operation->before, $last[$key]->after];
            if ($before === null && $after === null) {
                continue; // came and went
            }
            $folded[] = match (true) {
                $before === null => Operation::add($after),
                $after === null => Operation::remove($before),
                default => Operation::alter($before, $after),
            };
        }

        return new Change($summary, $folded);
    }

    /** The letter of the next revision when there are so many: A to Z, then AA. */
    public static function letter(int $count): string
    {
        $letter = '';
        for ($n = $count; $n >= 0; $n = intdiv($n, 26) - 1) {
            $letter = chr(65 + $n % 26).$letter;
        }

        return $letter;
    }
}
