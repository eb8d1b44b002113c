<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

/** What of bands is brought to one level. */
enum BandLevel: string
{
    case Feet = 'feet';
    case Middles = 'middles';
    case Heads = 'heads';

    /** @param  array{float, float}  $levels  of the lowest and the highest point, mm */
    public function of(array $levels): float
    {
        return match ($this) {
            self::Feet => $levels[0],
            self::Middles => ($levels[0] + $levels[1]) / 2,
            self::Heads => $levels[1],
        };
    }
}
