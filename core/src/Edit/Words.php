<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

/** Counts in sentences. */
final class Words
{
    /** @param  array<string, int>  $counts "1 opening and 4 walls"; nothing of which there is none */
    public static function counts(array $counts): string
    {
        $parts = [];
        foreach ($counts as $word => $count) {
            if ($count > 0) {
                $parts[] = $count.' '.$word.($count === 1 ? '' : 's');
            }
        }

        return $parts === [] ? 'nothing' : implode(' and ', $parts);
    }
}
