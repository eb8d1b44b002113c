<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Contributor;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\SectionCut;
use Isleward\Core\Drawing\SeenFace;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\Symbols;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;

/** Fins and tubes before walls: seen square on each before its place, cut in plan and section where they are. */
final class BandsDrawn implements Contributor
{
    /** A plan cuts so far over its floor, mm (common practice). */
    private const CUT = 1200.0;

    public function elevation(Design $design, Body $body, Symbols $symbols): array
    {
        $shapes = [];
        foreach (Bands::in($design)->before($body->host->id()) as [$fins, $pieces]) {
            foreach ($pieces as $i) {
                $shapes[] = Shape::area(Layer::Fin, [self::seenBefore($body->surface, $fins, $i)]);
            }
        }

        return $shapes;
    }

    /** @return list<float> the outline of a piece as it is seen square on to a wall, in its (u, v) */
    public static function seenBefore(Upright $surface, Fins $fins, int $i): array
    {
        $box = self::boxBefore($surface, $fins, $i);
        if ($box !== null) {
            [$x0, $y0, $x1, $y1] = $box;

            return [$x0, $y0, $x1, $y0, $x1, $y1, $x0, $y1];
        }
        $u = $surface->u(new Vec2($fins->x[$i], $fins->y[$i]));
        $askew = $fins->angle[$i] - $surface->angle($u);
        [$c, $s] = [cos($askew), sin($askew)];

        return Hull::of(array_map(
            static fn (array $p): array => [$u + $p[0] * $c + $p[2] * $s, $fins->foot + $p[1]],
            Posed::of($fins, $i)->corners(),
        ));
    }

    /**
     * A piece that is seen as a rectangle: what is upright, turned as it may be.
     *
     * @param  float|null  $runs  the angle of a flat surface, where many are asked for
     * @return array{float, float, float, float}|null u, level, u, level; null where it is none
     */
    public static function boxBefore(Upright $surface, Fins $fins, int $i, ?float $runs = null): ?array
    {
        if ($fins->band->stand !== Stand::Standing || $fins->lean[$i] !== 0.0) {
            return null;
        }
        $u = $surface->u(new Vec2($fins->x[$i], $fins->y[$i]));
        // in a corner it does not stand square to the wall
        $askew = $fins->angle[$i] - ($runs ?? $surface->angle($u));
        if ($fins->band->shape === SectionShape::Flat) {
            // most are flat: of those no more is worked out than how wide they are seen
            $turned = deg2rad($fins->turn[$i]) + $askew;
            $middle = $u + sin($askew) * $fins->reach[$i] / 2;
            $half = (abs(cos($turned)) * $fins->thickness[$i] + abs(sin($turned)) * $fins->reach[$i]) / 2;

            return [$middle - $half, $fins->foot, $middle + $half, $fins->foot + $fins->length[$i]];
        }
        [$x0, $x1] = Posed::of($fins, $i)->over(cos($askew), 0.0, sin($askew));

        return [$u + $x0, $fins->foot, $u + $x1, $fins->foot + $fins->length[$i]];
    }

    public function plan(Design $design, Body $body, string $storey, float $letters): array
    {
        [$floor, $ceiling] = [$design->storeys->floor($storey), $design->storeys->ceiling($storey)];
        $drawn = [];
        foreach (Bands::in($design)->before($body->host->id()) as [$fins, $pieces]) {
            foreach ($pieces as $i) {
                $posed = Posed::of($fins, $i);
                [$low, $high] = array_map(static fn (float $y): float => $fins->foot + $y, $posed->bounds()[1]);
                if ($high <= $floor + 1 || $low >= $ceiling - 1) {
                    continue;
                }
                $corners = self::inPlan($fins, $i, $posed);
                $cut = $floor + self::CUT;
                $ring = $low < $cut && $high > $cut ? Hull::cut(
                    $corners, static fn (array $p): float => $p[2] - $cut, static fn (array $p): array => [$p[0], $p[1]],
                ) : Hull::of(array_map(static fn (array $p): array => [$p[0], $p[1]], $corners));
                if ($ring !== []) {
                    // what lies over the cut is dashed, as it is seen looking up
                    $drawn[$fins->band->id][] = $low >= $cut
                        ? Shape::line(Layer::Fin, [...$ring, $ring[0], $ring[1]], true)
                        : Shape::area(Layer::Fin, [$ring]);
                }
            }
        }

        return $drawn;
    }

    public function section(SectionCut $cut): array
    {
        $shapes = [];
        foreach (Bands::in($cut->design)->before($cut->body->host->id()) as [$fins, $pieces]) {
            foreach ($pieces as $i) {
                $reach = $fins->thickness[$i] + $fins->reach[$i] + $fins->length[$i];
                if (abs($cut->view->away(new Vec2($fins->x[$i], $fins->y[$i]))) > $reach) {
                    continue;
                }
                $ring = Hull::cut(
                    self::inPlan($fins, $i, Posed::of($fins, $i)),
                    static fn (array $p): float => $cut->view->away(new Vec2($p[0], $p[1])),
                    static fn (array $p): array => [$cut->view->s(new Vec2($p[0], $p[1])), $p[2]],
                );
                if ($ring !== []) {
                    $shapes[] = Shape::area(Layer::Cut, [$ring]);
                }
            }
        }

        return $shapes;
    }

    public function seen(SeenFace $face): array
    {
        if ($face->depth > 0.0) {
            return []; // from inside the wall stands before them
        }
        $shapes = [];
        foreach (Bands::in($face->design)->before($face->body->host->id()) as [$fins, $pieces]) {
            foreach ($pieces as $i) {
                $u = $face->body->surface->u(new Vec2($fins->x[$i], $fins->y[$i]));
                if ($u < $face->from - 1 || $u > $face->to + 1) {
                    continue;
                }
                $ring = Hull::of(array_map(
                    static fn (array $p): array => [$face->view->s(new Vec2($p[0], $p[1])), $p[2]],
                    self::inPlan($fins, $i, Posed::of($fins, $i)),
                ));
                if ($ring !== []) {
                    $shapes[] = Shape::area($face->afar ? Layer::Beyond : Layer::Fin, [$ring]);
                }
            }
        }

        return $shapes;
    }

    /** @return list<float> a piece as it is seen from above: x east, y north, x, y … */
    public static function footprint(Fins $fins, int $i, Posed $posed): array
    {
        return Hull::of(array_map(static fn (array $p): array => [$p[0], $p[1]], self::inPlan($fins, $i, $posed)));
    }

    /** @return list<array{float, float, float}> its corners: x east, y north, z up */
    private static function inPlan(Fins $fins, int $i, Posed $posed): array
    {
        [$c, $s] = [cos($fins->angle[$i]), sin($fins->angle[$i])];
        [$x, $y, $foot] = [$fins->x[$i], $fins->y[$i], $fins->foot];

        return array_map(
            static fn (array $p): array => [$x + $p[0] * $c + $p[2] * $s, $y + $p[0] * $s - $p[2] * $c, $foot + $p[1]],
            $posed->corners(),
        );
    }
}
