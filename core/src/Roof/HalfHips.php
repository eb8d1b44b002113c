<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Spots;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * Half hips: a gable that stands up so far over the eaves, and from there on a slope that takes the ends off its neighbours. What is
 * taken off is where the plane of that slope lies under theirs.
 *
 * @phpstan-type Line array{RoofLine, array{float, float, float}, array{float, float, float}}
 */
final class HalfHips
{
    /** Planes are cut out of squares of this size, mm. */
    private const FAR = 1e6;

    /** Places nearer than this are one, mm. */
    private const ONE = 0.05;

    /**
     * @param  array<int, RoofSide>  $sides
     * @param  list<Line>  $lines
     */
    private function __construct(private readonly Roof $roof, private array $sides, private array $lines)
    {
    }

    /**
     * @param  list<RoofSide>  $sides
     * @param  list<Line>  $lines
     * @param  float  $level  of its eaves' underside
     * @return array{list<RoofSide>, list<Line>}
     *
     * @throws Refusal when one begins over its gable's highest
     */
    public static function cut(Roof $roof, array $sides, array $lines, float $level): array
    {
        $self = new self($roof, $sides, $lines);
        foreach ($sides as $i => $side) {
            $edge = $roof->edge($side->wall);
            if ($side->pitch === null && $edge?->hip !== null) {
                $self->one($i, $level + $edge->hip, $edge->hip, deg2rad($edge->pitch ?? $roof->pitch));
            }
        }

        return [array_values($self->sides), $self->lines];
    }

    private function one(int $i, float $from, float $over, float $pitch): void
    {
        $gable = $this->sides[$i];
        $top = max([-INF, ...array_column($gable->corners, 2)]);
        if ($from >= $top - 1.0) {
            throw Refusal::because('roof.hip_over_gable', sprintf(
                'A half hip that begins %s over the eaves of %s lies over its gable, which is %s high.',
                Length::mark($over), $this->roof->name, Length::mark($top - $from + $over),
            ), [$this->roof->id], ['field' => 'hip']);
        }
        $way = $gable->to->minus($gable->from)->times(1 / $gable->from->distanceTo($gable->to));
        $rise = tan($pitch);
        $plane = [
            $from + $rise * ($way->y * $gable->from->x - $way->x * $gable->from->y), -$rise * $way->y, $rise * $way->x,
        ];
        $off = [];
        foreach ($this->sides as $k => $side) {
            $taken = $side->pitch === null ? Region::empty() : $this->taken($gable, $way, $plane, $side);
            if ($taken->area() > 1.0) {
                array_push($off, ...$taken->rings);
                $this->sides[$k] = $this->without($side, $taken);
            }
        }
        $ring = self::withoutStraights($this->together($off));
        foreach ($ring as $k => $a) {
            $b = $ring[($k + 1) % count($ring)];
            if (abs($way->cross($a->minus($gable->from))) < self::ONE && abs($way->cross($b->minus($gable->from))) < self::ONE) {
                $this->put($i, $gable, [...array_slice($ring, $k), ...array_slice($ring, 0, $k)], $plane, $pitch, $from);

                return;
            }
        }
        throw new \LogicException('A half hip lies along its gable.');
    }

    /**
     * What pieces side by side fill together: their edges, but for those that two share.
     *
     * @param  list<list<float>>  $rings
     * @return list<float>
     */
    private function together(array $rings): array
    {
        $spots = new Spots;
        $places = $edges = $next = [];
        foreach ($rings as $ring) {
            $numbers = [];
            foreach (array_chunk($ring, 2) as [$x, $y]) {
                $numbers[] = $number = $spots->at($x, $y);
                $places[$number] ??= [$x, $y];
            }
            foreach ($numbers as $k => $a) {
                $edges[] = [$a, $numbers[($k + 1) % count($numbers)]];
            }
        }
        foreach ($edges as [$a, $b]) {
            if ($a !== $b && ! in_array([$b, $a], $edges, true)) {
                $next[$a] = $b;
            }
        }
        $out = [];
        $at = array_key_first($next);
        while ($at !== null && isset($next[$at])) {
            array_push($out, ...$places[$at]);
            $to = $next[$at];
            unset($next[$at]);
            $at = $to;
        }

        return $next === [] && $out !== [] ? $out : throw $this->tooFar();
    }

    private function tooFar(): Refusal
    {
        return Refusal::because('roof.hip_too_far', sprintf('A half hip of %s would cut one of its faces in two.', $this->roof->name),
            [$this->roof->id], ['field' => 'hip']);
    }

    /** @param  array{float, float, float}  $plane */
    private function taken(RoofSide $gable, Vec2 $way, array $plane, RoofSide $side): Region
    {
        $across = new Vec2(-$way->y, $way->x);
        // no farther than the gable is wide, on its inside
        [$a, $b] = [$gable->from, $gable->to];
        $strip = self::ring([$a, $b, $b->plus($across->times(self::FAR)), $a->plus($across->times(self::FAR))]);
        // where the new plane lies under that of the side: its slope minus the other's falls that way
        [$p, $q, $r] = [$plane[0] - $side->plane[0], $plane[1] - $side->plane[1], $plane[2] - $side->plane[2]];
        $length = hypot($q, $r);
        if ($length < 1e-12) {
            return Region::empty();
        }
        $normal = new Vec2($q / $length, $r / $length);
        $foot = $normal->times(-$p / $length);
        // from the middle of the gable, so that the square reaches all round
        $along = new Vec2(-$normal->y, $normal->x);
        $foot = $foot->plus($along->times($a->minus($foot)->dot($along)));
        $under = self::ring([
            $foot->plus($along->times(-self::FAR)), $foot->plus($along->times(-self::FAR))->minus($normal->times(self::FAR)),
            $foot->plus($along->times(self::FAR))->minus($normal->times(self::FAR)), $foot->plus($along->times(self::FAR)),
        ]);

        return Region::polygon($side->contour()->ring())->intersection(Region::polygon($strip))->intersection(Region::polygon($under));
    }

    private function without(RoofSide $side, Region $taken): RoofSide
    {
        $left = Region::polygon($side->contour()->ring())->difference($taken);
        $ring = self::withoutStraights($left->rings[0] ?? []);
        if (count($left->rings) !== 1) {
            throw $this->tooFar();
        }
        // it begins at its eaves still
        $first = new Vec2($side->corners[0][0], $side->corners[0][1]);
        $start = 0;
        foreach ($ring as $k => $point) {
            $start = $point->distanceTo($first) < $ring[$start]->distanceTo($first) ? $k : $start;
        }

        return $side->with(self::lifted([...array_slice($ring, $start), ...array_slice($ring, 0, $start)], $side->plane));
    }

    /**
     * @param  list<Vec2>  $ring
     * @param  array{float, float, float}  $plane
     */
    private function put(int $i, RoofSide $gable, array $ring, array $plane, float $pitch, float $from): void
    {
        $corners = self::lifted($ring, $plane);
        $this->sides[] = new RoofSide($gable->wall, $pitch, $gable->overhang, $ring[0], $ring[1], $corners, $plane);
        $this->sides[$i] = $gable->with(self::below($gable->corners, $from));
        $lines = [];
        foreach ($this->lines as [$what, $p, $q]) {
            [$a, $b] = [self::over($plane, $p), self::over($plane, $q)];
            if ($a < self::ONE && $b < self::ONE) {
                continue;
            }
            if (min($a, $b) < -self::ONE) {
                $share = $a / ($a - $b);
                $at = [$p[0] + ($q[0] - $p[0]) * $share, $p[1] + ($q[1] - $p[1]) * $share, $p[2] + ($q[2] - $p[2]) * $share];
                $a < $b ? $p = $at : $q = $at;
            }
            $lines[] = [$what, $p, $q];
        }
        $lines[] = [RoofLine::Eaves, $corners[0], $corners[1]];
        for ($k = 1, $n = count($corners); $k < $n; $k++) {
            $lines[] = [RoofLine::Hip, $corners[$k], $corners[($k + 1) % $n]];
        }
        $this->lines = $lines;
    }

    /**
     * @param  array{float, float, float}  $plane
     * @param  array{float, float, float}  $point
     * @return float how far the plane lies over a point
     */
    private static function over(array $plane, array $point): float
    {
        return $plane[0] + $plane[1] * $point[0] + $plane[2] * $point[1] - $point[2];
    }

    /**
     * What of an upright face lies under a level.
     *
     * @param  list<array{float, float, float}>  $corners
     * @return list<array{float, float, float}>
     */
    private static function below(array $corners, float $level): array
    {
        $out = [];
        foreach ($corners as $k => $a) {
            $b = $corners[($k + 1) % count($corners)];
            if ($a[2] <= $level) {
                $out[] = $a;
            }
            if (($a[2] <= $level) !== ($b[2] <= $level)) {
                $share = ($level - $a[2]) / ($b[2] - $a[2]);
                $out[] = [$a[0] + ($b[0] - $a[0]) * $share, $a[1] + ($b[1] - $a[1]) * $share, $level];
            }
        }

        return $out;
    }

    /**
     * @param  list<Vec2>  $ring
     * @param  array{float, float, float}  $plane
     * @return list<array{float, float, float}>
     */
    private static function lifted(array $ring, array $plane): array
    {
        return array_map(static fn (Vec2 $p): array => [$p->x, $p->y, $plane[0] + $plane[1] * $p->x + $plane[2] * $p->y], $ring);
    }

    /**
     * @param  list<Vec2>  $points
     * @return list<float>
     */
    private static function ring(array $points): array
    {
        return array_merge(...array_map(static fn (Vec2 $p): array => [$p->x, $p->y], $points));
    }

    /**
     * @param  list<float>  $ring
     * @return list<Vec2> its corners
     */
    private static function withoutStraights(array $ring): array
    {
        $points = array_map(static fn (array $p): Vec2 => new Vec2($p[0], $p[1]), array_chunk($ring, 2));
        $n = count($points);

        return array_values(array_filter($points, static function (Vec2 $p, int $k) use ($points, $n): bool {
            [$a, $b] = [$points[($k + $n - 1) % $n], $points[($k + 1) % $n]];

            return abs($b->minus($a)->cross($p->minus($a))) > self::ONE / 5 * $a->distanceTo($b);
        }, ARRAY_FILTER_USE_BOTH));
    }
}
