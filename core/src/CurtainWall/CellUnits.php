<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\Design;
use Isleward\Core\Schedule\UnitSource;

/** Units in cells of curtain walls. */
final class CellUnits implements UnitSource
{
    public function units(Design $design, array $frontages): array
    {
        $out = [];
        foreach (PlacedRun::all($design, $frontages) as $run) {
            $storey = ($design->openings[$run->element] ?? null)->storey ?? $design->wall($run->element)->base;
            foreach ($run->panes as $pane) {
                if ($pane->cell->infill->type !== null) {
                    $out[] = [$pane->cell->infill->type, $storey, $run->element, 1];
                }
            }
        }

        return $out;
    }
}
