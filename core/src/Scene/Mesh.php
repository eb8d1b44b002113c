<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

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
     * Upright boxes in one mesh, each with corners of its own.
     *
     * @param  list<array{float, float, float, float, float, float}>  $boxes  x0, y0, z0, x1, y1, z1
     */
    public static function boxes(array $boxes): self
    {
        $positions = $triangles = [];
        foreach ($boxes as [$x0, $y0, $z0, $x1, $y1, $z1]) {
            $first = intdiv(count($positions), 3);
            array_push($positions, $x0, $y0, $z0, $x1, $y0, $z0, $x1, $y1, $z0, $x0, $y1, $z0, $x0, $y0, $z1, $x1, $y0, $z1, $x1, $y1, $z1, $x0, $y1, $z1);
            foreach ([0, 2, 1, 0, 3, 2, 4, 5, 6, 4, 6, 7, 0, 1, 5, 0, 5, 4, 1, 2, 6, 1, 6, 5, 2, 3, 7, 2, 7, 6, 3, 0, 4, 3, 4, 7] as $corner) {
                $triangles[] = $first + $corner;
            }
        }

        return new self($positions, $triangles);
    }
}
