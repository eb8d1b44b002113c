<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** Triangles over shared points, mm, counter-clockwise seen from outside. */
final readonly class Mesh
{
    /**
     * @param  list<float>  $positions  x, y, z in threes
     * @param  list<int>  $triangles  point numbers in threes
     */
    public function __construct(public array $positions, public array $triangles)
    {
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
     * Several in one, each with corners of its own.
     *
     * @param  list<self>  $meshes
     */
    public static function merged(array $meshes): self
    {
        $positions = $triangles = [];
        foreach ($meshes as $mesh) {
            $first = intdiv(count($positions), 3);
            array_push($positions, ...$mesh->positions);
            foreach ($mesh->triangles as $corner) {
                $triangles[] = $first + $corner;
            }
        }

        return new self($positions, $triangles);
    }
}
