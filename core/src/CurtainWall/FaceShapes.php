<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\UnitElevation;
use Isleward\Core\Geometry\Contour;

/** A stretch of curtain wall drawn square on: what is alike in one shape, so that thousands of cells are a few marks. */
final class FaceShapes
{
    /** Lines of louvres lie so far apart, and no more of them stand in a cell than {@see MOST}, mm. */
    private const BLADES = 120.0;

    private const MOST = 24;

    /**
     * @param  bool  $fromOutside  else it is seen from its inside, and its left lies right
     * @return list<Shape> x along its foot from its left end, y over its foot: of a leaning one the upright height
     */
    public static function of(Design $design, Drawn $drawn, float $upright = 1.0, bool $fromOutside = true): array
    {
        $width = $drawn->face->width();
        $place = static fn (Shape $shape): Shape => $upright === 1.0 && $fromOutside ? $shape : $shape->mapped(
            static fn (float $x, float $y): array => [$fromOutside ? $x : $width - $x, $y * $upright],
        );
        $by = $lines = $units = [];
        foreach ($drawn->cells as [$cell, $seen]) {
            $infill = $cell->infill;
            $layer = self::layer($infill->kind);
            if ($infill->kind->isUnit()) {
                array_push($units, ...self::unit($design, $cell, $seen, $fromOutside));
            } elseif ($layer !== null) {
                foreach (self::rings($cell, $seen) as $ring) {
                    $by[$layer->value][] = $ring;
                }
            }
            if ($infill->kind === InfillKind::Louvre) {
                array_push($lines, ...self::blades($seen));
            }
        }
        $shapes = [Shape::area(Layer::Void, [$drawn->face->ring()])];
        foreach ([Layer::Glass, Layer::Spandrel, Layer::Infill] as $layer) {
            if (isset($by[$layer->value])) {
                $shapes[] = Shape::area($layer, $by[$layer->value]);
            }
        }
        array_push($shapes, ...$lines);
        $members = array_map(static fn (array $m): array => $m[1]->ring(), $drawn->members);
        foreach ([...$drawn->corners, ...$drawn->free] as [, $contour]) {
            $members[] = $contour->ring();
        }
        if ($members !== []) {
            $shapes[] = Shape::area(Layer::Member, $members);
        }

        return [
            ...array_map($place, $shapes),
            // what has curves is not put elsewhere point by point: a unit stands upright in its cell as it is
            ...array_map(static fn (Shape $s): Shape => $upright === 1.0 && $fromOutside || $s->kind === 'text'
                ? $s
                : $place($s->straight(0.5)), $units),
        ];
    }

    private static function layer(InfillKind $kind): ?Layer
    {
        return match ($kind) {
            InfillKind::Vision => Layer::Glass,
            InfillKind::Spandrel => Layer::Spandrel,
            InfillKind::Solid, InfillKind::Louvre => Layer::Infill,
            default => null,
        };
    }

    /** @return list<list<float>> */
    private static function rings(GridCell $cell, Contour $seen): array
    {
        return [$seen->ring(), ...($seen === $cell->contour()
            ? array_map(static fn (Contour $hole): array => $hole->ring(), $cell->daylight->holes)
            : [])];
    }

    /** @return list<Shape> */
    private static function blades(Contour $seen): array
    {
        [, $y0, , $y1] = $seen->bounds();
        $count = min(self::MOST, (int) floor(($y1 - $y0) / self::BLADES));
        $out = [];
        for ($i = 1; $i <= $count; $i++) {
            $y = $y0 + ($y1 - $y0) * $i / ($count + 1);
            foreach ($seen->spans(false, $y) as [$from, $to]) {
                $out[] = Shape::line(Layer::Reveal, [$from, $y, $to, $y]);
            }
        }

        return $out;
    }

    /** @return list<Shape> */
    private static function unit(Design $design, GridCell $cell, Contour $seen, bool $fromOutside): array
    {
        $type = $design->types[$cell->infill->type ?? ''] ?? null;
        [$x0, $y0] = $seen->bounds();
        if ($type === null || $seen !== $cell->contour()) {
            return [];
        }
        $unit = CellUnit::in($cell, $type->tree())->unit;

        return array_map(static fn (Shape $s): Shape => $s->placed($x0, $y0, 0.0), UnitElevation::shapes($unit, $fromOutside));
    }
}
