<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

use Isleward\Core\Geometry\Internal\Borders;
use Isleward\Core\Geometry\Internal\Columns;
use Isleward\Core\Geometry\Internal\SweepTriangulator;

/**
 * A sheet between two depths of an upright surface that is curved, or whose ends are, over a region of it: a wall with its openings, or a
 * piece of a unit that is bent. Each face is cut into upright columns so narrow that their chords leave the arc by no more than the
 * sagitta; both share the points of the region's edge, one for one, so the mesh is closed by construction. Faces carry the surface's own normals.
 */
final class CurvedSheet
{
    /** Places nearer than this to where a column ends are on it, mm: farther than what the triangulation takes for one place. */
    private const ON = 2 * Tolerance::GRID;

    /** Places on a face that are told apart: so many a mm. */
    private const SPOTS = 10000;

    /** @var list<float> x, y, z in threes */
    private array $positions = [];

    /** @var list<int> */
    private array $triangles = [];

    /** @var array<int, float> places put onto the borders of the near face's columns */
    private array $snapped = [];

    /** @var list<float> which way the faces' points face */
    private array $facing = [];

    /** @var array<int, list<int>> point on the near face at an end → points from it to the one on the far face, both included */
    private array $across = [];

    private function __construct(private readonly Upright $surface, private readonly Vec2 $origin, private readonly float $sagitta)
    {
    }

    /**
     * @param  Vec2  $origin  in plan, where x and z of the mesh begin: x east, y the level, z south
     * @param  list<array{list<float>, list<float>}>  $rings  of the region, with the inside on their left: (u, v) of each on the near face
     *                                                        and on the far one, point for point
     * @param  float  $near  depth of the face whose outside is outward, mm
     * @param  float  $far  depth of the other one, mm
     * @param  list<array{float, Curve}>  $ends  u on the near face and the arc in plan from there to the far one, of ends that are not
     *                                           straight
     */
    public static function mesh(
        Upright $surface,
        Vec2 $origin,
        array $rings,
        float $near,
        float $far,
        float $sagitta,
        array $ends = [],
    ): Mesh {
        return (new self($surface, $origin, $sagitta))->made($rings, $near, $far, $ends);
    }

    /**
     * @param  list<array{list<float>, list<float>}>  $rings
     * @param  list<array{float, Curve}>  $ends
     */
    private function made(array $rings, float $near, float $far, array $ends): Mesh
    {
        // the columns of the near face serve the far one too, as long as no triangle of it turns over there or grows too wide
        $own = $this->borders($rings, 0, $this->step($near) < $this->step($far) ? $near : $far);
        $over = self::over($rings);
        $fine = array_map(fn (array $ring): array => $this->divided($ring[0], $ring[1], $own, $over), $rings);
        $corners = self::triangles($fine, 0, $own);
        $others = $this->serves($fine, $corners, $far) ? $corners : null;
        if ($others === null) {
            $borders = [$this->borders($rings, 0, $near), $this->borders($rings, 1, $far)];
            $fine = array_map(fn (array $ring): array => $this->split($ring[0], $ring[1], $borders), $rings);
            [$corners, $others] = [self::triangles($fine, 0, $borders[0]), self::triangles($fine, 1, $borders[1])];
        }
        $this->face($fine, 0, $near, $corners);
        $first = intdiv(count($this->positions), 3);
        $this->face($fine, 1, $far, $others);
        $smooth = intdiv(count($this->triangles), 3);
        $i = 0;
        foreach ($fine as $ring) {
            $n = count($ring);
            foreach ($ring as $k => $point) {
                foreach ($ends as [$u, $arc]) {
                    if (abs($point[0] - $u) < self::ON) {
                        $this->across[$i + $k] = $this->chain($i + $k, $first + $i + $k, $arc, $point[2]);
                    }
                }
            }
            if ($ends === []) {
                for ($k = 0, $a = $i + $n - 1; $k < $n; $k++) {
                    $b = $i + $k;
                    $this->quad($a, $a + $first, $b + $first, $b);
                    $a = $b;
                }
            }
            foreach ($ends === [] ? [] : self::runs(array_column($ring, 2)) as $run) {
                $this->closeRun(array_map(static fn (int $k): int => $i + $k % $n, $run), $first);
            }
            $i += $n;
        }

        for ($i = count($this->facing), $n = count($this->positions); $i < $n; $i++) {
            $this->facing[] = 0.0; // of points that only flat sides have
        }

        return new Mesh($this->positions, $this->triangles, $this->facing, $smooth);
    }

    /**
     * Where the upright sides of the region stand on the far face: a border there is to run on as straight as on the near one.
     *
     * @param  list<array{list<float>, list<float>}>  $rings
     * @return array<int, float> by their place on the near face
     */
    private static function over(array $rings): array
    {
        $over = [];
        foreach ($rings as [$near, $far]) {
            $n = count($near);
            for ($i = 0, $j = $n - 2; $i < $n; $j = $i, $i += 2) {
                if (abs($near[$i] - $near[$j]) < self::ON && abs($far[$i] - $far[$j]) < self::ON) {
                    $over[(int) round($near[$i] / self::ON)] = $far[$i];
                }
            }
        }

        return $over;
    }

    /**
     * @param  list<list<array{float, float, float}>>  $fine
     * @return list<int> numbers of points in threes, counter-clockwise as seen from outside
     */
    private static function triangles(array $fine, int $face, Borders $borders): array
    {
        $us = $vs = $loops = [];
        foreach ($fine as $ring) {
            $loop = [];
            foreach ($ring as $point) {
                $loop[] = count($us);
                $us[] = $point[$face];
                $vs[] = $point[2];
            }
            $loops[] = $loop;
        }

        return Columns::triangles($loops, $us, $vs, $borders);
    }

    /**
     * Whether triangles of the near face are triangles of the far one too.
     *
     * @param  list<list<array{float, float, float}>>  $fine
     * @param  list<int>  $corners
     */
    private function serves(array $fine, array $corners, float $far): bool
    {
        $us = $vs = [];
        foreach ($fine as $ring) {
            foreach ($ring as $point) {
                $us[] = $point[1];
                $vs[] = $point[2];
            }
        }
        $most = $this->step($far) + self::ON;
        for ($i = 0, $n = count($corners); $i < $n; $i += 3) {
            [$a, $b, $c] = [$corners[$i], $corners[$i + 1], $corners[$i + 2]];
            [$du, $eu] = [$us[$b] - $us[$a], $us[$c] - $us[$a]];
            if ($du * ($vs[$c] - $vs[$a]) - $eu * ($vs[$b] - $vs[$a]) <= 0.0
                || abs($du) > $most || abs($eu) > $most || abs($eu - $du) > $most) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<list<array{float, float, float}>>  $fine
     * @param  int  $face  0 for the near one, 1 for the far one
     * @param  list<int>  $corners  of it, as seen from outside
     */
    private function face(array $fine, int $face, float $depth, array $corners): void
    {
        $first = intdiv(count($this->positions), 3);
        $side = $face === 0 ? 1.0 : -1.0;
        $known = [];
        foreach ($fine as $ring) {
            foreach ($ring as $point) {
                // many points stand over one another
                $key = (int) ($point[$face] * self::SPOTS);
                if (! isset($known[$key])) {
                    $normal = $this->surface->outward($point[$face]);
                    $plan = $this->surface->inPlan($point[$face], $depth);
                    $known[$key] = [$plan->x - $this->origin->x, $this->origin->y - $plan->y, $side * $normal->x, -$side * $normal->y];
                }
                [$x, $z, $nx, $nz] = $known[$key];
                $this->positions[] = $x;
                $this->positions[] = $point[2];
                $this->positions[] = $z;
                $this->facing[] = $nx;
                $this->facing[] = 0.0;
                $this->facing[] = $nz;
            }
        }
        [$second, $third] = $face === 0 ? [1, 2] : [2, 1];
        for ($i = 0, $n = count($corners); $i < $n; $i += 3) {
            $this->triangles[] = $first + $corners[$i];
            $this->triangles[] = $first + $corners[$i + $second];
            $this->triangles[] = $first + $corners[$i + $third];
        }
    }

    /** How wide a column may be on the outer face, mm, so that its chord leaves the face at a depth by no more than the sagitta. */
    private function step(float $depth): float
    {
        if ($this->surface->isFlat()) {
            return INF;
        }
        $radius = abs($this->surface->radius());

        return $radius * 2 * acos(max(0.0, 1 - $this->sagitta / max($radius, $this->surface->lengthAt(0.0, $radius, $depth))));
    }

    /**
     * The columns of a face.
     *
     * @param  list<array{list<float>, list<float>}>  $rings
     */
    private function borders(array $rings, int $face, float $depth): Borders
    {
        [$low, $high] = [INF, -INF];
        $sides = [];
        foreach ($rings as $ring) {
            $us = $ring[$face];
            $n = count($us);
            for ($i = 0, $before = $us[$n - 2]; $i < $n; $before = $us[$i], $i += 2) {
                $u = $us[$i];
                [$low, $high] = [min($low, $u), max($high, $u)];
                if (abs($u - $before) < self::ON) {
                    $sides[(int) round($u / self::ON)] = $u;
                }
            }
        }
        if ($this->surface->isFlat()) {
            return new Borders([$low, $high]);
        }

        return Borders::of($low, $high, $this->step($depth), $sides, 2 * self::ON);
    }

    /**
     * A ring with points added wherever a side of it passes from one column of the near face to the next.
     *
     * @param  list<float>  $near
     * @param  list<float>  $far
     * @param  array<int, float>  $over  {@see over}
     * @return list<array{float, float, float}> u on the near face, u on the far face, v
     */
    private function divided(array $near, array $far, Borders $own, array $over): array
    {
        $out = [];
        $n = count($near);
        for ($i = 0; $i < $n; $i += 2) {
            $j = $i + 2 < $n ? $i + 2 : 0;
            [$a, $b] = [$near[$i], $near[$j]];
            $out[] = [$this->snapped[(int) ($a * self::SPOTS)] ??= $own->snapped($a, self::ON), $far[$i], $near[$i + 1]];
            if (abs($b - $a) < self::ON) {
                continue; // upright: it passes no border
            }
            $passed = $a < $b ? $own->between($a, $b, self::ON) : array_reverse($own->between($b, $a, self::ON));
            $rise = $near[$j + 1] - $near[$i + 1];
            foreach ($passed as $u) {
                $share = ($u - $a) / ($b - $a);
                $straight = abs($rise) < self::ON ? $over[(int) round($u / self::ON)] ?? null : null;
                $out[] = [$u, $straight ?? $far[$i] + ($far[$j] - $far[$i]) * $share, $near[$i + 1] + $rise * $share];
            }
        }

        return $out;
    }

    /**
     * A ring with points added wherever a side of it passes from one column to the next, on either face.
     *
     * @param  list<float>  $near
     * @param  list<float>  $far
     * @param  array{Borders, Borders}  $borders
     * @return list<array{float, float, float}> u on the near face, u on the far face, v
     */
    private function split(array $near, array $far, array $borders): array
    {
        $out = [];
        $n = count($near);
        for ($i = 0; $i < $n; $i += 2) {
            $j = ($i + 2) % $n;
            if (abs($near[$j] - $near[$i]) < self::ON && abs($far[$j] - $far[$i]) < self::ON) {
                $out[] = [$borders[0]->snapped($near[$i], self::ON), $borders[1]->snapped($far[$i], self::ON), $near[$i + 1]];

                continue; // upright: it passes no border
            }
            $shares = [];
            foreach ([[$near[$i], $near[$j]], [$far[$i], $far[$j]]] as $face => [$a, $b]) {
                foreach (abs($b - $a) < self::ON ? [] : $borders[$face]->between(min($a, $b), max($a, $b), self::ON) as $u) {
                    $shares[] = [($u - $a) / ($b - $a), $face, $u];
                }
            }
            sort($shares);
            $long = max(abs($near[$j] - $near[$i]), abs($far[$j] - $far[$i]));
            $out[] = [$borders[0]->snapped($near[$i], self::ON), $borders[1]->snapped($far[$i], self::ON), $near[$i + 1]];
            $last = 0.0;
            foreach ($shares as [$share, $face, $u]) {
                if (($share - $last) * $long < 2 * self::ON && $last > 0.0) {
                    // both faces break here, as good as
                    [$a, $b, $v] = array_pop($out);
                    $out[] = $face === 0 ? [$u, $b, $v] : [$a, $u, $v];

                    continue;
                }
                $a = $face === 0 ? $u : $borders[0]->snapped($near[$i] + ($near[$j] - $near[$i]) * $share, self::ON);
                $b = $face === 1 ? $u : $borders[1]->snapped($far[$i] + ($far[$j] - $far[$i]) * $share, self::ON);
                $out[] = [$a, $b, $near[$i + 1] + ($near[$j + 1] - $near[$i + 1]) * $share];
                $last = $share;
            }
        }

        return $out;
    }

    private function add(Vec2 $plan, float $v): int
    {
        $this->positions[] = $plan->x - $this->origin->x;
        $this->positions[] = $v;
        $this->positions[] = $this->origin->y - $plan->y;

        return intdiv(count($this->positions), 3) - 1;
    }

    /** @return list<int> points along an arc across the sheet at a level, from one on the near face to one on the far face */
    private function chain(int $near, int $far, Curve $arc, float $v): array
    {
        $chain = [$near];
        $chords = $arc->chords($this->sagitta);
        for ($i = 0, $n = count($chords) - 2; $i < $n; $i += 2) {
            $chain[] = $this->add(new Vec2($chords[$i], $chords[$i + 1]), $v);
        }

        return [...$chain, $far];
    }

    /**
     * The sides of a ring, those that run on level together.
     *
     * @param  list<float>  $vs
     * @return list<non-empty-list<int>> numbers of points in a row, over the end of the ring too
     */
    private static function runs(array $vs): array
    {
        $n = count($vs);
        $level = static fn (int $k): bool => abs($vs[$k % $n] - $vs[($k + 1) % $n]) < self::ON;
        $start = 0;
        while ($start < $n && $level($start) && $level($start + $n - 1)) {
            $start++;
        }
        $runs = [];
        $run = [$start];
        for ($k = $start; $k < $start + $n; $k++) {
            $run[] = $k + 1;
            if (! $level($k) || ! $level($k + 1) || $k + 1 === $start + $n) {
                $runs[] = $run;
                $run = [$k + 1];
            }
        }

        return $runs;
    }

    /**
     * What closes the sheet along sides of its edge, from the near face to the far one.
     *
     * @param  non-empty-list<int>  $run  points on the near face
     */
    private function closeRun(array $run, int $far): void
    {
        $last = count($run) - 1;
        [$from, $to] = [$this->across[$run[0]] ?? null, $this->across[$run[$last]] ?? null];
        if ($from !== null && $to !== null && $last === 1 && $this->isUpright($run[0], $run[1])) {
            for ($i = 1, $n = count($from); $i < $n; $i++) {
                $this->quad($from[$i - 1], $from[$i], $to[$i], $to[$i - 1]);
            }

            return;
        }
        if ($from === null && $to === null) {
            for ($i = 1; $i <= $last; $i++) {
                [$a, $b] = [$run[$i - 1], $run[$i]];
                $this->quad($a, $a + $far, $b + $far, $b);
            }

            return;
        }
        // level, and ends on an arc: as one, since that may reach over more than one column
        $points = [
            ...($from ?? [$run[0], $run[0] + $far]),
            ...array_map(static fn (int $p): int => $p + $far, array_slice($run, 1, -1)),
            ...array_reverse($to ?? [$run[$last], $run[$last] + $far]),
            ...array_reverse(array_slice($run, 1, -1)),
        ];
        $ring = [];
        foreach ($points as $p) {
            array_push($ring, $this->positions[3 * $p], $this->positions[3 * $p + 2]);
        }
        $turned = Region::signedArea($ring) < 0;
        $corners = SweepTriangulator::triangulate([$turned ? Region::reverse($ring) : $ring])[1];
        $order = $turned ? array_reverse($points) : $points;
        for ($i = 0, $n = count($corners); $i < $n; $i += 3) {
            [$p, $q, $r] = [$order[$corners[$i]], $order[$corners[$i + 1]], $order[$corners[$i + 2]]];
            array_push($this->triangles, $p, ...($turned ? [$r, $q] : [$q, $r]));
        }
    }

    private function isUpright(int $a, int $b): bool
    {
        return abs($this->positions[3 * $a + 1] - $this->positions[3 * $b + 1]) > self::ON;
    }

    /** Two triangles of a side that is flat, or as good as. */
    private function quad(int $a, int $b, int $c, int $d): void
    {
        $this->triangles[] = $a;
        $this->triangles[] = $b;
        $this->triangles[] = $c;
        $this->triangles[] = $a;
        $this->triangles[] = $c;
        $this->triangles[] = $d;
    }
}
