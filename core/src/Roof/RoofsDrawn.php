<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\HostPart;
use Isleward\Core\Drawing\Contributor;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\SectionCut;
use Isleward\Core\Drawing\SeenFace;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\Symbols;
use Isleward\Core\Drawing\View;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Geometry\Vec3;

/** Roofs: what lies over a wall seen square on to it, their lines and falls in plan, themselves where they are cut. */
final class RoofsDrawn implements Contributor
{
    public function elevation(Design $design, Body $body, Symbols $symbols): array
    {
        $shapes = [];
        foreach (Roofs::in($design)->over($body->host->id()) as [$shape, $side]) {
            foreach (self::seenOver($design, $body, $shape, $side) as $rings) {
                $shapes[] = Shape::area(Layer::Roof, $rings);
            }
            array_push($shapes, ...self::lights($design, $shape, $side, self::along($body->surface)));
        }

        return $shapes;
    }

    /** @return \Closure(float, float): float where a place in plan lies along a wall */
    private static function along(Upright $surface): \Closure
    {
        return static fn (float $x, float $y): float => $surface->u(new Vec2($x, $y));
    }

    /**
     * What stands in a face, as it is seen level.
     *
     * @param  callable(float, float): float  $across  where a place in plan lies along what is drawn
     * @return list<Shape>
     */
    private static function lights(Design $design, RoofShape $shape, RoofSide $side, callable $across): array
    {
        $lights = array_filter(
            Rooflights::of($design, $shape), static fn (PlacedRooflight $p): bool => $p->face->side === $side,
        );

        return array_merge(...array_values(array_map(
            static fn (PlacedRooflight $p): array => RooflightsDrawn::seen($p, $across), $lights,
        )));
    }

    /**
     * What of a roof is seen over a wall: what is not hidden by walls that stand up round it, or through it in one plane with that one.
     *
     * @return list<list<list<float>>> areas, ring by ring in (u, level)
     */
    public static function seenOver(Design $design, Body $body, RoofShape $shape, RoofSide $side): array
    {
        $before = FlushBefore::faces($design, $shape->roof, $body);
        if ($shape->roof->within) {
            $before[] = $body->face()->rings[0];
        }

        return self::less(self::areas($shape, $side, self::along($body->surface)), $before);
    }

    /**
     * @param  list<list<list<float>>>  $areas
     * @param  list<list<float>>  $before  rings of what stands before them
     * @return list<list<list<float>>> what of them it does not hide
     */
    private static function less(array $areas, array $before): array
    {
        if ($before === []) {
            return $areas;
        }
        $hidden = Region::empty();
        foreach ($before as $ring) {
            $hidden = $hidden->union(Region::polygon($ring));
        }

        return array_values(array_filter(array_map(static function (array $rings) use ($hidden): array {
            // seen from behind they run the other way round
            $rings = Region::signedArea($rings[0]) < 0.0 ? array_map(Region::reverse(...), $rings) : $rings;

            return Region::fromRings($rings)->difference($hidden)->rings;
        }, $areas), static fn (array $rings): bool => $rings !== []));
    }

    /**
     * What of a roof lies over a wall, as it is seen square on: its edge and its slope, or the edge along a gable.
     *
     * @param  callable(float, float): float  $across  where a place in plan lies along what is drawn
     * @return list<list<list<float>>> areas, ring by ring
     */
    private static function areas(RoofShape $shape, RoofSide $side, callable $across): array
    {
        if ($side->isGone()) {
            return [];
        }
        if (! $side->isCut()) {
            return array_map(static fn (array $ring): array => [$ring], self::rings($shape, $side, $across));
        }
        $up = $shape->roof->upright();
        $edges = [];
        foreach ($shape->roof->cut === EavesCut::Upright ? $side->eaves() : [] as [$a, $b]) {
            [$from, $to, $low] = [$across($a->x, $a->y), $across($b->x, $b->y), $side->levelAt($a->x, $a->y)];
            $edges[] = [[$from, $low, $to, $low, $to, $low + $up, $from, $low + $up]];
        }
        if ($shape->roof->cut !== EavesCut::Upright) {
            // nothing reaches out to its eaves then
            $whole = self::rings($shape, $side, $across);
            $edges = count($whole) > 1 ? [[$whole[0]]] : [];
        }

        return [...$edges, array_map(static function (array $corners) use ($across, $up): array {
            $ring = [];
            foreach ($corners as [$x, $y, $level]) {
                array_push($ring, $across($x, $y), $level + $up);
            }

            return $ring;
        }, $side->rings())];
    }

    /**
     * Of a side that nothing stands through.
     *
     * @param  callable(float, float): float  $across  where a place in plan lies along what is drawn
     * @return list<list<float>>
     */
    private static function rings(RoofShape $shape, RoofSide $side, callable $across): array
    {
        $up = $shape->roof->upright();
        $corners = array_map(static fn (array $c): array => [$across($c[0], $c[1]), $c[2]], $side->corners);
        [[$a, $foot], [$b]] = $corners;
        $over = array_slice($corners, 2);
        $left = array_map(static fn (array $c): array => [$across($c[0], $c[1]), $c[2]], $side->under());
        if ($side->pitch !== null) {
            $slope = [$b, $foot + $up];
            foreach ($over as [$x, $level]) {
                array_push($slope, $x, $level + $up);
            }

            [[$c, $low], [$d]] = $left;
            $edge = $low < $foot + $up - 1.0 ? [[$c, $low, $d, $low, $b, $foot + $up, $a, $foot + $up]] : [];

            return [...$edge, [...$slope, $a, $foot + $up]];
        }
        $under = $edge = [];
        foreach ([$corners[1], ...$over, $corners[0]] as [$x, $level]) {
            array_unshift($edge, $x, $level + $up);
        }
        foreach ([$left[1], ...array_slice($left, 2), $left[0]] as [$x, $level]) {
            array_push($under, $x, $level);
        }

        return [[...$under, ...$edge]];
    }

    public function plan(Design $design, Body $body, string $storey, float $letters): array
    {
        $drawn = [];
        $roofs = Roofs::in($design);
        foreach ($roofs->all() as $roof) {
            $shape = $roof->storey === $storey && $roofs->home($roof) === $body->host->id() ? $roofs->find($roof) : null;
            foreach ($shape->lines ?? [] as [, $p, $q]) {
                $drawn[$roof->id][] = Shape::line(Layer::Roof, [$p[0], $p[1], $q[0], $q[1]], true);
            }
            foreach ($shape?->slopes() ?? [] as $side) {
                array_push($drawn[$roof->id], ...self::fall($side));
            }
            foreach ($shape === null ? [] : Rooflights::of($design, $shape) as $light) {
                $drawn[$roof->id][] = RooflightsDrawn::over($light)->partOf(HostPart::light($light->light->n));
            }
        }

        return $drawn;
    }

    /** @return list<Shape> an arrow the way water runs, from the middle of a face towards its eaves, and its pitch */
    private static function fall(RoofSide $side): array
    {
        [$x, $y] = $side->contour()->firstMoments();
        $area = $side->contour()->area();
        [$x, $y] = [$x / $area, $y / $area];
        if (! $side->isThere($x, $y)) {
            return [];
        }
        $steep = hypot($side->plane[1], $side->plane[2]);
        $way = new Vec2(-$side->plane[1] / $steep, -$side->plane[2] / $steep);
        $long = min(600.0, sqrt($side->planArea()) / 4);
        $tip = new Vec2($x + $way->x * $long, $y + $way->y * $long);
        [$l, $r] = array_map(static fn (float $s): Vec2 => new Vec2(
            $tip->x - $way->x * $long / 4 - $way->y * $s * $long / 8, $tip->y - $way->y * $long / 4 + $way->x * $s * $long / 8,
        ), [1.0, -1.0]);

        return [
            Shape::line(Layer::Roof, [$x - $way->x * $long, $y - $way->y * $long, $tip->x, $tip->y]),
            Shape::line(Layer::Roof, [$l->x, $l->y, $tip->x, $tip->y, $r->x, $r->y]),
        ];
    }

    public function section(SectionCut $cut): array
    {
        $shapes = [];
        $roofs = Roofs::in($cut->design);
        foreach ($roofs->all() as $roof) {
            $shape = $cut->isFirstOf($roofs->wallsOf($roof)) ? $roofs->find($roof) : null;
            $whole = Region::empty();
            foreach ($shape?->slopes() ?? [] as $side) {
                foreach (self::spans($cut->view, $side) as [[$s0, $z0], [$s1, $z1]]) {
                    $up = $roof->upright();
                    $ring = self::atEaves($cut->view, $roof, $side, [$s0, $z0, $s1, $z1, $s1, $z1 + $up, $s0, $z0 + $up]);
                    $whole = $ring === [] ? $whole : $whole->union(Region::polygon($ring));
                }
            }
            $units = [];
            foreach ($whole->isEmpty() || $shape === null ? [] : Rooflights::of($cut->design, $shape) as $light) {
                $hole = RooflightsDrawn::hole($cut->view, $light);
                $whole = $hole === [] ? $whole : $whole->difference(Region::polygon($hole));
                array_push($units, ...($hole === [] ? [] : RooflightsDrawn::section($cut->view, $light)));
            }
            array_push($shapes, ...($whole->isEmpty() ? [] : [Shape::area(Layer::Cut, $whole->rings), ...$units]));
        }

        return $shapes;
    }

    /**
     * What of a cut through a face is left where its eaves are cut otherwise than upright.
     *
     * @param  list<float>  $ring
     * @return list<float>
     */
    private static function atEaves(View $view, Roof $roof, RoofSide $side, array $ring): array
    {
        $axes = (new RoofFace($side, $roof->upright()))->axes;

        return $roof->within ? $ring : match ($roof->cut) {
            EavesCut::Upright => $ring,
            EavesCut::Square => Clip::ring($ring, static function (float $s, float $z) use ($view, $axes): float {
                $at = $view->at($s);

                return $axes->place(new Vec3($at->x, $at->y, $z))->y;
            }),
            EavesCut::Level => Clip::ring($ring, static fn (float $s, float $z): float => $z - $axes->origin->z),
        };
    }

    /** @return list<array{array{float, float}, array{float, float}}> where a line runs under a face: place along it and level */
    private static function spans(View $view, RoofSide $side): array
    {
        $at = [];
        foreach ($side->rings() as $corners) {
            $n = count($corners);
            foreach ($corners as $i => [$x, $y, $level]) {
                [$bx, $by, $high] = $corners[($i + 1) % $n];
                [$a, $b] = [new Vec2($x, $y), new Vec2($bx, $by)];
                [$da, $db] = [$view->away($a), $view->away($b)];
                if ($da > 0 !== $db > 0) {
                    $share = $da / ($da - $db);
                    $at[] = [$view->s($a->plus($b->minus($a)->times($share))), $level + ($high - $level) * $share];
                }
            }
        }
        sort($at);
        $spans = [];
        for ($i = 1, $n = count($at); $i < $n; $i += 2) {
            [[$s0, $z0], [$s1, $z1]] = [$at[$i - 1], $at[$i]];
            // no farther than the line runs
            [$from, $to] = [max($s0, 0.0), min($s1, $view->length)];
            if ($to - $from > 1e-6) {
                $rise = ($z1 - $z0) / ($s1 - $s0);
                $spans[] = [[$from, $z0 + ($from - $s0) * $rise], [$to, $z0 + ($to - $s0) * $rise]];
            }
        }

        return $spans;
    }

    public function seen(SeenFace $face): array
    {
        $shapes = [];
        foreach ($face->depth > 0.0 ? [] : Roofs::in($face->design)->over($face->body->host->id()) as [$shape, $side]) {
            $across = static fn (float $x, float $y): float => $face->view->s(new Vec2($x, $y));
            $before = array_map($face->ofFace(...), FlushBefore::faces($face->design, $shape->roof, $face->body));
            if ($shape->roof->within) {
                $before[] = $face->ring();
            }
            foreach (self::less(self::areas($shape, $side, $across), $before) as $rings) {
                $shapes[] = Shape::area($face->afar ? Layer::Beyond : Layer::Roof, $rings);
            }
            foreach (self::lights($face->design, $shape, $side, $across) as $drawn) {
                $shapes[] = $face->afar && $drawn->layer !== Layer::Glass ? $drawn->on(Layer::Beyond) : $drawn;
            }
        }

        return $shapes;
    }
}
