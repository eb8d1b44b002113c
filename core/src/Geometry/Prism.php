<?php

declare(strict_types=1);

namespace Isleward\Core\Geometry;

/** A profile run straight: one in (x, y) along z, or one in (y, z) along x; mm. */
final readonly class Prism implements Solid
{
    /** @param  bool  $alongX  whether the profile lies in (y, z) and runs along x */
    public function __construct(public Profile $profile, public float $from, public float $length, public bool $alongX = false)
    {
    }

    public function volume(): float
    {
        return $this->profile->area() * $this->length;
    }

    public function mesh(float $sagitta): Mesh
    {
        $region = Region::polygon($this->profile->outer->ring($sagitta));
        if ($this->profile->holes !== []) {
            $region = $region->cut(array_map(
                static fn (Contour $hole): array => Region::reverse($hole->ring($sagitta)),
                $this->profile->holes,
            ));
        }
        $mesh = Mesh::between($region->rings, $region->rings, $this->from + $this->length, $this->from);
        if (! $this->alongX) {
            return $mesh;
        }
        $turned = [];
        for ($i = 0, $n = count($mesh->positions); $i < $n; $i += 3) {
            array_push($turned, $mesh->positions[$i + 2], $mesh->positions[$i], $mesh->positions[$i + 1]);
        }

        return new Mesh($turned, $mesh->triangles);
    }
}
