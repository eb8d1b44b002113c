<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Design\Design;
use Isleward\Core\Schedule\UnitSource;

/** Units in the faces of roofs. */
final class RooflightUnits implements UnitSource
{
    public function units(Design $design, array $frontages): array
    {
        $out = [];
        foreach (Roofs::in($design)->all() as $roof) {
            $shape = Roofs::in($design)->find($roof);
            foreach ($shape === null ? [] : Rooflights::of($design, $shape) as $placed) {
                $out[] = [$placed->light->type, $roof->storey, $roof->id, 1];
            }
        }

        return $out;
    }
}
