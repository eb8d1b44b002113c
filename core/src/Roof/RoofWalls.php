<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Building\Planes;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\ArcFigures;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Refusal;

/**
 * The walls that a roof lies over, as it runs round them: of one outline, or of several that touch or overlap, round all of them together.
 *
 * @phpstan-type Side array{string, Vec2, Vec2, float|null, float, float}
 */
final class RoofWalls
{
    /** Outlines that lie no farther apart touch, mm. */
    private const APART = 0.1;

    /**
     * @return list<Side> wall, outer face from and to, pitch in radians (null for a gable), overhang, and how far out its eaves lie; the
     *    inside on the left
     *
     * @throws Refusal when an outline is open, or they are not one together
     */
    public static function of(Design $design, Roof $roof): array
    {
        $loops = array_map(static fn (string $outline): array => self::round($design, $roof, $outline), $roof->outlines());

        return count($loops) === 1 ? $loops[0] : self::together($roof, $loops);
    }

    /** @return list<Side> */
    private static function round(Design $design, Roof $roof, string $outline): array
    {
        $storeys = $design->storeys;
        $top = static fn (Wall $w): int => $storeys->indexOf($w->top);
        $walls = $design->wallsOf($outline);
        $highest = max([-1, ...array_map($top, $walls)]);
        $sides = [];
        foreach (array_filter($walls, static fn (Wall $w): bool => $top($w) === $highest) as $wall) {
            $edge = $roof->edge($wall->id);
            $pitch = $edge?->gable === true ? null : deg2rad($edge->pitch ?? $roof->pitch);
            $out = $roof->within ? -$wall->thickness : ($edge->overhang ?? $roof->overhang) * ($roof->along ? cos($pitch ?? 0.0) : 1.0);
            $points = [$wall->face()->x0, $wall->face()->y0, ...$wall->face()->chords(RoofShape::SAGITTA)];
            for ($i = 2, $n = count($points); $i < $n; $i += 2) {
                [$a, $b] = [new Vec2($points[$i - 2], $points[$i - 1]), new Vec2($points[$i], $points[$i + 1])];
                $sides[] = [$wall->id, $a, $b, $pitch, $out, $out + ($roof->within ? 0.0 : self::past($wall, $a->distanceTo($b)))];
            }
        }
        $last = $sides === [] ? null : $sides[count($sides) - 1][2];
        if ($last === null || count($sides) < 3 || ! $last->isAt($sides[0][1])) {
            throw Refusal::because('roof.open', sprintf(
                '%s needs an outline that closes; that of %s does not.', $roof->name,
                count($roof->outlines()) === 1 ? 'its walls' : $design->outlines[$outline]->name ?? 'its walls',
            ), [$roof->id], ['field' => 'outline']);
        }
        $area = 0.0;
        foreach ($sides as [, $a, $b]) {
            $area += $a->cross($b) / 2;
        }

        return $area > 0 ? $sides : array_map(
            static fn (array $s): array => [$s[0], $s[2], $s[1], $s[3], $s[4], $s[5]], array_reverse($sides),
        );
    }

    /**
     * How much farther out eaves over a chord of an arc lie, so that the roof lies over the arc: where that bulges, as far as it leaves the
     * chord; where it is hollow, as far as the chords that its head goes by leave it.
     */
    private static function past(Wall $wall, float $chord): float
    {
        $radius = abs($wall->surface()->radius());

        return $wall->isCurved() ? abs(ArcFigures::riseOfRadius($wall->rise > 0.0 ? $chord : min($chord, Planes::STRIDE), $radius)) : 0.0;
    }

    /**
     * Round several outlines together; what lies between two of them has no eaves.
     *
     * @param  non-empty-list<list<Side>>  $loops
     * @return list<Side>
     */
    private static function together(Roof $roof, array $loops): array
    {
        $all = Region::empty();
        foreach ($loops as $sides) {
            $ring = [];
            foreach ($sides as [, $from]) {
                array_push($ring, $from->x, $from->y);
            }
            $all = $all->union(Region::polygon($ring));
        }
        $rings = array_values(array_filter($all->rings, static fn (array $r): bool => abs(Region::signedArea($r)) > 100.0));
        if (count($rings) !== 1) {
            throw Refusal::because('roof.apart', array_filter($rings, static fn (array $r): bool => Region::signedArea($r) < 0.0) === []
                ? sprintf('The outlines under %s do not touch: each needs a roof of its own.', $roof->name)
                : sprintf('The outlines under %s leave a court between them, over which it cannot close.', $roof->name),
                [$roof->id], ['field' => 'also']);
        }
        $out = [];
        for ($i = 0, $n = count($rings[0]); $i < $n; $i += 2) {
            $from = new Vec2($rings[0][$i], $rings[0][$i + 1]);
            $to = new Vec2($rings[0][($i + 2) % $n], $rings[0][($i + 3) % $n]);
            if ($from->distanceTo($to) > self::APART) {
                $out[] = self::side($roof, array_merge(...$loops), $from, $to);
            }
        }

        return self::closed($out);
    }

    /**
     * Whose wall a stretch of the edge of all is.
     *
     * @param  list<Side>  $sides
     * @return Side
     */
    private static function side(Roof $roof, array $sides, Vec2 $from, Vec2 $to): array
    {
        $middle = $from->plus($to)->times(0.5);
        $way = $to->minus($from)->unit();
        foreach ($sides as [$wall, $a, $b, $pitch, $out, $eaves]) {
            $along = $b->minus($a)->unit();
            $at = $middle->minus($a)->dot($along);
            if ($way->dot($along) > 1.0 - 1e-6 && abs($middle->minus($a)->cross($along)) < self::APART
                && $at > -self::APART && $at < $a->distanceTo($b) + self::APART) {
                return [$wall, $from, $to, $pitch, $out, $eaves];
            }
        }
        throw Refusal::because('roof.apart', sprintf(
            'The outlines under %s touch in a way that leaves an edge which no wall closes.', $roof->name,
        ), [$roof->id], ['field' => 'also']);
    }

    /**
     * With stretches of one wall that follow each other in a line as one.
     *
     * @param  list<Side>  $sides
     * @return list<Side>
     */
    private static function closed(array $sides): array
    {
        $out = [];
        foreach ($sides as $side) {
            $before = array_pop($out);
            $goesOn = $before !== null && self::goesOn($before, $side);
            array_push($out, ...($before === null || $goesOn ? [] : [$before]), ...[$goesOn ? self::from($before[1], $side) : $side]);
        }
        $last = $out[count($out) - 1] ?? null;
        if ($last !== null && count($out) > 3 && self::goesOn($last, $out[0])) {
            $out[0] = self::from($last[1], $out[0]);
            array_pop($out);
        }

        return $out;
    }

    /**
     * @param  Side  $side
     * @return Side the same, begun elsewhere
     */
    private static function from(Vec2 $from, array $side): array
    {
        return [$side[0], $from, $side[2], $side[3], $side[4], $side[5]];
    }

    /**
     * @param  Side  $before
     * @param  Side  $after
     */
    private static function goesOn(array $before, array $after): bool
    {
        return $before[0] === $after[0]
            && abs($before[2]->minus($before[1])->unit()->cross($after[2]->minus($after[1])->unit())) < 1e-9;
    }
}
