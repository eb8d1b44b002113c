<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Zero;

/** What kind of value a law drives: a length, an angle, or a share of another law's value. */
enum Driven: string
{
    /** mm */
    case Length = 'length';
    /** degrees */
    case Angle = 'angle';
    /** % */
    case Share = 'share';

    public function value(Fields $f, string $name): float
    {
        return Zero::plain($this === self::Length ? $f->length($name) : $f->number($name));
    }

    /** A value as it is said in sentences; lengths are marked to be said in the project's units. */
    public function said(float $value): string
    {
        $plain = rtrim(rtrim(number_format(Zero::plain(round($value, 2)), 2, '.', ''), '0'), '.');

        return match ($this) {
            self::Length => Length::mark($value),
            self::Angle => $plain.'°',
            self::Share => $plain.' %',
        };
    }
}
