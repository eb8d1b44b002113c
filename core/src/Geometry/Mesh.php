<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** Triangles over shared points, mm, counter-clockwise seen from outside. */
final readonly class Mesh
{
    /**
     * @param  list<float>  $positions  x, y, z in threes
     * @param  list<int>  $triangles  point numbers in threes
     * @param  list<float>|null  $facing  unit vectors by point, x, y, z; null when every triangle is as flat as it looks
     * @param  int  $smooth  how many triangles, from the first on, are parts of a surface that faces at their points as said; the others
     *    are flat
     */
    public function __construct(public array $positions, public array $triangles, public ?array $facing = null, public int $smooth = 0)
    {
    }

    /** @return list<float> unit vectors by corner of the triangles, x, y, z */
    public function normals(): array
    {
        $normals = [];
        for ($i = 0, $n = count($this->triangles); $i < $n; $i += 3) {
            if ($this->facing !== null && $i < 3 * $this->smooth) {
                for ($k = $i; $k < $i + 3; $k++) {
                    $p = 3 * $this->triangles[$k];
                    array_push($normals, $this->facing[$p], $this->facing[$p + 1], $this->facing[$p + 2]);
                }

                continue;
            }
            $normal = self::normal($this->positions, $this->triangles[$i], $this->triangles[$i + 1], $this->triangles[$i + 2]);
            array_push($normals, ...$normal, ...$normal, ...$normal);
        }

        return $normals;
    }

    /**
     * Points that have one normal each: those where two meet are there twice.
     *
     * @return array{list<float>, list<float>, list<int>} positions, normals, and point numbers in threes
     */
    public function shaded(): array
    {
        $positions = $normals = $corners = $seen = [];
        $all = $this->normals();
        foreach ($this->triangles as $i => $p) {
            $normal = array_slice($all, 3 * $i, 3);
            $key = sprintf('%d %.4f %.4f %.4f', $p, ...$normal);
            if (! isset($seen[$key])) {
                $seen[$key] = intdiv(count($positions), 3);
                array_push($positions, $this->positions[3 * $p], $this->positions[3 * $p + 1], $this->positions[3 * $p + 2]);
                array_push($normals, ...$normal);
            }
            $corners[] = $seen[$key];
        }

        return [$positions, $normals, $corners];
    }

    /**
     * @param  list<float>  $positions
     * @return array{float, float, float} unit normal of a triangle; up for one without an area
     */
    public static function normal(array $positions, int $a, int $b, int $c): array
    {
        [$a, $b, $c] = [3 * $a, 3 * $b, 3 * $c];
        $ux = $positions[$b] - $positions[$a];
        $uy = $positions[$b + 1] - $positions[$a + 1];
        $uz = $positions[$b + 2] - $positions[$a + 2];
        $vx = $positions[$c] - $positions[$a];
        $vy = $positions[$c + 1] - $positions[$a + 1];
        $vz = $positions[$c + 2] - $positions[$a + 2];
        [$x, $y, $z] = [$uy * $vz - $uz * $vy, $uz * $vx - $ux * $vz, $ux * $vy - $uy * $vx];
        $size = sqrt($x * $x + $y * $y + $z * $z);

        return $size > 0.0 ? [$x / $size, $y / $size, $z / $size] : [0.0, 1.0, 0.0];
    }

    /** Enclosed by a closed mesh, mm³. */
    public function volume(): float
    {
        $p = $this->positions;
        $sum = 0.0;
        for ($i = 0, $n = count($this->triangles); $i < $n; $i += 3) {
            $a = 3 * $this->triangles[$i];
            $b = 3 * $this->triangles[$i + 1];
            $c = 3 * $this->triangles[$i + 2];
            $sum += $p[$a] * ($p[$b + 1] * $p[$c + 2] - $p[$b + 2] * $p[$c + 1])
                + $p[$a + 1] * ($p[$b + 2] * $p[$c] - $p[$b] * $p[$c + 2])
                + $p[$a + 2] * ($p[$b] * $p[$c + 1] - $p[$b + 1] * $p[$c]);
        }

        return $sum / 6;
    }

    /**
     * What lies between two faces across z, whose rings match point for point.
     *
     * @param  list<list<float>>  $front  rings in (x, y), the inside on their left
     * @param  list<list<float>>  $back
     * @param  float  $near  z of the front, greater than that of the back
     */
    public static function between(array $front, array $back, float $near, float $far): self
    {
        [$flat, $triangles] = Region::fromRings($front)->triangles();
        [$behind, $others] = $back === $front ? [$flat, $triangles] : Region::fromRings($back)->triangles();
        $count = intdiv(count($flat), 2);
        $positions = [];
        foreach ([[$flat, $near], [$behind, $far]] as [$points, $z]) {
            for ($i = 0, $n = count($points); $i < $n; $i += 2) {
                $positions[] = $points[$i];
                $positions[] = $points[$i + 1];
                $positions[] = $z;
            }
        }
        for ($i = 0, $n = count($others); $i < $n; $i += 3) {
            $triangles[] = $others[$i] + $count;
            $triangles[] = $others[$i + 2] + $count;
            $triangles[] = $others[$i + 1] + $count;
        }
        $first = 0;
        foreach ($front as $ring) {
            $size = intdiv(count($ring), 2);
            for ($i = 0; $i < $size; $i++) {
                $a = $first + $i;
                $b = $first + ($i + 1 === $size ? 0 : $i + 1);
                $triangles[] = $a;
                $triangles[] = $a + $count;
                $triangles[] = $b + $count;
                $triangles[] = $a;
                $triangles[] = $b + $count;
                $triangles[] = $b;
            }
            $first += $size;
        }

        return new self($positions, $triangles);
    }

    /**
     * Several in one, each with corners of its own.
     *
     * @param  list<self>  $meshes
     */
    public static function merged(array $meshes): self
    {
        $positions = $smooth = $flat = $facing = [];
        $curved = array_filter($meshes, static fn (self $m): bool => $m->facing !== null) !== [];
        foreach ($meshes as $mesh) {
            if ($curved) {
                array_push($facing, ...$mesh->facing ?? array_fill(0, count($mesh->positions), 0.0));
            }
            $first = intdiv(count($positions), 3);
            array_push($positions, ...$mesh->positions);
            foreach ($mesh->triangles as $i => $corner) {
                if ($i < 3 * $mesh->smooth) {
                    $smooth[] = $first + $corner;
                } else {
                    $flat[] = $first + $corner;
                }
            }
        }

        return new self($positions, [...$smooth, ...$flat], $curved ? $facing : null, intdiv(count($smooth), 3));
    }
}
