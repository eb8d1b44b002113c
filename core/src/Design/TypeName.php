<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units;

/** Sizes written in the names of unit types: "pair, 1 200 × 1 450". */
final class TypeName
{
    public const SIZE = '/(?<![\d.])(\d{1,2}[ \x{202F}]?\d{3}|\d{3})(?:\s*mm)?\s*[x×]\s*(\d{1,2}[ \x{202F}]?\d{3}|\d{3})(?:\s*mm)?(?![\d.])/u';

    /** @return array{float, float}|null width and height in mm, when the name states them */
    public static function size(string $name): ?array
    {
        if (preg_match(self::SIZE, $name, $m) !== 1) {
            return null;
        }
        $figure = static fn (string $text): float => (float) preg_replace('/\D/u', '', $text);

        return [$figure($m[1]), $figure($m[2])];
    }

    public static function withSize(string $name, float $width, float $height): string
    {
        return (string) preg_replace(self::SIZE, self::ofSize($width, $height), $name, 1);
    }

    /** As a size is written in a name. */
    public static function ofSize(float $width, float $height): string
    {
        return sprintf('%s × %s', Length::format($width, Units::Millimetre), Length::format($height, Units::Millimetre));
    }
}
