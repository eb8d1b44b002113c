<?php

declare(strict_types=1);

namespace Isleward\Core\Measure;

/** Areas as a project's units write them. */
final class Area
{
    /** Square metres with two places, whatever the length units are mm or m; square feet otherwise. */
    public static function format(float $mm2, Units $units): string
    {
        return $units === Units::FeetInches
                    ? number_format($mm2 / 304.8 ** 2, 1, '.', "\u{202F}").' ft²'
                    : number_format($mm2 / 1e6, 2, '.', "\u{202F}").' m²';
    }
}
