<?php

declare(strict_types=1);

namespace Isleward\Core\Measure;

/** The units a project's figures are typed and shown in. Inside the core every length is in millimetres. */
enum Units: string
{
    case Millimetre = 'mm';
    case Metre = 'm';
    case FeetInches = 'ft-in';

    /** Millimetres in one of what a bare number means: feet-and-inches projects read a bare number as inches. */
    public function bareNumber(): float
    {
        return match ($this) {
            self::Millimetre => 1.0,
            self::Metre => 1000.0,
            self::FeetInches => Length::INCH,
        };
    }
}
