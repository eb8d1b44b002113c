<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\Measure\Units;

/**
 * Scales that drawings are usually made at (ISO 5455; of feet and inches those with a whole fraction of an inch to the foot; from memory).
 */
final class Scale
{
    private const METRIC = [5.0, 10.0, 20.0, 25.0, 50.0, 100.0, 200.0, 250.0, 500.0, 1000.0];

    private const FEET = [
        12 => '1"',
        16 => '3/4"',
        24 => '1/2"',
        48 => '1/4"',
        64 => '3/16"',
        96 => '1/8"',
        192 => '1/16"',
        384 => '1/32"',
    ];

    /** @return non-empty-list<float> the largest first */
    public static function usual(Units $units): array
    {
        return $units === Units::FeetInches ? array_map(floatval(...), array_keys(self::FEET)) : self::METRIC;
    }

    /** The largest usual scale at which something of this size has room; the smallest when it has at none. */
    public static function fitting(float $width, float $height, float $roomX, float $roomY, Units $units): float
    {
        $all = self::usual($units);
        foreach ($all as $scale) {
            if ($width / $scale <= $roomX && $height / $scale <= $roomY) {
                return $scale;
            }
        }

        return $all[count($all) - 1];
    }

    public static function label(float $scale, Units $units): string
    {
        $inch = $units === Units::FeetInches ? self::FEET[(int) $scale] ?? null : null;

        return $inch === null ? '1:'.rtrim(rtrim(number_format($scale, 1, '.', ''), '0'), '.') : $inch." = 1'-0\"";
    }
}
