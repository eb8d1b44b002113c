<?php

declare(strict_types=1);

namespace Isleward\Core\Bench;

use Isleward\Core\Unit\FreeOpening;
use Isleward\Core\Unit\SolvedLight;
use Isleward\Core\Unit\SolvedUnit;
use Isleward\Core\Unit\UnitRules;
use Isleward\Core\Unit\Weight;

/** A unit's figures: areas in mm², lengths in mm, weights in kg, shares 0 to 1. */
final class Figures
{
    /**
     * @return array{area: float, glass: float, frameShare: float, weight: array{glass: float, infill: float, frame: float, total: float},
     *    free: float, clear: array{width: float, height: float}, louvre: float}
     */
    public static function of(SolvedUnit $unit, UnitRules $rules): array
    {
        $free = $louvre = 0.0;
        $widest = ['width' => 0.0, 'height' => 0.0];
        foreach ($unit->lights as $light) {
            if ($light->louvre !== null) {
                $louvre += $light->louvre['free'];

                continue;
            }
            $one = FreeOpening::of($light, 1.0);
            $free += $one->area;
            if ($one->width * $one->height > $widest['width'] * $widest['height']) {
                $widest = ['width' => $one->width, 'height' => $one->height];
            }
        }

        return [
            'area' => $unit->outline->area(),
            'glass' => $unit->glassArea(),
            'frameShare' => $unit->frameShare(),
            'weight' => Weight::of($unit, $rules),
            'free' => $free,
            'clear' => $widest,
            'louvre' => $louvre,
        ];
    }

    /** @return array<string, mixed> of one light, its leaves as far open as $ajar says (null: as far as the type shows them, or wholly) */
    public static function light(SolvedUnit $unit, SolvedLight $light, UnitRules $rules, ?float $ajar): array
    {
        [$x0, $y0, $x1, $y1] = $light->contour->bounds();
        $share = $ajar ?? $light->light->ajar;
        $free = FreeOpening::of($light, $share > 0 ? $share : 1.0);
        $leaves = [];
        foreach ($light->leaves as $leaf) {
            $leaves[] = [
                'width' => $leaf->contour->width(),
                'height' => $leaf->contour->height(),
                'weight' => Weight::of($unit, $rules, $leaf->index)['total'],
            ];
        }

        return [
            'path' => $light->path, 'operation' => $light->light->operation->value,
            'label' => $light->light->glazing->solid
                            && $light->leaves === []
                            && $light->louvre === null ? 'solid infill' : $light->light->operation->label(),
            'ring' => $light->contour->ring(1.0), 'box' => [$x0, $y0, $x1, $y1], 'area' => $light->contour->area(),
            'values' => $light->light->toArray(), 'leaves' => $leaves,
            'free' => ['width' => $free->width, 'height' => $free->height, 'area' => $free->area, 'air' => $free->air],
            'louvre' => $light->louvre,
        ];
    }
}
