<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

use Isleward\Core\Measure\Fields;

enum LawKind: string
{
    case Constant = 'constant';
    case Ramp = 'ramp';
    case Wave = 'wave';
    case Bump = 'bump';
    case Steps = 'steps';
    case Drawn = 'drawn';
    case Seeded = 'seeded';
    case Combined = 'combined';

    public function form(Fields $f, Driven $driven): Form
    {
        return match ($this) {
            self::Constant => Constant::from($f, $driven),
            self::Ramp => Ramp::from($f, $driven),
            self::Wave => Wave::from($f, $driven),
            self::Bump => Bump::from($f, $driven),
            self::Steps => Steps::from($f, $driven),
            self::Drawn => Drawn::from($f, $driven),
            self::Seeded => Seeded::from($f, $driven),
            self::Combined => Combined::from($f, $driven),
        };
    }
}
