<?php

declare(strict_types=1);

namespace Isleward\Core\Measure;

/** Volumes as a project's units write them. */
final class Volume
{
    /** Cubic metres with three places, whatever the length units are mm or m; cubic feet with one otherwise. */
    public static function format(float $mm3, Units $units): string
    {
        return $units === Units::FeetInches
                    ? number_format($mm3 / 304.8 ** 3, 1, '.', "\u{202F}").' ft³'
                    : number_format($mm3 / 1e9, 3, '.', "\u{202F}").' m³';
    }
}
