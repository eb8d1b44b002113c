<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\Contributors;
use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Length;

/**
 * A frontage seen square on from outside, a curved one unrolled: x is its u, y the level above the datum. Units that stand flat in a curved
 * wall are drawn at their true size in the middle of their opening.
 */
final class Elevation
{
    /** @param  array<string, Body>  $bodies */
    public static function of(Design $design, array $bodies, Frontage $frontage): Drawing
    {
        return self::withHosts($design, $bodies, $frontage)[0];
    }

    /**
     * @param  array<string, Body>  $bodies
     * @return array{Drawing, list<string>} and which wall each shape of it is
     */
    public static function withHosts(Design $design, array $bodies, Frontage $frontage): array
    {
        $shapes = $placements = $hosts = [];
        $symbols = new Symbols;
        foreach ($frontage->walls as $wall => $u) {
            foreach (Contributors::to(Contributor::class) as $contributor) {
                foreach ($contributor->elevation($design, $bodies[$wall], $symbols) as $drawn) {
                    if ($drawn instanceof Placement) {
                        $placements[] = new Placement($drawn->symbol, $u + $drawn->x, $drawn->y, $drawn->element);
                    } else {
                        $shapes[] = $drawn->placed($u, 0.0, 0.0);
                        $hosts[] = $wall;
                    }
                }
            }
        }

        $bounds = [0.0, $frontage->foot, $frontage->width, max($frontage->head, self::roofs($shapes))];

        return [new Drawing($frontage->name, $bounds, $shapes, $symbols->all, $placements), $hosts];
    }

    /**
     * All frontages unfolded side by side, with fold lines, levels and names.
     *
     * @param  array<string, Body>  $bodies
     * @param  list<Frontage>  $frontages
     * @param  float  $letters  height of the texts, mm on the drawing
     */
    public static function developed(Design $design, array $bodies, array $frontages, float $letters = 250.0): Drawing
    {
        $parts = [];
        foreach (self::offsets($frontages) as $i => $x) {
            $parts[] = [self::of($design, $bodies, $frontages[$i]), $x];
        }
        $drawing = Drawing::sideBySide($design->settings->name, $parts);
        [$x0, $y0, $x1, $y1] = $drawing->bounds;
        $marks = self::levels($design, $drawing->bounds, $letters);
        foreach (self::offsets($frontages) as $i => $x) {
            $f = $frontages[$i];
            if ($f->folds) {
                $marks[] = Shape::line(Layer::Fold, [$x, $y0 - $letters * 3, $x, $y1 + $letters * 2.4], true);
            }
            $marks[] = Shape::text($x + $f->width / 2, $y0 - $letters * 2.4, $letters * 1.2, $f->name);
            if ($f->bearings !== null) {
                array_push($marks, ...self::arcLength($design, $x, $f, $y0, $letters));
            }
        }

        return new Drawing(
            $drawing->title,
            [$x0 - $letters * 16, $y0 - $letters * 5, $x1 + $letters * 2.4, $y1 + $letters * 3.2],
            [...$drawing->shapes, ...$marks],
            $drawing->symbols,
            $drawing->placements,
        );
    }

    /**
     * How high roofs over it reach; nothing where there are none.
     *
     * @param  list<Shape>  $shapes
     */
    private static function roofs(array $shapes): float
    {
        $top = -INF;
        foreach ($shapes as $shape) {
            foreach ($shape->layer === Layer::Roof ? $shape->rings : [] as $ring) {
                for ($i = 1, $n = count($ring); $i < $n; $i += 2) {
                    $top = max($top, $ring[$i]);
                }
            }
        }

        return $top;
    }

    /**
     * Floors and storeys' names at the left of an elevation.
     *
     * @param  array{float, float, float, float}  $bounds  of what is drawn
     * @return list<Shape>
     */
    public static function levels(Design $design, array $bounds, float $letters): array
    {
        [$x0, $y0, $x1, $y1] = $bounds;
        $marks = [];
        foreach ($design->storeys->all as $storey) {
            $level = $design->storeys->floor($storey->id);
            if ($level >= $y1 - 1 || $design->storeys->ceiling($storey->id) <= $y0 + 1) {
                continue; // no wall of it is here
            }
            $marks[] = Shape::line(Layer::Level, [$x0 - $letters * 6, $level, $x1 + $letters * 2, $level], true);
            $marks[] = Shape::text($x0 - $letters * 10, $level + $storey->height / 2, $letters, $storey->name);
            $marks[] = Shape::text($x0 - $letters * 10, $level, $letters * 0.8, SectionLevels::level($level, $design->settings->units));
        }

        return $marks;
    }

    /**
     * Where each frontage begins when all are laid side by side; those that do not fold on are set apart.
     *
     * @param  list<Frontage>  $frontages
     * @return array<int, float>
     */
    public static function offsets(array $frontages): array
    {
        $x = 0.0;
        $out = [];
        foreach ($frontages as $i => $frontage) {
            if ($i > 0 && ! $frontage->folds) {
                $x += 2000.0;
            }
            $out[$i] = $x;
            $x += $frontage->width;
        }

        return $out;
    }

    /**
     * The length of an unrolled frontage, with the sign of an arc over its figure (ISO 129-1; from memory).
     *
     * @return list<Shape>
     */
    private static function arcLength(Design $design, float $x, Frontage $frontage, float $foot, float $letters): array
    {
        $said = Length::format($frontage->width, $design->settings->units);
        [$middle, $y] = [$x + $frontage->width / 2, $foot - $letters * 4.2];
        $half = mb_strlen($said) * $letters * 0.3;
        $steep = atan2(1.5, 1.0);

        return [
            Shape::text($middle, $y, $letters, $said),
            // a flat arc as wide as the figure
            Shape::arc(Layer::Reveal, $middle, $y + $letters * 0.8 - $half * 1.5, $half * hypot(1.0, 1.5), $steep, M_PI - 2 * $steep),
        ];
    }
}
