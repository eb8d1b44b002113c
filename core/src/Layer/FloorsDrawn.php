<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\End;
use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Contributor;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\SectionCut;
use Isleward\Core\Drawing\SeenFace;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\Symbols;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;

/** Floor bands: their edges before walls, their outlines in plan, their sections where they are cut. */
final class FloorsDrawn implements Contributor
{
    private const SAGITTA = 0.5;

    public function elevation(Design $design, Body $body, Symbols $symbols): array
    {
        $shapes = [];
        foreach (FloorBands::in($design)->before($body->host->id()) as [$row, $i]) {
            if ($row->band->inner) {
                continue; // its walls stand before it
            }
            [$x0, $y0, $x1, $y1] = self::box($body->surface, $row, $i);
            $shapes[] = Shape::area(Layer::Floor, [[$x0, $y0, $x1, $y0, $x1, $y1, $x0, $y1]]);
            foreach (self::arrises($row) as $level) {
                $shapes[] = Shape::line(Layer::Floor, [$x0, $level, $x1, $level]);
            }
        }

        return $shapes;
    }

    /** @return array{float, float, float, float} a stretch of it as it is seen square on to a wall: u, level, u, level */
    public static function box(Upright $surface, FloorRow $row, int $i): array
    {
        $curve = $row->edge[$i];
        $u = [$surface->u($curve->start()), $surface->u($curve->end())];

        return [min($u), $row->foot(), max($u), $row->top];
    }

    /** @return list<float> levels of the edges along it that are seen from outside, but its top and its foot */
    public static function arrises(FloorRow $row): array
    {
        $band = $row->band;

        return match ($band->edge) {
            FloorEdge::Chamfered => [$row->top - $band->edgeSize, $row->foot() + $band->edgeSize],
            FloorEdge::Drawn => array_map(
                static fn (array $p): float => $row->top - $p[1] * $band->height,
                array_slice($band->profile, 1, -1),
            ),
            default => [],
        };
    }

    public function plan(Design $design, Body $body, string $storey, float $letters): array
    {
        [$floor, $ceiling] = [$design->storeys->floor($storey), $design->storeys->ceiling($storey)];
        $drawn = [];
        foreach (FloorBands::in($design)->before($body->host->id()) as [$row, $i]) {
            // the one at this floor, and the one over it as it is seen looking up
            $here = $row->top > $floor - $row->band->height - 1 && $row->top < $ceiling - 1;
            if (! $here) {
                continue;
            }
            $inner = $row->band->depth === null ? [] : [$row->line->offset($row->out - $row->band->depth)[$i]];
            foreach ($row->band->inner ? [] : [$row->edge[$i], ...$inner] as $curve) {
                $drawn[$row->band->id][] = Shape::line(Layer::Floor, [$curve->x0, $curve->y0, ...$curve->chords(self::SAGITTA)]);
            }
            foreach ($i === 0 ? $row->band->holes : [] as $hole) {
                $drawn[$row->band->id] = [...$drawn[$row->band->id] ?? [], ...self::hole($hole)];
            }
        }

        return $drawn;
    }

    /** @return list<Shape> an opening in a slab: its outline, and where it has four corners what crosses it */
    private static function hole(OwnLine $hole): array
    {
        $shapes = [];
        foreach ($hole->curves() as $curve) {
            $shapes[] = Shape::line(Layer::Floor, [$curve->x0, $curve->y0, ...$curve->chords(self::SAGITTA)]);
        }
        foreach (count($hole->points) === 4 ? [[0, 2], [1, 3]] : [] as [$a, $b]) {
            [[$ax, $ay], [$bx, $by]] = [$hole->points[$a], $hole->points[$b]];
            $shapes[] = Shape::line(Layer::Floor, [$ax, $ay, $bx, $by], true);
        }

        return $shapes;
    }

    public function section(SectionCut $cut): array
    {
        $shapes = self::slabs($cut);
        $near = $cut->view->at(($cut->s0 + $cut->s1) / 2);
        foreach (FloorBands::in($cut->design)->before($cut->body->host->id()) as [$row, $i]) {
            $band = $row->band;
            if ($band->depth === null && $band->edge === FloorEdge::Square) {
                continue; // it is all of the slab
            }
            $depth = $band->depth ?? $band->edgeDepth();
            $ring = $band->section($depth)->ring(self::SAGITTA);
            $points = [];
            for ($k = 0, $n = count($ring); $k < $n; $k += 2) {
                $at = self::crossing($row->line->offset($row->out - $ring[$k])[$i], $cut->view->line(), $near);
                if ($at === null) {
                    continue 2;
                }
                array_push($points, $cut->view->s($at), $row->top + $ring[$k + 1]);
            }
            $shapes[] = Shape::area(Layer::Cut, [$points]);
        }

        return $shapes;
    }

    /**
     * Whole slabs where they are cut, each with the first wall that the line runs through: behind their edges, but for their openings.
     *
     * @return list<Shape>
     */
    private static function slabs(SectionCut $cut): array
    {
        $shapes = [];
        $bands = FloorBands::in($cut->design);
        foreach ($bands->all() as $band) {
            $walls = $band->outline === null ? array_keys($cut->design->walls) : $bands->wallsOf($band);
            foreach ($band->depth === null && $cut->isFirstOf($walls) ? $bands->find($band) : [] as $row) {
                $edge = $band->edge === FloorEdge::Square ? 0.0 : $band->edgeDepth();
                foreach ($cut->view->spans($row->line->offset($row->out - $edge), array_map(
                    static fn (OwnLine $h): array => $h->curves(), $band->holes,
                )) as [$s0, $s1]) {
                    $shapes[] = Shape::area(Layer::Cut, [[$s0, $row->foot(), $s1, $row->foot(), $s1, $row->top, $s0, $row->top]]);
                }
            }
        }

        return $shapes;
    }

    /** Where the line cuts a stretch; null where it does not pass through it. */
    private static function crossing(Curve $curve, Curve $line, Vec2 $near): ?Vec2
    {
        $at = $curve->isCurved() ? End::crossing($curve, $line, $near) : $curve->meetsLine($line);
        if ($at === null) {
            return null;
        }
        $share = $curve->shareOf($at->x, $at->y);

        return $share < -1e-6 || $share > 1 + 1e-6 ? null : $at;
    }

    public function seen(SeenFace $face): array
    {
        if ($face->depth > 0.0) {
            return [];
        }
        $shapes = [];
        foreach (FloorBands::in($face->design)->before($face->body->host->id()) as [$row, $i]) {
            [$u0, , $u1] = self::box($face->body->surface, $row, $i);
            if ($row->band->inner || $u1 < $face->from || $u0 > $face->to) {
                continue;
            }
            [$a, $b] = [$face->view->s($row->edge[$i]->start()), $face->view->s($row->edge[$i]->end())];
            $shapes[] = Shape::area(
                $face->afar ? Layer::Beyond : Layer::Floor,
                [[$a, $row->foot(), $b, $row->foot(), $b, $row->top, $a, $row->top]],
            );
        }

        return $shapes;
    }
}
