<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

use Isleward\Core\Design\Design;
use Isleward\Core\Unit\SolvedLight;
use Isleward\Core\Unit\SolvedUnit;
use Isleward\Core\Unit\Weight;

/** What a schedule says of a unit. */
final readonly class UnitFigures
{
    /**
     * @param  float  $glass  mm²
     * @param  float  $weight  kg
     */
    private function __construct(public string $operations, public float $glass, public float $weight)
    {
    }

    /** @param  SolvedUnit|null  $unit  null for a bare opening */
    public static function of(?SolvedUnit $unit, Design $design): self
    {
        if ($unit === null) {
            return new self('', 0.0, 0.0);
        }
        $words = [];
        foreach ($unit->lights as $light) {
            $words[self::word($light)] = true;
        }

        return new self(
            implode(', ', array_keys($words)),
            $unit->glassArea(),
            Weight::of($unit, $design->settings->unitRules)['total'],
        );
    }

    private static function word(SolvedLight $light): string
    {
        return $light->light->glazing->solid
                    && ! $light->light->operation->moves()
                    && $light->louvre === null ? 'solid infill' : $light->light->operation->label();
    }
}
