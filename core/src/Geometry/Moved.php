<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** A solid elsewhere: turned, moved or mirrored, never stretched. */
final readonly class Moved implements Solid
{
    /**
     * @param  \Closure(float, float, float): array{float, float, float}  $to  where a point of it comes to lie
     * @param  bool  $mirrors  whether left and right change places
     */
    public function __construct(public Solid $solid, private \Closure $to, private bool $mirrors = false)
    {
    }

    public function volume(): float
    {
        return $this->solid->volume();
    }

    public function mesh(float $sagitta): Mesh
    {
        $mesh = $this->solid->mesh($sagitta);
        $positions = $triangles = [];
        for ($i = 0, $n = count($mesh->positions); $i < $n; $i += 3) {
            array_push($positions, ...($this->to)($mesh->positions[$i], $mesh->positions[$i + 1], $mesh->positions[$i + 2]));
        }
        foreach (array_chunk($mesh->triangles, 3) as [$a, $b, $c]) {
            array_push($triangles, $a, ...($this->mirrors ? [$c, $b] : [$b, $c]));
        }

        return new Mesh($positions, $triangles, $mesh->facing === null ? null : $this->turned($mesh->facing), $mesh->smooth);
    }

    /**
     * @param  list<float>  $facing
     * @return list<float>
     */
    private function turned(array $facing): array
    {
        $out = [];
        [$ox, $oy, $oz] = ($this->to)(0.0, 0.0, 0.0);
        for ($i = 0, $n = count($facing); $i < $n; $i += 3) {
            [$x, $y, $z] = ($this->to)($facing[$i], $facing[$i + 1], $facing[$i + 2]);
            array_push($out, $x - $ox, $y - $oy, $z - $oz);
        }

        return $out;
    }
}
