<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units;

/** What a column of a schedule holds, with the unit its numbers are written in. Inside, lengths are mm, areas mm² and volumes mm³. */
enum Measured: string
{
    case Text = 'text';
    case Count = 'count';
    case Length = 'length';
    case Area = 'area';
    case Volume = 'volume';
    case Weight = 'weight';
    case Share = 'share';

    /** The unit for a heading; blank for none. */
    public function unit(Units $units): string
    {
        return match ($this) {
            self::Text, self::Count => '',
            self::Length => match ($units) {
                Units::Millimetre => 'mm', Units::Metre => 'm', Units::FeetInches => 'in'
            },
            self::Area => $units === Units::FeetInches ? 'ft²' : 'm²',
            self::Volume => $units === Units::FeetInches ? 'ft³' : 'm³',
            self::Weight => 'kg',
            self::Share => '%',
        };
    }

    /** A value in that unit. */
    public function number(float $value, Units $units): float
    {
        return match ($this) {
            self::Length => $value / $units->bareNumber(),
            self::Area => $units === Units::FeetInches ? $value / Length::FOOT ** 2 : $value / 1e6,
            self::Volume => $units === Units::FeetInches ? $value / Length::FOOT ** 3 : $value / 1e9,
            self::Share => $value * 100,
            default => $value,
        };
    }

    /** Figures after the point. */
    public function decimals(Units $units): int
    {
        return match ($this) {
            self::Text, self::Count => 0,
            self::Length => match ($units) {
                Units::Millimetre => 1, Units::Metre => 3, Units::FeetInches => 4
            },
            self::Area, self::Volume => 3,
            self::Weight, self::Share => 1,
        };
    }
}
