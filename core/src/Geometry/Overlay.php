<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/**
 * Pieces of a plane united, taken from one another or held in common, with straight sides and circular arcs kept as they are. Every side is
 * parted where a side of the other meets it; each part lies in, outside or on the edge of the other, and what is wanted of them is linked
 * to contours again. What lies nearer together than {@see Tolerance::LENGTH} is one point.
 */
final class Overlay
{
    private const UNITED = 0;

    private const LESS = 1;

    private const COMMON = 2;

    /**
     * What lies in either.
     *
     * @param  list<Profile>  $a
     * @param  list<Profile>  $b
     * @return list<Profile>
     */
    public static function union(array $a, array $b): array
    {
        return self::of($a, $b, self::UNITED);
    }

    /**
     * What lies in the first and not in the second.
     *
     * @param  list<Profile>  $a
     * @param  list<Profile>  $b
     * @return list<Profile>
     */
    public static function difference(array $a, array $b): array
    {
        return self::of($a, $b, self::LESS);
    }

    /**
     * What lies in both.
     *
     * @param  list<Profile>  $a
     * @param  list<Profile>  $b
     * @return list<Profile>
     */
    public static function intersection(array $a, array $b): array
    {
        return self::of($a, $b, self::COMMON);
    }

    /**
     * How many times contours run round a point, counter-clockwise. A ray is sent out in a direction that passes none of their corners.
     *
     * @param  list<Contour>  $contours
     */
    public static function windings(array $contours, float $x, float $y): int
    {
        foreach ([0.0, 0.7, 1.9, 2.6, 3.4, 4.1, 5.3] as $angle) {
            $count = self::along($contours, new Vec2($x, $y), $angle);
            if ($count !== null) {
                return $count;
            }
        }
        throw new \LogicException('Every ray from this point passes a corner.');
    }

    /**
     * @param  list<Profile>  $a
     * @param  list<Profile>  $b
     * @return list<Profile>
     */
    private static function of(array $a, array $b, int $how): array
    {
        $mine = array_merge([], ...array_map(static fn (Profile $p): array => $p->contours(), $a));
        $theirs = array_merge([], ...array_map(static fn (Profile $p): array => $p->contours(), $b));
        $kept = [];
        foreach (self::parted($mine, $theirs) as $part) {
            $where = self::where($part, $theirs);
            // an edge that both have is taken once, from the first
            $wanted = match ($how) {
                self::UNITED => $where === 'out' || $where === 'same',
                self::LESS => $where === 'out' || $where === 'opposite',
                default => $where === 'in' || $where === 'same',
            };
            if ($wanted) {
                $kept[] = $part;
            }
        }
        foreach (self::parted($theirs, $mine) as $part) {
            $where = self::where($part, $mine);
            if ($where === ($how === self::UNITED ? 'out' : 'in')) {
                $kept[] = $how === self::LESS ? $part->reversed() : $part;
            }
        }

        return self::profiles(self::linked($kept));
    }

    /**
     * All sides, each parted where sides of the others meet it.
     *
     * @param  list<Contour>  $contours
     * @param  list<Contour>  $others
     * @return list<Curve>
     */
    private static function parted(array $contours, array $others): array
    {
        $sides = array_merge([], ...array_map(static fn (Contour $c): array => $c->edges(), $others));
        $boxes = array_map(static fn (Curve $c): array => $c->bounds(), $sides);
        $parts = [];
        $slack = 2 * Tolerance::LENGTH;
        foreach ($contours as $contour) {
            foreach ($contour->edges() as $side) {
                [$x0, $y0, $x1, $y1] = $side->bounds();
                $shares = [0.0, 1.0];
                foreach ($sides as $i => $other) {
                    [$a0, $b0, $a1, $b1] = $boxes[$i];
                    if ($a0 > $x1 + $slack || $a1 < $x0 - $slack || $b0 > $y1 + $slack || $b1 < $y0 - $slack) {
                        continue;
                    }
                    foreach (Crossing::within($side, $other, Tolerance::LENGTH) as [$x, $y]) {
                        $shares[] = min(1.0, max(0.0, $side->shareOf($x, $y)));
                    }
                }
                array_push($parts, ...self::at($side, $shares));
            }
        }

        return $parts;
    }

    /**
     * A side parted at shares of it; parts shorter than the tolerance belong to the one before.
     *
     * @param  list<float>  $shares
     * @return list<Curve>
     */
    private static function at(Curve $side, array $shares): array
    {
        sort($shares);
        $length = $side->length();
        $parts = [];
        $from = 0.0;
        foreach ($shares as $share) {
            if (($share - $from) * $length > Tolerance::LENGTH && ($share >= 1.0 || (1.0 - $share) * $length > Tolerance::LENGTH)) {
                $parts[] = $side->part($from, $share);
                $from = $share;
            }
        }

        return $parts;
    }

    /**
     * Where a part lies that no side of the others crosses: in them, outside, or on an edge of theirs that runs the same or the opposite
     * way.
     *
     * @param  list<Contour>  $contours
     * @return 'in'|'out'|'same'|'opposite'
     */
    private static function where(Curve $part, array $contours): string
    {
        [$x, $y] = $part->at(0.5);
        foreach ([0.5, 0.31, 0.73] as $share) {
            [$x, $y] = $part->at($share);
            [$dx, $dy] = $part->direction($share);
            $touches = false;
            foreach ($contours as $contour) {
                foreach ($contour->edges() as $side) {
                    if (! Crossing::passes($side, $x, $y, Tolerance::LENGTH)) {
                        continue;
                    }
                    [$ex, $ey] = $side->direction(min(1.0, max(0.0, $side->shareOf($x, $y))));
                    if (abs($dx * $ey - $dy * $ex) > 1e-3) {
                        continue;
                    }
                    // one that only touches it here leaves it elsewhere
                    if (! Crossing::passes($side, ...[...$part->at($share * 0.8), Tolerance::LENGTH])) {
                        $touches = true;

                        continue;
                    }

                    return $dx * $ex + $dy * $ey > 0 ? 'same' : 'opposite';
                }
            }
            if (! $touches) {
                break;
            }
        }

        return self::windings($contours, $x, $y) > 0 ? 'in' : 'out';
    }

    /**
     * Parts linked end to start; where several go on from a point, the one that bounds the same wedge of the inside, which is to the left.
     *
     * @param  list<Curve>  $parts
     * @return list<Contour>
     */
    private static function linked(array $parts): array
    {
        $starts = [];
        $spots = new Spots;
        foreach ($parts as $i => $part) {
            $starts[$spots->at($part->x0, $part->y0)][$i] = $part;
        }
        $contours = [];
        while ($starts !== []) {
            $first = array_key_first($starts);
            $i = array_key_first($starts[$first]);
            $chain = [];
            $at = $first;
            while ($i !== null) {
                $part = $starts[$at][$i];
                unset($starts[$at][$i]);
                if ($starts[$at] === []) {
                    unset($starts[$at]);
                }
                $chain[] = $part;
                $at = $spots->at($part->x1, $part->y1);
                $i = $at === $first ? null : self::next($part, $starts[$at] ?? []);
            }
            $closed = self::closed($chain);
            if ($closed !== null) {
                $contours[] = $closed;
            }
        }

        return $contours;
    }

    /** @param  array<int, Curve>  $candidates */
    private static function next(Curve $before, array $candidates): ?int
    {
        $back = $before->reversed();
        $best = null;
        $least = INF;
        foreach ($candidates as $i => $candidate) {
            // a little way along both, so that arcs that begin alike are told apart
            $reach = min($back->length(), $candidate->length()) / 8;
            $turn = self::heading($back, $reach) - self::heading($candidate, $reach);
            $turn = fmod($turn + 4 * M_PI, 2 * M_PI);
            $turn = $turn < 1e-9 ? 2 * M_PI : $turn;
            if ($turn < $least) {
                [$least, $best] = [$turn, $i];
            }
        }

        return $best;
    }

    private static function heading(Curve $curve, float $reach): float
    {
        return $curve->pointAt($reach)->minus($curve->start())->angle();
    }

    /** @param  list<Curve>  $chain */
    private static function closed(array $chain): ?Contour
    {
        $chain = self::seamless($chain);
        $sides = [];
        $n = count($chain);
        foreach ($chain as $i => $part) {
            $next = $chain[($i + 1) % $n];
            // ends that are one point are one point exactly
            $sides[] = $n === 1 ? $part : $part->endingAt($next->x0, $next->y0);
        }

        return $sides === [] || abs(Contour::of($sides)->area()) < Tolerance::LENGTH ? null : Contour::of($sides);
    }

    /**
     * Parts of one line or one circle that follow on one another, as one.
     *
     * @param  list<Curve>  $chain
     * @return list<Curve>
     */
    private static function seamless(array $chain): array
    {
        // begun at a corner, so that no seam is left at the end
        for ($i = 0, $n = count($chain); $i < $n && $n > 1 && $chain[$n - 1]->joined($chain[0]) !== null; $i++) {
            $chain = [...array_slice($chain, 1), $chain[0]];
        }
        $out = [];
        foreach ($chain as $part) {
            $one = $out === [] ? null : $out[count($out) - 1]->joined($part);
            if ($one === null) {
                $out[] = $part;
            } else {
                $out[count($out) - 1] = $one;
            }
        }

        return $out;
    }

    /**
     * @param  list<Contour>  $contours
     * @return list<Profile> each hole in the least contour that holds it
     */
    private static function profiles(array $contours): array
    {
        $outer = array_values(array_filter($contours, static fn (Contour $c): bool => $c->area() > 0));
        usort($outer, static fn (Contour $a, Contour $b): int => $a->area() <=> $b->area());
        $holes = array_fill(0, count($outer), []);
        foreach ($contours as $hole) {
            if ($hole->area() > 0) {
                continue;
            }
            [$x, $y] = self::justInside($hole->reversed());
            foreach ($outer as $i => $contour) {
                if (self::windings([$contour], $x, $y) > 0) {
                    $holes[$i][] = $hole;
                    break;
                }
            }
        }

        return array_map(static fn (Contour $c, array $h): Profile => new Profile($c, $h), $outer, $holes);
    }

    /** @return array{float, float} a point inside a contour, near the middle of its longest side */
    private static function justInside(Contour $contour): array
    {
        $edges = $contour->edges();
        usort($edges, static fn (Curve $a, Curve $b): int => $b->length() <=> $a->length());
        [$x, $y] = $edges[0]->at(0.5);
        [$dx, $dy] = $edges[0]->direction(0.5);
        $by = 3 * Tolerance::LENGTH;

        return [$x - $dy * $by, $y + $dx * $by];
    }

    /**
     * @param  list<Contour>  $contours
     * @return int|null  null when the ray passes a corner
     */
    private static function along(array $contours, Vec2 $from, float $angle): ?int
    {
        $count = 0;
        foreach ($contours as $contour) {
            foreach ($contour->edges() as $side) {
                $turned = $angle === 0.0 ? $side : $side->turned(-$angle, $from);
                if ((abs($turned->y0 - $from->y) < 1e-6 && $turned->x0 > $from->x - 1e-6)
                                    || (abs($turned->y1 - $from->y) < 1e-6 && $turned->x1 > $from->x - 1e-6)) {
                    return null;
                }
                foreach ($turned->crossings(false, $from->y) as $share) {
                    if ($turned->at($share)[0] > $from->x) {
                        $count += $turned->direction($share)[1] > 0 ? 1 : -1;
                    }
                }
            }
        }

        return $count;
    }
}
