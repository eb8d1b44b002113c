<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units;

/** Counts in sentences. */
final class Words
{
    /** A length as the project writes it. */
    public static function length(Design $design, float $mm): string
    {
        return Length::format($mm, $design->settings->units);
    }

    /** "85 before the left end", "1 200 from the left end". */
    public static function fromEnd(float $u, float $start, float $end, Units $units): string
    {
        return match (true) {
            $u < $start => Length::format($start - $u, $units).' before the left end',
            $u > $end => Length::format($u - $end, $units).' past the right end',
            default => Length::format($u - $start, $units).' from the left end',
        };
    }

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
