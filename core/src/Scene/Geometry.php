<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

use Isleward\Core\Geometry\Mesh;

/** A geometry made once and placed many times: a mesh for each material in it. */
final readonly class Geometry
{
    /** @param  array<string, Mesh>  $meshes material → mesh */
    public function __construct(public array $meshes)
    {
    }
}
