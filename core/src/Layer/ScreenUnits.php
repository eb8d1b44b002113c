<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\Design;
use Isleward\Core\Schedule\UnitSource;

/** Units in cut-outs of screens. */
final class ScreenUnits implements UnitSource
{
    public function units(Design $design, array $frontages): array
    {
        $out = [];
        foreach (array_keys($design->walls) as $wall) {
            foreach (Screens::in($design)->on($wall) as $face) {
                foreach ($face->units as $unit) {
                    $out[] = [$unit->type, $face->screen->storey, $face->screen->id, 1];
                }
            }
        }

        return $out;
    }
}
