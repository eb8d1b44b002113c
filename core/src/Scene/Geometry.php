<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

use Isleward\Core\Geometry\Mesh;

/** A geometry made once and placed many times: a mesh for each material in it. */
final readonly class Geometry
{
    /** @param  array<string, Mesh>  $meshes material → mesh */
    private function __construct(public array $meshes)
    {
    }

    /** @param  list<Piece>  $pieces */
    public static function of(array $pieces): self
    {
        $meshes = [];
        foreach ($pieces as $piece) {
            $meshes[$piece->material][] = $piece->solid->mesh($piece->sagitta);
        }

        return new self(array_map(static fn (array $m): Mesh => count($m) === 1 ? $m[0] : Mesh::merged($m), $meshes));
    }
}
