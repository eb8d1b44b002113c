<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Building\Solved;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Unit\Opens;
use Isleward\Core\Unit\Operation;
use Isleward\Core\Unit\SolvedUnit;

/** Where the rooflights of a roof stand. */
final class Rooflights
{
    /** What lies past an edge by no more than this is on it: mm². */
    private const NOTHING = 0.5;

    /** Past an edge it is by this at the least, mm. */
    private const LEAST = 0.1;

    /**
     * Every one that stands somewhere, row after row.
     *
     * @return list<PlacedRooflight>
     */
    public static function of(Design $design, RoofShape $shape): array
    {
        $out = [];
        foreach ($shape->roof->lights as $light) {
            try {
                array_push($out, ...self::row($design, $shape, $light));
            } catch (Refusal) {
                // a finding tells why
            }
        }

        return $out;
    }

    /**
     * One row.
     *
     * @return list<PlacedRooflight> one at least
     *
     * @throws Refusal when it has no face or no unit to stand in
     */
    public static function row(Design $design, RoofShape $shape, Rooflight $light): array
    {
        $faces = self::over($design, $shape, $light);
        $face = $faces[0];
        $type = $design->type($light->type);
        try {
            $unit = Solved::of($type, $light->width, $light->height);
        } catch (Refusal $why) {
            throw Refusal::because('rooflight.unit', sprintf('%s: %s', self::called($light), $why->getMessage()), [$shape->roof->id],
                ['field' => 'width']);
        }
        $u = match ($light->from) {
            'left' => $light->along,
            'right' => $face->width() - $light->along - $light->across(),
            default => $face->width() / 2 + $light->along - $light->across() / 2,
        };
        $rise = $light->level ? $light->rise / cos((float) $face->side->pitch) : $light->rise;
        $v = match ($light->up) {
            'eaves' => $rise,
            'ridge' => $face->height() - $rise - $light->height,
            default => ($face->height() - $light->height) / 2 + $rise,
        };
        $sides = array_map(static fn (RoofFace $f): array => [$f->region(), $f->region(true)], $faces);
        $row = [];
        for ($i = 0; $i < $light->count; $i++) {
            $at = $u + $i * ($light->width + $light->gap);
            // of several stretches over its wall in that which holds it, or comes nearest to that
            $off = array_map(static fn (array $both): float => max(array_map(
                static fn (Region $side): float => self::past($side, $unit->outline->shifted($at, $v)), $both,
            )), $sides);
            $best = (int) array_search(min($off), $off, true);
            $row[] = new PlacedRooflight($light, $i, $faces[$best], $at, $v, $type, $unit, $off[$best]);
        }

        return $row;
    }

    /**
     * The faces of a roof with what stands in them cut out: of what overlaps the first, and nothing that lies past an edge, which findings
     * tell.
     *
     * @param  list<PlacedRooflight>  $placed
     * @return list<RoofFace>
     */
    public static function faces(RoofShape $shape, array $placed): array
    {
        $faces = [];
        foreach ($shape->slopes() as $side) {
            $cut = [];
            foreach ($placed as $one) {
                $there = array_filter($cut, static fn (PlacedRooflight $p): bool => $p->overlaps($one));
                if ($one->face->side === $side && $one->off === 0.0 && $there === []) {
                    $cut[] = $one;
                }
            }
            $holes = array_map(static fn (PlacedRooflight $p): Contour => $p->contour(), $cut);
            $faces[] = $shape->face($side)->pierced($holes);
        }

        return $faces;
    }

    /** What a roof does not take: doors, what slides, and hung lights that open inward. Null where it takes the unit. */
    public static function against(SolvedUnit $unit, string $mark): ?string
    {
        foreach ($unit->lights as $solved) {
            $light = $solved->light;
            if ($light->operation->isDoor()) {
                return sprintf('%s has a door: a roof holds lights alone.', $mark);
            }
            if ($light->operation->slides() || $light->operation === Operation::VerticalSliding) {
                return sprintf('%s slides: in a roof lights are fixed, pivoted or hung to open outward.', $mark);
            }
            if ($light->operation->isOneWay() && $light->opens === Opens::Inward) {
                return sprintf('%s has a light that opens inward: in a roof hung lights open outward.', $mark);
            }
        }

        return null;
    }

    public static function called(Rooflight $light): string
    {
        return sprintf('Rooflight %d', $light->n);
    }

    /** @return non-empty-list<RoofFace> those over its wall, in one plane */
    private static function over(Design $design, RoofShape $shape, Rooflight $light): array
    {
        $sides = array_values(array_filter(
            $shape->over($light->wall), static fn (RoofSide $s): bool => $s->pitch !== null && ! $s->isGone(),
        ));
        $wall = $design->walls[$light->wall] ?? null;
        if ($wall?->isCurved() === true) {
            throw Refusal::because('rooflight.curved', sprintf(
                '%s: over a curved wall %s lies in narrow facets; rooflights stand in flat faces.',
                self::called($light), $shape->roof->name,
            ), [$shape->roof->id], ['field' => 'wall']);
        }
        if ($sides === []) {
            throw Refusal::because('rooflight.no_face', sprintf(
                '%s: %s has no slope over that wall for it to stand in.', self::called($light), $shape->roof->name,
            ), [$shape->roof->id], ['field' => 'wall']);
        }

        return array_map($shape->face(...), $sides);
    }

    /**
     * Whether a ring goes round a point: as often as not where that lies on it.
     *
     * @param  list<float>  $ring
     */
    public static function isWithin(array $ring, float $x, float $y): bool
    {
        $within = false;
        for ($i = 0, $n = count($ring), $j = $n - 2; $i < $n; $j = $i, $i += 2) {
            [$ax, $ay, $bx, $by] = [$ring[$j], $ring[$j + 1], $ring[$i], $ring[$i + 1]];
            if (($ay > $y) !== ($by > $y) && $x < $ax + ($bx - $ax) * ($y - $ay) / ($by - $ay)) {
                $within = ! $within;
            }
        }

        return $within;
    }

    /** How far a contour lies past a region, mm. */
    private static function past(Region $face, Contour $contour): float
    {
        $ring = $contour->ring();
        if (Region::polygon($ring)->difference($face)->area() < self::NOTHING) {
            return 0.0;
        }
        $edges = Contour::polygon($face->rings[0])->edges();
        $worst = self::LEAST;
        for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
            if (! self::isWithin($face->rings[0], $ring[$i], $ring[$i + 1])) {
                $at = new Vec2($ring[$i], $ring[$i + 1]);
                $worst = max($worst, min(array_map(static fn (Curve $e): float => $e->pointAt(max(0.0, min(
                    $e->length(), $at->minus($e->start())->dot($e->end()->minus($e->start())) / $e->length(),
                )))->distanceTo($at), $edges)));
            }
        }

        return $worst;
    }
}
