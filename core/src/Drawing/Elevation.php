<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;

/** A frontage seen square on from outside: x is its u, y the level above the datum. */
final class Elevation
{
    /** @param  array<string, Body>  $bodies */
    public static function of(Design $design, array $bodies, Frontage $frontage): Drawing
    {
        $shapes = $placements = [];
        $symbols = new Symbols;
        foreach ($frontage->walls as $wall => $u) {
            $body = $bodies[$wall];
            $shapes[] = Shape::area(Layer::Face, $body->face()->rings)->placed($u, 0.0, 0.0);
            foreach ($design->openingsOf($wall) as $opening) {
                $placed = Places::in($design)->of($opening);
                $placements[] = new Placement($symbols->of($design, $opening), $u + $placed->left, $placed->sill, $opening->id);
            }
        }

        return new Drawing($frontage->name, [0.0, $frontage->foot, $frontage->width, $frontage->head], $shapes, $symbols->all, $placements);
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
        $parts = $marks = [];
        foreach (self::offsets($frontages) as $i => $x) {
            $parts[] = [self::of($design, $bodies, $frontages[$i]), $x];
        }
        $drawing = Drawing::sideBySide($design->settings->name, $parts);
        [$x0, $y0, $x1, $y1] = $drawing->bounds;
        foreach ($design->storeys->all as $storey) {
            $level = $design->storeys->floor($storey->id);
            if ($level >= $y1 - 1 || $design->storeys->ceiling($storey->id) <= $y0 + 1) {
                continue; // no wall of it is here
            }
            $marks[] = Shape::line(Layer::Level, [$x0 - $letters * 6, $level, $x1 + $letters * 2, $level], true);
            $marks[] = Shape::text($x0 - $letters * 10, $level + $storey->height / 2, $letters, $storey->name);
            $marks[] = Shape::text($x0 - $letters * 10, $level, $letters * 0.8, SectionLevels::level($level, $design->settings->units));
        }
        foreach (self::offsets($frontages) as $i => $x) {
            $f = $frontages[$i];
            if ($f->folds) {
                $marks[] = Shape::line(Layer::Fold, [$x, $y0 - $letters * 3, $x, $y1 + $letters * 2.4], true);
            }
            $marks[] = Shape::text($x + $f->width / 2, $y0 - $letters * 2.4, $letters * 1.2, $f->name);
        }

        return new Drawing(
            $drawing->title,
            [$x0 - $letters * 16, $y0 - $letters * 4, $x1 + $letters * 2.4, $y1 + $letters * 3.2],
            [...$drawing->shapes, ...$marks],
            $drawing->symbols,
            $drawing->placements,
        );
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
}
