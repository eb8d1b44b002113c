<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Region;

/**
 * Weights of a unit and its leaves, kg: glass by its panes with their edge cover, members and infills by volume and the project's
 * densities.
 */
final class Weight
{
    /** @return array{glass: float, infill: float, frame: float, total: float} */
    public static function of(SolvedUnit $unit, UnitRules $rules, ?int $leaf = null): array
    {
        $glass = $infill = $frame = 0.0;
        foreach ($unit->panes as $pane) {
            $glass += $leaf === null || $pane->leaf === $leaf ? $pane->weight() : 0.0;
        }
        foreach ($unit->members as $m) {
            if ($leaf !== null && $m->leaf !== $leaf) {
                continue;
            }
            $volume = $m->section === null ? $m->contour->area() * $m->depth : abs(Region::signedArea($m->section)) * $m->contour->width();
            if ($m->role === Role::Infill || $m->role === Role::Panel) {
                $infill += $volume * 1e-9 * $rules->infillDensity;
            } else {
                $frame += $volume * 1e-9 * $rules->frameDensity;
            }
        }

        return ['glass' => $glass, 'infill' => $infill, 'frame' => $frame, 'total' => $glass + $infill + $frame];
    }
}
