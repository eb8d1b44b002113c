<?php

declare(strict_types=1);

namespace Isleward\Core\Bench;

use Isleward\Core\Design\Settings;
use Isleward\Core\Drawing\Drawing;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\UnitElevation;
use Isleward\Core\Drawing\UnitPlan;
use Isleward\Core\Drawing\UnitSection;
use Isleward\Core\Measure\Length;
use Isleward\Core\Unit\Axis;
use Isleward\Core\Unit\SolvedUnit;
use Isleward\Core\Unit\TakeOff;
use Isleward\Core\Unit\UnitChecks;

/** All that the bench shows of a unit. */
final class View
{
    /**
     * @param  float|null  $ajar  how far the lights of plan and section stand open; null as the type shows them
     * @param  string|null  $path  of the light that plan and section are cut through; null for the largest one
     * @param  bool  $fromInside  the elevation is seen from inside
     * @return array<string, mixed>
     */
    public static function of(Draft $draft, Settings $settings, ?float $ajar = null, ?string $path = null, bool $fromInside = false): array
    {
        $unit = $draft->solved();
        $rules = $settings->unitRules;
        $seen = $fromInside ? $unit->mirrored() : $unit;
        [$cutX, $cutY] = self::cuts($unit, $path);
        $doubts = [...UnitChecks::of($unit, $rules), ...UnitChecks::rain($unit, true)];

        return [
            'width' => $draft->width, 'height' => $draft->height, 'tree' => $unit->tree->toArray(),
            'elevation' => Drawing::plain([Shape::contour(Layer::Void, $seen->outline), ...UnitElevation::shapes($seen, ! $fromInside)]),
            'plan' => Drawing::plain(UnitPlan::shapes($unit, 0.0, true, $ajar, $cutY)),
            'section' => Drawing::plain(UnitSection::shapes($unit, $cutX, 0.0, $ajar)),
            'cuts' => ['x' => $cutX, 'y' => $cutY],
            'depth' => $unit->depth(),
            'dimensions' => Dimensions::of($unit),
            'lights' => array_map(static fn ($l): array => Figures::light($unit, $l, $rules, $ajar), $unit->lights),
            'dividers' => self::dividers($unit),
            'figures' => Figures::of($unit, $rules),
            'doubts' => array_map(static fn (array $d): array => ['what' => Length::said($d['what'], $settings->units)] + $d, $doubts),
            'members' => TakeOff::members($unit), 'panes' => TakeOff::panes($unit), 'hardware' => (object) TakeOff::hardware($unit),
        ];
    }

    /** @return array{float, float} through the middle of a light */
    public static function cuts(SolvedUnit $unit, ?string $path): array
    {
        $best = $unit->lights[0] ?? throw new \LogicException('A unit has a light.');
        foreach ($unit->lights as $light) {
            if ($light->path === $path) {
                $best = $light;
                break;
            }
            if ($path === null && $light->contour->area() > $best->contour->area() + 1) {
                $best = $light;
            }
        }
        [$x0, $y0, $x1, $y1] = $best->contour->bounds();

        // off the middle, where the bars of an even number stand
        return [$x0 + ($x1 - $x0) * 0.48, $y0 + ($y1 - $y0) * 0.48];
    }

    /** @return list<array<string, mixed>> dividers that can be dragged: their division, their place, and how far they may go */
    private static function dividers(SolvedUnit $unit): array
    {
        $out = [];
        foreach ($unit->divisions as $d) {
            for ($i = 0, $n = count($d->parts) - 1; $i < $n; $i++) {
                [$a, $b] = [$d->parts[$i], $d->parts[$i + 1]];
                $out[] = [
                    'path' => $d->path, 'index' => $i, 'axis' => $d->axis === Axis::Columns ? 'x' : 'y',
                    'at' => ($a['to'] + $b['from']) / 2, 'face' => $d->face,
                    'from' => $d->axis === Axis::Columns ? $d->box[1] : $d->box[0],
                    'to' => $d->axis === Axis::Columns ? $d->box[3] : $d->box[2],
                    'least' => $a['from'] + $d->face / 2 + 1, 'most' => $b['to'] - $d->face / 2 - 1];
            }
        }

        return $out;
    }
}
