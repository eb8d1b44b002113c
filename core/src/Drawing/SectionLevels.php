<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units;

/**
 * The levels of a section over the datum: storeys across it, and a chain of floor, sill, head and floor beside each opening that is cut.
 */
final class SectionLevels
{
    /**
     * @param  list<array{PlacedOpening, float, float}>  $openings
     * @param  array{float, float}  $reach  x from and to of what is cut
     * @return list<Shape>
     */
    public static function of(Design $design, array $openings, array $reach, float $letters): array
    {
        [$x0, $x1] = $reach;
        $shapes = [];
        $units = $design->settings->units;
        $storeys = $design->storeys;
        foreach ($storeys->all as $storey) {
            $floor = $storeys->floor($storey->id);
            $shapes[] = Shape::line(Layer::Level, [$x0 - $letters * 16, $floor, $x1 + $letters * 10, $floor], true);
            $shapes[] = Shape::text($x0 - $letters * 20, $floor, $letters, self::level($floor, $units));
            $shapes[] = Shape::text($x0 - $letters * 20, $floor + $letters * 1.5, $letters, $storey->name);
        }
        $last = $storeys->all[count($storeys->all) - 1] ?? null;
        if ($last !== null) {
            $top = $storeys->ceiling($last->id);
            $shapes[] = Shape::line(Layer::Level, [$x0 - $letters * 16, $top, $x0 - $letters * 4, $top], true);
            $shapes[] = Shape::text($x0 - $letters * 20, $top, $letters, self::level($top, $units));
        }
        $middle = ($x0 + $x1) / 2;
        $sides = ['left' => [], 'right' => []];
        foreach ($openings as [$placed, $a, $b]) {
            $sides[($a + $b) / 2 < $middle
                            ? 'left'
                            : 'right'][$placed->opening->storey.'|'.round($placed->sill, 1).'|'.round($placed->head, 1)] = $placed;
        }
        foreach ($sides as $side => $all) {
            $taken = [];
            foreach ($all as $placed) {
                $storey = $placed->opening->storey;
                $column = $taken[$storey] = ($taken[$storey] ?? -1) + 1;
                $x = $side === 'left' ? $x0 - $letters * (4 + 7 * $column) : $x1 + $letters * (4 + 7 * $column);
                array_push($shapes, ...self::chain($x, $storeys->floor($storey), $placed, $storeys->ceiling($storey), $letters, $units));
            }
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private static function chain(float $x, float $floor, PlacedOpening $placed, float $ceiling, float $letters, Units $units): array
    {
        $points = array_values(array_unique([$floor, $placed->sill, $placed->head, $ceiling], SORT_NUMERIC));
        sort($points);
        $shapes = [Shape::line(Layer::Level, [$x, $points[0], $x, $points[count($points) - 1]])];
        $tick = $letters * 0.45;
        foreach ($points as $i => $y) {
            $shapes[] = Shape::line(Layer::Level, [$x - $tick, $y - $tick, $x + $tick, $y + $tick]);
            if ($i > 0 && $y - $points[$i - 1] > $letters * 0.9) {
                $shapes[] = Shape::text(
                    $x - $letters * 1.9,
                    ($y + $points[$i - 1]) / 2,
                    $letters * 0.85,
                    Length::format($y - $points[$i - 1], $units),
                );
            }
        }
        foreach (['sill' => $placed->sill, 'head' => $placed->head] as $what => $level) {
            $shapes[] = Shape::text(
                $x + $letters * 2.2,
                $level + ($what === 'head' ? 0.75 : -0.75) * $letters,
                $letters * 0.75,
                self::level($level, $units),
            );
        }

        return $shapes;
    }

    /** A level with its sign: "+4.200", "±0.000"; in feet and inches "+13' 9\"". */
    public static function level(float $mm, Units $units): string
    {
        $sign = abs($mm) < 0.5 ? '±' : ($mm > 0 ? '+' : '−');

        return $sign.($units === Units::FeetInches ? Length::format(abs($mm), $units) : number_format(abs($mm) / 1000, 3, '.', ''));
    }
}
