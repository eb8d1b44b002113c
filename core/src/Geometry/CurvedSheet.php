<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

use Isleward\Core\Geometry\Internal\Division;
use Isleward\Core\Geometry\Internal\SweepTriangulator;

/**
 * A sheet between two depths of an upright surface that is curved, or whose ends are, over a region of it: a wall with its openings, or a
 * piece of a unit that is bent. Each face is cut into upright columns so narrow that their chords leave the arc by no more than the
 * sagitta ({@see Division}); both share the points of the region's edge, one for one, so the mesh is closed by construction. Faces carry
 * the surface's own normals.
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
        [$fine, $corners, $others] = (new Division($this->surface, $this->sagitta))->of($rings, $near, $far);
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
                        $this->across[$i + $k] = $this->chain($i + $k, $first + $i + $k, $arc);
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
            foreach ($ends === [] ? [] : self::runs($ring, array_column($ends, 0), abs($far - $near)) as $run) {
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
     * @param  list<list<array{float, float, float, float}>>  $fine
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
                $this->positions[] = $point[2 + $face];
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

    private function add(Vec2 $plan, float $v): int
    {
        $this->positions[] = $plan->x - $this->origin->x;
        $this->positions[] = $v;
        $this->positions[] = $this->origin->y - $plan->y;

        return intdiv(count($this->positions), 3) - 1;
    }

    /** @return list<int> points along an arc across the sheet, from one on the near face to one on the far face, evenly up or down */
    private function chain(int $near, int $far, Curve $arc): array
    {
        $chain = [$near];
        $chords = $arc->chords($this->sagitta);
        [$from, $to] = [$this->positions[3 * $near + 1], $this->positions[3 * $far + 1]];
        for ($i = 0, $n = count($chords) - 2; $i < $n; $i += 2) {
            $chain[] = $this->add(new Vec2($chords[$i], $chords[$i + 1]), $from + ($to - $from) * ($i + 2) / ($n + 2));
        }

        return [...$chain, $far];
    }

    /**
     * The sides of a ring: together those that run on level, and those near to an end that is not straight, which may reach over them.
     *
     * @param  list<array{float, float, float, float}>  $ring
     * @param  list<float>  $ends  u on the near face
     * @param  float  $reach  how far an end does at most, mm
     * @return list<non-empty-list<int>> numbers of points in a row, over the end of the ring too
     */
    private static function runs(array $ring, array $ends, float $reach): array
    {
        $n = count($ring);
        $rises = static fn (int $k, int $axis): float => abs($ring[$k % $n][$axis] - $ring[($k + 1) % $n][$axis]);
        $level = static fn (int $k): bool => $rises($k, 2) < self::ON && $rises($k, 3) < self::ON;
        $joined = static function (int $k) use ($ring, $n, $ends, $reach, $rises, $level): bool {
            if ($level($k + $n - 1) && $level($k)) {
                return true;
            }
            foreach ($rises($k + $n - 1, 0) < self::ON || $rises($k, 0) < self::ON ? [] : $ends as $u) {
                if (abs($ring[$k % $n][0] - $u) < $reach) {
                    return true;
                }
            }

            return false;
        };
        $start = 0;
        while ($start < $n && $joined($start)) {
            $start++;
        }
        $runs = [];
        $run = [$start];
        for ($k = $start; $k < $start + $n; $k++) {
            $run[] = $k + 1;
            if (! $joined($k + 1) || $k + 1 === $start + $n) {
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
